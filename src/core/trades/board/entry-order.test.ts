import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { crossings, entryOrder } from "./entry-order";

describe("the order into the board", () => {
  const circuits = [
    { id: "lights", rating: 6, arrival: 0 },
    { id: "ring", rating: 32, arrival: 1 },
    { id: "cooker", rating: 40, arrival: 2 },
  ];
  it("by hand: cooker, ring, lights from the main switch; arriving the other way round every pair crosses: 3", () =>
    expect(entryOrder(circuits, [])).toEqual({
      order: ["cooker", "ring", "lights"],
      crossings: 3,
      arrivalOrder: ["cooker", "ring", "lights"],
    }));
  it("keeps fixed circuits in their ways and leaves gaps empty", () =>
    expect(entryOrder(circuits, [{ id: "lights", way: 5 }])).toMatchObject({
      order: ["cooker", "ring", null, null, "lights"],
    }));
  it("equal ratings go in as they arrive, and those arriving together by their name", () => {
    const same = [
      { id: "b", rating: 20, arrival: 2 },
      { id: "d", rating: 20, arrival: 1 },
      { id: "c", rating: 20, arrival: 1 },
    ];
    expect(entryOrder(same, [])).toEqual({ order: ["c", "d", "b"], crossings: 0, arrivalOrder: ["c", "d", "b"] });
    expect(entryOrder([...same].reverse(), [])).toMatchObject({ order: ["c", "d", "b"] });
  });
  it("fills the first free ways round those that are fixed, and counts what crosses them", () => {
    const o = entryOrder(circuits, [
      { id: "ring", way: 1 },
      { id: "lights", way: 3 },
    ]);
    expect(o).toEqual({
      order: ["ring", "cooker", "lights"],
      // Arriving lights, ring, cooker: lights cross both.
      crossings: 2,
      arrivalOrder: ["ring", "cooker", "lights"],
    });
    expect(entryOrder([], [])).toEqual({ order: [], crossings: 0, arrivalOrder: [] });
  });
  it("what is in one order only crosses nothing", () =>
    expect([crossings(["a", "b"], ["b"]), crossings(["a", "b"], ["b", "a"]), crossings([], ["a"])]).toEqual([0, 1, 0]));
  it("arriving as it says, none crosses; and crossings are those of a brute count", () =>
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 99 }), { minLength: 1, maxLength: 8 }), (ratings) => {
        const cs = ratings.map((rating, i) => ({ id: `c${i}`, rating, arrival: i }));
        const o = entryOrder(cs, []);
        const again = entryOrder(
          cs.map((c) => ({ ...c, arrival: o.arrivalOrder.indexOf(c.id) })),
          [],
        );
        expect(again.crossings).toBe(0);
        expect(crossings([...o.arrivalOrder].reverse(), o.arrivalOrder)).toBe((cs.length * (cs.length - 1)) / 2);
        expect(o.order.map((id) => cs.find((c) => c.id === id)!.rating)).toEqual([...ratings].sort((a, b) => b - a));
      }),
    ));
});
