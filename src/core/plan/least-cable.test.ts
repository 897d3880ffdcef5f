import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { board, circuit, house, run, socket } from "../book/limits/by-hand.fixture";
import { layHouse } from "../house/house";
import { type Job, jobSchema } from "../job/model";
import { pinOf } from "../laid/move-leg";
import { generatedHouse } from "../routing/generated-house";
import { presetNames, presets } from "../routing/weights";
import { leastCable } from "./least-cable";
import { makePlan } from "./plan";

/** Runs that join points, wherever they lie: only what they join counts. */
const joins = (pairs: readonly [string, string][], circuitId = "c") =>
  pairs.map(([from, to], i) => run([], { id: `${circuitId}.${i}`, circuit: circuitId, from, to, pathLength: 50_000 }));
const weighed = (job: Job, preset: (typeof presetNames)[number]): Job => ({
  ...job,
  settings: { ...job.settings, cost: presets[preset].cost },
});

describe("the least cable, by hand", () => {
  // Wall w1 along y 3 000: sockets at x 1 000 and 3 000, 450 up, plates of 86. The board's plate is on the wall opposite.
  const job = house({
    decks: [],
    points: [board, socket("s1", 1000), socket("s2", 3000), socket("s3", 3000, 1450)],
    circuits: [circuit({ points: ["s1", "s2", "s3"] })],
  });
  const h = layHouse(job);
  it("between two sockets on a wall: 2 000 less half a plate at each end, the straight one a pencil's width less at each", () => {
    const { bound, plumb } = leastCable(h, joins([["s1", "s2"]]));
    expect(plumb).toBe(2000 - 86);
    expect(bound).toBe(2000 - 86 - 2);
  });
  it("aslant it is level and plumb for the one, straight for the other", () => {
    const { bound, plumb } = leastCable(h, joins([["s1", "s3"]]));
    expect(plumb).toBe(1914 + 914);
    expect(bound).toBeCloseTo(Math.hypot(1914, 914) - 2, 9);
  });
  it("a tree takes the least steps, whichever runs are laid; parts that do not hang together count each for itself", () => {
    const tree = leastCable(
      h,
      joins([
        ["s1", "s3"],
        ["s1", "s2"],
      ]),
    );
    expect(tree.plumb).toBe(1914 + 914);
    const apart = layHouse(
      house({
        ...job,
        points: [...job.points, socket("s4", 3500)],
        circuits: [circuit({ points: ["s1", "s2", "s3", "s4"] })],
      }),
    );
    const two = leastCable(
      apart,
      joins([
        ["s1", "s2"],
        ["s3", "s4"],
      ]),
    );
    expect(two.plumb).toBe(1914 + (914 + 414));
  });
  it("a whole ring goes round and comes back; one with a leg missing is a tree, and a spur comes on top", () => {
    const ring = layHouse(house({ ...job, circuits: [circuit({ kind: "ring", points: ["s1", "s2", "s3"] })] }));
    const whole = leastCable(
      ring,
      joins([
        ["s1", "s2"],
        ["s2", "s3"],
        ["s1", "s3"],
      ]),
    );
    // 1 914 + 914 + (1 914 + 914): each side of the triangle once.
    expect(whole.plumb).toBeCloseTo(2 * (1914 + 914), 6);
    expect(
      leastCable(
        ring,
        joins([
          ["s1", "s2"],
          ["s2", "s3"],
        ]),
      ).plumb,
    ).toBe(1914 + 914);
    const spurred = layHouse(
      house({
        ...job,
        points: [...job.points, socket("s4", 3500)],
        circuits: [circuit({ kind: "ring", points: ["s1", "s2", "s3"], spurs: [{ from: "s2", point: "s4" }] })],
      }),
    );
    const more = leastCable(
      spurred,
      joins([
        ["s1", "s2"],
        ["s2", "s3"],
        ["s1", "s3"],
        ["s2", "s4"],
      ]),
    );
    expect(more.plumb).toBeCloseTo(2 * (1914 + 914) + 414, 6);
  });
  it("of a ring that is only added to the new runs need not come round: they are a tree", () => {
    const old = layHouse(
      house({ ...job, circuits: [circuit({ kind: "ring", state: "extend", points: ["s1", "s2", "s3"] })] }),
    );
    const all = joins([
      ["s1", "s2"],
      ["s2", "s3"],
      ["s1", "s3"],
    ]);
    expect(leastCable(old, all).plumb).toBe(1914 + 914);
  });
  it("what a circuit needs is known again only while its runs join the same places", () => {
    const ring = layHouse(house({ ...job, circuits: [circuit({ kind: "ring", points: ["s1", "s2", "s3"] })] }));
    const round = joins([
      ["s1", "s2"],
      ["s2", "s3"],
      ["s1", "s3"],
    ]);
    const first = leastCable(ring, round);
    expect(leastCable(ring, round)).toEqual(first);
    expect(leastCable(ring, round.slice(0, 2)).plumb).toBe(1914 + 914);
    expect(leastCable(ring, joins([["s1", "s2"]])).plumb).toBe(1914);
    // The very same circuit, of which one point has moved, has a wider plate, or now hangs behind another as a spur.
    const other = (change: (p: Job["points"][number]) => object) =>
      leastCable(
        layHouse({ ...ring.job, points: ring.job.points.map((p) => (p.id === "s2" ? { ...p, ...change(p) } : p)) }),
        round,
      );
    expect(other((p) => ({ place: { ...p.place, u: 2900 } })).plumb).toBe(1814 + (14 + 914) + (1914 + 914));
    expect(other(() => ({ gang: 2 })).plumb).toBe(2 * (1914 + 914) - 30);
    const behind = ring.job.points.map((p) =>
      p.id === "s2"
        ? { ...p, kind: "fused-unit" as const, controls: ["s3"] }
        : p.id === "s3"
          ? { ...p, kind: "appliance-outlet" as const }
          : p,
    );
    const wired = layHouse({ ...ring.job, points: behind });
    expect(wired.job.circuits).toBe(ring.job.circuits);
    // Two places and a spur are no ring.
    expect(leastCable(wired, round)).toEqual(leastCable(layHouse(structuredClone(wired.job)), round));
    expect(leastCable(wired, round).plumb).toBeLessThan(first.plumb - 1000);
    expect(leastCable(ring, round)).toEqual(first);
  });
  it("nothing laid needs nothing", () => {
    expect(leastCable(h, [])).toEqual({ bound: 0, plumb: 0 });
    expect(makePlan(house({ points: [board], circuits: [] })).cable).toEqual({
      total: 0,
      bound: null,
      ratio: null,
      plumb: 0,
      lines: 0,
    });
  });
});

describe("the least cable holds", () => {
  const houses = fc
    .tuple(fc.integer({ min: 1, max: 100_000 }), fc.integer({ min: 1, max: 3 }), fc.integer({ min: 2, max: 4 }))
    .map(([s, r, p]) => generatedHouse(s, r, p));
  it("for every plan of a house by whatever weights: none is below the bound of any other that joins the same points", () =>
    fc.assert(
      fc.property(houses, (job) => {
        const plans = presetNames.map((p) => makePlan(weighed(job, p)));
        const joined = (p: (typeof plans)[number]) => new Set(p.runs.flatMap((r) => [r.from, r.to])).size;
        for (const a of plans)
          for (const b of plans)
            if (joined(a) === joined(b)) expect(a.cable.bound!).toBeLessThanOrEqual(b.cable.total + 1e-6);
      }),
      { numRuns: 8 },
    ));
  it("with runs pinned elsewhere, and never null while anything is laid", () =>
    fc.assert(
      fc.property(houses, fc.nat(30), (job, k) => {
        const other = makePlan(weighed(job, "holes"));
        const r = other.runs[k % other.runs.length]!;
        const pinned = makePlan(jobSchema.parse({ ...job, pins: [pinOf(r)] }));
        expect(pinned.cable.bound).not.toBeNull();
        expect(pinned.cable.bound!).toBeLessThanOrEqual(pinned.cable.total + 1e-6);
        expect(pinned.cable.ratio!).toBeGreaterThanOrEqual(1 - 1e-9);
        expect(makePlan(job).cable.bound!).toBeLessThanOrEqual(pinned.cable.total + 1e-6);
      }),
      { numRuns: 8 },
    ));
  it("against every order there is: a ring of up to five places, each tour measured", () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 100, max: 3900 }), fc.integer({ min: 100, max: 2300 })), {
          minLength: 3,
          maxLength: 5,
        }),
        (at) => {
          const points = at.map(([u, v], i) => socket(`s${i}`, u, v));
          const ids = points.map((p) => p.id);
          const h = layHouse(house({ points: [board, ...points], circuits: [circuit({ kind: "ring", points: ids })] }));
          const gap = (i: number, j: number): number =>
            Math.max(0, Math.abs(at[i]![0] - at[j]![0]) - 86) + Math.max(0, Math.abs(at[i]![1] - at[j]![1]) - 86);
          const tours = (left: number[], last: number, sum: number): number =>
            left.length
              ? Math.min(
                  ...left.map((x) =>
                    tours(
                      left.filter((y) => y !== x),
                      x,
                      sum + gap(last, x),
                    ),
                  ),
                )
              : sum + gap(last, 0);
          const exact = tours(ids.map((_, i) => i).slice(1), 0, 0);
          const ring = joins(ids.map((id, i): [string, string] => [id, ids[(i + 1) % ids.length]!]));
          const { plumb, bound } = leastCable(h, ring);
          expect(plumb).toBeCloseTo(exact, 6);
          expect(bound).toBeLessThanOrEqual(plumb + 1e-6);
        },
      ),
    ));
});
