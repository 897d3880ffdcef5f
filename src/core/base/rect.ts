import { EPS } from "./tolerance";

/** A rectangle on a wall face, mm: u to the right, v up, u0 ≤ u1, v0 ≤ v1. */
export interface Rect {
  u0: number;
  v0: number;
  u1: number;
  v1: number;
}
/** A place on a wall face, mm. */
export interface UV {
  u: number;
  v: number;
}

/** Rectangle from its left, bottom, width and height. */
export const rectOf = (o: { u: number; v: number; width: number; height: number }): Rect => ({
  u0: o.u,
  v0: o.v,
  u1: o.u + o.width,
  v1: o.v + o.height,
});

/** Rectangle of an accessory from its centre. */
export const rectAround = (o: { u: number; v: number; width: number; height: number }): Rect => ({
  u0: o.u - o.width / 2,
  v0: o.v - o.height / 2,
  u1: o.u + o.width / 2,
  v1: o.v + o.height / 2,
});

/** Share of two rectangles, or null when they have no area in common (touching edges have none). */
export function overlap(a: Rect, b: Rect): Rect | null {
  const r = { u0: Math.max(a.u0, b.u0), v0: Math.max(a.v0, b.v0), u1: Math.min(a.u1, b.u1), v1: Math.min(a.v1, b.v1) };
  return r.u1 > r.u0 + EPS && r.v1 > r.v0 + EPS ? r : null;
}

/** True when the place is in the rectangle or on its edge. */
export const contains = (r: Rect, p: UV): boolean =>
  p.u >= r.u0 - EPS && p.u <= r.u1 + EPS && p.v >= r.v0 - EPS && p.v <= r.v1 + EPS;

/** True when the place is inside the rectangle and off its edge. */
export const strictlyContains = (r: Rect, p: UV): boolean =>
  p.u > r.u0 + EPS && p.u < r.u1 - EPS && p.v > r.v0 + EPS && p.v < r.v1 - EPS;

/** Distance in mm from a place to the nearest point of the rectangle, 0 inside. */
export function distanceTo(r: Rect, p: UV): number {
  const du = Math.max(r.u0 - p.u, 0, p.u - r.u1);
  const dv = Math.max(r.v0 - p.v, 0, p.v - r.v1);
  return Math.hypot(du, dv);
}

/** True when a level or plumb stretch a–b runs through the inside of the rectangle (touching its edge does not count). */
export function crosses(r: Rect, a: UV, b: UV): boolean {
  const u0 = Math.min(a.u, b.u);
  const u1 = Math.max(a.u, b.u);
  const v0 = Math.min(a.v, b.v);
  const v1 = Math.max(a.v, b.v);
  if (u1 <= r.u0 + EPS || u0 >= r.u1 - EPS || v1 <= r.v0 + EPS || v0 >= r.v1 - EPS) return false;
  return u1 - u0 <= EPS || v1 - v0 <= EPS || crossesAtSlope(r, a, b);
}

/** The same for a slope: the stretch is clipped to the rectangle (Liang–Barsky). */
function crossesAtSlope(r: Rect, a: UV, b: UV): boolean {
  let t0 = 0;
  let t1 = 1;
  const clip = (p: number, q: number): boolean => {
    if (Math.abs(p) <= EPS) return q > EPS;
    const t = q / p;
    if (p < 0) t0 = Math.max(t0, t);
    else t1 = Math.min(t1, t);
    return t0 < t1 - 1e-12;
  };
  const du = b.u - a.u;
  const dv = b.v - a.v;
  return clip(-du, a.u - r.u0) && clip(du, r.u1 - a.u) && clip(-dv, a.v - r.v0) && clip(dv, r.v1 - a.v);
}
