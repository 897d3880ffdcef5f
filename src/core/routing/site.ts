import type { House } from "../house/house";
import type { Circuit, PinnedLeg } from "../job/model";
import type { Cable } from "../rules/cables";
import { borePrice, edgeCosts, usableFor } from "./edge-costs";
import { EDGE, type RouteGraph } from "./graph";
import { type Way, cheapestWay } from "./search";
import type { Task } from "./tasks";

/** Cost of a run through another point's box, mm of cable: so dear that it is done only where nothing else leads on. */
const THROUGH_BOX = 1e6;

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

/** What every edge costs circuits whose walls are cut alike and whose cable is the same, as the house now is. */
interface Tariff {
  cable: Cable;
  cost: Float64Array;
  /** By bore place: the cost of its edge but for the hole. */
  bare: Float64Array;
  /** The faces opened when it was worked out. */
  opened: string;
  /** Bore places through which cables have come or gone since. */
  stale: Set<number>;
}

/** What lies in the house already while runs are laid: cables in bores, cables at nodes, faces opened. Kept up as runs come and go. */
export class Site {
  readonly passing = new Map<number, Cable[]>();
  /** By node and axis: cables of all circuits. */
  readonly at: Uint16Array;
  /** By face: how many runs are hidden in it; points in it count too. */
  readonly inFace: Uint16Array;
  private readonly boreEdge: Int32Array;
  private readonly plain = new Map<string, { opened: string; cost: Float64Array }>();
  private readonly tariffs = new Map<string, Tariff>();

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
      if (by > 0) this.pass(bore, [...there, t.cable]);
      else {
        const i = there.indexOf(t.cable);
        this.pass(
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
    for (const bore of boresPassed(this.h, this.g, legs)) this.pass(bore, [...(this.passing.get(bore) ?? []), t.cable]);
  }

  private pass(bore: number, cables: Cable[]): void {
    this.passing.set(bore, cables);
    for (const x of this.tariffs.values()) x.stale.add(bore);
  }

  /** Cost of every edge for a circuit on a cable as the house now is. */
  private costsFor(c: Circuit, cable: Cable): Float64Array {
    const { h, g } = this;
    // What faces are opened matters only where opening one has a price.
    const opened = Uint8Array.from(this.inFace, (n) => (n > 0 ? 1 : 0));
    const key = h.job.settings.cost.faces > 0 ? opened.join("") : "";
    const kind = `${c.walls} ${c.cable} ${cable.id}`;
    let x = this.tariffs.get(kind);
    if (!x || x.opened !== key) {
      const cost = this.plainFor(c, opened, key).slice();
      x = {
        cable,
        cost,
        bare: Float64Array.from(this.boreEdge, (e) => cost[e]!),
        opened: key,
        stale: new Set(),
      };
      this.tariffs.set(kind, x);
      for (let bore = 0; bore < g.bores.length; bore++) this.price(x, bore);
    }
    for (const bore of x.stale) this.price(x, bore);
    x.stale.clear();
    return x.cost;
  }

  /** Cost of every edge but for holes in joists: one for all circuits whose cables are hidden in walls alike, whatever their cable. */
  private plainFor(c: Circuit, opened: Uint8Array, key: string): Float64Array {
    const { h, g } = this;
    const kind = `${c.walls} ${usableFor(h, g, c) === g.hidden ? "zones" : "all"}`;
    let x = this.plain.get(kind);
    if (!x || x.opened !== key) this.plain.set(kind, (x = { opened: key, cost: edgeCosts(h, g, c, opened) }));
    return x.cost;
  }

  /** Sets what going through a bore place costs with what passes there now. */
  private price(x: Tariff, bore: number): void {
    x.cost[this.boreEdge[bore]!] = x.bare[bore]! + borePrice(this.h, this.g, bore, x.cable, this.passing.get(bore));
  }

  /** Cheapest way for a task as the house now is, and what it costs; `bar` closes edges to it. */
  wayFor(t: Task, bar?: (e: number) => boolean): Way | null {
    const { h, g } = this;
    const open = this.costsFor(t.circuit, t.cable);
    const a = h.pointOfId.get(t.from)!;
    const b = h.pointOfId.get(t.to)!;
    const weights = h.job.settings.cost;
    return cheapestWay(g, g.terminal[a]!, g.terminal[b]!, {
      cost: bar ? open.map((x, e) => (bar(e) ? Infinity : x)) : open,
      perMm: weights.cable,
      bend: weights.bend,
      throughBox: THROUGH_BOX,
      ends: [a, b],
      crossing: weights.crossing,
      others: this.at,
    });
  }
}
