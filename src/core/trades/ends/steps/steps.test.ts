import { describe, expect, it } from "vitest";
import { schoolQuestions, schoolsSchema } from "../../../rules/schools";
import { makingOf, makings, startMeasures } from "./makings";

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
