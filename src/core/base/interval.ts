import { EPS } from "./tolerance";

/** A closed stretch of a line in mm, low ≤ high. */
export type Interval = readonly [low: number, high: number];

/** Joins touching and overlapping stretches; result is sorted and disjoint. Zero-length stretches are kept. */
export function union(list: readonly Interval[]): Interval[] {
  const sorted = [...list].filter(([a, b]) => b >= a - EPS).sort((p, q) => p[0] - q[0] || p[1] - q[1]);
  const out: [number, number][] = [];
  for (const [a, b] of sorted) {
    const last = out[out.length - 1];
    if (last && a <= last[1] + EPS) last[1] = Math.max(last[1], b);
    else out.push([a, b]);
  }
  return out;
}

/** What is left of `base` once `cuts` are taken away; pieces of zero length are dropped. */
export function subtract(base: Interval, cuts: readonly Interval[]): Interval[] {
  const out: Interval[] = [];
  let from = base[0];
  for (const [a, b] of union(cuts)) {
    if (b <= from + EPS) continue;
    if (a >= base[1] - EPS) break;
    if (a > from + EPS) out.push([from, a]);
    from = Math.max(from, b);
  }
  if (base[1] > from + EPS) out.push([from, base[1]]);
  return out;
}

/** The shared stretch, or null when they do not meet (touching ends share a zero-length stretch). */
export function intersect(p: Interval, q: Interval): Interval | null {
  const a = Math.max(p[0], q[0]);
  const b = Math.min(p[1], q[1]);
  return b >= a - EPS ? [a, Math.max(a, b)] : null;
}

/** True when x lies in the stretch, ends included. */
export const within = (x: number, [a, b]: Interval): boolean => x >= a - EPS && x <= b + EPS;
