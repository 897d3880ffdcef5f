import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { pathLength } from "../base/wall-frame";
import { layHouse } from "../house/house";
import { bendsIn, runLength } from "../laid/run-measures";
import { COMPARE_EXACT, compareCircuits } from "./compare";
import { generatedHouse } from "./generated-house";
import { goodTour, tourLength } from "./good-tour";
import { buildGraph } from "./build";
import { planHouse } from "../plan/plan";
import { bestOrder } from "./order";
import { tourBound, treeBound } from "./tour-bounds";
import { whyThisWay } from "./why";

/** Places on a grid of metres, 0 the board; distances along and across, mm. */
const grid = (places: readonly (readonly [number, number])[]): number[][] =>
  places.map((p) => places.map((q) => 1000 * (Math.abs(p[0] - q[0]) + Math.abs(p[1] - q[1]))));
const matrix = (least: number, most = least) =>
  fc
    .array(fc.tuple(fc.integer({ min: 0, max: 30 }), fc.integer({ min: 0, max: 30 })), {
      minLength: least,
      maxLength: most,
    })
    .map(grid);

function orders(xs: number[]): number[][] {
  return xs.length ? xs.flatMap((x) => orders(xs.filter((y) => y !== x)).map((rest) => [x, ...rest])) : [[]];
}
const open = (d: number[][], chain: readonly number[]): number =>
  chain.slice(1).reduce((s, p, i) => s + d[chain[i]!]![p]!, 0);

describe("closed tours", () => {
  it("a square of four is walked round: 4 × 5 m, from the board, the lower neighbour first", () => {
    const d = grid([
      [0, 0],
      [5, 5],
      [0, 5],
      [5, 0],
    ]);
    expect(goodTour(d)).toEqual([0, 2, 1, 3]);
    expect(tourLength(d, [0, 2, 1, 3])).toBe(20_000);
    expect(tourLength(d, [0, 1, 2, 3])).toBe(30_000);
    expect(goodTour([[0]])).toEqual([0]);
    expect(
      goodTour(
        grid([
          [0, 0],
          [1, 1],
        ]),
      ),
    ).toEqual([0, 1]);
  });
  it("up to seven places a good one is the best there is, and it is the same every time", () => {
    fc.assert(
      fc.property(matrix(3, 7), (d) => {
        const t = goodTour(d);
        expect([...t].sort((a, b) => a - b)).toEqual(d.map((_, i) => i));
        expect(t[0]).toBe(0);
        const best = Math.min(...orders(d.map((_, i) => i).slice(1)).map((o) => tourLength(d, [0, ...o])));
        expect(tourLength(d, t)).toBeLessThanOrEqual(best * 1.12 + 1e-6);
        expect(goodTour(d)).toEqual(t);
      }),
      { numRuns: 40 },
    );
  });
  it("a ring of twelve places in a circle is found as the circle", () => {
    const places = [0, 1, 2, 3, 3, 3, 3, 2, 1, 0, 0, 0].map(
      (x, i) => [x, [0, 0, 0, 0, 1, 2, 3, 3, 3, 3, 2, 1][i]!] as const,
    );
    // Named out of order, so that the order given is no help.
    const mixed = [0, 7, 2, 9, 4, 11, 6, 1, 8, 3, 10, 5].map((i) => places[i]!);
    expect(tourLength(grid(mixed), goodTour(grid(mixed)))).toBe(12_000);
  });
});

describe("bounds", () => {
  it("never above the best, and close under it: nine tenths of it over many houses", () => {
    const shares: number[] = [];
    fc.assert(
      fc.property(matrix(5, 7), (d) => {
        const inner = orders(d.map((_, i) => i).slice(1));
        const tour = Math.min(...inner.map((o) => tourLength(d, [0, ...o])));
        const bound = tourBound(d, tour);
        expect(bound).toBeLessThanOrEqual(tour + 1e-6);
        if (tour > 0) shares.push(bound / tour);
        const chains = Math.min(
          ...inner.flatMap((o) =>
            o.slice(1).map((_, k) => open(d, [0, ...o.slice(0, k + 1)]) + open(d, [0, ...o.slice(k + 1)])),
          ),
        );
        expect(treeBound(d, chains)).toBeLessThanOrEqual(chains + 1e-6);
      }),
      { numRuns: 30, seed: 7 },
    );
    expect(shares.reduce((s, x) => s + x, 0) / shares.length).toBeGreaterThan(0.9);
  });
  it("prove the shortest tour of nine places in nineteen of twenty houses", () => {
    let seed = 1;
    const next = (): number => (seed = (seed * 48_271) % 2_147_483_647) / 2_147_483_647;
    const proved = Array.from({ length: 60 }, () => {
      const d = grid(Array.from({ length: 9 }, () => [5 * next(), 5 * next()] as const));
      const { length } = bestOrder(d, true);
      return tourBound(d, length) > length - 0.02;
    });
    expect(proved.filter((x) => x).length).toBeGreaterThanOrEqual(57);
  });
  it("are the length itself where there is but one tour, or where all lie in a row", () => {
    const row = grid([0, 1, 2, 3, 4, 5].map((x) => [x, 0] as const));
    expect(tourBound(row, 10_000)).toBeCloseTo(10_000, 1);
    expect(
      treeBound(
        grid([
          [2, 0],
          [0, 0],
          [1, 0],
          [3, 0],
          [5, 0],
        ]),
        5000,
      ),
    ).toBeCloseTo(5000, 1);
    expect(
      tourBound(
        grid([
          [0, 0],
          [3, 0],
          [0, 4],
        ]),
        14_000,
      ),
    ).toBeCloseTo(14_000, 1);
  });
});

describe("one ring against two radials", () => {
  it("both the shortest there are, by trying every order and every split", () => {
    fc.assert(
      fc.property(matrix(3, 6), (d) => {
        const c = compareCircuits(d);
        const inner = orders(d.map((_, i) => i).slice(1));
        expect(c.ring.length).toBe(Math.min(...inner.map((o) => tourLength(d, [0, ...o]))));
        expect(c.radials.total).toBe(
          Math.min(
            ...inner.flatMap((o) =>
              o.slice(1).map((_, k) => open(d, [0, ...o.slice(0, k + 1)]) + open(d, [0, ...o.slice(k + 1)])),
            ),
          ),
        );
        expect([c.optimal, c.bound, c.ring.bound, c.radials.bound]).toEqual([
          true,
          c.ring.length,
          c.ring.length,
          c.radials.total,
        ]);
        const [p, q] = c.radials.orders;
        expect([p[0], q[0], p.length > 1, q.length > 1]).toEqual([0, 0, true, true]);
        expect([...p.slice(1), ...q.slice(1)].sort((a, b) => a - b)).toEqual(d.map((_, i) => i).slice(1));
        expect(c.radials.lengths).toEqual([open(d, p), open(d, q)]);
      }),
      { numRuns: 40 },
    );
  });
  it("past the exact size every place is on one chain, and nothing is claimed that is not so", () => {
    fc.assert(
      fc.property(matrix(COMPARE_EXACT + 2, COMPARE_EXACT + 6), (d) => {
        const c = compareCircuits(d);
        const [p, q] = c.radials.orders;
        expect([...p.slice(1), ...q.slice(1)].sort((a, b) => a - b)).toEqual(d.map((_, i) => i).slice(1));
        expect([p.length > 1, q.length > 1, p[0], q[0]]).toEqual([true, true, 0, 0]);
        expect(c.ring.bound).toBeLessThanOrEqual(c.ring.length + 1e-6);
        expect(c.radials.bound).toBeLessThanOrEqual(c.radials.total + 1e-6);
        expect(c.radials.total).toBeCloseTo(open(d, p) + open(d, q), 6);
        // The ring cut open is a pair of chains: they are never longer than it.
        expect(c.radials.total).toBeLessThanOrEqual(c.ring.length + 1e-6);
        expect(c.optimal).toBe(c.ring.bound >= c.ring.length - 1e-6 && c.radials.bound >= c.radials.total - 1e-6);
      }),
      { numRuns: 10 },
    );
  });
});

describe("why a run goes its way", () => {
  const h = layHouse(generatedHouse(9, 2, 4));
  const g = buildGraph(h);
  const plan = planHouse(h);
  const round = (_: string, x: unknown): unknown => (typeof x === "number" ? Math.round(x * 10) / 10 : x);
  it.each(plan.runs.map((r) => r.id))("%s: what its way is made of, and the next best, as last looked at", (id) => {
    const why = whyThisWay(h, g, id)!;
    const run = plan.runs.find((r) => r.id === id)!;
    expect(why.taken.length).toBeCloseTo(run.pathLength, 3);
    expect(why.taken.bores).toBe(plan.holes.filter((o) => o.in.kind === "joist" && o.runs.includes(id)).length);
    expect(why.taken.wallHoles).toBe(plan.holes.filter((o) => o.in.kind === "wall" && o.runs.includes(id)).length);
    expect(why.taken.bends).toBe(bendsIn(run.legs));
    const chase = run.legs.filter((l) => l.method === "chase").reduce((sum, l) => sum + pathLength(l.path), 0);
    expect(why.taken.chase).toBeCloseTo(chase, 3);
    expect(why.taken.newBores).toBeLessThanOrEqual(why.taken.bores);
    for (const n of why.next) {
      expect(n.dearer).toBeCloseTo(n.parts.cost - why.taken.cost, 6);
      if (n.without.kind !== "nothing") expect(n.dearer).toBeGreaterThanOrEqual(-1e-6);
    }
    expect(why.next.map((n) => n.dearer)).toEqual([...why.next.map((n) => n.dearer)].sort((a, b) => a - b));
    expect(JSON.parse(JSON.stringify(why, round))).toMatchSnapshot();
  });
});

describe("a run measured", () => {
  const leg = (...path: [number, number, number][]) => ({ path });
  it("adds its legs and what lies between them, and counts where it turns", () => {
    const legs = [
      leg([0, 0, 0], [0, 0, 900]),
      // On straight, by another method.
      leg([0, 0, 900], [0, 0, 1500]),
      leg([0, 0, 1500], [700, 0, 1500]),
      // Round a corner, with 40 between the faces.
      leg([700, 40, 1500], [700, 640, 1500]),
    ];
    expect(runLength(legs)).toBe(900 + 600 + 700 + 40 + 600);
    expect(bendsIn(legs)).toBe(2);
    expect([runLength([]), bendsIn([]), bendsIn(legs.slice(0, 1))]).toEqual([0, 0, 0]);
    // Turning right back is a turn.
    expect(bendsIn([leg([0, 0, 0], [0, 0, 900]), leg([0, 0, 900], [0, 0, 100])])).toBe(1);
  });
});
