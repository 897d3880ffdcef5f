import { describe, expect, it } from "vitest";
import { ringAgainstRadials } from "../../core/plan/compare-plans";
import { makePlan } from "../../core/plan/plan";
import { costOf } from "../../core/plan/prices";
import { ternCottage } from "./tern-cottage";

describe("what the ring of the cottage costs", () => {
  it("stands beside ring and radials, each by its own take-off", () => {
    const job = ternCottage();
    const r1 = job.circuits.find((c) => c.id === "r1")!;
    const both = ringAgainstRadials(job, r1)!;
    const own = makePlan(job).takeoff.filter((l) => l.circuit === "r1");
    expect(both.ring.cost.price).toBeCloseTo(costOf(own, job.packs).price, 6);
    expect(both.ring.cost.price).toBeGreaterThan(0);
    // What differs is cable and what goes with it: the dearer is the one that takes more of it.
    expect(both.radials.cost.price > both.ring.cost.price).toBe(both.radials.cable > both.ring.cable);
  });
});
