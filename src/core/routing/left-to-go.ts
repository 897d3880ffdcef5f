import { type CheapPlaces, fromBoxes } from "./ahead";
import type { RouteGraph } from "./graph";

/** What is left to go from a node to the one searched for, in what ways cost: never more than any way from there costs. */
export interface LeftToGo {
  (n: number): number;
  /** The places whose edges it hangs on; what it adds to level and plumb everywhere else. */
  around: readonly number[];
  more: number;
  /** The same for all places but those. */
  elsewhere: (n: number) => number;
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

/** Level and plumb, by the least that a mm costs, and so much more. */
function plumbLeft(g: RouteGraph, to: number, w: LeastCosts, more: number): (n: number) => number {
  const { x, y, z } = g;
  const [tx, ty, tz] = [x[to]!, y[to]!, z[to]!];
  // A hair less, so that rounding never makes it too much.
  const share = w.perMm * (1 - 1e-12) * g.square;
  const { cheap } = w;
  if (!cheap) return (n) => (Math.abs(x[n]! - tx) + Math.abs(y[n]! - ty) + Math.abs(z[n]! - tz)) * share + more;
  const { count, near, nearest } = cheap;
  const least = cheap.share;
  const onFrom = fromBoxes(cheap, to);
  const leastOn = Math.min(...onFrom);
  return (n) => {
    const plumb = Math.abs(x[n]! - tx) + Math.abs(y[n]! - ty) + Math.abs(z[n]! - tz);
    // No box stands as near to both: none is a way round.
    if (plumb <= nearest[n]! + leastOn) return plumb * share + more;
    let left = plumb;
    for (let s = 0, k = n * count; s < count; s++, k++) {
      const by = near[k]! + onFrom[s]!;
      if (by < left) left = by;
    }
    return Math.max(left, plumb * least) * share + more;
  };
}

/**
 * What is left to go to a node. Every way comes in over the places around it: what that costs more than level and plumb is added to what
 * is left from all others, and what is left from those few is known.
 */
export function leftToGo(g: RouteGraph, to: number, w: LeastCosts): LeftToGo {
  const plumb = plumbLeft(g, to, w, 0);
  // Backwards from the place itself, cheapest first: those settled, and those next to them.
  const inside: number[] = [];
  const known: number[] = [];
  const edge: number[] = [to];
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
    known.push(here);
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
  for (let i = 0; i < edge.length; i++) least = Math.min(least, cost[i]! - plumb(edge[i]!));
  const more = edge.length ? Math.max(0, least) : 0;
  const elsewhere = plumbLeft(g, to, w, more);
  const left = (n: number): number => {
    const i = inside.indexOf(n);
    return i < 0 ? elsewhere(n) : Math.min(elsewhere(n), known[i]!);
  };
  return Object.assign(left, { around: inside, more, elsewhere });
}
