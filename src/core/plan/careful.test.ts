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
import { laidRatings } from "../trades/circuits/laid-rating";
import { layWithCare } from "./careful";
import { holesOf } from "./holes";
import { makePlan, planHouse, whyRun } from "./plan";

const priced = (job: Job, preset: Preset): Job => ({
  ...job,
  settings: { ...job.settings, cost: presets[preset].cost },
});
/** Rating findings of a house laid by the weights alone. */
const careless = (job: Job): string[] => {
  const h = layHouse(job);
  const { runs } = layRuns(h, buildGraph(h));
  return laidRatings(
    h,
    runs.map((r) => ({ ...r, pathLength: runLength(r.legs) })),
    holesOf(h, runs),
  )
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
    const { care } = layWithCare(h, buildGraph(h), { held: [], before: null });
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
    const { laid: runs, care } = layWithCare(h, g, { held: [], before: null });
    expect(care.short.size + care.apart.size).toBe(0);
    expect(runs.runs).toEqual(layRuns(h, g).runs);
  });
});
