import { isMains } from "../job/mains";
import { wiredTo } from "../job/wired";
import { lowestTop } from "../base/ceiling";
import { bounds } from "../base/polygon";
import { overlap, rectAround, rectOf } from "../base/rect";
import type { Face, House } from "./house";
import { type Circuit, type Job, type Point, type Room, pointSchema } from "../job/model";
import type { Change } from "../job/patch";
import {
  type PointKind,
  accessories,
  isLight,
  isOnCircuit,
  isSignal,
  isSocket,
  isSwitch,
  plateOf,
  socketHeights,
} from "../rules/accessories";
import { mm } from "../base/figures";
import { type NewId, changeOf, wallsOf } from "./change-of";
import { decksOver, voidOver } from "./over-ceiling";
import { ceilingPointsOf } from "./reshape";
import { nextLabel } from "./rooms";
import { circuitKindFor, newCircuit, waysOfFirstBoard } from "./usual-circuits";

/** Usual depth of a cabinet for data, mm. Typical. */
const CABINET_DEPTH = 90;

const tenth = (x: number): number => Math.round(x * 10) / 10 + 0;

/** Circuit that a new point of this kind joins: the picked one, else the first of a fitting kind. */
export function usualCircuit(job: Job, kind: PointKind, picked: string | null): Circuit | null {
  const own = job.circuits.find((c) => c.id === picked);
  if (own && isMains(own) === !isSignal(kind)) return own;
  const byLabel = [...job.circuits].filter((c) => c.state !== "keep").sort((a, b) => (a.label < b.label ? -1 : 1));
  const withKind = (test: (kind: PointKind) => boolean): Circuit | undefined =>
    byLabel.find((c) => wiredTo(c).some((id) => job.points.some((p) => p.id === id && test(p.kind))));
  if (isSocket(kind))
    return (
      byLabel.find(
        (c) =>
          c.kind === "ring" ||
          (c.kind === "radial" && c.points.some((id) => job.points.some((p) => p.id === id && isSocket(p.kind)))),
      ) ?? null
    );
  if (isSignal(kind)) return withKind((k) => k === kind) ?? null;
  const lighting = byLabel.find((c) => c.kind === "lighting") ?? null;
  if (isLight(kind) || isSwitch(kind)) return lighting;
  // Alarms go with the other alarms; the first one may be fed from the lights that are used every day.
  if (accessories[kind].use === "alarm") return withKind((k) => accessories[k].use === "alarm") ?? lighting;
  return null;
}

/** Height of the middle of a point of a kind in a room, mm: by kind of room, and by whether the dwelling is new. Typical; skirting-level elsewhere. */
export function usualHeight(job: Job, room: Room, kind: PointKind): number {
  const of = accessories[kind];
  const here = kind === "socket" ? socketHeights[room.kind] : undefined;
  if (here !== undefined) return here;
  return (job.dwelling.newDwelling ? of.newHeight : of.height) ?? 1200;
}

/** Free place for a plate at height v on a face: the first of the spots from the middle outwards that no opening or point takes. */
export function freeSpot(job: Job, f: Face, v: number, plate: { width: number; height: number }): number {
  const { length } = f.shape;
  const taken = [
    ...f.shape.openings.map(rectOf),
    ...job.points.flatMap((p) =>
      p.place.on === "wall" && p.place.wall === f.wall.id ? [rectAround({ ...p.place, ...plateOf(p) })] : [],
    ),
  ];
  const middle = Math.round(length / 2 / 10) * 10;
  for (let d = 0; d <= length / 2; d += 50)
    for (const u of [middle + d, middle - d])
      if (
        u >= plate.width / 2 &&
        u <= length - plate.width / 2 &&
        !taken.some((r) => overlap(r, rectAround({ u, v, ...plate })))
      )
        return u;
  return middle;
}

/** Height brought under the ceiling where it slopes, mm. */
const under = (f: Face, u: number, v: number, plate: { width: number; height: number }): number => {
  const top = f.shape.top
    ? lowestTop(f.shape.top, Math.max(0, u - plate.width / 2), Math.min(f.shape.length, u + plate.width / 2))
    : f.shape.height;
  return tenth(Math.max(plate.height / 2, Math.min(v, top - plate.height / 2)));
};

/** A new point of a kind at a place, joined to a circuit. */
function newPoint(
  job: Job,
  kind: PointKind,
  gang: 1 | 2,
  place: Point["place"],
  taken: Set<string>,
  newId: NewId,
): Point {
  const allowed = accessories[kind].gangs.includes(gang) ? gang : 1;
  return pointSchema.parse({
    id: newId("p"),
    label: nextLabel(taken, kind),
    kind,
    gang: allowed,
    place,
    ways: kind === "board" ? 10 : 0,
    mount: kind === "board" || kind === "cabinet" ? "surface" : "flush",
    ...(kind === "cabinet" ? { boxDepth: CABINET_DEPTH } : {}),
  });
}

/** Puts new points of a kind on the circuit they join, in one change of it; the usual one is made where it is not there yet. */
function joined(job: Job, kind: PointKind, picked: string | null, points: readonly Point[], newId: NewId): Change[] {
  const there = points.map((p) => changeOf(job, "points", p.id, p));
  if (!isOnCircuit(kind)) return there;
  const wired = points.map((p) => p.id);
  const circuit = usualCircuit(job, kind, picked);
  if (circuit)
    return [...there, changeOf(job, "circuits", circuit.id, { ...circuit, points: [...circuit.points, ...wired] })];
  const fresh = circuitKindFor(kind);
  if (!fresh) return there;
  const made = newCircuit(job, fresh, newId, wired, kind);
  return [...there, changeOf(job, "circuits", made.id, made)];
}

/**
 * Adds one point to a face at its usual height, or to the ceiling of the room for ceiling points.
 * @returns its id and the changes, or words when there is no place for it
 */
export function addPoint(
  h: House,
  room: Room,
  wall: string | null,
  kind: PointKind,
  gang: 1 | 2,
  circuitId: string | null,
  newId: NewId,
): { point: string; changes: Change[] } | string {
  const { job } = h;
  const taken = new Set(job.points.map((p) => p.label));
  const kindOf = accessories[kind];
  if (kindOf.on === "deck") {
    const deck = ceilingDeck(job, room);
    if (!deck) return `There is no deck over ${room.name} for a ceiling point; add one in Survey.`;
    const b = bounds(room.outline);
    const p = newPoint(
      job,
      kind,
      gang,
      { on: "deck", deck, x: tenth((b.x0 + b.x1) / 2), y: tenth((b.y0 + b.y1) / 2), face: "ceiling" },
      taken,
      newId,
    );
    return { point: p.id, changes: joined(job, kind, circuitId, [p], newId) };
  }
  const faces = h.faces.filter((f) => f.room.id === room.id).sort((a, b) => a.wall.index - b.wall.index);
  const face = faces.find((f) => f.wall.id === wall) ?? faces[room.startWall] ?? faces[0];
  if (!face) return `${room.name} has no wall to put it on.`;
  const plate = kindOf.plate[gang];
  const v = usualHeight(job, room, kind);
  const u = freeSpot(job, face, v, plate);
  const p = newPoint(job, kind, gang, { on: "wall", wall: face.wall.id, u, v: under(face, u, v, plate) }, taken, newId);
  return {
    point: p.id,
    changes: [...joined(job, kind, circuitId, [p], newId), ...(p.ways ? waysOfFirstBoard(job, p.ways) : [])],
  };
}

/** Deck whose underside is the ceiling of a room; null when there is none. */
export function ceilingDeck(job: Job, room: Room): string | null {
  const floor = job.storeys.find((s) => s.id === room.storey)?.level ?? 0;
  const b = bounds(room.outline);
  const mid = { x: (b.x0 + b.x1) / 2, y: (b.y0 + b.y1) / 2 };
  const fits = decksOver(job.decks, floor + room.height, voidOver(room), (d) => d.underside);
  return (
    (
      fits.find((d) => {
        const o = bounds(d.outline);
        return mid.x >= o.x0 && mid.x <= o.x1 && mid.y >= o.y0 && mid.y <= o.y1;
      }) ?? fits[0]
    )?.id ?? null
  );
}

/**
 * Places along a stretch at equal spacing, mm: `ends` puts the first and last on its ends; `between` leaves half a space at each end.
 */
export function equalPlaces(from: number, to: number, count: number, how: "ends" | "between"): number[] {
  if (count < 1) return [];
  if (how === "ends")
    return count === 1
      ? [tenth((from + to) / 2)]
      : Array.from({ length: count }, (_, i) => tenth(from + ((to - from) * i) / (count - 1)));
  return Array.from({ length: count }, (_, i) => tenth(from + ((to - from) * (i + 0.5)) / count));
}

/** Adds several points of a kind to a wall at equal spacing, all at one height. Places in an opening or past the end are refused in words. */
export function addSeries(
  h: House,
  f: Face,
  s: { kind: PointKind; gang: 1 | 2; count: number; from: number; to: number; v: number; how: "ends" | "between" },
  circuitId: string | null,
  newId: NewId,
): { points: string[]; changes: Change[] } | string {
  const { job } = h;
  const plate = accessories[s.kind].plate[s.gang];
  if (accessories[s.kind].on === "deck")
    return `A ${accessories[s.kind].name.toLowerCase()} goes on a ceiling, not on a wall.`;
  if (s.from > s.to) return `From is ${mm(s.from)} and to is ${mm(s.to)}; to must be the larger.`;
  const us = equalPlaces(s.from, s.to, s.count, s.how);
  for (const u of us) {
    if (u < plate.width / 2 || u > f.shape.length - plate.width / 2)
      return `A plate of ${mm(plate.width)} at ${mm(u)} reaches past the end of the wall; it must be between ${mm(plate.width / 2)} and ${mm(f.shape.length - plate.width / 2)}.`;
    const o = f.openings.find((x) => overlap(rectOf(x), rectAround({ u, v: s.v, ...plate })));
    if (o)
      return `A plate at ${mm(u)} lies in the ${o.kind} from ${mm(o.u)} to ${mm(o.u + o.width)}; choose another stretch or number.`;
  }
  const taken = new Set(job.points.map((p) => p.label));
  const points = us.map((u) =>
    newPoint(job, s.kind, s.gang, { on: "wall", wall: f.wall.id, u, v: under(f, u, s.v, plate) }, taken, newId),
  );
  return {
    points: points.map((p) => p.id),
    changes: joined(job, s.kind, circuitId, points, newId),
  };
}

/** How picked points are brought into line. */
export type Alignment = "level" | "plumb" | "spread" | "mirror";
export const alignmentWords: Record<Alignment, string> = {
  level: "Same height as the first",
  plumb: "Same distance from the left as the first",
  spread: "Equal spacing between the outer two",
  mirror: "Mirror about the middle of the wall",
};

/** Brings points on walls into line with the first of them (given in the order picked). Points on decks go by east and north. */
export function align(h: House, ids: readonly string[], how: Alignment): Change[] | string {
  const { job } = h;
  const points = ids.flatMap((id) => job.points.find((p) => p.id === id) ?? []);
  const first = points[0];
  if (!first || points.length < (how === "mirror" ? 1 : 2))
    return how === "mirror" ? "Pick a point first." : "Pick two points or more first.";
  if (points.some((p) => p.place.on !== first.place.on))
    return "Points on walls and points on ceilings cannot be lined up together.";
  const put = (p: Point, next: Record<string, number>): Change =>
    changeOf(job, "points", p.id, { ...p, place: { ...p.place, ...next } });
  if (first.place.on === "deck") {
    const at = (p: Point): { x: number; y: number } => p.place as { x: number; y: number } & Point["place"];
    if (how === "level") return points.map((p) => put(p, { y: at(first).y }));
    if (how === "plumb") return points.map((p) => put(p, { x: at(first).x }));
    if (how === "mirror") return "Ceiling points have no wall to mirror about.";
    const [a, b] = [bounds(points.map(at)), points.length];
    const wide = a.x1 - a.x0 >= a.y1 - a.y0;
    const sorted = [...points].sort((p, q) => (wide ? at(p).x - at(q).x : at(p).y - at(q).y));
    const places = equalPlaces(wide ? a.x0 : a.y0, wide ? a.x1 : a.y1, b, "ends");
    return sorted.map((p, i) => put(p, wide ? { x: places[i]! } : { y: places[i]! }));
  }
  const wallOf = (p: Point): string => (p.place as { wall: string }).wall;
  const uv = (p: Point): { u: number; v: number } => p.place as { u: number; v: number } & Point["place"];
  if (how === "level") return points.map((p) => put(p, { v: uv(first).v }));
  if (how !== "mirror" && points.some((p) => wallOf(p) !== wallOf(first)))
    return "These points are on different walls; only their heights can be lined up.";
  if (how === "plumb") return points.map((p) => put(p, { u: uv(first).u }));
  if (how === "mirror")
    return points.flatMap((p) => {
      const f = h.faces[h.faceOfWall.get(wallOf(p)) ?? -1];
      return f ? [put(p, { u: tenth(f.shape.length - uv(p).u) })] : [];
    });
  const sorted = [...points].sort((p, q) => uv(p).u - uv(q).u);
  const places = equalPlaces(uv(sorted[0]!).u, uv(sorted[sorted.length - 1]!).u, sorted.length, "ends");
  return sorted.map((p, i) => put(p, { u: places[i]! }));
}

/**
 * Copies the points of one room into another, wall by wall from the door: each keeps its distance from the nearer corner and its
 * height. Ceiling points keep their place relative to the room's middle. Walls the other room lacks are told.
 */
export function copyPoints(
  h: House,
  from: Room,
  to: Room,
  circuitId: string | null,
  newId: NewId,
): { points: string[]; changes: Change[]; left: number } | string {
  const { job } = h;
  if (from.id === to.id) return "Choose another room to copy into.";
  const source = wallsOf(job, from.id);
  const target = wallsOf(job, to.id);
  const taken = new Set(job.points.map((p) => p.label));
  const twin = new Map<string, string>();
  const made: { old: Point; place: Point["place"] }[] = [];
  let left = 0;
  const faceOf = (id: string): Face => h.faces[h.faceOfWall.get(id)!]!;
  for (const p of job.points) {
    if (p.place.on !== "wall" || p.kind === "board") continue;
    const { wall: on } = p.place;
    const w = source.find((x) => x.id === on);
    if (!w) continue;
    const step = (w.index - from.startWall + source.length) % source.length;
    const there = step < target.length ? target[(to.startWall + step) % target.length] : undefined;
    if (!there) {
      left++;
      continue;
    }
    const [a, b] = [faceOf(w.id).shape, faceOf(there.id)];
    const plate = plateOf(p);
    const raw = p.place.u <= a.length / 2 ? p.place.u : b.shape.length - (a.length - p.place.u);
    const u = tenth(Math.max(plate.width / 2, Math.min(raw, b.shape.length - plate.width / 2)));
    made.push({ old: p, place: { on: "wall", wall: there.id, u, v: under(b, u, p.place.v, plate) } });
  }
  const [m, n] = [bounds(from.outline), bounds(to.outline)];
  const deck = ceilingDeck(job, to);
  for (const p of ceilingPointsOf(job, from)) {
    if (p.place.on !== "deck" || p.place.face !== "ceiling") continue;
    if (!deck) {
      left++;
      continue;
    }
    const scale = (x: number, a0: number, a1: number, b0: number, b1: number): number =>
      tenth((b0 + b1) / 2 + ((x - (a0 + a1) / 2) * (b1 - b0)) / (a1 - a0));
    made.push({
      old: p,
      place: {
        on: "deck",
        deck,
        face: "ceiling",
        x: scale(p.place.x, m.x0, m.x1, n.x0, n.x1),
        y: scale(p.place.y, m.y0, m.y1, n.y0, n.y1),
      },
    });
  }
  if (!made.length) return `${from.name} has no points to copy.`;
  for (const x of made) twin.set(x.old.id, newId("p"));
  const points = made.map(({ old, place }): Point => ({
    ...old,
    id: twin.get(old.id)!,
    label: nextLabel(taken, old.kind),
    place,
    controls: old.controls.flatMap((c) => twin.get(c) ?? []),
    gangOf: Object.fromEntries(
      Object.entries(old.gangOf).flatMap(([c, gang]) => (twin.has(c) ? [[twin.get(c), gang]] : [])),
    ),
    existing: false,
    name: "",
  }));
  const changes: Change[] = points.map((p) => changeOf(job, "points", p.id, p));
  const lists = new Map<string, string[]>();
  for (const [i, p] of points.entries()) {
    const old = made[i]!.old.id;
    const c =
      job.circuits.find((x) => x.id === circuitId) ??
      job.circuits.find((x) => x.points.includes(old) && x.state !== "keep") ??
      null;
    if (c) lists.set(c.id, [...(lists.get(c.id) ?? []), p.id]);
  }
  for (const [id, add] of lists) {
    const c = job.circuits.find((x) => x.id === id)!;
    changes.push(changeOf(job, "circuits", id, { ...c, points: [...c.points, ...add] }));
  }
  return { points: points.map((p) => p.id), changes, left };
}
