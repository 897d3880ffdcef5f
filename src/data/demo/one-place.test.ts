import { describe, expect, it } from "vitest";
import { layHouse } from "../../core/house/house";
import { boardFigures } from "../../core/plan/board-figures";
import { heldRunSchema, holdOf } from "../../core/laid/held";
import { pointFacts } from "../../core/plan/point-facts";
import { at, job, laid } from "./laid-cottage.fixture";

describe("two points in one place", () => {
  const onto = (id: string, other: string) => laid(at(id, { place: job.points.find((p) => p.id === other)!.place }));
  const between = (plan: ReturnType<typeof laid>["plan"], a: string, b: string) =>
    plan.runs.find((r) => [r.from, r.to].sort().join() === [a, b].sort().join())!;

  it("on a wall: told, and the cable from one to the other is a run of no length that can be kept", () => {
    const { plan } = onto("s5", "s4");
    expect(plan.facts.filter((f) => f.rule === "point.overlap").map((f) => f.subject.id)).toEqual(["s4"]);
    const run = between(plan, "s4", "s5");
    expect(run.legs.map((l) => [l.surface, l.method])).toEqual([[{ kind: "wall", id: "kitchen-w2" }, "chase"]]);
    expect(run.legs[0]!.path[0]).toEqual(run.legs[0]!.path[1]);
    expect(run.pathLength).toBe(0);
    // Nothing is cut for it, be the leaf as thin as it may.
    expect(run.legs[0]!.depth).toBe(0);
    // What it takes to reach into both boxes.
    const ends = plan.ends.filter((e) => e.run === run.id).reduce((sum, e) => sum + e.measures.fromMiddle!, 0);
    expect(ends).toBeGreaterThan(200);
    expect(run.cutLength).toBeGreaterThanOrEqual(ends);
    expect(heldRunSchema.safeParse(holdOf(run, plan.holes, job.points)).success).toBe(true);
  });
  it("on a ceiling, where round plates touch at a hundred from middle to middle: told from there on, each with its own way up", () => {
    const l1 = job.points.find((p) => p.id === "l1")!.place as { x: number; y: number };
    const told = (x: number, y: number, more: object = {}) =>
      pointFacts(
        layHouse(at("l3", { place: { ...l1, on: "deck", face: "ceiling", ...more, x: l1.x + x, y: l1.y + y } })(job)),
      ).filter((f) => f.rule === "point.overlap");
    expect(told(100, 0)).toEqual([]);
    expect(told(71, 71)).toEqual([]);
    expect(told(99, 0)).toMatchObject([{ subject: { id: "l1" }, of: { other: "l3" } }]);
    expect(told(-70, 70)).toHaveLength(1);
    expect(told(0, 0, { face: "floor" })).toEqual([]);
    const run = between(onto("l3", "l1").plan, "l1", "l3");
    expect([...new Set(run.legs.map((l) => l.method))]).toEqual(["rise"]);
  });
  it("a square plate among round ones reaches as far as its sides", () => {
    const put = (x: number, y: number) => {
      const l1 = job.points.find((p) => p.id === "l1")!.place as { x: number; y: number };
      const changed = at("l3", { kind: "socket", gang: 2, controls: [], place: { ...l1, x: l1.x + x, y: l1.y + y } })(
        job,
      );
      return pointFacts(layHouse(changed)).filter((f) => f.rule === "point.overlap").length;
    };
    // 146 by 86 beside 100: 123 along it, 93 across.
    expect([put(123, 0), put(122, 0), put(0, 93), put(0, 92), put(122, 92)]).toEqual([0, 1, 0, 1, 1]);
  });
  it("in the place of the board", () => {
    const { h, plan } = onto("s6", "board");
    const cables = boardFigures(h, plan, "board")!.cables;
    expect(cables.some((c) => c.run.pathLength === 0)).toBe(true);
    expect(cables.every((c) => Number.isFinite(c.entry.x) && Number.isFinite(c.entry.y))).toBe(true);
  });
});
