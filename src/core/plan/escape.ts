import type { UV } from "../base/rect";
import { EPS } from "../base/tolerance";
import { toFace, toSpace } from "../base/wall-frame";
import type { Face, House } from "../house/house";
import type { Room } from "../job/model";
import { doorway } from "../trades/fixings/fire";

/** Kinds of room through which people get out, where nobody says otherwise. */
const outBy: ReadonlySet<string> = new Set(["hall", "landing"]);

/** True for a room through which people get out in a fire: as said of it, else by its kind. */
export const isWayOut = (r: Pick<Room, "kind" | "wayOut">): boolean => r.wayOut ?? outBy.has(r.kind);

/** True for a doorway of a face that leads into a room through which people get out. */
function leadsOut(h: House, f: Face, o: Face["openings"][number]): boolean {
  const middle = toSpace(f.frame, { u: o.u + o.width / 2, v: o.v + o.height / 2 });
  return f.opposite.some((n) => {
    const other = h.faces[n]!;
    const p = toFace(other.frame, middle);
    return isWayOut(other.room) && p.u > -EPS && p.u < other.shape.length + EPS;
  });
}

/** Doors and arches: what people go through. */
const ways: ReadonlySet<string> = new Set(["door", "arch"]);

/**
 * How much of a straight stretch on a face lies within 150 mm beside or 300 above a doorway that leads into a room of escape, mm; a stretch
 * that only touches it counts as none. Source: BS 7671:2018+A2:2022 521.10.202, distances of on-site practice.
 */
export function nearDoorway(h: House, face: number, a: UV, b: UV): number {
  const f = h.faces[face];
  if (!f) return 0;
  const plumb = Math.abs(a.u - b.u) < Math.abs(a.v - b.v);
  const [lo, hi] = plumb ? [Math.min(a.v, b.v), Math.max(a.v, b.v)] : [Math.min(a.u, b.u), Math.max(a.u, b.u)];
  const at = plumb ? (a.u + b.u) / 2 : (a.v + b.v) / 2;
  return f.openings.reduce((most, o) => {
    if (!ways.has(o.kind) || !leadsOut(h, f, o)) return most;
    const [u0, u1, top] = [o.u - doorway.beside, o.u + o.width + doorway.beside, o.v + o.height + doorway.above];
    const [along, across] = plumb
      ? ([
          [0, top],
          [u0, u1],
        ] as const)
      : ([
          [u0, u1],
          [0, top],
        ] as const);
    if (at < across[0] - EPS || at > across[1] + EPS) return most;
    return Math.max(most, Math.min(hi, along[1]) - Math.max(lo, along[0]));
  }, 0);
}
