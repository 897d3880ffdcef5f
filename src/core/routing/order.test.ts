import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bestOrder, leastTour, treeLength } from "./order";

/** Every order tried: the oracle. */
function brute(d: number[][], closed: boolean): number {
  let best = Infinity;
  const go = (at: number, left: number[], sum: number): void => {
    if (!left.length) best = Math.min(best, sum + (closed ? d[at]![0]! : 0));
    for (const n of left)
      go(
        n,
        left.filter((x) => x !== n),
        sum + d[at]![n]!,
      );
  };
  go(0, d.map((_, i) => i).slice(1), 0);
  return best;
}

const places = (n: number, m = n) =>
  fc
    .array(fc.tuple(fc.integer({ min: 0, max: 900 }), fc.integer({ min: 0, max: 900 })), { minLength: n, maxLength: m })
    .map((ps) => ps.map((p) => ps.map((q) => Math.abs(p[0] - q[0]) + Math.abs(p[1] - q[1]))));

describe("order of points", () => {
  it("agrees with trying every order, open and closed", () => {
    fc.assert(
      fc.property(places(2, 7), fc.boolean(), (d, closed) => {
        expect(bestOrder(d, closed).length).toBeCloseTo(brute(d, closed), 6);
      }),
      { numRuns: 60 },
    );
  });
  it("above the exact size keeps every place once and never beats its bound", () => {
    fc.assert(
      fc.property(places(16, 24), fc.boolean(), (d, closed) => {
        const o = bestOrder(d, closed);
        expect([...o.order].sort((a, b) => a - b)).toEqual(d.map((_, i) => i));
        expect(o.bound).toBeLessThanOrEqual(o.length + 1e-6);
        expect(o.bound).toBeGreaterThanOrEqual(treeLength(d) - 1e-6);
      }),
      { numRuns: 20 },
    );
  });
  it("a least tour asked for again is the same, and one that differs in a single place is its own", () => {
    fc.assert(
      fc.property(places(9, 12), fc.nat(8), fc.integer({ min: 1, max: 4000 }), (d, at, by) => {
        const first = leastTour(d);
        const longer = d.map((row, i) => row.map((x, j) => (i !== j && (i === at || j === at) ? x + by : x)));
        // Each way to one place is longer by as much, there and back.
        expect(leastTour(longer).length).toBeCloseTo(first.length + 2 * by, 5);
        expect(leastTour(d.map((row) => [...row]))).toEqual(first);
      }),
      { numRuns: 20 },
    );
  });
  it("the least tour is as long as the best order, and its bound is not above it", () => {
    fc.assert(
      fc.property(places(9, 13), (d) => {
        const best = bestOrder(d, true).length;
        const { length, bound } = leastTour(d);
        expect(length).toBeCloseTo(best, 5);
        expect(bound).toBeLessThanOrEqual(best + 1e-9);
        expect(bound).toBeGreaterThan(best - 1e-5);
      }),
      { numRuns: 30 },
    );
  });
});
