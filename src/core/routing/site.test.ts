import { expect, it } from "vitest";
import { layHouse } from "../house/house";
import { graphOf } from "./build";
import { generatedHouse } from "./generated-house";
import { EDGE } from "./graph";
import { wantedOf } from "./lay";
import { Site } from "./site";

it("knows what lies on a line, once for each run, until the last of a circuit is gone", () => {
  const h = layHouse(generatedHouse(7, 2, 3));
  const g = graphOf(h);
  const { tasks } = wantedOf(h, g, [], null);
  const [t, u] = tasks.filter((x) => x.circuit.id === "ring");
  const [other] = tasks.filter((x) => x.circuit.id !== "ring");
  const apart = new Map([["ring", { bunched: 1, wall: 1 }]]);
  const site = new Site(h, g, { short: new Set(), apart });
  const way = site.wayFor(t!)!;
  const line = way.edges.find((e) => g.kind[e] === EDGE.wall)!;
  const lies = (): string[] => [...(site.onLine.get(line) ?? [])].sort();
  site.count(t!, way, 1);
  site.count(u!, way, 1);
  expect(lies()).toEqual(["ring", "ring"]);
  site.count(t!, way, -1);
  expect(lies()).toEqual(["ring"]);
  // Lights warm nobody: they are not counted.
  site.count(other!, way, 1);
  expect(lies()).toEqual(["ring"]);
  site.count(u!, way, -1);
  expect(lies()).toEqual([]);
  expect(site.others[g.a[line]!]).toBeGreaterThan(0);
  site.count(other!, way, -1);
  expect([...site.others].every((x) => x === 0)).toBe(true);
});
