import { EPS, tidy } from "../base/tolerance";
import { toFace, toSpace } from "../base/wall-frame";
import type { Wall } from "../job/model";
import type { Face, Stud, WallStuds } from "./face";

/** Where nothing is known of a stud wall: studs at 600 centres from its left end, 38 thick, no row of noggins. Typical. */
export const ASSUMED_STUDS = { spacing: 600, first: 0, breadth: 38, depth: null, noggins: [] as number[] };
/** The boards on both faces of a stud wall together, mm: what is left of its thickness is the depth of the studs. Typical. */
export const BOARDS = 25;

const isStudWall = (w: Wall): boolean => w.build === "stud" || w.build === "metal-stud";

/**
 * The studs, and the rows of noggins between them: as given on this face; else as given on the other face of the wall; else at
 * 600 centres from the left end of one of its faces, always the same one. A stud stands at each end of the face and on each side of
 * an opening. Null where the wall has none.
 */
export function studsOf(f: Face, faces: readonly Face[]): WallStuds | null {
  if (!isStudWall(f.wall)) return null;
  const others = f.opposite.map((n) => faces[n]!).filter((o) => isStudWall(o.wall));
  const given = [f, ...others].find((x) => x.wall.studs !== null);
  const from = given ?? [f, ...others].reduce((a, b) => (b.n < a.n ? b : a));
  const { spacing, first, breadth, depth, noggins } = from.wall.studs ?? ASSUMED_STUDS;
  const { length } = f.shape;
  // The lattice of the face it was given on goes on past its ends: the wall may be longer on this side.
  const here = (u: number): number => toFace(f.frame, toSpace(from.frame, { u, v: 0 })).u;
  const [a, step] = [here(first), here(first + spacing) - here(first)];
  const ks = [(0 - a) / step, (length - a) / step].sort((p, q) => p - q);
  const lattice: number[] = [];
  for (let k = Math.ceil(ks[0]! - 1e-9); k <= ks[1]! + 1e-9; k++) lattice.push(a + k * step);
  const half = breadth / 2;
  const fixed = [
    half,
    length - half,
    ...f.shape.openings
      .flatMap((o) => [o.u - half, o.u + o.width + half])
      .filter((u) => u > breadth && u < length - breadth),
  ];
  // Where a stud of the lattice would stand in an end stud, or in one beside an opening, that one does for both.
  const row = lattice.filter((u) => !fixed.some((x) => Math.abs(x - u) < breadth));
  const all = [
    ...fixed.map((u) => ({ at: tidy(u), known: true })),
    ...row.map((u) => ({ at: tidy(u), known: given !== undefined })),
  ];
  const rise = toFace(f.frame, toSpace(from.frame, { u: 0, v: 0 })).v;
  return {
    studs: all
      .sort((p, q) => p.at - q.at)
      .filter((x, i, list) => i === 0 || x.at - list[i - 1]!.at > EPS)
      .map((x, i) => ({ n: i + 1, ...x })),
    breadth,
    depth: depth ?? Math.max(38, f.shape.thickness - BOARDS),
    noggins: noggins.map((v) => tidy(v + rise)).filter((v) => v > 0 && v < f.shape.height),
    assumed: given === undefined,
  };
}

/** Room a cable needs beside a stud, from its middle, mm. */
export const BESIDE_STUD = 8;

/** The stud in the way of a cable that runs plumb there; null where there is none, or none that is known. */
export const studAt = (s: WallStuds | null, u: number): Stud | null =>
  s?.studs.find((x) => x.known && Math.abs(x.at - u) < s.breadth / 2 + BESIDE_STUD - EPS) ?? null;
