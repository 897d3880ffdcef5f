import { cableOf } from "../rules/catalogue";
import type { Cable } from "../rules/cables";
import type { Catalogue } from "../rules/catalogue";
import { pathLength } from "../geometry/wall-frame";
import type { House } from "../job/house";
import type { Circuit, Pin, PinnedLeg } from "../job/model";
import { type Finding, finding } from "../rules/findings";
import { borePrice, edgeCosts } from "./edge-costs";
import { EDGE, type RouteGraph } from "./graph";
import { legsOf } from "./legs";
import { boardOf, pairsOf, pinKey } from "./pairs";
import { type Way, cheapestWay } from "./search";

/** A run as laid: which points, over which legs, and the shared bores it uses. */
export interface LaidRun {
  id: string;
  circuit: string;
  from: string;
  to: string;
  cable: string;
  legs: PinnedLeg[];
  pinned: boolean;
  /** Numbers of bore places used, in order; empty for a pinned run, whose holes are found from its legs. */
  bores: number[];
  /** Length of the way over the graph, from middle to middle of the points; its path leaves the jogs behind plates out, mm. */
  whole: number;
}

export interface Laid {
  runs: LaidRun[];
  findings: Finding[];
  /** By circuit: least path length that any order over legal lines could have, mm. */
  bounds: Map<string, number>;
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

export const runId = (circuit: string, from: string, to: string): string => `${circuit}.${from}-${to}`;

/** Circuits in the order they are laid: thick cable first, since it needs the room; ties by label and id. */
export const layingOrder = (circuits: readonly Circuit[], catalogue?: Catalogue): Circuit[] =>
  [...circuits].sort(
    (a, b) =>
      (cableOf(b.cable, catalogue)?.csa ?? 0) - (cableOf(a.cable, catalogue)?.csa ?? 0) ||
      (a.label < b.label ? -1 : a.label > b.label ? 1 : 0) ||
      (a.id < b.id ? -1 : 1),
  );

/** A run to be laid: its ends, its circuit, and its way once it has one. */
export interface Task {
  circuit: Circuit;
  cable: Cable;
  from: string;
  to: string;
  pin: Pin | null;
  way: Way | null;
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

/** A plan of the job as it was a moment ago, for a quick look while something is dragged: which points are joined is taken from it. */
export interface Before {
  runs: readonly { circuit: string; from: string; to: string }[];
}

/** Every run that the circuits need, in laying order, not yet laid. */
export function tasksOf(
  h: House,
  g: RouteGraph,
  findings: Finding[],
  bounds: Map<string, number>,
  before: Before | null = null,
): Task[] {
  const pins = new Map(h.job.pins.map((p) => [pinKey(p.circuit, p.from, p.to), p]));
  return layingOrder(
    h.job.circuits.filter((x) => x.state !== "keep"),
    h.catalogue,
  ).flatMap((c): Task[] => {
    const cable = cableOf(c.cable, h.catalogue);
    const board = boardOf(h, c);
    if (!cable || board < 0) return [];
    const { pairs, bound } = joinedBefore(c, before) ?? pairsOf(h, g, c, board, pins, findings);
    bounds.set(c.id, bound);
    return pairs.map(([from, to]) => ({
      circuit: c,
      cable,
      from,
      to,
      pin: pins.get(pinKey(c.id, from, to)) ?? null,
      way: null,
    }));
  });
}

/** The pairs of a circuit as they were, when every point of it had a run; null when they must be worked out. */
function joinedBefore(c: Circuit, before: Before | null): { pairs: [string, string][]; bound: number } | null {
  const runs = (before?.runs ?? []).filter((r) => r.circuit === c.id);
  const reached = new Set(runs.flatMap((r) => [r.from, r.to]));
  if (!runs.length || [...c.points, ...c.spurs.map((s) => s.point)].some((id) => !reached.has(id))) return null;
  return { pairs: runs.map((r) => [r.from, r.to]), bound: 0 };
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
): Laid {
  const out: Laid = { runs: [], findings: [], bounds: new Map() };
  if (h.points.every((p) => p.point.kind !== "board")) {
    if (h.job.circuits.some((c) => c.points.length))
      out.findings.push(
        finding("circuit.board", {
          subject: h.job.id,
          message: "The job has circuits but no board; place one.",
          remedy: "Add a board point.",
        }),
      );
    return out;
  }
  const tasks = tasksOf(h, g, out.findings, out.bounds, before);
  const site = new Site(h, g);
  layTasks(site, tasks, progress, before ? 0 : undefined);
  const label = (id: string): string => h.points[h.pointOfId.get(id)!]!.point.label;
  for (const t of tasks) {
    if (t.pin) out.runs.push(pinnedRun(t.circuit, t.pin, t.from));
    else if (t.way) out.runs.push(laidRun(h, g, t, t.way));
    else
      out.findings.push(
        finding("route.unreachable", {
          subject: t.to,
          message: `No legal way from ${label(t.from)} to ${label(t.to)}: the bores on the way are full.`,
          remedy: "Use another bore line, or pin the run by hand.",
        }),
      );
  }
  return out;
}

/** Lays tasks one after the other; a run that finds every bore full has those that fill them taken up and laid round it. */
export function layTasks(site: Site, tasks: readonly Task[], progress: OnProgress, most = ROUNDS): void {
  const free = tasks.filter((t) => !t.pin);
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

function pinnedRun(c: Circuit, pin: Pin, from: string): LaidRun {
  const legs =
    pin.from === from ? pin.legs : [...pin.legs].reverse().map((l) => ({ ...l, path: [...l.path].reverse() }));
  const to = pin.from === from ? pin.to : pin.from;
  return {
    id: runId(c.id, from, to),
    circuit: c.id,
    from,
    to,
    cable: c.cable,
    legs,
    pinned: true,
    bores: [],
    whole: legs.reduce((s, l) => s + pathLength(l.path), 0),
  };
}

function laidRun(h: House, g: RouteGraph, t: Task, way: Way): LaidRun {
  const a = h.points[h.pointOfId.get(t.from)!]!;
  const b = h.points[h.pointOfId.get(t.to)!]!;
  const bores = way.edges.filter((e) => g.kind[e] === EDGE.bore).map((e) => g.ref[e]!);
  return {
    id: runId(t.circuit.id, t.from, t.to),
    circuit: t.circuit.id,
    from: t.from,
    to: t.to,
    cable: t.circuit.cable,
    legs: legsOf(h, g, t.circuit, a, b, g.terminal[h.pointOfId.get(t.from)!]!, way.edges),
    pinned: false,
    bores,
    whole: way.edges.reduce((s, e) => s + g.length[e]!, 0),
  };
}
