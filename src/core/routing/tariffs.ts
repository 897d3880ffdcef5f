import type { House } from "../house/house";
import { sectionsOf } from "../house/sections";
import type { Circuit, Costs } from "../job/model";
import { type Cable, isMetalClad } from "../rules/cables";
import { cableOf } from "../rules/catalogue";
import { cablesThere, sectionFill } from "../trades/containment/section-fill";
import { type Care, type MostTogether, tooMany } from "./care";
import { EdgeCost, FULL, LIKED, borePrice, edgesOfFaces, usableFor } from "./edge-costs";
import { type BorePlace, EDGE, type RouteGraph } from "./graph";
import { presets } from "./weights";

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

/** A cable in a bore or a section, and the circuit it belongs to. */
export interface Passing {
  cable: Cable;
  circuit: string;
}
const NOTHING: readonly Passing[] = [];
const NONE: readonly Cable[] = [];
const NOBODY: readonly string[] = [];

/** What lies in the house, as the prices have to know it. */
export interface Lying {
  /** By bore place: the cables that pass it. */
  readonly passing: ReadonlyMap<number, readonly Passing[]>;
  /** By section, from 1: the cables laid in it. */
  readonly inSection: ReadonlyMap<number, readonly Passing[]>;
  /** By edge: the circuits that lie there, once for each run. */
  readonly onLine: ReadonlyMap<number, readonly string[]>;
  /** By face: 1 where it is opened already. */
  readonly opened: Uint8Array;
  /** By section, from 1: its edges. */
  readonly sectionEdges: ReadonlyMap<number, readonly number[]>;
  /** Edge of each bore place. */
  readonly boreEdge: Int32Array;
  readonly care: Care;
  /** Circuits whose cables warm others, known where any is kept apart; and those that carry no mains. */
  readonly warm: ReadonlySet<string>;
  readonly signals: ReadonlySet<string>;
}

/** What edges cost all circuits whose cables are hidden in walls alike, whatever their cable, but for what lies there. */
interface Plain {
  cost: Float64Array;
  of: EdgeCost;
  /** Faces opened or shut since. */
  faces: Set<number>;
}

/** What every edge costs, and what has changed of that. */
export interface Prices {
  readonly cost: Float64Array;
  /** Edges whose price has changed, one after the other, and what each cost before it did. */
  readonly changed: number[];
  readonly was: number[];
}

/** What every edge costs circuits whose walls are cut alike and whose cable is the same, as the house now is. */
interface Tariff extends Prices {
  cable: Cable;
  circuit: Circuit;
  /** Whether it matters to them who else lies on a line. */
  minds: boolean;
  plain: Plain;
  /** By edge of a line or a section: what lying there costs on top. */
  onTop: Map<number, number>;
  /** By kind of bore place: the price of one where nothing passes yet; NaN until it is asked for. */
  fresh: Float64Array;
  /** What has come or gone since: bore places, sections from 1, edges of lines, faces opened or shut. */
  bores: Set<number>;
  sections: Set<number>;
  lines: Set<number>;
  faces: Set<number>;
}

/** Sets what an edge costs. */
function set(x: Tariff, e: number, cost: number): void {
  const was = x.cost[e]!;
  if (cost === was) return;
  x.changed.push(e);
  x.was.push(was);
  x.cost[e] = cost;
}

/** Puts in what is not there and takes out what is: changed back, it has not changed. */
function toggle(set: Set<number>, x: number): void {
  if (!set.delete(x)) set.add(x);
}

/** Bore places of a graph by kind: those of one kind have one price where nothing passes. */
function boreKinds(g: RouteGraph): { kinds: number; of: Int32Array } {
  let out = kindsOf.get(g);
  if (out) return out;
  const kinds: BorePlace[] = [];
  const of = new Int32Array(g.bores.length);
  for (let n = 0; n < of.length; n++) {
    const { most, asked, notch } = g.bores[n]!;
    let kind = 0;
    for (; kind < kinds.length; kind++) {
      const k = kinds[kind]!;
      if (k.most === most && k.asked === asked && k.notch === notch) break;
    }
    if (kind === kinds.length) kinds.push(g.bores[n]!);
    of[n] = kind;
  }
  kindsOf.set(g, (out = { kinds: kinds.length, of }));
  return out;
}
const kindsOf = new WeakMap<RouteGraph, { kinds: number; of: Int32Array }>();

/** True where what carries no mains would come to mains: it is that which yields. */
const mixes = ({ signals }: Lying, own: string, there: readonly string[]): boolean =>
  signals.has(own) && there.some((o) => !signals.has(o));

/** What every edge costs each circuit with what lies in the house; told of what comes and goes, it prices only that anew. */
export class Tariffs {
  private readonly plain = new Map<string, Plain>();
  private readonly tariffs = new Map<string, Tariff>();
  private readonly known = new Map<Circuit, Map<Cable, Tariff>>();

  constructor(
    private readonly h: House,
    private readonly g: RouteGraph,
    private readonly lying: Lying,
  ) {}

  /** The weights a circuit is laid by. */
  weightsOf(c: Circuit): Costs {
    return this.lying.care.short.has(c.id) ? presets.cable.cost : this.h.job.settings.cost;
  }

  /** Cost of every edge for a circuit on a cable as the house now is; it is changed in place as things come and go. */
  pricesFor(c: Circuit, cable: Cable): Prices {
    const x = this.tariffOf(c, cable);
    this.bringUpToDate(x.plain);
    for (const f of x.faces)
      for (const e of edgesOfFaces(this.h, this.g)[f]!) set(x, e, x.plain.cost[e]! + (x.onTop.get(e) ?? 0));
    for (const bore of x.bores) this.price(x, bore);
    for (const s of x.sections) this.priceSection(x, s);
    for (const e of x.lines) this.priceLine(x, e);
    for (const changed of [x.faces, x.bores, x.sections, x.lines]) changed.clear();
    return x;
  }

  private tariffOf(c: Circuit, cable: Cable): Tariff {
    let mine = this.known.get(c);
    if (!mine) this.known.set(c, (mine = new Map()));
    let x = mine.get(cable);
    if (x) return x;
    const { care, sectionEdges } = this.lying;
    // Alike for circuits on one cable in the same walls; with any kept apart, each has to know its own holes.
    const out = sectionEdges.size ? this.keptOut(c.id) : "";
    const kind = `${c.walls} ${c.cable} ${cable.id} ${care.short.has(c.id)} ${this.minds(c.id) ? c.id : ""} ${out}`;
    x = this.tariffs.get(kind);
    if (!x) this.tariffs.set(kind, (x = this.newTariff(c, cable)));
    mine.set(cable, x);
    return x;
  }

  /** Something has come to a bore place or gone from it. */
  boreChanged(bore: number): void {
    for (const x of this.tariffs.values()) x.bores.add(bore);
  }

  /** Something has come into a section, from 1, or gone out of it. */
  sectionChanged(section: number): void {
    for (const x of this.tariffs.values()) x.sections.add(section);
  }

  /** Something has come to lie on an edge or gone from it. */
  lineChanged(e: number): void {
    for (const x of this.tariffs.values()) if (x.minds) x.lines.add(e);
  }

  /** A face that was shut is opened, or the other way about. */
  faceChanged(face: number): void {
    for (const x of [...this.plain.values(), ...this.tariffs.values()]) toggle(x.faces, face);
  }

  private bringUpToDate(x: Plain): void {
    for (const f of x.faces) for (const e of edgesOfFaces(this.h, this.g)[f]!) x.cost[e] = x.of.of(e);
    x.faces.clear();
  }

  /** True for a circuit that has to keep clear of others, or what carries no mains. */
  private minds(circuit: string): boolean {
    const { care, warm, signals } = this.lying;
    return signals.has(circuit) || (care.apart.size > 0 && warm.has(circuit));
  }

  private newTariff(c: Circuit, cable: Cable): Tariff {
    const plain = this.plainFor(c);
    const { kinds, of } = boreKinds(this.g);
    const x: Tariff = {
      cable,
      circuit: c,
      minds: this.minds(c.id),
      plain,
      cost: plain.cost.slice(),
      changed: [],
      was: [],
      onTop: new Map(),
      fresh: new Float64Array(kinds).fill(NaN),
      bores: new Set(),
      sections: new Set(this.lying.sectionEdges.keys()),
      lines: new Set(),
      faces: new Set(),
    };
    if (x.minds) for (const e of this.lying.onLine.keys()) x.lines.add(e);
    const { boreEdge, passing } = this.lying;
    for (let bore = 0; bore < of.length; bore++) {
      const e = boreEdge[bore]!;
      x.cost[e] = plain.cost[e]! + this.fresh(x, bore, of[bore]!);
    }
    for (const bore of passing.keys()) this.price(x, bore);
    x.changed.length = x.was.length = 0;
    return x;
  }

  /** Cost of every edge but for what lies there. */
  private plainFor(c: Circuit): Plain {
    const { h, g } = this;
    const cladding = usableFor(h, g, c) === g.hidden ? "zones" : isMetalClad(cableOf(c.cable, h.catalogue));
    const kind = `${c.walls} ${cladding} ${this.lying.care.short.has(c.id)}`;
    let x = this.plain.get(kind);
    if (!x) {
      const of = new EdgeCost(h, g, c, this.lying.opened, this.weightsOf(c));
      this.plain.set(kind, (x = { cost: of.all(), of, faces: new Set() }));
    }
    this.bringUpToDate(x);
    return x;
  }

  /** Numbers of the sections that a circuit is kept out of. */
  private keptOut(circuit: string): string {
    return sectionsOf(this.h)
      .flatMap((s, n) => (s.section.out.includes(circuit) ? [n + 1] : []))
      .join(",");
  }

  /** True where a circuit must not come to what lies there, or what lies there must be left alone. */
  private keptApart(own: string, there: readonly string[], how: keyof MostTogether): boolean {
    const { care, warm } = this.lying;
    return care.apart.size > 0 && warm.has(own) && tooMany(care, warm, [own, ...there], how);
  }

  /** Sets what going through a bore place costs with what passes there now. */
  private price(x: Tariff, bore: number): void {
    const there = this.lying.passing.get(bore) ?? NOTHING;
    const e = this.lying.boreEdge[bore]!;
    set(
      x,
      e,
      x.plain.cost[e]! +
        (there.length ? this.shared(x, bore, there) : this.fresh(x, bore, boreKinds(this.g).of[bore]!)),
    );
  }

  private fresh(x: Tariff, bore: number, kind: number): number {
    const known = x.fresh[kind]!;
    if (!Number.isNaN(known)) return known;
    return (x.fresh[kind] = borePrice(this.weightsOf(x.circuit).bore, this.g.bores[bore]!, x.cable, NONE));
  }

  private shared(x: Tariff, bore: number, there: readonly Passing[]): number {
    const others = x.minds ? there.map((o) => o.circuit) : NOBODY;
    const cables = there.map((o) => o.cable);
    const price = borePrice(this.weightsOf(x.circuit).bore, this.g.bores[bore]!, x.cable, cables);
    const apart = this.keptApart(x.circuit.id, others, "bunched") ? APART : 0;
    return price + apart + (mixes(this.lying, x.circuit.id, others) ? DIVIDED_HOLE : 0);
  }

  /**
   * Sets what lying in a section costs with what lies there now: dear when it is full, out of the question for a
   * circuit kept out.
   */
  private priceSection(x: Tariff, section: number): void {
    const { h, g, lying } = this;
    const s = sectionsOf(h)[section - 1]!;
    const there = lying.inSection.get(section) ?? NOTHING;
    // Armour is its own containment: it lies on cleats, tray, basket or ladder, never inside.
    const armour = x.cable.family === "armoured" && (s.row.hidden || s.row.holds === "space");
    const out = armour || s.section.out.includes(x.circuit.id);
    const full = !sectionFill(s, [...cablesThere(s, h.catalogue), ...there.map((o) => o.cable), x.cable]).ok;
    const { cable } = this.weightsOf(x.circuit);
    // Under the plaster the line itself stays open: the circuit has a chase of its own beside it, at the price of any.
    const beside = s.row.hidden && !armour ? (1 - LIKED) * cable : Infinity;
    const others = there.map((o) => o.circuit);
    const dear = full || mixes(lying, x.circuit.id, others) ? FULL : 0;
    for (const e of lying.sectionEdges.get(section)!) this.putOnTop(x, e, (out ? beside : dear) * g.length[e]!);
  }

  /** Sets what lying on a line costs with what lies there now; in a section it is the section that says it. */
  private priceLine(x: Tariff, e: number): void {
    const { g, lying } = this;
    if (g.section[e]) return;
    const own = x.circuit.id;
    const there = lying.onLine.get(e) ?? NOBODY;
    const through = g.kind[e] === EDGE.through;
    const dear = !through && this.keptApart(own, there, "wall") ? BESIDE : 0;
    const divided = mixes(lying, own, there) ? (through ? DIVIDED_HOLE : DIVIDED * g.length[e]!) : 0;
    this.putOnTop(x, e, this.weightsOf(x.circuit).cable * (dear * g.length[e]! + divided));
  }

  private putOnTop(x: Tariff, e: number, more: number): void {
    x.onTop.set(e, more);
    set(x, e, x.plain.cost[e]! + more);
  }
}
