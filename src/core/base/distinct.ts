import { EPS } from "./tolerance";

/** The numbers in rising order, those within the tolerance of the one before left out. Sorts what it is given. */
export function distinct(xs: number[]): number[] {
  xs.sort((a, b) => a - b);
  return xs.filter((x, i) => i === 0 || x - xs[i - 1]! > EPS);
}
