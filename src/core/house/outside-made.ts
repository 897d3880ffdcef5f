import { type XY, bounds } from "../base/polygon";
import { clamp } from "../base/tolerance";
import {
  type Ground,
  type LightRow,
  type OutsideWay,
  type Post,
  type Room,
  groundSchema,
  lightRowSchema,
  outsideWaySchema,
  postSchema,
} from "../job/model";
import type { Face, House } from "./house";

/** Yards of a job: rooms out of doors, and where there are none, none. */
export const yardsOf = (h: Pick<House, "job">): Room[] => h.job.rooms.filter((r) => r.kind === "yard");

/** Walls that face a yard, with the house or an outbuilding behind them. */
export const yardFaces = (h: House): Face[] => h.faces.filter((f) => f.room.kind === "yard" && f.wall.build !== "open");

const whole = (x: number): number => Math.round(x);

/** The wall of a yard nearest to a place seen from above, and how far along it; null without any. */
export function nearestYardWall(h: House, p: XY): { face: Face; u: number; off: number } | null {
  let best: { face: Face; u: number; off: number } | null = null;
  for (const face of yardFaces(h)) {
    const { origin, along } = face.frame;
    const u = clamp((p.x - origin[0]) * along.x + (p.y - origin[1]) * along.y, 0, face.shape.length);
    const off = Math.hypot(origin[0] + along.x * u - p.x, origin[1] + along.y * u - p.y);
    if (!best || off < best.off) best = { face, u, off };
  }
  return best;
}

/** A place beside doors on a wall: the wanted one, or the nearest clear of openings that reach the ground. */
function clearOfDoors(f: Face, u: number): number {
  const doors = f.shape.openings.filter((o) => o.v <= 1);
  const inDoor = doors.find((o) => u > o.u - 60 && u < o.u + o.width + 60);
  if (!inDoor) return whole(u);
  const [left, right] = [inDoor.u - 100, inDoor.u + inDoor.width + 100];
  const tries = [left, right].filter((x) => x >= 50 && x <= f.shape.length - 50);
  return whole(tries.sort((a, b) => Math.abs(a - u) - Math.abs(b - u))[0] ?? u);
}

/** First label of a letter that is free: TR1, TR2. */
export function freeLabel(letters: string, taken: readonly { label: string }[]): string {
  const there = new Set(taken.map((x) => x.label));
  for (let n = 1; ; n++) if (!there.has(`${letters}${n}`)) return `${letters}${n}`;
}

/** Height at which a wire leaves a wall to begin with, mm. */
const WIRE_HEIGHT = 3800;

/**
 * A trench or a wire from one place to another, both brought to the nearest wall of a yard.
 * @returns the way, or words when there is no wall to begin or to end at
 */
export function wayBetween(h: House, kind: OutsideWay["kind"], line: readonly XY[], id: string): OutsideWay | string {
  const [a, b] = [line[0], line[line.length - 1]].map((p) => (p ? nearestYardWall(h, p) : null));
  if (!a || !b) return "There is no wall of a yard to begin at: draw a yard beside the house first, in Survey.";
  const end = (x: NonNullable<typeof a>): OutsideWay["from"] => ({
    wall: x.face.wall.id,
    u: kind === "trench" ? clearOfDoors(x.face, x.u) : whole(x.u),
    v: kind === "trench" ? 0 : Math.min(WIRE_HEIGHT, x.face.shape.height - 50),
  });
  const [from, to] = [end(a), end(b)];
  if (from.wall === to.wall && Math.abs(from.u - to.u) < 500)
    return "It begins and ends at one place: press first where it leaves a wall, and last where it comes to another.";
  return outsideWaySchema.parse({
    id,
    label: freeLabel(kind === "trench" ? "TR" : "CW", h.job.outsideWays),
    kind,
    from,
    to,
    ...(kind === "trench" ? { turns: line.slice(1, -1).map((p) => ({ x: whole(p.x), y: whole(p.y) })) } : {}),
  });
}

/** A way between the two walls of yards that lie farthest apart, to begin with. */
export function usualWay(h: House, kind: OutsideWay["kind"], id: string): OutsideWay | string {
  const mids = yardFaces(h).map((f): XY => {
    const { origin, along, length } = f.frame;
    return { x: origin[0] + (along.x * length) / 2, y: origin[1] + (along.y * length) / 2 };
  });
  let best: [XY, XY] | null = null;
  for (const p of mids)
    for (const q of mids)
      if (!best || Math.hypot(p.x - q.x, p.y - q.y) > Math.hypot(best[0].x - best[1].x, best[0].y - best[1].y))
        best = [p, q];
  return wayBetween(h, kind, best ?? [], id);
}

/** The yard a place lies in, else the first. */
export function yardAt(h: Pick<House, "job">, p: XY): Room | null {
  const yards = yardsOf(h);
  const inside = (r: Room): boolean => {
    const b = bounds(r.outline);
    return p.x >= b.x0 && p.x <= b.x1 && p.y >= b.y0 && p.y <= b.y1;
  };
  return yards.find(inside) ?? yards[0] ?? null;
}

const NO_YARD = "There is no yard yet: add a room of the kind yard in Survey, and the ground lies in it.";

/** A part of the ground with so many corners; two corners are those of a rectangle along the house. */
export function groundOf(
  h: Pick<House, "job">,
  kind: Ground["kind"],
  corners: readonly XY[],
  id: string,
): Ground | string {
  const room = corners[0] ? yardAt(h, corners[0]) : (yardsOf(h)[0] ?? null);
  if (!room) return NO_YARD;
  if (corners.length < 2) return "Two corners at least: of a rectangle, or all corners one after the other.";
  const outline =
    corners.length === 2
      ? (() => {
          const b = bounds(corners);
          return [
            { x: b.x0, y: b.y0 },
            { x: b.x0, y: b.y1 },
            { x: b.x1, y: b.y1 },
            { x: b.x1, y: b.y0 },
          ];
        })()
      : [...corners];
  return groundSchema.parse({
    id,
    room: room.id,
    kind,
    outline: outline.map((p) => ({ x: whole(p.x), y: whole(p.y) })),
  });
}

/** A strip through the middle of the first yard, to begin with. */
export function usualGround(h: Pick<House, "job">, kind: Ground["kind"], id: string): Ground | string {
  const room = yardsOf(h)[0];
  if (!room) return NO_YARD;
  const b = bounds(room.outline);
  const mid = (b.y0 + b.y1) / 2;
  const half = Math.min(600, (b.y1 - b.y0) / 4);
  return groundOf(
    h,
    kind,
    [
      { x: b.x0, y: mid - half },
      { x: b.x1, y: mid + half },
    ],
    id,
  );
}

/** A post at a place. */
export function postAt(h: Pick<House, "job">, p: XY, id: string): Post | string {
  const room = yardAt(h, p);
  if (!room) return NO_YARD;
  return postSchema.parse({
    id,
    room: room.id,
    label: freeLabel("P", h.job.posts),
    x: whole(p.x),
    y: whole(p.y),
    height: 2400,
  });
}

/** What may feed a row of lights: fused units, switches, junction boxes and outdoor outlets on walls. */
export const feedsOf = (h: Pick<House, "points">): House["points"] =>
  h.points.filter(
    (p) => p.face >= 0 && ["fused-unit", "switch", "junction-box", "isolator", "sensor"].includes(p.point.kind),
  );

/** A row of six lights along a path, fed from the nearest point that may feed it. */
export function rowAlong(h: House, path: readonly XY[], id: string): LightRow | string {
  const start = path[0];
  const room = start ? yardAt(h, start) : null;
  if (!room) return NO_YARD;
  if (path.length < 2) return "Two places at least: where the path begins and where it ends.";
  const near = [...feedsOf(h)].sort(
    (a, b) =>
      Math.hypot(a.space[0] - start!.x, a.space[1] - start!.y) -
      Math.hypot(b.space[0] - start!.x, b.space[1] - start!.y),
  )[0];
  if (!near) return "There is nothing to feed it from: place a fused unit, a switch or a junction box on a wall first.";
  return lightRowSchema.parse({
    id,
    label: freeLabel("PL", h.job.lightRows),
    room: room.id,
    from: near.point.id,
    path: path.map((p) => ({ x: whole(p.x), y: whole(p.y) })),
    count: 6,
    cable: "swa-3x1.5",
  });
}
