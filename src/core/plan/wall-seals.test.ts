import { describe, expect, it } from "vitest";
import { bothSides, run } from "../book/limits/by-hand.fixture";
import { layHouse } from "../house/house";
import type { Hole } from "../laid/laid";
import { findingOf, namesOf } from "../words/findings";
import { takeOff } from "./take-off";
import { sealedHoles, wallSealFacts } from "./wall-seals";

/** The hole that the run goes through, as the plan has it. */
const drilled: Hole = {
  id: "w1.1500.1200",
  in: { kind: "wall", wall: "w1" },
  at: 1500,
  fromTop: 1200,
  centre: [1500, 3000, 1200],
  diameter: 16,
  runs: ["c:db-s1"],
  plated: false,
};

describe("cables through a wall that holds fire back", () => {
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
    const facts = wallSealFacts(h, [through], []);
    expect(facts).toMatchObject([
      { rule: "fire.seal", case: "cable", where: { wall: "w1", leg: 0 }, of: { u: 1500, v: 1200 } },
    ]);
    expect(findingOf(facts[0]!, namesOf(h)).message).toMatch(
      /^DB1 to S1 passes wall 2 of Room, which separates dwellings, 1.500 from the left and 1.200 up: fire-stopping round it\.$/,
    );
    expect(wallSealFacts(layHouse(bothSides(250, 0)), [through], [drilled])).toEqual([]);
    const along = { ...through, legs: through.legs.map((l) => ({ ...l, method: "chase" as const })) };
    expect(wallSealFacts(h, [along], [])).toEqual([]);
  });
  it("a wall said to hold fire back counts from both its faces, with the size of the hole", () => {
    const own = layHouse(bothSides(250, 0, { fireResisting: true }));
    const hole = { ...drilled, runs: [through.id] };
    const [f, ...more] = wallSealFacts(own, [through], [hole]);
    expect(more).toEqual([]);
    expect(f).toMatchObject({ rule: "fire.seal", case: "fire-wall", of: { diameter: 16, thickness: 250 } });
    expect(findingOf(f!, namesOf(own)).message).toMatch(
      /^DB1 to S1 passes wall 2 of Room, which holds fire back, 1.500 from the left and 1.200 up: fire-stopping round it, in a hole of 16 through 250\.$/,
    );
    expect(sealedHoles(own, [hole, { ...hole, in: { kind: "joist", deck: "d", joist: 1, span: 1 } }])).toEqual([hole]);
    // Said of the other face of the same wall.
    const job = bothSides(250, 0);
    const walls = job.walls.map((w) => (w.room === "q" ? { ...w, fireResisting: true } : w));
    const there = layHouse({ ...job, walls });
    expect(wallSealFacts(there, [through], [])).toHaveLength(1);
    expect(sealedHoles(layHouse(job), [hole])).toEqual([]);
  });
  it("is bought: a seal for every such hole, none for a hole in any other wall", () => {
    const seals = (more: object): string[] =>
      takeOff(layHouse(bothSides(250, 0, more)), [], [{ ...drilled, runs: [] }], [], [])
        .filter((l) => l.item === "Intumescent seal")
        .map((l) => `${l.quantity} × ${l.size}`);
    expect(seals({ fireResisting: true })).toEqual(["1 × hole of 16 mm"]);
    expect(seals({})).toEqual([]);
  });
});
