import { isClockwise, selfCrossing } from "../geometry/polygon";
import { overlap, rectOf } from "../geometry/rect";
import { EPS } from "../geometry/tolerance";
import { type Catalogue, cableOf, standardCatalogue } from "../rules/catalogue";
import { type Collection, type Job, collectionNames } from "./model";
import type { Refusal } from "./patch";

/**
 * What must hold between the things of a job before it is stored: unique ids, references that lead somewhere,
 * simple clockwise outlines with one wall for each side, openings on their wall and off each other.
 * What a person may do in the course of work (a point in a door, a circuit with no way) is a finding, not a refusal.
 * @returns nothing when all holds, else each breach with the field and words
 */
export function checkInvariants(job: Job, catalogue: Catalogue = standardCatalogue): Refusal[] {
  const out: Refusal[] = [];
  const ids = new Map<Collection, Set<string>>();
  for (const c of collectionNames) {
    const seen = new Set<string>();
    for (const x of job[c]) {
      if (seen.has(x.id)) out.push({ path: `${c}.${x.id}`, message: `the id ${x.id} is used twice in ${c}` });
      seen.add(x.id);
    }
    ids.set(c, seen);
  }
  const refer = (path: string, to: Collection, id: string): void => {
    if (!ids.get(to)!.has(id)) out.push({ path, message: `${id} is not one of the ${to} of this job` });
  };
  for (const r of job.rooms) {
    refer(`rooms.${r.id}.storey`, "storeys", r.storey);
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
  }
  const lengthOf = new Map<string, { length: number; height: number; name: string }>();
  for (const w of job.walls) {
    refer(`walls.${w.id}.room`, "rooms", w.room);
    const room = job.rooms.find((r) => r.id === w.room);
    if (!room || w.index >= room.outline.length) continue;
    const a = room.outline[w.index]!;
    const b = room.outline[(w.index + 1) % room.outline.length]!;
    lengthOf.set(w.id, {
      length: Math.hypot(b.x - a.x, b.y - a.y),
      height: room.height,
      name: `wall ${w.index + 1} of ${room.name}`,
    });
  }
  for (const o of job.openings) {
    refer(`openings.${o.id}.wall`, "walls", o.wall);
    const w = lengthOf.get(o.wall);
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
  for (const f of job.fixtures) refer(`fixtures.${f.id}.wall`, "walls", f.wall);
  for (const d of job.decks) {
    checkOutline(out, `decks.${d.id}.outline`, d.name, d.outline, false);
    const sorted = d.joists.bearings;
    sorted.forEach(([a, b], i) => {
      if (b <= a)
        out.push({
          path: `decks.${d.id}.joists.bearings.${i}`,
          message: `the bearing runs from ${a} to ${b}; the second must be larger`,
        });
      if (i > 0 && a < sorted[i - 1]![1])
        out.push({
          path: `decks.${d.id}.joists.bearings.${i}`,
          message: "bearings are listed in order and do not overlap",
        });
    });
  }
  const on = new Map<string, string>();
  for (const p of job.points) {
    if (p.place.on === "wall") refer(`points.${p.id}.place.wall`, "walls", p.place.wall);
    else refer(`points.${p.id}.place.deck`, "decks", p.place.deck);
    p.controls.forEach((c, i) => refer(`points.${p.id}.controls.${i}`, "points", c));
  }
  for (const c of job.circuits) {
    if (!cableOf(c.cable, catalogue))
      out.push({ path: `circuits.${c.id}.cable`, message: `${c.cable} is not in the cable catalogue` });
    for (const id of [...c.points, ...c.spurs.map((s) => s.point)]) {
      refer(`circuits.${c.id}.points`, "points", id);
      const other = on.get(id);
      if (other !== undefined)
        out.push({
          path: `circuits.${c.id}.points`,
          message: `the point ${id} is listed twice, on ${other} and ${c.label}`,
        });
      on.set(id, c.label);
    }
    for (const s of c.spurs)
      if (!c.points.includes(s.from))
        out.push({
          path: `circuits.${c.id}.spurs`,
          message: `the spur to ${s.point} starts at ${s.from}, which is not a point of ${c.label}`,
        });
  }
  for (const p of job.pins) {
    refer(`pins.${p.id}.circuit`, "circuits", p.circuit);
    refer(`pins.${p.id}.from`, "points", p.from);
    refer(`pins.${p.id}.to`, "points", p.to);
  }
  for (const r of job.rooms)
    r.slopes.forEach(
      (x, i) =>
        x.wall >= r.outline.length &&
        out.push({
          path: `rooms.${r.id}.slopes.${i}.wall`,
          message: `the ceiling of ${r.name} slopes from wall ${x.wall + 1}; it has ${r.outline.length}`,
        }),
    );
  for (const c of job.foundCables) {
    refer(`foundCables.${c.id}.from`, "points", c.from);
    if (c.to !== null) refer(`foundCables.${c.id}.to`, "points", c.to);
    if (c.to === c.from)
      out.push({
        path: `foundCables.${c.id}.to`,
        message: "a cable found in the house ends at another point than it starts from",
      });
    if (c.cable && !cableOf(c.cable, catalogue))
      out.push({ path: `foundCables.${c.id}.cable`, message: `${c.cable} is not in the cable catalogue` });
  }
  for (const t of job.foundTrunkings) {
    refer(`foundTrunkings.${t.id}.wall`, "walls", t.wall);
    if (!catalogue.trunkings.some((x) => x.id === t.size))
      out.push({ path: `foundTrunkings.${t.id}.size`, message: `${t.size} is not a trunking of the catalogue` });
    if (Math.abs(t.from.u - t.to.u) > EPS && Math.abs(t.from.v - t.to.v) > EPS)
      out.push({
        path: `foundTrunkings.${t.id}.to`,
        message: "a trunking runs level or plumb; its ends share their distance from the left or their height",
      });
    for (const x of t.holds)
      if (!cableOf(x.cable, catalogue))
        out.push({ path: `foundTrunkings.${t.id}.holds`, message: `${x.cable} is not in the cable catalogue` });
  }
  for (const x of job.forbidden)
    refer(
      `forbidden.${x.id}.place`,
      x.place.on === "wall" ? "walls" : "decks",
      x.place.on === "wall" ? x.place.wall : x.place.deck,
    );
  for (const c of job.circuits) if (c.board) refer(`circuits.${c.id}.board`, "points", c.board);
  for (const p of job.photos) refer(`photos.${p.id}.wall`, "walls", p.wall);
  for (const t of job.traces) refer(`traces.${t.id}.storey`, "storeys", t.storey);
  for (const d of job.drums)
    if (!cableOf(d.cable, catalogue))
      out.push({ path: `drums.${d.id}.cable`, message: `${d.cable} is not in the cable catalogue` });
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
