import type { Job } from "../job/model";
import { plateOf } from "../rules/accessories";

/*
 * Walls, what is behind them, openings and zones a second time, for tests: from the rules alone and the job as it is stored. Shares
 * no code with the house and the zones of the program. Slow and plain.
 */

export type V3 = readonly number[];
export const near = (a: number, b: number, by = 0.6): boolean => Math.abs(a - b) <= by;

export interface Wall {
  id: string;
  room: Job["rooms"][number];
  wall: Job["walls"][number];
  floor: number;
  ox: number;
  oy: number;
  dx: number;
  dy: number;
  long: number;
}

export function wallsOf(job: Job): Wall[] {
  return job.walls.map((wall) => {
    const room = job.rooms.find((r) => r.id === wall.room)!;
    const a = room.outline[wall.index]!;
    const b = room.outline[(wall.index + 1) % room.outline.length]!;
    const long = Math.hypot(b.x - a.x, b.y - a.y);
    const floor = job.storeys.find((s) => s.id === room.storey)!.level;
    return { id: wall.id, room, wall, floor, ox: a.x, oy: a.y, dx: (b.x - a.x) / long, dy: (b.y - a.y) / long, long };
  });
}

/** A place of the house on a wall: along it, up it, and how far it lies in front of its face. */
export const on = (w: Wall, p: V3): { u: number; v: number; out: number } => ({
  u: (p[0]! - w.ox) * w.dx + (p[1]! - w.oy) * w.dy,
  v: p[2]! - w.floor,
  out: (p[0]! - w.ox) * w.dy - (p[1]! - w.oy) * w.dx,
});
export const spot = (w: Wall, u: number, v: number): V3 => [w.ox + u * w.dx, w.oy + u * w.dy, w.floor + v];

/** Faces of other rooms on the other side of a wall. */
export const behind = (walls: readonly Wall[], w: Wall): Wall[] =>
  walls.filter((o) => {
    if (o.room.id === w.room.id || o.dx * w.dx + o.dy * w.dy > -0.999) return false;
    const gap = -on(w, [o.ox, o.oy, 0]).out;
    if (gap < 10 || Math.abs(gap - w.wall.thickness) > 40 || Math.abs(gap - o.wall.thickness) > 40) return false;
    if (o.floor >= w.floor + w.room.height || w.floor >= o.floor + o.room.height) return false;
    const us = [on(w, spot(o, 0, 0)).u, on(w, spot(o, o.long, 0)).u];
    return Math.min(...us) < w.long - 10 && Math.max(...us) > 10;
  });

export interface Box {
  u0: number;
  u1: number;
  v0: number;
  v1: number;
}
export const boxes = (
  list: readonly { wall: string; u: number; v: number; width: number; height: number }[],
  w: Wall,
): Box[] => list.flatMap((o) => (o.wall === w.id ? [{ u0: o.u, u1: o.u + o.width, v0: o.v, v1: o.v + o.height }] : []));
/** A box of another face as seen from this one. */
export const seenFrom = (w: Wall, o: Wall, b: Box): Box => {
  const p = on(w, spot(o, b.u0, b.v0));
  const q = on(w, spot(o, b.u1, b.v1));
  return { u0: Math.min(p.u, q.u), u1: Math.max(p.u, q.u), v0: p.v, v1: q.v };
};
export const insideBox = (b: Box, u: number, v: number, by = 0.6): boolean =>
  u > b.u0 + by && u < b.u1 - by && v > b.v0 + by && v < b.v1 - by;

interface Strip {
  u: number;
  v: number;
  width: number;
  height: number;
  reach: Box;
}

/** The walls of a job as they were read, and what a second look asks of them. */
export interface SecondWalls {
  walls: Wall[];
  wallOf: ReadonlyMap<string, Wall>;
  back: ReadonlyMap<string, Wall[]>;
  openings: ReadonlyMap<string, Box[]>;
  /** True when the corner before (−1) or after (1) a wall is an angle between two walls that stand there. */
  turns: (w: Wall, by: -1 | 1) => boolean;
  inZone: (w: Wall, u: number, v: number) => boolean;
}

export function secondWalls(job: Job): SecondWalls {
  const walls = wallsOf(job);
  const wallOf = new Map(walls.map((w) => [w.id, w]));
  const back = new Map(walls.map((w) => [w.id, behind(walls, w)]));
  const openings = new Map(
    walls.map((w) => [
      w.id,
      [
        ...boxes(job.openings, w),
        ...back.get(w.id)!.flatMap((o) => boxes(job.openings, o).map((b) => seenFrom(w, o, b))),
      ],
    ]),
  );

  const turned = new Map<string, boolean>();
  const turns = (w: Wall, by: -1 | 1): boolean => {
    const key = `${w.id} ${by}`;
    const kept = turned.get(key);
    if (kept !== undefined) return kept;
    const n = w.room.outline.length;
    const other = walls.find((x) => x.room.id === w.room.id && x.wall.index === (w.wall.index + by + n) % n)!;
    const out = other.wall.build !== "open" && Math.abs(other.dx * w.dy - other.dy * w.dx) > 0.01;
    turned.set(key, out);
    return out;
  };

  /** Points whose strips a face has: its own, and through a thin wall those of the other face, as far as that face goes. */
  const strips = new Map<string, Strip[]>();
  const stripsOf = (w: Wall): Strip[] => {
    let out = strips.get(w.id);
    if (out) return out;
    out = job.points.flatMap((p): Strip[] => {
      const { place } = p;
      if (place.on !== "wall") return [];
      if (place.wall === w.id)
        return [{ ...plateOf(p), u: place.u, v: place.v, reach: { u0: 0, u1: w.long, v0: 0, v1: w.room.height } }];
      const o = back.get(w.id)!.find((x) => x.id === place.wall);
      if (!o || w.wall.thickness > 100) return [];
      const here = on(w, spot(o, place.u, place.v));
      if (here.u < 0 || here.u > w.long || here.v < 0 || here.v > w.room.height) return [];
      const reach = seenFrom(w, o, { u0: 0, u1: o.long, v0: 0, v1: o.room.height });
      return [{ ...plateOf(p), u: here.u, v: here.v, reach }];
    });
    strips.set(w.id, out);
    return out;
  };

  /** True when a hidden cable may lie at a place of a wall: in a band, or in the strip of a point seen without an opening between. */
  const inZone = (w: Wall, u: number, v: number): boolean => {
    const slack = 0.6;
    const { height, slopes } = w.room;
    if (slopes.length) return true;
    if (v >= height - 150 - slack) return true;
    if (u <= 150 + slack && turns(w, -1)) return true;
    if (u >= w.long - 150 - slack && turns(w, 1)) return true;
    const holes = openings.get(w.id)!;
    const stripOf = (pu: number, pv: number, width: number, tall: number, reach: Box): boolean => {
      if (holes.some((o) => insideBox(o, pu, pv, 0))) return false;
      if (u < reach.u0 - slack || u > reach.u1 + slack || v < reach.v0 - slack || v > reach.v1 + slack) return false;
      const blocked = (o: Box, upright: boolean): boolean =>
        upright
          ? u > o.u0 + slack && u < o.u1 - slack && Math.max(v, pv) > o.v0 + slack && Math.min(v, pv) < o.v1 - slack
          : v > o.v0 + slack && v < o.v1 - slack && Math.max(u, pu) > o.u0 + slack && Math.min(u, pu) < o.u1 - slack;
      if (Math.abs(u - pu) <= width / 2 + slack && !holes.some((o) => blocked(o, true))) return true;
      return Math.abs(v - pv) <= tall / 2 + slack && !holes.some((o) => blocked(o, false));
    };
    return stripsOf(w).some((p) => stripOf(p.u, p.v, p.width, p.height, p.reach));
  };
  return { walls, wallOf, back, openings, turns, inZone };
}
