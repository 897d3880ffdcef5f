import { type XY, bounds, insidePolygon } from "../base/polygon";
import { clamp, same } from "../base/tolerance";
import { toFace, toSpace, wallFrame } from "../base/wall-frame";
import { layHouse } from "./house";
import { ofCeiling, underFloor, voidOver } from "./over-ceiling";
import type { Job, Room, SectionPlace, Wall } from "../job/model";
import type { Change } from "../job/patch";
import { mm } from "../base/figures";
import { type NewId, changeOf, wallsOf } from "./change-of";

/** Corners are kept to a tenth of a millimetre. */
const tenth = (x: number): number => Math.round(x * 10) / 10 + 0;
const tidyCorner = (p: XY): XY => ({ x: tenth(p.x), y: tenth(p.y) });

/**
 * Gives a room another outline; what is on its walls stays where it is in the house, as far as the new wall reaches.
 * @param outline new corners, clockwise, mm
 * @param from for each new side the number of the old side it comes from
 */
function redraw(
  job: Job,
  room: Room,
  outline: XY[],
  walls: { wall: Wall; index: number; old: number; u0?: number; u1?: number }[],
): Change[] {
  const out: Change[] = [changeOf(job, "rooms", room.id, { ...room, outline: outline.map(tidyCorner) })];
  const next = outline.map(tidyCorner);
  /** By old wall: where places along it now lie. */
  const went: { source: string; wall: string; mine: (u: number) => boolean; to: (u: number) => number }[] = [];
  for (const w of walls) {
    const was = wallFrame(room.outline, w.old, 0);
    const now = wallFrame(next, w.index, 0);
    const there = (u: number): number => toFace(now, toSpace(was, { u, v: 0 })).u;
    const mine = (u: number): boolean =>
      (w.u0 === undefined || u >= w.u0 - 1e-6) && (w.u1 === undefined || u < w.u1 - 1e-6);
    const source = job.walls.find((x) => x.room === room.id && x.index === w.old)!.id;
    if (w.wall.index !== w.index || !job.walls.some((x) => x.id === w.wall.id))
      out.push(changeOf(job, "walls", w.wall.id, { ...w.wall, index: w.index }));
    const moved = w.wall.id !== source;
    // A corner of the room stays its corner.
    const to = (u: number): number =>
      same(u, was.length) ? tenth(now.length) : same(u, 0) ? 0 : tenth(clamp(there(u), 0, now.length));
    went.push({ source, wall: w.wall.id, mine, to });
    for (const kind of ["openings", "fixtures"] as const)
      for (const x of job[kind]) {
        if (x.wall !== source || !mine(x.u + (w.u0 === undefined && w.u1 === undefined ? 0 : x.width / 2))) continue;
        const width = Math.min(x.width, now.length);
        const u = tenth(clamp(there(x.u), 0, now.length - width));
        if (moved || u !== x.u || width !== x.width)
          out.push(changeOf(job, kind, x.id, { ...x, wall: w.wall.id, u, width: tenth(width) }));
      }
    for (const p of job.points) {
      if (p.place.on !== "wall" || p.place.wall !== source || !mine(p.place.u)) continue;
      const u = tenth(clamp(there(p.place.u), 0, now.length));
      if (moved || u !== p.place.u)
        out.push(changeOf(job, "points", p.id, { ...p, place: { ...p.place, wall: w.wall.id, u } }));
    }
    for (const p of job.photos)
      if (p.wall === source && mine(p.u)) {
        const u = tenth(clamp(there(p.u), 0, now.length));
        if (moved || u !== p.u) out.push(changeOf(job, "photos", p.id, { ...p, wall: w.wall.id, u }));
      }
  }
  for (const s of job.sections) {
    const path = s.path.map((p): SectionPlace => {
      const w = p.on === "wall" ? went.find((x) => x.source === p.wall && x.mine(p.u)) : undefined;
      return p.on === "wall" && w ? { ...p, wall: w.wall, u: w.to(p.u) } : p;
    });
    if (JSON.stringify(path) !== JSON.stringify(s.path)) out.push(changeOf(job, "sections", s.id, { ...s, path }));
  }
  // A way out of doors leaves its wall where it did.
  for (const x of job.outsideWays) {
    const moved = (e: typeof x.from): typeof x.from => {
      const w = went.find((y) => y.source === e.wall && y.mine(e.u));
      return w ? { ...e, wall: w.wall, u: w.to(e.u) } : e;
    };
    const now = { ...x, from: moved(x.from), to: moved(x.to) };
    if (JSON.stringify(now) !== JSON.stringify(x)) out.push(changeOf(job, "outsideWays", x.id, now));
  }
  return out;
}

const sameSides = (job: Job, room: Room): { wall: Wall; index: number; old: number }[] =>
  wallsOf(job, room.id).map((wall) => ({ wall, index: wall.index, old: wall.index }));

/** Moves one corner; openings, fixtures and points of the two walls stay in place in the house. */
export function moveCorner(job: Job, room: Room, corner: number, to: XY): Change[] {
  return redraw(
    job,
    room,
    room.outline.map((p, i) => (i === corner ? to : p)),
    sameSides(job, room),
  );
}

/**
 * Corners of an outline after one side is slid sideways by `by` mm into the room (negative: out): its neighbours keep
 * their direction.
 */
function slid(outline: readonly XY[], side: number, shift: XY): XY[] {
  const n = outline.length;
  const at = (i: number): XY => outline[((i % n) + n) % n]!;
  const [a, b] = [at(side), at(side + 1)];
  const moved = [
    { x: a.x + shift.x, y: a.y + shift.y },
    { x: b.x + shift.x, y: b.y + shift.y },
  ] as const;
  const meet = (p: XY, q: XY, fallback: XY): XY => {
    // Where the neighbour's line p–q meets the slid line.
    const d = { x: q.x - p.x, y: q.y - p.y };
    const e = { x: b.x - a.x, y: b.y - a.y };
    const det = d.x * e.y - d.y * e.x;
    if (Math.abs(det) < 1e-3 * Math.hypot(d.x, d.y) * Math.hypot(e.x, e.y)) return fallback;
    const t = ((moved[0].x - p.x) * e.y - (moved[0].y - p.y) * e.x) / det;
    return { x: p.x + d.x * t, y: p.y + d.y * t };
  };
  const [first, second] = [meet(at(side - 1), a, moved[0]), meet(b, at(side + 2), moved[1])];
  return outline.map((p, i) => (i === side ? first : i === (side + 1) % n ? second : p));
}

/**
 * Slides a wall sideways, mm into its room (negative: out of it). Where the wall has other faces in other rooms they go with it,
 * so that it stays one wall of its thickness.
 */
export function moveWall(job: Job, room: Room, side: number, by: number): Change[] {
  const h = layHouse(job);
  const start = h.faces.find((f) => f.room.id === room.id && f.wall.index === side);
  if (!start) return [];
  const shift = { x: start.frame.inward.x * by, y: start.frame.inward.y * by };
  const faces = new Set([start.n]);
  const queue = [start.n];
  while (queue.length)
    for (const o of h.faces[queue.pop()!]!.opposite)
      if (!faces.has(o)) {
        faces.add(o);
        queue.push(o);
      }
  const byRoom = new Map<string, number[]>();
  for (const n of faces) {
    const f = h.faces[n]!;
    byRoom.set(f.room.id, [...(byRoom.get(f.room.id) ?? []), f.wall.index]);
  }
  const out: Change[] = [];
  for (const [id, sides] of byRoom) {
    const r = job.rooms.find((x) => x.id === id)!;
    out.push(
      ...redraw(
        job,
        r,
        sides.reduce((o, s) => slid(o, s, shift), r.outline),
        sameSides(job, r),
      ),
    );
  }
  return out;
}

/**
 * Puts a new corner into a wall at u: two walls, each with what lies on its part. An opening across the place is
 * refused in words.
 */
export function splitWall(job: Job, room: Room, side: number, u: number, newId: NewId): Change[] | string {
  const f = wallFrame(room.outline, side, 0);
  if (!(u >= 10 && u <= f.length - 10))
    return `The place to split is ${mm(u)}; it must be between 10 and ${mm(f.length - 10)} mm.`;
  const walls = wallsOf(job, room.id);
  const old = walls[side]!;
  const across = job.openings.find((o) => o.wall === old.id && o.u < u && o.u + o.width > u);
  if (across)
    return `The ${across.kind} from ${mm(across.u)} to ${mm(across.u + across.width)} lies across ${mm(u)}; split the wall beside it.`;
  const at = toSpace(f, { u, v: 0 });
  const outline = [...room.outline.slice(0, side + 1), { x: at[0], y: at[1] }, ...room.outline.slice(side + 1)];
  const fresh: Wall = { ...old, id: newId("w"), index: side + 1 };
  const changes = redraw(job, { ...room, startWall: room.startWall }, outline, [
    ...walls.filter((w) => w.index < side).map((wall) => ({ wall, index: wall.index, old: wall.index })),
    { wall: old, index: side, old: side, u1: u },
    { wall: fresh, index: side + 1, old: side, u0: u },
    ...walls.filter((w) => w.index > side).map((wall) => ({ wall, index: wall.index + 1, old: wall.index })),
  ]);
  const head = changes[0]!.after as Room;
  changes[0] = {
    ...changes[0]!,
    after: {
      ...head,
      startWall: room.startWall > side ? room.startWall + 1 : room.startWall,
      slopes: room.slopes.map((s) => (s.wall > side ? { ...s, wall: s.wall + 1 } : s)),
    },
  };
  return changes;
}

/** Takes the corner at the right end of a wall out: the wall and its right neighbour become one, with what was on both. */
export function joinWalls(job: Job, room: Room, side: number): Change[] | string {
  const n = room.outline.length;
  if (n <= 3) return `${room.name} has three walls; fewer make no room.`;
  const gone = (side + 1) % n;
  const walls = wallsOf(job, room.id);
  const outline = room.outline.filter((_, i) => i !== gone);
  // Numbers after the corner move down; where corner 1 goes, every wall keeps its left end and so its number less one.
  const numberOf = (old: number): number => (old > gone || gone === 0 ? old - 1 : old);
  const keep = walls[side]!;
  const lost = walls[gone]!;
  const changes = redraw(job, room, outline, [
    ...walls
      .filter((w) => w.index !== side && w.index !== gone)
      .map((wall) => ({ wall, index: numberOf(wall.index), old: wall.index })),
    { wall: keep, index: numberOf(side), old: side },
    { wall: keep, index: numberOf(side), old: gone },
  ]);
  changes.push(changeOf(job, "walls", lost.id, null));
  const head = changes[0]!.after as Room;
  const start = room.startWall === gone ? side : room.startWall;
  changes[0] = {
    ...changes[0]!,
    after: {
      ...head,
      startWall: numberOf(start),
      slopes: room.slopes.filter((s) => s.wall !== gone).map((s) => ({ ...s, wall: numberOf(s.wall) })),
    },
  };
  return changes;
}

/** Moves a whole room with all that is in it, ceiling points over it included, mm. */
export function moveRoom(job: Job, room: Room, dx: number, dy: number): Change[] {
  return [...placed(job, room, (p) => ({ x: p.x + dx, y: p.y + dy }))];
}

/** Turns a room about its first corner, degrees clockwise seen from above. */
export function turnRoom(job: Job, room: Room, degrees: number): Change[] {
  const a = (degrees * Math.PI) / 180;
  const o = room.outline[0]!;
  const [s, c] = [Math.sin(a), Math.cos(a)];
  return placed(job, room, (p) => ({
    x: o.x + (p.x - o.x) * c + (p.y - o.y) * s,
    y: o.y - (p.x - o.x) * s + (p.y - o.y) * c,
  }));
}

function placed(job: Job, room: Room, to: (p: XY) => XY): Change[] {
  const out: Change[] = [
    changeOf(job, "rooms", room.id, { ...room, outline: room.outline.map((p) => tidyCorner(to(p))) }),
  ];
  for (const p of ceilingPointsOf(job, room))
    if (p.place.on === "deck")
      out.push(changeOf(job, "points", p.id, { ...p, place: { ...p.place, ...tidyCorner(to(p.place)) } }));
  return out;
}

/** Points on decks over (or under) a room, within its outline. */
export function ceilingPointsOf(job: Job, room: Room): Job["points"] {
  const floor = job.storeys.find((s) => s.id === room.storey)?.level ?? 0;
  return job.points.filter((p) => {
    const { place } = p;
    if (place.on !== "deck") return false;
    const deck = job.decks.find((d) => d.id === place.deck);
    if (!deck || !insidePolygon(room.outline, place)) return false;
    return place.face === "ceiling"
      ? ofCeiling(deck.underside, floor + room.height, voidOver(room))
      : underFloor(deck.underside + deck.joists.depth + deck.boards.thickness, floor);
  });
}

/**
 * Sets a room against a wall of another so that the two faces are one wall of the given thickness: turned to face it, moved, and lined
 * up by its left or right end seen from the other room. Both faces get the thickness, the build and "a room behind".
 */
export function alignRoom(
  job: Job,
  room: Room,
  side: number,
  against: { room: Room; side: number },
  thickness: number,
  lineUp: "left" | "right" | "middle" | "stay",
): Change[] | string {
  if (against.room.id === room.id) return "A room cannot be set against its own wall; choose one of another room.";
  const other = wallFrame(against.room.outline, against.side, 0);
  const mine = wallFrame(room.outline, side, 0);
  // The faces look at each other's backs: the directions are opposite.
  const turn = Math.atan2(-other.along.x, -other.along.y) - Math.atan2(mine.along.x, mine.along.y);
  const [s, c] = [Math.sin(turn), Math.cos(turn)];
  const o = room.outline[0]!;
  const turned = (p: XY): XY => ({
    x: o.x + (p.x - o.x) * c + (p.y - o.y) * s,
    y: o.y - (p.x - o.x) * s + (p.y - o.y) * c,
  });
  const b = turned(room.outline[(side + 1) % room.outline.length]!);
  const target = (u: number): XY => ({
    x: other.origin[0] + other.along.x * u - other.inward.x * thickness,
    y: other.origin[1] + other.along.y * u - other.inward.y * thickness,
  });
  // Seen from the other room, our wall's right end b is at its left.
  const here = (p: XY): number => (p.x - other.origin[0]) * other.along.x + (p.y - other.origin[1]) * other.along.y;
  const place =
    lineUp === "left"
      ? target(0)
      : lineUp === "right"
        ? target(other.length - mine.length)
        : lineUp === "middle"
          ? target((other.length - mine.length) / 2)
          : target(here(b));
  const [dx, dy] = [place.x - b.x, place.y - b.y];
  const out = placed(job, room, (p) => {
    const t = turned(p);
    return { x: t.x + dx, y: t.y + dy };
  });
  const [w1, w2] = [wallsOf(job, room.id)[side]!, wallsOf(job, against.room.id)[against.side]!];
  return [
    ...out,
    ...([w1, w2] as const).map((w) =>
      changeOf(job, "walls", w.id, { ...w, thickness, build: w2.build, insulated: w2.insulated, backing: "room" }),
    ),
  ];
}

/** Farthest a wall's thickness may lie from the distance between its two faces, mm: plaster, battens, a tape's slip. */
const GAP_SLACK = 40;

/**
 * Sets a value on a wall and, where it is one wall with faces in other rooms, on those too. A thickness that the rooms' distance
 * contradicts is refused in words.
 */
export function setWall(
  job: Job,
  wall: Wall,
  next: Partial<Pick<Wall, "build" | "thickness" | "insulated" | "fireResisting">>,
): Change[] | string {
  const h = layHouse(job);
  const face = h.faces[h.faceOfWall.get(wall.id) ?? -1];
  const others = (face?.opposite ?? []).map((o) => h.faces[o]!);
  for (const o of others) {
    const gap = -toFace(face!.frame, o.frame.origin).into;
    if (next.thickness !== undefined && Math.abs(gap - next.thickness) > GAP_SLACK)
      return `Thickness is ${mm(next.thickness)}, but this wall's face in ${o.room.name} stands ${mm(gap)} away. Set the room against the wall with the new thickness instead.`;
  }
  return [
    changeOf(job, "walls", wall.id, { ...wall, ...next }),
    ...others.map((o) => changeOf(job, "walls", o.wall.id, { ...o.wall, ...next })),
  ];
}

/** Where a new room may stand: right of everything on the storey, a thin wall away, mm. */
export function freeCorner(job: Job, storey: string): XY {
  const corners = job.rooms.filter((r) => r.storey === storey).flatMap((r) => r.outline);
  if (!corners.length) return { x: 0, y: 0 };
  const b = bounds(corners);
  return { x: b.x1 + 100, y: b.y0 };
}
