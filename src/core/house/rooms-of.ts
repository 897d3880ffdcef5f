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
