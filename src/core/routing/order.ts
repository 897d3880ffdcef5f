import { alike } from "../base/alike";
import { shortestChains } from "./chains";
import { goodTour, tourLength } from "./good-tour";
import { tourBound } from "./tour-bounds";

/** Most places (without the start) ordered exactly; above, a good order is improved from the nearest-neighbour one. */
export const EXACT_MOST = 13;

/** Places from which a good order is looked for first, so that the exact one need not look at what is longer. */
const BOUNDED = 8;

export interface Order {
  /** Numbers of the places in order, starting with 0. */
  order: number[];
  length: number;
  /** Least that any order could measure; equal to `length` when the order is exact. */
  bound: number;
}

/**
 * Order in which to visit places 1…n−1 from place 0: closed (a ring, back to 0) or open (a radial).
 * Exact up to 13 places besides the start, by dynamic programming over subsets; ties fall to the lower numbers.
 * @param d symmetric path lengths; Infinity where there is no way
 */
export function bestOrder(d: readonly (readonly number[])[], closed: boolean): Order {
  const n = d.length;
  if (n <= 1) return { order: [0], length: 0, bound: 0 };
  if (n - 1 <= EXACT_MOST) return exact(d, closed);
  const good = improved(d, closed);
  if (!closed) return good;
  // A ring of many: the better of two good ones, and the one-tree bound under it.
  const other = goodTour(d);
  const length = tourLength(d, other);
  const best = length < good.length - 1e-6 ? { order: other, length } : good;
  return { ...best, bound: Math.min(best.length, Math.max(good.bound, tourBound(d, best.length))) };
}

/**
 * Length of the shortest closed tour over all places, where it is not asked which: a good one that the one-tree bound proves to be the
 * shortest, else the exact one. Above the exact size as `bestOrder` has it. The last few are kept: from one plan to the next most rings
 * stay as they are.
 */
export function leastTour(d: readonly (readonly number[])[]): Pick<Order, "length" | "bound"> {
  const known = lately.findIndex((x) => x.d.length === d.length && x.d.every((row, i) => alike(row, d[i]!)));
  const found = known < 0 ? { d, ...tourFor(d) } : lately.splice(known, 1)[0]!;
  lately.unshift(found);
  if (lately.length > LATELY) lately.pop();
  return found;
}
const lately: ({ d: readonly (readonly number[])[] } & Pick<Order, "length" | "bound">)[] = [];
const LATELY = 24;

function tourFor(d: readonly (readonly number[])[]): Pick<Order, "length" | "bound"> {
  if (d.length - 1 <= BOUNDED || d.length - 1 > EXACT_MOST) return bestOrder(d, true);
  // The first that comes to hand is often the shortest already; else one is looked for only until it is as short as any can be.
  const first = improved(d, true).length;
  const under = tourBound(d, first);
  if (under >= first - 1e-6) return { length: first, bound: Math.min(first, under) };
  const good = Math.min(first, tourLength(d, goodTour(d, under)));
  const bound = good > under + 1e-6 ? Math.max(under, tourBound(d, good)) : under;
  if (bound >= good - 1e-6) return { length: good, bound: Math.min(good, bound) };
  return bestOrder(d, true);
}

function exact(d: readonly (readonly number[])[], closed: boolean): Order {
  const { m, full, best, chain } = shortestChains(d, d.length > BOUNDED ? improved(d, closed).length : Infinity);
  let end = 0;
  let length = Infinity;
  for (let i = 0; i < m; i++) {
    const c = best[full * m + i]! + (closed ? d[i + 1]![0]! : 0);
    if (c < length - 1e-9) {
      length = c;
      end = i;
    }
  }
  const order = chain(full, end);
  // A ring reads the same both ways round: leave the board towards the lower-numbered end.
  if (closed && order.length > 2 && order[1]! > order[order.length - 1]!)
    order.splice(1, order.length - 1, ...order.slice(1).reverse());
  return { order, length, bound: length };
}

/** Length of a spanning tree over the places: no order can be shorter. */
export function treeLength(d: readonly (readonly number[])[]): number {
  const n = d.length;
  const near = new Float64Array(n).fill(Infinity);
  const used = new Uint8Array(n);
  near[0] = 0;
  let sum = 0;
  for (let k = 0; k < n; k++) {
    let i = -1;
    for (let j = 0; j < n; j++) if (!used[j] && (i < 0 || near[j]! < near[i]!)) i = j;
    used[i] = 1;
    sum += near[i]!;
    for (let j = 0; j < n; j++) if (!used[j]) near[j] = Math.min(near[j]!, d[i]![j]!);
  }
  return sum;
}

function improved(d: readonly (readonly number[])[], closed: boolean): Order {
  const n = d.length;
  const order = [0];
  const left = new Set(Array.from({ length: n - 1 }, (_, i) => i + 1));
  while (left.size) {
    const last = order[order.length - 1]!;
    let pick = -1;
    for (const i of left) if (pick < 0 || d[last]![i]! < d[last]![pick]!) pick = i;
    order.push(pick);
    left.delete(pick);
  }
  const at = (i: number): number => (i < n ? order[i]! : closed ? 0 : -1);
  const step = (a: number, b: number): number => (a < 0 || b < 0 ? 0 : d[a]![b]!);
  for (let better = true, rounds = 0; better && rounds < 60; rounds++) {
    better = false;
    for (let i = 1; i < n - 1; i++)
      for (let j = i + 1; j < n; j++) {
        const was = step(order[i - 1]!, order[i]!) + step(order[j]!, at(j + 1));
        const now = step(order[i - 1]!, order[j]!) + step(order[i]!, at(j + 1));
        if (now < was - 1e-6) {
          order.splice(i, j - i + 1, ...order.slice(i, j + 1).reverse());
          better = true;
        }
      }
    // Or-moves: take a stretch of one to three places and set it elsewhere.
    for (let size = 1; size <= 3; size++)
      for (let i = 1; i + size <= n; i++) {
        const stretch = order.slice(i, i + size);
        const rest = [...order.slice(0, i), ...order.slice(i + size)];
        const gain =
          step(order[i - 1]!, stretch[0]!) + step(stretch[size - 1]!, at(i + size)) - step(order[i - 1]!, at(i + size));
        for (let j = 0; j < rest.length; j++) {
          const after = j + 1 < rest.length ? rest[j + 1]! : closed ? 0 : -1;
          const cost = step(rest[j]!, stretch[0]!) + step(stretch[size - 1]!, after) - step(rest[j]!, after);
          if (cost < gain - 1e-6) {
            rest.splice(j + 1, 0, ...stretch);
            order.splice(0, n, ...rest);
            better = true;
            break;
          }
        }
      }
  }
  let length = 0;
  for (let i = 1; i < n; i++) length += d[order[i - 1]!]![order[i]!]!;
  if (closed) length += d[order[n - 1]!]![0]!;
  return { order, length, bound: treeLength(d) };
}
