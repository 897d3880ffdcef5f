import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { buildGraph } from "./build";
import { edgeCosts } from "./edge-costs";
import { generatedHouse } from "./generated-house";
import { EDGE, type RouteGraph, addEdge, addNode, compile, draft } from "./graph";
import { layTasks } from "./lay";
import { lookFor, lookAgain } from "./looked";
import { plainCheapest } from "./plain-search.fixture";
import { type Weights, cheapestWay, costOfWay } from "./search";
import { Site } from "./site";
import type { Prices } from "./tariffs";
import { type Task, tasksOf } from "./tasks";
import { presetNames, presets } from "./weights";

/** Prices that tell of what changes in them. */
class Told implements Prices {
  readonly changed: number[] = [];
  readonly was: number[] = [];
  constructor(readonly cost: Float64Array) {}
  set(e: number, cost: number): void {
    this.changed.push(e);
    this.was.push(this.cost[e]!);
    this.cost[e] = cost;
  }
}

/** True in a corner, where what lies on one face lies on the other. */
const cornered = (g: RouteGraph, n: number): boolean =>
  g.edges.subarray(g.first[n]!, g.first[n + 1]!).some((e) => g.kind[e] === EDGE.corner);

/** A house, two of its points, and what ways between them cost. */
function between(seed: number, i: number, j: number, crossing: number) {
  const h = layHouse(generatedHouse(seed, 2, 3));
  const g = buildGraph(h);
  const ends = g.terminal.length;
  const [p, q] = [i % ends, j % ends];
  const prices = new Told(edgeCosts(h, g, h.job.circuits[0]!, new Uint8Array(h.faces.length)));
  const w: Weights = {
    cost: prices.cost,
    perMm: h.job.settings.cost.cable,
    bend: 60,
    throughBox: 1e6,
    ends: [p, q],
    crossing,
    others: Uint8Array.from({ length: g.nodes }, (_, n) => (n % 5 === 0 && !cornered(g, n) ? n % 8 : 0)),
  };
  return { g, from: g.terminal[p]!, to: g.terminal[q]!, prices, w };
}

describe("a way found before", () => {
  it("is taken again only while no other is cheaper, whatever prices and cables have come and gone", () => {
    let [again, anew] = [0, 0];
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.tuple(fc.nat(20), fc.nat(20)),
        fc.constantFrom(0, 150),
        fc.array(fc.tuple(fc.nat(100_000), fc.constantFrom(1, 1.2, 2, Infinity)), { maxLength: 40 }),
        fc.array(fc.tuple(fc.nat(100_000), fc.nat(7)), { maxLength: 20 }),
        fc.nat(3),
        (seed, [i, j], crossing, changes, cables, near) => {
          const { g, from, to, prices, w } = between(seed, i, j, crossing);
          if (from < 0 || to < 0 || from === to) return;
          // Some holes and lines are dear at first, so that they may become cheaper.
          for (let e = 0; e < g.a.length; e += 3) prices.set(e, prices.cost[e]! * 1.5 + 200);
          const was = lookFor(g, from, to, w, prices);
          const along = was.way?.edges ?? [];
          for (const [k, by] of changes) {
            // Anywhere in the house, or close to the way.
            const e = near && along.length ? nextTo(g, along, k) : k % g.a.length;
            prices.set(e, by === Infinity ? Infinity : Math.max(g.length[e]!, (prices.cost[e]! - 200) / by));
          }
          for (const [k, bits] of cables) if (!cornered(g, k % g.nodes)) w.others[k % g.nodes] = bits;
          const still = lookAgain(g, from, to, w, prices, was);
          if (still === undefined) anew++;
          else {
            again++;
            const least = plainCheapest(g, from, to, w);
            if (still) expect(still.cost).toBeCloseTo(least, 4);
            else expect(least).toBe(Infinity);
          }
        },
      ),
      { numRuns: 100 },
    );
    expect(again).toBeGreaterThan(10);
    expect(anew).toBeGreaterThan(10);
  });

  /** An edge of a way, or one that meets it. */
  function nextTo(g: RouteGraph, along: readonly number[], k: number): number {
    const e = along[k % along.length]!;
    const node = k % 2 ? g.a[e]! : g.b[e]!;
    const at = g.first[node]! + (k % (g.first[node + 1]! - g.first[node]!));
    return g.edges[at]!;
  }

  it("stays where nothing has changed, where all else is dearer, and where what is cheaper is its own", () => {
    const { g, from, to, prices, w } = between(4, 0, 5, 0);
    const was = lookFor(g, from, to, w, prices);
    const { edges, cost } = was.way!;
    expect(lookAgain(g, from, to, w, prices, was)).toEqual({ edges, cost });
    for (let e = 0; e < g.a.length; e++) if (!edges.includes(e)) prices.set(e, prices.cost[e]! + 50);
    expect(lookAgain(g, from, to, w, prices, was)).toEqual({ edges, cost });
    const own = edges[Math.floor(edges.length / 2)]!;
    const before = prices.cost[own]!;
    prices.set(own, before + 30);
    expect(lookAgain(g, from, to, w, prices, was)!.cost).toBeCloseTo(plainCheapest(g, from, to, w), 6);
    prices.set(own, before);
    expect(lookAgain(g, from, to, w, prices, was)!.cost).toBeCloseTo(cost, 6);
    prices.set(own, (before + g.length[own]!) / 2);
    expect(lookAgain(g, from, to, w, prices, was)!.cost).toBeCloseTo(cost - (before - g.length[own]!) / 2, 6);
  });

  it("is none only while nothing opens", () => {
    const { g, from, to, prices, w } = between(4, 0, 5, 0);
    const shut = [...g.edges.subarray(g.first[to]!, g.first[to + 1]!)];
    const open = shut.map((e) => prices.cost[e]!);
    for (const e of shut) prices.set(e, Infinity);
    const was = lookFor(g, from, to, w, prices);
    expect(was.way).toBe(null);
    expect(lookAgain(g, from, to, w, prices, was)).toBe(null);
    prices.set(shut[0]!, open[0]!);
    expect(lookAgain(g, from, to, w, prices, was)).toBe(undefined);
  });

  it.each([true, false])(
    "is not taken where a door opens from where it looked on to where it did not: %s",
    (outwards) => {
      const d = draft();
      const chain = Array.from({ length: 31 }, (_, i) => addNode(d, [100 * i, 0, 0]));
      const aside = addNode(d, [1500, 500, 0]);
      const [from, to] = [chain[0]!, chain[30]!];
      const cost: number[] = [];
      for (let i = 1; i < chain.length; i++) cost[addEdge(d, chain[i - 1]!, chain[i]!, EDGE.wall, 0)] = 100;
      const door = outwards ? addEdge(d, from, aside, EDGE.wall, 0) : addEdge(d, aside, from, EDGE.wall, 0);
      cost[door] = 20_000;
      cost[addEdge(d, aside, to, EDGE.wall, 0)] = 1500;
      const g = compile(d, new Int32Array());
      const prices = new Told(Float64Array.from(cost));
      const plain = { perMm: 0.1, bend: 0, throughBox: 1e6, ends: [0, 1], crossing: 0 } as const;
      const w: Weights = { ...plain, cost: prices.cost, others: new Uint8Array(g.nodes) };
      const was = lookFor(g, from, to, w, prices);
      expect(was.way!.cost).toBe(3000);
      prices.set(door, 1400);
      const still = lookAgain(g, from, to, w, prices, was);
      expect((still ?? cheapestWay(g, from, to, w))!.cost).toBe(2900);
    },
  );

  it("keeps what it looked at from the next search", () => {
    const { g, prices, w } = between(4, 0, 5, 0);
    const n = g.terminal.length;
    // More than one shelf full.
    const all = Array.from({ length: 400 }, (_, k) => {
      const [from, to] = [g.terminal[k % n]!, g.terminal[(k + 1 + (k % 3)) % n]!];
      return { from, to, was: lookFor(g, from, to, w, prices) };
    });
    for (const { from, to, was } of all) {
      const seen = { places: new Int32Array(), least: new Float64Array(), left: null };
      cheapestWay(g, from, to, w, seen);
      expect([...was.places]).toEqual([...seen.places]);
      expect([...was.least]).toEqual([...seen.places].map((p) => seen.least[p]!));
    }
  });

  it("is not taken where what is cheaper on both makes another cheaper than what is cheaper on its own", () => {
    const d = draft();
    const [from, on, to] = [0, 500, 1000].map((x) => addNode(d, [x, 0, 0])) as [number, number, number];
    const [first, last] = [addEdge(d, from, on, EDGE.wall, 0), addEdge(d, on, to, EDGE.wall, 0)];
    const other = addEdge(d, on, to, EDGE.wall, 0);
    const g = compile(d, new Int32Array());
    const cost: number[] = [];
    [cost[first], cost[last], cost[other]] = [1000, 1000, 1080];
    const prices = new Told(Float64Array.from(cost));
    const plain = { perMm: 1, bend: 0, throughBox: 1e6, ends: [0, 1], crossing: 0 } as const;
    const w: Weights = { ...plain, cost: prices.cost, others: new Uint8Array(3) };
    const was = lookFor(g, from, to, w, prices);
    prices.set(first, 970);
    prices.set(other, 1020);
    expect(lookAgain(g, from, to, w, prices, was)).toEqual({ edges: [first, last], cost: 1970 });
    prices.set(other, 990);
    expect(lookAgain(g, from, to, w, prices, was)).toEqual({ edges: [first, other], cost: 1960 });
    // So much cheaper that it has to be searched for anew; and shut.
    prices.set(last, 100);
    expect(lookAgain(g, from, to, w, prices, was)).toBe(undefined);
    for (const e of [first, last, other]) prices.set(e, Infinity);
    expect(lookAgain(g, from, to, w, prices, was)).toBe(undefined);
  });

  it.each(presetNames)(
    "%s: costs what a search would find, run after run taken up in a house full of cables",
    (preset) => {
      let kept = 0;
      for (const seed of [3, 8]) {
        const job = generatedHouse(seed, 3, 4);
        const h = layHouse({ ...job, settings: { ...job.settings, cost: presets[preset].cost } });
        const g = buildGraph(h);
        const site = new Site(h, g);
        const { tasks } = tasksOf(h, g);
        layTasks(site, tasks, () => undefined);
        const away: Task[] = [];
        for (let round = 0; round < 3; round++)
          for (const t of tasks) {
            if (!t.way || away.includes(t)) continue;
            const was = t.way;
            site.count(t, was, -1);
            const w = site.weightsFor(t);
            const [a, b] = w.ends.map((n) => g.terminal[n]!) as [number, number];
            const way = site.wayFor(t)!;
            expect(way.cost).toBeCloseTo(cheapestWay(g, a, b, w)!.cost, 4);
            // As dear from its end: it may be looked for from there.
            expect(costOfWay(g, b, [...way.edges].reverse(), w)).toBeCloseTo(way.cost, 4);
            if (way.edges === was.edges) kept++;
            // Some are left out for a round, and some lie another way until they are taken up again.
            t.way = (round + t.number) % 3 ? way : site.shortestFor(t, () => false, Infinity);
            if ((round + t.number) % 4) site.count(t, t.way!, 1);
            else away.push(t);
            if (away.length > 3) {
              const back = away.shift()!;
              site.count(back, back.way!, 1);
            }
          }
        // What lies in a corner lies on both of its faces.
        for (let e = 0; e < g.a.length; e++)
          if (g.kind[e] === EDGE.corner) expect(site.others[g.a[e]!]).toBe(site.others[g.b[e]!]);
      }
      expect(kept).toBeGreaterThan(5);
    },
  );
});
