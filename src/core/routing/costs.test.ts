import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { type Job, jobSchema } from "../job/model";
import { makePlan } from "../plan/plan";
import { timberRules } from "../rules/timber";
import { boreLines } from "./bore-lines";
import { generatedHouse } from "./generated-house";
import { edgeCosts } from "./edge-costs";
import { EDGE } from "./graph";
import { layRuns, layTasks } from "./lay";
import { Site } from "./site";
import { buildGraph } from "./build";
import { tasksOf } from "./tasks";

const outline = [
  { x: 0, y: 0 },
  { x: 0, y: 4000 },
  { x: 6000, y: 4000 },
  { x: 6000, y: 0 },
];
/** One room with a bath on the way along its north wall from the board to a point. */
const house = (more: object = {}, weights: object = {}): Job =>
  jobSchema.parse({
    id: "j",
    name: "J",
    settings: { cost: weights },
    storeys: [{ id: "g", name: "G", level: 0, height: 2400 }],
    rooms: [{ id: "a", storey: "g", name: "A", kind: "bathroom", height: 2400, outline }],
    walls: [0, 1, 2, 3].map((index) => ({ id: `a${index}`, room: "a", index, thickness: 300, build: "dry-lined" })),
    openings: [],
    fixtures: [],
    decks: [
      {
        id: "d",
        name: "Deck",
        kind: "solid-joists",
        outline,
        underside: 2400,
        joists: { direction: "north-south", depth: 195, breadth: 47, spacing: 400, first: 300, bearings: [] },
      },
    ],
    points: [
      { id: "db", label: "DB1", kind: "board", ways: 6, place: { on: "wall", wall: "a1", u: 600, v: 1400 } },
      { id: "s", label: "S1", kind: "isolator", place: { on: "wall", wall: "a1", u: 5000, v: 1400 } },
    ],
    circuits: [
      {
        id: "c",
        label: "C1",
        name: "C",
        kind: "fixed",
        device: { rating: 16 },
        rcd: 30,
        cable: "te-2.5",
        way: 1,
        points: ["s"],
      },
    ],
    pins: [],
    drums: [],
    ...more,
  });

describe("what the router weighs", () => {
  const bath = { id: "f", wall: "a1", kind: "bath", u: 2000, v: 0, width: 1700, height: 2000, depth: 700 };
  const level = (j: Job): number => {
    const legs = makePlan(j).runs[0]!.legs.filter((l) => l.surface.kind === "wall" && l.path[0]![2] === l.path[1]![2]);
    return legs.reduce((s, l) => s + Math.abs(l.path[1]![0] - l.path[0]![0]), 0);
  };
  it("goes straight along the wall between two boxes, and round where a bath stands against it", () => {
    const cheap = { bore: 200, chase: 0, boards: 0, height: 0, bend: 0, faces: 0 };
    expect(level(house({}, cheap))).toBeCloseTo(4400, -2);
    const round = makePlan(house({ fixtures: [bath] }, cheap)).runs[0]!;
    const behind = round.legs.some(
      (l) =>
        l.surface.kind === "wall" && l.path.every((p) => p[2] < 2000) && l.path[0]![0] < 2000 && l.path[1]![0] > 3700,
    );
    expect(behind).toBe(false);
  });
  it("crosses other cables less where a crossing is dear", () => {
    /** Places where a way meets cables that run another way, every run taken up alone among the others. */
    const crossings = (weight: number): number => {
      let count = 0;
      for (const seed of [11, 4, 9]) {
        const j = generatedHouse(seed, 3, 4);
        const lie = layHouse({ ...j, settings: { ...j.settings, cost: { ...j.settings.cost, crossing: 0 } } });
        const h = layHouse({ ...j, settings: { ...j.settings, cost: { ...j.settings.cost, crossing: weight } } });
        const g = buildGraph(h);
        // All lie as they would at one price; then each is laid alone at the other.
        const { tasks } = tasksOf(lie, g);
        layTasks(new Site(lie, g), tasks, () => undefined);
        const site = new Site(h, g);
        for (const t of tasks) if (t.way) site.count(t, t.way, 1);
        for (const t of tasks) {
          if (!t.way) continue;
          site.count(t, t.way, -1);
          const way = site.wayFor(t)!;
          way.edges.forEach((e, k) => {
            const next = way.edges[k + 1];
            // Straight on through a place where another cable goes another way.
            if (next === undefined || g.axis[next] !== g.axis[e]) return;
            const n = [g.a[e]!, g.b[e]!].find((x) => x === g.a[next] || x === g.b[next])!;
            if (site.others[n]! & ~(1 << g.axis[e]!)) count++;
          });
          site.count(t, t.way, 1);
        }
      }
      return count;
    };
    expect(crossings(5000)).toBeLessThan(crossings(0));
  });
  it("takes runs up again and lays them anew while that gains: never dearer, and somewhere better", () => {
    let better = 0;
    for (const seed of [3, 5, 8, 13]) {
      const h = layHouse(generatedHouse(seed, 3, 4));
      const g = buildGraph(h);
      const cost = (rounds: number | undefined): number => {
        const site = new Site(h, g);
        const { tasks } = tasksOf(h, g);
        layTasks(site, tasks, () => undefined, rounds);
        return tasks.reduce((s, t) => {
          if (!t.way) return s;
          site.count(t, t.way, -1);
          const way = site.wayFor(t)!;
          site.count(t, t.way, 1);
          return s + (t.way.cost - way.cost);
        }, 0);
      };
      // What is left to gain by taking any one run up again.
      if (cost(undefined) < cost(0) - 1e-6) better++;
    }
    expect(better).toBeGreaterThan(0);
  });
});

describe("where a joist may be bored", () => {
  const lines = (cut: object | null) => {
    const j = house();
    const decks = [{ ...j.decks[0]!, existingCuts: cut ? [cut as Job["decks"][number]["existingCuts"][number]] : [] }];
    const l = layHouse({ ...j, decks }).decks[0]!;
    return boreLines(l, l.joists[1]!, { notch: "warranty", notchEdge: "top" }).map((x) => x.at);
  };
  it("in the middle parts of its span only, 75 apart", () => {
    const at = lines(null);
    for (const x of at) {
      const d = Math.min(x, 4000 - x);
      expect(d).toBeGreaterThanOrEqual(timberRules.hole.from * 4000 - 1e-6);
      expect(d).toBeLessThanOrEqual(timberRules.hole.to * 4000 + 1e-6);
    }
    const sorted = [...at].sort((a, b) => a - b);
    for (let i = 1; i < sorted.length; i++) expect(sorted[i]! - sorted[i - 1]!).toBeGreaterThanOrEqual(75 - 1e-6);
    expect(at.length).toBeGreaterThan(10);
  });
  it("clear of old holes by three diameters, and of old notches by 100 edge to edge", () => {
    const hole = { id: "h", kind: "hole", joist: 2, span: 1, at: 1300, diameter: 22, fromTop: 97.5 };
    for (const x of lines(hole)) expect(Math.abs(x - 1300)).toBeGreaterThanOrEqual(75 - 1e-6);
    expect(lines(hole).length).toBeLessThan(lines(null).length);
    // A notch in the window of the other school: 1 000 is a quarter of the span, its edge 20 from the hole's window.
    const notch = { id: "n", kind: "notch", joist: 2, span: 1, at: 970, width: 40, depth: 20, edge: "top" };
    for (const x of lines(notch)) expect(Math.abs(x - 970) - 20 - 12.5).toBeGreaterThanOrEqual(100 - 1e-6);
    expect(Math.min(...lines(notch))).toBeGreaterThan(Math.min(...lines(null)));
  });
});

describe("pins and runs that are done among the others", () => {
  it("fill the bores they pass, so that no other run crowds them", () => {
    const job = generatedHouse(7);
    const plan = makePlan(job);
    const g = buildGraph(layHouse(job));
    const held = plan.runs.filter((r) => r.circuit === "ring").slice(0, 2);
    const laid = layRuns(layHouse(job), g);
    expect(laid.runs.map((r) => r.id).sort()).toEqual(plan.runs.map((r) => r.id).sort());
    const site = new Site(layHouse(job), g);
    const { tasks } = tasksOf(layHouse(job), g);
    const t = tasks.find((x) => x.id === held[0]!.id)!;
    site.occupy({ ...t, pin: { id: "p", circuit: "ring", from: t.from, to: t.to, number: 1, legs: held[0]!.legs } });
    const joists = plan.holes.filter((o) => o.in.kind === "joist" && o.runs.includes(held[0]!.id)).length;
    expect([...site.passing.values()].filter((x) => x.length).length).toBe(joists);
  });
});

describe("the price of a line", () => {
  it("boards cost nothing over open joists, their price where they lie, twice that where a floor is closed", () => {
    const priceOf = (access: string): number => {
      const job = house({ decks: house().decks.map((d) => ({ ...d, access })) }, { boards: 3, cable: 1 });
      const h = layHouse(job);
      const g = buildGraph(h);
      const cost = edgeCosts(h, g, job.circuits[0]!, new Uint8Array(h.faces.length));
      const lane = g.length.findIndex((mm, e) => g.kind[e] === EDGE.lane && mm > 100 && g.timbers[e] === 0);
      return cost[lane]! / g.length[lane]!;
    };
    expect(["open", "boards-up", "closed"].map(priceOf)).toEqual([1, 1 + 3, 1 + 2 * 3]);
  });
  it("a wall is worked on from a ladder above 2 100 over its own floor, on whichever storey", () => {
    const upper = { id: "u", name: "U", level: 3000, height: 2400 };
    const job = house(
      {
        storeys: [...house().storeys, upper],
        rooms: house().rooms.map((r) => ({ ...r, storey: "u" })),
        decks: [],
      },
      { height: 2, chase: 0, cable: 1 },
    );
    const h = layHouse(job);
    const g = buildGraph(h);
    const cost = edgeCosts(h, g, job.circuits[0]!, new Uint8Array(h.faces.length).fill(1));
    const level = (z: number): number =>
      g.length.findIndex(
        (mm, e) => g.kind[e] === EDGE.wall && mm > 100 && g.axis[e] !== 2 && Math.abs(g.z[g.a[e]!]! - z) < 1,
      );
    const perMm = (e: number): number => cost[e]! / g.length[e]!;
    // The row of the points, 1 400 up, and the middle of the band under the ceiling.
    expect(perMm(level(3000 + 1400))).toBe(1);
    expect(perMm(level(3000 + 2325))).toBe(1 + 2);
  });
});
