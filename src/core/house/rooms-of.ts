import { insidePolygon } from "../base/polygon";
import type { House } from "./house";

/** Ids of the rooms in which a point stands: that of its wall; under and over a deck, those it lies in. */
export function roomsOf(h: House, id: string): string[] {
  const p = h.points[h.pointOfId.get(id) ?? -1];
  if (!p) return [];
  if (p.face >= 0) return [h.faces[p.face]!.room.id];
  const [x, y] = p.space;
  return h.job.rooms.filter((r) => insidePolygon(r.outline, { x, y })).map((r) => r.id);
}

/** How far below a room's floor a point in that floor may lie, mm. */
const IN_FLOOR = 400;

/**
 * Id of the one room that a point serves: that of its wall, of the ceiling it hangs from, or of the floor it stands in; null where it
 * lies in none.
 */
export function roomServed(h: House, id: string): string | null {
  const p = h.points[h.pointOfId.get(id) ?? -1];
  if (!p) return null;
  if (p.face >= 0) return h.faces[p.face]!.room.id;
  const [x, y, z] = p.space;
  const above = p.point.place.on === "deck" && p.point.place.face === "floor";
  const level = new Map(h.job.storeys.map((s) => [s.id, s.level]));
  const rooms = h.job.rooms
    .filter((r) => insidePolygon(r.outline, { x, y }))
    .map((r) => ({ id: r.id, floor: level.get(r.storey) ?? 0 }))
    .filter((r) => (above ? r.floor >= z - 1 && r.floor <= z + IN_FLOOR : r.floor < z))
    .sort((a, b) => b.floor - a.floor || (a.id < b.id ? -1 : 1));
  return (above ? rooms[rooms.length - 1] : rooms[0])?.id ?? null;
}
