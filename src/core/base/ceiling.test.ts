import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Ceiling, ceilingAt, lowestTop, stretchUnder, topAt, topEdge } from "./ceiling";

/** A loft 5 000 wide (x) and 8 000 long (y): wall 0 is the west side, wall 1 the north gable, 2 the east side, 3 the south gable. */
const outline = [
  { x: 0, y: 0 },
  { x: 0, y: 8000 },
  { x: 5000, y: 8000 },
  { x: 5000, y: 0 },
];
const loft = (height: number, pitch = 45): Ceiling => ({
  outline,
  height,
  slopes: [
    { wall: 0, eaves: 300, pitch },
    { wall: 2, eaves: 300, pitch },
  ],
});

describe("sloping ceilings", () => {
  it("a gable rises to the collar, runs level, and falls again: worked by hand at 45 degrees", () => {
    // 300 at the eaves, 2 400 high from 2 100 off either side.
    expect(topEdge(loft(2400), 1)).toEqual(
      [
        { u: 0, v: 300 },
        { u: 2100, v: 2400 },
        { u: 2900, v: 2400 },
        { u: 5000, v: 300 },
      ].map((p) => ({ u: expect.closeTo(p.u, 6), v: expect.closeTo(p.v, 6) })),
    );
    expect(topEdge(loft(9000), 3)).toHaveLength(3);
    expect(ceilingAt(loft(9000), { x: 2500, y: 1 })).toBeCloseTo(2800, 6);
  });
  it("a side wall is as high as its eaves all along; a room without slopes is level", () => {
    expect(topEdge(loft(2400), 0).map((p) => p.v)).toEqual([expect.closeTo(300, 6), expect.closeTo(300, 6)]);
    expect(topEdge({ outline, height: 2400, slopes: [] }, 0)).toEqual([
      { u: 0, v: 2400 },
      { u: 8000, v: 2400 },
    ]);
  });
  it("heights between corners, the lowest of a stretch, and the stretch under a height", () => {
    const edge = topEdge(loft(2400), 1);
    expect(topAt(edge, 1050)).toBeCloseTo(1350, 6);
    expect(topAt(edge, -50)).toBeCloseTo(300, 6);
    expect(lowestTop(edge, 1000, 4500)).toBeCloseTo(800, 6);
    expect(lowestTop(edge, 2200, 2800)).toBeCloseTo(2400, 6);
    expect(stretchUnder(edge, 2500, 1300, 0, 5000)!.map(Math.round)).toEqual([1000, 4000]);
    expect(stretchUnder(edge, 100, 1300, 0, 5000)).toBeNull();
  });
  it("the edge of every wall is the ceiling over it, at every place, for any slopes", () => {
    const slope = fc.record({
      wall: fc.integer({ min: 0, max: 3 }),
      eaves: fc.integer({ min: 0, max: 2500 }),
      pitch: fc.integer({ min: 5, max: 70 }),
    });
    fc.assert(
      fc.property(
        fc.array(slope, { maxLength: 4 }),
        fc.integer({ min: 800, max: 4000 }),
        fc.integer({ min: 0, max: 3 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (slopes, height, wall, share) => {
          const c: Ceiling = { outline, height, slopes };
          const [a, b] = [outline[wall]!, outline[(wall + 1) % 4]!];
          const edge = topEdge(c, wall);
          const long = Math.hypot(b.x - a.x, b.y - a.y);
          const want = Math.max(0, ceilingAt(c, { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share }));
          expect(topAt(edge, share * long)).toBeCloseTo(want, 3);
        },
      ),
      { numRuns: 120 },
    );
  });
});
