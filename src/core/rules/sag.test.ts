import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cableOf } from "./catalogue";
import { massOf } from "./masses";
import { type Span, arcOf, heightAt, lowestOf, mostPull, sagOf, weightOf } from "./sag";

const level: Span = { length: 10_000, from: 4000, to: 4000, weight: 10.791, tension: 500 };
const spans = fc.record({
  length: fc.double({ min: 1000, max: 40_000, noNaN: true }),
  from: fc.double({ min: 3000, max: 6000, noNaN: true }),
  to: fc.double({ min: 3000, max: 6000, noNaN: true }),
  weight: fc.double({ min: 1, max: 30, noNaN: true }),
  tension: fc.double({ min: 100, max: 5000, noNaN: true }),
});

describe("a wire between two supports", () => {
  it("sags by w·L²/(8·T): 1.1 kg a metre over 10 m at 500 N dips 270 mm", () => {
    // 1.0 of cable and 0.1 of wire: 10.791 N/m × 10² / (8 × 500) = 0.2698 m.
    expect(weightOf(1.0, 0.1)).toBeCloseTo(10.791, 9);
    expect(sagOf(level)).toBeCloseTo(269.775, 6);
    expect(heightAt(level, 5000)).toBeCloseTo(4000 - 269.775, 6);
    expect(lowestOf(level)).toEqual({ at: 5000, height: expect.closeTo(3730.225, 6) as number });
  });
  it("between supports of two heights lies lowest nearer the lower one; very unlike, at it", () => {
    // z = 4000 + 0.03x − 4·270·t(1−t): level where t = ½ − 300/(8 × 269.775) = 0.361.
    const s = { ...level, to: 4300 };
    expect(lowestOf(s).at).toBeCloseTo(3609.9, 0);
    expect(lowestOf({ ...level, to: 6000 })).toEqual({ at: 0, height: 4000 });
    expect(lowestOf({ ...level, from: 6000 }).at).toBe(10_000);
    expect(lowestOf(level, 0, 2000)).toEqual({ at: 2000, height: heightAt(level, 2000) });
  });
  it("is nowhere lower than its lowest place", () => {
    fc.assert(
      fc.property(spans, fc.double({ min: 0, max: 1, noNaN: true }), (s, t) => {
        expect(heightAt(s, t * s.length)).toBeGreaterThanOrEqual(lowestOf(s).height - 1e-6);
      }),
    );
  });
  it("is as long as its parabola walked in small steps, and a little longer than the straight line", () => {
    fc.assert(
      fc.property(spans, (s) => {
        let sum = 0;
        const n = 2000;
        for (let i = 1; i <= n; i++)
          sum += Math.hypot(s.length / n, heightAt(s, (s.length * i) / n) - heightAt(s, (s.length * (i - 1)) / n));
        expect(arcOf(s)).toBeCloseTo(sum, 1);
        expect(arcOf(s)).toBeGreaterThanOrEqual(Math.hypot(s.length, s.to - s.from) - 1e-6);
      }),
      { numRuns: 40 },
    );
    // The known first terms: L + 8s²/(3L).
    expect(arcOf(level)).toBeCloseTo(10_000 + (8 * 269.775 ** 2) / 30_000, 0);
    expect(arcOf({ ...level, weight: 0 })).toBe(10_000);
  });
  it("pulls most at the higher support: √(T² + (wL/2)²) where both are level", () => {
    expect(mostPull(level)).toBeCloseTo(Math.hypot(500, (10.791 * 10) / 2), 6);
    expect(mostPull({ ...level, to: 5000 })).toBeGreaterThan(mostPull(level));
  });
});

it("armour weighs by its table, other numbers of cores as their section to it; sheathed cable is in no table", () => {
  expect(massOf(cableOf("swa-3x10")!)).toBeCloseTo(1.0, 9);
  expect(massOf(cableOf("swa-3x4")!)).toBeCloseTo(0.55, 9);
  expect(massOf(cableOf("swa-2x10")!)).toBeCloseTo((18 / 19.5) ** 2, 9);
  expect(massOf(cableOf("te-2.5")!)).toBeNull();
});
