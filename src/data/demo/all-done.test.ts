import { expect, it } from "vitest";
import { planHouse } from "../../core/plan/plan";
import { holdOf } from "../../core/laid/held";
import { h, job, plan } from "./laid-cottage.fixture";

const hold = (some: (i: number) => boolean) =>
  plan.runs.filter((_, i) => some(i)).map((r) => holdOf(r, plan.holes, job.points));

it("the cottage with all of it done, or every second run, is the same cottage: the same runs, none drawn in that nothing joins", () => {
  for (const held of [hold(() => true), hold((i) => i % 2 === 0), hold((i) => i > 4)]) {
    const after = planHouse(h, { held });
    expect(after.facts.filter((f) => f.rule.startsWith("work."))).toEqual([]);
    expect(after.runs.map((r) => r.id).sort()).toEqual(plan.runs.map((r) => r.id).sort());
  }
});
