import { describe, expect, it } from "vitest";
import { schoolQuestions, schoolsSchema } from "../../../rules/schools";
import { makingForPoint, makingOf, makings, startMeasures } from "./makings";

const schools = schoolsSchema.parse({});
const text = (kind: string, m = {}, s = schools): string =>
  JSON.stringify(makingOf(kind)!.cards(startMeasures(makingOf(kind)!, m), s));

describe("making off, step by step", () => {
  for (const m of makings)
    it(`${m.kind}: starts dead, every card has its check and its usual mistake, measures are filled in`, () => {
      const cards = m.cards(startMeasures(m), schools);
      expect(cards[0]!.title).toBe("Make it dead");
      expect(cards.length).toBeGreaterThan(4);
      for (const c of cards) {
        expect(c.todo.length * c.check.length * c.mistake.length).toBeGreaterThan(0);
        expect(JSON.stringify(c)).not.toMatch(/undefined|NaN|null/);
      }
    });
  it.each(makings)("$kind: its words and figures are as a person last read them", (m) => {
    expect({ name: m.name, measures: m.measures, cards: m.cards(startMeasures(m), schools) }).toMatchSnapshot();
    const other = Object.fromEntries(schoolQuestions.map((q) => [q.key, q.options[1]!.value])) as typeof schools;
    const usual = m.cards(startMeasures(m), schools);
    expect(
      m.cards(startMeasures(m), other).filter((c, i) => JSON.stringify(c) !== JSON.stringify(usual[i])),
    ).toMatchSnapshot();
  });
  it("takes a measure that is given from its least to its most, and the usual past either", () => {
    for (const m of makings)
      for (const f of m.measures) {
        const at = (x: number): number => startMeasures(m, { [f.key]: x })[f.key]!;
        expect([at(f.min), at(f.max), at(f.min - 0.1), at(f.max + 0.1)]).toEqual([f.min, f.max, f.first, f.first]);
      }
  });
  it("knows which termination a point's cable ends in", () => {
    expect(
      (
        ["socket", "appliance-outlet", "switch", "fused-unit", "junction-box", "isolator", "cooker-control"] as const
      ).map((k) => makingForPoint(k, "te-2.5")),
    ).toEqual(["outlet", "outlet", "switch", "fused-unit", "joint-box", "isolator", "isolator"]);
    expect(makingForPoint("light", "te-1.5")).toBeNull();
    expect(makingForPoint("board", "swa-3x6")).toBe("swa-indoor");
    expect(makingOf("none")).toBeNull();
  });
  it("works the measures out: a 70 box and 70 past is 140; doubled strip 2 × 10 − 1 = 19", () => {
    expect(text("outlet")).toMatch(/"140 mm"/);
    expect(text("outlet")).toMatch(/"19 mm, doubled"/);
    expect(text("outlet", {}, { ...schools, doubling: "thin" })).toMatch(/"10 mm"/);
    expect(text("mi-second", { faceToFace: 850, entry: 4, tails: 60, body: 45 })).toMatch(/"809 mm"/);
  });
  it("keeps to the usual when a measure is out of bounds", () =>
    expect(startMeasures(makingOf("outlet")!, { past: 9999 }).past).toBe(70));
  it("follows the schools that change steps", () => {
    const all = (s: typeof schools) => makings.map((m) => JSON.stringify(m.cards(startMeasures(m), s))).join();
    for (const key of [
      "armourCores",
      "armourEarth",
      "glandTag",
      "twoEarths",
      "doubling",
      "floorJoints",
      "spareGland",
    ] as const) {
      const [a, b] = schoolQuestions.find((q) => q.key === key)!.options;
      expect(all({ ...schools, [key]: a.value } as typeof schools)).not.toBe(
        all({ ...schools, [key]: b.value } as typeof schools),
      );
    }
  });
});
