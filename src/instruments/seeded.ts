/** A seeded stream of numbers in [0, 1), so that a simulated instrument can be asked the same twice. */
export function seeded(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A number spread round 0 like slips of measurement: sum of twelve, standard deviation 1. */
export const spread = (next: () => number): number => Array.from({ length: 12 }, next).reduce((s, x) => s + x, 0) - 6;
