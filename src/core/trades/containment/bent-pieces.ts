import type { House } from "../../house/house";
import type { LaidSection } from "../../house/sections";
import { type Fact, fact } from "../../rules/fact";
import { leastRadius, middleRadius, radiusFacts } from "./conduit-bends";
import { BOX_TAKES, type DrawBox } from "./draw-boxes";
import { fromStockBetween } from "./from-stock";
import { type Fold, type PipeSet, SET_ANGLE, type SectionCorner, type SectionPiece, type Turn } from "./section-turns";

const RAD = Math.PI / 180;

/** Inner radius a conduit is bent to, mm: that of its former, else the least there may be. */
export const innerRadius = (s: LaidSection): number => s.section.innerRadius ?? leastRadius(s.size.width);

/** A corner of the middle line of a tube, and how long that line is from the corner before. */
interface Vertex {
  length: number;
  turn: Turn;
  angle: number;
  pipe?: string;
}

/**
 * The middle line of a bent tube: its corners with what lies between them, and what comes after the last, mm. It lies half a diameter
 * off its walls, so that it is shorter into a corner and longer round one; where it turns into its wall it goes on to the far face.
 */
export function middleLine(
  h: Pick<House, "faces">,
  s: LaidSection,
  corners: readonly SectionCorner[],
  sets: readonly PipeSet[],
): { corners: Vertex[]; last: number } {
  const off = s.size.width / 2;
  const after = new Map(corners.map((c) => [c.after, c]));
  /** What a corner takes off the middle line at each side of it. */
  const taken = (c: SectionCorner | undefined): number => {
    if (!c || (c.turn !== "inside" && c.turn !== "outside")) return 0;
    return off * Math.tan((c.angle * RAD) / 2) * (c.turn === "inside" ? 1 : -1);
  };
  const { intoWall } = s.section;
  const out: Vertex[] = [];
  /** Since the last corner. */
  let run = 0;
  const corner = (turn: Turn, angle: number, pipe?: string): void => {
    out.push({ length: run, turn, angle, ...(pipe === undefined ? {} : { pipe }) });
    run = 0;
  };
  const wallAt = (stretch: number): number => (h.faces[s.stretches[stretch]!.face]?.shape.thickness ?? 0) + off;
  if (intoWall === "start" || intoWall === "both") {
    run = wallAt(0);
    corner("into", 90);
  }
  s.stretches.forEach((x, i) => {
    let at = taken(after.get(i - 1));
    const slope = (set: PipeSet): number => set.offset / Math.sin(SET_ANGLE * RAD);
    for (const set of sets.filter((p) => p.stretch === i)) {
      run += set.from - at;
      corner("inside", SET_ANGLE, set.pipe);
      run = slope(set);
      corner("over", SET_ANGLE, set.pipe);
      run = set.top[1] - set.top[0];
      corner("over", SET_ANGLE, set.pipe);
      run = slope(set);
      corner("inside", SET_ANGLE, set.pipe);
      at = set.to;
    }
    const next = after.get(i);
    run += x.length - at - taken(next);
    if (next) corner(next.turn, next.angle);
  });
  if (intoWall === "end" || intoWall === "both") {
    corner("into", 90);
    run = wallAt(s.stretches.length - 1);
  }
  return { corners: out, last: run };
}

/**
 * The pieces of a tube bent by hand: every bend with its middle and how much of the tube it takes, along the tube as it lies straight.
 * A bend cuts its corner: it takes less than the two straights would. Lengths of stock are joined clear of the bends; at a box to draw
 * from the tube is cut.
 */
export function bentPieces(
  h: Pick<House, "faces">,
  s: LaidSection,
  corners: readonly SectionCorner[],
  sets: readonly PipeSet[],
  boxes: readonly DrawBox[],
): SectionPiece[] {
  const R = middleRadius(s.size.width, innerRadius(s));
  const line = middleLine(h, s, corners, sets);
  const folds: Fold[] = [];
  let [at, cut] = [0, 0];
  for (const { length, turn, angle, pipe } of line.corners) {
    const tangent = R * Math.tan((angle * RAD) / 2);
    const half = (R * angle * RAD) / 2;
    at += length - cut - tangent + half;
    folds.push({ turn, angle, way: "bend", at, half, ...(pipe === undefined ? {} : { pipe }) });
    at += half;
    cut = tangent;
  }
  const whole = at + line.last - cut;
  // Midway on the straight between the bends before and after.
  const cuts = boxes.map(({ bendsBefore: n }) => {
    const [p, q] = [folds[n - 1], folds[n]];
    return ((p ? p.at + p.half : 0) + (q ? q.at - q.half : whole)) / 2;
  });
  return fromStockBetween(whole, folds, s.row.stock, cuts, BOX_TAKES).map((p, i) => ({ ...p, number: i + 1 }));
}

/** A former or spring that bends a conduit tighter than it may be. */
export const bendFacts = (s: LaidSection): Fact[] =>
  radiusFacts(s.size.width, innerRadius(s)).map((f) => {
    const { measured, limit, sense, unit, of } = f;
    return fact("bend.conduit", "section", s.section.id, {
      measured: measured!,
      limit: limit!,
      sense: sense!,
      unit: unit!,
      of: { ...of, label: s.section.label },
    });
  });

/**
 * Bends a piece again in its own order, each to its side, in one plane: the corners of its middle line, from 0, 0 along x. The proof of
 * the bends' arithmetic.
 */
export function bentMiddle(piece: Pick<SectionPiece, "length" | "folds">): [number, number][] {
  let [x, y, heading, from] = [0, 0, 0, 0];
  const out: [number, number][] = [[0, 0]];
  const go = (d: number): void => {
    x += d * Math.cos(heading);
    y += d * Math.sin(heading);
  };
  for (const f of piece.folds) {
    const turned = f.angle * RAD * (f.turn === "left" || f.turn === "inside" ? 1 : -1);
    const R = (2 * f.half) / Math.abs(turned);
    go(f.at - f.half - from);
    // The tangents of the arc meet in the corner.
    const tangent = R * Math.tan(Math.abs(turned) / 2);
    go(tangent);
    out.push([x, y]);
    heading += turned;
    go(tangent);
    from = f.at + f.half;
  }
  go(piece.length - from);
  out.push([x, y]);
  return out;
}
