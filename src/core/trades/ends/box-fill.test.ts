import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { conductorDiameter, doubled } from "../../rules/conductors";
import { type Tail, boxRoom } from "./box-fill";

/** Tails of so many 2.5 mm² cables in a box: three conductors of each, and the earth tail of the box. */
const tails = (cables: number, length: number): Tail[] =>
  Array.from({ length: 3 * cables + 1 }, () => ({ diameter: 3.4, length }));
const two = (depth: number) => ({ width: 130, height: 70, depth });

describe("room in a box", () => {
  it("a 2-gang box of 25 closes on two 2.5 cables: one layer of 47.6 on 60", () => {
    const r = boxRoom(two(25), 18, tails(2, 180), 0);
    // 180 less 30 folds twice on 120; 7 × 2 × 3.4 is 47.6.
    expect(r).toMatchObject({ layers: 1, closes: true, takes: 25, has: 25 });
    expect(r.needs).toBeCloseTo(18 + 3.4 + 2, 9);
  });
  it("and not on three: 68 takes two layers, 26.8 in all; the next depth does", () => {
    const r = boxRoom(two(25), 18, tails(3, 180), 0);
    expect(r.needs).toBeCloseTo(26.8, 9);
    expect(r).toMatchObject({ layers: 2, closes: false, takes: 35 });
    expect(boxRoom(two(35), 18, tails(3, 180), 0).closes).toBe(true);
  });
  it("a short conductor is still folded once: 100 long it takes as much as 180", () => {
    expect(boxRoom(two(25), 18, tails(3, 100), 0)).toEqual(boxRoom(two(25), 18, tails(3, 180), 0));
  });
  it("exactly as deep as needed closes; a hair less does not", () => {
    expect(boxRoom(two(26.8), 18, tails(3, 180), 0).closes).toBe(true);
    expect(boxRoom(two(26.7), 18, tails(3, 180), 0).closes).toBe(false);
  });
  it("connectors take rows of 8.5, three side by side on 60", () => {
    const parts = (connectors: number) => boxRoom(two(35), 12, [], connectors).parts.connectors;
    expect([0, 1, 3, 4, 6, 7].map(parts)).toEqual([0, 8.5, 8.5, 17, 17, 25.5]);
  });
  it("nothing sold is deep enough for a deep accessory over a heap of conductors", () => {
    expect(boxRoom(two(47), 40, tails(4, 200), 0).takes).toBeNull();
  });
  it("more or thicker or longer conductors never need less", () => {
    const tail = fc.record({ diameter: fc.constantFrom(2.6, 3.4, 6.1), length: fc.integer({ min: 50, max: 300 }) });
    fc.assert(
      fc.property(fc.array(tail, { maxLength: 14 }), tail, fc.integer({ min: 0, max: 12 }), (some, more, joined) => {
        const before = boxRoom(two(35), 18, some, joined);
        const after = boxRoom(two(35), 18, [...some, more], joined);
        expect(after.needs).toBeGreaterThanOrEqual(before.needs - 1e-9);
        expect(before.closes).toBe(before.needs <= 35 + 1e-6);
      }),
    );
  });
  it("conductors by section, the next larger where it is between; doubled over, one less than twice", () => {
    expect([1, 2, 2.5, 10, 70].map(conductorDiameter)).toEqual([2.6, 3.4, 3.4, 6.1, 8.9]);
    expect(doubled(10)).toBe(19);
  });
});
