import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import type { Job } from "../job/model";
import { makePlan } from "../plan/plan";
import { generatedHouse } from "../routing/generated-house";
import { joistTape, runTape, wallTape } from "./tape";

const base = generatedHouse(7, 2, 3);
const job: Job = { ...base, walls: base.walls.map((w) => ({ ...w, build: "stud" as const, studs: null })) };
const h = layHouse(job);
const plan = makePlan(job);
const ofKind = (id: string, datum: "left" | "right" | "floor" | "ceiling", kind: string) =>
  wallTape(h, plan, id, datum)!.marks.filter((m) => m.kind === kind);

describe("the tape on a wall", () => {
  const holes = plan.holes.filter((o) => o.in.kind === "stud" || o.in.kind === "wall");
  const walls = [...new Set(holes.map((o) => o.in.wall!))];
  it("marks every hole in its studs, plates and masonry, with bit and place, from either end", () => {
    expect(walls.length).toBeGreaterThan(2);
    for (const id of walls) {
      const f = h.faces[h.faceOfWall.get(id)!]!;
      const mine = holes.filter((o) => o.in.wall === id);
      const [left, right] = [ofKind(id, "left", "bore"), ofKind(id, "right", "bore")];
      for (const o of mine) {
        const mark = left.find((m) => m.subject === o.id) ?? left.find((m) => Math.abs(m.at - o.at) < 0.01)!;
        expect(mark.at).toBeCloseTo(o.at, 2);
        expect(mark.text).toContain(`Ø ${o.diameter}`);
        if (o.in.part === "stud" && mark.subject === o.id)
          expect(mark.text).toBe(`drill Ø ${o.diameter} in stud ${o.in.stud}`);
        expect(right.some((m) => Math.abs(m.at - (f.shape.length - o.at)) < 0.01)).toBe(true);
        expect(ofKind(id, "floor", "bore").some((m) => Math.abs(m.at - (f.shape.height - o.fromTop)) < 0.01)).toBe(
          true,
        );
        expect(ofKind(id, "ceiling", "bore").some((m) => Math.abs(m.at - o.fromTop) < 0.01)).toBe(true);
      }
    }
    const texts = walls.flatMap((id) => ofKind(id, "left", "bore").map((m) => m.text));
    expect(texts.some((t) => t.endsWith("in head plate"))).toBe(true);
    expect(texts.some((t) => /in stud \d+$/.test(t))).toBe(true);
  });
  it("has its points, drops and the edges of openings, each once, in reading order", () => {
    for (const f of h.faces) {
      const { marks, length } = wallTape(h, plan, f.wall.id, "left")!;
      expect(marks.map((m) => m.at)).toEqual([...marks.map((m) => m.at)].sort((a, b) => a - b));
      expect(new Set(marks.map((m) => `${m.at} ${m.text}`)).size).toBe(marks.length);
      for (const p of f.points) expect(marks.some((m) => m.subject === p.id && Math.abs(m.at - p.u) < 1e-6)).toBe(true);
      for (const m of marks) expect(m.at >= -1 && m.at <= length + 1).toBe(true);
    }
    expect(wallTape(h, plan, "none", "left")).toBeNull();
  });
});

describe("the tape along a run and on a joist", () => {
  it("reads the same marks from both ends", () => {
    for (const r of plan.runs.slice(0, 5)) {
      const [a, b] = [runTape(h, plan, r, "start"), runTape(h, plan, r, "end")];
      expect(a.length).toBe(r.pathLength);
      expect(b.marks.map((m) => Math.round(r.pathLength - m.at)).sort((x, y) => x - y)).toEqual(
        a.marks.map((m) => Math.round(m.at)).sort((x, y) => x - y),
      );
    }
  });
  it("says how far down to drill, and is not there for a span that is none", () => {
    const o = plan.holes.find((x) => x.in.kind === "joist")!;
    const { deck, joist, span } = o.in;
    const tape = joistTape(h, plan, deck!, joist!, span!, "left bearing")!;
    const mark = tape.marks.find((m) => m.subject === o.id)!;
    expect(mark.at).toBeCloseTo(o.at, 6);
    expect(mark.text).toContain(`drill Ø ${o.diameter}, ${Math.round(o.fromTop)} down`);
    expect(joistTape(h, plan, deck!, joist!, 9, "left bearing")).toBeNull();
  });
});
