/**
 * One place for every length comparison.
 * Lengths are millimetres held as doubles. Sums of a few hundred terms below 1e5 mm keep an error below
 * 1e-9 mm, so 1e-6 is a thousand times larger than rounding and a thousand times smaller than a pencil line.
 */
export const EPS = 1e-6;

/** True when a and b are the same length to 1e-6 mm. */
export const same = (a: number, b: number): boolean => Math.abs(a - b) <= EPS;
/** a ≤ b, a value on the limit counts as within it. */
export const atMost = (a: number, b: number): boolean => a <= b + EPS;
/** a ≥ b, a value on the limit counts as within it. */
export const atLeast = (a: number, b: number): boolean => a >= b - EPS;
/** a < b by more than the tolerance. */
export const below = (a: number, b: number): boolean => a < b - EPS;
/** Limits x to [low, high]. */
export const clamp = (x: number, low: number, high: number): number => Math.min(Math.max(x, low), high);
/** Rounds away binary noise (to 1e-6 mm) so that equal plans print equal bytes. */
export const tidy = (x: number): number => {
  const r = Math.round(x * 1e6) / 1e6;
  return r === 0 ? 0 : r;
};
