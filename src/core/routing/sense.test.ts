import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import type { Job } from "../job/model";
import { bitFor } from "../rules/bits";
import { buildGraph } from "./build";
import { EDGE } from "./graph";
import { generatedHouse } from "./generated-house";
import { layTasks } from "./lay";
import { distancesFrom } from "./search";
import { levelTooLong, sensibleWay } from "./sense";
import { Site } from "./site";
import { type Task, tasksOf } from "./tasks";
import { presetNames, presets } from "./weights";

const laid = (job: Job): { h: ReturnType<typeof layHouse>; site: Site; tasks: Task[] } => {
  const h = layHouse(job);
  const g = buildGraph(h);
  const site = new Site(h, g);
  const { tasks } = tasksOf(h, g);
  layTasks(site, tasks, () => undefined);
  return { h, site, tasks };
};
const priced = (job: Job, preset: (typeof presetNames)[number]): Job => ({
  ...job,
  settings: { ...job.settings, cost: presets[preset].cost },
});

describe("the shortest way of all", () => {
  it("leads nowhere that is closed to the run: off the zones, or through a hole that is full", () => {
    const job = generatedHouse(7, 3, 4);
    const circuits = job.circuits.map((c, i) => (i ? c : { ...c, walls: "surface" as const }));
    const { site, tasks } = laid({ ...job, circuits });
    expect(site.g.hidden).toContain(0);
    let looked = 0;
    for (const t of tasks) {
      if (t.circuit.walls !== "hidden") continue;
      const way = site.shortestFor(t, () => false, Infinity)!;
      expect(site.costOf(t, way.edges)).toBeLessThan(Infinity);
      expect(way.edges.every((e) => site.g.hidden[e])).toBe(true);
      expect(site.shortestFor(t, () => false, way.cost)).toEqual(way);
      expect(site.shortestFor(t, () => false, way.cost - 100)).toBe(null);
      looked++;
    }
    expect(looked).toBeGreaterThan(3);
  });
});

describe("level chases in masonry", () => {
  it("are longer than 1.5 m only where no way without them is less than three times as long, whatever the weights", () => {
    let long = 0;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), fc.constantFrom(...presetNames), (seed, preset) => {
        const { h, site, tasks } = laid(priced(generatedHouse(seed, 3, 4), preset));
        const { g } = site;
        // Plumb on masonry, and all that is not masonry: what an electrician would look to first.
        const without = g.hidden.map((ok, e) =>
          ok && !(g.kind[e] === EDGE.wall && g.axis[e] !== 2 && h.faces[g.ref[e]!]!.wall.build === "masonry") ? 1 : 0,
        );
        for (const t of tasks) {
          if (!t.way) continue;
          const chased = levelTooLong(h, g, t, t.way);
          if (!chased) continue;
          long++;
          const whole = t.way.edges.reduce((s, e) => s + g.length[e]!, 0);
          // A hole that the others fill leads nowhere.
          const open = without.map((ok, e) => {
            if (!ok || g.kind[e] !== EDGE.bore) return ok;
            const bore = g.ref[e]!;
            return bitFor([...(site.passing.get(bore) ?? []).map((x) => x.cable), t.cable], g.bores[bore]!.most) ===
              null
              ? 0
              : 1;
          });
          const [a, b] = [t.from, t.to].map((id) => g.terminal[h.pointOfId.get(id)!]!);
          // Two boxes over each other are told elsewhere; which of them a cable is in is anyone's guess.
          if ([t.from, t.to].some((id, k) => ![-1, h.pointOfId.get(id)].includes(g.inBox[[a!, b!][k]!]))) continue;
          const [other] = distancesFrom(g, a!, [b!], open);
          expect(other! - (whole - chased), `${t.id} chases ${chased}`).toBeGreaterThanOrEqual(3 * chased - 1);
        }
      }),
      { numRuns: 25 },
    );
    // Where walls are low-lying and points near, some remain: the rule was looked at.
    expect(long).toBeGreaterThan(0);
  });
  it("go over the deck where a longer one would be cut along the wall, even when holes are dear", () => {
    const job = priced(generatedHouse(1, 3, 4), "holes");
    const { h, site, tasks } = laid(job);
    let turned = 0;
    for (const t of tasks) {
      if (!t.way) continue;
      site.count(t, t.way, -1);
      const plain = site.wayFor(t)!;
      const better = sensibleWay(site, t)!;
      // What a way costs is told alike by the search and by going along it.
      expect(site.costOf(t, plain.edges)).toBeCloseTo(plain.cost, 4);
      expect(site.costOf(t, better.edges)).toBeCloseTo(better.cost, 4);
      site.count(t, t.way, 1);
      if (levelTooLong(h, site.g, t, plain) > levelTooLong(h, site.g, t, better)) turned++;
      expect(better.cost).toBeGreaterThanOrEqual(plain.cost - 1e-6);
    }
    expect(turned).toBeGreaterThanOrEqual(3);
  });
  it("are as they were on the surface, and in walls that are hollow", () => {
    const job = generatedHouse(2, 3, 4);
    const surface = laid({ ...job, circuits: job.circuits.map((c) => ({ ...c, walls: "surface" as const })) });
    for (const t of surface.tasks)
      if (t.way) {
        surface.site.count(t, t.way, -1);
        expect(sensibleWay(surface.site, t)).toEqual(surface.site.wayFor(t));
        surface.site.count(t, t.way, 1);
      }
    const hollow = laid({ ...job, walls: job.walls.map((w) => ({ ...w, build: "stud" as const, studs: null })) });
    for (const t of hollow.tasks) if (t.way) expect(levelTooLong(hollow.h, hollow.site.g, t, t.way)).toBe(0);
  });
});

describe("going in and out of decks", () => {
  it("is not done to spare one hole: hardly a run dips under a joist and up again, even where holes are dearest", () => {
    let dips = 0;
    let runs = 0;
    for (const seed of [1, 2, 3, 4, 5, 6]) {
      const { site, tasks } = laid(priced(generatedHouse(seed, 3, 4), "holes"));
      const { g } = site;
      for (const t of tasks) {
        if (!t.way) continue;
        runs++;
        // Out of a deck, along a wall for less than two bays, and in again.
        let out = -1;
        for (const e of t.way.edges) {
          if (g.kind[e] === EDGE.rise) {
            if (out > 0 && out < 800) dips++;
            out = out < 0 ? 1e-9 : -1;
          } else if (g.kind[e] === EDGE.wall && out >= 0) out += g.length[e]!;
          else if (g.kind[e] !== EDGE.wall && g.kind[e] !== EDGE.corner) out = -1;
        }
      }
    }
    expect(runs).toBeGreaterThan(60);
    expect(dips).toBeLessThanOrEqual(2);
  });
});
