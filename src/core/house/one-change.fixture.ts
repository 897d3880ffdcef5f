import { applyPatch } from "../job/patch";
import { type Job, sectionSchema } from "../job/model";
import { generatedHouse } from "../routing/generated-house";

/** A house to change. */
export const house = generatedHouse(4, 4, 4);
const pick = <T>(list: readonly T[], n: number): T => list[n % list.length]!;

/** One change of each kind that a hand makes, chosen by numbers. */
export const changes: Record<string, (j: Job, n: number, by: number) => Job> = {
  "a point moved": (j, n, by) => {
    const p = pick(
      j.points.filter((x) => x.place.on === "wall"),
      n,
    );
    const place = { ...p.place, u: (p.place as { u: number }).u + by };
    return applyPatch(j, [{ collection: "points", id: p.id, before: p, after: { ...p, place } }]);
  },
  "a point to another wall": (j, n) => {
    const p = pick(
      j.points.filter((x) => x.place.on === "wall"),
      n,
    );
    const after = { ...p, place: { on: "wall", wall: pick(j.walls, n * 7).id, u: 600, v: 450 } };
    return applyPatch(j, [{ collection: "points", id: p.id, before: p, after }]);
  },
  "a point taken out": (j, n) => {
    const p = pick(j.points, n);
    return applyPatch(j, [{ collection: "points", id: p.id, before: p, after: null }]);
  },
  "a point put in": (j, n) => {
    const p = { ...pick(j.points, n), id: `new-${n}`, label: "N" };
    return applyPatch(j, [{ collection: "points", id: p.id, before: null, after: p }]);
  },
  "an opening moved": (j, n, by) => {
    const o = pick(j.openings, n);
    const after = { ...o, u: Math.max(0, o.u + by) };
    return applyPatch(j, [{ collection: "openings", id: o.id, before: o, after }]);
  },
  "a doorway between rooms put in": (j, n) => {
    const inner = j.walls.filter((w) => w.index === 2);
    const o = { id: `door-${n}`, wall: pick(inner, n).id, kind: "door", u: 700, v: 0, width: 838, height: 2040 };
    return applyPatch(j, [{ collection: "openings", id: o.id, before: null, after: o }]);
  },
  "a wall made thicker": (j, n, by) => {
    const w = pick(j.walls, n);
    const after = { ...w, thickness: w.thickness + Math.abs(by) };
    return applyPatch(j, [{ collection: "walls", id: w.id, before: w, after }]);
  },
  "a room made higher": (j, n, by) => {
    const r = pick(j.rooms, n);
    const after = { ...r, height: r.height + Math.abs(by) };
    return applyPatch(j, [{ collection: "rooms", id: r.id, before: r, after }]);
  },
  "a room moved": (j, n, by) => {
    const r = pick(j.rooms, n);
    const after = { ...r, outline: r.outline.map((c) => ({ x: c.x + by, y: c.y })) };
    return applyPatch(j, [{ collection: "rooms", id: r.id, before: r, after }]);
  },
  "an opening put in": (j, n) => {
    const o = { id: `o-${n}`, wall: pick(j.walls, n).id, kind: "door", u: 200, v: 0, width: 700, height: 1900 };
    return applyPatch(j, [{ collection: "openings", id: o.id, before: null, after: o }]);
  },
  "a deck lowered": (j, n, by) => {
    const d = pick(j.decks, n);
    const after = { ...d, underside: d.underside + by };
    return applyPatch(j, [{ collection: "decks", id: d.id, before: d, after }]);
  },
  "a room taken out": (j, n) => {
    const r = pick(j.rooms, n);
    return { ...j, rooms: j.rooms.filter((x) => x !== r), walls: j.walls.filter((w) => w.room !== r.id) };
  },
  "a bath put in": (j, n) => {
    const wall = pick(j.walls, n).id;
    const f = { id: `bath-${n}`, wall, kind: "bath", u: 300, v: 0, width: 1200, height: 560, depth: 700, name: "" };
    return applyPatch(j, [{ collection: "fixtures", id: f.id, before: null, after: f }]);
  },
  "a stretch of wall kept free": (j, n) => {
    const place = { on: "wall", wall: pick(j.walls, n).id, u: 200, v: 300, width: 900, height: 900 };
    const f = { id: `free-${n}`, place, reason: "mirror" };
    return applyPatch(j, [{ collection: "forbidden", id: f.id, before: null, after: f }]);
  },
  "a part of a deck kept free": (j, n) => {
    const d = pick(j.decks, n);
    const { x, y } = d.outline[0]!;
    const outline = [
      { x, y },
      { x: x + 1500, y },
      { x: x + 1500, y: y + 1500 },
      { x, y: y + 1500 },
    ];
    const f = { id: `free-${n}`, place: { on: "deck", deck: d.id, outline }, reason: "cylinder" };
    return applyPatch(j, [{ collection: "forbidden", id: f.id, before: null, after: f }]);
  },
  "a wall made of studs": (j, n) => {
    const w = pick(j.walls, n);
    return applyPatch(j, [{ collection: "walls", id: w.id, before: w, after: { ...w, build: "stud", studs: null } }]);
  },
  "chases cut deeper": (j, n) => ({ ...j, settings: { ...j.settings, chaseDepth: 20 + (n % 30) } }),
  "a circuit laid on the surface": (j, n) => {
    const c = pick(j.circuits, n);
    return applyPatch(j, [{ collection: "circuits", id: c.id, before: c, after: { ...c, walls: "surface" } }]);
  },
  "a light moved": (j, n, by) => {
    const p = pick(
      j.points.filter((x) => x.place.on === "deck"),
      n,
    );
    if (!p) return j;
    const { x, y } = p.place as { x: number; y: number };
    const after = { ...p, place: { ...p.place, x: x + by, y: y - by } };
    return applyPatch(j, [{ collection: "points", id: p.id, before: p, after }]);
  },
  "joists set out anew": (j, n, by) => {
    const d = pick(j.decks, n);
    const after = { ...d, joists: { ...d.joists, first: d.joists.first + Math.abs(by) } };
    return applyPatch(j, [{ collection: "decks", id: d.id, before: d, after }]);
  },
  "a beam let into a wall": (j, n) => {
    // Its end stands over a point, in the middle of what is left for its cable.
    const p = pick(
      j.points.filter((x) => x.place.on === "wall"),
      n,
    );
    const { wall, u } = p.place as { wall: string; u: number };
    const end = { u: u - 10, v: 1900, width: 20, height: 200, depth: 150, name: "" };
    const f = { id: `beam-${n}`, wall, kind: "beam", ...end };
    return applyPatch(j, [{ collection: "fixtures", id: f.id, before: null, after: f }]);
  },
  "a trunking put up": (j, n, by) => {
    const wall = pick(j.walls, n).id;
    const path = [
      { on: "wall", wall, u: 400, v: 200 },
      { on: "wall", wall, u: 400, v: 900 + by },
      { on: "wall", wall, u: 1100, v: 900 + by },
    ];
    const s = sectionSchema.parse({ id: `t-${n}`, label: `T${n}`, kind: "mini-trunking", size: "38x16", path });
    return applyPatch(j, [{ collection: "sections", id: s.id, before: null, after: s }]);
  },
  "notches wanted, by the other school": (j, n) => {
    const decks = n % 2 ? j.decks : j.decks.map((d) => ({ ...d, notchLines: [300 + n] }));
    const { schools } = j.settings;
    const notch = schools.notch === "warranty" ? "on-site" : "warranty";
    return { ...j, decks, settings: { ...j.settings, schools: { ...schools, notch } } };
  },
  "a bore line asked for": (j, n, by) => {
    const d = pick(j.decks, n);
    const after = { ...d, boreLines: [1000 + by] };
    return applyPatch(j, [{ collection: "decks", id: d.id, before: d, after }]);
  },
};
