import { isMains } from "../job/mains";
import type { House } from "../house/house";
import type { Circuit, Costs, PinnedLeg } from "../job/model";
import { type Cable, isMetalClad } from "../rules/cables";
import { cableOf } from "../rules/catalogue";
import { sectionFill, cablesThere } from "../trades/containment/section-fill";
import { outsideOf } from "../house/outside";
import { sectionOfLeg, sectionsOf } from "../house/sections";
import { DRAWN, FULL, LIKED, borePrice, edgeCosts, usableFor } from "./edge-costs";
import { EDGE, type RouteGraph } from "./graph";
import { type Way, type Weights, cheapestWay, costOfWay } from "./search";
import { warmCircuits } from "../trades/circuits/lying-together";
import type { Task } from "./tasks";
import { presets } from "./weights";

/** Cost of a run through another point's box, mm of cable: so dear that it is done only where nothing else leads on. */
const THROUGH_BOX = 1e6;
/**
 * Cost of a hole that another loaded circuit passes, for one that is kept apart: gone round where there is any other
 * way, mm of cable.
 */
const APART = 20_000;

/** What each mm beside another loaded circuit costs one that is kept apart, mm of cable: it goes up to four times as far. */
const BESIDE = 3;

/** What each mm beside mains costs a cable that carries none, mm of cable; and a hole or wall with both. */
const DIVIDED = 6;
const DIVIDED_HOLE = 50_000;

const NONE: readonly Cable[] = [];
const NOBODY: readonly string[] = [];

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

/** Circuits that are laid with more care than the weights of the job would take. */
export interface Care {
  /** Laid by the shortest way, since the loop or the drop of a longer one would be too much. */
  short: ReadonlySet<string>;
  /**
   * Kept out of holes that so many loaded circuits pass, and off lines that so many lie on, that it would carry too little: how many it
   * may lie with.
   */
  apart: ReadonlyMap<string, MostTogether>;
}
export const NO_CARE: Care = { short: new Set(), apart: new Map() };

/** How many loaded circuits may lie together, this one included, where a circuit is still to carry what it must. */
export interface MostTogether {
  /** In one hole. */
  bunched: number;
  /** Side by side on a line. */
  wall: number;
}

/** True where so many loaded circuits lie together that one of them could no longer carry what it must. */
export function tooMany(
  care: Care,
  warm: ReadonlySet<string>,
  circuits: readonly string[],
  how: keyof MostTogether,
): boolean {
  const loaded = new Set(circuits.filter((c) => warm.has(c)));
  return [...loaded].some((c) => loaded.size > (care.apart.get(c)?.[how] ?? Infinity));
}

/** A cable in a bore, and the circuit it belongs to. */
export interface Passing {
  cable: Cable;
  circuit: string;
}

/** What every edge costs circuits whose walls are cut alike and whose cable is the same, as the house now is. */
interface Tariff {
  cable: Cable;
  circuit: Circuit;
  cost: Float64Array;
  /** By bore place: the cost of its edge but for the hole. */
  bare: Float64Array;
  /** The faces opened when it was worked out. */
  opened: string;
  /** Bore places through which cables have come or gone since. */
  stale: Set<number>;
  /** By edge in a section: what it costs while there is room. */
  roomy: Map<number, number>;
  /** Sections, from 1, into which cables have come or from which they have gone since. */
  staleSections: Set<number>;
  /** By edge of a wall or along a joist where others lie: what it costs while it lies free. */
  free: Map<number, number>;
  /** Edges on which circuits have come to lie or from which they have gone since. */
  staleLines: Set<number>;
}

/**
 * What lies in the house already while runs are laid: cables in bores, cables at nodes, faces opened. Kept up as runs
 * come and go.
 */
export class Site {
  readonly passing = new Map<number, Passing[]>();
  /** By node and axis: cables of all circuits. */
  readonly at: Uint16Array;
  /** By face: how many runs are hidden in it; points in it count too. */
  readonly inFace: Uint16Array;
  /** By section, from 1: the cables laid in it. */
  private readonly inSection = new Map<number, Passing[]>();
  /** By section, from 1: its edges. */
  private readonly sectionEdges = new Map<number, number[]>();
  /** By edge of a wall, along a joist or through a wall: the circuits that lie there, once for each run; kept only where it matters. */
  private readonly onLine = new Map<number, string[]>();
  private readonly warm: ReadonlySet<string>;
  /** Circuits that carry no mains. */
  private readonly signals: ReadonlySet<string>;
  private readonly boreEdge: Int32Array;
  private readonly plain = new Map<string, { opened: string; cost: Float64Array }>();
  private readonly tariffs = new Map<string, Tariff>();

  constructor(
    readonly h: House,
    readonly g: RouteGraph,
    private readonly care: Care = NO_CARE,
  ) {
    this.at = new Uint16Array(g.nodes * 3);
    this.inFace = new Uint16Array(h.faces.length);
    for (const p of h.points) if (p.face >= 0 && p.point.mount === "flush") this.inFace[p.face]!++;
    this.signals = new Set(h.job.circuits.flatMap((c) => (isMains(c) ? [] : [c.id])));
    this.warm = care.apart.size ? warmCircuits(h) : new Set();
    this.boreEdge = new Int32Array(g.bores.length).fill(-1);
    for (let e = 0; e < g.kind.length; e++) {
      if (g.kind[e] === EDGE.bore) this.boreEdge[g.ref[e]!] = e;
      const section = g.section[e]!;
      if (section) this.sectionEdges.set(section, [...(this.sectionEdges.get(section) ?? []), e]);
    }
  }

  /** Puts a way in, or takes it out again. */
  count(t: Task, way: Way, by: 1 | -1): void {
    const { g } = this;
    const faces = new Set<number>();
    for (const e of way.edges) {
      for (const n of [g.a[e]!, g.b[e]!]) this.at[n * 3 + g.axis[e]!]! += by;
      if (g.kind[e] === EDGE.wall && t.circuit.walls === "hidden" && !this.seen(e)) faces.add(g.ref[e]!);
      if ((this.signals.size || this.warm.has(t.circuit.id)) && ON_LINE.has(g.kind[e]!)) this.line(e, t, by);
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
    for (const f of faces) this.inFace[f]! += by;
    if (this.sectionEdges.size) for (const s of new Set(way.edges.map((e) => g.section[e]!))) if (s) this.lie(s, t, by);
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
    for (const x of this.tariffs.values()) x.staleSections.add(section);
  }

  private line(e: number, t: Task, by: 1 | -1): void {
    const there = this.onLine.get(e) ?? [];
    const i = by > 0 ? -1 : there.indexOf(t.circuit.id);
    this.onLine.set(e, by > 0 ? [...there, t.circuit.id] : there.filter((_, k) => k !== i));
    for (const x of this.tariffs.values()) x.staleLines.add(e);
  }

  /** True where a circuit must not come to what lies there, or what lies there must be left alone. */
  private keptApart(own: string, there: readonly string[], how: keyof MostTogether): boolean {
    return this.care.apart.size > 0 && this.warm.has(own) && tooMany(this.care, this.warm, [own, ...there], how);
  }

  /** True where what carries no mains would come to mains: it is that which yields. */
  private mixes(own: string, there: readonly string[]): boolean {
    return this.signals.has(own) && there.some((o) => !this.signals.has(o));
  }

  private pass(bore: number, cables: Passing[]): void {
    this.passing.set(bore, cables);
    for (const x of this.tariffs.values()) x.stale.add(bore);
  }

  /** Cost of every edge for a circuit on a cable as the house now is. */
  private costsFor(c: Circuit, cable: Cable): Float64Array {
    const { h, g } = this;
    // What faces are opened matters only where opening one has a price.
    const key = h.job.settings.cost.faces > 0 ? this.openedFaces().join("") : "";
    // Alike for circuits on one cable in the same walls; with any kept apart, each has to know its own holes.
    const out = this.sectionEdges.size ? this.keptOut(c.id) : "";
    const kind = `${c.walls} ${c.cable} ${cable.id} ${this.care.short.has(c.id)} ${this.care.apart.size ? c.id : ""} ${out}`;
    let x = this.tariffs.get(kind);
    if (!x || x.opened !== key) {
      const cost = this.plainFor(c, key).slice();
      x = {
        cable,
        circuit: c,
        cost,
        bare: Float64Array.from(this.boreEdge, (e) => cost[e]!),
        opened: key,
        stale: new Set(),
        roomy: new Map([...this.sectionEdges.values()].flatMap((l) => l.map((e) => [e, cost[e]!] as const))),
        staleSections: new Set(this.sectionEdges.keys()),
        free: new Map(),
        staleLines: new Set(this.onLine.keys()),
      };
      this.tariffs.set(kind, x);
      for (let bore = 0; bore < g.bores.length; bore++) this.price(x, bore);
    }
    for (const bore of x.stale) this.price(x, bore);
    x.stale.clear();
    for (const s of x.staleSections) this.priceSection(x, s);
    x.staleSections.clear();
    for (const e of x.staleLines) this.priceLine(x, e);
    x.staleLines.clear();
    return x.cost;
  }

  /** By face: 1 where it is opened already. */
  private openedFaces(): Uint8Array {
    return Uint8Array.from(this.inFace, (n) => (n > 0 ? 1 : 0));
  }

  /** Numbers of the sections that a circuit is kept out of. */
  private keptOut(circuit: string): string {
    return sectionsOf(this.h)
      .flatMap((s, n) => (s.section.out.includes(circuit) ? [n + 1] : []))
      .join(",");
  }

  /**
   * Sets what lying in a section costs with what lies there now: dear when it is full, out of the question for a
   * circuit kept out.
   */
  private priceSection(x: Tariff, section: number): void {
    const s = sectionsOf(this.h)[section - 1]!;
    const lying = this.inSection.get(section) ?? [];
    const there = lying.map((o) => o.cable);
    // Armour is its own containment: it lies on cleats, tray, basket or ladder, never inside.
    const armour = x.cable.family === "armoured" && (s.row.hidden || s.row.holds === "space");
    const out = armour || s.section.out.includes(x.circuit.id);
    const full = !sectionFill(s, [...cablesThere(s, this.h.catalogue), ...there, x.cable]).ok;
    const { cable } = this.costs(x.circuit);
    // Under the plaster the line itself stays open: the circuit has a chase of its own beside it, at the price of any.
    const beside = s.row.hidden && !armour ? (1 - LIKED) * cable : Infinity;
    const mixes = this.mixes(
      x.circuit.id,
      lying.map((o) => o.circuit),
    );
    const dear = full || mixes ? FULL : 0;
    for (const e of this.sectionEdges.get(section)!)
      x.cost[e] = x.roomy.get(e)! + (out ? beside : dear) * this.g.length[e]!;
  }

  /** Sets what lying on a line costs with what lies there now; in a section it is the section that says it. */
  private priceLine(x: Tariff, e: number): void {
    if (this.g.section[e]) return;
    if (!x.free.has(e)) x.free.set(e, x.cost[e]!);
    const own = x.circuit.id;
    const there = this.onLine.get(e) ?? [];
    const through = this.g.kind[e] === EDGE.through;
    const dear = !through && this.keptApart(own, there, "wall") ? BESIDE : 0;
    const divided = this.mixes(own, there) ? (through ? DIVIDED_HOLE : DIVIDED * this.g.length[e]!) : 0;
    x.cost[e] = x.free.get(e)! + this.costs(x.circuit).cable * (dear * this.g.length[e]! + divided);
  }

  /**
   * Cost of every edge but for holes in joists: one for all circuits whose cables are hidden in walls alike, whatever
   * their cable.
   */
  private plainFor(c: Circuit, key: string): Float64Array {
    const { h, g } = this;
    const kind = `${c.walls} ${usableFor(h, g, c) === g.hidden ? "zones" : isMetalClad(cableOf(c.cable, h.catalogue))} ${this.care.short.has(c.id)}`;
    let x = this.plain.get(kind);
    if (!x || x.opened !== key)
      this.plain.set(kind, (x = { opened: key, cost: edgeCosts(h, g, c, this.openedFaces(), this.costs(c)) }));
    return x.cost;
  }

  /** The weights a circuit is laid by. */
  private costs(c: Circuit): Costs {
    return this.care.short.has(c.id) ? presets.cable.cost : this.h.job.settings.cost;
  }

  /** Sets what going through a bore place costs with what passes there now. */
  private price(x: Tariff, bore: number): void {
    const there = this.passing.get(bore) ?? [];
    const others = this.care.apart.size || this.signals.size ? there.map((o) => o.circuit) : NOBODY;
    const dear = this.keptApart(x.circuit.id, others, "bunched");
    const divided = this.mixes(x.circuit.id, others) ? DIVIDED_HOLE : 0;
    const place = this.g.bores[bore]!;
    const cables = there.length ? there.map((o) => o.cable) : NONE;
    const price = borePrice(this.costs(x.circuit).bore, place, x.cable, cables);
    x.cost[this.boreEdge[bore]!] = x.bare[bore]! + price + (dear ? APART : 0) + divided;
  }

  /**
   * Cheapest way for a task as the house now is, and what it costs.
   * @param bar closes edges to it
   * @param on what edges cost it on top
   */
  wayFor(t: Task, bar?: (e: number) => boolean, on?: Weights["on"]): Way | null {
    const w = this.weightsFor(t);
    const [a, b] = w.ends;
    return cheapestWay(this.g, this.g.terminal[a]!, this.g.terminal[b]!, {
      ...w,
      cost: bar ? w.cost.map((x, e) => (bar(e) ? Infinity : x)) : w.cost,
      ...(on ? { on } : {}),
    });
  }

  /** Shortest way for a task past what is barred, whatever it costs to make. */
  shortestFor(t: Task, bar: (e: number) => boolean): Way | null {
    const { g } = this;
    const w = this.weightsFor(t);
    const cost = w.cost.map((x, e) => (x === Infinity || bar(e) ? Infinity : g.length[e]!));
    const [a, b] = w.ends;
    return cheapestWay(g, g.terminal[a]!, g.terminal[b]!, { ...w, cost, perMm: 1, bend: 0, crossing: 0 });
  }

  /** What a way costs as the house now is. */
  costOf(t: Task, edges: readonly number[]): number {
    const w = this.weightsFor(t);
    return costOfWay(this.g, this.g.terminal[w.ends[0]]!, edges, w);
  }

  private weightsFor(t: Task): Weights {
    const { h } = this;
    const weights = this.costs(t.circuit);
    return {
      cost: this.costsFor(t.circuit, t.cable),
      perMm: weights.cable * (isMetalClad(t.cable) && outsideOf(h).length ? DRAWN : this.sectionEdges.size ? LIKED : 1),
      bend: weights.bend,
      throughBox: THROUGH_BOX,
      ends: [h.pointOfId.get(t.from)!, h.pointOfId.get(t.to)!],
      crossing: weights.crossing,
      others: this.at,
    };
  }
}
