import { EPS, same } from "./tolerance";

/** The numbers in rising order, those within the tolerance of the one before left out. Sorts what it is given. */
export function distinct(xs: number[]): number[] {
  xs.sort((a, b) => a - b);
  const out: number[] = [];
  for (let i = 0; i < xs.length; i++) if (i === 0 || xs[i]! - xs[i - 1]! > EPS) out.push(xs[i]!);
  return out;
}

/** Number of the place in a sorted list that is the same as the wanted one; −1 where none is. */
export function indexNear(sorted: readonly number[], x: number): number {
  let [lo, hi] = [0, sorted.length];
  while (lo < hi) {
    const mid = (lo + hi) >> 1;
    if (sorted[mid]! < x - EPS) lo = mid + 1;
    else hi = mid;
  }
  return lo < sorted.length && same(sorted[lo]!, x) ? lo : -1;
}
