import { describe, expect, it } from "vitest";
import { toSpace } from "../core/base/wall-frame";
import { layHouse } from "../core/house/house";
import { jobSchema } from "../core/job/model";
import { behindWall } from "../core/plan/behind-wall";
import { makePlan } from "../core/plan/plan";
import { generatedHouse } from "../core/routing/generated-house";
import { wallTruth } from "./wall-truth";

describe("what a sweep along a wall meets", () => {
  const base = generatedHouse(7, 2, 3);
  const socket = base.points.find((p) => p.kind === "socket" && p.place.on === "wall")!;
  const wall = (socket.place as { wall: string }).wall;
  const job = jobSchema.parse({
    ...base,
    foundCables: [{ id: "old", from: base.points.find((p) => p.kind === "board")!.id, to: socket.id }],
  });
  const h = layHouse(job);
  const plan = makePlan(job);
  /** Height just over the socket, where cables come down to it. */
  const over = (socket.place as { v: number }).v + 150;

  it("is what is in the wall: a run that is only planned is not there to be found", () => {
    const planned = makePlan(base);
    expect(wallTruth(layHouse(base), planned, wall, over).cables).toEqual([]);
    const run = planned.runs.find((r) =>
      r.legs.some((l) => l.surface.kind === "wall" && l.surface.id === wall && l.path[0]![2] !== l.path[1]![2]),
    )!;
    const done = { ...planned, runs: planned.runs.map((r) => (r.id === run.id ? { ...r, held: true } : r)) };
    const there = wallTruth(layHouse(base), done, wall, over).cables;
    expect(there.length).toBeGreaterThan(0);
    expect(there.every((c) => !c.live)).toBe(true);
  });
  it("an old cable is met where it is taken to run, and counts as live", () => {
    const legs = plan.found[0]!.legs.filter((l) => l.surface.id === wall && l.method !== "surface");
    expect(legs.length).toBeGreaterThan(0);
    const v = legs[0]!.path.reduce((s, p) => s + p[2], 0) / 2 - h.faces[h.faceOfWall.get(wall)!]!.floor;
    const { cables } = wallTruth(h, plan, wall, v);
    expect(cables.some((c) => c.live)).toBe(true);
  });
  it("an old cable that was traced on a slope is met where it crosses the sweep", () => {
    const frame = h.faces[h.faceOfWall.get(wall)!]!.frame;
    const path = [
      { u: 1000, v: 500 },
      { u: 1400, v: 1300 },
    ].map((p): [number, number, number] => [...toSpace(frame, p)]);
    const leg = {
      surface: { kind: "wall" as const, id: wall },
      method: "chase" as const,
      depth: 12,
      protected: false,
      path,
    };
    const traced = { ...plan, runs: [], found: [{ id: "x", from: socket.id, to: null, legs: [], traced: [leg] }] };
    const met = (v: number) => wallTruth(h, traced, wall, v).cables.map((c) => [Math.round(c.u), c.depth, c.live]);
    expect(met(700)).toEqual([[1100, 12, true]]);
    expect(met(1300)).toEqual([[1400, 12, true]]);
    expect([met(499), met(1301)]).toEqual([[], []]);
    expect(wallTruth(h, traced, wall, 700).cables[0]!.name).toContain("an end not traced");
  });
  it("is told behind the wall as found, planned or in, in words of its own", () => {
    const states = new Set(behindWall(h, plan, wall).map((x) => x.state));
    expect([...states].sort()).toEqual(["found", "planned"]);
    const done = { ...plan, runs: plan.runs.map((r) => ({ ...r, held: true })) };
    expect(new Set(behindWall(h, done, wall).map((x) => x.state))).toEqual(new Set(["found", "done"]));
    const old = behindWall(h, plan, wall).find((x) => x.state === "found")!;
    expect(old.run).toBe("old");
    expect(old.ends).toContain(socket.id);
  });
});
