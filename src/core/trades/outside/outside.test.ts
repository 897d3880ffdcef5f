import { describe, expect, it } from "vitest";
import { type Trench, buried } from "./buried";
import { overhead, overheadHeights } from "./overhead";

describe("in the ground", () => {
  const usual: Trench = { depth: 600, armoured: true, duct: false, bedding: true, marker: true };
  const told = (more: Partial<Trench>): unknown[] =>
    buried({ ...usual, ...more }).map((f) => [f.rule, f.severity, f.case ?? "", f.measured ?? null, f.limit ?? null]);
  it("600 is enough, 450 only with care, less never", () => {
    expect(told({})).toEqual([]);
    expect(told({ depth: 599 })).toEqual([["buried.depth", "warn", "", 599, 600]]);
    expect(told({ depth: 450 })).toEqual([["buried.depth", "warn", "", 450, 600]]);
    expect(told({ depth: 449.9 })).toEqual([["buried.depth", "stop", "", 449.9, 450]]);
    expect(buried({ ...usual, depth: 500 })[0]).toMatchObject({ sense: "least", unit: "mm" });
  });
  it("armour or a duct, either will do", () => {
    expect(told({ armoured: false })).toEqual([["buried.protection", "stop", "", null, null]]);
    expect(told({ armoured: false, duct: true })).toEqual([]);
  });
  it("a bed of 75, measured or as usual", () => {
    expect(told({ bedding: 75 })).toEqual([]);
    expect(told({ bedding: 74 })).toEqual([["buried.bedding", "warn", "", 74, 75]]);
    expect(told({ bedding: false })).toEqual([["buried.bedding", "warn", "", 0, 75]]);
  });
  it("a marker 100 to 250 above the cable and in the ground", () => {
    for (const marker of [100, 150, 250]) expect(told({ marker })).toEqual([]);
    expect(told({ marker: 99 })).toEqual([["buried.marker", "warn", "height", 99, 150]]);
    expect(told({ marker: 251 })).toEqual([["buried.marker", "warn", "height", 251, 150]]);
    expect(told({ marker: 600 })).toEqual([["buried.marker", "warn", "out-of-ground", 600, 150]]);
    expect(told({ depth: 200, duct: true, marker: 200 }).map((f) => (f as string[])[2])).toContain("out-of-ground");
    for (const marker of [false, 0]) expect(told({ marker })).toEqual([["buried.marker", "warn", "none", null, null]]);
    expect(buried({ ...usual, marker: 0 })[0]!.of).toEqual({ usual: 150 });
  });
});

describe("over the ground", () => {
  it.each(Object.entries(overheadHeights))("over %s at least %d, and a catenary to carry it", (beneath, least) => {
    const over = beneath as keyof typeof overheadHeights;
    expect(overhead(over, least, 8000, true)).toEqual({ least, facts: [] });
    expect(overhead(over, least - 1, 8000, true).facts).toMatchObject([
      {
        rule: "overhead.height",
        subject: { id: beneath },
        measured: least - 1,
        limit: least,
        sense: "least",
        unit: "mm",
      },
    ]);
    expect(overhead(over, least, 8000, false).facts).toMatchObject([
      { rule: "overhead.catenary", subject: { id: beneath }, measured: 8000, unit: "mm" },
    ]);
  });
});
