import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { glands } from "../../rules/glands";
import { glandRow } from "./gland-row";
import { tailLength } from "./tails";

/** A gland of 40 across its corners, for a hole of 25. */
const gland = { ...glands[0]!, id: "G", acrossCorners: 40, hole: 25 };
const big = { ...gland, id: "H", acrossCorners: 60, hole: 32 };

describe("a row of glands", () => {
  it("two of 40 with 10 for the hand on 100: exactly, middles at 25 and 75", () => {
    expect(glandRow(100, [gland, gland], 10, 0)).toEqual({
      fits: true,
      slack: 0,
      facts: [],
      holes: [
        { x: 25, hole: 25, gland: "G", spare: false },
        { x: 75, hole: 25, gland: "G", spare: false },
      ],
    });
  });
  it("what is left is shared, and a spare repeats the last", () => {
    const r = glandRow(200, [gland, big], 10, 1);
    // Modules of 50, 70 and 70 leave 10 to share.
    expect(r.slack).toBe(10);
    expect(r.holes.map((h) => [Math.round(h.x * 10) / 10, h.hole, h.spare])).toEqual([
      [26.7, 25, false],
      [90, 32, false],
      [163.3, 32, true],
    ]);
    expect(glandRow(200, [], 10, 2).holes).toEqual([]);
  });
  it("not fitting, it says how wide it would be and how many would go in", () => {
    const told = (width: number, n: number, hand = 10, edge?: number) => {
      const r = glandRow(width, Array(n).fill(gland) as (typeof gland)[], hand, 0, edge);
      return r.fits ? "fits" : { ...r.facts[0]!.of, measured: r.facts[0]!.measured, limit: r.facts[0]!.limit };
    };
    expect(told(149.9, 3)).toEqual({ glands: 3, would: 2, measured: 150, limit: 149.9 });
    expect(told(150, 3)).toBe("fits");
    expect(told(49, 1)).toEqual({ glands: 1, would: 0, measured: 50, limit: 49 });
    // Side by side they fit, but the end ones come nearer the edge than 5: (40 + 8) / 2 − 20 is 4.
    expect(told(96, 2, 8)).toMatchObject({ glands: 2, would: 1, measured: 96 });
    expect(told(100, 2, 8)).toBe("fits");
    expect(told(96, 2, 8, 4)).toBe("fits");
    const unlike = glandRow(110, [gland, big], 5, 0);
    expect(unlike.facts[0]).toMatchObject({ subject: { id: "row" }, sense: "most", unit: "mm" });
  });
  it("keeps every gland's flats apart by the hand's room and 5 from the edges, whatever the row", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 600 }),
        fc.array(fc.constantFrom(gland, big), { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 0, max: 20 }),
        fc.integer({ min: 0, max: 2 }),
        (width, row, hand, spare) => {
          const r = glandRow(width, row, hand, spare);
          const all = [...row, ...(Array(spare).fill(row[row.length - 1]) as (typeof row)[number][])];
          if (!r.fits) {
            const would = r.facts[0]!.of!.would as number;
            expect(would).toBeLessThan(all.length);
            if (would > 0) expect(glandRow(width, all.slice(0, would), hand, 0).fits).toBe(true);
            return;
          }
          r.holes.forEach((h, i) => {
            const half = all[i]!.acrossCorners / 2;
            expect(h.x - half).toBeGreaterThanOrEqual(
              (i ? r.holes[i - 1]!.x + all[i - 1]!.acrossCorners / 2 + hand : 5) - 1e-6,
            );
            expect(h.x + half).toBeLessThanOrEqual(width - 5 + 1e-6);
          });
        },
      ),
    );
  });
});

describe("tails", () => {
  const box = { width: 140, height: 70 };
  it("across the box and past it: 60 from a side, 70 from above and below", () => {
    expect((["left", "right", "top", "bottom"] as const).map((e) => tailLength(box, e).length)).toEqual([
      200, 200, 140, 140,
    ]);
    expect(tailLength(box, "left", 50)).toEqual({ length: 190, facts: [] });
  });
  it("less than 50 past or more than 70 is told, with the limit that is passed", () => {
    const told = (past: number) =>
      tailLength(box, "top", past).facts.map((f) => [f.measured, f.limit, f.sense, f.unit]);
    expect([told(50), told(70)]).toEqual([[], []]);
    expect(told(49)).toEqual([[49, 50, "least", "mm"]]);
    expect(told(71)).toEqual([[71, 70, "most", "mm"]]);
  });
});
