import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { yardJob } from "../house/yard.fixture";
import { laidCircuits } from "../trades/circuits/laid-circuit";
import { lightRowFacts, lightRowFigures } from "./light-row";
import { makePlan } from "./plan";

const row = (more: object = {}) => ({
  id: "r",
  label: "PL1",
  room: "out",
  from: "f",
  path: [
    { x: 2000, y: 3500 },
    { x: 2000, y: 9100 },
  ],
  count: 6,
  end: 300,
  width: 1000,
  line: 600,
  height: 500,
  cable: "swa-3x1.5",
  watts: 10,
  ...more,
});
/** The yard with a row of lights fed from a fused unit in the room, on the circuit of the shed or on another. */
const job = (r: object = {}, more: object = {}) => {
  const base = yardJob();
  return yardJob({
    points: [
      ...base.points,
      { id: "f", label: "F1", kind: "fused-unit", fuse: 3, place: { on: "wall", wall: "in1", u: 2500, v: 450 } },
    ],
    circuits: [
      {
        id: "li",
        label: "LI",
        name: "Lights",
        kind: "lighting",
        device: { rating: 6 },
        rcd: 30,
        cable: "te-1.5",
        way: 2,
        points: ["f"],
      },
    ],
    lightRows: [row(r)],
    ...more,
  });
};
const figures = (r: object = {}, more: object = {}) => {
  const j = job(r, more);
  return lightRowFigures(layHouse(j), j.lightRows[0]!);
};
const told = (r: object = {}, more: object = {}) => lightRowFacts(figures(r, more)).map((f) => [f.rule, f.case ?? ""]);

describe("a row of lights along a path of 5 600", () => {
  it("stands at even gaps of 1 000 from 300 to 5 300, left and right in turn", () => {
    const f = figures();
    expect(f.lights.map((l) => [l.at, l.side])).toEqual([
      [300, 1],
      [1300, 2],
      [2300, 1],
      [3300, 2],
      [4300, 1],
      [5300, 2],
    ]);
    // One walks north: left is west.
    expect(f.lights.slice(0, 2).map((l) => l.place)).toEqual([
      { x: 1500, y: 3800 },
      { x: 2500, y: 4800 },
    ]);
    expect([f.gap, f.gaps]).toEqual([1000, [1000, 1000, 1000, 1000, 1000]]);
  });
  it("takes from light to light the slant, down and up 1 100 twice, a tail of 150 and a loop of 150 at both ends", () => {
    const f = figures();
    expect(f.legs.slice(1).map((l) => l.length)).toEqual(
      Array.from({ length: 5 }, () => expect.closeTo(Math.hypot(1000, 1000) + 2200 + 600, 6)),
    );
    // From F1 at (2500, 3000, 450): across to (1500, 3800), 450 + 600 down, 1 100 up, and its ends.
    expect(f.legs[0]!.length).toBeCloseTo(Math.hypot(1000, 800) + 1050 + 1100 + 600, 6);
    expect(f.total).toBeCloseTo(
      f.legs.reduce((s, l) => s + l.length, 0),
      9,
    );
    expect(f.dug).toBeCloseTo(5600 + Math.hypot(500, 500), 6);
  });
  it("drops what each length drops with the lights beyond it: 29 mV/A/m", () => {
    const f = figures({ cable: "te-1.5" });
    const volts = f.legs.reduce((s, l, i) => s + (29 * ((6 - i) * 10) * l.length) / 230 / 1e6, 0);
    expect(f.volts).toBeCloseTo(volts, 9);
    expect(f.amps).toBeCloseTo(60 / 230, 9);
  });
  it("with its circuit as laid: drop and loop are those at the fused unit and the row’s own", () => {
    const j = job();
    const plan = makePlan(j);
    const h = layHouse(j);
    const laid = laidCircuits(h, plan.runs, plan.holes, plan.found);
    const f = lightRowFigures(h, j.lightRows[0]!, laid)!;
    const place = laid[0]!.places.find((p) => p.point === "f")!;
    expect(f.percent).toBeCloseTo(place.drop.percent + (100 * f.volts) / 230, 9);
    // Line of 1.5 mm² at 12.1, armour of 16 mm² at 155/16 mΩ a metre, warm.
    const main = f.legs.reduce((s, l) => s + l.length, 0);
    expect(f.zs! - place.zs).toBeCloseTo((1.2 * (12.1 + 155 / 16) * main) / 1e6, 6);
    // B6 lets 7.28 Ω through, the 3 A fuse of the unit 15.6.
    expect([f.percentMost, f.circuit, place.most, f.most]).toEqual([3, "li", 7.28, 15.6]);
  });
  it("stands on posts where they are near, each once, and is told where the gaps are then uneven", () => {
    const posts = [
      { id: "p1", room: "out", label: "P1", x: 1500, y: 5900, height: 900 },
      { id: "p2", room: "out", label: "P2", x: 1500, y: 6000, height: 900 },
      { id: "far", room: "out", label: "P3", x: 100, y: 3800, height: 900 },
    ];
    const f = figures({ onPosts: true }, { posts });
    expect(f.lights.map((l) => l.post?.label ?? null)).toEqual([null, null, "P1", null, null, null]);
    expect(f.lights[2]!.at).toBe(2400);
    expect(told({ onPosts: true }, { posts })).toEqual([]);
    expect(told({ onPosts: true }, { posts: [{ ...posts[0], y: 5950 }] })).toEqual([["lights.gap", ""]]);
    // Lights that stand close: the one post takes the nearest of them alone.
    const many = figures({ count: 40, onPosts: true, sides: 1 }, { posts: [{ ...posts[0], x: 2000 }] });
    expect(many.lights.filter((l) => l.post)).toHaveLength(1);
    // Right between two of them it takes the first: lights at 300, 1 300 …, the post 800 along a path that begins at 3 500.
    const between = figures({ onPosts: true, sides: 1 }, { posts: [{ ...posts[0], x: 2000, y: 4300 }] });
    expect(between.lights.map((l) => l.post?.label ?? null)).toEqual(["P1", null, null, null, null, null]);
    expect(figures({ onPosts: false }, { posts }).lights.every((l) => l.post === null)).toBe(true);
  });
  it("along an arbour: a box at each light with three ways and those kept free, drops, conduit with a bend a drop and two a change of side", () => {
    const f = figures({ carried: "arbour", line: 2300, height: 2000, spare: 1 });
    expect([f.boxes, f.boxWays, f.drop, f.dug]).toEqual([6, 4, 450, 0]);
    expect(f.conduit!.bends).toBe(6 + 2 * 5);
    expect(f.conduit!.length).toBeCloseTo(5 * Math.hypot(1000, 1000) + 6 * 300, 6);
    expect(f.total).toBeCloseTo(f.legs.reduce((s, l) => s + l.length, 0) + 6 * 450, 6);
    expect(f.hole).toMatchObject({ through: 100, rise: 15, bore: expect.closeTo(Math.hypot(100, 15), 9) as number });
  });
  it("needs a third live core all along for a sensor at the far end, to the first light for one near with a switch past it", () => {
    const live = (r: object) => figures(r).legs.map((l) => l.live);
    expect(live({})).toEqual([2, 2, 2, 2, 2, 2]);
    expect(live({ sensor: "near" })).toEqual([2, 2, 2, 2, 2, 2]);
    expect(live({ sensor: "near", override: true })).toEqual([3, 2, 2, 2, 2, 2]);
    expect(live({ sensor: "far" })).toEqual([3, 3, 3, 3, 3, 3]);
    expect(told({ sensor: "far", cable: "swa-2x1.5" })).toEqual([["lights.cores", ""]]);
    expect(told({ sensor: "far", cable: "swa-3x1.5" })).toEqual([]);
  });
  it("one light alone stands in the middle", () => {
    expect(figures({ count: 1 }).lights.map((l) => l.at)).toEqual([2800]);
    expect(figures({ count: 1 }).legs).toHaveLength(1);
  });
  it("plain cable is for conduit: in the ground it is stopped, from a box on the beam to a light in the sun as well", () => {
    expect(told({ cable: "te-1.5" })).toEqual([["lights.cable", "ground"]]);
    expect(told({ cable: "te-1.5", carried: "arbour", line: 2300, height: 2000 })).toEqual([["lights.cable", "sun"]]);
    expect(told({ carried: "arbour", line: 2099, height: 2000 })).toEqual([["lights.conduit", ""]]);
    expect(told({ carried: "arbour", line: 2100, height: 2000 })).toEqual([]);
  });
  it("fed from what is on no circuit is told; from nothing as well", () => {
    expect(told({}, { circuits: [] })).toEqual([["lights.fed", ""]]);
    // Fed from nothing it is measured from the end of its path, and told.
    expect(told({ from: null })).toEqual([["lights.fed", "nothing"]]);
    expect(figures({ from: null }).legs[0]!.length).toBeCloseTo(Math.hypot(500, 300) + 600 + 1100 + 600, 6);
  });
  it("any path and number: lights keep within it, in order, and no leg is shorter than between its lights", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 0, max: 2000 }),
        fc.constantFrom(1 as const, 2 as const),
        fc.array(fc.record({ x: fc.integer({ min: 500, max: 3500 }), y: fc.integer({ min: 4000, max: 9000 }) }), {
          minLength: 2,
          maxLength: 5,
        }),
        (count, end, sides, path) => {
          const f = figures({ count, end, sides, path });
          const ats = f.lights.map((l) => l.at);
          expect(ats).toHaveLength(count);
          expect(ats).toEqual([...ats].sort((a, b) => a - b));
          for (const at of ats) expect(at >= -1e-6 && at <= f.length + 1e-6).toBe(true);
          f.legs.slice(1).forEach((l, i) => {
            const [a, b] = [f.lights[i]!.place, f.lights[i + 1]!.place];
            expect(l.length).toBeGreaterThanOrEqual(Math.hypot(a.x - b.x, a.y - b.y));
          });
        },
      ),
      { numRuns: 60 },
    );
  });
});
