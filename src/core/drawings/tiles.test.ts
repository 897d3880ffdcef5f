import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { OVERLAP, tilesOf } from "./tiles";

describe("a drawing over several sheets", () => {
  it("is one sheet where it fits", () => expect(tilesOf(190, 265, [190, 265])).toHaveLength(1));
  it("a fold of 100 × 100 takes four sheets of A4, two by two", () =>
    expect(tilesOf(316, 336, [190, 265]).map((t) => [t.row, t.column])).toEqual([
      [1, 1],
      [1, 2],
      [2, 1],
      [2, 2],
    ]));
  it("property: every place is on a sheet, none is larger than the paper, neighbours overlap by just so much", () => {
    const side = fc.double({ min: 10, max: 2000, noNaN: true });
    fc.assert(
      fc.property(side, side, (w, h) => {
        const tiles = tilesOf(w, h, [190, 265]);
        for (const t of tiles) {
          expect(t.x1 - t.x0).toBeLessThanOrEqual(190 + 1e-6);
          expect(t.y1 - t.y0).toBeLessThanOrEqual(265 + 1e-6);
        }
        expect(Math.max(...tiles.map((t) => t.x1))).toBeCloseTo(w, 6);
        expect(Math.max(...tiles.map((t) => t.y1))).toBeCloseTo(h, 6);
        const [a, b] = [tiles[0]!, tiles[1]!];
        if (b && b.row === 1) expect(a.x1 - b.x0).toBeCloseTo(OVERLAP, 6);
      }),
    );
  });
});
