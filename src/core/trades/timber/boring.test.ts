import { describe, expect, it } from "vitest";
import { layHouse } from "../../house/house";
import { makePlan } from "../../plan/plan";
import { generatedHouse } from "../../routing/generated-house";
import { boreMargins, boringOrder, boringTotals, chalkLines } from "./boring";

const job = generatedHouse(7, 3, 4);
const h = layHouse(job);
const plan = makePlan(job);

describe("the boring schedule", () => {
  it("puts every bore on one chalk line, at one distance from the bearing, with its two end marks", () => {
    const lines = chalkLines(h.decks[0]!, plan);
    const bores = plan.holes.filter((o) => o.in.kind === "joist");
    expect(lines.flatMap((c) => c.joists.map((j) => j.hole.id)).sort()).toEqual(bores.map((o) => o.id).sort());
    for (const c of lines) {
      for (const j of c.joists) expect(Math.abs(j.hole.at - c.at)).toBeLessThanOrEqual(1);
      expect(c.marks[0].joist).toBe(Math.min(...c.joists.map((j) => j.joist)));
      expect(c.marks[1].joist).toBe(Math.max(...c.joists.map((j) => j.joist)));
    }
  });
  it("walks out on one line and back on the next", () => {
    const order = boringOrder(h, plan);
    expect(order).toHaveLength(plan.holes.filter((o) => o.in.kind === "joist").length);
    for (let i = 1; i < order.length; i++) {
      const [a, b] = [order[i - 1]!, order[i]!];
      if (a.line === b.line) expect(a.line % 2 ? b.joist > a.joist : b.joist < a.joist).toBe(true);
      else expect(b.line).toBe(a.line + 1);
    }
  });
  it("counts bits, and every margin of a laid bore keeps its limit", () => {
    expect(boringTotals(plan).reduce((n, t) => n + t.joists + t.studs + t.walls, 0)).toBe(plan.holes.length);
    for (const o of plan.holes.filter((x) => x.in.kind === "joist"))
      for (const m of boreMargins(h.decks[0]!, plan, o, "warranty"))
        expect(
          m.sense === "least" ? m.measured >= m.limit - 1e-6 : m.measured <= m.limit + 1e-6,
          `${o.id} ${m.name}`,
        ).toBe(true);
  });
});
