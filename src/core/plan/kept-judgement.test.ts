import { expect, it } from "vitest";
import { type House, layHouse } from "../house/house";
import { relayHouse } from "../house/relay";
import { type Job, type PinnedLeg, canonical } from "../job/model";
import { type HeldRun, holdOf } from "../laid/held";
import type { Plan } from "../laid/laid";
import { pinOf } from "../laid/move-leg";
import { sameLegs } from "../laid/same-legs";
import { generatedHouse } from "../routing/generated-house";
import { planHouse } from "./plan";

const job = generatedHouse(7);
const first = planHouse(layHouse(job));
/** Every run pinned where it lies, its chases too deep for the wall. */
const deep = first.runs.map((r) =>
  pinOf(
    r,
    r.legs.map((l) => (l.method === "chase" ? { ...l, depth: 45 } : l)),
  ),
);
const pinned: Job = canonical({ ...job, pins: deep });
const chase = deep.flatMap((p) => p.legs).find((l) => l.method === "chase")!;
const all = { u: 0, v: 0, width: 2000, height: 2400 };
const over = { id: "f", name: "", place: { on: "wall" as const, wall: chase.surface.id, ...all } };
const beam = { id: "b", wall: chase.surface.id, kind: "beam" as const, name: "", ...all, depth: 100 };

it("what is said of a leg that stays where it is goes by the job as it now is", () => {
  let h = layHouse(pinned);
  const made: { h: House; held: HeldRun[]; plan: Plan }[] = [];
  const planned = (held: HeldRun[] = []): Plan => {
    const plan = planHouse(h, { held });
    made.push({ h, held, plan });
    return plan;
  };
  const rulesOf = (plan: Plan): string[] => plan.facts.map((f) => f.rule);
  const next = (change: Partial<Job>): string[] => {
    h = relayHouse(h, { ...h.job, ...change });
    return rulesOf(planned());
  };
  const plan = planned();
  const rules = rulesOf(plan);
  expect(rules).toContain("chase.depth");
  expect(rules).not.toContain("route.forbidden");
  expect(next({ forbidden: [over] })).toContain("route.forbidden");
  expect(next({ forbidden: [] })).not.toContain("route.forbidden");
  expect(next({ fixtures: [...job.fixtures, beam] })).toContain("route.forbidden");
  expect(next({ fixtures: job.fixtures })).not.toContain("route.forbidden");
  // The pins have other names: what is offered lets go of those.
  h = relayHouse(h, { ...h.job, pins: deep.map((p) => ({ ...p, id: `${p.id}x` })) });
  const fixes = planned().facts.flatMap((f) => (f.rule === "chase.depth" ? (f.fix ?? []) : []));
  expect(fixes.length).toBeGreaterThan(0);
  expect(fixes.every((f) => f.id.endsWith("x"))).toBe(true);
  // A point that leaves takes its zones with it.
  const gone = h.job.points.map((p) =>
    p.place.on === "wall" && p.place.wall === chase.surface.id
      ? { ...p, place: { ...p.place, u: p.place.u + 400 } }
      : p,
  );
  expect(rules).not.toContain("zone.outside");
  expect(next({ points: gone })).toContain("zone.outside");
  // Cut already: no other depth can be asked for.
  const held = plan.runs.map((r) => holdOf(r, plan.holes, h.job.points));
  expect(rulesOf(planned(held))).not.toContain("chase.depth");
  // None but is that of a house never seen before.
  for (const x of made)
    expect(JSON.stringify(x.plan)).toBe(JSON.stringify(planHouse(layHouse(x.h.job), { held: x.held })));
});

it("a leg is taken for the one that was there only when it is the same in every way", () => {
  const leg: PinnedLeg = {
    surface: { kind: "wall", id: "w" },
    method: "chase",
    path: [
      [0, 0, 0],
      [0, 0, 900],
    ],
    depth: 25,
    protected: false,
  };
  const kept = sameLegs("a run", [leg]);
  expect(sameLegs("a run", [structuredClone(leg)])[0]).toBe(kept[0]);
  expect(sameLegs("another run", [structuredClone(leg)])[0]).not.toBe(kept[0]);
  const others: PinnedLeg[] = [
    { ...leg, surface: { kind: "wall", id: "v" } },
    { ...leg, surface: { kind: "deck", id: "w" } },
    { ...leg, method: "surface" },
    { ...leg, depth: 30 },
    { ...leg, protected: true },
    { ...leg, section: "s" },
    ...[0, 1, 2].map((k): PinnedLeg => ({
      ...leg,
      path: [[0, 0, 0].with(k, 1) as [number, number, number], leg.path[1]!],
    })),
    { ...leg, path: [...leg.path, [0, 5, 900]] },
  ];
  for (const other of others) {
    sameLegs("a run", [leg]);
    expect(sameLegs("a run", [other])).toEqual([other]);
  }
});
