import { type XY, distanceToOutline, insidePolygon } from "./polygon";
import { EPS } from "./tolerance";

/** The place where three others are equally far away, or null when they lie in line. */
function centreOf(a: XY, b: XY, c: XY): XY | null {
  const d = 2 * (a.x * (b.y - c.y) + b.x * (c.y - a.y) + c.x * (a.y - b.y));
  if (Math.abs(d) <= EPS) return null;
  const sq = (p: XY): number => p.x * p.x + p.y * p.y;
  return {
    x: (sq(a) * (b.y - c.y) + sq(b) * (c.y - a.y) + sq(c) * (a.y - b.y)) / d,
    y: (sq(a) * (c.x - b.x) + sq(b) * (a.x - c.x) + sq(c) * (b.x - a.x)) / d,
  };
}

/** Where the side from p to q is equally far from a and b; null when nowhere on it. */
function halfWay(p: XY, q: XY, a: XY, b: XY): XY | null {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const k = (q.x - p.x) * dx + (q.y - p.y) * dy;
  if (Math.abs(k) <= EPS) return null;
  const t = (((a.x + b.x) / 2 - p.x) * dx + ((a.y + b.y) / 2 - p.y) * dy) / k;
  return t < 0 || t > 1 ? null : { x: p.x + t * (q.x - p.x), y: p.y + t * (q.y - p.y) };
}

/**
 * The place of a room that is farthest from the nearest of some others, and how far, mm: a corner, a place on a side half way between
 * two of them, or one inside with three equally near. Infinitely far, and a corner, where there are none.
 */
export function farthestFrom(outline: readonly XY[], from: readonly XY[]): { at: XY; far: number } {
  const places: XY[] = [...outline];
  from.forEach((a, i) =>
    from.slice(i + 1).forEach((b, j) => {
      outline.forEach((p, n) => {
        const x = halfWay(p, outline[(n + 1) % outline.length]!, a, b);
        if (x) places.push(x);
      });
      for (const c of from.slice(i + j + 2)) {
        const x = centreOf(a, b, c);
        if (x && (insidePolygon(outline, x) || distanceToOutline(outline, x) <= EPS)) places.push(x);
      }
    }),
  );
  return places
    .map((at) => ({ at, far: Math.min(...from.map((a) => Math.hypot(a.x - at.x, a.y - at.y))) }))
    .reduce((a, b) => (b.far > a.far ? b : a));
}
