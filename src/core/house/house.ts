import { topEdge } from "../base/ceiling";
import { type XY, distanceToOutline, insidePolygon } from "../base/polygon";
import { type XYZ, toFace, toSpace, wallFrame } from "../base/wall-frame";
import { boxOf, plateOf } from "../rules/accessories";
import { type Catalogue, standardCatalogue } from "../rules/catalogue";
import { type LaidDeck, layDeck } from "./deck";
import { VOID_MOST, decksOver, overCeiling, underFloor, voidOver, voidUnder } from "./over-ceiling";
import type { Face } from "./face";
import { studsOf } from "./studs";
import { openingsSeen, ownOpenings, reversePoints } from "./through-wall";
import { type OpeningOnFace, type PointOnFace, wallZones } from "./wall-zones";

export type { Face } from "./face";
import type { Job, Opening, Point, Room, Wall } from "../job/model";

/** A point where it stands in the house. */
export interface PlacedPoint {
  point: Point;
  plate: { width: number; height: number };
  box: { width: number; height: number };
  /** Number of its face, or −1 for a deck point. */
  face: number;
  /** Number of its deck, or −1. */
  deck: number;
  space: XYZ;
}

/** The job laid out in space: what the router, the checker and the drawings all look at. */
export interface House {
  job: Job;
  /** Sizes of cables and parts the job is worked out with. */
  catalogue: Catalogue;
  faces: Face[];
  faceOfWall: Map<string, number>;
  decks: LaidDeck[];
  deckOfId: Map<string, number>;
  points: PlacedPoint[];
  pointOfId: Map<string, number>;
}

/** Two faces belong to one wall when their planes are this much nearer or farther than its thickness, mm. */
const FACE_SLACK = 40;

export function roomFloor(job: Job, room: Room): number {
  return job.storeys.find((s) => s.id === room.storey)?.level ?? 0;
}

/** The faces of one room, numbered from `base`, as bare walls: no points, zones or opposite faces yet. */
export function facesOfRoom(
  room: Room,
  walls: readonly Wall[],
  openingsOf: (wall: string) => readonly Opening[],
  floor: number,
  base: number,
): Face[] {
  const sorted = [...walls].sort((a, b) => a.index - b.index);
  const n = sorted.length;
  /** An angle with a side that has no wall is no corner. */
  const solid = (i: number): boolean => sorted[(i + n) % n]!.build !== "open";
  return sorted.map((wall, i): Face => {
    const frame = wallFrame(room.outline, wall.index, floor);
    const before = wallFrame(room.outline, (wall.index + n - 1) % n, floor);
    const after = wallFrame(room.outline, (wall.index + 1) % n, floor);
    return {
      n: base + i,
      wall,
      room,
      frame,
      floor,
      shape: {
        length: frame.length,
        height: room.height,
        thickness: wall.thickness,
        openings: openingsOf(wall.id).map(({ u, v, width, height }): OpeningOnFace => ({ u, v, width, height })),
        cornerLeft: solid(i - 1) && isAngle(before.along, frame.along),
        cornerRight: solid(i + 1) && isAngle(frame.along, after.along),
        ...(room.slopes.length ? { top: topEdge(room, wall.index) } : {}),
      },
      openings: ownOpenings(openingsOf(wall.id), room.name),
      studs: null,
      points: [],
      reverse: [],
      zones: [],
      left: base + ((i + n - 1) % n),
      right: base + ((i + 1) % n),
      opposite: [],
    };
  });
}

/** A point where it stands, on faces and decks already laid out. */
export function placePoint(point: Point, on: Pick<House, "faces" | "faceOfWall" | "decks" | "deckOfId">): PlacedPoint {
  const { place } = point;
  const face = place.on === "wall" ? (on.faceOfWall.get(place.wall) ?? -1) : -1;
  const deck = place.on === "deck" ? (on.deckOfId.get(place.deck) ?? -1) : -1;
  const space = layPoint(on, place) ?? (place.on === "deck" ? [place.x, place.y, 0] : [0, 0, 0]);
  return { point, plate: plateOf(point), box: boxOf(point), face, deck, space };
}

/** A point as its face sees it. */
export const onFace = (p: PlacedPoint): PointOnFace => {
  const { u, v } = p.point.place as { u: number; v: number };
  return { id: p.point.id, u, v, ...p.plate };
};

/** What stands on the other side of a face's wall, its openings, and the zones that follow: after all points are placed. */
export function dressFace(f: Face, faces: readonly Face[]): void {
  const { seen, holes } = openingsSeen(f, faces);
  f.openings = seen;
  f.shape = { ...f.shape, openings: holes };
  f.studs = studsOf(f, faces);
  f.reverse = reversePoints(f, faces);
  // Out of doors nothing is hidden in the face, and a side without a wall has none: no zones there.
  f.zones = f.room.kind === "yard" || f.wall.build === "open" ? [] : wallZones(f.shape, f.points, f.reverse);
}

/** Lays the job out: faces with zones, decks with joists, points in space. Pure; a few milliseconds for a house. */
export function layHouse(job: Job, catalogue: Catalogue = standardCatalogue): House {
  const faces: Face[] = [];
  const wallsByRoom = groupBy(job.walls, (w) => w.room);
  const openingsByWall = groupBy(job.openings, (o) => o.wall);
  for (const room of job.rooms)
    faces.push(
      ...facesOfRoom(
        room,
        wallsByRoom.get(room.id) ?? [],
        (wall) => openingsByWall.get(wall) ?? [],
        roomFloor(job, room),
        faces.length,
      ),
    );
  const faceOfWall = new Map(faces.map((f) => [f.wall.id, f.n]));
  const decks = job.decks.map(layDeck);
  const deckOfId = new Map(job.decks.map((d, i) => [d.id, i]));
  const on = { faces, faceOfWall, decks, deckOfId };
  const points = job.points.map((p) => placePoint(p, on));
  for (const p of points) if (p.face >= 0) faces[p.face]!.points.push(onFace(p));
  for (const a of faces)
    for (const b of faces)
      if (b.n > a.n && opposes(a, b)) {
        a.opposite.push(b.n);
        b.opposite.push(a.n);
      }
  for (const f of faces) dressFace(f, faces);
  const pointOfId = new Map(job.points.map((p, i) => [p.id, i]));
  return { job, catalogue, faces, faceOfWall, decks, deckOfId, points, pointOfId };
}

/** A place in the space of a house already laid out; null where its wall or deck is not there. */
export function layPoint(
  h: Pick<House, "faces" | "faceOfWall" | "decks" | "deckOfId">,
  at: Point["place"],
): XYZ | null {
  if (at.on === "wall") {
    const f = h.faces[h.faceOfWall.get(at.wall) ?? -1];
    return f ? toSpace(f.frame, at) : null;
  }
  const d = h.decks[h.deckOfId.get(at.deck) ?? -1];
  if (!d) return null;
  return [at.x, at.y, at.face === "ceiling" ? d.underside - voidAt(h.faces, d, at) : d.top];
}

/** Void under a deck at a place, where the ceiling of the room there hangs below it, mm. */
function voidAt(faces: readonly Face[], d: LaidDeck, at: XY): number {
  let last: Room | null = null;
  for (const { room, floor } of faces) {
    if (room === last) continue;
    last = room;
    const gap = voidUnder(d.underside, floor + room.height);
    if (gap > 0 && gap <= voidOver(room) && insidePolygon(room.outline, at)) return gap;
  }
  return 0;
}

const isAngle = (a: XY, b: XY): boolean => Math.abs(a.x * b.y - a.y * b.x) > 0.01 || a.x * b.x + a.y * b.y < 0;

/** True when two faces of different rooms are the two sides of one wall. */
export function opposes(a: Face, b: Face): boolean {
  if (a.room.id === b.room.id) return false;
  if (a.frame.along.x * b.frame.along.x + a.frame.along.y * b.frame.along.y > -0.999) return false;
  if (a.floor >= b.floor + b.shape.height || b.floor >= a.floor + a.shape.height) return false;
  const p = toFace(a.frame, b.frame.origin);
  const q = toFace(a.frame, toSpace(b.frame, { u: b.shape.length, v: 0 }));
  // The other room lies behind this face: its plane is a wall's thickness away, on the far side.
  const gap = -p.into;
  if (gap < 10 || Math.abs(gap - a.shape.thickness) > FACE_SLACK || Math.abs(gap - b.shape.thickness) > FACE_SLACK)
    return false;
  return Math.min(p.u, q.u) < a.shape.length - 10 && Math.max(p.u, q.u) > 10;
}

/** True when a deck lies over (or under) a place in plan, with its edge within a wall's reach. */
export const deckReaches = (l: LaidDeck, p: XY, slack = 260): boolean =>
  insidePolygon(l.deck.outline, p) || distanceToOutline(l.deck.outline, p) <= slack;

/** Numbers of the decks that a face meets at its top and at its foot. */
export function decksOfFace(h: Pick<House, "decks">, f: Face): { over: number[]; under: number[] } {
  const there: number[] = [];
  const mid = toSpace(f.frame, { u: f.shape.length / 2, v: 0 });
  const ceiling = f.floor + f.shape.height;
  h.decks.forEach((d, i) => {
    const touches = [0.02, 0.5, 0.98].some((t) => {
      const s = toSpace(f.frame, { u: f.shape.length * t, v: 0 });
      return deckReaches(d, { x: s[0], y: s[1] });
    });
    if (touches || deckReaches(d, { x: mid[0], y: mid[1] })) there.push(i);
  });
  const deck = (i: number): LaidDeck => h.decks[i]!;
  return {
    over: decksOver(there, ceiling, voidOver(f.room), (i) => deck(i).underside),
    under: there.filter(
      (i) => underFloor(deck(i).top + deck(i).deck.boards.thickness, f.floor) && deck(i).top < f.floor + 1,
    ),
  };
}

/** Points on the walls of a storey, and on the ceilings over its rooms. */
export function pointsOfStorey(h: House, storey: string): PlacedPoint[] {
  const level = h.job.storeys.find((s) => s.id === storey)?.level ?? 0;
  const rooms = h.job.rooms.filter((r) => r.storey === storey);
  const height = Math.max(0, ...rooms.map((r) => r.height));
  return h.points.filter((p) => {
    if (p.face >= 0) return h.faces[p.face]!.room.storey === storey;
    const d = h.decks[p.deck];
    if (!d) return false;
    const over = p.point.place.on === "deck" && p.point.place.face === "ceiling";
    return over
      ? d.underside > level && d.underside <= level + height + VOID_MOST
      : underFloor(d.top + d.deck.boards.thickness, level);
  });
}

/** Decks over and under the rooms of a storey: within a floor's depth of its ceilings and its floor. */
export function decksOfStorey(job: Job, storey: string): Job["decks"] {
  const s = job.storeys.find((x) => x.id === storey);
  if (!s) return [];
  const rooms = job.rooms.filter((r) => r.storey === storey);
  const tops = rooms.length ? rooms : [{ height: s.height, kind: "other" as const, slopes: [] }];
  return job.decks.filter(
    (d) =>
      tops.some((r) => overCeiling(d.underside, s.level + r.height, voidOver(r))) ||
      underFloor(d.underside + d.joists.depth + d.boards.thickness, s.level),
  );
}

function groupBy<T, K>(list: readonly T[], key: (x: T) => K): Map<K, T[]> {
  const out = new Map<K, T[]>();
  for (const x of list) {
    const k = key(x);
    const g = out.get(k);
    if (g) g.push(x);
    else out.set(k, [x]);
  }
  return out;
}
