import fc from "fast-check";
import { expect, it } from "vitest";
import { layHouse } from "../house/house";
import { cheapPlaces } from "./ahead";
import { buildGraph } from "./build";
import { edgeCosts } from "./edge-costs";
import { generatedHouse } from "./generated-house";
import { EDGE, addEdge, addNode, compile, draft } from "./graph";
import { leftToGo } from "./left-to-go";
import { plainCheapest } from "./plain-search.fixture";
import type { Weights } from "./search";

/** A house, two of its points, and what ways between them cost. */
function between(seed: number, i: number, j: number) {
  const h = layHouse(generatedHouse(seed, 2, 3));
  const g = buildGraph(h);
  const ends = [...g.terminal].filter((x) => x >= 0);
  const [from, to] = [ends[i % ends.length]!, ends[j % ends.length]!];
  const w: Weights = {
    cost: edgeCosts(h, g, h.job.circuits[0]!, new Uint8Array(h.faces.length)),
    perMm: h.job.settings.cost.cable,
    bend: 60,
    throughBox: 1e6,
    ends: [g.terminal.indexOf(from), g.terminal.indexOf(to)],
    crossing: 0,
    others: new Uint8Array(g.nodes),
  };
  return { g, from, to, w };
}

it("is never more than what is left, nor more than an edge and what is left behind it", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 60 }), fc.nat(20), fc.nat(20), (seed, i, j) => {
      const { g, from, to, w } = between(seed, i, j);
      const left = leftToGo(g, to, w);
      expect(left.from(to)).toBe(0);
      expect(left.from(from)).toBeLessThanOrEqual(plainCheapest(g, from, to, { ...w, bend: 0 }) + 1e-6);
      for (let e = 0; e < g.a.length; e++) {
        const [a, b, cost] = [g.a[e]!, g.b[e]!, w.cost[e]!];
        expect(left.from(a)).toBeLessThanOrEqual(cost + left.from(b) + 1e-6);
        expect(left.from(b)).toBeLessThanOrEqual(cost + left.from(a) + 1e-6);
      }
    }),
    { numRuns: 10 },
  );
});

it("is more than level and plumb where the last of the way is chased into masonry, or comes down out of a deck", () => {
  let more = 0;
  for (let seed = 1; seed <= 12; seed++) {
    const { g, from, to, w } = between(seed, 0, 5);
    const plumb = [g.x, g.y, g.z].reduce((s, c) => s + Math.abs(c[from]! - c[to]!), 0);
    if (leftToGo(g, to, w).from(from) > plumb + 100) more++;
  }
  expect(more).toBeGreaterThan(3);
});

it("is what leads on where little does: the places around are looked at until there are no more", () => {
  const g = draft();
  const [a, b, c, alone] = [0, 1000, 1500, 4000].map((x) => addNode(g, [x, 0, 0])) as [number, number, number, number];
  addEdge(g, a, b, EDGE.wall, 0);
  addEdge(g, b, c, EDGE.wall, 0);
  const w: Weights = {
    cost: Float64Array.from([2500, 700]),
    perMm: 1,
    bend: 0,
    throughBox: 1e6,
    ends: [0, 2],
    crossing: 0,
    others: new Uint8Array(4),
  };
  const left = leftToGo(compile(g, new Int32Array()), c, w);
  expect([left.from(c), left.from(b)]).toEqual([0, 500 * (1 - 1e-12)]);
  expect(left.from(a)).toBeCloseTo(1500, 6);
  expect(left.from(alone)).toBeCloseTo(2500, 6);
});

it("counts no more than the way to a cheap place and on from there, and no less than the cheapest price for all of it", () => {
  const g = draft();
  const to = addNode(g, [0, 0, 0]);
  const box = [addNode(g, [1000, 0, 0]), addNode(g, [3000, 0, 0])] as const;
  const beside = addNode(g, [3000, 500, 0]);
  const near = addNode(g, [900, 0, 0]);
  const inside = addNode(g, [1900, 0, 0]);
  const far = addNode(g, [20_000, 0, 0]);
  const cheap = addEdge(g, ...box, EDGE.wall, 0);
  const graph = compile(g, new Int32Array());
  const plain = { perMm: 1, bend: 0, throughBox: 1e6, ends: [0, 2], crossing: 0 } as const;
  const w: Weights = { ...plain, cost: Float64Array.from([1000]), others: new Uint8Array(7) };
  const left = leftToGo(graph, to, { ...w, cheap: cheapPlaces(graph, [[cheap]], 0.5) });
  for (const [n, want] of [
    [near, 900],
    [box[0], 1000],
    [inside, 1000],
    [box[1], 1500],
    [beside, 1750],
    [far, 18_000],
  ] as const)
    expect(left.from(n)).toBeCloseTo(want, 6);
});
