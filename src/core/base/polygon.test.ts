import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readNumber } from "./numbers";
import {
  type XY,
  bounds,
  distanceToOutline,
  insidePolygon,
  isClockwise,
  segmentsMeet,
  selfCrossing,
  signedArea,
  spansAlong,
} from "./polygon";

const at = (text: string): XY[] =>
  text
    .trim()
    .split(/\s+/)
    .map((p) => {
      const [x, y] = p.split(",").map(Number);
      return { x: x!, y: y! };
    });
/** 4 000 × 3 000, clockwise seen from above. */
const room = at("0,0 0,3000 4000,3000 4000,0");
/** An L: the north-east quarter is missing. */
const ell = at("0,0 0,3000 2000,3000 2000,1500 4000,1500 4000,0");

describe("outlines", () => {
  it("have an area with a sign: negative clockwise", () => {
    expect(signedArea(room)).toBe(-12_000_000);
    expect(signedArea([...room].reverse())).toBe(12_000_000);
    expect(signedArea(ell)).toBe(-9_000_000);
    expect(isClockwise(room)).toBe(true);
    expect(isClockwise([...room].reverse())).toBe(false);
  });
  it.each([
    ["a plain room", room, null],
    ["an L", ell, null],
    ["a bow tie", at("0,0 4000,3000 4000,0 0,3000"), [0, 2]],
    ["a side that folds back over the one before", at("0,0 0,3000 0,1000 4000,1000"), [0, 1]],
    ["the last side folding back over the first", at("0,0 0,3000 4000,3000 0,500"), [0, 2]],
    ["a corner that touches another side", at("0,0 0,3000 4000,3000 2000,0 4000,0"), [2, 4]],
    ["a triangle", at("0,0 0,3000 4000,0"), null],
    ["three corners in one line", at("0,0 0,3000 0,1000"), [0, 1]],
  ] as const)("%s", (_, outline, want) => {
    // The two walls that are in each other's way are named.
    expect(selfCrossing(outline)).toEqual(want);
  });
  it("hold what lies inside or on them, and nothing beyond", () => {
    for (const [p, want] of [
      ["2000,1500", true],
      ["0,0", true],
      ["0,1500", true],
      ["4000,3000", true],
      ["-1,1500", false],
      ["4001,1500", false],
      ["2000,3001", false],
    ] as const)
      expect(insidePolygon(room, at(p)[0]!)).toBe(want);
    expect(insidePolygon(ell, { x: 3000, y: 2000 })).toBe(false);
    expect(insidePolygon(ell, { x: 3000, y: 1500 })).toBe(true);
    expect(insidePolygon(ell, { x: 1000, y: 2900 })).toBe(true);
  });
  it("are as far away as their nearest side, ends included: not the line through it", () => {
    expect(distanceToOutline(room, { x: 2000, y: 1000 })).toBe(1000);
    expect(distanceToOutline(room, { x: 4300, y: 3400 })).toBe(500);
    expect(distanceToOutline(room, { x: -300, y: -400 })).toBe(500);
    expect(distanceToOutline(room, { x: 0, y: 777 })).toBe(0);
    expect(distanceToOutline([{ x: 5, y: 5 }], { x: 8, y: 9 })).toBe(5);
  });
  it("are cut by a level or plumb line into stretches from edge to edge", () => {
    expect(spansAlong(room, "x", 1500)).toEqual([[0, 4000]]);
    expect(spansAlong(room, "y", 4000.5)).toEqual([]);
    expect(spansAlong(ell, "x", 2000)).toEqual([[0, 2000]]);
    expect(spansAlong(ell, "y", 3000)).toEqual([[0, 1500]]);
    const u = at("0,0 0,3000 1000,3000 1000,1000 3000,1000 3000,3000 4000,3000 4000,0");
    expect(spansAlong(u, "x", 2000)).toEqual([
      [0, 1000],
      [3000, 4000],
    ]);
  });
  it("lie in a box", () => expect(bounds(ell)).toEqual({ x0: 0, y0: 0, x1: 4000, y1: 3000 }));
  it("property: turned about and moved they keep their area, and no place of them is far from them", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -5000, max: 5000 }),
        fc.integer({ min: -5000, max: 5000 }),
        fc.nat(5),
        (dx, dy, i) => {
          const moved = ell.map((p) => ({ x: p.x + dx, y: p.y + dy }));
          const turned = [...moved.slice(i), ...moved.slice(0, i)];
          expect(signedArea(turned)).toBeCloseTo(signedArea(ell), 3);
          expect(selfCrossing(turned)).toBeNull();
          for (const [k, a] of turned.entries()) {
            const b = turned[(k + 1) % turned.length]!;
            const mid = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
            expect(distanceToOutline(turned, mid)).toBeLessThan(1e-6);
            expect(insidePolygon(turned, mid)).toBe(true);
          }
        },
      ),
    );
  });
});

describe("two stretches", () => {
  const seg = (text: string): [XY, XY] => at(text) as [XY, XY];
  it.each([
    ["cross", "0,0 10,10", "0,10 10,0", true],
    ["end on the other", "0,0 10,0", "5,0 5,9", true],
    ["share an end", "0,0 10,0", "10,0 20,5", true],
    ["lie in line and overlap", "0,0 10,0", "5,0 15,0", true],
    ["lie in line apart", "0,0 10,0", "11,0 15,0", false],
    ["run side by side", "0,0 10,0", "0,1 10,1", false],
    ["would cross if longer", "0,0 10,10", "20,0 12,8", false],
    ["are one place", "5,5 5,5", "0,0 10,10", true],
  ] as const)("that %s", (_, a, b, want) => {
    expect(segmentsMeet(...seg(a), ...seg(b))).toBe(want);
    expect(segmentsMeet(...seg(b), ...seg(a))).toBe(want);
  });
});

describe("a number typed with its unit comes back in the field's own", () => {
  it("property: metres, centimetres and millimetres of one length agree", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 90_000 }), (n) => {
        const read = (t: string): number => {
          const r = readNumber(t, "mm");
          return r.ok ? r.value : NaN;
        };
        expect(read(`${n} mm`)).toBe(n);
        expect(read(`${n / 10} cm`)).toBeCloseTo(n, 6);
        expect(read(`${n / 1000} m`)).toBeCloseTo(n, 6);
      }),
    );
  });
});
