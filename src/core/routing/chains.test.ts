import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { shortestChains } from "./chains";

/** Every order of the places, for judging by trying all. */
const orders = (xs: number[]): number[][] =>
  xs.length ? xs.flatMap((x) => orders(xs.filter((y) => y !== x)).map((rest) => [x, ...rest])) : [[]];
const lengthOf = (d: number[][], chain: readonly number[]): number =>
  chain.slice(1).reduce((sum, p, i) => sum + d[chain[i]!]![p]!, 0);

describe("shortest chains over every subset", () => {
  it("property: as short as the best of all orders, each place once, though a detour through a place be shorter", () => {
    const matrix = fc.integer({ min: 2, max: 5 }).chain((n) =>
      fc.array(fc.array(fc.integer({ min: 1, max: 1000 }), { minLength: n, maxLength: n }), {
        minLength: n,
        maxLength: n,
      }),
    );
    fc.assert(
      fc.property(matrix, (d) => {
        const { m, full, best, chain } = shortestChains(d);
        for (let set = 1; set <= full; set++) {
          const places = Array.from({ length: m }, (_, i) => i + 1).filter((p) => set & (1 << (p - 1)));
          for (const last of places) {
            const all = orders(places.filter((p) => p !== last)).map((o) => [0, ...o, last]);
            const at = best[set * m + last - 1]!;
            expect(at).toBe(Math.min(...all.map((o) => lengthOf(d, o))));
            const found = chain(set, last - 1);
            expect([...found].sort()).toEqual([0, ...places]);
            expect(lengthOf(d, found)).toBe(at);
          }
        }
      }),
      { numRuns: 60 },
    );
  });
});
