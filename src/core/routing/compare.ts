import { shortestChains } from "./chains";
import { bestOrder } from "./order";
import { goodTour, tourLength } from "./good-tour";
import { tourBound, treeBound } from "./tour-bounds";

type Distances = readonly (readonly number[])[];
/** Points besides the board up to which the answer is exact. */
export const COMPARE_EXACT = 13;

export interface Comparison {
  ring: { order: number[]; length: number; bound: number };
  radials: { orders: [number[], number[]]; lengths: [number, number]; total: number; bound: number };
  optimal: boolean;
  /** No ring can be shorter; equal to its length when proven. */
  bound: number;
}

const chainLength = (d: Distances, order: readonly number[]): number =>
  order.slice(1).reduce((s, p, i) => s + d[order[i]!]![p]!, 0);

/**
 * The shortest pair of open chains from 0 that together visit all, neither empty, exact: the shortest chain over every subset
 * by dynamic programming, then the best split. Ties fall to the split found first.
 */
function exactRadials(d: Distances): [number[], number[]] {
  const { m, full, best, chain } = shortestChains(d);
  const open = new Float64Array(full + 1).fill(Infinity);
  const end = new Int8Array(full + 1).fill(-1);
  for (let set = 1; set <= full; set++)
    for (let last = 0; last < m; last++) {
      const here = best[set * m + last]!;
      if (here < open[set]! - 1e-9) {
        open[set] = here;
        end[set] = last;
      }
    }
  let split = 1;
  let least = Infinity;
  // The chain with point 1 is named first, so that each split is looked at once.
  for (let set = 1; set < full; set += 2) {
    const c = open[set]! + open[full ^ set]!;
    if (c < least - 1e-9) {
      least = c;
      split = set;
    }
  }
  return [chain(split, end[split]!), chain(full ^ split, end[full ^ split]!)];
}

/** A good pair of chains: a closed tour with one free step between two points other than the board, cut there. */
function goodRadials(d: Distances, ring: readonly number[]): [number[], number[]] {
  const n = d.length;
  const far = d.reduce((s, row) => s + Math.max(...row), 0);
  const wide = [
    ...d.map((row, i) => [...row, i === 0 ? far : 0]),
    Array.from({ length: n + 1 }, (_, i) => (i === 0 ? far : 0)),
  ];
  const order = goodTour(wide);
  const at = order.indexOf(n);
  const byFreeStep: [number[], number[]] = [order.slice(0, at), [0, ...order.slice(at + 1).reverse()]];
  // The ring itself, cut at its longest inner step, is the other candidate.
  let cut = 1;
  for (let i = 1; i < ring.length - 1; i++) if (d[ring[i]!]![ring[i + 1]!]! > d[ring[cut]!]![ring[cut + 1]!]!) cut = i;
  const byRing: [number[], number[]] = [ring.slice(0, cut + 1), [0, ...ring.slice(cut + 1).reverse()]];
  const sum = ([a, b]: [number[], number[]]): number =>
    a.length > 1 && b.length > 1 ? chainLength(d, a) + chainLength(d, b) : Infinity;
  return sum(byFreeStep) <= sum(byRing) ? byFreeStep : byRing;
}

/**
 * One ring against two radials over the same points: path lengths between places, 0 the board, mm. Exact up to 13 points;
 * above, good orders with proven lower bounds. Needs at least two points, so that neither radial is empty.
 */
export function compareCircuits(d: Distances): Comparison {
  const exact = d.length - 1 <= COMPARE_EXACT;
  const order = exact ? bestOrder(d, true).order : goodTour(d);
  const ring = { order, length: tourLength(d, order) };
  const orders = exact ? exactRadials(d) : goodRadials(d, ring.order);
  const lengths: [number, number] = [chainLength(d, orders[0]), chainLength(d, orders[1])];
  const total = lengths[0] + lengths[1];
  const ringBound = exact ? ring.length : Math.min(ring.length, tourBound(d, ring.length));
  const radialBound = exact ? total : Math.min(total, treeBound(d, total));
  const proven = (bound: number, length: number): boolean => bound >= length - 1e-6;
  return {
    ring: { order: ring.order, length: ring.length, bound: ringBound },
    radials: { orders, lengths, total, bound: radialBound },
    optimal: proven(ringBound, ring.length) && proven(radialBound, total),
    bound: ringBound,
  };
}
