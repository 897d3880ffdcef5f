import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { generatedHouse } from "../routing/generated-house";
import { changed } from "./changed-house.fixture";
import { apartFromFlood } from "./flooded.fixture";

describe("a flood of the legal places", () => {
  it("comes where the lines lead in made-up houses, and not farther round", () => {
    for (let seed = 1; seed <= 40; seed++)
      expect(apartFromFlood(generatedHouse(seed, 1 + (seed % 3), 2 + (seed % 3)), "board"), String(seed)).toEqual([]);
  });
  it("and after up to three changes to such a house", () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.array(fc.tuple(fc.nat(9), fc.nat(60), fc.nat(3000)), { minLength: 1, maxLength: 3 }),
        (seed, changes) => {
          const job = changes.reduce((j, [k, n, by]) => changed(j, k, n, by), generatedHouse(seed, 2, 3));
          expect(apartFromFlood(job, "board")).toEqual([]);
        },
      ),
      // The same three hundred every time: they are slow, and a rare house is looked into, not met by chance.
      { numRuns: 300, seed: 20_261_126 },
    ));
});
