import { describe, expect, it } from "vitest";
import { schoolQuestions, schoolsSchema } from "../../../rules/schools";
import { makingOf, makings, startMeasures } from "./makings";

const schools = schoolsSchema.parse({});
const text = (kind: string, m = {}, s = schools): string =>
  JSON.stringify(makingOf(kind)!.cards(startMeasures(makingOf(kind)!, m), s));

describe("making off, step by step", () => {
  for (const m of makings)
    it(`${m.kind}: begins with its caution, every card has its check, its usual mistake and why, measures are filled in`, () => {
      const cards = m.cards(startMeasures(m), schools);
      if (m.half === "second") expect(cards[0]!.title).toBe("Make it dead");
      if (m.kind !== "coil") expect(cards[0]!.caution).toMatch(/dead|hands/);
      expect(cards.length).toBeGreaterThan(3);
      for (const c of cards) {
        expect(c.todo.length * c.check.length * c.mistake.length * c.why.length).toBeGreaterThan(0);
        expect(JSON.stringify(c)).not.toMatch(/undefined|NaN|\bnull\b/);
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
  it("works the measures out: doubled strip 2 × 10 − 1 = 19; armour rung one cone back, cut a tail on", () => {
    expect(text("outlet")).toMatch(/"140 mm"/);
    expect(text("outlet")).toMatch(/"19 mm, doubled"/);
    expect(text("outlet", {}, { ...schools, doubling: "thin" })).toMatch(/"10 mm"/);
    expect(text("swa-indoor", { wires: 300, cone: 15, tails: 250 })).toMatch(/A 300 mm.*B 285 mm.*"550 mm"/);
    expect(text("swa-indoor", { cores: 2 })).toMatch(/No sleeve is needed/);
    expect(text("mi-second", { faceToFace: 850, entry: 4, tails: 60, body: 45 })).toMatch(/"809 mm"/);
  });
  it("keeps to the usual when a measure is out of bounds", () =>
    expect(startMeasures(makingOf("outlet")!, { tail: 9999 }).tail).toBe(140));
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
      "trunkingCut",
      "lightingFeed",
    ] as const) {
      const [a, b] = schoolQuestions.find((q) => q.key === key)!.options;
      expect(all({ ...schools, [key]: a.value } as typeof schools)).not.toBe(
        all({ ...schools, [key]: b.value } as typeof schools),
      );
    }
  });
});
