import { EPS } from "../base/tolerance";
import { insidePolygon } from "../base/polygon";
import { type XYZ, distance, pathLength, toFace } from "../base/wall-frame";
import { type House, roomFloor } from "../house/house";
import type { PinnedLeg } from "../job/model";
import {
  heldAs,
  END_MOST,
  LEVEL_UP_TO,
  type Orientation,
  clipAtPitch,
  clipLayout,
  clipSpacing,
} from "../trades/fixings/clips";
import { type Cable, overall } from "../rules/cables";
import type { Clips, Run } from "../laid/laid";
import { isWayOut, nearDoorway } from "./escape";

/** Methods by which a cable is fixed along its way; the others rest in holes, bays and voids. */
const clipped = new Set<PinnedLeg["method"]>(["chase", "surface", "along-joist"]);

/** Horizontal up to 60° from level, vertical beyond. */
export function orientationOf(leg: Pick<PinnedLeg, "path">): Orientation {
  const a = leg.path[0]!;
  const b = leg.path[leg.path.length - 1]!;
  const slope = (Math.atan2(Math.abs(b[2] - a[2]), Math.hypot(b[0] - a[0], b[1] - a[1])) * 180) / Math.PI;
  return slope <= LEVEL_UP_TO + 1e-9 ? "horizontal" : "vertical";
}

/** What of a run its clips depend on. */
type ClippedRun = Pick<Run, "id" | "from" | "to" | "legs">;

/** The part of a leg that clips can stand on, mm along it: legs go to the middle of a box, and clips only to its edge. */
export function clippedStretch(h: House, run: ClippedRun, leg: number): [from: number, to: number] {
  const l = run.legs[leg]!;
  const [a, b] = [l.path[0]!, l.path[l.path.length - 1]!];
  const plumb = Math.abs(b[2] - a[2]) > Math.hypot(b[0] - a[0], b[1] - a[1]);
  const inBox = (point: string, end: XYZ): number => {
    const p = h.points[h.pointOfId.get(point) ?? -1];
    if (!p || p.face < 0 || l.surface.kind !== "wall") return 0;
    return Math.max(0, (plumb ? p.box.height : p.box.width) / 2 - distance(p.space, end));
  };
  const from = leg === 0 ? inBox(run.from, a) : 0;
  return [from, pathLength(l.path) - (leg === run.legs.length - 1 ? inBox(run.to, b) : 0)];
}

/** Clip marks of one leg, or null where nothing is clipped. Only cable on the surface stays reachable. */
export function clipsOf(h: House, cable: Cable, run: ClippedRun, leg: number): Clips | null {
  const l = run.legs[leg]!;
  if (!clipped.has(l.method) || (l.section !== undefined && l.method !== "surface")) return null;
  const reachable = l.method === "surface";
  const { schools, clipOutOfReach, clipEnd, clipToolPitch } = h.job.settings;
  const { max } = clipSpacing(
    heldAs(cable),
    overall(cable),
    orientationOf(l),
    reachable,
    schools.clipOutOfReach === "table" ? "table" : clipOutOfReach,
  );
  if (max === null) return null;
  const [from, to] = clippedStretch(h, run, leg);
  const length = to - from;
  if (length <= EPS) return null;
  const layout =
    length <= 2 * END_MOST + EPS
      ? // One in the middle is near enough to both ends: two would stand side by side.
        { marks: [length / 2], pitch: 0 }
      : schools.clipPitch === "tool"
        ? clipAtPitch(length, clipToolPitch, clipEnd)
        : clipLayout(length, max, clipEnd);
  return {
    run: run.id,
    leg,
    marks: layout.marks.map((m) => from + m),
    pitch: layout.pitch,
    max,
    reachable,
    metal: schools.hallCeiling === "escape" && onEscapeRoute(h, l),
  };
}

/** True for cable over a hall or landing, on the surface of its walls, or close to a doorway that leads into it. */
function onEscapeRoute(h: House, l: PinnedLeg): boolean {
  if (l.surface.kind === "wall") {
    const face = h.faces[h.faceOfWall.get(l.surface.id) ?? -1];
    if (l.method !== "surface" || !face) return false;
    const flat = l.path.map((p) => toFace(face.frame, p));
    return isWayOut(face.room) || flat.slice(1).some((b, i) => nearDoorway(h, face.n, flat[i]!, b) > EPS);
  }
  if (l.surface.kind !== "deck") return false;
  const [a, b] = [l.path[0]!, l.path[l.path.length - 1]!];
  const mid = { x: (a[0] + b[0]) / 2, y: (a[1] + b[1]) / 2 };
  return h.job.rooms.some(
    (r) =>
      isWayOut(r) &&
      roomFloor(h.job, r) < a[2] &&
      insidePolygon(r.outline, mid) &&
      a[2] - roomFloor(h.job, r) < r.height + 600,
  );
}
