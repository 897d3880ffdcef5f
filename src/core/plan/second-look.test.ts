import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { generatedHouse } from "../routing/generated-house";
import { changedHouse, changedHouses } from "./changed-house.fixture";
import { secondLook } from "./second-checker.fixture";
import { makePlan } from "./plan";

describe("a second look, by a checker that shares nothing with the first", () => {
  it("finds nothing in the plans of made-up houses", () => {
    for (let seed = 1; seed <= 40; seed++) {
      const job = generatedHouse(seed, 1 + (seed % 3), 2 + (seed % 3));
      expect(secondLook(job, makePlan(job)), String(seed)).toEqual([]);
    }
  });
  it("nor after up to three changes to such a house", () =>
    fc.assert(
      fc.property(changedHouses, ({ job }) => {
        expect(secondLook(job, makePlan(job))).toEqual([]);
      }),
      { numRuns: 300 },
    ));
  it("lets a cable come out of a corner right into the board that reaches there, however thin the leaf", () => {
    const job = changedHouse(1, [
      [8, 59, 0],
      [0, 0, 0],
      [0, 6, 0],
    ]);
    const plan = makePlan(job);
    expect(secondLook(job, plan)).toEqual([]);
    // The same leg farther along the wall is a chase too deep for it.
    const moved = plan.runs.map((r) =>
      r.id !== "ring.board.r1s0"
        ? r
        : {
            ...r,
            legs: r.legs.map((l, i) =>
              i < r.legs.length - 1
                ? l
                : { ...l, path: l.path.map(([x, y, z]) => [x - 400, y, z] as (typeof l.path)[0]) },
            ),
          },
    );
    expect(secondLook(job, { ...plan, runs: moved }).some((x) => x.includes("too deep"))).toBe(true);
  });
  it("sees a leg out of its zone, a hole that is not listed, one in the wrong place and one too large", () => {
    const job = generatedHouse(7, 2, 3);
    const plan = makePlan(job);
    expect(secondLook(job, { ...plan, holes: [] }).length).toBeGreaterThan(0);
    const bent = plan.runs.map((r) => ({
      ...r,
      legs: r.legs.map((l) => ({ ...l, path: l.path.map(([x, y, z]) => [x, y, z - 300] as [number, number, number]) })),
    }));
    expect(secondLook(job, { ...plan, runs: bent }).some((x) => x.includes("zones"))).toBe(true);
    const moved = (by: object) => plan.holes.map((o) => (o.in.kind === "joist" ? { ...o, ...by } : o));
    expect(secondLook(job, { ...plan, holes: moved({ at: 10 }) }).length).toBeGreaterThan(0);
    expect(secondLook(job, { ...plan, holes: moved({ diameter: 60 }) }).some((x) => x.includes("quarter"))).toBe(true);
  });
});
