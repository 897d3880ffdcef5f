import { describe, expect, it } from "vitest";
import { layHouse } from "../../house/house";
import { checkInvariants } from "../../job/invariants";
import { type Job, canonical } from "../../job/model";
import { makePlan } from "../../plan/plan";
import { generatedHouse } from "../../routing/generated-house";
import { runsInTrunking, trunkingFacts } from "./found-trunking";

const job = generatedHouse(7, 2, 3);
const board = job.points.find((p) => p.kind === "board")!;
const place = board.place as { wall: string; u: number; v: number };
const withTrunking = (size: string, count: number): Job =>
  canonical({
    ...job,
    foundTrunkings: [
      {
        id: "t",
        wall: place.wall,
        size,
        from: { u: place.u, v: place.v },
        to: { u: place.u, v: 2400 },
        holds: count ? [{ cable: "te-2.5", count }] : [],
      },
    ],
  });
const facts = (j: Job): string[] => {
  const plan = makePlan(j);
  return trunkingFacts(layHouse(j), plan.runs).map((f) => `${f.rule} ${Math.round(f.measured! * 10) / 10}`);
};

describe("trunking found in the house", () => {
  it("counts the runs of the plan that rise through it", () => {
    const plan = makePlan(withTrunking("100x100", 0));
    const inside = runsInTrunking(
      layHouse(withTrunking("100x100", 0)),
      withTrunking("100x100", 0).foundTrunkings[0]!,
      plan.runs,
    );
    const up = plan.runs.filter(
      (r) => (r.from === "board" || r.to === "board") && r.legs.some((l) => l.surface.id === place.wall),
    );
    expect(inside.length).toBeGreaterThan(0);
    for (const r of inside) expect(up.map((x) => x.id)).toContain(r.id);
  });
  it("is too full from 45 % and spare from 38 %, with what is there and what is to come", () => {
    expect(facts(withTrunking("100x100", 1))).toEqual([]);
    // 38 × 16 has 35 × 13 inside, 455 mm²; a 2.5 is 10.1 × 5.8, 58.6 mm². Four there make 51.5 % before anything comes.
    const [worst] = facts(withTrunking("38x16", 4));
    expect(worst).toMatch(/^fill\.space /);
    expect(Number(worst!.split(" ")[1])).toBeGreaterThan(51.4);
  });
  it("is refused on a slope, with an unknown size or cable", () => {
    const bad = withTrunking("38x16", 1);
    const t = bad.foundTrunkings[0]!;
    const words = (x: Partial<typeof t>): string =>
      checkInvariants({ ...bad, foundTrunkings: [{ ...t, ...x }] })
        .map((r) => r.message)
        .join("; ");
    expect(words({})).toBe("");
    expect(words({ to: { u: 10, v: 2400 } })).toMatch(/level or plumb/);
    expect(words({ size: "7x7" })).toMatch(/not a trunking of the catalogue/);
    expect(words({ holds: [{ cable: "wire", count: 1 }] })).toMatch(/not in the cable catalogue/);
  });
});
