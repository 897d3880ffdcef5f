import { describe, expect, it } from "vitest";
import { toMark } from "../base/figures";
import { drawAtWall, drawBoreLine, drawHere, faceOf, placeOnWall } from "../drawings/part-drawing";
import { layHouse } from "../house/house";
import { makePlan } from "../plan/plan";
import { chaseNeeds } from "../plan/chase-needs";
import { partsOf } from "../record/parts";
import { tasksOf } from "../record/tasks";
import { generatedHouse } from "../routing/generated-house";
import { cableOf, standardCatalogue } from "../rules/catalogue";
import { fact } from "../rules/fact";
import { runFaults } from "../trades/dead-tests/run-read";
import { expectedOfCircuit, expectedOnTails } from "../plan/expected-readings";
import { findingOf, namesOf } from "./findings";
import { doneWords, groupName, leftWords, partWords, stateWords, taskName } from "./tasks";
import { holeWords } from "./holes";

const job = generatedHouse(3);
const h = layHouse(job);
const plan = makePlan(job);
const parts = partsOf(h, plan);

describe("a thing to do in words", () => {
  it("says where, the number and from what, for every part; spoken it has no thin space, sign or dash", () => {
    for (const p of parts) {
      const w = partWords(h, plan, p);
      expect(w.over.length).toBeGreaterThan(3);
      expect(w.spoken).not.toMatch(/[\u202f\u00a0–Ø]/);
      expect(w.spoken).toContain(
        w.over
          .replace(/[\u202f\u00a0]/g, "")
          .replace(/–/g, " to ")
          .replace(/Ø/g, "diameter "),
      );
      if (!["photo", "close", "test", "ring"].includes(p.kind)) expect(w.number).toMatch(/\d/);
      expect(doneWords[p.kind]).toBeTruthy();
    }
  });
  it("of a ring is what its line should read end to end, with the other two conductors", () => {
    const rings = parts.filter((p) => p.kind === "ring");
    expect(rings.length).toBeGreaterThan(0);
    for (const p of rings) {
      const e = expectedOfCircuit(h, plan, p.at.id)!.ring!;
      const w = partWords(h, plan, p);
      expect(w.number).toBe(`${e.r1.toFixed(2)} Ω`);
      expect(w.under).toContain(`protective ${e.r2.toFixed(2)} Ω`);
    }
  });
  it("of a hole is the number of the drilling schedule; of a box its middle from the nearer corner", () => {
    for (const p of parts.filter((x) => x.kind === "bore")) {
      const o = p.hole!;
      expect(partWords(h, plan, p).number).toBe(toMark(Math.abs(o.at)));
      expect(partWords(h, plan, p).over).toContain(holeWords(h, o).from);
    }
    for (const p of parts.filter((x) => x.kind === "box")) {
      const face = faceOf(h, p)!;
      const { u } = job.points.find((x) => x.id === p.at.id)!.place as { u: number };
      const left = u <= face.shape.length / 2;
      const w = partWords(h, plan, p);
      expect(w.number).toBe(toMark(left ? u : face.shape.length - u));
      expect(w.over).toContain(left ? "left-hand corner" : "right-hand corner");
      expect(placeOnWall(h, p)).toMatchObject({ wall: face.wall.id, u: Math.round(u) });
    }
  });
  it("of a chase is deep enough for its thickest cable", () => {
    for (const p of parts.filter((x) => x.kind === "chase")) {
      const legs = plan.runs.flatMap((r) =>
        r.legs
          .filter((l) => l.method === "chase" && l.surface.id === p.at.id)
          .map((l) => l.depth + cableOf(r.cable, standardCatalogue)!.thickness),
      );
      expect(chaseNeeds(h, plan, p.at.id)).toBe(Math.ceil(Math.max(...legs)));
    }
  });
  it("names tasks by their place and says what is left", () => {
    const tasks = tasksOf(h, plan, []);
    for (const t of tasks) {
      expect(taskName(h, t)).toBe(`${groupName(h, t.group)}: ${taskName(h, t).split(": ")[1]}`);
      expect(groupName(h, t.group)).not.toBe("");
      expect(leftWords(t)).toMatch(/^[\d.]+ \S/);
      for (const { state } of t.parts)
        if (state.kind === "waits") expect(stateWords(h, plan, state)).toMatch(/^after: /);
    }
  });
  it("of a fault of a run names its ends or its amount, and the next thing to do, each in its own words", () => {
    const run = plan.runs[0]!;
    const said = runFaults.map((fault) =>
      findingOf(
        fact("test.tails", "run", run.id, {
          case: fault,
          measured: 0.9,
          limit: 0.4,
          of: { from: run.from, to: run.to },
        }),
        namesOf(h),
      ),
    );
    expect(new Set(said.map((f) => f.message)).size).toBe(runFaults.length);
    for (const f of said) {
      expect(f.message).toMatch(/between|from|0\.9 Ω where 0\.4 Ω is expected/);
      expect(f.remedy).toMatch(/[.?]$/);
    }
  });
  it("of a test is what the run should read", () => {
    for (const r of plan.runs) {
      const e = expectedOnTails(h, plan, r)!;
      expect(
        partWords(
          h,
          plan,
          parts.find((p) => p.id === `test:${r.id}`)!,
        ).number,
      ).toBe(`${e.lineEarth.toFixed(2)} Ω`);
      // Line and neutral are alike; the protective conductor is never thicker.
      expect(e.lineEarth).toBeGreaterThanOrEqual(e.lineNeutral - 1e-9);
    }
  });
});

describe("a thing to do, drawn", () => {
  it("shows the wall with what is to be done, and where one stands in the room", () => {
    for (const p of parts) {
      const face = faceOf(h, p);
      const scene = drawAtWall(h, plan, p);
      expect(scene === null).toBe(face === null);
      if (!face || !scene) continue;
      expect(scene.label).toContain(face.room.name);
      expect(drawHere(h, face.room.id, face.wall.id)!.label).toContain("you are here");
      if (p.at.kind === "point" || p.hole) expect(scene.shapes.filter((s) => s.kind === "dim").length).toBe(2);
    }
  });
  it("has a bore line with one joist next, and those that are drilled told apart", () => {
    const bores = parts.filter((p) => p.hole?.in.kind === "joist");
    const first = bores[0]!.hole!;
    const scene = drawBoreLine(h, plan, first.id, (id) => id !== first.id)!;
    const circles = scene.shapes.filter((s) => s.kind === "circle");
    expect(circles.filter((c) => c.ink === "accent")).toHaveLength(1);
    expect(circles.filter((c) => c.ink === "good")).toHaveLength(circles.length - 1);
    expect(scene.shapes.some((s) => s.kind === "text" && s.text === `next: joist ${first.in.joist}`)).toBe(true);
    expect(drawBoreLine(h, plan, "no such hole", () => false)).toBeNull();
  });
});
