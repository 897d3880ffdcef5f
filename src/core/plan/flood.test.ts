import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { generatedHouse } from "../routing/generated-house";
import { changedHouse, changedHouses } from "./changed-house.fixture";
import { apartFromFlood } from "./flooded.fixture";
import { pointFacts } from "./point-facts";

describe("a flood of the legal places", () => {
  it("comes where the lines lead in made-up houses, and not farther round", () => {
    for (let seed = 1; seed <= 40; seed++)
      expect(apartFromFlood(generatedHouse(seed, 1 + (seed % 3), 2 + (seed % 3)), "board"), String(seed)).toEqual([]);
  });
  it.each<[what: string, seed: number, ...changes: (readonly [number, number, number])[]]>([
    ["through the wall in a corner, at the height of a point round the next", 1, [2, 28, 1457], [0, 0, 0]],
    ["under a box, by the strip of a point on the other face", 4974, [8, 4, 0], [0, 0, 0]],
    ["into another bay over a wide plate", 1, [8, 3, 0], [0, 0, 0]],
    ["aside within its box, where no level chase may be cut", 4931, [8, 9, 0], [9, 0, 732]],
    ["beside a stud in a corner", 5, [2, 10, 2239]],
    ["through the wall into a drop, from a level strip of the other face", 521, [8, 28, 0]],
    ["through the wall in what the bands of two rooms of unlike height share", 180, [8, 59, 2586], [6, 13, 2312]],
    ["from its box into the corner it reaches", 1, [8, 4, 0], [1, 2, 0], [0, 33, 1]],
  ])("goes %s", (_, seed, ...changes) => {
    const job = changedHouse(seed, changes);
    expect(apartFromFlood(job, "board")).toEqual([]);
  });
  it("goes through a bare wall in its corner, at the height of a point round the next corner", () => {
    const job = changedHouse(1, [
      [2, 28, 1457],
      [0, 0, 0],
    ]);
    // Nothing on the wall between the rooms: only the socket on the wall that meets it wants that height.
    const bare = { ...job, points: job.points.filter((p) => p.id !== "r1s0" && p.id !== "r0s1") };
    expect(apartFromFlood(bare, "board")).toEqual([]);
  });
  it("and after up to three changes to such a house", () =>
    fc.assert(
      fc.property(changedHouses, ({ job }) => {
        // Boxes in one another, which is told, bar each other's way in or not, as one reads it.
        fc.pre(!pointFacts(layHouse(job)).some((f) => f.rule === "point.overlap"));
        expect(apartFromFlood(job, "board")).toEqual([]);
      }),
      // The same three hundred every time: they are slow, and a rare house is looked into, not met by chance.
      { numRuns: 300, seed: 20_261_126 },
    ));
});
