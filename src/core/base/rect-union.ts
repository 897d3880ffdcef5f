import { distinct } from "./distinct";
import { EPS } from "./tolerance";
import { type Rect, type UV, distanceTo } from "./rect";

/** The union of upright rectangles and of bands under sloping edges. Exact for both where a level or plumb stretch is asked about. */
export interface RectUnion {
  rects: readonly Rect[];
  bands: readonly SlopingBand[];
  /** What margins are measured on, worked out when first asked for. */
  grid: () => UnionGrid;
}

/**
 * The union as covered cells between the edges of its rectangles; sloping bands stand in as columns that lie within them.
 * covered[i + j·(us−1)] is 1 when the cell us[i]…us[i+1] × vs[j]…vs[j+1] is in the union.
 */
interface UnionGrid {
  rects: readonly Rect[];
  us: number[];
  vs: number[];
  covered: Uint8Array;
  /** Stretches of its edge. */
  edges: Rect[];
}

/** The part of a wall below a sloping edge and above the same edge `deep` lower. */
export interface SlopingBand {
  edge: readonly [UV, UV];
  deep: number;
}

/** Widest column by which a sloping band is stood in for, mm. */
const COLUMN = 25;

/** Columns that lie wholly within a sloping band. */
function columns({ edge: [p, q], deep }: SlopingBand): Rect[] {
  const n = Math.max(1, Math.ceil((q.u - p.u) / COLUMN));
  const at = (i: number): UV => ({ u: p.u + ((q.u - p.u) * i) / n, v: p.v + ((q.v - p.v) * i) / n });
  return Array.from({ length: n }, (_, i) => {
    const [a, b] = [at(i), at(i + 1)];
    return { u0: a.u, u1: b.u, v0: Math.max(0, Math.max(a.v, b.v) - deep), v1: Math.min(a.v, b.v) };
  }).filter((r) => r.v1 > r.v0);
}

/** The stretch of a level line (across = v) or plumb line (across = u) within a band, or null. */
function bandStretch({ edge: [p, q], deep }: SlopingBand, level: boolean, at: number): [number, number] | null {
  const slope = (q.v - p.v) / (q.u - p.u);
  if (!level) {
    if (at < p.u - EPS || at > q.u + EPS) return null;
    const top = p.v + slope * (at - p.u);
    return [Math.max(0, top - deep), top];
  }
  // Where the edge is at the height of the line, and where it is `deep` above it.
  const [a, b] = [p.u + (at - p.v) / slope, p.u + (at + deep - p.v) / slope].sort((x, y) => x - y) as [number, number];
  const [lo, hi] = [Math.max(p.u, a), Math.min(q.u, b)];
  return hi >= lo - EPS ? [lo, hi] : null;
}

/** True when a stretch on any slope lies in one band from end to end. */
const inBand = ({ edge: [p, q], deep }: SlopingBand, c: UV): boolean => {
  if (c.u < p.u - EPS || c.u > q.u + EPS) return false;
  const top = p.v + ((q.v - p.v) * (c.u - p.u)) / (q.u - p.u);
  return c.v <= top + EPS && c.v >= top - deep - EPS;
};

/** True when the stretch lies wholly in one of the sloping bands: it then follows the top of the wall. */
export const followsBand = (bands: readonly SlopingBand[], a: UV, b: UV): boolean =>
  bands.some((s) => inBand(s, a) && inBand(s, b));

export function rectUnion(rects: readonly Rect[], bands: readonly SlopingBand[] = []): RectUnion {
  let made: UnionGrid | null = null;
  return { rects, bands, grid: () => (made ??= gridOf(bands.length ? [...rects, ...bands.flatMap(columns)] : rects)) };
}

function gridOf(rects: readonly Rect[]): UnionGrid {
  const us = distinct(rects.flatMap((r) => [r.u0, r.u1]));
  const vs = distinct(rects.flatMap((r) => [r.v0, r.v1]));
  const w = Math.max(0, us.length - 1);
  const covered = new Uint8Array(w * Math.max(0, vs.length - 1));
  for (const r of rects) {
    const [i0, i1, j0, j1] = [placeOf(us, r.u0), placeOf(us, r.u1), placeOf(vs, r.v0), placeOf(vs, r.v1)];
    for (let j = j0; j < j1; j++) covered.fill(1, i0 + j * w, i1 + j * w);
  }
  return { rects, us, vs, covered, edges: edgesOf(us, vs, covered) };
}

/** Stretches of the edge of covered cells, one a side of a cell. */
function edgesOf(us: readonly number[], vs: readonly number[], covered: Uint8Array): Rect[] {
  const w = us.length - 1;
  const h = vs.length - 1;
  const at = (i: number, j: number): number => (i < 0 || j < 0 || i >= w || j >= h ? 0 : covered[i + j * w]!);
  const out: Rect[] = [];
  for (let j = 0; j < h; j++)
    for (let i = 0; i <= w; i++)
      if (at(i - 1, j) !== at(i, j)) out.push({ u0: us[i]!, u1: us[i]!, v0: vs[j]!, v1: vs[j + 1]! });
  for (let i = 0; i < w; i++)
    for (let j = 0; j <= h; j++)
      if (at(i, j - 1) !== at(i, j)) out.push({ u0: us[i]!, u1: us[i + 1]!, v0: vs[j]!, v1: vs[j]! });
  return out;
}

/** Number of an edge in the sorted list of edges it was taken from. */
function placeOf(xs: readonly number[], x: number): number {
  let [lo, hi] = [0, xs.length - 1];
  while (lo < hi) {
    const mid = (lo + hi) >> 1;
    if (xs[mid]! < x - EPS) lo = mid + 1;
    else hi = mid;
  }
  return lo;
}

/** True when the level or plumb stretch lies wholly in the union, edges included. */
export function unionCovers(z: RectUnion, a: UV, b: UV): boolean {
  const level = Math.abs(a.v - b.v) <= EPS;
  const lo = level ? Math.min(a.u, b.u) : Math.min(a.v, b.v);
  const hi = level ? Math.max(a.u, b.u) : Math.max(a.v, b.v);
  const at = level ? a.v : a.u;
  // Most lines lie in one rectangle from end to end.
  for (const r of z.rects)
    if (
      level
        ? at >= r.v0 - EPS && at <= r.v1 + EPS && r.u0 <= lo + EPS && r.u1 >= hi - EPS
        : at >= r.u0 - EPS && at <= r.u1 + EPS && r.v0 <= lo + EPS && r.v1 >= hi - EPS
    )
      return true;
  let reached = lo;
  // Sweep: repeatedly extend with any rectangle that holds the line at the reached place.
  const stretches = z.bands.length ? z.bands.flatMap((s) => bandStretch(s, level, at) ?? []) : [];
  for (let guard = 0; guard <= z.rects.length + z.bands.length; guard++) {
    let next = reached;
    let any = false;
    for (let i = 0; i < stretches.length; i += 2) {
      if (stretches[i]! > reached + EPS || stretches[i + 1]! < reached - EPS) continue;
      any = true;
      next = Math.max(next, stretches[i + 1]!);
    }
    for (const r of z.rects) {
      if (at < (level ? r.v0 : r.u0) - EPS || at > (level ? r.v1 : r.u1) + EPS) continue;
      const end = level ? r.u1 : r.v1;
      if ((level ? r.u0 : r.v0) > reached + EPS || end < reached - EPS) continue;
      any = true;
      next = Math.max(next, end);
    }
    if (!any) return false;
    if (next >= hi - EPS) return true;
    if (next <= reached + EPS) return false;
    reached = next;
  }
  return false;
}

const pointToSpan = (p: number, a: number, b: number): number => Math.max(a - p, 0, p - b);

/** True for a stretch of the edge that lies on the given outer frame. */
const onFrame = (e: Rect, frame: Rect): boolean =>
  (e.u0 === e.u1 && (e.u0 <= frame.u0 + EPS || e.u0 >= frame.u1 - EPS)) ||
  (e.v0 === e.v1 && (e.v0 <= frame.v0 + EPS || e.v0 >= frame.v1 - EPS));

/** Distance in mm from a place to the nearest rectangle of the union; Infinity when there is none. */
export function distanceToUnion(z: RectUnion, p: UV): number {
  let best = Infinity;
  for (const r of z.grid().rects) best = Math.min(best, distanceTo(r, p));
  return best;
}

/** Places along a–b where the distance to the union can turn: ends, rectangle edges, and half-ways between them. */
function turningPlaces(z: RectUnion, a: UV, b: UV): UV[] {
  const ts = [0, 1];
  const du = b.u - a.u;
  const dv = b.v - a.v;
  for (const r of z.grid().rects) {
    if (Math.abs(du) > EPS) ts.push((r.u0 - a.u) / du, (r.u1 - a.u) / du);
    if (Math.abs(dv) > EPS) ts.push((r.v0 - a.v) / dv, (r.v1 - a.v) / dv);
  }
  const kept = ts.filter((t) => t >= 0 && t <= 1).sort((p, q) => p - q);
  const all: number[] = [];
  for (let i = 0; i < kept.length; i++) {
    all.push(kept[i]!);
    if (i + 1 < kept.length) for (let k = 1; k < 8; k++) all.push(kept[i]! + ((kept[i + 1]! - kept[i]!) * k) / 8);
  }
  return all.map((t) => ({ u: a.u + du * t, v: a.v + dv * t }));
}

/**
 * Room to spare for a stretch a–b: the least distance to the edge of the union when it lies inside,
 * otherwise minus the farthest that any of it strays outside. Edges on the wall's own frame
 * (floor, ceiling, wall ends) are not counted: a drop that meets the ceiling does not leave its strip there.
 * A level or plumb stretch is exact; a slope is taken at its turning places.
 */
export function unionMargin(z: RectUnion, frame: Rect, a: UV, b: UV): number {
  if (z.rects.length + z.bands.length === 0) return -Infinity;
  const straight = Math.abs(a.u - b.u) <= EPS || Math.abs(a.v - b.v) <= EPS;
  const places = turningPlaces(z, a, b);
  const inside = straight
    ? unionCovers(z, a, b)
    : followsBand(z.bands, a, b) || places.every((p) => distanceToUnion(z, p) <= EPS);
  if (inside && !straight && followsBand(z.bands, a, b)) return 0;
  if (!inside) return -Math.max(...places.map((p) => distanceToUnion(z, p)));
  const lo = { u: Math.min(a.u, b.u), v: Math.min(a.v, b.v) };
  const hi = { u: Math.max(a.u, b.u), v: Math.max(a.v, b.v) };
  let best = Infinity;
  for (const e of z.grid().edges) {
    if (onFrame(e, frame)) continue;
    if (straight) {
      const du = Math.max(e.u0 - hi.u, 0, lo.u - e.u1);
      const dv = Math.max(e.v0 - hi.v, 0, lo.v - e.v1);
      best = Math.min(best, Math.hypot(du, dv));
    } else {
      for (const p of places)
        best = Math.min(best, Math.hypot(pointToSpan(p.u, e.u0, e.u1), pointToSpan(p.v, e.v0, e.v1)));
    }
  }
  return best;
}
