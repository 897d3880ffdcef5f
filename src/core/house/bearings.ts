import { type Interval, union } from "../base/interval";
import type { Deck, Job } from "../job/model";
import { toSpace } from "../base/wall-frame";
import { bounds } from "../base/polygon";
import type { House } from "./house";

/**
 * Over this a clear span of joists is asked about, mm. Source: Trade habit: common sizes of joist are not laid over it between
 * two supports.
 */
export const LONG_SPAN = 5000;

/** A wall inside the storey that joists could rest on, seen along them. mm from the edge the bearings are measured from. */
export interface InnerWall {
  from: number;
  to: number;
  /** Share of the deck's width that stands under it, 0 to 1. */
  share: number;
  masonry: boolean;
  /** The rooms it stands between. */
  between: readonly [string, string];
}

/** Along the joists: x for east–west. */
const axisOf = (direction: Deck["joists"]["direction"]): "x" | "y" => (direction === "east-west" ? "x" : "y");

/** Where the rooms of a storey lie, mm; null where it has none. */
export function extentOf(job: Job, storey: string): ReturnType<typeof bounds> | null {
  const rooms = job.rooms.filter((r) => r.storey === storey && r.kind !== "yard");
  return rooms.length ? bounds(rooms.flatMap((r) => r.outline)) : null;
}

/** The usual way: joists span the shorter side. */
export function usualDirection(job: Job, storey: string): Deck["joists"]["direction"] {
  const b = extentOf(job, storey);
  return b && b.x1 - b.x0 > b.y1 - b.y0 ? "north-south" : "east-west";
}

/** Walls between the rooms of a storey that stand square across joists of a direction, in order. */
export function innerWalls(h: House, storey: string, direction: Deck["joists"]["direction"]): InnerWall[] {
  const b = extentOf(h.job, storey);
  if (!b) return [];
  const axis = axisOf(direction);
  const [origin, wide] = axis === "x" ? [b.x0, b.y1 - b.y0] : [b.y0, b.x1 - b.x0];
  const walls = new Map<
    string,
    { from: number; to: number; masonry: boolean; between: [string, string]; under: Interval[] }
  >();
  for (const f of h.faces) {
    const other = h.faces[f.opposite[0] ?? -1];
    if (f.room.storey !== storey || !other || f.wall.build === "open") continue;
    const { along, inward } = f.frame;
    if (Math.abs(axis === "x" ? along.x : along.y) > 1e-6) continue;
    const ends = [0, f.shape.length].map((u) => toSpace(f.frame, { u, v: 0 }));
    const face = ends[0]![axis === "x" ? 0 : 1];
    const back = face - (axis === "x" ? inward.x : inward.y) * f.wall.thickness;
    const [from, to] = [Math.min(face, back) - origin, Math.max(face, back) - origin];
    const cross = ends.map((p) => p[axis === "x" ? 1 : 0]);
    const name = `${Math.round(from)} ${Math.round(to)}`;
    const there = walls.get(name) ?? {
      from,
      to,
      masonry: true,
      between: [f.room.name, other.room.name],
      under: [],
    };
    there.masonry &&= f.wall.build === "masonry" || f.wall.build === "dry-lined";
    there.under.push([Math.min(...cross), Math.max(...cross)]);
    walls.set(name, there);
  }
  return [...walls.values()]
    .map(({ under, ...w }) => ({
      ...w,
      share: Math.min(1, union(under).reduce((s, [p, q]) => s + q - p, 0) / Math.max(1, wide)),
    }))
    .sort((p, q) => p.from - q.from);
}

/** Bearings at both edges and on the inner walls given, mm from the edge they are measured from. */
export function bearingsOn(
  job: Job,
  storey: string,
  direction: Deck["joists"]["direction"],
  on: readonly InnerWall[],
): Interval[] {
  const b = extentOf(job, storey);
  if (!b) return [];
  const long = axisOf(direction) === "x" ? b.x1 - b.x0 : b.y1 - b.y0;
  const inner = on.map((w): Interval => [Math.round(w.from), Math.round(w.to)]);
  return [[-100, 0], ...inner, [Math.round(long), Math.round(long) + 100]];
}

/** Clear spans between bearings, mm. */
export const clearSpans = (bearings: readonly Interval[]): number[] =>
  [...bearings]
    .sort((p, q) => p[0] - q[0])
    .flatMap((x, i, all) => (i && x[0] > all[i - 1]![1] ? [x[0] - all[i - 1]![1]] : []));
