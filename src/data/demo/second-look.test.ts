import fc from "fast-check";
import { expect, it } from "vitest";
import { changed } from "../../core/plan/changed-house.fixture";
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

it("nor after up to three changes to it, but for a point that is put beyond its wall", () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.nat(9), fc.nat(60), fc.nat(3000)), { minLength: 1, maxLength: 3 }), (changes) => {
      const job = changes.reduce((j, [kind, n, by]) => changed(j, kind, n, by), ternCottage());
      const plan = makePlan(job);
      expect(secondLook(job, plan)).toEqual([]);
      const lost = plan.facts.filter((f) => f.rule === "route.unreachable").map((f) => f.subject.id);
      for (const f of plan.facts) if (f.rule === "point.off-wall") expect(lost).toContain(f.subject.id);
    }),
    { numRuns: 5 },
  );
});

it("a flood of its legal places comes where its lines lead, and not farther round", () => {
  const job = ternCottage();
  for (const p of job.points.filter((x) => x.kind === "board")) expect(apartFromFlood(job, p.id), p.id).toEqual([]);
});
