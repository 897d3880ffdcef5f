import { describe, expect, it } from "vitest";
import { bendFacts, bendRadius } from "./bends";
import { type FirePlace, checkFire } from "./fire";

describe("how tightly a cable is bent", () => {
  it.each([
    // Family, width, thickness, factor, radius.
    ["sheathed", 10, 10, 3, 30],
    ["sheathed", 10.1, 5.7, 4, 40.4],
    ["sheathed", 25, 25, 4, 100],
    ["sheathed", 25.1, 25.1, 6, 150.6],
    ["armoured", 20, 20, 6, 120],
    ["mi", 7, 7, 6, 42],
  ] as const)("%s %d × %d: %d times, %d", (family, width, thickness, factor, radius) => {
    const r = bendRadius(family, width, thickness);
    expect(r.factor).toBe(factor);
    expect(r.radius).toBeCloseTo(radius, 9);
  });
  it("flat cable goes by its width, whichever was said first, unless it is bent the flat way", () => {
    expect(bendRadius("sheathed", 5.7, 10.1).radius).toBeCloseTo(40.4, 9);
    expect(bendRadius("sheathed", 10.1, 5.7, "thickness")).toEqual({ factor: 3, radius: 3 * 5.7 });
  });
  it("shaped conductors of armour take eight", () =>
    expect(bendRadius("armoured", 30, 30, "width", "shaped")).toEqual({ factor: 8, radius: 240 }));
  it("armour past 60 asks its maker, and a bend tighter than the least is told", () => {
    expect(bendFacts("armoured", 60, 360, 360)).toEqual([]);
    expect(bendFacts("armoured", 60.1, 360, undefined)).toMatchObject([
      { rule: "bend.maker", measured: 60.1, limit: 60, sense: "most", unit: "mm" },
    ]);
    expect(bendFacts("sheathed", 61, 360, undefined)).toEqual([]);
    expect(bendFacts("sheathed", 10, 30, 29.9)).toMatchObject([
      { rule: "bend.radius", measured: 29.9, limit: 30, sense: "least", unit: "mm" },
    ]);
    expect(bendFacts("sheathed", 10, 30, 30)).toEqual([]);
  });
});

describe("where cable could fall in a fire", () => {
  const place: FirePlace = {
    where: "surface",
    fixings: "plastic",
    overEscape: false,
    besideDoor: null,
    aboveDoor: null,
  };
  const told = (more: Partial<FirePlace>): unknown[] =>
    checkFire({ ...place, ...more }).map((f) => [f.rule, f.severity, f.case ?? "", f.measured ?? null]);
  it("metal holds, and so does what the structure keeps", () => {
    expect(told({ fixings: "metal", overEscape: true })).toEqual([]);
    expect(told({ where: "kept-by-structure", overEscape: true })).toEqual([]);
  });
  it("plastic warns anywhere, and stops over the way out or at its door: 150 beside, 300 above", () => {
    expect(told({})).toEqual([["fire.collapse", "warn", "here", null]]);
    expect(told({ overEscape: true })).toEqual([["fire.collapse", "stop", "over", null]]);
    expect(told({ besideDoor: 150 })).toEqual([["fire.collapse", "stop", "beside", 150]]);
    expect(told({ besideDoor: 151 })).toEqual([["fire.collapse", "warn", "here", null]]);
    expect(told({ aboveDoor: 300 })).toEqual([["fire.collapse", "stop", "above", 300]]);
    expect(told({ aboveDoor: 301 })).toEqual([["fire.collapse", "warn", "here", null]]);
    expect(told({ besideDoor: 100, aboveDoor: 100 })).toEqual([["fire.collapse", "stop", "beside", 100]]);
    expect(told({ overEscape: true, besideDoor: 100 })).toEqual([["fire.collapse", "stop", "over", null]]);
  });
  it("a suspended ceiling is told whatever holds the cable", () =>
    expect(told({ where: "suspended-ceiling", fixings: "metal" })).toEqual([["fire.suspended", "stop", "", null]]));
});
