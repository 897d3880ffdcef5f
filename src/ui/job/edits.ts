"use client";
import { nanoid } from "nanoid";
import { bounds } from "../../core/geometry/polygon";
import { overlap, rectAround, rectOf } from "../../core/geometry/rect";
import { type Circuit, type Deck, type Job, type Opening, type Point, type Room, type Wall, circuitSchema, deckSchema, fixtureSchema, openingSchema, pointSchema, roomSchema, wallSchema } from "../../core/job/model";
import type { Change } from "../../core/job/patch";
import { type PointKind, accessories, plateOf } from "../../core/rules/accessories";
import { change, edit, useDesk } from "./store";

const newId = (prefix: string): string => `${prefix}-${nanoid(8)}`;

/** Next free label with the letter of the kind: S1, S2 … Numbers once used are not given again while they stand. */
export function nextLabel(job: Job, kind: PointKind): string {
  const letter = accessories[kind].letter;
  const taken = new Set(job.points.map((p) => p.label));
  for (let n = 1; ; n++) if (!taken.has(`${letter}${n}`)) return `${letter}${n}`;
}

/** Circuit that a new point of this kind joins: the picked one, else the first of a fitting kind. */
export function usualCircuit(job: Job, kind: PointKind, picked: string | null): Circuit | null {
  const own = job.circuits.find((c) => c.id === picked);
  if (own) return own;
  const byLabel = [...job.circuits].sort((a, b) => (a.label < b.label ? -1 : 1));
  if (kind === "socket") return byLabel.find((c) => c.kind === "ring" || (c.kind === "radial" && c.points.some((id) => job.points.find((p) => p.id === id)?.kind === "socket"))) ?? null;
  if (kind === "light" || kind === "switch" || kind === "wall-light") return byLabel.find((c) => c.kind === "lighting") ?? null;
  return null;
}

/** Free place for a plate at height v on a wall: the first of the spots from the middle outwards that no opening or point takes. */
function freeSpot(job: Job, wallId: string, length: number, v: number, plate: { width: number; height: number }): number {
  const taken = [
    ...job.openings.filter((o) => o.wall === wallId).map(rectOf),
    ...job.points.flatMap((p) => (p.place.on === "wall" && p.place.wall === wallId ? [rectAround({ ...p.place, ...plateOf(p) })] : [])),
  ];
  const middle = Math.round(length / 2 / 10) * 10;
  for (let d = 0; d <= length / 2; d += 50)
    for (const u of [middle + d, middle - d])
      if (u >= plate.width / 2 && u <= length - plate.width / 2 && !taken.some((r) => overlap(r, rectAround({ u, v, ...plate })))) return u;
  return middle;
}

/** Adds a point of a kind to the picked wall (or the deck over the room for ceiling points) and picks it out. Returns the refusal, or null. */
export function addPoint(kind: PointKind, gang: 1 | 2, circuitId: string | null): string | null {
  const { job, house, selection, room: roomId } = useDesk.getState();
  const room = job.rooms.find((r) => r.id === roomId);
  if (!room) return "There is no room to put it in; add a room first.";
  const kindOf = accessories[kind];
  let place: Point["place"];
  if (kindOf.on === "deck") {
    const face = house.faces.find((f) => f.room.id === room.id);
    const b = bounds(room.outline);
    const x = (b.x0 + b.x1) / 2;
    const y = (b.y0 + b.y1) / 2;
    const deck = job.decks.find((d) => face && d.underside >= face.floor + room.height - 1 && d.underside <= face.floor + room.height + 100);
    if (!deck) return "There is no deck over this room for a ceiling point; add one in Survey.";
    place = { on: "deck", deck: deck.id, x, y, face: "ceiling" };
  } else {
    const faces = house.faces.filter((f) => f.room.id === room.id).sort((a, b) => a.wall.index - b.wall.index);
    const fromPoint = selection?.kind === "point" ? house.points[house.pointOfId.get(selection.id) ?? -1]?.face : undefined;
    const face = (selection?.kind === "wall" ? faces.find((f) => f.wall.id === selection.id) : undefined) ?? faces.find((f) => f.n === fromPoint) ?? faces[room.startWall] ?? faces[0];
    if (!face) return "This room has no wall to put it on.";
    const v = (job.dwelling.newDwelling ? kindOf.newHeight : kindOf.height) ?? 1200;
    place = { on: "wall", wall: face.wall.id, u: freeSpot(job, face.wall.id, face.shape.length, v, kindOf.plate[gang]), v };
  }
  const id = newId("p");
  const point = pointSchema.parse({ id, label: nextLabel(job, kind), kind, gang, place, ways: kind === "board" ? 10 : 0, mount: kind === "board" ? "surface" : "flush" });
  const circuit = kind === "board" ? null : usualCircuit(job, kind, circuitId);
  const refused = edit([change("points", id, point), ...(circuit ? [change("circuits", circuit.id, { ...circuit, points: [...circuit.points, id] })] : [])]);
  if (!refused) useDesk.setState({ selection: { kind: "point", id } });
  return refused;
}

/** Takes a point out, and out of everything that names it. */
export function removePoint(id: string): string | null {
  const { job } = useDesk.getState();
  const patch: Change[] = [];
  for (const p of job.pins) if (p.from === id || p.to === id) patch.push(change("pins", p.id, null));
  for (const c of job.circuits)
    if (c.points.includes(id) || c.spurs.some((s) => s.point === id || s.from === id))
      patch.push(change("circuits", c.id, { ...c, points: c.points.filter((x) => x !== id), spurs: c.spurs.filter((s) => s.point !== id && s.from !== id) }));
  for (const p of job.points) if (p.controls.includes(id)) patch.push(change("points", p.id, { ...p, controls: p.controls.filter((x) => x !== id) }));
  patch.push(change("points", id, null));
  const refused = edit(patch);
  if (!refused) useDesk.setState({ selection: null });
  return refused;
}

/** Puts a point on a circuit (or on none), off any other. */
export function setCircuit(pointId: string, circuitId: string | null): string | null {
  const { job } = useDesk.getState();
  const patch = job.circuits.flatMap((c) => {
    const on = c.points.includes(pointId) || c.spurs.some((s) => s.point === pointId);
    if (c.id === circuitId) return on ? [] : [change("circuits", c.id, { ...c, points: [...c.points, pointId] })];
    return on ? [change("circuits", c.id, { ...c, points: c.points.filter((x) => x !== pointId), spurs: c.spurs.filter((s) => s.point !== pointId && s.from !== pointId) })] : [];
  });
  const pins = job.pins.filter((p) => (p.from === pointId || p.to === pointId) && p.circuit !== circuitId).map((p) => change("pins", p.id, null));
  return patch.length ? edit([...pins, ...patch]) : null;
}

export function addCircuit(kind: Circuit["kind"]): string | null {
  const { job } = useDesk.getState();
  const taken = new Set(job.circuits.map((c) => c.label));
  let n = 1;
  while (taken.has(`C${n}`)) n++;
  const board = job.points.find((p) => p.kind === "board");
  const ways = new Set(job.circuits.map((c) => c.way));
  let way: number | null = null;
  for (let w = 1; w <= (board?.ways ?? 0) && way === null; w++) if (!ways.has(w)) way = w;
  const usual: Record<Circuit["kind"], { rating: number; cable: string }> = { ring: { rating: 32, cable: "te-2.5" }, radial: { rating: 20, cable: "te-2.5" }, lighting: { rating: 6, cable: "te-1.0" }, cooker: { rating: 32, cable: "te-6" }, shower: { rating: 40, cable: "te-10" }, fixed: { rating: 16, cable: "te-2.5" }, outbuilding: { rating: 32, cable: "swa-3x4" } };
  const id = newId("c");
  const refused = edit([change("circuits", id, circuitSchema.parse({ id, label: `C${n}`, name: `New ${kind}`, kind, device: { curve: "B", rating: usual[kind].rating }, rcd: 30, cable: usual[kind].cable, way, points: [] }))]);
  if (!refused) useDesk.setState({ selection: { kind: "circuit", id } });
  return refused;
}

export function removeCircuit(id: string): string | null {
  const { job } = useDesk.getState();
  return edit([...job.pins.filter((p) => p.circuit === id).map((p) => change("pins", p.id, null)), change("circuits", id, null)]);
}

/** Adds an upright rectangular room with four walls; its corners can be moved afterwards. */
export function addRoom(f: { name: string; kind: Room["kind"]; x: number; y: number; width: number; depth: number; height: number; build: Wall["build"]; thickness: number }): string | null {
  const { job } = useDesk.getState();
  const id = newId("r");
  const outline = [{ x: f.x, y: f.y }, { x: f.x, y: f.y + f.depth }, { x: f.x + f.width, y: f.y + f.depth }, { x: f.x + f.width, y: f.y }];
  const storey = job.storeys[0]!.id;
  const room = roomSchema.parse({ id, storey, name: f.name, kind: f.kind, outline, height: f.height });
  const walls = outline.map((_, index) => wallSchema.parse({ id: newId("w"), room: id, index, build: f.build, thickness: f.thickness }));
  const refused = edit([change("rooms", id, room), ...walls.map((w) => change("walls", w.id, w))]);
  if (!refused) useDesk.setState({ room: id, selection: null });
  return refused;
}

/** Takes a room out with its walls, openings and fixtures, and the points on its walls. */
export function removeRoom(id: string): string | null {
  const { job } = useDesk.getState();
  const walls = new Set(job.walls.filter((w) => w.room === id).map((w) => w.id));
  const gone = new Set(job.points.filter((p) => p.place.on === "wall" && walls.has(p.place.wall)).map((p) => p.id));
  const patch: Change[] = [];
  for (const p of job.pins) if (gone.has(p.from) || gone.has(p.to)) patch.push(change("pins", p.id, null));
  for (const c of job.circuits) if (c.points.some((x) => gone.has(x)) || c.spurs.some((s) => gone.has(s.point) || gone.has(s.from))) patch.push(change("circuits", c.id, { ...c, points: c.points.filter((x) => !gone.has(x)), spurs: c.spurs.filter((s) => !gone.has(s.point) && !gone.has(s.from)) }));
  for (const p of job.points) if (!gone.has(p.id) && p.controls.some((x) => gone.has(x))) patch.push(change("points", p.id, { ...p, controls: p.controls.filter((x) => !gone.has(x)) }));
  for (const p of gone) patch.push(change("points", p, null));
  for (const o of job.openings) if (walls.has(o.wall)) patch.push(change("openings", o.id, null));
  for (const f of job.fixtures) if (walls.has(f.wall)) patch.push(change("fixtures", f.id, null));
  for (const w of walls) patch.push(change("walls", w, null));
  patch.push(change("rooms", id, null));
  const refused = edit(patch);
  if (!refused) useDesk.setState((s) => ({ room: s.job.rooms[0]?.id ?? null, selection: null }));
  return refused;
}

/** Puts a new corner in the middle of a side; the wall is split there. */
export function splitSide(room: Room, side: number): string | null {
  const { job } = useDesk.getState();
  const a = room.outline[side]!;
  const b = room.outline[(side + 1) % room.outline.length]!;
  const outline = [...room.outline.slice(0, side + 1), { x: Math.round((a.x + b.x) / 2), y: Math.round((a.y + b.y) / 2) }, ...room.outline.slice(side + 1)];
  const walls = job.walls.filter((w) => w.room === room.id).sort((p, q) => p.index - q.index);
  const old = walls[side]!;
  const half = Math.hypot(b.x - a.x, b.y - a.y) / 2;
  const fresh = { ...old, id: newId("w"), index: side + 1 };
  const patch: Change[] = [change("rooms", room.id, { ...room, outline }), change("walls", fresh.id, fresh)];
  for (const w of walls) if (w.index > side) patch.push(change("walls", w.id, { ...w, index: w.index + 1 }));
  // What lies beyond the new corner goes with the new wall.
  for (const o of job.openings) if (o.wall === old.id && o.u >= half) patch.push(change("openings", o.id, { ...o, wall: fresh.id, u: o.u - half }));
  for (const f of job.fixtures) if (f.wall === old.id && f.u >= half) patch.push(change("fixtures", f.id, { ...f, wall: fresh.id, u: f.u - half }));
  for (const p of job.points) if (p.place.on === "wall" && p.place.wall === old.id && p.place.u >= half) patch.push(change("points", p.id, { ...p, place: { ...p.place, wall: fresh.id, u: p.place.u - half } }));
  return edit(patch);
}

export function addOpening(wall: string, kind: Opening["kind"], length: number, height: number): string | null {
  const { job } = useDesk.getState();
  const size = kind === "window" ? { v: 900, width: 1200, height: 1050 } : { v: 0, width: 838, height: 2040 };
  const width = Math.min(size.width, length * 0.8);
  const tall = Math.min(size.height, height - size.v);
  const taken = job.openings.filter((o) => o.wall === wall).map(rectOf);
  for (let u = 100; u + width <= length; u += 50)
    if (!taken.some((r) => overlap(r, { u0: u, u1: u + width, v0: size.v, v1: size.v + tall }))) {
      const id = newId("o");
      return edit([change("openings", id, openingSchema.parse({ id, wall, kind, u, v: size.v, width, height: tall }))]);
    }
  return `There is no room for a ${kind} of ${width} mm on this wall.`;
}

export function addFixture(wall: string, kind: (typeof fixtureSchema)["_output"]["kind"], length: number): string | null {
  const sizes: Record<string, { v: number; width: number; height: number; depth: number }> = { worktop: { v: 860, width: 2400, height: 40, depth: 600 }, sink: { v: 720, width: 500, height: 180, depth: 450 }, hob: { v: 900, width: 580, height: 20, depth: 520 }, oven: { v: 100, width: 600, height: 720, depth: 560 }, appliance: { v: 0, width: 600, height: 850, depth: 600 }, "tall-unit": { v: 0, width: 600, height: 2100, depth: 580 }, "wall-unit": { v: 1400, width: 600, height: 720, depth: 320 }, bath: { v: 0, width: 1700, height: 560, depth: 700 }, radiator: { v: 150, width: 1000, height: 600, depth: 100 }, wardrobe: { v: 0, width: 1200, height: 2000, depth: 600 }, beam: { v: 2200, width: 300, height: 200, depth: 300 } };
  const s = sizes[kind]!;
  const id = newId("f");
  return edit([change("fixtures", id, fixtureSchema.parse({ id, wall, kind, u: Math.max(0, Math.round((length - Math.min(s.width, length)) / 2)), v: s.v, width: Math.min(s.width, length), height: s.height, depth: s.depth }))]);
}

/** A deck of solid joists over (or a slab under) all rooms of the storey, borne at its edges. */
export function addDeck(kind: Deck["kind"]): string | null {
  const { job } = useDesk.getState();
  const storey = job.storeys[0]!;
  const rooms = job.rooms.filter((r) => r.storey === storey.id);
  if (!rooms.length) return "Add a room first: the deck takes its outline from the rooms below it.";
  const b = bounds(rooms.flatMap((r) => r.outline));
  const outline = [{ x: b.x0, y: b.y0 }, { x: b.x0, y: b.y1 }, { x: b.x1, y: b.y1 }, { x: b.x1, y: b.y0 }];
  const eastWest = b.x1 - b.x0 <= b.y1 - b.y0;
  const span = eastWest ? b.x1 - b.x0 : b.y1 - b.y0;
  const id = newId("d");
  const over = kind !== "concrete";
  const refused = edit([
    change("decks", id, deckSchema.parse({ id, name: over ? "Deck over" : "Ground slab", kind, outline, underside: over ? storey.level + Math.max(...rooms.map((r) => r.height)) + 15 : storey.level - 150, joists: { direction: eastWest ? "east-west" : "north-south", depth: over ? 195 : 150, bearings: over ? [[-100, 0], [span, span + 100]] : [] }, boards: { thickness: over ? 22 : 0 } })),
  ]);
  if (!refused) useDesk.setState({ selection: { kind: "deck", id } });
  return refused;
}

/** Lets go of every pinned run. */
export function unpinAll(): number {
  const { job } = useDesk.getState();
  if (job.pins.length) edit(job.pins.map((p) => change("pins", p.id, null)));
  return job.pins.length;
}
