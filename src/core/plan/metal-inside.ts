import type { House } from "../house/house";
import type { LaidSection } from "../house/sections";
import { EPS } from "../base/tolerance";
import { isWayOut, nearDoorway } from "./escape";

/** Most between metal clips inside plastic over a way out, mm. Typical: none is published. */
export const METAL_INSIDE = 900;

/** Metal clips inside a plastic section on the way out of the house: none where that school does not count it, or metal holds it. */
export function metalInside(h: House, s: LaidSection): number {
  if (s.row.material === "metal" || s.row.hidden || h.job.settings.schools.hallCeiling !== "escape") return 0;
  return s.stretches.reduce((sum, x) => {
    const room = h.faces[x.face]?.room;
    // In a room of escape all of it, elsewhere what is close to a doorway that leads there.
    const over = room && isWayOut(room) ? x.length : nearDoorway(h, x.face, x.a, x.b);
    return over > EPS ? sum + Math.max(1, Math.ceil(over / METAL_INSIDE)) : sum;
  }, 0);
}
