import type { House } from "../house/house";
import type { Edge, Point } from "../job/model";
import { type Fact, fact } from "../rules/fact";
import { cableOf } from "../rules/catalogue";
import type { Gland } from "../rules/glands";
import { EPS } from "../base/tolerance";
import { HAND_ROOM, glandRow, tooNear } from "../trades/ends/gland-row";
import { conduitEntries } from "./conduit-entries";
import { type EndFigures, type WithEnds, endFigures } from "./end-figures";

/** How a hole comes about: drilled new; there already; there and opened up; there and too large, taken with a reducer. */
export type HoleHow = "drill" | "there" | "open-up" | "reducer";

/** A hole of a face, mm. */
export interface FaceHole {
  /** Middle, from the left of the face, or from its top at the sides. */
  x: number;
  /** Of the gland, or "tube 25". */
  name: string;
  /** To bore, and what stands round it across its corners. */
  hole: number;
  across: number;
  /** Null for a tube, which comes in where it is drawn. */
  gland: Gland | null;
  /** The run it is for; null for a tube, and for a spare with its plug. */
  run: string | null;
  /** The section that ends here. */
  section: string | null;
  how: HoleHow;
  /** Put where it is by hand. */
  byHand: boolean;
}
/** One face of an enclosure with the glands of its armour and the ends of its tubes. Lengths mm. */
export interface GlandFace {
  point: Point;
  edge: Edge;
  width: number;
  depth: number;
  holes: FaceHole[];
  /** False where its glands have no room in a row; then only its tubes are in `holes`. */
  fits: boolean;
  /** Holes that are there and that no gland takes: each wants a plug. */
  plugs: { at: number; size: number }[];
  facts: Fact[];
}

/** The faces of an enclosure that armour or a tube comes in at. */
export function glandFaces(h: House, plan: WithEnds, point: string): GlandFace[] {
  const f = endFigures(h, plan, point);
  if (!f) return [];
  const tubes = conduitEntries(h).get(point) ?? [];
  const edges = new Set([
    ...f.cables.flatMap((c) => (c.armour ? [edgeOf(c.end.entry)] : [])),
    ...tubes.map((t) => t.edge),
  ]);
  return [...edges].sort().map((edge) => faceOf(h, f, edge));
}

/** What is wrong with the faces of all enclosures. */
export function glandFaceFacts(h: House, plan: WithEnds): Fact[] {
  const armoured = plan.runs.filter((r) => cableOf(r.cable, h.catalogue)?.family === "armoured");
  const points = [...new Set([...armoured.flatMap((r) => [r.from, r.to]), ...conduitEntries(h).keys()])].sort();
  return points.flatMap((p) => glandFaces(h, plan, p).flatMap((f) => f.facts));
}

const edgeOf = (entry: Edge | "behind"): Edge => (entry === "behind" ? "bottom" : entry);

function faceOf(h: House, f: EndFigures, edge: Edge): GlandFace {
  const { point } = f.placed;
  const width = edge === "left" || edge === "right" ? f.box.height : f.box.width;
  const coming = f.cables
    .filter((c) => c.armour?.gland && edgeOf(c.end.entry) === edge)
    .sort((a, b) => a.at - b.at || (a.run.id < b.run.id ? -1 : 1));
  const tubes = (conduitEntries(h).get(point.id) ?? []).filter((t) => t.edge === edge).sort((a, b) => a.at - b.at);
  const gap = widestGap(width, tubes);
  const row = glandRow(
    gap.width,
    coming.map((c) => c.armour!.gland!),
    HAND_ROOM,
    point.kind === "board" && h.job.settings.schools.spareGland === "spare" ? 1 : 0,
  );
  const base = { point, edge, width, depth: f.box.depth };
  const facts = row.facts.map((x): Fact => ({ ...x, subject: { kind: "point", id: point.id } }));
  const free = point.faceHoles.filter((o) => o.edge === edge).map(({ at, size }) => ({ at, size }));
  const take = (size: number, at?: number): { at: number; how: HoleHow } | null => {
    for (const how of ["there", "open-up", "reducer"] as const) {
      const i = free.findIndex(
        (o) => howOf(o.size, size) === how && (at === undefined || Math.abs(o.at - at) <= SAME_PLACE),
      );
      if (i >= 0) return { at: free.splice(i, 1)[0]!.at, how };
    }
    return null;
  };
  const ofTubes = tubes.map((t): FaceHole => {
    const there = take(t.end.hole, t.at);
    const [x, how] = there ? [there.at, there.how] : [t.at, "drill" as const];
    const { hole, across, size } = t.end;
    return {
      x,
      name: `tube ${size}`,
      hole,
      across,
      gland: null,
      run: null,
      section: t.section.section.id,
      how,
      byHand: false,
    };
  });
  const ofGlands = row.holes.map((o, i): FaceHole => {
    const cable = coming[i];
    const gland = cable?.armour?.gland ?? coming[coming.length - 1]!.armour!.gland!;
    const run = cable?.run.id ?? null;
    const its = { name: gland.id, hole: gland.hole, across: gland.acrossCorners, gland, run, section: null };
    const given = run === null ? undefined : point.glandAt[run];
    if (given !== undefined) return { ...its, x: given, how: "drill", byHand: true };
    const there = run === null ? null : take(gland.hole);
    return { ...its, x: there?.at ?? gap.from + o.x, how: there?.how ?? "drill", byHand: false };
  });
  const holes = [...ofGlands, ...ofTubes].sort((a, b) => a.x - b.x);
  return { ...base, holes, fits: row.fits, plugs: free, facts: [...facts, ...placeFacts(point, width, holes, free)] };
}

/** The widest stretch of a face between its tubes, each with room for a hand: its glands stand in a row there. Lengths mm. */
function widestGap(
  width: number,
  tubes: readonly { at: number; end: { across: number } }[],
): { from: number; width: number } {
  const taken = tubes.map(
    (t) => [t.at - (t.end.across + HAND_ROOM) / 2, t.at + (t.end.across + HAND_ROOM) / 2] as const,
  );
  const gaps = [...taken, [width, width] as const].map(([until], i) => {
    const from = i ? taken[i - 1]![1] : 0;
    return { from, width: Math.max(0, until - from) };
  });
  return gaps.reduce((best, g) => (g.width > best.width + EPS ? g : best));
}

/** How a hole of this size comes to take an entry of that, mm. */
const howOf = (there: number, size: number): HoleHow =>
  Math.abs(there - size) <= HOLE_SLACK ? "there" : there < size ? "open-up" : "reducer";

/** A hole this near to where a tube stands is its own, mm. */
const SAME_PLACE = 2;
/** Holes this near in size are the same, mm. */
const HOLE_SLACK = 0.5;

/** What is wrong with where the holes are: too near one another, the edge, or a hole that is there. Lengths mm. */
function placeFacts(point: Point, width: number, holes: readonly FaceHole[], plugs: GlandFace["plugs"]): Fact[] {
  const told = (what: string, measured: number, limit: number): Fact =>
    fact("gland.place", "point", point.id, { case: what, measured, limit, sense: "least", unit: "mm" });
  return tooNear(width, holes, plugs).map((x) => told(x.what, x.measured, x.limit));
}
