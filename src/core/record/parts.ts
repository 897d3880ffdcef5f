import { chaseLength } from "../plan/chases";
import { holeKey } from "../laid/run-measures";
import { type House } from "../house/house";
import { roomServed } from "../house/rooms-of";
import { outsideOf } from "../house/outside";
import { sectionsOf } from "../house/sections";
import { type TaskKind, minutes, wallHoleMinutes } from "../rules/times";
import type { Hole, Plan, Run } from "../laid/laid";
import { boringOrder, nogginHoles, wallHoles } from "../trades/timber/boring";
import { lightRows } from "../plan/light-row";
import { runsIn } from "../trades/outside/outside-facts";
import { extensionsOf } from "../trades/retrofit/extension";
import { surfacesOf } from "./closing";
import { ringPart } from "./marks";

/** One thing to do at one place, with one tool: what a person ticks with one tap. */
export interface Part {
  /** Name of it in the job; also the mark it is told by. */
  id: string;
  kind: TaskKind;
  /** Where it is done: a wall's face, a deck, a point, a section, along a run, in a way out of doors or a row of lights. */
  at: { kind: "wall" | "deck" | "point" | "section" | "run" | "circuit" | "outside" | "row"; id: string };
  /** Group that it is done with, without moving on: "deck:ID", "room:ID" or "circuit:ID". */
  group: string;
  /** Runs it serves. */
  runs: string[];
  /** How many things to count, such as clips or holes; metres of what is measured. */
  count: number;
  /** Minutes it usually takes. */
  usual: number;
  noisy: boolean;
  hole?: Hole;
}

type Legs = Plan["runs"][number]["legs"];
const surfaceOf = (l: Legs[number]): string => `${l.surface.kind}:${l.surface.id}`;

/** Stretches level or plumb, mm: where each lies across, and from where to where along. */
type Stretches = [across: string, from: number, to: number][];

/** How much of their lines stretches cover, mm: those that lie side by side count once. */
function covered(stretches: Stretches): number {
  const lines = new Map<string, [number, number][]>();
  for (const [across, a, b] of stretches)
    lines.set(across, [...(lines.get(across) ?? []), [Math.min(a, b), Math.max(a, b)]]);
  let sum = 0;
  for (const list of lines.values()) {
    let end = -Infinity;
    for (const [from, to] of list.sort((p, q) => p[0] - q[0])) {
      sum += Math.max(0, to - Math.max(from, end));
      end = Math.max(end, to);
    }
  }
  return sum;
}

/** Cables nearer than this are under one strip of boards, mm. */
const STRIP = 600;

/** Holes of decks in walking order, noggins after their deck's lines, then those of walls from room to room. */
function holesInOrder(h: House, plan: Pick<Plan, "holes">): Hole[] {
  const joists = boringOrder(h, plan).map((s) => s.hole);
  const noggins = h.decks.flatMap((l) => nogginHoles(l, plan));
  const walls = wallHoles(h, plan);
  const known = new Set([...joists, ...noggins, ...walls].map((o) => o.id));
  return [...joists, ...noggins, ...walls, ...plan.holes.filter((o) => !known.has(o.id))];
}

const unique = (list: readonly string[]): string[] => [...new Set(list)];

/** All there is to do on site, by place and tool, in the order of the work and of a walk through the house. */
export function partsOf(h: House, plan: Plan): Part[] {
  const roomOfWall = (wall: string): string => `room:${h.faces[h.faceOfWall.get(wall) ?? -1]?.room.id ?? ""}`;
  const surfaces = surfacesOf(h.job, plan);
  const out: Part[] = [];
  const legsOn = (key: string, of: (l: Legs[number]) => boolean): Run[] =>
    plan.runs.filter((r) => r.legs.some((l) => surfaceOf(l) === key && of(l)));
  for (const l of h.decks) {
    const id = l.deck.id;
    const mine = legsOn(`deck:${id}`, (x) => x.method !== "surface");
    if (!mine.length || l.deck.access !== "boards-up") continue;
    const count = boardsOver(mine, id);
    const more = { at: { kind: "deck", id }, group: `deck:${id}`, runs: mine.map((r) => r.id), count } as const;
    const { up, down } = minutes.boardMetre;
    out.push({ id: `boards-up:deck:${id}`, kind: "boards-up", usual: count * up, noisy: false, ...more });
    out.push({ id: `boards-down:deck:${id}`, kind: "boards-down", usual: count * down, noisy: false, ...more });
  }
  for (const o of holesInOrder(h, plan)) {
    const deck = o.in.deck;
    out.push({
      id: holeKey(o),
      kind: "bore",
      at: deck === undefined ? { kind: "wall", id: o.in.wall ?? "" } : { kind: "deck", id: deck },
      group: deck === undefined ? roomOfWall(o.in.wall ?? "") : `deck:${deck}`,
      runs: [...o.runs],
      count: 1,
      usual: holeMinutes(h, o),
      noisy: true,
      hole: o,
    });
  }
  for (const f of h.faces) {
    const id = f.wall.id;
    const chased = legsOn(`wall:${id}`, (l) => l.method === "chase");
    const length = chaseLength(h, plan.runs, id) / 1000;
    if (!length) continue;
    const at = { kind: "wall", id } as const;
    const more = { at, group: roomOfWall(id), runs: chased.map((r) => r.id), count: length };
    const metre = minutes.chaseMetre[f.wall.build === "masonry" ? "masonry" : "plaster"];
    out.push({ id: `chase:wall:${id}`, kind: "chase", usual: length * metre, noisy: true, ...more });
    out.push({ id: `cover:wall:${id}`, kind: "cover", usual: length * minutes.coverMetre, noisy: false, ...more });
  }
  out.push(...boxesAndTails(h, plan));
  for (const s of sectionsOf(h)) {
    const { section } = s;
    if (section.state === "found") continue;
    const first = section.path[0]!;
    const length = s.length / 1000;
    out.push({
      id: `section:section:${section.id}`,
      kind: "section",
      at: { kind: "section", id: section.id },
      group: first.on === "wall" ? roomOfWall(first.wall) : `deck:${first.deck}`,
      runs: plan.runs.filter((r) => r.legs.some((l) => l.section === section.id)).map((r) => r.id),
      count: length,
      usual: length * minutes.containmentMetre,
      noisy: true,
    });
  }
  out.push(...outsideParts(h, plan), ...extensionParts(h, plan));
  for (const r of plan.runs) {
    const at = { kind: "run", id: r.id } as const;
    const group = `circuit:${r.circuit}`;
    const length = r.pathLength / 1000;
    const more = { at, group, runs: [r.id], noisy: false };
    const { run, metre } = minutes.drawIn;
    out.push({ id: `draw-in:${r.id}`, kind: "draw-in", count: length, usual: run + length * metre, ...more });
    out.push({ id: `test:${r.id}`, kind: "test", count: 1, usual: minutes.test, ...more });
  }
  for (const { id, kind } of h.job.circuits) {
    const runs = kind === "ring" ? plan.runs.filter((r) => r.circuit === id).map((r) => r.id) : [];
    const at = { kind: "circuit", id } as const;
    const more = { at, group: `circuit:${id}`, runs, count: 1, usual: minutes.ring, noisy: false };
    if (runs.length) out.push({ id: ringPart(id), kind: "ring", ...more });
  }
  out.push(...clipParts(plan, roomOfWall));
  for (const s of surfaces) {
    const at = { kind: s.kind, id: s.id } as const;
    const group = s.kind === "wall" ? roomOfWall(s.id) : s.kind === "deck" ? s.key : roomOfWay(h, s.id);
    const more = { at, group, runs: s.runs, count: 1, noisy: false };
    out.push({ id: `photo:${s.key}`, kind: "photo", usual: minutes.photo, ...more });
    out.push({ id: `close:${s.key}`, kind: "close", usual: minutes.release, ...more });
  }
  return out;
}

/** The yard a way out of doors begins in, as a group. */
const roomOfWay = (h: House, way: string): string => {
  const laid = outsideOf(h).find((w) => w.way.id === way);
  return `room:${laid ? h.faces[laid.faces[0]]!.room.id : ""}`;
};

/** Trenches to dig and fill, wires to hang, lights to set. */
function outsideParts(h: House, plan: Plan): Part[] {
  const out: Part[] = [];
  for (const w of outsideOf(h)) {
    const runs = runsIn(w.way.id, plan.runs).map((r) => r.id);
    if (!runs.length) continue;
    const more = { at: { kind: "outside", id: w.way.id } as const, group: roomOfWay(h, w.way.id), runs };
    const metres = w.length / 1000;
    if (w.way.kind === "catenary") {
      const count = w.spans.length;
      out.push({
        id: `hang:outside:${w.way.id}`,
        kind: "hang",
        count,
        usual: count * minutes.hang,
        noisy: true,
        ...more,
      });
      continue;
    }
    const dig = { count: metres, usual: metres * minutes.digMetre, noisy: false };
    out.push({ id: `dig:outside:${w.way.id}`, kind: "dig", ...dig, ...more });
    const fill = { count: metres, usual: metres * minutes.fillMetre, noisy: false };
    out.push({ id: `fill:outside:${w.way.id}`, kind: "fill", ...fill, ...more });
  }
  for (const f of lightRows(h, [])) {
    const more = { at: { kind: "row", id: f.row.id } as const, group: `room:${f.row.room}`, runs: [], noisy: false };
    const id = `row:${f.row.id}`;
    const metres = f.dug / 1000;
    if (f.row.carried === "ground")
      out.push({ id: `dig:${id}`, kind: "dig", count: metres, usual: metres * minutes.digMetre, ...more });
    const count = f.lights.length;
    out.push({ id: `lights:${id}`, kind: "lights", count, usual: count * minutes.light, ...more });
    if (f.row.carried === "ground")
      out.push({ id: `fill:${id}`, kind: "fill", count: metres, usual: metres * minutes.fillMetre, ...more });
  }
  return out;
}

/** Old circuits made dead and broken into, and the joints of old cable with new. */
function extensionParts(h: House, plan: Plan): Part[] {
  return extensionsOf(h, plan).flatMap((f): Part[] => {
    if (!f.runs.length) return [];
    const { id } = f.circuit;
    const runs = f.runs.map((r) => r.id);
    const at = { kind: "circuit", id } as const;
    const group = `circuit:${id}`;
    return [
      { id: `isolate:circuit:${id}`, kind: "isolate", at, group, runs, count: 1, usual: minutes.isolate, noisy: false },
      ...f.joints.map((j): Part => ({
        id: `joint:point:${j.point}`,
        kind: "joint",
        at: { kind: "point", id: j.point },
        group,
        runs: j.run === null ? [] : [j.run],
        count: 1,
        usual: minutes.joint,
        noisy: false,
      })),
    ];
  });
}

/** Minutes of a hole: in a joist, in other timber, or through a wall by its thickness. */
function holeMinutes(h: House, o: Hole): number {
  if (o.in.kind === "wall")
    return wallHoleMinutes(h.faces[h.faceOfWall.get(o.in.wall ?? "") ?? -1]?.shape.thickness ?? 0);
  if (o.notch) return minutes.notch;
  return o.in.kind === "joist" ? minutes.bore : minutes.studHole;
}

/** Metres of boards that go up for runs in a deck: along each way of cables, once however many lie under it. */
function boardsOver(runs: readonly Run[], deck: string): number {
  const out: Stretches = [];
  for (const r of runs)
    for (const l of r.legs) {
      if (l.surface.id !== deck) continue;
      const [a, b] = [l.path[0]!, l.path[l.path.length - 1]!];
      const alongX = Math.abs(a[0] - b[0]) >= Math.abs(a[1] - b[1]);
      const across = `${alongX ? "y" : "x"}${Math.round((alongX ? a[1] : a[0]) / STRIP)}`;
      out.push(alongX ? [across, a[0], b[0]] : [across, a[1], b[1]]);
    }
  return covered(out) / 1000;
}

/** A box at every new point on a wall that a run comes to, and the ends in it. */
function boxesAndTails(h: House, plan: Plan): Part[] {
  const by = new Map<string, string[]>();
  for (const r of plan.runs) for (const p of [r.from, r.to]) by.set(p, unique([...(by.get(p) ?? []), r.id]));
  const out: Part[] = [];
  for (const [point, runs] of by) {
    const p = h.points[h.pointOfId.get(point) ?? -1];
    if (!p) continue;
    const group = `room:${roomServed(h, point) ?? ""}`;
    const face = h.faces[p.face];
    const more = { at: { kind: "point", id: point } as const, group, runs, count: 1 };
    const letIn = !!face && p.point.mount === "flush" && face.wall.build === "masonry";
    if (face && !p.point.existing && p.point.kind !== "board")
      out.push({
        id: `box:point:${point}`,
        kind: "box",
        usual: minutes.box[letIn ? "masonry" : "other"],
        noisy: letIn,
        ...more,
      });
    out.push({ id: `tails:point:${point}`, kind: "tails", usual: minutes.tails, noisy: false, ...more });
  }
  const face = (x: Part): number => h.points[h.pointOfId.get(x.at.id)!]!.face;
  const u = (x: Part): number => {
    const { place } = h.points[h.pointOfId.get(x.at.id)!]!.point;
    return place.on === "wall" ? place.u : place.x;
  };
  return out.sort((a, b) => face(a) - face(b) || u(a) - u(b) || (a.id < b.id ? -1 : 1));
}

/** Clips of a run on one surface: a person stands there once. */
function clipParts(plan: Plan, roomOfWall: (wall: string) => string): Part[] {
  const runOf = new Map(plan.runs.map((r) => [r.id, r]));
  const by = new Map<string, Part>();
  for (const c of plan.clips) {
    const { kind, id } = runOf.get(c.run)!.legs[c.leg]!.surface;
    if (kind !== "wall" && kind !== "deck") continue;
    const name = `clip:${kind}:${id}:${c.run}`;
    const there = by.get(name);
    if (there) {
      there.count += c.marks.length;
      there.usual += c.marks.length * minutes.clip;
    } else
      by.set(name, {
        id: name,
        kind: "clip",
        at: { kind, id },
        group: kind === "wall" ? roomOfWall(id) : `deck:${id}`,
        runs: [c.run],
        count: c.marks.length,
        usual: c.marks.length * minutes.clip,
        noisy: false,
      });
  }
  return [...by.values()];
}
