import { alike } from "../base/alike";
import type { Job } from "../job/model";
import type { Catalogue } from "../rules/catalogue";
import { layDeck } from "./deck";
import {
  type Face,
  type House,
  type PlacedPoint,
  dressFace,
  facesOfRoom,
  layHouse,
  onFace,
  opposes,
  placePoint,
  roomFloor,
} from "./house";

/**
 * Lays a job out anew from a house laid out a moment ago: only the rooms and decks touched by the change, and the faces that look at
 * them, are worked out; the rest is shared. Things are told apart by identity, as patches leave what they do not touch. It comes to
 * the same house as `layHouse`, which stays its plain form; what rooms, walls or decks there are must be the same, else all is laid.
 */
export function relayHouse(before: House, job: Job, catalogue: Catalogue = before.catalogue): House {
  const was = before.job;
  if (was === job && catalogue === before.catalogue) return before;
  const sameRooms = was.rooms.length === job.rooms.length && job.rooms.every((r, i) => r.id === was.rooms[i]!.id);
  const sameWalls =
    was.walls.length === job.walls.length &&
    job.walls.every((w, i) => {
      const v = was.walls[i]!;
      return w === v || (w.id === v.id && w.room === v.room && w.index === v.index);
    });
  const sameDecks = was.decks.length === job.decks.length && job.decks.every((d, i) => d.id === was.decks[i]!.id);
  if (!sameRooms || !sameWalls || !sameDecks || !alike(was.storeys, job.storeys)) return layHouse(job, catalogue);

  const rooms = roomsTouched(was, job);
  const faces = [...before.faces];
  /** Faces that must be dressed again: points or shape changed, on them or behind them. */
  const stale = new Set<number>();
  if (rooms.size) layRooms(before, job, rooms, faces, stale);
  const decks = alike(was.decks, job.decks)
    ? before.decks
    : before.decks.map((l, i) => (job.decks[i] === was.decks[i] ? l : layDeck(job.decks[i]!)));
  const on = { faces, faceOfWall: before.faceOfWall, decks, deckOfId: before.deckOfId };
  const points = placeAll(before, job, on, rooms, stale);
  /** Faces laid out anew here, which alone may be written to. */
  const own = (n: number): Face => {
    if (faces[n] === before.faces[n]) faces[n] = { ...faces[n]! };
    return faces[n]!;
  };
  for (const n of stale) own(n).points = [];
  for (const p of points.list) if (p.face >= 0 && stale.has(p.face)) faces[p.face]!.points.push(onFace(p));
  const dress = new Set(stale);
  for (const n of stale) for (const o of faces[n]!.opposite) dress.add(o);
  for (const n of dress) dressFace(own(n), faces);
  return { job, catalogue, ...on, points: points.list, pointOfId: points.ofId };
}

/** Rooms whose outline, ceiling, walls or openings are no longer the same things. */
function roomsTouched(was: Job, job: Job): Set<string> {
  const rooms = new Set<string>();
  job.rooms.forEach((r, i) => r !== was.rooms[i] && rooms.add(r.id));
  job.walls.forEach((w, i) => w !== was.walls[i] && rooms.add(w.room));
  if (!alike(was.openings, job.openings)) {
    const roomOf = new Map(job.walls.map((w) => [w.id, w.room]));
    const [a, b] = [new Set(was.openings), new Set(job.openings)];
    for (const o of [...was.openings, ...job.openings]) if (!a.has(o) || !b.has(o)) rooms.add(roomOf.get(o.wall) ?? "");
  }
  return rooms;
}

/** Lays the touched rooms out anew in their places among the faces, and finds again what lies behind them. */
function layRooms(before: House, job: Job, rooms: ReadonlySet<string>, faces: Face[], stale: Set<number>): void {
  for (const room of job.rooms) {
    if (!rooms.has(room.id)) continue;
    const walls = job.walls.filter((w) => w.room === room.id);
    const base = Math.min(...walls.map((w) => before.faceOfWall.get(w.id)!));
    const made = facesOfRoom(
      room,
      walls,
      (id) => job.openings.filter((o) => o.wall === id),
      roomFloor(job, room),
      base,
    );
    for (const f of made) {
      faces[f.n] = f;
      stale.add(f.n);
    }
  }
  // What looked at a touched face looks again.
  for (const n of [...stale])
    for (const o of before.faces[n]!.opposite)
      if (!stale.has(o)) {
        faces[o] = { ...faces[o]!, opposite: faces[o]!.opposite.filter((x) => !stale.has(x)) };
        stale.add(o);
      }
  for (const f of faces) {
    if (!rooms.has(f.room.id)) continue;
    for (const g of faces) {
      if (g === f || !opposes(f, g)) continue;
      // Between two touched rooms each finds the other in its own turn.
      if (!f.opposite.includes(g.n)) f.opposite.push(g.n);
      if (rooms.has(g.room.id) || g.opposite.includes(f.n)) continue;
      faces[g.n] = { ...faces[g.n]!, opposite: [...g.opposite, f.n] };
      stale.add(g.n);
    }
    f.opposite.sort((a, b) => a - b);
  }
  for (const n of stale) faces[n]!.opposite.sort((a, b) => a - b);
}

/** Every point where it now stands; the faces that gained, lost or moved one are marked as stale. */
function placeAll(
  before: House,
  job: Job,
  on: Pick<House, "faces" | "faceOfWall" | "decks" | "deckOfId">,
  rooms: ReadonlySet<string>,
  stale: Set<number>,
): { list: PlacedPoint[]; ofId: Map<string, number> } {
  const mark = (n: number): void => {
    if (n >= 0) stale.add(n);
  };
  const list = job.points.map((p): PlacedPoint => {
    const was = before.points[before.pointOfId.get(p.id) ?? -1];
    if (was && was.point === p) {
      const f = on.faces[was.face];
      const movedWall = f !== undefined && rooms.has(f.room.id);
      const movedDeck = was.deck >= 0 && on.decks[was.deck] !== before.decks[was.deck];
      if (!movedWall && !movedDeck) {
        if (was.deck < 0 || !rooms.size) return was;
        // Under a deck it hangs as low as the ceiling of the room there.
        const here = placePoint(p, on);
        return alike(here.space, was.space) ? was : here;
      }
    }
    const now = placePoint(p, on);
    if (was) mark(was.face);
    mark(now.face);
    return now;
  });
  const sameIds =
    list.length === before.points.length && list.every((p, i) => p.point.id === before.points[i]!.point.id);
  if (sameIds) return { list, ofId: before.pointOfId };
  const here = new Set(list.map((p) => p.point.id));
  for (const p of before.points) if (!here.has(p.point.id)) mark(p.face);
  return { list, ofId: new Map(list.map((p, i) => [p.point.id, i])) };
}
