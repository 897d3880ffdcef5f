import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { SiteEntry, Step } from "../job/site-entry";
import { steps } from "../job/site-entry";
import { holdOf } from "../laid/held";
import type { Plan } from "../laid/laid";
import { makePlan } from "../plan/plan";
import { generatedHouse } from "../routing/generated-house";
import { nextStep, progress, stateOf } from "./entries";
import { doneButNotHeld, heldRuns } from "./held";
import { neededSteps } from "./needed";

let n = 0;
const entry = (kind: SiteEntry["kind"], step: Step | null, at: string, more: Partial<SiteEntry> = {}): SiteEntry => ({
  id: `e${String(++n).padStart(4, "0")}`,
  run: "ring.a.b",
  kind,
  step,
  text: "",
  by: "Pat",
  at: `2026-11-25T${at}:00.000Z`,
  ...more,
});

describe("where a run stands", () => {
  it("is what was last said of each step, by the clock and not by the order of lines", () => {
    const list = [
      entry("undone", "bored", "09:00"),
      entry("done", "bored", "08:00"),
      entry("done", "drawn-in", "10:00", { by: "Sam" }),
    ];
    const s = stateOf(list, "ring.a.b");
    expect(s.bored).toEqual({ done: false, by: null, at: null });
    expect(s["drawn-in"]).toEqual({ done: true, by: "Sam", at: "2026-11-25T10:00:00.000Z" });
    expect(s.tested.done).toBe(false);
  });
  it("keeps the order of ids where two lines have one time", () => {
    const [a, b] = [entry("done", "bored", "08:00"), entry("undone", "bored", "08:00")];
    expect(stateOf([b, a], "ring.a.b").bored.done).toBe(false);
    expect(
      stateOf(
        [
          { ...b, id: "a" },
          { ...a, id: "b" },
        ],
        "ring.a.b",
      ).bored.done,
    ).toBe(true);
  });
  it("minds only its own run, and lines with a step", () => {
    const list = [
      entry("done", "bored", "08:00", { run: "ring.a.c" }),
      entry("note", null, "08:10"),
      entry("cannot", "bored", "08:20"),
    ];
    expect(stateOf(list, "ring.a.b").bored.done).toBe(false);
  });
  it("goes on with the first step needed and not done, and with none when all are", () => {
    const done = (upTo: number) =>
      stateOf(
        steps.slice(0, upTo).map((s, i) => entry("done", s, `0${i}:00`)),
        "ring.a.b",
      );
    expect(nextStep(done(0))).toBe("bored");
    expect(nextStep(done(0), ["drawn-in", "tested"])).toBe("drawn-in");
    expect(nextStep(done(2))).toBe("clipped");
    expect(nextStep(done(5))).toBeNull();
    expect(nextStep(done(0), [])).toBeNull();
  });
  it("counts done of needed over runs; undone counts as not done", () => {
    const list = [
      entry("done", "bored", "08:00"),
      entry("done", "drawn-in", "09:00"),
      entry("undone", "drawn-in", "09:30"),
    ];
    expect(progress(list, [{ id: "ring.a.b", steps: ["bored", "drawn-in", "tested"] }])).toEqual({ done: 1, of: 3 });
    expect(progress(list, [])).toEqual({ done: 0, of: 0 });
    expect(progress(list, [{ id: "other", steps: ["bored"] }])).toEqual({ done: 0, of: 1 });
  });
});

describe("the steps a run needs", () => {
  const plan = makePlan(generatedHouse(7));
  it("asks for no boring where nothing is bored, and no clipping where nothing is clipped", () => {
    for (const r of plan.runs) {
      const needed = neededSteps(plan, r.id);
      expect(needed.includes("bored")).toBe(plan.holes.some((h) => h.runs.includes(r.id)));
      expect(needed.includes("clipped")).toBe(plan.clips.some((c) => c.run === r.id));
      expect(needed.filter((s) => s !== "bored" && s !== "clipped")).toEqual(["drawn-in", "made-off", "tested"]);
    }
    const bare: Plan = { ...plan, holes: [], clips: [] };
    expect(neededSteps(bare, plan.runs[0]!.id)).toEqual(["drawn-in", "made-off", "tested"]);
  });
});

describe("work that is done holds", () => {
  const job = generatedHouse(7);
  const plan = makePlan(job);
  const run = plan.runs.find((r) => plan.holes.some((h) => h.runs.includes(r.id)))!;
  const held = holdOf(run, plan.holes, job.points);
  const line = (kind: SiteEntry["kind"], step: Step, at: string, more: Partial<SiteEntry> = {}) =>
    entry(kind, step, at, { run: run.id, ...more });

  it("is what was in hand at the first tick: legs, holes, cut length and both points", () => {
    expect(held).toMatchObject({ key: run.id, cable: run.cable, cutLength: run.cutLength, legs: run.legs });
    expect(held.points.map((p) => p.id).sort()).toEqual([run.from, run.to].sort());
    expect(held.holes.map((h) => h.id)).toEqual(plan.holes.filter((h) => h.runs.includes(run.id)).map((h) => h.id));
    expect(held.holes.every((h) => h.runs.length === 1 && h.runs[0] === run.id)).toBe(true);
    expect(heldRuns([line("done", "bored", "08:00", { held })])).toEqual([held]);
  });
  it("keeps the first and not a later one", () => {
    const later = { ...held, cutLength: held.cutLength + 500 };
    const list = [line("done", "bored", "08:00", { held }), line("done", "drawn-in", "09:00", { held: later })];
    expect(heldRuns(list)[0]!.cutLength).toBe(held.cutLength);
  });
  it("is let go when all that was done is taken back, and held anew by the next tick", () => {
    const later = { ...held, cutLength: held.cutLength + 500 };
    const list = [
      line("done", "bored", "08:00", { held }),
      line("done", "drawn-in", "08:30"),
      line("undone", "drawn-in", "09:00"),
    ];
    expect(heldRuns(list)).toEqual([held]);
    expect(heldRuns([...list, line("undone", "bored", "09:10")])).toEqual([]);
    const again = [...list, line("undone", "bored", "09:10"), line("done", "bored", "10:00", { held: later })];
    expect(heldRuns(again)[0]!.cutLength).toBe(later.cutLength);
  });
  it("holds nothing by a line that carries another run or no run at all, and says which runs those are", () => {
    const wrong = line("done", "bored", "08:00", { held: { ...held, key: "x.y.z" } });
    const broken = line("done", "bored", "08:00", { held: { nothing: true } });
    for (const l of [wrong, broken, line("done", "bored", "08:00")]) {
      expect(heldRuns([l])).toEqual([]);
      expect(doneButNotHeld([l])).toEqual([run.id]);
    }
    expect(doneButNotHeld([line("done", "bored", "08:00", { held })])).toEqual([]);
    expect(doneButNotHeld([line("cannot", "bored", "08:00")])).toEqual([]);
    expect(doneButNotHeld([line("done", "bored", "08:00"), line("undone", "bored", "08:10")])).toEqual([]);
  });
  it("takes a note that carries it, for ticks of the first edition", () =>
    expect(
      heldRuns([
        line("done", "bored", "08:00"),
        { ...line("done", "bored", "09:00", { held }), kind: "note", step: null },
      ]),
    ).toEqual([held]));
  it("comes in the order of keys, whatever order the lines came in", () => {
    const other = plan.runs.find((r) => r.id !== run.id)!;
    const b = holdOf(other, plan.holes, job.points);
    const lines = [
      line("done", "bored", "08:00", { held }),
      entry("done", "drawn-in", "08:00", { run: other.id, held: b }),
    ];
    const keys = [run.id, other.id].sort();
    fc.assert(
      fc.property(fc.boolean(), (turned) => {
        expect(heldRuns(turned ? [...lines].reverse() : lines).map((r) => r.key)).toEqual(keys);
      }),
    );
  });
});
