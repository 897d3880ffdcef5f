import fc from "fast-check";
import { expect, it } from "vitest";
import { layHouse } from "../house/house";
import { buildGraph } from "./build";
import { edgeCosts } from "./edge-costs";
import { generatedHouse } from "./generated-house";
import { EDGE, addEdge, addNode, compile, draft } from "./graph";
import { leftToGo } from "./left-to-go";
import { plainCheapest } from "./plain-search.fixture";
import type { Weights } from "./search";

it("is never more than what is left, nor more than an edge and what is left behind it; and more than level and plumb", () => {
  let [more, all] = [0, 0];
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 60 }), fc.nat(20), fc.nat(20), (seed, i, j) => {
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
      const left = leftToGo(g, to, w);
      expect(left(to)).toBe(0);
      expect(left(from)).toBeLessThanOrEqual(plainCheapest(g, from, to, { ...w, bend: 0 }) + 1e-6);
      for (let e = 0; e < g.a.length; e++) {
        const [a, b, cost] = [g.a[e]!, g.b[e]!, w.cost[e]!];
        expect(left(a)).toBeLessThanOrEqual(cost + left(b) + 1e-6);
        expect(left(b)).toBeLessThanOrEqual(cost + left(a) + 1e-6);
      }
      const plumb = [g.x, g.y, g.z].reduce((s, c) => s + Math.abs(c[from]! - c[to]!), 0);
      if (left(from) > plumb + 100) more++;
      all++;
    }),
    { numRuns: 25 },
  );
  // Where the last of the way is chased into masonry, or comes down out of a deck.
  expect(more).toBeGreaterThan(all / 3);
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
  expect([left(c), left(b)]).toEqual([0, 500 * (1 - 1e-12)]);
  expect(left(a)).toBeCloseTo(1500, 6);
  expect(left(alone)).toBeCloseTo(2500, 6);
});
