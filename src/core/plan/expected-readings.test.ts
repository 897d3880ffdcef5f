import { describe, expect, it } from "vitest";
import { cableOf } from "../rules/catalogue";
import type { LaidCircuit, LaidLeg } from "../trades/circuits/laid-circuit";
import { expectedReadings } from "./expected-readings";

const leg = (run: string, length: number): LaidLeg & { carries: number } => ({
  ...{ run, leg: 0, length, method: "C", grouped: 1, ambient: 30, insulated: 0, carries: 27 },
});
const laid = (
  kind: "ring" | "radial",
  way: [run: string, to: string, mm: number][],
  spurs: [run: string, to: string, after: number, mm: number][] = [],
): LaidCircuit => {
  const legs = way.map(([run, , mm]) => leg(run, mm));
  const off = spurs.map(([run, , after, mm]) => ({ at: after, legs: [leg(run, mm)] }));
  let along = 0;
  const figures = { zs: 0, most: 1, drop: { volts: 0, percent: 0 } };
  return {
    input: { kind, legs, spurs: off },
    legs: [...legs, ...off.flatMap((s) => s.legs)],
    way: way.map(([, to]) => to),
    off: spurs.map(([, to]) => to),
    places: [
      ...way
        .filter(([, to]) => to !== "db")
        .map(([, point, mm]) => ({ ...figures, point, along: (along += mm / 1000), spur: 0 })),
      ...spurs.map(([, point, , mm]) => ({ ...figures, point, along: 0, spur: mm / 1000 })),
    ],
  } as unknown as LaidCircuit;
};
const te = () => cableOf("te-2.5");
/** Nothing hangs at the ends. */
const none = (): number => 0;
// 2.5 mm² line and neutral 7.41 mΩ/m, 1.5 mm² protective conductor 12.1 mΩ/m at 20 °C.
const [LINE, CPC] = [7.41e-3, 12.1e-3];

describe("what dead tests should read", () => {
  it("of a radial: line and protective conductor out to each point, tails and all", () => {
    const r = expectedReadings(
      laid("radial", [
        ["c.db.s1", "s1", 10_000],
        ["c.s1.s2", "s2", 5_000],
      ]),
      (run) => (run === "c.db.s1" ? 905 : 95),
      te,
    )!;
    expect(r.ring).toBeNull();
    expect(r.points.map((p) => p.point)).toEqual(["s1", "s2"]);
    expect(r.points[0]!.lineEarth).toBeCloseTo(10.905 * (LINE + CPC), 9);
    expect(r.points[1]!.lineEarth).toBeCloseTo(16 * (LINE + CPC), 9);
    expect(r.points[1]!.lineNeutral).toBeCloseTo(32 * LINE, 9);
    expect(r.most).toBe(r.points[1]!.lineEarth);
  });
  it("on a warm day more: 0.4 % a degree", () => {
    const at = (t: number): number => expectedReadings(laid("radial", [["c.db.s1", "s1", 10_000]]), none, te, t)!.most;
    expect(at(30)).toBeCloseTo(at(20) * 1.04, 12);
    expect(at(5)).toBeCloseTo(at(20) * 0.94, 12);
  });
  it("of a ring: a quarter of both at every point, on unlike conductors a little less near the board; a spur its own length more", () => {
    const way: [string, string, number][] = [
      ["c.db.s1", "s1", 12_000],
      ["c.s1.s2", "s2", 18_000],
      ["c.db.s2", "db", 30_000],
    ];
    const r = expectedReadings(laid("ring", way, [["c.s2.s3", "s3", 1, 4_000]]), none, te)!;
    expect(r.ring).toEqual({
      r1: expect.closeTo(60 * LINE, 9),
      rn: expect.closeTo(60 * LINE, 9),
      r2: expect.closeTo(60 * CPC, 9),
    });
    const [s1, s2, s3] = r.points;
    expect([s1!.lineNeutral, s2!.lineNeutral].map((x) => Number(x.toFixed(6)))).toEqual([0.2223, 0.2223]);
    // Half way round: (r1 + r2) / 4.
    expect(s2!.lineEarth).toBeCloseTo((60 * (LINE + CPC)) / 4, 9);
    const [a, b] = [12 * LINE + 48 * CPC, 48 * LINE + 12 * CPC];
    expect(s1!.lineEarth).toBeCloseTo((a * b) / (a + b), 9);
    expect(s3).toMatchObject({ point: "s3", spur: true });
    expect(s3!.lineNeutral - s2!.lineNeutral).toBeCloseTo(8 * LINE, 9);
    expect(s3!.lineEarth - s2!.lineEarth).toBeCloseTo(4 * (LINE + CPC), 9);
  });
  it("a point that two cables lead to reads by the first of them", () => {
    const twice = laid("radial", [["c.db.s1", "s1", 10_000]], [["c.db.s1.2", "s1", -1, 15_000]]);
    const r = expectedReadings(twice, none, te)!;
    expect(r.points).toHaveLength(1);
    expect(r.most).toBeCloseTo(10 * (LINE + CPC), 9);
  });
  it("each run by its own cable, and armour by its steel; nothing where a conductor is in no table", () => {
    const one = (cable: ReturnType<typeof te>) =>
      expectedReadings(laid("radial", [["c.db.s1", "s1", 1000]]), none, () => cable);
    expect(one(cableOf("te-1.0"))!.most).toBeCloseTo(18.1e-3 * 2, 9);
    // 155 mΩ a metre of 1 mm², 19 mm² of it.
    expect(one(cableOf("swa-2x4"))!.most).toBeCloseTo(4.61e-3 + 0.155 / 19, 9);
    expect(one({ ...te()!, csa: 3 })).toBeNull();
    expect(one(null)).toBeNull();
  });
});
