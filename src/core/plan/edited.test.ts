import fc from "fast-check";
import { expect, it } from "vitest";
import { changes as ofHouses, house } from "../house/one-change.fixture";
import { type House, layHouse } from "../house/house";
import { relayHouse } from "../house/relay";
import { checkInvariants } from "../job/invariants";
import { type Job, jobSchema } from "../job/model";
import { makePlan, planHouse } from "./plan";

/** One of a list changed, chosen by a number. */
const one = <T>(list: readonly T[], n: number, change: (x: T) => T): T[] =>
  list.map((x, i) => (i === n % list.length ? change(x) : x));

/** Changes that leave the lines of a house as they are, but not what is said of its circuits. */
const ofCircuits: Record<string, (j: Job, n: number, by: number) => Job> = {
  "the loop of the supply measured": (j, n) => ({ ...j, supply: { ...j.supply, ze: (n % 9) / 10 } }),
  "another earthing": (j, n) => ({
    ...j,
    supply: { ...j.supply, earthing: (["TT", "TN-S", "TN-C-S"] as const)[n % 3]! },
  }),
  "an RCD for all": (j, n) => ({ ...j, supply: { ...j.supply, rcd: n % 2 ? 30 : 100 } }),
  "a deck insulated": (j, n, by) => ({
    ...j,
    decks: one(j.decks, n, (d) => ({ ...d, insulationOver: Math.abs(by) * 2 })),
  }),
  "a wall insulated": (j, n) => ({ ...j, walls: one(j.walls, n, (w) => ({ ...w, build: "stud", insulated: true })) }),
  "a point of another kind": (j, n) => ({
    ...j,
    points: one(j.points, n, (p) => (p.kind === "socket" ? { ...p, kind: "fused-unit", fuse: 3 } : p)),
  }),
  "a double for a single": (j, n) => ({
    ...j,
    points: one(j.points, n, (p) => ({ ...p, gang: p.gang === 1 ? 2 : 1 })),
  }),
  "another cable": (j, n) => ({ ...j, circuits: one(j.circuits, n, (c) => ({ ...c, cable: "te-4" })) }),
  "a room of another size": (j, n, by) => ({
    ...j,
    rooms: one(j.rooms, n, (r) => ({ ...r, outline: r.outline.map((c) => ({ ...c, y: c.y * (1 + by / 1000) })) })),
  }),
  "a point taken out of its circuit": (j, n) => {
    const { id } = j.points[n % j.points.length]!;
    return {
      ...j,
      points: j.points.filter((p) => p.id !== id),
      circuits: j.circuits.map((c) => (c.points.includes(id) ? { ...c, points: c.points.filter((p) => p !== id) } : c)),
    };
  },
  "a new dwelling, or none": (j, n) => ({ ...j, dwelling: { ...j.dwelling, newDwelling: n % 2 === 0 } }),
  "a worktop under a point": (j, n) => {
    const { place } = j.points[n % j.points.length]!;
    if (place.on !== "wall") return j;
    const top = { id: "top", kind: "worktop" as const, wall: place.wall, u: 0, v: 850, width: 3000, height: 40 };
    return { ...j, fixtures: [...j.fixtures.filter((x) => x.id !== "top"), { ...top, depth: 600 }] } as Job;
  },
  "the price of a hole": (j, n) => ({
    ...j,
    settings: { ...j.settings, cost: { ...j.settings.cost, bore: 100 + (n % 900) } },
  }),
};
const changes = { ...ofHouses, ...ofCircuits };

/** A job with a change made in it; null where none of that kind can be made there. */
function made(change: (typeof changes)[string], job: Job, n: number, by: number): Job | null {
  try {
    const next = change(job, n, by);
    // It is not the parsed one that is gone on with: what has not changed stays the very same, as an edit leaves it.
    return checkInvariants(jobSchema.parse(next)).length ? null : next;
  } catch {
    return null;
  }
}

it("a plan after one edit and another is that of the same house never seen before, to the last word", () =>
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.constantFrom(...Object.keys(changes)), fc.nat(200), fc.integer({ min: -90, max: 90 })), {
        minLength: 1,
        maxLength: 3,
      }),
      (edits) => {
        let h: House = layHouse(house);
        planHouse(h);
        for (const [kind, n, by] of edits) {
          const job = made(changes[kind]!, h.job, n, by);
          if (!job) continue;
          h = relayHouse(h, job);
          const told = JSON.stringify(planHouse(h));
          expect(JSON.parse(told)).toEqual(JSON.parse(JSON.stringify(makePlan(structuredClone(job)))));
        }
      },
    ),
    { numRuns: 6 },
  ));
