import { expect, it } from "vitest";
import { makePlan } from "../../core/plan/plan";
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
