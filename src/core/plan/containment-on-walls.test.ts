import { describe, expect, it } from "vitest";
import { pathLength } from "../base/wall-frame";
import { layHouse } from "../house/house";
import { generatedHouse } from "../routing/generated-house";
import { containmentOnWalls } from "./containment-on-walls";
import { makePlan } from "./plan";

describe("what each wall takes", () => {
  const job = generatedHouse(7, 3, 3);
  const h = layHouse(job);
  const plan = makePlan(job);
  const lines = containmentOnWalls(h, plan);
  it("counts every leg on a wall once, by wall and method", () => {
    const legs = plan.runs.flatMap((r) => r.legs).filter((l) => l.surface.kind === "wall");
    expect(lines.reduce((s, l) => s + l.legs, 0)).toBe(legs.length);
    expect(lines.reduce((s, l) => s + l.length, 0)).toBeCloseTo(
      legs.reduce((s, l) => s + pathLength(l.path), 0),
      6,
    );
    expect(new Set(lines.map((l) => `${l.wall} ${l.method}`)).size).toBe(lines.length);
    for (const l of lines)
      for (const c of l.circuits)
        expect(
          plan.runs.some(
            (r) => r.circuit === c && r.legs.some((x) => x.surface.id === l.wall && x.method === l.method),
          ),
        ).toBe(true);
  });
  it("goes room by room, wall by wall, with each circuit named once in order of labels", () => {
    const order = lines.map((l) => `${l.room} ${String(l.number).padStart(2, "0")} ${l.method}`);
    expect(order).toEqual([...order].sort());
    for (const l of lines) expect(new Set(l.circuits).size).toBe(l.circuits.length);
  });
  it("is nothing where nothing is laid", () => expect(containmentOnWalls(h, { ...plan, runs: [] })).toEqual([]));
});
