import { pathLength } from "../base/wall-frame";
import type { House } from "../house/house";
import { mainsOf } from "../job/mains";
import type { PinnedLeg } from "../job/model";
import type { HeldRun } from "../laid/held";
import { sameLegs } from "../laid/same-legs";
import { type Fact, fact } from "../rules/fact";
import type { Carried } from "../rules/cores";
import { EDGE, type RouteGraph } from "./graph";
import { legsOf } from "./legs";
import type { Way } from "./search";
import { sensibleWay } from "./sense";
import { type Care, NO_CARE } from "./care";
import { Site } from "./site";
import { type Before, type Task, type Wanted, tasksOf } from "./tasks";

/** A run as laid: which points, over which legs, and the shared bores it uses. */
export interface LaidRun {
  /** Key of the run. */
  id: string;
  number: number;
  circuit: string;
  from: string;
  to: string;
  cable: string;
  /** The cable that the job asks for; another than `cable` where a run done is not as the job now has it. */
  due: string;
  /** What its cores carry, where that is known. */
  carries: readonly Carried[];
  legs: PinnedLeg[];
  /** Id of its pin, when the user has said where it goes. */
  pin: string | null;
  /** The run as it was done on site: then its holes and cut length are kept too. */
  held: HeldRun | null;
  /** Numbers of bore places used, in order; empty for a run pinned or done, whose holes are found from its legs. */
  bores: number[];
  /** Length of the way over the graph, from middle to middle of the points; its path leaves the jogs behind plates out, mm. */
  whole: number;
}

export interface Laid {
  runs: LaidRun[];
  facts: Fact[];
  /** By circuit: least path length that any order over legal lines could have, mm; null where a point has no legal way. */
  bounds: Map<string, number | null>;
}

/** How far the laying has come, for those who wait; true asks it to stop. */
export type OnProgress = (done: number, of: number) => boolean | void;

/** Thrown out of a laying that was asked to stop. */
export class Stopped extends Error {}

/** Rounds in which every run is taken up and laid again round the others, as long as one of them gains. */
const ROUNDS = 2;
/** Runs above which one round is enough: a block of flats gains little from a second. */
const MANY = 300;

/**
 * Lays every circuit of the house over the legal lines, then takes each run up and lays it again round the others while that gains:
 * shared bores and opened walls are found that the first pass could not know of. Pure and deterministic.
 * @throws Stopped when `progress` asks for it
 */
export function layRuns(
  h: House,
  g: RouteGraph,
  progress: OnProgress = () => undefined,
  before: Before | null = null,
  held: readonly HeldRun[] = [],
): Laid {
  const wanted = wantedOf(h, g, held, before);
  return layWanted(h, g, wanted, { progress, quick: before !== null });
}

/** Every run that the circuits need; none, and a fact, where there is no board to start from. */
export function wantedOf(h: House, g: RouteGraph, held: readonly HeldRun[], before: Before | null): Wanted {
  const wanted = tasksOf(h, g, held, before);
  // Lines without mains start at a cabinet, board or none.
  const lost = !h.points.some((p) => p.point.kind === "board") && mainsOf(h.job).some((c) => c.points.length);
  return lost ? { ...wanted, facts: [...wanted.facts, fact("circuit.board", "job", h.job.id)] } : wanted;
}

/** Lays what is wanted in an empty house; what was laid of it before is forgotten. */
export function layWanted(
  h: House,
  g: RouteGraph,
  wanted: Wanted,
  {
    progress = () => undefined,
    quick = false,
    care = NO_CARE,
  }: { progress?: OnProgress; quick?: boolean; care?: Care },
): Laid {
  for (const t of wanted.tasks) {
    t.way = null;
    delete t.instead;
  }
  layTasks(new Site(h, g, care), wanted.tasks, progress, quick ? 0 : undefined);
  return laidOf(h, g, wanted);
}

/** Takes up the runs of the circuits that are laid with care, and lays them again round the others, which stay as they are. */
export function layAgain(h: House, g: RouteGraph, wanted: Wanted, care: Care): Laid {
  const again = wanted.tasks.filter((t) => care.short.has(t.circuit.id) || care.apart.has(t.circuit.id));
  for (const t of again) {
    t.way = null;
    delete t.instead;
  }
  layFree(siteOf(h, g, wanted.tasks, care), again.filter(isFree), () => undefined, ROUNDS);
  return laidOf(h, g, wanted);
}

/** The house with all that is laid of some tasks lying in it. */
export function siteOf(h: House, g: RouteGraph, tasks: readonly Task[], care: Care): Site {
  const site = new Site(h, g, care);
  for (const t of tasks)
    if (!isFree(t)) site.occupy(t);
    else if (t.way) site.count(t, t.way, 1);
  return site;
}

/** True for a run that is neither pinned nor done. */
const isFree = (t: Task): boolean => !t.pin && !t.held;

/** Runs of tasks as they are laid, and what there is to say of those that are not. */
function laidOf(h: House, g: RouteGraph, wanted: Wanted): Laid {
  const out: Laid = { runs: [], facts: [...wanted.facts], bounds: wanted.bounds };
  for (const t of wanted.tasks) {
    if (!isFree(t)) out.runs.push(givenRun(t));
    else if (t.way) out.runs.push(laidRun(h, g, t, t.way));
    else if (!out.facts.some((f) => f.rule === "route.unreachable" && f.subject.id === t.to))
      out.facts.push(
        fact("route.unreachable", "point", t.to, { case: whyNot(h, g, t), of: { from: t.from, cable: t.cable.id } }),
      );
  }
  return out;
}

/** What stops a run between points that legal lines join: the holes on the way are full, or none may be as large as it needs. */
function whyNot(h: House, g: RouteGraph, t: Task): "no-way" | "bores-full" | "too-thick" {
  if (!t.legal) return "no-way";
  // In an empty house it would find the way: then it is the others that fill the holes.
  return new Site(h, g).wayFor(t) ? "bores-full" : "too-thick";
}

/** Lays tasks one after the other; a run that finds every bore full has those that fill them taken up and laid round it. */
export function layTasks(site: Site, tasks: readonly Task[], progress: OnProgress, most = ROUNDS): void {
  for (const t of tasks) if (!isFree(t)) site.occupy(t);
  layFree(site, tasks.filter(isFree), progress, most);
}

function layFree(site: Site, free: readonly Task[], progress: OnProgress, most: number): void {
  const rounds = Math.min(most, free.length > MANY ? 1 : ROUNDS);
  if (rounds) site.keepLooks();
  const of = free.length * (1 + rounds);
  let done = 0;
  const step = (): void => {
    if (progress(++done, of)) throw new Stopped("stopped");
  };
  for (const t of free) {
    t.way = sensibleWay(site, t);
    if (t.way) site.count(t, t.way, 1);
    step();
  }
  for (const t of free) if (!t.way) ripUp(site, free, t);
  // How often a way has changed since the first laying, and how often it had when a run was last laid again.
  let changes = 0;
  const looked = new Map<Task, number>();
  for (let round = 0; round < rounds; round++) {
    const before = changes;
    for (const t of free) {
      step();
      // Nothing has moved since it was laid again: it would go the same way.
      if (!t.way || looked.get(t) === changes) continue;
      const was = t.way;
      site.count(t, was, -1);
      // The cheapest way now that the others lie: it is never dearer than the old one, which is still open.
      const next = sensibleWay(site, t);
      const same =
        next !== null && next.edges.length === was.edges.length && next.edges.every((e, i) => e === was.edges[i]);
      t.way = next ?? was;
      site.count(t, t.way, 1);
      if (!same) changes++;
      looked.set(t, changes);
    }
    if (changes === before) break;
  }
}

/** Lays a run for which every bore was full: the runs in those bores are taken up, it goes first, and they go round it. */
function ripUp(site: Site, all: readonly Task[], t: Task): void {
  const others = all.filter((x) => x !== t && x.way && x.way.edges.some((e) => site.g.kind[e] === EDGE.bore));
  for (const x of others) site.count(x, x.way!, -1);
  t.way = sensibleWay(site, t);
  if (!t.way) {
    for (const x of others) site.count(x, x.way!, 1);
    return;
  }
  site.count(t, t.way, 1);
  const kept = others.map((x) => x.way!);
  const again: Way[] = [];
  for (const x of others) {
    const way = sensibleWay(site, x);
    if (!way) break;
    site.count(x, way, 1);
    again.push(way);
  }
  if (again.length === others.length) {
    others.forEach((x, i) => (x.way = again[i]!));
    return;
  }
  // It would push another out: all is put back as it was.
  again.forEach((way, i) => site.count(others[i]!, way, -1));
  site.count(t, t.way, -1);
  t.way = null;
  others.forEach((x, i) => site.count(x, kept[i]!, 1));
}

/** Legs in the order in which the run is now named. */
const turned = (legs: readonly PinnedLeg[]): PinnedLeg[] =>
  [...legs].reverse().map((l) => ({ ...l, path: [...l.path].reverse() }));

/** A run whose legs are given: by the hand that did it, or by the user's pin. */
function givenRun(t: Task): LaidRun {
  const given = t.held ?? t.pin!;
  const legs = given.from === t.from ? given.legs : turned(given.legs);
  return {
    id: t.id,
    number: t.number,
    circuit: t.circuit.id,
    from: t.from,
    to: t.to,
    cable: t.cable.id,
    due: t.due.id,
    carries: t.carries,
    legs,
    pin: t.held ? null : t.pin!.id,
    held: t.held,
    bores: [],
    whole: legs.reduce((sum, l) => sum + pathLength(l.path), 0),
  };
}

/** A run as it lies along a way of the graph. */
export function laidRun(h: House, g: RouteGraph, t: Task, way: Way): LaidRun {
  const terminal = h.pointOfId.get(t.from)!;
  const a = h.points[terminal]!;
  const b = h.points[h.pointOfId.get(t.to)!]!;
  return {
    id: t.id,
    number: t.number,
    circuit: t.circuit.id,
    from: t.from,
    to: t.to,
    cable: t.cable.id,
    due: t.due.id,
    carries: t.carries,
    legs: sameLegs(t.id, legsOf(h, g, t.circuit, a, b, g.terminal[terminal]!, way.edges)),
    pin: null,
    held: null,
    bores: way.edges.filter((e) => g.kind[e] === EDGE.bore).map((e) => g.ref[e]!),
    whole: way.edges.reduce((sum, e) => sum + g.length[e]!, 0),
  };
}
