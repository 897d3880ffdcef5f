import { insidePolygon } from "../base/polygon";
import { pathLength } from "../base/wall-frame";
import { type House, roomFloor } from "../house/house";
import type { PinnedLeg } from "../job/model";
import { LEVEL_UP_TO, type Orientation, clipAtPitch, clipLayout, clipSpacing } from "../trades/fixings/clips";
import { type Cable, overall } from "../rules/cables";
import type { Clips } from "../laid/laid";
import { roomsOfEscape } from "./escape";

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
export function clipsOf(h: House, cable: Cable, run: string, leg: number, l: PinnedLeg): Clips | null {
  if (!clipped.has(l.method) || (l.section !== undefined && l.method !== "surface")) return null;
  const reachable = l.method === "surface";
  const { schools, clipOutOfReach, clipEnd, clipToolPitch } = h.job.settings;
  const { max } = clipSpacing(
    cable.family,
    overall(cable),
    orientationOf(l),
    reachable,
    schools.clipOutOfReach === "table" ? "table" : clipOutOfReach,
  );
  if (max === null) return null;
  const length = pathLength(l.path);
  const layout =
    schools.clipPitch === "tool" ? clipAtPitch(length, clipToolPitch, clipEnd) : clipLayout(length, max, clipEnd);
  return {
    run,
    leg,
    marks: layout.marks,
    pitch: layout.pitch,
    max,
    reachable,
    metal: schools.hallCeiling === "escape" && onEscapeRoute(h, l),
  };
}

/** True for cable over a hall or landing, or on the surface of its walls. */
function onEscapeRoute(h: House, l: PinnedLeg): boolean {
  if (l.surface.kind === "wall") {
    const face = h.faces[h.faceOfWall.get(l.surface.id) ?? -1];
    return l.method === "surface" && !!face && roomsOfEscape.has(face.room.kind);
  }
  if (l.surface.kind !== "deck") return false;
  const [a, b] = [l.path[0]!, l.path[l.path.length - 1]!];
  const mid = { x: (a[0] + b[0]) / 2, y: (a[1] + b[1]) / 2 };
  return h.job.rooms.some(
    (r) =>
      roomsOfEscape.has(r.kind) &&
      roomFloor(h.job, r) < a[2] &&
      insidePolygon(r.outline, mid) &&
      a[2] - roomFloor(h.job, r) < r.height + 600,
  );
}
