import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { farthestFrom } from "./cover";
import { insidePolygon, rectOutline } from "./polygon";

const room = rectOutline(0, 0, 6000, 4000);
const far = (...from: [number, number][]): number =>
  farthestFrom(
    room,
    from.map(([x, y]) => ({ x, y })),
  ).far;

describe("the farthest place of a room", () => {
  it("from one in the middle is a corner: √(3² + 2²) m", () => {
    expect(far([3000, 2000])).toBeCloseTo(Math.hypot(3000, 2000), 9);
  });
  it("from two it may lie on a side half way between them", () => {
    // Both at the ends of the middle line: half way, on the long side.
    expect(far([0, 2000], [6000, 2000])).toBeCloseTo(Math.hypot(3000, 2000), 9);
    expect(
      farthestFrom(room, [
        { x: 0, y: 0 },
        { x: 6000, y: 0 },
      ]).at,
    ).toEqual({ x: 3000, y: 4000 });
  });
  it("from four in the corners it is the middle", () => {
    expect(far([0, 0], [6000, 0], [0, 4000], [6000, 4000])).toBeCloseTo(Math.hypot(3000, 2000), 9);
  });
  it("or a place with three equally near: 3 125 from two corners and the middle of the far side", () => {
    // (3 000, 875): √(3 000² + 875²) = 4 000 − 875.
    const three: [number, number][] = [
      [0, 0],
      [6000, 0],
      [3000, 4000],
    ];
    expect(far(...three, [0, 4000], [6000, 4000])).toBeCloseTo(3125, 6);
    expect(far([0, 4000], [6000, 4000], ...three)).toBeCloseTo(3125, 6);
  });
  it("is nowhere near without any", () => {
    expect(far()).toBe(Infinity);
  });
  it("is never nearer than any place looked at one by one, nor farther than the room allows", () => {
    const shape = [
      { x: 0, y: 0 },
      { x: 0, y: 4000 },
      { x: 2000, y: 4000 },
      { x: 2000, y: 2000 },
      { x: 6000, y: 2000 },
      { x: 6000, y: 0 },
    ];
    const spot = fc.record({ x: fc.integer({ min: 0, max: 6000 }), y: fc.integer({ min: 0, max: 4000 }) });
    fc.assert(
      fc.property(fc.array(spot, { minLength: 1, maxLength: 5 }), (from) => {
        const found = farthestFrom(shape, from).far;
        let seen = 0;
        for (let x = 0; x <= 6000; x += 250)
          for (let y = 0; y <= 4000; y += 250)
            if (insidePolygon(shape, { x, y }))
              seen = Math.max(seen, Math.min(...from.map((a) => Math.hypot(a.x - x, a.y - y))));
        expect(found).toBeGreaterThanOrEqual(seen - 1e-6);
        expect(found).toBeLessThanOrEqual(seen + 400);
      }),
      { numRuns: 60 },
    );
  });
});
