import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { intersect, subtract, union } from "./interval";
import { insidePolygon, isClockwise, selfCrossing, spansAlong } from "./polygon";
import { crosses } from "./rect";
import { toFace, toSpace, wallFrame } from "./wall-frame";

const room = [
  { x: 0, y: 0 },
  { x: 0, y: 3000 },
  { x: 4000, y: 3000 },
  { x: 4000, y: 0 },
];

describe("intervals", () => {
  it("joins touching stretches and cuts holes out", () => {
    expect(
      union([
        [5, 8],
        [0, 5],
        [10, 12],
      ]),
    ).toEqual([
      [0, 8],
      [10, 12],
    ]);
    expect(
      subtract(
        [0, 10],
        [
          [-2, 1],
          [4, 5],
          [9, 20],
        ],
      ),
    ).toEqual([
      [1, 4],
      [5, 9],
    ]);
    expect(intersect([0, 5], [5, 9])).toEqual([5, 5]);
    expect(intersect([0, 5], [6, 9])).toBeNull();
  });
  it("property: what is cut and what is left make the whole", () => {
    const stretch = fc
      .tuple(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 1, max: 30 }))
      .map(([a, w]) => [a, a + w] as const);
    fc.assert(
      fc.property(fc.array(stretch, { maxLength: 6 }), (cuts) => {
        const sum = (l: readonly (readonly [number, number])[]): number => l.reduce((s, [a, b]) => s + b - a, 0);
        const inside = union(cuts)
          .map((c) => intersect(c, [0, 130]))
          .filter((c) => c !== null);
        expect(sum(subtract([0, 130], cuts)) + sum(inside)).toBeCloseTo(130, 6);
      }),
    );
  });
});

describe("outlines", () => {
  it("tells clockwise, crossing and folded outlines", () => {
    expect(isClockwise(room)).toBe(true);
    expect(selfCrossing(room)).toBeNull();
    expect(
      selfCrossing([
        { x: 0, y: 0 },
        { x: 4, y: 4 },
        { x: 4, y: 0 },
        { x: 0, y: 4 },
      ]),
    ).not.toBeNull();
    expect(
      selfCrossing([
        { x: 0, y: 0 },
        { x: 4, y: 0 },
        { x: 2, y: 0 },
        { x: 2, y: 3 },
      ]),
    ).not.toBeNull();
  });
  it("counts the edge as inside and finds the spans of an L", () => {
    expect(insidePolygon(room, { x: 0, y: 1500 })).toBe(true);
    expect(insidePolygon(room, { x: -1, y: 1500 })).toBe(false);
    const l = [
      { x: 0, y: 0 },
      { x: 0, y: 4 },
      { x: 2, y: 4 },
      { x: 2, y: 2 },
      { x: 5, y: 2 },
      { x: 5, y: 0 },
    ];
    expect(spansAlong(l, "x", 3)).toEqual([[0, 2]]);
    expect(spansAlong(l, "x", 1)).toEqual([[0, 5]]);
  });
  it("does not count touching an opening's edge as crossing it", () => {
    const r = { u0: 10, v0: 0, u1: 20, v1: 20 };
    expect(crosses(r, { u: 10, v: -5 }, { u: 10, v: 25 })).toBe(false);
    expect(crosses(r, { u: 10.1, v: -5 }, { u: 10.1, v: 25 })).toBe(true);
    // At a slope: over a corner, past it, and right through it.
    const [u, v] = [r.u1, r.v1];
    expect(crosses(r, { u: u - 3, v: v + 1 }, { u: u + 1, v: v - 3 })).toBe(true);
    expect(crosses(r, { u: u - 1, v: v + 3 }, { u: u + 3, v: v - 1 })).toBe(false);
    expect(crosses(r, { u: u - 2, v: v + 2 }, { u: u + 2, v: v - 2 })).toBe(false);
    expect(crosses(r, { u: r.u0 - 1, v: r.v0 - 1 }, { u: u + 1, v: v + 1 })).toBe(true);
  });
});

describe("a wall in space", () => {
  it("runs left to right seen from the room, with the room in front", () => {
    const west = wallFrame(room, 0, 0);
    expect(west).toMatchObject({ length: 3000, along: { x: 0, y: 1 }, inward: { x: 1 } });
    expect(toSpace(west, { u: 500, v: 1200 })).toEqual([0, 500, 1200]);
  });
  it("property: face → space → face comes back to the millimetre, whatever the angle", () => {
    const n = fc.double({ min: -20_000, max: 20_000, noNaN: true });
    fc.assert(
      fc.property(
        n,
        n,
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        fc.double({ min: 0, max: 9000, noNaN: true }),
        fc.double({ min: 0, max: 3000, noNaN: true }),
        n,
        (x, y, turn, u, v, into) => {
          const f = wallFrame(
            [
              { x, y },
              { x: x + 5000 * Math.cos(turn), y: y + 5000 * Math.sin(turn) },
              { x: x + 1, y: y - 9 },
            ],
            0,
            240,
          );
          const back = toFace(f, toSpace(f, { u, v }, into));
          expect(back.u).toBeCloseTo(u, 6);
          expect(back.v).toBeCloseTo(v, 6);
          expect(back.into).toBeCloseTo(into, 6);
        },
      ),
    );
  });
});
