import type { XY } from "./polygon";
import type { UV } from "./rect";
import { EPS } from "./tolerance";

/** A sloping part of a ceiling: a plane that rises from a wall. Height mm, pitch degrees. */
export interface SlopingPart {
  wall: number;
  eaves: number;
  pitch: number;
}

/** A ceiling: a level height, and any number of sloping parts; the ceiling is the lowest of them everywhere. */
export interface Ceiling {
  outline: readonly XY[];
  height: number;
  slopes: readonly SlopingPart[];
}

/** Height of one sloping part over a place, mm above the floor: eaves plus the distance off its wall times the tangent of its pitch. */
function partAt(c: Ceiling, s: SlopingPart, p: XY): number {
  const a = c.outline[s.wall]!;
  const b = c.outline[(s.wall + 1) % c.outline.length]!;
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  // Into the room: right of the wall's direction in a clockwise outline.
  const off = ((p.x - a.x) * (b.y - a.y) - (p.y - a.y) * (b.x - a.x)) / length;
  return s.eaves + off * Math.tan((s.pitch * Math.PI) / 180);
}

/** Height of the ceiling over a place, mm above the floor. */
export const ceilingAt = (c: Ceiling, p: XY): number =>
  c.slopes.reduce((h, s) => Math.min(h, partAt(c, s, p)), c.height);

/**
 * Upper edge of a wall under a ceiling, from its left end to its right, as corners of a line: u along the wall, v above the
 * floor. Two corners for a level or evenly sloping top. Exact: the lowest of planes over a line is a line with few corners.
 */
export function topEdge(c: Ceiling, wall: number): UV[] {
  const a = c.outline[wall]!;
  const b = c.outline[(wall + 1) % c.outline.length]!;
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  const place = (u: number): XY => ({ x: a.x + ((b.x - a.x) * u) / length, y: a.y + ((b.y - a.y) * u) / length });
  // Each part is a straight line over the wall: its value at both ends.
  const lines: [v0: number, v1: number][] = [
    [c.height, c.height],
    ...c.slopes.map((s): [number, number] => [partAt(c, s, a), partAt(c, s, b)]),
  ];
  const cuts = [0, length];
  for (let i = 0; i < lines.length; i++)
    for (let j = i + 1; j < lines.length; j++) {
      const [p, q] = [lines[i]!, lines[j]!];
      const slope = q[1] - q[0] - (p[1] - p[0]);
      if (Math.abs(slope) < EPS) continue;
      const t = (p[0] - q[0]) / slope;
      if (t > 0 && t < 1) cuts.push(t * length);
    }
  const us = cuts.sort((x, y) => x - y).filter((u, i, all) => i === 0 || u - all[i - 1]! > EPS);
  const edge = us.map((u) => ({ u, v: Math.max(0, ceilingAt(c, place(u))) }));
  // Corners in line with their neighbours are none.
  return edge.filter((p, i) => {
    const [l, r] = [edge[i - 1], edge[i + 1]];
    return !l || !r || Math.abs(l.v + ((r.v - l.v) * (p.u - l.u)) / (r.u - l.u) - p.v) > EPS;
  });
}

/** Height of a top edge at u, mm; beyond its ends the height of the end. */
export function topAt(edge: readonly UV[], u: number): number {
  const first = edge[0]!;
  if (u <= first.u) return first.v;
  for (let i = 1; i < edge.length; i++) {
    const [p, q] = [edge[i - 1]!, edge[i]!];
    if (u <= q.u + EPS) return q.u - p.u <= EPS ? Math.min(p.v, q.v) : p.v + ((q.v - p.v) * (u - p.u)) / (q.u - p.u);
  }
  return edge[edge.length - 1]!.v;
}

/** Lowest height of a top edge between two places, mm. */
export const lowestTop = (edge: readonly UV[], u0: number, u1: number): number =>
  Math.min(topAt(edge, u0), topAt(edge, u1), ...edge.filter((p) => p.u > u0 && p.u < u1).map((p) => p.v));

/** The stretch round u, between u0 and u1, over which the top edge is at least v high; null when it is lower at u itself. */
export function stretchUnder(
  edge: readonly UV[],
  u: number,
  v: number,
  u0: number,
  u1: number,
): [number, number] | null {
  if (topAt(edge, u) < v - EPS) return null;
  let [lo, hi] = [u0, u1];
  for (let i = 1; i < edge.length; i++) {
    const [p, q] = [edge[i - 1]!, edge[i]!];
    if (p.v >= v - EPS === q.v >= v - EPS) {
      if (p.v < v - EPS) {
        if (q.u <= u) lo = Math.max(lo, q.u);
        if (p.u >= u) hi = Math.min(hi, p.u);
      }
      continue;
    }
    const cut = p.u + ((v - p.v) * (q.u - p.u)) / (q.v - p.v);
    if (cut <= u + EPS && p.v < q.v) lo = Math.max(lo, cut);
    if (cut >= u - EPS && p.v > q.v) hi = Math.min(hi, cut);
  }
  return hi > lo ? [lo, hi] : null;
}
