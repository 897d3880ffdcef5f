import { atMost } from "../base/tolerance";
import { cutIn } from "../rules/sections";
import { pathLength } from "../base/wall-frame";
import type { House } from "../house/house";
import { EDGE, type RouteGraph } from "./graph";
import { bendsIn, runLength } from "../laid/run-measures";
import { laidRun, layTasks, siteOf } from "./lay";
import { minutesFor } from "../rules/times";
import { levelTooLong, sensibleWay } from "./sense";
import { type Care, NO_CARE } from "./care";
import { Site } from "./site";
import { type Task, tasksOf } from "./tasks";
import type { Way } from "./search";
import { LADDER } from "./weights";

/** What a way is made of: the counts that the weights price. Lengths mm. */
export interface WayParts {
  length: number;
  bores: number;
  newBores: number;
  wallHoles: number;
  /** Holes in studs, noggins and plates. */
  studHoles: number;
  bends: number;
  chase: number;
  boards: number;
  ladder: number;
  /** To bore, chase, lift boards and draw in. */
  minutes: number;
  /** Level chase in masonry beyond what is cut without looking for another way. */
  levelTooLong: number;
  cost: number;
}

/**
 * What was closed to find another way: a deck or a wall by its id, the level stretches of a wall on which the run
 * starts or ends, the bores taken, the hole in a wall. Nothing: the cheapest way by
 * the weights alone, which was not taken for its level chase.
 */
export type Closed =
  | { kind: "nothing" }
  | { kind: "deck"; id: string }
  | { kind: "bores" }
  | { kind: "wall"; id: string }
  | { kind: "level"; id: string }
  | { kind: "wall-hole"; id: string };

/** A way that was not taken: what was closed to find it, and what it would be. */
export interface Alternative {
  without: Closed;
  parts: WayParts;
  /** How much dearer it is, in mm of cable at the weights of the job. */
  dearer: number;
}

export interface Why {
  run: string;
  taken: WayParts;
  next: Alternative[];
}

/** Masonry between joists where it is drilled, mm: a wall of one leaf. Typical. */
const BETWEEN_JOISTS = 100;

/** Counts what a way is made of, as the house lies round it. */
function partsOf(h: House, site: Site, t: Task, way: Way): WayParts {
  const { g } = site;
  // Measured as the plan measures a run, so that both say the same.
  const { legs } = laidRun(h, g, t, way);
  const chase = { plaster: 0, masonry: 0 };
  for (const l of legs)
    if (cutIn.has(l.method)) {
      const f = h.faces[h.faceOfWall.get(l.surface.id) ?? -1];
      chase[f?.wall.build === "masonry" ? "masonry" : "plaster"] += pathLength(l.path);
    }
  const walls: number[] = [];
  const out: WayParts = {
    length: runLength(legs),
    bores: 0,
    newBores: 0,
    wallHoles: 0,
    studHoles: 0,
    bends: bendsIn(legs),
    chase: chase.plaster + chase.masonry,
    boards: 0,
    ladder: 0,
    minutes: 0,
    levelTooLong: levelTooLong(h, g, t, way),
    cost: way.cost,
  };
  for (const e of way.edges) {
    const kind = g.kind[e];
    const long = g.length[e]!;
    if (kind === EDGE.bore) {
      out.bores++;
      if (!site.passing.get(g.ref[e]!)?.length) out.newBores++;
    } else if (kind === EDGE.through) walls.push(h.faces[g.ref[e]!]!.shape.thickness);
    else if (kind === EDGE.lane) {
      out.studHoles += g.timbers[e]!;
      for (let k = 0; k < g.walls[e]!; k++) walls.push(BETWEEN_JOISTS);
      if (h.decks[g.ref[e]!]!.deck.access !== "open") out.boards += long;
    } else if (kind === EDGE.wall) {
      const f = h.faces[g.ref[e]!]!;
      if (t.circuit.walls === "hidden") out.studHoles += g.timbers[e]!;
      if ((g.z[g.a[e]!]! + g.z[g.b[e]!]!) / 2 > f.floor + LADDER) out.ladder += long;
    }
  }
  out.wallHoles = walls.length;
  out.minutes = minutesFor({ ...out, walls, chase });
  return out;
}

/** The parts of the house that a way goes through and that could be closed to it: its decks, bore lines and walls other than those of its ends. */
function closures(h: House, g: RouteGraph, t: Task, way: Way): { closed: Closed; bar: (e: number) => boolean }[] {
  const out: { closed: Closed; bar: (e: number) => boolean }[] = [];
  const ends = new Set([t.from, t.to].map((id) => h.points[h.pointOfId.get(id)!]!.face));
  const decks = new Set<number>();
  const faces = new Set<number>();
  const level = new Set<number>();
  const through = new Set<number>();
  for (const e of way.edges) {
    const ref = g.ref[e]!;
    if (g.kind[e] === EDGE.bore) decks.add(g.bores[ref]!.deck);
    if (g.kind[e] === EDGE.lane || g.kind[e] === EDGE.bay) decks.add(ref);
    if (g.kind[e] === EDGE.wall && !ends.has(ref)) faces.add(ref);
    if (g.kind[e] === EDGE.wall && ends.has(ref) && g.axis[e] !== 2) level.add(ref);
    if (g.kind[e] === EDGE.through) through.add(ref);
  }
  for (const d of decks)
    out.push({
      closed: { kind: "deck", id: h.decks[d]!.deck.id },
      bar: (e) =>
        g.kind[e] === EDGE.bore
          ? g.bores[g.ref[e]!]!.deck === d
          : (g.kind[e] === EDGE.lane || g.kind[e] === EDGE.bay || g.kind[e] === EDGE.rise || g.kind[e] === EDGE.drop) &&
            g.ref[e] === d,
    });
  const bores = new Set(way.edges.filter((e) => g.kind[e] === EDGE.bore).map((e) => g.ref[e]!));
  if (bores.size) out.push({ closed: { kind: "bores" }, bar: (e) => g.kind[e] === EDGE.bore && bores.has(g.ref[e]!) });
  for (const f of faces)
    out.push({
      closed: { kind: "wall", id: h.faces[f]!.wall.id },
      bar: (e) => g.kind[e] === EDGE.wall && g.ref[e] === f,
    });
  for (const f of level)
    out.push({
      closed: { kind: "level", id: h.faces[f]!.wall.id },
      bar: (e) => g.kind[e] === EDGE.wall && g.ref[e] === f && g.axis[e] !== 2,
    });
  for (const f of through)
    out.push({
      closed: { kind: "wall-hole", id: h.faces[f]!.wall.id },
      bar: (e) => g.kind[e] === EDGE.through && g.ref[e] === f,
    });
  return out;
}

/** All runs as they lie, and the care they were laid with. */
interface Lying {
  tasks: readonly Task[];
  care: Care;
}

/** Runs laid by the weights of the job alone. */
function lyingOf(h: House, g: RouteGraph): Lying {
  const { tasks } = tasksOf(h, g);
  layTasks(new Site(h, g), tasks, () => undefined);
  return { tasks, care: NO_CARE };
}

/**
 * Why a run goes the way it goes: what its way is made of, and the next best ways with what each would cost, all other runs lying
 * as they are. Null for a run that is pinned, done or not laid.
 */
export function whyThisWay(h: House, g: RouteGraph, run: string, laid: Lying = lyingOf(h, g)): Why | null {
  const { tasks } = laid;
  const site = siteOf(h, g, tasks, laid.care);
  const t = tasks.find((x) => x.id === run);
  if (!t?.way || t.pin || t.held) return null;
  site.count(t, t.way, -1);
  const cheapest = sensibleWay(site, t);
  if (!cheapest) return null;
  // Where several cost the same it is the one it lies along that is told of.
  const lies = site.costOf(t, t.way.edges);
  const taken = atMost(lies, cheapest.cost) ? { edges: t.way.edges, cost: lies } : cheapest;
  const parts = partsOf(h, site, t, taken);
  const seen = new Set([taken.edges.join(" ")]);
  const next: Alternative[] = [];
  const add = (without: Closed, way: Way | null): void => {
    if (!way || way.cost > 5e5) return;
    const key = way.edges.join(" ");
    if (seen.has(key)) return;
    seen.add(key);
    next.push({ without, parts: partsOf(h, site, t, way), dearer: way.cost - taken.cost });
  };
  for (const c of closures(h, g, t, taken)) {
    const way = sensibleWay(site, t, c.bar);
    // Cheaper only by a level chase that is not to be: the cheapest of those is told once, below.
    if (way && way.cost >= taken.cost - 1e-6) add(c.closed, way);
  }
  const plain = site.wayFor(t);
  if (plain && levelTooLong(h, g, t, plain) > levelTooLong(h, g, t, taken)) add({ kind: "nothing" }, plain);
  next.sort((p, q) => p.dearer - q.dearer || (JSON.stringify(p.without) < JSON.stringify(q.without) ? -1 : 1));
  return { run, taken: parts, next: next.slice(0, 4) };
}
