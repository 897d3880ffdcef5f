import { describe, expect, it } from "vitest";
import { checkJoist } from "./check-joist";
import type { Cut } from "../../house/joist";
import { joistWindows } from "./joist";

const joist = { kind: "solid", depth: 150, breadth: 47, span: 4000 } as const;
const hole = (id: string, at: number, diameter = 22, fromTop = 75): Cut => ({
  id,
  kind: "hole",
  at,
  diameter,
  fromTop,
});
const notch = (id: string, at: number, depth = 20, edge: "top" | "bottom" = "top"): Cut => ({
  id,
  kind: "notch",
  at,
  width: 40,
  depth,
  edge,
});
const rules = (cuts: Cut[], more: object = {}): string[] =>
  checkJoist(joist, cuts, { notchSchool: "warranty", ...more }).map((f) => f.rule);

describe("a solid joist, depth 150, clear span 4000 (the worked example of the rules)", () => {
  it("has these windows under the warranty school", () => {
    const w = joistWindows(joist, "warranty");
    expect(w.hole.zones).toEqual([
      [1000, 1600],
      [2400, 3000],
    ]);
    expect(w.hole).toMatchObject({ maxDiameter: 37.5, fromTop: 75, maxDiameterUnplated: 37.5 });
    expect(w.notch.zones).toEqual([
      [400, 800],
      [3200, 3600],
    ]);
    expect(w.notch.maxDepth).toBe(22.5);
  });
  it("has wider, shallower notches under the on-site school", () => {
    const w = joistWindows(joist, "on-site");
    expect(w.notch.zones[0]![0]).toBeCloseTo(280, 9);
    expect(w.notch.zones[0]![1]).toBeCloseTo(1000, 9);
    expect(w.notch.maxDepth).toBe(18.75);
  });
  it("takes a noggin off the top when judging 50 mm to the cable", () => {
    expect(joistWindows(joist, "warranty", 20).hole.maxDiameterUnplated).toBe(10);
    expect(joistWindows({ ...joist, depth: 95 }, "warranty").hole.maxDiameterUnplated).toBe(0);
  });
  it("allows a hole on either edge of its window and not beyond", () => {
    expect(rules([hole("a", 1000)])).toEqual([]);
    expect(rules([hole("a", 1600)])).toEqual([]);
    expect(rules([hole("a", 999)])).toEqual(["timber.hole.zone"]);
    expect(rules([hole("a", 2000)])).toEqual(["timber.hole.zone"]);
  });
  it("keeps Ø 22 holes 66 apart", () => {
    expect(rules([hole("a", 1100), hole("b", 1166)])).toEqual([]);
    expect(rules([hole("a", 1100), hole("b", 1165)])).toEqual(["timber.hole.spacing"]);
  });
  it("refuses too large, off axis, and near an edge", () => {
    expect(rules([hole("a", 1200, 37.5)])).toEqual([]);
    expect(rules([hole("a", 1200, 38)])).toEqual(["timber.hole.size"]);
    expect(rules([hole("a", 1200, 22, 80)])).toEqual([]);
    expect(rules([hole("a", 1200, 22, 81)])).toEqual(["timber.hole.axis"]);
    expect(rules([hole("a", 1200, 22, 60)])).toEqual(["timber.hole.axis", "timber.cable-edge"]);
  });
  it("judges notches by school, edge, and distance to holes", () => {
    expect(rules([notch("n", 600)])).toEqual([]);
    expect(rules([notch("n", 419)])).toEqual(["timber.notch.zone"]);
    expect(rules([notch("n", 600, 23)])).toEqual(["timber.notch.depth"]);
    expect(rules([notch("n", 600, 20, "bottom")])).toEqual(["timber.notch.both-edges"]);
    expect(rules([notch("n", 600, 15, "bottom"), notch("m", 700, 15)], { notchSchool: "on-site" })).toContain(
      "timber.notch.both-edges",
    );
    expect(rules([notch("n", 780), hole("a", 1000)])).toEqual([]);
    expect(rules([notch("n", 780), { ...hole("a", 1000), diameter: 24 } as Cut].map((c) => c))).toEqual([]);
    expect(rules([notch("n", 870), hole("a", 1000)])).toContain("timber.apart");
  });
  it("refuses what needs an engineer or the maker", () => {
    expect(checkJoist({ ...joist, depth: 251 }, [], { notchSchool: "warranty" }).map((f) => f.rule)).toEqual([
      "timber.depth",
    ]);
    expect(rules([], { heavyLoad: true })).toEqual(["timber.depth"]);
    expect(
      checkJoist({ ...joist, kind: "engineered" }, [hole("a", 10)], { notchSchool: "warranty" }).map((f) => f.rule),
    ).toEqual(["timber.engineered"]);
  });
});
