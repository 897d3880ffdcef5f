import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { packSchema } from "../job/supplies";
import { cutStock } from "./cut-stock";
import { cheapest, cheapestLengths } from "./packs";

const pack = (id: string, holds: number, price: number | null) =>
  packSchema.parse({ id, item: "Clip", size: "2.5", holds, price });
const counts = (b: ReturnType<typeof cheapest>): Record<string, number> =>
  Object.fromEntries(b!.packs.map((p) => [p.pack.id, p.count]));

describe("the cheapest packs", () => {
  const clips = [pack("hundred", 100, 400), pack("twenty", 20, 120), pack("one", 1, 10)];
  it.each([
    [0, {}, 0],
    [100, { hundred: 1 }, 400],
    [61, { twenty: 3, one: 1 }, 370],
    // Four of twenty cost more than one of a hundred.
    [78, { hundred: 1 }, 400],
    [45, { twenty: 2, one: 5 }, 290],
    [121, { hundred: 1, twenty: 1, one: 1 }, 530],
  ])("for %d", (need, want, price) => {
    const b = cheapest(need, clips)!;
    expect(counts(b)).toEqual(want);
    expect(b).toMatchObject({ price, proven: true });
  });
  it("leave out what has no price where others have one, and take the fewest where none has", () => {
    expect(counts(cheapest(30, [pack("a", 30, null), pack("b", 20, 50)]))).toEqual({ b: 2 });
    const b = cheapest(130, [pack("a", 100, null), pack("b", 20, null)])!;
    expect(b.price).toBeNull();
    expect(counts(b)).toEqual({ a: 2 });
    expect(cheapest(5, [])).toBeNull();
  });
  it.each([
    ["dear", 60, 30, 500],
    // Where all choices cost nearly the same the search may leave none of them out.
    ["nearly alike", 40, 7, 12],
  ])(
    "are never dearer than any other choice that holds enough, %s (property, by all choices)",
    (_, most, holds, price) => {
      fc.assert(
        fc.property(
          fc.integer({ min: 1, max: most }),
          fc.array(
            fc.record({ holds: fc.integer({ min: 1, max: holds }), price: fc.integer({ min: 1, max: price }) }),
            {
              minLength: 1,
              maxLength: 3,
            },
          ),
          (need, list) => {
            const packs = list.map((p, i) => pack(`p${i}`, p.holds, p.price));
            /** Least price that holds at least so much, by counting up. */
            const least = [0];
            for (let n = 1; n <= need; n++)
              least[n] = Math.min(...packs.map((p) => p.price! + least[Math.max(0, n - p.holds)]!));
            const b = cheapest(need, packs)!;
            expect(b.holds).toBeGreaterThanOrEqual(need);
            expect(b.proven).toBe(true);
            expect(b.price).toBe(least[need]);
          },
        ),
      );
    },
  );
});

describe("the cheapest lengths", () => {
  const drums = [pack("long", 100, 6000), pack("short", 50, 3500), pack("coil", 25, 2000)];
  it("are such that every piece can be cut, not only metres in all", () => {
    // 60 m in all, and no two of 20 m out of one of 25.
    const pieces = [1, 2, 3].map((n) => ({ id: `p${n}`, length: 20_000 }));
    const b = cheapestLengths(pieces, [pack("coil", 25, 1000), pack("short", 50, 3500)])!;
    expect(counts(b)).toEqual({ coil: 3 });
    expect(counts(cheapestLengths(pieces, drums))).toEqual({ short: 1, coil: 1 });
  });
  it("are none where a piece is longer than the longest", () => {
    expect(cheapestLengths([{ id: "a", length: 101_000 }], drums)).toBeNull();
    expect(cheapestLengths([], drums)).toMatchObject({ packs: [], price: 0 });
  });
  it("always give every piece its length (property)", () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 500, max: 50_000 }), { minLength: 1, maxLength: 8 }), (lengths) => {
        const pieces = lengths.map((length, i) => ({ id: `p${i}`, length }));
        const b = cheapestLengths(pieces, drums)!;
        const stock = b.packs.flatMap(({ pack: p, count }) =>
          Array.from({ length: count }, (_, k) => ({ id: `${p.id}${k}`, length: p.holds * 1000 })),
        );
        expect(cutStock(pieces, stock).unmet).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });
});
