import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { house } from "../../../core/book/limits/by-hand.fixture";
import { layHouse } from "../../../core/house/house";
import { sectionsOf } from "../../../core/house/sections";
import { stripOf } from "../../../core/house/unrolled";
import { checkInvariants } from "../../../core/job/invariants";
import { pathBeside, stretchMeasures, withEndAt, withStretchAt } from "../../../core/job/move-section";
import { type Section, sectionSchema } from "../../../core/job/model";
import { type Draft, pathOf, placeAtLength, placeFor, snapsOf, withPlace } from "./draw-section";

// A room of 3 000 and 4 000: its walls unrolled are 14 000 long, with corners at 3 000, 7 000 and 10 000. The board stands on the last.
const walls = stripOf(layHouse(house()), "r").walls;
const none = { xs: [], vs: [] };
const drawn = (draft: Draft): Section =>
  sectionSchema.parse({ id: "s", label: "T1", kind: "trunking-plastic", size: "50x50", path: pathOf(walls, draft) });

describe("drawing a section on the unrolled walls", () => {
  it("begins anywhere to the centimetre, with Alt to the millimetre, and never off the walls", () => {
    expect(placeFor(walls, [], { x: 1234, v: 777 }, none, 20)).toEqual({ x: 1230, v: 780 });
    expect(placeFor(walls, [], { x: 1234, v: 777 }, none, 20, true)).toEqual({ x: 1234, v: 777 });
    expect(placeFor(walls, [], { x: 99_999, v: -50 }, none, 20)).toEqual({ x: 14_000, v: 0 });
  });
  it("goes on level or plumb, whichever way the hand has gone farther, and snaps to points and corners", () => {
    const from: Draft = [{ x: 1000, v: 500 }];
    expect(placeFor(walls, from, { x: 2000, v: 900 }, none, 20)).toEqual({ x: 2000, v: 500 });
    expect(placeFor(walls, from, { x: 1300, v: 900 }, none, 20)).toEqual({ x: 1000, v: 900 });
    const snaps = snapsOf(walls);
    // The board stands 2 000 along the last wall, 1 400 up.
    expect(placeFor(walls, [], { x: 12_006, v: 1393 }, snaps, 20)).toEqual({ x: 12_000, v: 1400 });
    expect(placeFor(walls, from, { x: 2988, v: 500 }, snaps, 20)).toEqual({ x: 3000, v: 500 });
  });
  it("takes a typed length the way the hand points, and none that leads off the walls", () => {
    const from: Draft = [{ x: 1000, v: 500 }];
    expect(placeAtLength(walls, from, { x: 1001, v: 500 }, 1234.5)).toEqual({ x: 2234.5, v: 500 });
    expect(placeAtLength(walls, from, { x: 1000, v: 400 }, 300)).toEqual({ x: 1000, v: 200 });
    expect(placeAtLength(walls, from, { x: 1000, v: 400 }, 600)).toBeNull();
    expect(placeAtLength(walls, from, { x: 1000, v: 500 }, 600)).toBeNull();
    expect(placeAtLength(walls, [], { x: 1000, v: 500 }, 600)).toBeNull();
  });
  it("a place on the same way makes the stretch longer; the same place again adds none", () => {
    const a: Draft = withPlace([{ x: 0, v: 0 }], { x: 100, v: 0 });
    expect(withPlace(a, { x: 300, v: 0 })).toEqual([
      { x: 0, v: 0 },
      { x: 300, v: 0 },
    ]);
    expect(withPlace(a, { x: 100, v: 0 })).toEqual(a);
    // Back the way it came is a place of its own.
    expect(withPlace(a, { x: 50, v: 0 })).toHaveLength(3);
  });
  it("goes round corners: each stands in the path on both walls", () => {
    expect(
      pathOf(walls, [
        { x: 2000, v: 700 },
        { x: 8000, v: 700 },
      ]),
    ).toEqual([
      { on: "wall", wall: "w0", u: 2000, v: 700 },
      { on: "wall", wall: "w0", u: 3000, v: 700 },
      { on: "wall", wall: "w1", u: 0, v: 700 },
      { on: "wall", wall: "w1", u: 4000, v: 700 },
      { on: "wall", wall: "w2", u: 0, v: 700 },
      { on: "wall", wall: "w2", u: 1000, v: 700 },
    ]);
    // From right to left, and begun right in a corner.
    expect(
      pathOf(walls, [
        { x: 3000, v: 700 },
        { x: 2000, v: 700 },
      ]),
    ).toEqual([
      { on: "wall", wall: "w0", u: 3000, v: 700 },
      { on: "wall", wall: "w0", u: 2000, v: 700 },
    ]);
  });
  it("property: whatever is drawn is a section that the job takes, as long as the hand has drawn it", () => {
    const hand = fc.array(fc.record({ x: fc.integer({ min: 0, max: 14_000 }), v: fc.integer({ min: 0, max: 2400 }) }), {
      minLength: 2,
      maxLength: 6,
    });
    fc.assert(
      fc.property(hand, (presses) => {
        let draft: Draft = [];
        for (const p of presses) draft = withPlace(draft, placeFor(walls, draft, p, snapsOf(walls), 20));
        const length = draft.reduce(
          (s, p, i) => s + (i ? Math.abs(p.x - draft[i - 1]!.x) + Math.abs(p.v - draft[i - 1]!.v) : 0),
          0,
        );
        fc.pre(draft.length > 1 && length >= 10);
        const job = house({ sections: [drawn(draft)] });
        expect(checkInvariants(job)).toEqual([]);
        expect(sectionsOf(layHouse(job))[0]!.length).toBeCloseTo(length, 3);
      }),
    );
  });
});

describe("moving a section", () => {
  const s = drawn([
    { x: 1000, v: 300 },
    { x: 1000, v: 700 },
    { x: 8000, v: 700 },
    { x: 8000, v: 1200 },
  ]);
  const takes = (path: Section["path"]): boolean => checkInvariants(house({ sections: [{ ...s, path }] })).length === 0;
  it("names its stretches wall by wall", () => {
    expect(stretchMeasures(s).map((m) => [m.wall, m.measure, m.value, m.from, m.end])).toEqual([
      ["w0", "u", 1000, 300, 700],
      ["w0", "v", 700, 1000, 3000],
      ["w1", "v", 700, 0, 4000],
      ["w2", "v", 700, 0, 1000],
      ["w2", "u", 1000, 700, 1200],
    ]);
  });
  it("a level stretch takes along what is level round the corners, and what adjoins it grows", () => {
    const path = withStretchAt(s, stretchMeasures(s)[2]!.to, 900);
    expect(takes(path)).toBe(true);
    expect(stretchMeasures({ path }).map((m) => [m.value, m.from, m.end])).toEqual([
      [1000, 300, 900],
      [900, 1000, 3000],
      [900, 0, 4000],
      [900, 0, 1000],
      [1000, 900, 1200],
    ]);
  });
  it("a plumb one moves along its wall", () => {
    const path = withStretchAt(s, stretchMeasures(s)[4]!.to, 400);
    expect(takes(path)).toBe(true);
    expect(
      stretchMeasures({ path })
        .slice(3)
        .map((m) => [m.value, m.from, m.end]),
    ).toEqual([
      [700, 0, 400],
      [400, 700, 1200],
    ]);
  });
  it("its ends move along themselves", () => {
    expect(stretchMeasures({ path: withEndAt(s, "first", 100) })[0]).toMatchObject({
      value: 1000,
      from: 100,
      end: 700,
    });
    expect(stretchMeasures({ path: withEndAt(s, "last", 2000) })[4]).toMatchObject({
      value: 1000,
      from: 700,
      end: 2000,
    });
  });
  it("a second one beside it keeps its corners in the corners of the room", () => {
    const path = pathBeside(s, 60);
    expect(takes(path)).toBe(true);
    expect(stretchMeasures({ path }).map((m) => m.value)).toEqual([1060, 760, 760, 760, 1060]);
  });
});
