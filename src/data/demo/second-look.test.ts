import { expect, it } from "vitest";
import { makePlan } from "../../core/plan/plan";
import { apartFromFlood } from "../../core/plan/flooded.fixture";
import { secondLook } from "../../core/plan/second-checker.fixture";
import { presetNames, presets } from "../../core/routing/weights";
import { ternCottage } from "./tern-cottage";

it("a second look finds nothing in the plans of the demo, by whatever weights", () => {
  for (const preset of presetNames) {
    const job = ternCottage();
    job.settings.cost = presets[preset].cost;
    expect(secondLook(job, makePlan(job)), preset).toEqual([]);
  }
});

it("a flood of its legal places comes where its lines lead, and not farther round", () => {
  const job = ternCottage();
  for (const p of job.points.filter((x) => x.kind === "board")) expect(apartFromFlood(job, p.id), p.id).toEqual([]);
});
