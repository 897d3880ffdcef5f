import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { type PinnedLeg } from "../job/model";
import { clipAtPitch } from "../trades/fixings/clips";
import { clipsOf, orientationOf } from "./clips";
import { endOf, lengthsOf } from "./ends";
import type { End } from "../laid/laid";

import { house, laid, leg, te } from "./laid-by-hand.fixture";

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
  const h = layHouse(house());
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
      expect(clipsOf(h, te, "r", 0, leg({ method })) !== null).toBe(want);
  });
  it("stay reachable on the surface only, by the table there: 300 level, 400 plumb for 10.1 across", () => {
    const level = leg({
      method: "surface",
      path: [
        [500, 3000, 450],
        [2500, 3000, 450],
      ],
    });
    expect(clipsOf(h, te, "r", 0, level)).toMatchObject({ reachable: true, max: 300, metal: false });
    expect(clipsOf(h, te, "r", 0, leg({ method: "surface" }))).toMatchObject({ reachable: true, max: 400 });
    expect(clipsOf(h, te, "r", 0, leg({}))).toMatchObject({ reachable: false, max: 450 });
  });
  it("by the schools: on the table out of reach, at the pitch of the tool, metal over the way out", () => {
    const with_ = (settings: object) => layHouse(house({ settings }));
    expect(clipsOf(with_({ schools: { clipOutOfReach: "table" } }), te, "r", 0, leg({}))!.max).toBe(400);
    const tool = clipsOf(with_({ schools: { clipPitch: "tool" }, clipToolPitch: 200 }), te, "r", 0, leg({}))!;
    expect(tool.pitch).toBe(200);
    const inHall = leg({ surface: { kind: "wall", id: "b1" }, method: "surface" });
    expect(clipsOf(h, te, "r", 0, inHall)!.metal).toBe(true);
    expect(clipsOf(h, te, "r", 0, { ...inHall, method: "chase" })!.metal).toBe(false);
    expect(clipsOf(with_({ schools: { hallCeiling: "ordinary" } }), te, "r", 0, inHall)!.metal).toBe(false);
    const over = (x: number) =>
      leg({
        surface: { kind: "deck", id: "d" },
        method: "along-joist",
        path: [
          [x, 500, 2500],
          [x, 2500, 2500],
        ],
      });
    expect(clipsOf(h, te, "r", 0, over(5000))!.metal).toBe(true);
    expect(clipsOf(h, te, "r", 0, over(2000))!.metal).toBe(false);
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
