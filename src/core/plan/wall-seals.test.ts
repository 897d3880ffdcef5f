import { describe, expect, it } from "vitest";
import { bothSides, run } from "../book/limits/by-hand.fixture";
import { layHouse } from "../house/house";
import { findingOf, namesOf } from "../words/findings";
import { wallSealFacts } from "./wall-seals";

describe("cables through a separating wall", () => {
  const through = run([
    {
      method: "through-wall",
      surface: { kind: "wall", id: "w1" },
      path: [
        [1500, 3000, 1200],
        [1500, 3250, 1200],
      ],
    },
  ]);
  it("each wants its hole made good, told with its place; through any other wall none", () => {
    const h = layHouse(bothSides(250, 0, { backing: "party" }));
    const facts = wallSealFacts(h, [through]);
    expect(facts).toMatchObject([
      { rule: "fire.seal", case: "cable", where: { wall: "w1", leg: 0 }, of: { u: 1500, v: 1200 } },
    ]);
    expect(findingOf(facts[0]!, namesOf(h)).message).toMatch(
      /^DB1 to S1 passes wall 2 of Room, which separates dwellings, 1.500 from the left and 1.200 up: fire-stopping round it\.$/,
    );
    expect(wallSealFacts(layHouse(bothSides(250, 0)), [through])).toEqual([]);
    const along = { ...through, legs: through.legs.map((l) => ({ ...l, method: "chase" as const })) };
    expect(wallSealFacts(h, [along])).toEqual([]);
  });
});
