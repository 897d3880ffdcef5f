import { EPS } from "./tolerance";
import type { Interval } from "./interval";

/** A place seen from above, mm: x east, y north. */
export interface XY {
  x: number;
  y: number;
}

/** Area in mm² with sign: negative for corners listed clockwise seen from above. */
export function signedArea(outline: readonly XY[]): number {
  let sum = 0;
  for (let i = 0; i < outline.length; i++) {
    const a = outline[i]!;
    const b = outline[(i + 1) % outline.length]!;
    sum += a.x * b.y - b.x * a.y;
  }
  return sum / 2;
}

export const isClockwise = (outline: readonly XY[]): boolean => signedArea(outline) < 0;

const cross = (o: XY, a: XY, b: XY): number => (a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x);

const onSegment = (a: XY, b: XY, p: XY): boolean =>
  p.x >= Math.min(a.x, b.x) - EPS &&
  p.x <= Math.max(a.x, b.x) + EPS &&
  p.y >= Math.min(a.y, b.y) - EPS &&
  p.y <= Math.max(a.y, b.y) + EPS &&
  Math.abs(cross(a, b, p)) <= EPS * Math.max(1, Math.hypot(b.x - a.x, b.y - a.y));

/** True when the two stretches share at least one place, ends and overlaps included. */
export function segmentsMeet(a: XY, b: XY, c: XY, d: XY): boolean {
  const d1 = Math.sign(cross(c, d, a));
  const d2 = Math.sign(cross(c, d, b));
  const d3 = Math.sign(cross(a, b, c));
  const d4 = Math.sign(cross(a, b, d));
  if (d1 * d2 < 0 && d3 * d4 < 0) return true;
  return onSegment(c, d, a) || onSegment(c, d, b) || onSegment(a, b, c) || onSegment(a, b, d);
}

/** The numbers of two walls that cross or touch where they should not, or null for a simple outline. */
export function selfCrossing(outline: readonly XY[]): [number, number] | null {
  const n = outline.length;
  for (let i = 0; i < n; i++) {
    const a = outline[i]!;
    const b = outline[(i + 1) % n]!;
    for (let j = i + 1; j < n; j++) {
      const c = outline[j]!;
      const d = outline[(j + 1) % n]!;
      if (j === i + 1 || (i === 0 && j === n - 1)) {
        // Neighbours share one corner; they must not fold back over each other.
        const shared = j === i + 1 ? b : a;
        const p = j === i + 1 ? a : b;
        const q = j === i + 1 ? d : c;
        if (n > 2 && (onSegment(shared, q, p) || onSegment(shared, p, q))) return [i, j];
        continue;
      }
      if (segmentsMeet(a, b, c, d)) return [i, j];
    }
  }
  return null;
}

/** True when the place is inside the outline or on it. */
export function insidePolygon(outline: readonly XY[], p: XY): boolean {
  let inside = false;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const a = outline[i]!;
    const b = outline[j]!;
    if (onSegment(a, b, p)) return true;
    if (a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  }
  return inside;
}

/** Stretches of the level line y = at (axis "x") or plumb line x = at (axis "y") that lie inside the outline, sorted. */
export function spansAlong(outline: readonly XY[], axis: "x" | "y", at: number): Interval[] {
  const across = axis === "x" ? "y" : "x";
  const cuts: number[] = [];
  for (let i = 0; i < outline.length; i++) {
    const a = outline[i]!;
    const b = outline[(i + 1) % outline.length]!;
    // Half-open rule: a corner on the line is counted once, so entries and exits pair up.
    if (a[across] > at !== b[across] > at) {
      cuts.push(a[axis] + ((at - a[across]) / (b[across] - a[across])) * (b[axis] - a[axis]));
    }
  }
  cuts.sort((p, q) => p - q);
  const out: Interval[] = [];
  for (let i = 0; i + 1 < cuts.length; i += 2) if (cuts[i + 1]! - cuts[i]! > EPS) out.push([cuts[i]!, cuts[i + 1]!]);
  return out;
}

/** Smallest upright box round the outline. */
export function bounds(outline: readonly XY[]): { x0: number; y0: number; x1: number; y1: number } {
  const b = { x0: Infinity, y0: Infinity, x1: -Infinity, y1: -Infinity };
  for (const p of outline) {
    b.x0 = Math.min(b.x0, p.x);
    b.y0 = Math.min(b.y0, p.y);
    b.x1 = Math.max(b.x1, p.x);
    b.y1 = Math.max(b.y1, p.y);
  }
  return b;
}

/** Shortest distance in mm from a place to the outline itself (0 on it). */
export function distanceToOutline(outline: readonly XY[], p: XY): number {
  let best = Infinity;
  for (let i = 0; i < outline.length; i++) {
    const a = outline[i]!;
    const b = outline[(i + 1) % outline.length]!;
    const len2 = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
    const t = len2 === 0 ? 0 : Math.min(1, Math.max(0, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / len2));
    best = Math.min(best, Math.hypot(p.x - a.x - t * (b.x - a.x), p.y - a.y - t * (b.y - a.y)));
  }
  return best;
}

/** Outline of an upright rectangle from its least to its greatest corner, clockwise seen from above with y to the north. */
export const rectOutline = (x0: number, y0: number, x1: number, y1: number): XY[] => [
  { x: x0, y: y0 },
  { x: x0, y: y1 },
  { x: x1, y: y1 },
  { x: x1, y: y0 },
];
