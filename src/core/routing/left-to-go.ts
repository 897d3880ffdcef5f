import { type CheapPlaces, fromBoxes } from "./ahead";
import type { RouteGraph } from "./graph";

/** What is left to go from a node to the one searched for, in what ways cost: never more than any way from there costs. */
export interface LeftToGo {
  from(n: number): number;
  /** The places whose edges it hangs on; what it adds to level and plumb everywhere else. */
  readonly around: readonly number[];
  readonly more: number;
  /** The same for all places but those, put down by node. */
  put(n: number, into: Float64Array): void;
}

/** What it is guessed from. */
export interface LeastCosts {
  /** Cost of each edge; Infinity where it is barred. */
  cost: Float64Array;
  /** No edge costs less than this for each mm of its length, but in cheap places: what is left to go is never guessed too dear. */
  perMm: number;
  /** Where a mm of cable costs less than elsewhere. */
  cheap?: CheapPlaces | null;
}

/** Places around the one searched for that are looked at before the search: most of what finds its price is in the last few steps. */
const AROUND = 10;

/** Level and plumb, by the least that a mm costs, and so much more; from the few places around, what is known. */
class Left implements LeftToGo {
  readonly around: number[] = [];
  more = 0;
  private readonly known: number[] = [];
  /** What a mm costs at least: a hair less, so that rounding never makes it too much. */
  private readonly share: number;
  /** By box of cheap places: how far it is from there; the nearest of them. */
  private readonly onFrom: Float64Array | null = null;
  private readonly leastOn: number = Infinity;

  constructor(
    private readonly g: RouteGraph,
    private readonly to: number,
    private readonly w: LeastCosts,
  ) {
    this.share = w.perMm * (1 - 1e-12) * g.square;
    if (!w.cheap) return;
    this.onFrom = fromBoxes(w.cheap, to);
    this.leastOn = Math.min(...this.onFrom);
  }

  put(n: number, into: Float64Array): void {
    into[n] = this.elsewhere(n);
  }

  private elsewhere(n: number): number {
    const { x, y, z } = this.g;
    const { to, share, onFrom } = this;
    const plumb = Math.abs(x[n]! - x[to]!) + Math.abs(y[n]! - y[to]!) + Math.abs(z[n]! - z[to]!);
    // No box stands as near to both: none is a way round.
    if (!onFrom || plumb <= this.w.cheap!.nearest[n]! + this.leastOn) return plumb * share + this.more;
    const { count, near, share: least } = this.w.cheap!;
    let left = plumb;
    for (let s = 0, k = n * count; s < count; s++, k++) {
      const by = near[k]! + onFrom[s]!;
      if (by < left) left = by;
    }
    return Math.max(left, plumb * least) * share + this.more;
  }

  from(n: number): number {
    const i = this.around.indexOf(n);
    return i < 0 ? this.elsewhere(n) : Math.min(this.elsewhere(n), this.known[i]!);
  }

  /** Backwards from the place itself, cheapest first: those settled, and those next to them. */
  lookAround(): void {
    const { g, w, around: inside } = this;
    const edge: number[] = [this.to];
    const cost: number[] = [0];
    while (inside.length < AROUND && edge.length) {
      let k = 0;
      for (let i = 1; i < cost.length; i++) if (cost[i]! < cost[k]!) k = i;
      const node = edge[k]!;
      const here = cost[k]!;
      edge[k] = edge[edge.length - 1]!;
      cost[k] = cost[cost.length - 1]!;
      edge.pop();
      cost.pop();
      inside.push(node);
      this.known.push(here);
      for (let i = g.first[node]!; i < g.first[node + 1]!; i++) {
        const next = g.to[i]!;
        const c = here + w.cost[g.edges[i]!]!;
        if (c === Infinity || inside.includes(next)) continue;
        const at = edge.indexOf(next);
        if (at < 0) {
          edge.push(next);
          cost.push(c);
        } else if (c < cost[at]!) cost[at] = c;
      }
    }
    // Where nothing leads on there is nothing to add.
    let least = Infinity;
    for (let i = 0; i < edge.length; i++) least = Math.min(least, cost[i]! - this.elsewhere(edge[i]!));
    if (edge.length) this.more = Math.max(0, least);
  }
}

/**
 * What is left to go to a node. Every way comes in over the places around it: what that costs more than level and plumb is added to what
 * is left from all others, and what is left from those few is known.
 */
export function leftToGo(g: RouteGraph, to: number, w: LeastCosts): LeftToGo {
  const left = new Left(g, to, w);
  left.lookAround();
  return left;
}
