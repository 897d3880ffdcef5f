import type { Cable } from "../rules/cables";
import { pathLength } from "../base/wall-frame";
import type { House } from "../house/house";
import type { Circuit, PinnedLeg } from "../job/model";
import type { HeldRun } from "../laid/held";
import { type Fact, fact } from "../rules/fact";
import { borePrice, edgeCosts } from "./edge-costs";
import { EDGE, type RouteGraph } from "./graph";
import { legsOf } from "./legs";
import { type Way, cheapestWay } from "./search";
import { type Before, type Task, tasksOf } from "./tasks";

/** A run as laid: which points, over which legs, and the shared bores it uses. */
export interface LaidRun {
  /** Key of the run. */
  id: string;
  number: number;
  circuit: string;
  from: string;
  to: string;
  cable: string;
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

/** Cost of a run through another point's box, mm of cable: so dear that it is done only where nothing else leads on. */
const THROUGH_BOX = 1e6;
/** Rounds in which every run is taken up and laid again round the others, as long as one of them gains. */
const ROUNDS = 2;
/** Runs above which one round is enough: a block of flats gains little from a second. */
const MANY = 300;

/** A leg passes through a bore whose place it meets this nearly, mm. */
const SAME_BORE = 1;

/** Numbers of the bore places that given legs go through. */
export function boresPassed(h: House, g: RouteGraph, legs: readonly PinnedLeg[]): number[] {
  const out: number[] = [];
  for (const l of legs) {
    const deck = l.surface.kind === "deck" ? (h.deckOfId.get(l.surface.id) ?? -1) : -1;
    const d = h.decks[deck];
    if (!d) continue;
    const [al, ac] = d.along === "x" ? ([0, 1] as const) : ([1, 0] as const);
    for (let i = 1; i < l.path.length; i++) {
      const [a, b] = [l.path[i - 1]!, l.path[i]!];
      g.bores.forEach((o, n) => {
        if (o.deck !== deck) return;
        const [lo, hi] = [Math.min(a[ac], b[ac]), Math.max(a[ac], b[ac])];
        if (o.centre[ac] < lo - SAME_BORE || o.centre[ac] > hi + SAME_BORE) return;
        if (hi - lo < SAME_BORE) return;
        const t = (o.centre[ac] - a[ac]) / (b[ac] - a[ac]);
        const along = a[al] + t * (b[al] - a[al]);
        const z = a[2] + t * (b[2] - a[2]);
        if (Math.abs(along - o.centre[al]) <= SAME_BORE && Math.abs(z - o.centre[2]) <= SAME_BORE) out.push(n);
      });
    }
  }
  return out;
}

/** What lies in the house already while runs are laid: cables in bores, cables at nodes, faces opened. Kept up as runs come and go. */
export class Site {
  readonly passing = new Map<number, Cable[]>();
  /** By node and axis: cables of all circuits. */
  readonly at: Uint16Array;
  /** By face: how many runs are hidden in it; points in it count too. */
  readonly inFace: Uint16Array;
  private readonly boreEdge: Int32Array;
  private readonly costs = new Map<string, { cost: Float64Array; opened: string }>();

  constructor(
    private readonly h: House,
    readonly g: RouteGraph,
  ) {
    this.at = new Uint16Array(g.nodes * 3);
    this.inFace = new Uint16Array(h.faces.length);
    for (const p of h.points) if (p.face >= 0 && p.point.mount === "flush") this.inFace[p.face]!++;
    this.boreEdge = new Int32Array(g.bores.length).fill(-1);
    for (let e = 0; e < g.kind.length; e++) if (g.kind[e] === EDGE.bore) this.boreEdge[g.ref[e]!] = e;
  }

  /** Puts a way in, or takes it out again. */
  count(t: Task, way: Way, by: 1 | -1): void {
    const { g } = this;
    const faces = new Set<number>();
    for (const e of way.edges) {
      for (const n of [g.a[e]!, g.b[e]!]) this.at[n * 3 + g.axis[e]!]! += by;
      if (g.kind[e] === EDGE.wall && t.circuit.walls === "hidden") faces.add(g.ref[e]!);
      if (g.kind[e] !== EDGE.bore) continue;
      const bore = g.ref[e]!;
      const there = this.passing.get(bore) ?? [];
      if (by > 0) this.passing.set(bore, [...there, t.cable]);
      else {
        const i = there.indexOf(t.cable);
        this.passing.set(
          bore,
          there.filter((_, k) => k !== i),
        );
      }
    }
    for (const f of faces) this.inFace[f]! += by;
  }

  /** Counts a run whose legs are given: its cable lies in the bores it passes, and no other may crowd them. */
  occupy(t: Task): void {
    const legs = (t.held ?? t.pin)?.legs ?? [];
    for (const bore of boresPassed(this.h, this.g, legs))
      this.passing.set(bore, [...(this.passing.get(bore) ?? []), t.cable]);
  }

  /** Cost of every edge for a circuit as the house now is. */
  costsFor(c: Circuit, cable: Cable): Float64Array {
    const { h, g } = this;
    const opened = Uint8Array.from(this.inFace, (n) => (n > 0 ? 1 : 0));
    // What faces are opened matters only where opening one has a price.
    const key = h.job.settings.cost.faces > 0 ? opened.join("") : "";
    const there = this.costs.get(c.id);
    let cost: Float64Array;
    if (there && there.opened === key) cost = there.cost;
    else {
      cost = edgeCosts(h, g, c, opened);
      for (let bore = 0; bore < g.bores.length; bore++) {
        const e = this.boreEdge[bore]!;
        if (cost[e]! < Infinity) cost[e] = cost[e]! + borePrice(h, g, bore, cable, undefined);
      }
      this.costs.set(c.id, { cost, opened: key });
    }
    return cost;
  }

  /** Cheapest way for a task as the house now is, and what it costs; `bar` closes edges to it. */
  wayFor(t: Task, bar?: (e: number) => boolean): Way | null {
    const { h, g } = this;
    const cost = this.costsFor(t.circuit, t.cable);
    const was: [number, number][] = [];
    const put = (e: number, x: number): void => {
      was.push([e, cost[e]!]);
      cost[e] = x;
    };
    for (const [bore, cables] of this.passing) {
      const e = this.boreEdge[bore]!;
      if (!cables.length || cost[e] === Infinity) continue;
      const alone = borePrice(h, g, bore, t.cable, undefined);
      put(e, alone === Infinity ? Infinity : cost[e]! - alone + borePrice(h, g, bore, t.cable, cables));
    }
    if (bar) for (let e = 0; e < cost.length; e++) if (bar(e)) put(e, Infinity);
    const a = h.pointOfId.get(t.from)!;
    const b = h.pointOfId.get(t.to)!;
    const weights = h.job.settings.cost;
    const way = cheapestWay(g, g.terminal[a]!, g.terminal[b]!, {
      cost,
      perMm: weights.cable,
      bend: weights.bend,
      throughBox: THROUGH_BOX,
      ends: [a, b],
      crossing: weights.crossing,
      others: this.at,
    });
    for (const [e, x] of was.reverse()) cost[e] = x;
    return way;
  }
}

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
  if (h.points.every((p) => p.point.kind !== "board")) {
    const facts = h.job.circuits.some((c) => c.points.length) ? [fact("circuit.board", "job", h.job.id)] : [];
    return { runs: [], facts, bounds: new Map() };
  }
  const wanted = tasksOf(h, g, held, before);
  const out: Laid = { runs: [], facts: wanted.facts, bounds: wanted.bounds };
  const site = new Site(h, g);
  layTasks(site, wanted.tasks, progress, before ? 0 : undefined);
  for (const t of wanted.tasks) {
    if (t.held || t.pin) out.runs.push(givenRun(t));
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
  const free = tasks.filter((t) => !t.pin && !t.held);
  for (const t of tasks) if (t.pin || t.held) site.occupy(t);
  const rounds = Math.min(most, free.length > MANY ? 1 : ROUNDS);
  const of = free.length * (1 + rounds);
  let done = 0;
  const step = (): void => {
    if (progress(++done, of)) throw new Stopped("stopped");
  };
  for (const t of free) {
    t.way = site.wayFor(t);
    if (t.way) site.count(t, t.way, 1);
    step();
  }
  for (const t of free) if (!t.way) ripUp(site, free, t);
  for (let round = 0; round < rounds; round++) {
    let gained = false;
    for (const t of free) {
      step();
      if (!t.way) continue;
      const before = t.way;
      site.count(t, before, -1);
      // The cheapest way now that the others lie: it is never dearer than the old one, which is still open.
      const next = site.wayFor(t);
      const same =
        next !== null && next.edges.length === before.edges.length && next.edges.every((e, i) => e === before.edges[i]);
      t.way = next ?? before;
      site.count(t, t.way, 1);
      if (!same) gained = true;
    }
    if (!gained) break;
  }
}

/** Lays a run for which every bore was full: the runs in those bores are taken up, it goes first, and they go round it. */
function ripUp(site: Site, all: readonly Task[], t: Task): void {
  const others = all.filter((x) => x !== t && x.way && x.way.edges.some((e) => site.g.kind[e] === EDGE.bore));
  for (const x of others) site.count(x, x.way!, -1);
  t.way = site.wayFor(t);
  if (!t.way) {
    for (const x of others) site.count(x, x.way!, 1);
    return;
  }
  site.count(t, t.way, 1);
  const kept = others.map((x) => x.way!);
  const again: Way[] = [];
  for (const x of others) {
    const way = site.wayFor(x);
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
    cable: t.circuit.cable,
    legs: legsOf(h, g, t.circuit, a, b, g.terminal[terminal]!, way.edges),
    pin: null,
    held: null,
    bores: way.edges.filter((e) => g.kind[e] === EDGE.bore).map((e) => g.ref[e]!),
    whole: way.edges.reduce((sum, e) => sum + g.length[e]!, 0),
  };
}
