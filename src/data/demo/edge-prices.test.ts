import { describe, expect, it } from "vitest";
import { layHouse } from "../../core/house/house";
import { buildGraph } from "../../core/routing/build";
import { NO_CARE } from "../../core/routing/care";
import { generatedHouse } from "../../core/routing/generated-house";
import { layTasks } from "../../core/routing/lay";
import { Site } from "../../core/routing/site";
import { tasksOf } from "../../core/routing/tasks";
import { ternCottage } from "./tern-cottage";

describe("prices kept up with what comes and goes", () => {
  it("are those of a house in which the same lies from the start: bores shared, faces opened, sections filled, lines kept apart", () => {
    const demo = ternCottage();
    const dear = { ...demo.settings, cost: { ...demo.settings.cost, faces: 900 } };
    for (const job of [generatedHouse(6, 3, 4), { ...demo, settings: dear }]) {
      const h = layHouse(job);
      const g = buildGraph(h);
      const { tasks } = tasksOf(h, g);
      const mains = tasks.filter((t) => t.circuit.kind !== "signal").map((t) => t.circuit.id);
      const apart = new Map([...new Set(mains)].slice(0, 2).map((c) => [c, { bunched: 1, wall: 1 }]));
      const short = new Set([mains[mains.length - 1]!]);
      for (const care of [NO_CARE, { short, apart }]) {
        const site = new Site(h, g, care);
        layTasks(site, tasks, () => undefined, 0);
        const laid = tasks.filter((t) => t.way);
        // Every third is taken up, and every sixth laid again where others lie: in a section, or anywhere.
        const inSections = laid.filter((t) => t.way!.edges.some((e) => g.section[e]!));
        const among = inSections.length ? [...inSections, ...laid] : laid;
        laid.forEach((t, i) => i % 3 === 0 && site.count(t, t.way!, -1));
        // All are asked for once, so that from here on prices are kept up and not made anew.
        for (const t of tasks) site.weightsFor(t);
        const lying = laid.flatMap((t, i) => {
          if (i % 3) return [{ t, way: t.way! }];
          if (i % 6) return [];
          const ways = [among[i % among.length]!.way!, among[(i + 5) % among.length]!.way!];
          for (const way of ways) site.count(t, way, 1);
          return ways.map((way) => ({ t, way }));
        });
        const fresh = new Site(h, g, care);
        for (const { t, way } of lying) fresh.count(t, way, 1);
        for (const t of tasks) {
          const [own, want] = [site.weightsFor(t), fresh.weightsFor(t)];
          const wrong = [...want.cost.keys()].filter(
            (e) => own.cost[e] !== want.cost[e] && Math.abs(own.cost[e]! - want.cost[e]!) > 1e-6,
          );
          expect(wrong, `${t.circuit.label} ${t.from}–${t.to}`).toEqual([]);
        }
      }
    }
  });
  it("a line without mains is kept out of a section in which mains lie, and mains are not kept out for it", () => {
    const h = layHouse(ternCottage());
    const g = buildGraph(h);
    const { tasks } = tasksOf(h, g);
    const signal = tasks.find((t) => t.circuit.kind === "signal")!;
    const site = new Site(h, g);
    const alone = site.weightsFor(signal).cost.slice();
    const mains = tasks.filter((t) => t.circuit.kind !== "signal");
    layTasks(site, mains, () => undefined, 0);
    const there = mains.flatMap((t) => t.way?.edges.filter((e) => g.section[e]! && alone[e]! < Infinity) ?? []);
    expect(there.length).toBeGreaterThan(0);
    const { cost } = site.weightsFor(signal);
    for (const e of there) expect(cost[e]! - alone[e]!).toBeGreaterThan(5 * g.length[e]!);
    const light = mains.find((t) => t.circuit.kind === "lighting")!;
    const was = new Site(h, g).weightsFor(light).cost;
    site.count(signal, { edges: [there[0]!], cost: 0 }, 1);
    for (const s of new Set([g.section[there[0]!]!]))
      for (let e = 0; e < g.a.length; e++)
        if (g.section[e] === s && was[e]! < Infinity)
          expect(site.weightsFor(light).cost[e]! - was[e]!).toBeLessThan(5 * g.length[e]!);
  });
});
