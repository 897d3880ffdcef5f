/** True when two lists hold the very same things in the same order. */
export const alike = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a === b || (a.length === b.length && a.every((x, i) => x === b[i]));
