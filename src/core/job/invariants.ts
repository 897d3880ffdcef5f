import { wiredTo } from "./wired";
import { topAt, topEdge } from "../base/ceiling";
import { isClockwise, selfCrossing } from "../base/polygon";
import { overlap, rectOf } from "../base/rect";
import { EPS } from "../base/tolerance";
import { type Catalogue, cableOf, standardCatalogue } from "../rules/catalogue";
import { type Collection, type Job, collectionNames } from "./model";
import type { Refusal } from "./patch";
import { checkSections } from "./section-invariants";
import { pinId, runKey } from "./run-key";

/** One reference of the model: the ids by which things of one list name things of another, each with its field. */
interface Reference<C extends Collection = Collection> {
  of: C;
  to: Collection;
  ids: (x: Job[C][number]) => (readonly [field: string, id: string | null | undefined])[];
}
const reference = <C extends Collection>(of: C, to: Collection, ids: Reference<C>["ids"]): Reference =>
  ({ of, to, ids }) as unknown as Reference;

/** Every reference of the model, one row each. Null and undefined name nothing. */
const references: readonly Reference[] = [
  reference("rooms", "storeys", (r) => [["storey", r.storey]]),
  reference("walls", "rooms", (w) => [["room", w.room]]),
  reference("openings", "walls", (o) => [["wall", o.wall]]),
  reference("fixtures", "walls", (f) => [["wall", f.wall]]),
  reference("points", "walls", (p) => [["place.wall", p.place.on === "wall" ? p.place.wall : null]]),
  reference("points", "decks", (p) => [["place.deck", p.place.on === "deck" ? p.place.deck : null]]),
  reference("points", "points", (p) => p.controls.map((c, i) => [`controls.${i}`, c])),
  reference("circuits", "points", (c) => [
    ...c.points.map((id) => ["points", id] as const),
    ...c.spurs.map((s) => ["points", s.point] as const),
    ["board", c.board],
    ...c.runCables.flatMap((r, i) => [[`runCables.${i}.from`, r.from] as const, [`runCables.${i}.to`, r.to] as const]),
  ]),
  reference("pins", "circuits", (p) => [["circuit", p.circuit]]),
  reference("pins", "points", (p) => [
    ["from", p.from],
    ["to", p.to],
  ]),
  reference("foundCables", "points", (c) => [
    ["from", c.from],
    ["to", c.to],
  ]),
  reference("foundCables", "walls", (c) => c.traced.map((t, i) => [`traced.${i}.wall`, t.wall])),
  reference("foundTrunkings", "walls", (t) => [["wall", t.wall]]),
  reference("sections", "walls", (s) => s.path.map((p, i) => [`path.${i}.wall`, p.on === "wall" ? p.wall : null])),
  reference("sections", "decks", (s) => s.path.map((p, i) => [`path.${i}.deck`, p.on === "deck" ? p.deck : null])),
  reference("sections", "circuits", (s) => s.out.map((id, i) => [`out.${i}`, id])),
  reference("forbidden", "walls", (x) => [["place", x.place.on === "wall" ? x.place.wall : null]]),
  reference("forbidden", "decks", (x) => [["place", x.place.on === "deck" ? x.place.deck : null]]),
  reference("photos", "walls", (p) => (p.wall === null ? [] : [["wall", p.wall]])),
  reference("photos", "decks", (p) => (p.deck === null ? [] : [["deck", p.deck]])),
  reference("photos", "outsideWays", (p) => (p.outside === null ? [] : [["outside", p.outside]])),
  reference("grounds", "rooms", (g) => [["room", g.room]]),
  reference("posts", "rooms", (p) => [["room", p.room]]),
  reference("outsideWays", "walls", (w) => [
    ["from.wall", w.from.wall],
    ["to.wall", w.to.wall],
  ]),
  reference("outsideWays", "posts", (w) => w.posts.map((id, i) => [`posts.${i}`, id])),
  reference("lightRows", "rooms", (r) => [["room", r.room]]),
  reference("lightRows", "points", (r) => [["from", r.from]]),
  reference("extensions", "circuits", (x) => [["circuit", x.circuit]]),
  reference("extensions", "points", (x) => [
    ["broken.from", x.broken?.from],
    ["broken.to", x.broken?.to],
    ...x.joints.map((j, i) => [`joints.${i}.point`, j.point] as const),
  ]),
  reference("traces", "storeys", (t) => [["storey", t.storey]]),
];

/** Catalogue rows that a job names, each with its field. Empty text names nothing. */
function catalogueNamed(job: Job): { path: string; table: "cables" | "trunkings"; id: string }[] {
  const cable = (path: string, id: string) => ({ path, table: "cables" as const, id });
  return [
    ...job.circuits.map((c) => cable(`circuits.${c.id}.cable`, c.cable)),
    ...job.circuits.flatMap((c) => c.runCables.map((r, i) => cable(`circuits.${c.id}.runCables.${i}.cable`, r.cable))),
    ...job.foundCables.map((c) => cable(`foundCables.${c.id}.cable`, c.cable)),
    ...job.drums.map((d) => cable(`drums.${d.id}.cable`, d.cable)),
    ...job.foundTrunkings.flatMap((t) => [
      { path: `foundTrunkings.${t.id}.size`, table: "trunkings" as const, id: t.size },
      ...t.holds.map((h) => cable(`foundTrunkings.${t.id}.holds`, h.cable)),
    ]),
    ...job.lightRows.map((r) => cable(`lightRows.${r.id}.cable`, r.cable)),
    ...job.sections.flatMap((s) => s.holds.map((x) => cable(`sections.${s.id}.holds`, x.cable))),
  ].filter((x) => x.id !== "");
}

/**
 * What must hold between the things of a job before it is stored: unique ids, references that lead somewhere,
 * simple clockwise outlines with one wall for each side, openings on their wall and off each other, one pin a run.
 * What a person may do in the course of work (a point in a door, a circuit with no way) is a fact of the plan, not a refusal.
 * @returns nothing when all holds, else each breach with the field and words
 */
export function checkInvariants(job: Job, catalogue: Catalogue = standardCatalogue): Refusal[] {
  return [
    ...checkIds(job),
    ...checkReferences(job, catalogue),
    ...checkRooms(job),
    ...checkOpenings(job),
    ...checkDecks(job),
    ...checkCircuits(job),
    ...checkPins(job),
    ...checkFound(job),
    ...checkSections(job, catalogue),
  ];
}

function checkIds(job: Job): Refusal[] {
  const out: Refusal[] = [];
  for (const c of collectionNames) {
    const seen = new Set<string>();
    for (const x of job[c]) {
      if (seen.has(x.id)) out.push({ path: `${c}.${x.id}`, message: `the id ${x.id} is used twice in ${c}` });
      seen.add(x.id);
    }
  }
  return out;
}

function checkReferences(job: Job, catalogue: Catalogue): Refusal[] {
  const out: Refusal[] = [];
  const ids = new Map(collectionNames.map((c) => [c, new Set((job[c] as { id: string }[]).map((x) => x.id))]));
  for (const r of references)
    for (const x of job[r.of])
      for (const [field, id] of r.ids(x))
        if (id !== null && id !== undefined && !ids.get(r.to)!.has(id))
          out.push({ path: `${r.of}.${x.id}.${field}`, message: `${id} is not one of the ${r.to} of this job` });
  for (const { path, table, id } of catalogueNamed(job)) {
    const there = table === "cables" ? cableOf(id, catalogue) : catalogue.trunkings.find((t) => t.id === id);
    if (!there)
      out.push({
        path,
        message:
          table === "cables" ? `${id} is not in the cable catalogue` : `${id} is not a trunking of the catalogue`,
      });
  }
  return out;
}

function checkRooms(job: Job): Refusal[] {
  const out: Refusal[] = [];
  for (const r of job.rooms) {
    checkOutline(out, `rooms.${r.id}.outline`, r.name, r.outline, true);
    const indexes = job.walls
      .filter((w) => w.room === r.id)
      .map((w) => w.index)
      .sort((a, b) => a - b);
    if (indexes.length !== r.outline.length || indexes.some((x, i) => x !== i))
      out.push({
        path: `rooms.${r.id}.outline`,
        message: `${r.name} has ${r.outline.length} sides but walls numbered ${indexes.join(", ") || "none"}; each side needs one wall`,
      });
    r.slopes.forEach((x, i) => {
      if (x.wall >= r.outline.length)
        out.push({
          path: `rooms.${r.id}.slopes.${i}.wall`,
          message: `the ceiling of ${r.name} slopes from wall ${x.wall + 1}; it has ${r.outline.length}`,
        });
    });
  }
  return out;
}

interface WallSize {
  length: number;
  height: number;
  name: string;
  room: Job["rooms"][number];
  index: number;
}

/** Length and height of every wall that has its side, mm. */
function wallSizes(job: Job): Map<string, WallSize> {
  const out = new Map<string, WallSize>();
  const rooms = new Map(job.rooms.map((r) => [r.id, r]));
  for (const w of job.walls) {
    const room = rooms.get(w.room);
    if (!room || w.index >= room.outline.length) continue;
    const a = room.outline[w.index]!;
    const b = room.outline[(w.index + 1) % room.outline.length]!;
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    out.set(w.id, { length, height: room.height, name: `wall ${w.index + 1} of ${room.name}`, room, index: w.index });
  }
  return out;
}

function checkOpenings(job: Job): Refusal[] {
  const out: Refusal[] = [];
  const sizes = wallSizes(job);
  for (const o of job.openings) {
    const w = sizes.get(o.wall);
    if (w && (o.u + o.width > w.length + EPS || o.v + o.height > w.height + EPS))
      out.push({
        path: `openings.${o.id}`,
        message: `the ${o.kind} reaches ${Math.round(o.u + o.width)} along and ${Math.round(o.v + o.height)} up; ${w.name} is ${Math.round(w.length)} long and ${Math.round(w.height)} high`,
      });
    for (const p of job.openings)
      if (p.wall === o.wall && o.id < p.id && overlap(rectOf(o), rectOf(p)))
        out.push({
          path: `openings.${p.id}`,
          message: `the ${p.kind} overlaps the ${o.kind} on ${w?.name ?? "its wall"}`,
        });
  }
  return out;
}

function checkDecks(job: Job): Refusal[] {
  const out: Refusal[] = [];
  for (const d of job.decks) {
    checkOutline(out, `decks.${d.id}.outline`, d.name, d.outline, false);
    d.joists.bearings.forEach(([a, b], i, sorted) => {
      const path = `decks.${d.id}.joists.bearings.${i}`;
      if (b <= a) out.push({ path, message: `the bearing runs from ${a} to ${b}; the second must be larger` });
      if (i > 0 && a < sorted[i - 1]![1])
        out.push({ path, message: "bearings are listed in order and do not overlap" });
    });
  }
  return out;
}

function checkCircuits(job: Job): Refusal[] {
  const out: Refusal[] = [];
  const on = new Map<string, string>();
  for (const c of job.circuits) {
    for (const id of wiredTo(c)) {
      const other = on.get(id);
      if (other !== undefined)
        out.push({
          path: `circuits.${c.id}.points`,
          message: `the point ${id} is listed twice, on ${other} and ${c.label}`,
        });
      on.set(id, c.label);
    }
    const from = new Map(c.spurs.map((s) => [s.point, s.from]));
    for (const s of c.spurs) {
      const path = `circuits.${c.id}.spurs`;
      // From spur to spur back to the circuit: what lies behind a fused unit, or a branch of a branch.
      const seen = new Set([s.point]);
      let at: string | undefined = s.from;
      for (; at !== undefined && from.has(at) && !seen.has(at); at = from.get(at)) seen.add(at);
      if (at !== undefined && seen.has(at))
        out.push({ path, message: `the spur to ${s.point} leads back to itself and never to ${c.label}` });
      else if (!c.points.includes(at!))
        out.push({ path, message: `the spur to ${s.point} starts at ${s.from}, which is not a point of ${c.label}` });
    }
    c.runCables.forEach((r, i) => {
      const key = runKey({ circuit: c.id, from: r.from, to: r.to }, r.number);
      const first = c.runCables.findIndex((x) => runKey({ circuit: c.id, from: x.from, to: x.to }, x.number) === key);
      if (first < i)
        out.push({ path: `circuits.${c.id}.runCables.${i}`, message: `the run ${key} is given two cables of its own` });
    });
  }
  return out;
}

/** One pin a run: its id is made from the run's key, so that a second can only take the first one's place. */
function checkPins(job: Job): Refusal[] {
  const out: Refusal[] = [];
  const seen = new Map<string, string>();
  for (const p of job.pins) {
    const key = runKey(p, p.number);
    const other = seen.get(key);
    if (other !== undefined)
      out.push({ path: `pins.${p.id}`, message: `the run ${key} is pinned twice, by ${other} and ${p.id}` });
    else if (p.id !== pinId(p, p.number))
      out.push({ path: `pins.${p.id}.id`, message: `a pin of the run ${key} has the id ${pinId(p, p.number)}` });
    seen.set(key, p.id);
  }
  return out;
}

function checkFound(job: Job): Refusal[] {
  const out: Refusal[] = [];
  for (const c of job.foundCables)
    if (c.to === c.from)
      out.push({
        path: `foundCables.${c.id}.to`,
        message: "a cable found in the house ends at another point than it starts from",
      });
  for (const c of job.foundCables)
    c.traced.forEach((t, i) => {
      if (Math.hypot(t.from.u - t.to.u, t.from.v - t.to.v) < 10)
        out.push({
          path: `foundCables.${c.id}.traced.${i}.to`,
          message: "a traced stretch is at least 10 mm long; its ends lie in one place",
        });
    });
  for (const t of job.foundTrunkings)
    if (Math.abs(t.from.u - t.to.u) > EPS && Math.abs(t.from.v - t.to.v) > EPS)
      out.push({
        path: `foundTrunkings.${t.id}.to`,
        message: "a trunking runs level or plumb; its ends share their distance from the left or their height",
      });
  return out;
}

function checkOutline(
  out: Refusal[],
  path: string,
  what: string,
  outline: { x: number; y: number }[],
  clockwise: boolean,
): void {
  outline.forEach((a, i) => {
    const b = outline[(i + 1) % outline.length]!;
    if (Math.hypot(b.x - a.x, b.y - a.y) < 10)
      out.push({ path: `${path}.${i}`, message: `side ${i + 1} of ${what} is shorter than 10 mm` });
  });
  const x = selfCrossing(outline);
  if (x) out.push({ path, message: `the outline of ${what} crosses itself: side ${x[0] + 1} meets side ${x[1] + 1}` });
  else if (clockwise && !isClockwise(outline))
    out.push({
      path,
      message: `the corners of ${what} are listed anticlockwise; list them clockwise, as seen from above`,
    });
}

/**
 * Points whose middle lies off their wall. A file that has one is refused, and so is an edit that makes one; a job that has one from
 * an earlier edition can still be worked on.
 */
export function pointsOffWall(job: Job): Refusal[] {
  const sizes = wallSizes(job);
  return job.points.flatMap((p) => {
    const w = p.place.on === "wall" ? sizes.get(p.place.wall) : undefined;
    if (!w || p.place.on !== "wall") return [];
    const { u, v } = p.place;
    const top = w.room.slopes.length ? topAt(topEdge(w.room, w.index), Math.min(w.length, Math.max(0, u))) : w.height;
    const off =
      u < -EPS || u > w.length + EPS
        ? { field: "u", words: `${Math.round(u)} from the left; ${w.name} is ${Math.round(w.length)} long` }
        : v < -EPS || v > top + EPS
          ? { field: "v", words: `${Math.round(v)} up; ${w.name} is ${Math.round(top)} high there` }
          : null;
    return off ? [{ path: `points.${p.id}.place.${off.field}`, message: `${p.label} is ${off.words}` }] : [];
  });
}

/** The points that an edit puts off their wall, and that were on it before. */
export function newlyOffWall(before: Job, after: Job): Refusal[] {
  const was = new Set(pointsOffWall(before).map((r) => r.path));
  return pointsOffWall(after).filter((r) => !was.has(r.path));
}
