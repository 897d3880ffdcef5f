import type { House, PlacedPoint } from "../house/house";
import { toFace } from "../base/wall-frame";
import { cableOf } from "../rules/catalogue";
import { MI_ENTRY, MI_TAILS } from "../trades/ends/mineral-strip";
import { type Entry, PAST, SHEATH_INSIDE, tailLength } from "../trades/ends/tails";
import type { LaidRun } from "../routing/lay";
import type { End } from "../laid/laid";
import { leftAtEnds, runLength } from "../laid/run-measures";

/** Which edge of the box a run comes in at, seen from the room; "behind" where it comes straight out of the wall or the deck. */
function entryOf(h: House, run: LaidRun, p: PlacedPoint, atStart: boolean): End["entry"] {
  const face = h.faces[p.face];
  const leg = atStart ? run.legs[0] : run.legs[run.legs.length - 1];
  if (!face || !leg || leg.surface.kind !== "wall") return "behind";
  const [near, far] = atStart
    ? [leg.path[0]!, leg.path[1]!]
    : [leg.path[leg.path.length - 1]!, leg.path[leg.path.length - 2]!];
  const a = toFace(face.frame, near);
  const b = toFace(face.frame, far);
  if (Math.abs(b.v - a.v) >= Math.abs(b.u - a.u)) return b.v > a.v ? "top" : "bottom";
  return b.u > a.u ? "right" : "left";
}

/** The end of a run at one of its points: where it comes in, and what to leave from the middle of the box, mm. */
export function endOf(h: House, run: LaidRun, pointId: string, atStart: boolean): End {
  const p = h.points[h.pointOfId.get(pointId)!]!;
  const entry = entryOf(h, run, p, atStart);
  const { boardTail, ceilingTail } = h.job.settings;
  if (p.point.kind === "board")
    return { point: pointId, run: run.id, entry, measures: { tail: boardTail, fromMiddle: boardTail } };
  if (p.deck >= 0 || entry === "behind")
    return { point: pointId, run: run.id, entry, measures: { tail: ceilingTail, fromMiddle: ceilingTail } };
  const half = (entry === "left" || entry === "right" ? p.box.width : p.box.height) / 2;
  const family = cableOf(run.cable, h.catalogue)?.family;
  // A mineral-insulated end is cut to its own tails, which the pot ends; they do not go across the box and past it.
  if (family === "mi") {
    const measures = { tail: MI_ENTRY + MI_TAILS, sheath: MI_ENTRY, conductor: MI_TAILS };
    return { point: pointId, run: run.id, entry, measures: { ...measures, fromMiddle: measures.tail - half } };
  }
  const tail = tailLength(p.box, entry as Entry);
  // The sheath and the wires of armour stop at the gland, outside.
  const sheath = family === "armoured" ? 0 : SHEATH_INSIDE;
  return {
    point: pointId,
    run: run.id,
    entry,
    measures: {
      tail: tail.length,
      past: PAST[entry as Entry],
      fromMiddle: tail.length - half,
      sheath,
      conductor: tail.length - sheath,
    },
  };
}

/**
 * Path and cut length of a run, mm. The path is measured to the middle of each box; the cut adds what is left from there
 * at both ends, the spare of the job's settings twice, and its share for waste.
 */
export function lengthsOf(h: House, run: LaidRun, ends: readonly End[]): { path: number; cut: number } {
  const path = runLength(run.legs);
  const { slack, wastePercent } = h.job.settings;
  return { path, cut: (path + leftAtEnds(ends, slack) + leftOnTheWay(h, run)) * (1 + wastePercent / 100) };
}

/** Cable in the loop below each end of a wire out of doors, so that water drips off, mm. Trade habit. */
const CATENARY_LOOP = 300;

/**
 * What is left along a run besides its ends, mm: loops at a wire out of doors, and what an old circuit's new cable
 * leaves under the floor.
 */
function leftOnTheWay(h: House, run: Pick<LaidRun, "circuit" | "legs">): number {
  const wires = run.legs.filter((l) => l.method === "catenary").length;
  const under = h.job.extensions.find((x) => x.circuit === run.circuit && x.way === "under-boards")?.spare ?? 0;
  return wires * 2 * CATENARY_LOOP + under;
}
