import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bitFor, bits, wallDrills } from "./bits";
import { cableOf, isCatalogueTable, rowOf, standardCatalogue, withRows } from "./catalogue";
import { type Fact, type Where, fact, factKey, inOrder } from "./fact";
import { expectedR1R2 } from "./resistance";
import { otherOption, schoolQuestions } from "./schools";
import { ambientFactor, groupingFactor, insulationFactor } from "./ratings";

describe("facts told apart", () => {
  const f = fact("zone.outside", "run", "r", { where: { wall: "w", leg: 1 }, measured: 5 });
  it("by rule, subject, case, every part of the place, the measure and the details", () => {
    const others: Fact[] = [
      { ...f, rule: "zone.deep" },
      { ...f, subject: { kind: "hole", id: "r" } },
      { ...f, subject: { kind: "run", id: "s" } },
      { ...f, case: "a" },
      { ...f, measured: 6 },
      { ...f, of: { a: 1 } },
      ...(["wall", "deck", "run"] as const).map((k): Fact => ({ ...f, where: { ...f.where, [k]: "other" } })),
      ...(["leg", "joist", "span", "at"] as const).map((k): Fact => ({ ...f, where: { ...f.where, [k]: 9 } })),
    ];
    const keys = [f, ...others].map(factKey);
    expect(new Set(keys).size).toBe(keys.length);
    // Two parts of the place never read as one another.
    const at = (where: Where): string => factKey({ ...f, where });
    const numbers = (["leg", "joist", "span", "at"] as const).map((k) => at({ [k]: 3 }));
    const names = (["wall", "deck", "run"] as const).map((k) => at({ [k]: "x" }));
    expect(new Set([...numbers, ...names]).size).toBe(7);
    expect(factKey({ ...f })).toBe(factKey(f));
    expect(factKey({ ...f, of: {} })).toBe(factKey(f));
  });
  it("stand gravest first, each once, in one order whatever they came in", () => {
    const list = [
      fact("zone.deep", "run", "b", { severity: "note" }),
      fact("zone.outside", "run", "b", { severity: "stop" }),
      fact("zone.rcd", "run", "a", { severity: "warn" }),
      fact("zone.outside", "run", "a", { severity: "stop" }),
      fact("zone.outside", "run", "b", { severity: "stop" }),
    ];
    const order = (l: Fact[]): string[] => inOrder(l).map((x) => `${x.severity} ${x.subject.id}`);
    expect(order(list)).toEqual(["stop a", "stop b", "warn a", "note b"]);
    fc.assert(
      fc.property(fc.shuffledSubarray(list, { minLength: 5 }), (mixed) => {
        expect(order(mixed)).toEqual(order(list));
      }),
    );
  });
});

describe("bits", () => {
  const te = { width: 10.1, thickness: 5.7 };
  it("a cable of 10.1 × 5.7 goes through the smallest; four want 22", () => {
    expect(bitFor([te], 25)).toBe(16);
    // Section 57.57 less its round edges; at 45 % of the hole.
    expect(bitFor([te, te, te], 25)).toBe(bits.find((d) => bitFor([te, te, te], d) === d));
    expect(bitFor([te], 15)).toBeNull();
    expect(bitFor([te], 16)).toBe(16);
    expect(bitFor([], 25)).toBe(16);
  });
  it("none wider across than the hole, none past what the timber bears; walls have larger drills", () => {
    expect(bitFor([{ width: 16, thickness: 1 }], 25)).toBe(18);
    expect(bitFor([{ width: 30, thickness: 5 }], 25)).toBeNull();
    expect(bitFor([{ width: 30, thickness: 5 }], 107, wallDrills)).toBe(32);
    for (const n of [1, 2, 3, 4, 5, 6]) {
      const d = bitFor(Array(n).fill(te) as (typeof te)[], 107, wallDrills)!;
      const before = wallDrills[wallDrills.indexOf(d) - 1];
      if (before !== undefined) expect(bitFor(Array(n).fill(te) as (typeof te)[], before, wallDrills)).toBeNull();
    }
  });
});

describe("the catalogue", () => {
  it("a row of a known id takes its place, a new one comes last, one that does not fit is left out", () => {
    const row = { ...standardCatalogue.boxes[0]!, depth: 99 };
    const fresh = { ...row, id: "own-box" };
    const own = withRows(standardCatalogue, [
      { table: "boxes", row },
      { table: "boxes", row: fresh },
      { table: "boxes", row: { id: "bad", gang: 3 } },
    ]);
    expect(own.boxes).toEqual([row, ...standardCatalogue.boxes.slice(1), fresh]);
    expect(own.cables).toBe(standardCatalogue.cables);
    expect(withRows(standardCatalogue, [])).toBe(standardCatalogue);
    expect(standardCatalogue.boxes[0]!.depth).not.toBe(99);
  });
  it("finds a row by its id, in this catalogue and not in another", () => {
    expect(cableOf("te-2.5")?.csa).toBe(2.5);
    expect(cableOf("none")).toBeNull();
    const cable = { ...cableOf("te-2.5")!, csa: 3 };
    const own = withRows(standardCatalogue, [{ table: "cables", row: cable as never }]);
    expect([cableOf("te-2.5", own)?.csa, cableOf("te-2.5")?.csa]).toEqual([3, 2.5]);
    expect(rowOf([{ id: "a" }], "a")).toEqual({ id: "a" });
    expect(rowOf([{ id: "a" }], "b")).toBeNull();
  });
  it("knows its tables by name", () =>
    expect(["cables", "drums", "toString", "", 5, null].map(isCatalogueTable)).toEqual([
      true,
      true,
      false,
      false,
      false,
      false,
    ]));
});

describe("tables asked for what they lack", () => {
  it("a section without a row has no resistance, whichever of the two it is", () => {
    const both = expectedR1R2(24_000, 2.5, 1.5)!;
    expect(both).toBeCloseTo(24 * 0.01951, 6);
    expect([expectedR1R2(24_000, 3, 1.5), expectedR1R2(24_000, 2.5, 3), expectedR1R2(1, 3, 3)]).toEqual([
      null,
      null,
      null,
    ]);
  });
  it("every question of a school has another answer than each", () => {
    for (const q of schoolQuestions)
      for (const o of q.options) {
        expect(otherOption(q, o.value).value).not.toBe(o.value);
        expect(q.options).toContain(otherOption(q, o.value));
      }
  });
});

describe("factors", () => {
  it("through insulation: the rows, straight lines between them, a half from 500 on", () => {
    expect([0, 50, 100, 200, 400, 500, 501, 5000].map(insulationFactor)).toEqual([
      1, 0.88, 0.78, 0.63, 0.51, 0.5, 0.5, 0.5,
    ]);
    expect(insulationFactor(25)).toBeCloseTo(0.94, 9);
    expect(insulationFactor(150)).toBeCloseTo(0.705, 9);
    expect(insulationFactor(300)).toBeCloseTo(0.57, 9);
  });
  it("grouping and warmth count the next row up, and nothing past the hottest", () => {
    expect(groupingFactor(1)).toBe(1);
    expect(groupingFactor(2)).toBeGreaterThan(groupingFactor(3));
    expect(groupingFactor(1000)).toBe(groupingFactor(999));
    expect(ambientFactor(25, 70)).toBe(ambientFactor(10, 70));
    expect(ambientFactor(31, 70)).toBe(ambientFactor(35, 70));
    expect(ambientFactor(30, 70)).toBe(1);
    expect(ambientFactor(61, 70)).toBeNull();
  });
});
