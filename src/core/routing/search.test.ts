import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { XYZ } from "../base/wall-frame";
import { layHouse } from "../house/house";
import type { Job } from "../job/model";
import { cheapPlaces } from "./ahead";
import { Buckets, FarBuckets } from "./buckets";
import { buildGraph } from "./build";
import { edgeCosts } from "./edge-costs";
import { generatedHouse } from "./generated-house";
import { EDGE, type RouteGraph, addEdge, addNode, compile, draft } from "./graph";
import { plainCheapest, plainDistances } from "./plain-search.fixture";
import { type Weights, cheapestWay, distancesFrom } from "./search";

/** The same house with one corner of a room moved, so that two of its walls stand at an angle. */
const askew = (j: Job): Job => ({
  ...j,
  rooms: j.rooms.map((r, i) =>
    i ? r : { ...r, outline: r.outline.map((c, k) => (k === 2 ? { x: c.x - 700, y: c.y - 400 } : c)) },
  ),
});
const jobs: Record<string, (seed: number) => Job> = {
  "square rooms": (seed) => generatedHouse(seed, 2, 3),
  "a room askew": (seed) => askew(generatedHouse(seed, 2, 3)),
};

describe("lengths over the legal lines", () => {
  it("are right over a graph with long edges after one with short ones, in whose room it is looked for", () => {
    /** A chain of so many steps of so many mm, and an edge from its start to its end that is longer by 100 than all of them. */
    const chain = (steps: number, mm: number): RouteGraph => {
      const d = draft();
      for (let i = 0; i <= steps; i++) addNode(d, [mm * i, 0, 0]);
      const aside = addNode(d, [0, 50, 0]);
      for (let i = 0; i < steps; i++) addEdge(d, i, i + 1, EDGE.wall, 0);
      addEdge(d, 0, aside, EDGE.wall, 0);
      const far = addNode(d, [mm * steps, 50, 0]);
      addEdge(d, aside, far, EDGE.wall, 0);
      addEdge(d, far, steps, EDGE.wall, 0);
      return compile(d, new Int32Array());
    };
    for (const [steps, mm] of [
      [3, 10],
      [400, 50],
      [5, 10],
    ] as const) {
      const g = chain(steps, mm);
      expect(distancesFrom(g, 0, [steps], g.hidden)).toEqual([steps * mm]);
    }
  });

  it.each(Object.keys(jobs))("%s: the same as by the plain search, through boxes and past them", (name) => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.nat(20), fc.boolean(), (seed, n, through) => {
        const g = buildGraph(layHouse(jobs[name]!(seed)));
        const ends = [...g.terminal].filter((x) => x >= 0);
        const from = ends[n % ends.length]!;
        const all = Array.from({ length: g.nodes }, (_, i) => i);
        const want = plainDistances(g, from, g.hidden, through);
        distancesFrom(g, from, all, g.hidden, through).forEach((x, i) => {
          if (want[i]! === Infinity) expect(x).toBe(Infinity);
          else expect(x).toBeCloseTo(want[i]!, 6);
        });
        // Looking for a few of them finds the same for those.
        const few = ends.slice(0, 4);
        distancesFrom(g, from, few, g.hidden, through).forEach((x, i) =>
          want[few[i]!]! === Infinity ? expect(x).toBe(Infinity) : expect(x).toBeCloseTo(want[few[i]!]!, 6),
        );
      }),
      { numRuns: 8 },
    );
  });
});

describe("cheapest way", () => {
  it.each(Object.keys(jobs))("%s: costs what the plain search says, bends, crossings and boxes counted", (name) => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.tuple(fc.nat(20), fc.nat(20)),
        fc.constantFrom(0, 60, 400),
        fc.constantFrom(0, 150),
        (seed, [i, j], bend, crossing) => {
          const h = layHouse(jobs[name]!(seed));
          const g = buildGraph(h);
          const ends = g.terminal.length;
          const [p, q] = [i % ends, j % ends];
          if (p === q || g.terminal[p]! < 0 || g.terminal[q]! < 0) return;
          const weights: Weights = {
            cost: edgeCosts(h, g, h.job.circuits[0]!, new Uint8Array(h.faces.length)),
            perMm: h.job.settings.cost.cable,
            bend,
            throughBox: 1e6,
            ends: [p, q],
            crossing,
            others: Uint8Array.from({ length: g.nodes }, (_, n) => (n % 3 === seed % 3 ? n % 8 : 0)),
          };
          const want = plainCheapest(g, g.terminal[p]!, g.terminal[q]!, weights);
          const way = cheapestWay(g, g.terminal[p]!, g.terminal[q]!, weights);
          if (want === Infinity) expect(way).toBe(null);
          else expect(way!.cost).toBeCloseTo(want, 4);
        },
      ),
      { numRuns: 15 },
    );
  });
  it.each(Object.keys(jobs))("%s: the same where cable is cheaper in some stretches than elsewhere", (name) => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.tuple(fc.nat(20), fc.nat(20)),
        fc.array(fc.tuple(fc.nat(5000), fc.integer({ min: 1, max: 60 })), { minLength: 1, maxLength: 4 }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        (seed, [i, j], stretches, share) => {
          const h = layHouse(jobs[name]!(seed));
          const g = buildGraph(h);
          const ends = g.terminal.length;
          const [p, q] = [i % ends, j % ends];
          if (p === q || g.terminal[p]! < 0 || g.terminal[q]! < 0) return;
          const cost = Float64Array.from(g.length, (x, e) => (g.hidden[e] ? x : Infinity));
          const taken = new Set<number>();
          const groups = stretches.map(([from, count]) =>
            Array.from({ length: count }, (_, k) => (from + k) % g.a.length).filter((e) => {
              if (taken.has(e)) return false;
              taken.add(e);
              cost[e]! *= share;
              return true;
            }),
          );
          const weights: Weights = {
            cost,
            perMm: 1,
            cheap: cheapPlaces(
              g,
              groups.filter((x) => x.length),
              share,
            ),
            bend: 60,
            throughBox: 1e6,
            ends: [p, q],
            crossing: 0,
            others: new Uint8Array(g.nodes),
          };
          const want = plainCheapest(g, g.terminal[p]!, g.terminal[q]!, weights);
          const way = cheapestWay(g, g.terminal[p]!, g.terminal[q]!, weights);
          if (want === Infinity) expect(way).toBe(null);
          else expect(way!.cost).toBeCloseTo(want, 4);
        },
      ),
      { numRuns: 12 },
    );
  });
  it("cheap places are told apart only while they are few", () => {
    const g = buildGraph(layHouse(generatedHouse(3, 2, 3)));
    const groups = Array.from({ length: 25 }, (_, k) => [k]);
    expect(cheapPlaces(g, groups, 0.6)).toBe(null);
    expect(cheapPlaces(g, [], 0.6)).toBe(null);
    const { count, near } = cheapPlaces(g, [...groups.slice(2), [0, 400, 900]], 0.6)!;
    expect(count).toBe(24);
    // The last box: from the least to the greatest of each measure of the ends of its edges.
    const box = [g.x, g.y, g.z].map((c) => {
      const at = [0, 400, 900].flatMap((e) => [c[g.a[e]!]!, c[g.b[e]!]!]).sort((p, q) => p - q);
      return { c, lo: at[0]!, hi: at[at.length - 1]! };
    });
    for (let n = 0; n < g.nodes; n++) {
      const off = box.map(({ c, lo, hi }) => (c[n]! < lo ? lo - c[n]! : c[n]! > hi ? c[n]! - hi : 0));
      expect(near[n * count + 23]!).toBeCloseTo(off[0]! + off[1]! + off[2]!, 6);
    }
  });
  /** A small graph: places, and edges as pairs of them with a box each. */
  const small = (places: readonly XYZ[], edges: readonly [number, number, number][]): RouteGraph => {
    const d = draft();
    for (const p of places) addNode(d, p);
    for (const [a, b, box] of edges) addEdge(d, a, b, EDGE.wall, 0, { box });
    return compile(d, new Int32Array(0));
  };
  const plain = (g: RouteGraph, cost: readonly number[]): Weights => ({
    cost: Float64Array.from(cost),
    perMm: 1,
    bend: 0,
    throughBox: 1e6,
    ends: [0, 1],
    crossing: 0,
    others: new Uint8Array(g.nodes),
  });
  it("goes straight along walls at an angle where the way along them is cheapest", () => {
    const g = small(
      [
        [0, 0, 0],
        [500, 500, 0],
        [1000, 1000, 0],
      ],
      [
        [0, 1, -1],
        [1, 2, -1],
        [0, 2, -1],
      ],
    );
    const half = Math.hypot(500, 500);
    expect(cheapestWay(g, 0, 2, plain(g, [half, half, 1600]))!.cost).toBeCloseTo(2 * half, 6);
  });
  it("goes round the box of a point that it does not serve, and through one only where nothing else leads on", () => {
    const places: XYZ[] = [
      [0, 0, 0],
      [1000, 0, 0],
      [0, 300, 0],
      [1000, 300, 0],
    ];
    const round: [number, number, number][] = [
      [0, 2, -1],
      [2, 3, -1],
      [3, 1, -1],
    ];
    const lengths = [300, 1000, 300];
    const both = small(places, [[0, 1, 5], ...round]);
    expect(cheapestWay(both, 0, 1, plain(both, [1000, ...lengths]))!.edges).toEqual([1, 2, 3]);
    const own = small(places, [[0, 1, 1], ...round]);
    expect(cheapestWay(own, 0, 1, plain(own, [1000, ...lengths]))!.edges).toEqual([0]);
    const only = small(places, [[0, 1, 5]]);
    expect(cheapestWay(only, 0, 1, plain(only, [1000]))).toEqual({ edges: [0], cost: 1_001_000 });
  });
  it("the cheapest of several ways that come in at almost the same cost, whichever was found first", () => {
    // From 0 to 1 along x and then y, or along y and then x; and straight there, on a slope that counts as along x.
    const places: XYZ[] = [
      [0, 0, 0],
      [10, 10, 0],
      [10, 0, 0],
      [0, 10, 0],
    ];
    const edges: [number, number, number][] = [
      [0, 1, -1],
      [0, 2, -1],
      [2, 1, -1],
      [0, 3, -1],
      [3, 1, -1],
    ];
    const g = small(places, edges);
    const cheapest = (...cost: number[]) => cheapestWay(g, 0, 1, { ...plain(g, cost), perMm: 0 });
    expect(cheapest(31, 10, 10, 12, 13)).toEqual({ edges: [1, 2], cost: 20 });
    expect(cheapest(31, 12, 13, 10, 10)).toEqual({ edges: [3, 4], cost: 20 });
    expect(cheapest(19, 10, 10, 12, 13)).toEqual({ edges: [0], cost: 19 });
    expect(cheapest(31, 10, 21, 12, 13)).toEqual({ edges: [3, 4], cost: 25 });
    // With a bend of 30 both come in on their own axis, 50 before 55.
    const bent = (...cost: number[]) => cheapestWay(g, 0, 1, { ...plain(g, cost), perMm: 0, bend: 30 });
    expect(bent(63, 10, 10, 12, 13)).toEqual({ edges: [1, 2], cost: 50 });
    expect(bent(63, 12, 13, 10, 10)).toEqual({ edges: [3, 4], cost: 50 });
  });
  it("keeps the dearer way to a place where the cheaper one would have to cross others there", () => {
    const g = small(
      [
        [0, 0, 0],
        [10, 20, 0],
        [0, 10, 0],
        [10, 0, 0],
        [10, 10, 0],
      ],
      [
        [0, 2, -1],
        [2, 4, -1],
        [0, 3, -1],
        [3, 4, -1],
        [4, 1, -1],
      ],
    );
    const w = { ...plain(g, [30, 50, 10, 40, 5]), perMm: 0, bend: 20, crossing: 150 };
    expect(cheapestWay(g, 0, 1, w)!.edges).toEqual([2, 3, 4]);
    w.others[4] = 1;
    expect(cheapestWay(g, 0, 1, w)).toEqual({ edges: [0, 1, 4], cost: 125 });
  });
  it("what is guessed of the way left is never more than it: no edge is shorter than its share of level and plumb", () => {
    for (const [name, make] of Object.entries(jobs)) {
      const g = buildGraph(layHouse(make(7)));
      expect(g.square, name).toBeGreaterThan(0.57);
      expect(g.square === 1, name).toBe(name === "square rooms");
      for (let e = 0; e < g.a.length; e++) {
        const sum = [g.x, g.y, g.z].reduce((s, c) => s + Math.abs(c[g.a[e]!]! - c[g.b[e]!]!), 0);
        expect(g.length[e]!).toBeGreaterThanOrEqual(g.square * sum - 1e-9);
      }
    }
  });
});

describe("queue in buckets", () => {
  it("gives bucket after bucket, each with all that was put in it", () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 5000, noNaN: true }), { minLength: 1, maxLength: 3000 }), (ds) => {
        const q = new Buckets(40, 5000);
        ds.forEach((d, i) => q.push(d, i));
        const out: number[] = [];
        while (q.size) {
          q.turn();
          for (let n = q.take(); n >= 0; n = q.take()) out.push(n);
        }
        expect([...out].sort((a, b) => a - b)).toEqual(ds.map((_, i) => i));
        const buckets = out.map((n) => Math.trunc(ds[n]! * (1 / 40)));
        expect(buckets).toEqual([...buckets].sort((a, b) => a - b));
      }),
      { numRuns: 40 },
    );
  });
  it("for steps of any size: bucket after bucket, and within one in the order they went in", () => {
    // A million is the price of another point's box; 40 000 lies just beyond what the buckets of 10 reach at once.
    const step = fc.oneof(fc.double({ min: 0, max: 90, noNaN: true }), fc.constantFrom(20_000, 40_950, 40_961, 1e6));
    fc.assert(
      fc.property(fc.array(fc.tuple(step, fc.nat(3)), { minLength: 1, maxLength: 400 }), (pushes) => {
        const q = new FarBuckets(10);
        for (const times of [1, 2]) {
          q.clear();
          const cost: number[] = [];
          const out: number[] = [];
          let least = 0;
          const takeOne = (): boolean => {
            const n = q.take();
            if (n < 0) return false;
            out.push(n);
            least = cost[n]!;
            expect(q.bucket).toBe(q.bucketOf(least));
            return true;
          };
          for (const [by, take] of pushes) {
            // As a search does: nothing goes in below what came out last.
            cost.push(least + by);
            q.push(least + by, cost.length - 1);
            for (let k = 0; k < take && takeOne(); k++);
          }
          // The first time something is left in it.
          while (times === 2 && takeOne());
          if (times === 2) expect(out.length).toBe(pushes.length);
          const buckets = out.map((n) => Math.floor(cost[n]! * 0.1));
          expect(buckets).toEqual([...buckets].sort((a, b) => a - b));
          for (let i = 1; i < out.length; i++)
            if (buckets[i] === buckets[i - 1]) expect(out[i]!).toBeGreaterThan(out[i - 1]!);
        }
        expect(q.take()).toBe(-1);
      }),
      { numRuns: 60 },
    );
    const q = new FarBuckets(10);
    q.push(40, 1);
    q.push(50, 2);
    expect(q.take()).toBe(1);
    // A hair less than what came out last, as rounding leaves it.
    q.push(40 - 1e-9, 3);
    expect([q.take(), q.take(), q.take()]).toEqual([3, 2, -1]);
  });
});
