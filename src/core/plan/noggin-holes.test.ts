import { describe, expect, it } from "vitest";
import { mm } from "../base/figures";
import { across, board, checked, circuit, deck, deckLeg, hole, house, run } from "../book/limits/by-hand.fixture";
import { nogginCrossings } from "../house/noggin-crossings";
import { layHouse } from "../house/house";
import { holeLine } from "../words/holes";
import { nogginHoles } from "../trades/timber/boring";
import { makePlan } from "./plan";

// Joists of 47 × 200 run east–west at y 300, 700, 1 100 …; a full row of noggins at x 1 500 and one 75 deep at x 2 500.
const noggins = [
  { at: 1500, depth: 200 },
  { at: 2500, depth: 75 },
];
const job = house({
  decks: [deck({ noggins })],
  points: [
    board,
    { id: "l1", label: "L1", kind: "light", place: { on: "deck", deck: "d", x: 3200, y: 900, face: "ceiling" } },
  ],
  circuits: [circuit({ kind: "lighting", device: { rating: 6 }, cable: "te-1.0", points: ["l1"] })],
});
const h = layHouse(job);
const l = h.decks[0]!;
const at = (x0: number, x1: number, z = 2500): [number, number, number][] => [
  [x0, 731.5, z],
  [x1, 731.5, z],
];

describe("noggins between joists", () => {
  it("a cable along the joist goes through those as deep as it lies, in the order it meets them", () => {
    const rows = (x0: number, x1: number, z?: number) =>
      nogginCrossings(l, ...(at(x0, x1, z) as [[number, number, number], [number, number, number]])).map((c) => c.row);
    expect(rows(1000, 3000)).toEqual([1]);
    expect(rows(1000, 3000, 2525)).toEqual([1, 2]);
    expect(rows(3000, 1000, 2525)).toEqual([2, 1]);
    expect(rows(1000, 3000, 2524.9)).toEqual([1]);
    expect([rows(1500, 3000), rows(1000, 1500), rows(1600, 3000)]).toEqual([[], [], []]);
    expect(nogginCrossings(l, [1500, 500, 2500], [1500, 900, 2500])).toEqual([]);
    // At mid-depth the shallow row hangs 25 clear over it.
    expect(nogginCrossings(l, ...(at(1000, 2000) as [[number, number, number], [number, number, number]]))).toEqual([
      { row: 1, joist: 2, along: 1500, across: 731.5, z: 2500 },
    ]);
  });
  it("the plan drills each, beside the joist the cable is clipped to, and says so without doubt", () => {
    // No joist is bored, and rows at 1 500 and 3 000 stand on either side of the light: one must be drilled.
    const both = [
      { at: 1500, depth: 200 },
      { at: 3000, depth: 200 },
    ];
    const shut = house({
      decks: [deck({ kind: "engineered", noggins: both })],
      points: job.points.map((p) => (p.id === "l1" ? { ...p, place: { ...p.place, x: 2200 } } : p)),
      circuits: job.circuits,
    });
    const plan = makePlan(shut);
    expect(plan.facts.filter((f) => f.severity === "stop")).toEqual([]);
    const holes = nogginHoles(l, plan);
    const along = plan.runs[0]!.legs.filter((x) => x.method === "along-joist");
    expect(along.length).toBeGreaterThan(0);
    // Up into the board's own bay and out of it at the end, then in again by the light's: a row each time.
    expect(holes).toHaveLength(2);
    const o = holes[0]!;
    expect([Math.abs(o.at), o.fromTop, o.centre[0]]).toEqual([30, 100, both[o.in.row! - 1]!.at]);
    const side = o.at < 0 ? "south" : "north";
    expect(holeLine(layHouse(shut), o)).toBe(
      `Noggin, ${mm(o.centre[0])} from the west edge, Deck, over Room: 30 from the ${side} side of joist ${o.in.joist}, 100 down from the top`,
    );
    // Centre of the hole: 30 off the joist's side, whose centre line is 23.5 within it.
    expect(Math.abs(o.centre[1] - l.joists[o.in.joist! - 1]!.at)).toBe(53.5);
  });
  it("one that is not listed is told", () => {
    const told = (z: number) =>
      checked(job, [run([deckLeg(at(1000, 3000, z), "along-joist")])]).filter((f) => f.rule === "hole.missing");
    expect(told(2500)).toMatchObject([{ case: "deck-noggin", where: { deck: "d", joist: 2, at: 1500 } }]);
    expect(told(2530)).toHaveLength(2);
    expect(checked(job, [run([deckLeg(across(710, 1090), "across-bay")])]).some((f) => f.case === "deck-noggin")).toBe(
      false,
    );
  });
});

describe("noggins that are fixed after the cables", () => {
  const row = (depth: number, more: object = {}) => ({ at: 1200, depth, later: true, ...more });
  // A hole of Ø 20 in the middle of 200 keeps 90 to either edge.
  const told = (noggin: object, of: object = {}) =>
    checked(house({ decks: [deck({ noggins: [noggin] })] }), [], [hole(of)])
      .filter((f) => f.rule === "timber.cable-edge")
      .map((f) => [f.case, f.measured]);
  it("take their depth off the edge they stand at, top or bottom, where they come over the hole", () => {
    expect([told(row(40)), told(row(40, { edge: "bottom" })), told({ at: 1200, depth: 195 })]).toEqual([[], [], []]);
    expect(told(row(41))).toEqual([[undefined, 49]]);
    expect(told(row(41, { edge: "bottom" }))).toEqual([[undefined, 49]]);
    // 3 below the middle: 93 to the top edge, 87 to the bottom one.
    expect(told(row(43), { fromTop: 103 })).toEqual([]);
    expect(told(row(43, { edge: "bottom" }), { fromTop: 103 })).toEqual([[undefined, 44]]);
    // 47 broad, so half of that and half the hole: 33.5 from the middle of the hole.
    expect([told(row(60, { at: 1233 })).length, told(row(60, { at: 1166.6 })).length]).toEqual([1, 1]);
    expect([told(row(60, { at: 1233.5 })), told(row(60, { at: 1166.5 }))]).toEqual([[], []]);
  });
  it("want a steel plate, and no plate helps where they come to sit on the cables", () => {
    expect([told(row(41), { plated: true }), told(row(90), { plated: true })]).toEqual([[], []]);
    expect(told(row(91), { plated: true })).toEqual([["covered", -1]]);
  });
  const crossing = (depth: number) => {
    // A row over every place where the joists may be bored: 1 000 to 1 600 from either bearing.
    const rows = [];
    for (let at = 1000; at < 1640; at += 45) rows.push(row(depth, { at }), row(depth, { at: 4000 - at }));
    return makePlan({ ...job, decks: house({ decks: [deck({ noggins: rows })] }).decks });
  };
  it("have plates planned and taken off, and holes kept out from under those that are too deep", () => {
    const joists = (depth: number) => crossing(depth).holes.filter((o) => o.in.kind === "joist");
    expect(joists(20).length).toBeGreaterThan(0);
    expect(joists(20).some((o) => o.plated)).toBe(false);
    expect(joists(60).length).toBeGreaterThan(0);
    expect(joists(60).every((o) => o.plated)).toBe(true);
    expect(crossing(60).facts.filter((f) => f.severity === "stop")).toEqual([]);
    expect(crossing(60).takeoff.find((x) => x.item === "Steel plate")?.quantity).toBe(joists(60).length);
    expect(crossing(20).takeoff.find((x) => x.item === "Steel plate")).toBeUndefined();
    expect(joists(95)).toEqual([]);
  });
});
