import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { isHeavy } from "../house/deck";
import { type Job, type PinnedLeg } from "../job/model";
import { checkPlan } from "./checker";
import type { Run } from "../laid/laid";

import { house, leg, run } from "./laid-by-hand.fixture";

describe("what the checker sees of a leg", () => {
  const rules = (job: Job, r: Run): string[] =>
    checkPlan(layHouse(job), { runs: [r], holes: [], clips: [] }).map((f) => `${f.rule}${f.case ? ` ${f.case}` : ""}`);
  const noRcd = house({ circuits: [{ ...house().circuits[0]!, rcd: null }] });
  it("a cable less than 50 from either face of its wall wants 30 mA; surface, protected and deep cable does not", () => {
    const has = (l: PinnedLeg) => rules(noRcd, run([l])).includes("zone.rcd");
    expect(has(leg({ depth: 49.9 }))).toBe(true);
    expect(has(leg({ depth: 50 }))).toBe(false);
    // The far face of the wall of 100 between the rooms.
    const thin = leg({
      surface: { kind: "wall", id: "a2" },
      path: [
        [4000, 1500, 450],
        [4000, 1500, 2400],
      ],
    });
    expect(has({ ...thin, depth: 50 })).toBe(false);
    expect(has({ ...thin, depth: 51 })).toBe(true);
    expect(has(leg({ method: "surface", depth: 0 }))).toBe(false);
    expect(has(leg({ protected: true }))).toBe(false);
    expect(rules(house(), run([leg({})]))).not.toContain("zone.rcd");
  });
  it("at any depth in a partition with metal parts", () => {
    const metal = {
      ...noRcd,
      walls: noRcd.walls.map((w) => (w.id === "a1" ? { ...w, build: "metal-stud" as const } : w)),
    };
    expect(rules(metal, run([leg({ depth: 150 })]))).toContain("zone.rcd");
  });
  it("a leg across the joists at a slant is askew; along or square it is not", () => {
    const inDeck = (path: PinnedLeg["path"]) => leg({ surface: { kind: "deck", id: "d" }, method: "across-bay", path });
    const has = (path: PinnedLeg["path"]) => rules(house(), run([inDeck(path)])).includes("route.off-surface askew");
    expect(
      has([
        [400, 500, 2500],
        [600, 700, 2500],
      ]),
    ).toBe(true);
    expect(
      has([
        [400, 500, 2500],
        [400, 1700, 2500],
      ]),
    ).toBe(false);
    expect(
      has([
        [400, 500, 2500],
        [600, 500, 2500],
      ]),
    ).toBe(false);
    expect(
      has([
        [400, 500, 2500],
        [401, 1700, 2500],
      ]),
    ).toBe(false);
  });
  it("a leg that leaves its deck in plan or in height", () => {
    const inDeck = (path: PinnedLeg["path"]) =>
      leg({ surface: { kind: "deck", id: "d" }, method: "along-joist", path });
    const has = (path: PinnedLeg["path"]) =>
      rules(house(), run([inDeck(path)])).includes("route.off-surface leaves-deck");
    expect(
      has([
        [500, 500, 2500],
        [500, 3300, 2500],
      ]),
    ).toBe(false);
    expect(
      has([
        [500, 500, 2500],
        [500, 3301, 2500],
      ]),
    ).toBe(true);
    expect(
      has([
        [500, 500, 2299],
        [500, 900, 2500],
      ]),
    ).toBe(true);
  });
});

describe("joists that carry more than a floor", () => {
  const at = (kind: string, x: number): boolean => {
    const outline = [
      { x, y: 1000 },
      { x: x + 100, y: 1000 },
      { x: x + 100, y: 1200 },
      { x, y: 1200 },
    ];
    const job = house();
    const l = layHouse({
      ...job,
      decks: [{ ...job.decks[0]!, obstacles: [{ id: "o", kind: kind as "steel", name: "", outline }] }],
    }).decks[0]!;
    return isHeavy(l, l.joists[1]!, 1);
  };
  it("are those that a steel or trimmer touches, and those the user names", () => {
    // Joist 2 lies at x 700.
    expect(at("steel", 650)).toBe(true);
    expect(at("trimmer", 650)).toBe(true);
    expect(at("chimney", 650)).toBe(false);
    expect(at("stair", 650)).toBe(false);
    expect(at("steel", 800)).toBe(false);
    const job = house();
    const l = layHouse({ ...job, decks: [{ ...job.decks[0]!, heavyJoists: [2] }] }).decks[0]!;
    expect(l.joists.slice(0, 3).map((j) => isHeavy(l, j, 1))).toEqual([false, true, false]);
  });
  it("only in the span they stand in: past a bearing the same joist is free, and over the bearing it is the wall that bears", () => {
    const job = house();
    const steel = (y: number, more: object = {}) =>
      layHouse({
        ...job,
        decks: [
          {
            ...job.decks[0]!,
            joists: { ...job.decks[0]!.joists, bearings: [[1400, 1500]] },
            obstacles: [
              {
                id: "o",
                kind: "steel",
                name: "",
                outline: [
                  { x: 0, y },
                  { x: 0, y: y + 100 },
                  { x: 8100, y: y + 100 },
                  { x: 8100, y },
                ],
              },
            ],
            ...more,
          },
        ],
      }).decks[0]!;
    const heavy = (l: ReturnType<typeof steel>) => [1, 2].map((s) => isHeavy(l, l.joists[1]!, s));
    expect(heavy(steel(600))).toEqual([true, false]);
    expect(heavy(steel(2000))).toEqual([false, true]);
    expect(heavy(steel(1400))).toEqual([false, false]);
    expect(heavy(steel(1390))).toEqual([true, false]);
    expect(heavy(steel(1410))).toEqual([false, true]);
    // The user's word, with its reason, against it; for that span of that joist alone.
    const said = { notHeavy: [{ joist: 2, span: 1, reason: "Steel stops short, seen with the boards up" }] };
    expect(heavy(steel(600, said))).toEqual([false, false]);
    expect(isHeavy(steel(600, said), steel(600, said).joists[2]!, 1)).toBe(true);
    expect(heavy(steel(600, { ...said, heavyJoists: [2] }))).toEqual([false, true]);
  });
});
