import { wiredTo, withoutWired } from "../job/wired";
import { type XY, bounds, rectOutline } from "../base/polygon";
import {
  type Deck,
  type Job,
  type Point,
  type Room,
  type Wall,
  deckSchema,
  roomSchema,
  storeySchema,
  wallSchema,
} from "../job/model";
import type { Change } from "../job/patch";
import { accessories } from "../rules/accessories";
import type { Interval } from "../base/interval";
import { bearingsOn, extentOf, usualDirection } from "./bearings";
import { outsideWithout } from "./outside-kept";
import { type NewId, changeOf, wallsOf } from "./change-of";
import { ofCeiling } from "./over-ceiling";
import { ceilingPointsOf } from "./reshape";

/** A room to be added: its corners clockwise seen from above, inside sizes, mm. */
export interface NewRoom {
  storey: string;
  name: string;
  kind: Room["kind"];
  outline: XY[];
  height: number;
  build: Wall["build"];
  thickness: number;
}

/** A room with one wall for each side. A yard has no walls of its own: its sides are open. */
export function addRoom(job: Job, f: NewRoom, newId: NewId): { room: string; changes: Change[] } {
  const id = newId("r");
  const { build, thickness, ...rest } = f;
  const room = roomSchema.parse({ id, ...rest });
  const walls = f.outline.map((_, index) =>
    wallSchema.parse({ id: newId("w"), room: id, index, build: f.kind === "yard" ? "open" : build, thickness }),
  );
  return {
    room: id,
    changes: [changeOf(job, "rooms", id, room), ...walls.map((w) => changeOf(job, "walls", w.id, w))],
  };
}

/** The next free label with the letter of a kind: S1, S2 … A label in use is never changed by what is added or taken away. */
export function nextLabel(taken: Set<string>, kind: Point["kind"]): string {
  const { letter } = accessories[kind];
  for (let n = 1; ; n++)
    if (!taken.has(`${letter}${n}`)) {
      taken.add(`${letter}${n}`);
      return `${letter}${n}`;
    }
}

/**
 * A copy of a room with its walls, openings, fixtures and points, moved and, when wanted, turned over left for right.
 * Points are on no circuit.
 */
export function copyRoom(
  job: Job,
  room: Room,
  to: { dx: number; dy: number; storey: string; mirror: boolean; points: boolean; name: string },
  newId: NewId,
): { room: string; changes: Change[] } {
  const id = newId("r");
  const n = room.outline.length;
  const b = bounds(room.outline);
  const place = (p: XY): XY => ({ x: (to.mirror ? b.x0 + b.x1 - p.x : p.x) + to.dx, y: p.y + to.dy });
  const outline = to.mirror ? room.outline.map((_, k) => place(room.outline[n - 1 - k]!)) : room.outline.map(place);
  // Turned over, the side from corner i to i + 1 is walked from the other end: side k is the old n − 2 − k.
  const sideOf = (old: number): number => (to.mirror ? (2 * n - 2 - old) % n : old);
  const next: Room = {
    ...room,
    id,
    name: to.name,
    storey: to.storey,
    outline,
    startWall: sideOf(room.startWall),
    slopes: room.slopes.map((s) => ({ ...s, wall: sideOf(s.wall) })),
  };
  const out: Change[] = [changeOf(job, "rooms", id, next)];
  const names = new Map<string, { id: string; length: number }>();
  for (const w of wallsOf(job, room.id)) {
    const p = room.outline[w.index]!;
    const q = room.outline[(w.index + 1) % n]!;
    const fresh = { ...w, id: newId("w"), room: id, index: sideOf(w.index) };
    names.set(w.id, { id: fresh.id, length: Math.hypot(q.x - p.x, q.y - p.y) });
    out.push(changeOf(job, "walls", fresh.id, fresh));
  }
  const over = (wall: { length: number }, u: number, width: number): number =>
    to.mirror ? wall.length - u - width : u;
  for (const kind of ["openings", "fixtures"] as const)
    for (const x of job[kind]) {
      const w = names.get(x.wall);
      if (!w) continue;
      const fresh = { ...x, id: newId(kind[0]!), wall: w.id, u: Math.max(0, over(w, x.u, x.width)) };
      out.push(changeOf(job, kind, fresh.id, fresh));
    }
  if (!to.points) return { room: id, changes: out };
  const taken = new Set(job.points.map((p) => p.label));
  const fresh = new Map<string, string>();
  const mine = [
    ...job.points.filter((p) => p.place.on === "wall" && names.has(p.place.wall)),
    ...(to.storey === room.storey ? ceilingPointsOf(job, room) : []),
  ].filter((p) => p.kind !== "board");
  for (const p of mine) fresh.set(p.id, newId("p"));
  for (const p of mine) {
    const w = p.place.on === "wall" ? names.get(p.place.wall)! : null;
    const where: Point["place"] =
      p.place.on === "wall"
        ? { ...p.place, wall: w!.id, u: over(w!, p.place.u, 0) }
        : { ...p.place, ...place(p.place) };
    out.push(
      changeOf(job, "points", fresh.get(p.id)!, {
        ...p,
        id: fresh.get(p.id)!,
        label: nextLabel(taken, p.kind),
        place: where,
        controls: p.controls.map((x) => fresh.get(x) ?? x),
        gangOf: Object.fromEntries(Object.entries(p.gangOf).map(([x, gang]) => [fresh.get(x) ?? x, gang])),
        existing: false,
      }),
    );
  }
  return { room: id, changes: out };
}

/** Takes a room out with its walls, openings, fixtures and photos, the points on its walls and all that names them. */
export function removeRoom(job: Job, id: string): Change[] {
  const walls = new Set(job.walls.filter((w) => w.room === id).map((w) => w.id));
  const gone = new Set(job.points.filter((p) => p.place.on === "wall" && walls.has(p.place.wall)).map((p) => p.id));
  const out = withoutPoints(job, gone);
  for (const c of ["openings", "fixtures", "photos", "foundTrunkings"] as const)
    for (const x of job[c]) if (x.wall !== null && walls.has(x.wall)) out.push(changeOf(job, c, x.id, null));
  // An old cable that goes on elsewhere stays; what was traced of it here goes with the walls.
  const cables = new Map(out.filter((c) => c.collection === "foundCables").map((c) => [c.id, c.after]));
  for (const f of job.foundCables) {
    const now = cables.has(f.id) ? (cables.get(f.id) as typeof f | null) : f;
    if (!now?.traced.some((t) => walls.has(t.wall))) continue;
    const at = out.findIndex((c) => c.collection === "foundCables" && c.id === f.id);
    if (at >= 0) out.splice(at, 1);
    out.push(changeOf(job, "foundCables", f.id, { ...now, traced: now.traced.filter((t) => !walls.has(t.wall)) }));
  }
  // A section with a part on its walls has nothing left to go on from.
  for (const s of job.sections)
    if (s.path.some((p) => p.on === "wall" && walls.has(p.wall))) out.push(changeOf(job, "sections", s.id, null));
  for (const x of job.forbidden)
    if (x.place.on === "wall" && walls.has(x.place.wall)) out.push(changeOf(job, "forbidden", x.id, null));
  out.push(
    ...outsideWithout(job, { walls, rooms: new Set([id]) }).filter(
      (c) => !out.some((x) => x.collection === c.collection && x.id === c.id),
    ),
  );
  for (const w of walls) out.push(changeOf(job, "walls", w, null));
  out.push(changeOf(job, "rooms", id, null));
  return out;
}

/** Takes points out, and out of everything that names them. */
export function withoutPoints(job: Job, gone: ReadonlySet<string>): Change[] {
  const out: Change[] = [];
  for (const p of job.pins) if (gone.has(p.from) || gone.has(p.to)) out.push(changeOf(job, "pins", p.id, null));
  for (const c of job.circuits)
    if ([...wiredTo(c), ...c.runCables.flatMap((r) => [r.from, r.to])].some((x) => gone.has(x)))
      out.push(
        changeOf(job, "circuits", c.id, {
          ...withoutWired(c, gone),
          board: c.board !== null && gone.has(c.board) ? null : c.board,
        }),
      );
  for (const c of job.circuits)
    if (c.board !== null && gone.has(c.board) && !out.some((x) => x.collection === "circuits" && x.id === c.id))
      out.push(changeOf(job, "circuits", c.id, { ...c, board: null }));
  for (const f of job.foundCables) {
    if (gone.has(f.from)) out.push(changeOf(job, "foundCables", f.id, null));
    else if (f.to !== null && gone.has(f.to)) out.push(changeOf(job, "foundCables", f.id, { ...f, to: null }));
  }
  for (const p of job.points)
    if (!gone.has(p.id) && p.controls.some((x) => gone.has(x)))
      out.push(
        changeOf(job, "points", p.id, {
          ...p,
          controls: p.controls.filter((x) => !gone.has(x)),
          gangOf: Object.fromEntries(Object.entries(p.gangOf).filter(([x]) => !gone.has(x))),
        }),
      );
  out.push(...outsideWithout(job, { points: gone }));
  for (const p of gone) out.push(changeOf(job, "points", p, null));
  return out;
}

/** Usual thickness of a floor between two storeys where no deck says otherwise, mm: joists, boards and ceiling. */
const FLOOR = 232;

/** A storey on top of the highest one (or under the lowest): its floor lies on the deck between them where one is drawn. */
export function addStorey(
  job: Job,
  where: "above" | "below",
  name: string,
  newId: NewId,
): { storey: string; changes: Change[] } {
  const ordered = [...job.storeys].sort((a, b) => a.level - b.level);
  const id = newId("st");
  let level = 0;
  const top = ordered[ordered.length - 1];
  const low = ordered[0];
  if (where === "above" && top) {
    const ceiling = top.level + top.height;
    const [deck] = job.decks
      .filter((d) => d.kind !== "concrete" && ofCeiling(d.underside, ceiling))
      .sort((a, b) => a.underside - b.underside);
    level = deck ? deck.underside + deck.joists.depth + deck.boards.thickness : ceiling + FLOOR;
  }
  if (where === "below" && low) level = low.level - FLOOR - 2400;
  return { storey: id, changes: [changeOf(job, "storeys", id, storeySchema.parse({ id, name, level, height: 2400 }))] };
}

/** Takes a storey out; refused in words while rooms stand on it, or when it is the last. */
export function removeStorey(job: Job, id: string): Change[] | string {
  const s = job.storeys.find((x) => x.id === id);
  const rooms = job.rooms.filter((r) => r.storey === id).length;
  if (!s) return "This storey is no longer there.";
  if (rooms) return `${s.name} still has ${rooms} ${rooms === 1 ? "room" : "rooms"}; delete or move them first.`;
  if (job.storeys.length === 1) return "A house has at least one storey.";
  return [
    ...job.traces.filter((t) => t.storey === id).map((t) => changeOf(job, "traces", t.id, null)),
    changeOf(job, "storeys", id, null),
  ];
}

/** How the joists of a new deck lie: mm from the edge of its rooms. */
export interface NewJoists {
  direction: Deck["joists"]["direction"];
  bearings: readonly Interval[];
}

/**
 * A deck over (joists) or under (slab) all rooms of a storey; joists the short way, borne at its edges, where nothing
 * else is told.
 */
export function addDeck(
  job: Job,
  storey: string,
  kind: Deck["kind"],
  newId: NewId,
  joists: NewJoists | null = null,
): { deck: string; changes: Change[] } | string {
  const s = job.storeys.find((x) => x.id === storey) ?? job.storeys[0]!;
  const rooms = job.rooms.filter((r) => r.storey === s.id && r.kind !== "yard");
  const b = extentOf(job, s.id);
  if (!b) return "Add a room first: the deck takes its outline from the rooms below it.";
  const outline = rectOutline(b.x0, b.y0, b.x1, b.y1);
  const direction = joists?.direction ?? usualDirection(job, s.id);
  const id = newId("d");
  const over = kind !== "concrete";
  const deck = deckSchema.parse({
    id,
    name: over ? `Deck over ${s.name.toLowerCase()}` : `Slab under ${s.name.toLowerCase()}`,
    kind,
    outline,
    underside: over ? s.level + Math.max(...rooms.map((r) => r.height)) + 15 : s.level - 150,
    joists: {
      direction,
      depth: over ? 195 : 150,
      bearings: over ? (joists?.bearings ?? bearingsOn(job, s.id, direction, [])) : [],
    },
    boards: { thickness: over ? 22 : 0 },
  });
  return { deck: id, changes: [changeOf(job, "decks", id, deck)] };
}
