import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { changedFurtherHouse, changedFurtherHouses } from "./changed-further.fixture";
import { apartFromFlood } from "./flooded.fixture";
import { pointFacts } from "./point-facts";
import { secondLook } from "./second-checker.fixture";
import { makePlan } from "./plan";

describe("past what stands in a deck or is kept free, joists cut already, windows, beams and thin leaves, a flood", () => {
  it.each<[what: string, seed: number, ...changes: (readonly [number, number, number])[]]>([
    ["past a trimmer, to a light under the joist beside it from the joist's other side", 186, [11, 49, 1472]],
    [
      "out of a board by the strip of a socket that it reaches into, where no level chase may be cut",
      208,
      [8, 43, 1221],
    ],
    ["nowhere from behind to a socket in what is kept free", 4563, [12, 34, 750]],
    ["through the wall and on behind what is kept free of a level strip", 2509, [12, 60, 770]],
    ["through a joist with an old notch as deep as the school of the job allows", 1151, [6, 4, 2915], [13, 52, 227]],
  ])("goes %s", (_, seed, ...changes) =>
    expect(apartFromFlood(changedFurtherHouse(seed, changes), "board")).toEqual([]),
  );
  it("comes where the lines lead in houses after up to three such changes, and not farther round", () =>
    fc.assert(
      fc.property(changedFurtherHouses, ({ job }) => {
        fc.pre(!pointFacts(layHouse(job)).some((f) => f.rule === "point.overlap"));
        expect(apartFromFlood(job, "board")).toEqual([]);
      }),
      // The same every time: a rare house is looked into, not met by chance.
      { numRuns: 150, seed: 20_261_128 },
    ));
  it("and a second look finds nothing in their plans", () =>
    fc.assert(
      fc.property(changedFurtherHouses, ({ job }) => {
        expect(secondLook(job, makePlan(job))).toEqual([]);
      }),
      { numRuns: 300 },
    ));
});
