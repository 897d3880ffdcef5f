import { describe, expect, it } from "vitest";
import { type House, layHouse } from "../house/house";
import { type PinnedLeg } from "../job/model";
import { clipAtPitch } from "../trades/fixings/clips";
import { board, house as fixtureHouse, onW1, run, socket } from "../book/limits/by-hand.fixture";
import { checkPlan } from "./checker";
import { clippedStretch, clipsOf, orientationOf } from "./clips";
import { endOf, lengthsOf } from "./ends";
import type { End } from "../laid/laid";

import { house, laid, leg, te } from "./laid-by-hand.fixture";

/** Clips of one leg that ends at no box. */
const clipped = (h: House, l: PinnedLeg) =>
  clipsOf(h, te, { id: "r", from: "none", to: "none", legs: [l] as never }, 0);

describe("clips", () => {
  const slope = (degrees: number) =>
    orientationOf({
      path: [
        [0, 0, 0],
        [Math.cos((degrees * Math.PI) / 180), 0, Math.sin((degrees * Math.PI) / 180)],
      ],
    });
  it("a slope counts as horizontal up to 60° from level, as vertical beyond", () => {
    expect([0, 45, 46, 60].map(slope)).toEqual(Array(4).fill("horizontal"));
    expect([60.1, 75, 90].map(slope)).toEqual(Array(3).fill("vertical"));
  });
  it("at the tool's pitch the last one sits at the end too, its gap the shorter", () => {
    expect(clipAtPitch(1000, 300)).toEqual({ count: 4, pitch: 300, marks: [100, 400, 700, 900] });
    expect(clipAtPitch(800, 300)).toEqual({ count: 3, pitch: 300, marks: [100, 400, 700] });
    expect(clipAtPitch(200, 300)).toEqual({ count: 1, pitch: 0, marks: [100] });
  });
  it("a last gap of less than half a pitch is shared with the one before, and nothing else moves", () => {
    expect(clipAtPitch(850, 300).marks).toEqual([100, 400, 575, 750]);
    // 100, 300, 500, 700 and 750: the last 50 is less than half of 200.
    expect(clipAtPitch(850, 200).marks).toEqual([100, 300, 500, 625, 750]);
    expect(clipAtPitch(900, 200).marks).toEqual([100, 300, 500, 700, 800]);
  });
  const h = layHouse(house());
  it("a leg of up to 300 takes one clip in its middle, near enough to both ends; a longer one takes two", () => {
    const at = (length: number, more: object = {}) =>
      clipped(
        layHouse(house({ settings: { schools: more } })),
        leg({
          method: "surface",
          path: [
            [500, 3000, 450],
            [500 + length, 3000, 450],
          ],
        }),
      )!.marks;
    expect([at(30), at(250), at(300)]).toEqual([[15], [125], [150]]);
    expect(at(301)).toEqual([100, 201]);
    expect(at(250, { clipPitch: "tool" })).toEqual([125]);
  });
  it("begin at the edge of a box and not in it, at both ends of a run, and the checker counts from there", () => {
    const own = layHouse(fixtureHouse({ points: [board, socket("s1", 3000, 1400)] }));
    const w = onW1([1000, 1400], [3000, 1400]);
    const at = (from: string, to: string) =>
      clipsOf(own, te, { ...run([{ method: "surface", path: w }]), from, to }, 0)!.marks;
    // The box of S1 is 70 across: its edge is 35 before the end of the leg; the board stands elsewhere.
    expect(at("db", "s1").at(-1)).toBeCloseTo(2000 - 35 - 100, 9);
    expect(at("db", "s1")[0]).toBe(100);
    expect(clippedStretch(own, { ...run([{ path: [...w].reverse() }]), from: "s1", to: "db" }, 0)).toEqual([35, 2000]);
    const r = run([{ method: "surface", depth: 0, path: w }]);
    const ends = (last: number) =>
      checkPlan(own, {
        runs: [r],
        holes: [],
        clips: [
          {
            run: r.id,
            leg: 0,
            marks: [100, 400, 700, 1000, 1300, 1600, last],
            pitch: 0,
            max: 300,
            reachable: true,
            metal: false,
          },
        ],
      }).filter((f) => f.rule === "clip.end");
    expect(ends(2000 - 35 - 150)).toEqual([]);
    expect(ends(2000 - 35 - 150.1)).toMatchObject([{ limit: 150 }]);
    const inside = run([{ method: "surface", path: onW1([2970, 1400], [3000, 1400]) }]);
    expect(clipsOf(own, te, inside, 0)).toBeNull();
  });
  it("go on chased, surface and joist-side cable, and on nothing that rests in a hole, a bay or a void", () => {
    for (const [method, want] of [
      ["chase", true],
      ["surface", true],
      ["along-joist", true],
      ["stud-void", false],
      ["through-joists", false],
      ["across-bay", false],
      ["rise", false],
      ["through-wall", false],
    ] as const)
      expect(clipped(h, leg({ method })) !== null).toBe(want);
  });
  it("stay reachable on the surface only, by the table there: 300 level, 400 plumb for 10.1 across", () => {
    const level = leg({
      method: "surface",
      path: [
        [500, 3000, 450],
        [2500, 3000, 450],
      ],
    });
    expect(clipped(h, level)).toMatchObject({ reachable: true, max: 300, metal: false });
    expect(clipped(h, leg({ method: "surface" }))).toMatchObject({ reachable: true, max: 400 });
    expect(clipped(h, leg({}))).toMatchObject({ reachable: false, max: 450 });
  });
  it("by the schools: on the table out of reach, at the pitch of the tool, metal over the way out", () => {
    const with_ = (settings: object) => layHouse(house({ settings }));
    expect(clipped(with_({ schools: { clipOutOfReach: "table" } }), leg({}))!.max).toBe(400);
    const tool = clipped(with_({ schools: { clipPitch: "tool" }, clipToolPitch: 200 }), leg({}))!;
    expect(tool.pitch).toBe(200);
    const inHall = leg({ surface: { kind: "wall", id: "b1" }, method: "surface" });
    expect(clipped(h, inHall)!.metal).toBe(true);
    expect(clipped(h, { ...inHall, method: "chase" })!.metal).toBe(false);
    expect(clipped(with_({ schools: { hallCeiling: "ordinary" } }), inHall)!.metal).toBe(false);
    const over = (x: number) =>
      leg({
        surface: { kind: "deck", id: "d" },
        method: "along-joist",
        path: [
          [x, 500, 2500],
          [x, 2500, 2500],
        ],
      });
    expect(clipped(h, over(5000))!.metal).toBe(true);
    expect(clipped(h, over(2000))!.metal).toBe(false);
  });
});

describe("ends and lengths", () => {
  const h = layHouse(house());
  it("come in at the side they come from, with the tail across the box and past it", () => {
    const to = (path: PinnedLeg["path"]) => endOf(h, laid([leg({ path })]), "s", false);
    // A twin socket: the box is 130 × 70; 60 past from a side, 70 from above or below.
    expect(
      to([
        [1000, 3000, 2400],
        [1000, 3000, 450],
      ]),
    ).toMatchObject({ entry: "top", measures: { tail: 140, past: 70, fromMiddle: 105 } });
    expect(
      to([
        [1000, 3000, 0],
        [1000, 3000, 450],
      ]),
    ).toMatchObject({ entry: "bottom" });
    expect(
      to([
        [0, 3000, 450],
        [1000, 3000, 450],
      ]),
    ).toMatchObject({ entry: "left", measures: { tail: 190, past: 60, fromMiddle: 125 } });
    expect(
      to([
        [2000, 3000, 450],
        [1000, 3000, 450],
      ]),
    ).toMatchObject({ entry: "right" });
    expect(endOf(h, laid([leg({})]), "db", true)).toMatchObject({ measures: { tail: 800, fromMiddle: 800 } });
  });
  it("cut = (path + both tails + spare at both ends) × (1 + waste): by hand 1 950 + 300 + 200 = 2 450, × 1.03", () => {
    const ends: End[] = [
      { point: "db", run: "r", entry: "top", measures: { fromMiddle: 200 } },
      { point: "s", run: "r", entry: "top", measures: { fromMiddle: 100 } },
    ];
    const l = lengthsOf(h, laid([leg({})]), ends);
    expect(l.path).toBe(1950);
    expect(l.cut).toBeCloseTo(2450 * 1.03, 9);
    const none = layHouse(house({ settings: { slack: 0, wastePercent: 0 } }));
    expect(lengthsOf(none, laid([leg({})]), ends).cut).toBe(2250);
  });
  it("counts the gap from one leg to the next", () => {
    const legs = [
      leg({}),
      leg({
        path: [
          [1000, 3000, 2430],
          [1000, 3000, 2500],
        ],
      }),
    ];
    expect(lengthsOf(h, laid(legs), []).path).toBe(1950 + 30 + 70);
  });
});
