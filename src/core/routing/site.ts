import { isMains } from "../job/mains";
import type { House } from "../house/house";
import type { PinnedLeg } from "../job/model";
import { isMetalClad } from "../rules/cables";
import { sectionOfLeg, sectionsOf } from "../house/sections";
import { warmCircuits } from "../trades/circuits/lying-together";
import { type CheapPlaces, cheapPlaces } from "./ahead";
import { type Care, NO_CARE } from "./care";
import { DRAWN, LIKED } from "./edge-costs";
import { EDGE, type RouteGraph } from "./graph";
import { type Way, type Weights, cheapestWay, costOfWay } from "./search";
import { type Looked, lookAgain, lookFor } from "./looked";
import { type Lying, type Passing, Tariffs } from "./tariffs";
import type { Task } from "./tasks";

/** Cost of a run through another point's box, mm of cable: so dear that it is done only where nothing else leads on. */
const THROUGH_BOX = 1e6;
/** A way at any angle is no shorter than this share of level and plumb. */
const SLOPING = 1 / Math.sqrt(3);
/** A mm level and plumb costs no less than this share out of doors. */
const LEAST_OUTSIDE = DRAWN * SLOPING;
/** Edges on which cables come to lie side by side. */
const ON_LINE: ReadonlySet<number> = new Set([EDGE.wall, EDGE.lane, EDGE.through]);

const passingOf = (t: Task): Passing => ({ cable: t.cable, circuit: t.circuit.id });

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

/** What the sites of one graph have in common. */
interface Known extends Pick<Lying, "boreEdge" | "sectionEdges"> {
  cheap: CheapPlaces | null;
  /** By node in a corner: that of the other face at the same place; −1 elsewhere. */
  corner: Int32Array;
  /** Whether there are ways out of doors: cheap places too, for what may lie there. */
  outside: boolean;
}
const known = new WeakMap<RouteGraph, Known>();

function knownOf(g: RouteGraph): Known {
  let out = known.get(g);
  if (out) return out;
  const boreEdge = new Int32Array(g.bores.length).fill(-1);
  const sectionEdges = new Map<number, number[]>();
  // Where sections make cable cheaper than elsewhere: each stretch of one on a wall or deck.
  const stretches = new Map<string, number[]>();
  const ways: number[][] = [];
  const corner = new Int32Array(g.nodes).fill(-1);
  const { kind, ref, section: sections } = g;
  for (let e = 0; e < kind.length; e++) {
    if (kind[e] === EDGE.bore) boreEdge[ref[e]!] = e;
    if (kind[e] === EDGE.outside) ways.push([e]);
    if (kind[e] === EDGE.corner) [corner[g.a[e]!], corner[g.b[e]!]] = [g.b[e]!, g.a[e]!];
    const section = sections[e]!;
    if (!section) continue;
    const key = `${section} ${kind[e] === EDGE.wall} ${ref[e]}`;
    into(sectionEdges, section, e);
    into(stretches, key, e);
  }
  const outside = ways.length > 0;
  const cheap = cheapPlaces(g, [...stretches.values(), ...ways], outside ? LEAST_OUTSIDE : LIKED);
  known.set(g, (out = { boreEdge, sectionEdges, cheap, corner, outside }));
  return out;
}

function into<K>(lists: Map<K, number[]>, key: K, x: number): void {
  const there = lists.get(key);
  if (there) there.push(x);
  else lists.set(key, [x]);
}

/**
 * What lies in the house already while runs are laid: cables in bores, cables at nodes, faces opened. Kept up as runs
 * come and go.
 */
export class Site implements Lying {
  readonly passing = new Map<number, Passing[]>();
  /** By node and axis: cables of all circuits; by node: a bit for each axis that any lie along. */
  private readonly at: Uint16Array;
  readonly others: Uint8Array;
  /** By face: how many runs are hidden in it; points in it count too. */
  private readonly inFace: Uint16Array;
  readonly opened: Uint8Array;
  readonly inSection = new Map<number, Passing[]>();
  readonly sectionEdges: Lying["sectionEdges"];
  /** Kept only where it matters. */
  readonly onLine = new Map<number, string[]>();
  readonly warm: ReadonlySet<string>;
  readonly signals: ReadonlySet<string>;
  readonly boreEdge: Int32Array;
  private readonly cheap: CheapPlaces | null;
  private readonly corner: Int32Array;
  private readonly outside: Known["outside"];
  private readonly tariffs: Tariffs;
  private looked: Map<Task, Looked> | null = null;

  constructor(
    readonly h: House,
    readonly g: RouteGraph,
    readonly care: Care = NO_CARE,
  ) {
    ({
      boreEdge: this.boreEdge,
      sectionEdges: this.sectionEdges,
      cheap: this.cheap,
      corner: this.corner,
      outside: this.outside,
    } = knownOf(g));
    this.at = new Uint16Array(g.nodes * 3);
    this.others = new Uint8Array(g.nodes);
    this.inFace = new Uint16Array(h.faces.length);
    this.opened = new Uint8Array(h.faces.length);
    this.tariffs = new Tariffs(h, g, this);
    for (const p of h.points) if (p.face >= 0 && p.point.mount === "flush") this.open(p.face, 1);
    this.signals = new Set(h.job.circuits.flatMap((c) => (isMains(c) ? [] : [c.id])));
    this.warm = care.apart.size ? warmCircuits(h) : new Set();
  }

  /** Puts a way in, or takes it out again. */
  count(t: Task, way: Way, by: 1 | -1): void {
    const { g } = this;
    const faces: number[] = [];
    const sections: number[] = [];
    const lined = this.signals.size > 0 || this.warm.has(t.circuit.id);
    for (const e of way.edges) {
      this.along(g.a[e]!, g.axis[e]!, by);
      this.along(g.b[e]!, g.axis[e]!, by);
      if (g.kind[e] === EDGE.wall && t.circuit.walls === "hidden" && !faces.includes(g.ref[e]!) && !this.seen(e))
        faces.push(g.ref[e]!);
      if (g.section[e] && !sections.includes(g.section[e]!)) sections.push(g.section[e]!);
      if (lined && ON_LINE.has(g.kind[e]!)) this.line(e, t, by);
      if (g.kind[e] !== EDGE.bore) continue;
      const bore = g.ref[e]!;
      const there = this.passing.get(bore) ?? [];
      if (by > 0) this.pass(bore, [...there, passingOf(t)]);
      else {
        const i = there.findIndex((x) => x.cable === t.cable && x.circuit === t.circuit.id);
        this.pass(
          bore,
          there.filter((_, k) => k !== i),
        );
      }
    }
    for (const f of faces) this.open(f, by);
    for (const s of sections) this.lie(s, t, by);
  }

  /** One more cable, or one less, lies at a node along an axis. */
  private along(node: number, axis: number, by: 1 | -1): void {
    this.there(node, axis, by);
    // What lies in a corner lies there on both faces.
    if (this.corner[node]! >= 0) this.there(this.corner[node]!, axis, by);
  }

  private there(node: number, axis: number, by: 1 | -1): void {
    const there = (this.at[node * 3 + axis]! += by);
    if (there) this.others[node]! |= 1 << axis;
    else this.others[node]! &= ~(1 << axis);
  }

  /** Counts a run whose legs are given: its cable lies in the bores it passes, and no other may crowd them. */
  occupy(t: Task): void {
    const legs = (t.held ?? t.pin)?.legs ?? [];
    for (const bore of boresPassed(this.h, this.g, legs))
      this.pass(bore, [...(this.passing.get(bore) ?? []), passingOf(t)]);
    if (!this.sectionEdges.size) return;
    const all = sectionsOf(this.h);
    for (const s of new Set(legs.map((l) => sectionOfLeg(this.h, l, t.circuit.id))))
      if (s) this.lie(all.indexOf(s) + 1, t, 1);
  }

  /** True for an edge in containment on the surface, for which no wall is opened. */
  private seen(e: number): boolean {
    const s = this.g.section[e]!;
    return s > 0 && !sectionsOf(this.h)[s - 1]!.row.hidden;
  }

  /** Puts the cable of a task into a section, or takes it out. */
  private lie(section: number, t: Task, by: 1 | -1): void {
    const there = this.inSection.get(section) ?? [];
    const i = by > 0 ? -1 : there.findIndex((x) => x.cable === t.cable && x.circuit === t.circuit.id);
    this.inSection.set(section, by > 0 ? [...there, passingOf(t)] : there.filter((_, k) => k !== i));
    this.tariffs.sectionChanged(section);
  }

  private line(e: number, t: Task, by: 1 | -1): void {
    const there = this.onLine.get(e);
    if (!there) this.onLine.set(e, by > 0 ? [t.circuit.id] : []);
    else if (by > 0) there.push(t.circuit.id);
    else {
      const i = there.indexOf(t.circuit.id);
      if (i >= 0) there.splice(i, 1);
    }
    this.tariffs.lineChanged(e);
  }

  private pass(bore: number, cables: Passing[]): void {
    this.passing.set(bore, cables);
    this.tariffs.boreChanged(bore);
  }

  /** One more, or one less, is hidden in a face. */
  private open(face: number, by: 1 | -1): void {
    this.inFace[face]! += by;
    const is = this.inFace[face]! > 0 ? 1 : 0;
    if (is === this.opened[face]) return;
    this.opened[face] = is;
    this.tariffs.faceChanged(face);
  }

  /**
   * Cheapest way for a task as the house now is, and what it costs.
   * @param bar closes edges to it
   * @param on what edges cost it on top
   */
  wayFor(t: Task, bar?: (e: number) => boolean, on?: Weights["on"]): Way | null {
    const w = this.weightsFor(t);
    if (bar) w.cost = w.cost.map((x, e) => (bar(e) ? Infinity : x));
    if (on) w.on = on;
    const [a, b] = w.ends.map((n) => this.g.terminal[n]!) as [number, number];
    return bar || on || !this.looked ? cheapestWay(this.g, a, b, w) : this.lookAgain(t, a, b, w);
  }

  /** From now on what searches have looked at is kept, for runs that are searched for again and again. */
  keepLooks(): void {
    this.looked ??= new Map();
  }

  private lookAgain(t: Task, from: number, to: number, w: Weights): Way | null {
    const was = this.looked!.get(t);
    const prices = this.tariffs.pricesFor(t.circuit, t.cable);
    const still = was && lookAgain(this.g, from, to, w, prices, was);
    if (still !== undefined) return still;
    const now = lookFor(this.g, from, to, w, prices);
    this.looked!.set(t, now);
    return now.way;
  }

  /** Shortest way for a task past what is barred, whatever it costs to make; none that is longer than `longest` need be found, mm. */
  shortestFor(t: Task, bar: (e: number) => boolean, longest: number): Way | null {
    const { g } = this;
    const w = this.weightsFor(t);
    const cost = g.length.slice();
    for (let e = 0; e < cost.length; e++) if (w.cost[e] === Infinity || bar(e)) cost[e] = Infinity;
    const [a, b] = w.ends;
    return cheapestWay(g, g.terminal[a]!, g.terminal[b]!, {
      ...w,
      cost,
      perMm: this.mayGoOut(t) ? SLOPING : 1,
      cheap: null,
      bend: 0,
      crossing: 0,
      dearest: longest,
    });
  }

  /** True for cable that may lie out of doors where there are ways. */
  private mayGoOut(t: Task): boolean {
    return this.outside && isMetalClad(t.cable);
  }

  /** What a way costs as the house now is. */
  costOf(t: Task, edges: readonly number[]): number {
    const w = this.weightsFor(t);
    return costOfWay(this.g, this.g.terminal[w.ends[0]]!, edges, w);
  }

  /** What a task is searched by as the house now is. */
  weightsFor(t: Task): Weights {
    const { h } = this;
    const weights = this.tariffs.weightsOf(t.circuit);
    const { cheap, sectionEdges } = this;
    const least = this.mayGoOut(t) ? LEAST_OUTSIDE : sectionEdges.size ? LIKED : 1;
    return {
      cost: this.tariffs.pricesFor(t.circuit, t.cable).cost,
      on: null,
      perMm: weights.cable * (cheap ? 1 : least),
      cheap,
      bend: weights.bend,
      throughBox: THROUGH_BOX,
      ends: [h.pointOfId.get(t.from)!, h.pointOfId.get(t.to)!],
      crossing: weights.crossing,
      others: this.others,
    };
  }
}
