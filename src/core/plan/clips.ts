import type { Job, PinnedLeg } from "../job/model";
import { pathLength } from "../geometry/wall-frame";
import { LEVEL_UP_TO, type Orientation, clipLayout, clipSpacing } from "../fixings/clips";
import { type Cable, overall } from "../rules/cables";
import type { Clips } from "./plan-model";

/** Methods by which a cable is fixed along its way; the others rest in holes, bays and voids. */
const clipped = new Set<PinnedLeg["method"]>(["chase", "surface", "along-joist"]);

/** Horizontal up to 60° from level, vertical beyond. */
export function orientationOf(leg: Pick<PinnedLeg, "path">): Orientation {
  const a = leg.path[0]!;
  const b = leg.path[leg.path.length - 1]!;
  const slope = (Math.atan2(Math.abs(b[2] - a[2]), Math.hypot(b[0] - a[0], b[1] - a[1])) * 180) / Math.PI;
  return slope <= LEVEL_UP_TO + 1e-9 ? "horizontal" : "vertical";
}

/** Clip marks of one leg, or null where nothing is clipped. Only cable on the surface stays reachable. */
export function clipsOf(job: Job, cable: Cable, run: string, leg: number, l: PinnedLeg): Clips | null {
  if (!clipped.has(l.method)) return null;
  const reachable = l.method === "surface";
  const { schools, clipOutOfReach, clipEnd } = job.settings;
  const { max } = clipSpacing(cable.family, overall(cable), orientationOf(l), reachable, schools.clipOutOfReach === "table" ? "table" : clipOutOfReach);
  if (max === null) return null;
  const layout = clipLayout(pathLength(l.path), max, clipEnd);
  return { run, leg, marks: layout.marks, pitch: layout.pitch, max, reachable };
}
