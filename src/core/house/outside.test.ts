import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { rectOutline } from "../base/polygon";
import { sagOf } from "../rules/sag";
import { clearances, depthAt, shallowest } from "../trades/outside/outside-facts";
import { layHouse } from "./house";
import { groundUnder, layOutside, levelAt, outsideOf, placeAlong } from "./outside";
import { across, strip, yardJob } from "./yard.fixture";

const laid = (way: object, more: object = {}) => outsideOf(layHouse(yardJob({ outsideWays: [way], ...more })))[0]!;

describe("a trench", () => {
  it("goes down at one wall, straight across and up at the other: 600 + 6 000 + 600", () => {
    const w = laid(across("trench"));
    expect(w.path).toEqual([
      [2000, 3300, 0],
      [2000, 3300, -600],
      [2000, 9300, -600],
      [2000, 9300, 0],
    ]);
    expect([w.length, w.cable, shallowest(w).depth]).toEqual([6000, 7200, 600]);
  });
  it("falls evenly to a depth given elsewhere: half way to 900 at 3 000 it lies 750 deep", () => {
    const w = laid(across("trench", { depths: [{ at: 3000, depth: 900 }] }));
    expect([0, 1500, 3000, 4500, 6000].map((at) => depthAt(w, at))).toEqual([600, 750, 900, 750, 600]);
    expect(w.cable).toBeCloseTo(1200 + 2 * Math.hypot(3000, 300), 6);
  });
  it("lies less deep where the ground steps down: 200 lower between 2 000 and 4 000 leaves 400", () => {
    const w = laid(across("trench"), { grounds: [strip("paving", 2000, 4000, -200)] });
    expect(shallowest(w)).toEqual({ at: 2000, depth: 400 });
    expect([1000, 3000, 5000].map((at) => depthAt(w, at))).toEqual([600, 400, 600]);
    expect(w.trench.map((s) => [s.from, s.to, s.kind])).toEqual([
      [0, 2000, null],
      [2000, 4000, "paving"],
      [4000, 6000, null],
    ]);
  });
  it("whatever the ground: its depth is the ground less the straight line of its bottom", () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            from: fc.integer({ min: 100, max: 5000 }),
            long: fc.integer({ min: 50, max: 900 }),
            level: fc.integer({ min: -300, max: 300 }),
          }),
          { maxLength: 3 },
        ),
        fc.integer({ min: 300, max: 1200 }),
        fc.integer({ min: 1000, max: 5000 }),
        fc.integer({ min: 300, max: 1200 }),
        (steps, depth, knee, deep) => {
          const grounds = steps.map((s, i) => strip("paving", s.from, s.from + s.long, s.level, `g${i}`));
          const w = laid(across("trench", { depth, depths: [{ at: knee, depth: deep }] }), { grounds });
          const levelOf = (at: number): number => w.ground.find((g) => at > g.from && at < g.to)!.level;
          // At a step itself, to the width of a figure's last place, the lower side counts.
          const met = w.ground.filter((g) => knee >= g.from - 1e-6 && knee <= g.to + 1e-6);
          const atKnee = Math.min(...met.map((g) => g.level)) - deep;
          for (let k = 1; k < 40; k++) {
            const at = 150 * k + 0.37;
            const bottom =
              at < knee
                ? -depth + ((atKnee + depth) * at) / knee
                : atKnee + ((-depth - atKnee) * (at - knee)) / (6000 - knee);
            expect(depthAt(w, at)).toBeCloseTo(levelOf(at) - bottom, 6);
            expect(shallowest(w).depth).toBeLessThanOrEqual(depthAt(w, at) + 1e-6);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
  it("turns where it is told, and its ducts begin and end where they are given", () => {
    const w = laid(across("trench", { turns: [{ x: 3000, y: 6300 }], ducts: [{ from: 1000, to: 2000, size: 63 }] }));
    expect(w.length).toBeCloseTo(2 * Math.hypot(1000, 3000), 6);
    expect(placeAlong(w.line, w.length / 2)).toEqual({ x: 3000, y: 6300 });
    expect(w.trench.filter((s) => s.duct === 63).map((s) => [s.from, s.to])).toEqual([[1000, 2000]]);
  });
});

describe("the ground under a line", () => {
  const line = [
    { x: 2000, y: 3300 },
    { x: 2000, y: 9300 },
  ];
  const under = (grounds: object[]) =>
    groundUnder(layHouse(yardJob({ grounds })), line, 0).map((g) => [g.from, g.to, g.kind, g.level, g.tree]);
  it("the smaller part lies on the larger, whichever was drawn first; a tree is over both", () => {
    const lawn = strip("lawn", 0, 6000, -50, "a");
    const path = strip("path", 2000, 3000, -20, "b");
    const tree = {
      id: "t",
      room: "out",
      kind: "tree",
      outline: rectOutline(1500, 3300 + 2500, 2500, 3300 + 3500),
      level: 0,
    };
    const want = [
      [0, 2000, "lawn", -50, false],
      [2000, 2500, "path", -20, false],
      [2500, 3000, "path", -20, true],
      [3000, 3500, "lawn", -50, true],
      [3500, 6000, "lawn", -50, false],
    ];
    expect(under([lawn, path, tree])).toEqual(want);
    expect(under([{ ...path, id: "z" }, lawn, tree])).toEqual(want);
  });
  it("at a step the lower side counts, and a post on it stands on that", () => {
    const ground = groundUnder(layHouse(yardJob({ grounds: [strip("lawn", 3000, 6000, -100)] })), line, 0);
    expect([2999, 3000, 3001].map((at) => levelAt(ground, at))).toEqual([0, -100, -100]);
  });
  it("nothing drawn is the yard itself", () => expect(under([])).toEqual([[0, 6000, null, 0, false]]));
});

describe("a wire", () => {
  const post = { id: "p", room: "out", label: "P1", x: 2000, y: 6300, height: 4200 };
  it("hangs in one span, made for the heaviest armour of the job: .68 and .1 kg a metre over 6 m at 500 N dip 69 mm", () => {
    const w = laid(across("catenary"));
    expect(w.spans).toHaveLength(1);
    expect(sagOf(w.spans[0]!)).toBeCloseTo((0.78 * 9.81 * 36 * 1000) / (8 * 500), 6);
    expect(w.cable).toBeGreaterThan(6000);
    expect(w.path[0]).toEqual([2000, 3300, 4000]);
    expect(w.path[w.path.length - 1]).toEqual([2000, 9300, 4000]);
  });
  it("hangs from a post between, a quarter of the dip in each span, the post on the ground it stands in", () => {
    const w = laid(across("catenary", { posts: ["p"] }), { posts: [post], grounds: [strip("lawn", 2500, 3500, -100)] });
    expect(w.spans.map((s) => [s.at, s.length, s.from, s.to, s.supports])).toEqual([
      [0, 3000, 4000, 4100, ["wall", "P1"]],
      [3000, 3000, 4100, 4000, ["P1", "wall"]],
    ]);
    expect(sagOf(w.spans[0]!)).toBeCloseTo(sagOf(laid(across("catenary")).spans[0]!) / 4, 9);
  });
  it("is measured against what passes beneath, at the lowest place over each", () => {
    const w = laid(across("catenary"), { grounds: [strip("drive", 0, 1000), strip("road", 5000, 6000, -40)] });
    const sag = sagOf(w.spans[0]!);
    const at = (x: number): number => 4000 - 4 * sag * (x / 6000) * (1 - x / 6000);
    expect(clearances(w).map((c) => [c.at, c.beneath, c.least, Math.round(1000 * c.height)])).toEqual([
      [1000, "vehicles", 5800, Math.round(1000 * at(1000))],
      [3000, "foot", 3500, Math.round(1000 * at(3000))],
      [5000, "road", 5800, Math.round(1000 * (at(5000) + 40))],
    ]);
  });
  it("a post named twice makes no span of no length", () => {
    const w = laid(across("catenary", { posts: ["p", "p"] }), { posts: [post] });
    expect(w.spans.map((s) => s.length)).toEqual([3000, 3000]);
    expect(Number.isFinite(w.cable)).toBe(true);
  });
  it("that has lost its post or its wall is not laid", () => {
    const h = layHouse(yardJob());
    const way = { ...yardJob({ outsideWays: [across("catenary")] }).outsideWays[0]! };
    expect(layOutside(h, { ...way, posts: ["gone"] })).toBeNull();
    expect(layOutside(h, { ...way, from: { ...way.from, wall: "gone" } })).toBeNull();
    expect(layOutside(h, way)).not.toBeNull();
  });
});
