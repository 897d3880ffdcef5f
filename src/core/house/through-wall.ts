import { lowestTop, stretchUnder } from "../base/ceiling";
import { type Rect, overlap, rectAround, rectOf } from "../base/rect";
import { tidy } from "../base/tolerance";
import { toFace, toSpace } from "../base/wall-frame";
import type { Opening } from "../job/model";
import type { Face, SeenOpening } from "./face";
import type { OpeningOnFace, PointOnFace } from "./wall-zones";

/** The openings given on a face itself. */
export const ownOpenings = (list: readonly Opening[], room: string): SeenOpening[] =>
  list.map(({ id, kind, wall, u, v, width, height }) => ({ id, kind, wall, room, u, v, width, height }));

/** A rectangle of another face in the measures of this one: turned over left for right, up by the difference of the floors. */
function across(f: Face, other: Face, r: Rect): Rect {
  const a = toFace(f.frame, toSpace(other.frame, { u: r.u0, v: r.v0 }));
  const b = toFace(f.frame, toSpace(other.frame, { u: r.u1, v: r.v1 }));
  return {
    u0: tidy(Math.min(a.u, b.u)),
    v0: tidy(Math.min(a.v, b.v)),
    u1: tidy(Math.max(a.u, b.u)),
    v1: tidy(Math.max(a.v, b.v)),
  };
}

/**
 * Every opening of the wall that a face sees: a door is one hole of the building, on whichever face it was given. Those given on the
 * other face are cut to this one, and left out of the list of what is seen where one of this face's own is the same hole; `holes`
 * has them all.
 */
export function openingsSeen(f: Face, faces: readonly Face[]): { seen: SeenOpening[]; holes: OpeningOnFace[] } {
  const own = f.openings.filter((o) => o.wall === f.wall.id);
  const here: Rect = { u0: 0, v0: 0, u1: f.shape.length, v1: f.shape.height };
  const others = f.opposite.flatMap((n): SeenOpening[] => {
    const other = faces[n]!;
    return other.openings.flatMap((o) => {
      if (o.wall !== other.wall.id) return [];
      const r = overlap(across(f, other, rectOf(o)), here);
      return r ? [{ ...o, u: r.u0, v: r.v0, width: r.u1 - r.u0, height: r.v1 - r.v0 }] : [];
    });
  });
  const holes = [...own, ...others].map(({ u, v, width, height }) => ({ u, v, width, height }));
  return { seen: [...own, ...others.filter((o) => !own.some((x) => overlap(rectOf(x), rectOf(o))))], holes };
}

/**
 * The points on the other faces of the wall, in this face's measures, each with how far the face it stands on reaches: its strips end
 * at the corners, the floor and the ceiling of the room it stands in.
 */
export function reversePoints(f: Face, faces: readonly Face[]): PointOnFace[] {
  return f.opposite.flatMap((n) => {
    const other = faces[n]!;
    const { length, height, top } = other.shape;
    return other.points.flatMap((p): PointOnFace[] => {
      const here = toFace(f.frame, toSpace(other.frame, p));
      if (here.u < 0 || here.u > f.shape.length || here.v < 0 || here.v > f.shape.height) return [];
      const box = rectAround(p);
      const along = top ? (stretchUnder(top, p.u, box.v1, 0, length) ?? [p.u, p.u]) : [0, length];
      const up = top ? lowestTop(top, Math.max(0, box.u0), Math.min(length, box.u1)) : height;
      const within = across(f, other, { u0: along[0]!, u1: along[1]!, v0: 0, v1: up });
      return [{ ...p, u: here.u, v: here.v, within }];
    });
  });
}
