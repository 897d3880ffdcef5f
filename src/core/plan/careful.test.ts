import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import type { Job } from "../job/model";
import type { Plan } from "../laid/laid";
import { runLength } from "../laid/run-measures";
import { buildGraph } from "../routing/build";
import { generatedBlock } from "../routing/generated-block";
import { generatedHouse } from "../routing/generated-house";
import { layRuns } from "../routing/lay";
import { type Preset, presets } from "../routing/weights";
import { laidCircuits } from "../trades/circuits/laid-circuit";
import { ratingsOf } from "../trades/circuits/laid-rating";
import { layWithCare } from "./careful";
import { checkPlan } from "./checker";
import { holesOf } from "./holes";
import { radialsOnOneWall } from "./one-wall.fixture";
import { makePlan, planHouse, whyRun } from "./plan";

const priced = (job: Job, preset: Preset): Job => ({
  ...job,
  settings: { ...job.settings, cost: presets[preset].cost },
});
/** Rating findings of a house laid by the weights alone. */
const careless = (job: Job): string[] => {
  const h = layHouse(job);
  const { runs } = layRuns(h, buildGraph(h));
  const rated = runs.map((r) => ({ ...r, pathLength: runLength(r.legs) }));
  return ratingsOf(h, rated, laidCircuits(h, rated, holesOf(h, runs)))
    .filter((f) => f.severity === "stop")
    .map((f) => f.rule);
};
const ratings = (p: Plan): string[] => p.facts.filter((f) => f.case === "laid").map((f) => f.rule);
const laid = (p: Plan): number => p.runs.length;

describe("circuits that must carry what they are for", () => {
  const far = priced(generatedHouse(2, 5, 4), "holes");
  it("are laid the short way where the way with fewest holes is too long for their loop", () => {
    expect(careless(far)).toContain("circuit.loop");
    const plan = makePlan(far);
    expect(ratings(plan)).not.toContain("circuit.loop");
    const h = layHouse(far);
    const { care } = layWithCare(h, buildGraph(h), { held: [], before: null, found: [] });
    expect([...care.short]).toEqual(["ring"]);
    expect(care.apart.size).toBe(0);
    // The others keep to the weights: far fewer holes than with all of it laid short.
    expect(plan.holes.length).toBeLessThan(makePlan(priced(far, "cable")).holes.length);
  });
  it("stay so while a point is dragged, and are explained as they are laid", () => {
    const h = layHouse(far);
    const plan = planHouse(h);
    const quick = planHouse(h, { before: plan });
    expect(ratings(quick)).not.toContain("circuit.loop");
    // What is to be bought stays what it was until the hand lets go.
    expect(quick.takeoff).toBe(plan.takeoff);
    for (const r of plan.runs.filter((x) => x.circuit === "ring").slice(0, 3))
      expect(whyRun(h, r.id)!.taken.length).toBeCloseTo(r.pathLength, 3);
  });
  it("keep out of each other's holes in joists where together they would carry less than a ring must", () => {
    const job = priced(generatedBlock(3, 2), "mess");
    const without = careless(job).filter((r) => r === "circuit.ring").length;
    const plan = makePlan(job);
    expect(without).toBeGreaterThan(0);
    expect(ratings(plan).filter((r) => r === "circuit.ring").length).toBeLessThan(without);
    const h = layHouse(job);
    expect(laid(plan)).toBe(layRuns(h, buildGraph(h)).runs.length);
  });
  it("are laid by the weights alone where nothing fails", () => {
    const job = generatedHouse(7, 3, 4);
    const h = layHouse(job);
    const g = buildGraph(h);
    expect(careless(job)).toEqual([]);
    const { laid: runs, care } = layWithCare(h, g, { held: [], before: null, found: [] });
    expect(care.short.size + care.apart.size).toBe(0);
    expect(runs.runs).toEqual(layRuns(h, g).runs);
  });
  it("lie four side by side in a chase, and one more goes another way, where five would carry too little", () => {
    // 27 A × 0.75 (4) = 20.25 A, × 0.73 (5) = 19.7 A; bunched in a hole × 0.8 (2) = 21.6 A, × 0.7 (3) = 18.9 A.
    const job = radialsOnOneWall("masonry", 5, "solid-joists");
    expect(careless(job)).toContain("circuit.capacity");
    const plan = makePlan(job);
    expect(ratings(plan)).toEqual([]);
    const together = laidCircuits(layHouse(job), plan.runs, plan.holes).flatMap((c) => c.legs);
    expect(Math.max(...together.filter((l) => l.arrangement === "wall").map((l) => l.grouped))).toBeLessThanOrEqual(4);
    expect(Math.max(...together.filter((l) => l.arrangement === "bunched").map((l) => l.grouped))).toBe(2);
  });
  it("go through studs in holes of their own, one above the other, where one hole would make them carry too little", () => {
    const job = radialsOnOneWall("stud", 9);
    expect(careless(job)).toContain("circuit.capacity");
    const plan = makePlan(job);
    expect(ratings(plan)).toEqual([]);
    const most = Math.max(...plan.holes.map((o) => new Set(o.runs).size));
    expect(most).toBe(2);
    expect(checkPlan(layHouse(job), plan).filter((f) => f.severity === "stop")).toEqual([]);
  });
  it("what stands beside others and cannot be helped is told as it is", () => {
    const job = radialsOnOneWall("masonry", 5, "solid-joists");
    const pins = makePlan(job).runs.map((r) => ({
      id: `p-${r.circuit}`,
      circuit: r.circuit,
      from: r.from,
      to: r.to,
      number: r.number,
      legs: [r.legs[0]!, ...r.legs.slice(1)].map(({ surface, method, path, depth, protected: safe }) => ({
        surface,
        method,
        path,
        depth,
        protected: safe,
      })),
    }));
    // All five down the same drop: by the user's word.
    const drop = pins.find((p) => p.circuit === "c1")!.legs[0]!;
    const pinned = { ...job, pins: pins.map((p) => ({ ...p, legs: [drop, ...p.legs.slice(1)] })) };
    const told = makePlan(pinned).facts.filter((f) => f.rule === "circuit.capacity" && f.case === "laid");
    expect(told.length).toBeGreaterThan(0);
    expect(told[0]!.of).toMatchObject({ grouped: 5, arrangement: "wall" });
    expect(told[0]!.measured).toBeCloseTo(27 * 0.73, 6);
  });
});
