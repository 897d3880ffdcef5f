import { describe, expect, it } from "vitest";
import { layHouse } from "../../core/house/house";
import { blankJob, type Job } from "../../core/job/model";
import { makePlan } from "../../core/plan/plan";
import { generatedHouse } from "../../core/routing/generated-house";
import { roomsShowing } from "./bring-room";
import { nextStep } from "./next-step";

const job = generatedHouse(3, 2, 3);

describe("the next thing to do", () => {
  it("goes from the first room to a plan, and is silent once the job is under way", () => {
    const steps = [
      blankJob("b", "Blank"),
      { ...job, openings: [], points: [], decks: [] },
      { ...job, points: job.points.filter((p) => p.kind !== "board") },
      { ...job, points: job.points.filter((p) => p.kind === "board") },
      { ...job, decks: [] },
      job,
    ] as Job[];
    expect(steps.map((j) => nextStep(j, null)?.name ?? null)).toEqual([
      "Walk a room",
      "Show its form",
      "To the points",
      "To the points",
      "Add joists",
      null,
    ]);
  });
});

describe("the room of what is picked", () => {
  const house = layHouse(job);
  const plan = makePlan(job);
  it("is that of a wall, a point, and of every wall that a run shows on", () => {
    const wall = job.walls[0]!;
    expect(roomsShowing(house, plan, { kind: "wall", id: wall.id })).toEqual([wall.room]);
    const light = job.points.find((p) => p.place.on === "deck")!;
    const [room] = roomsShowing(house, plan, { kind: "point", id: light.id });
    expect(job.rooms.some((r) => r.id === room)).toBe(true);
    const run = plan.runs.find((r) => r.legs.some((l) => l.surface.kind === "wall"))!;
    const rooms = roomsShowing(house, plan, { kind: "run", id: run.id });
    const leg = run.legs.find((l) => l.surface.kind === "wall")!;
    expect(rooms).toContain(job.walls.find((w) => w.id === (leg.surface as { id: string }).id)!.room);
  });
  it("is none of a circuit, of nothing, and of what is gone", () => {
    expect(roomsShowing(house, plan, { kind: "circuit", id: job.circuits[0]!.id })).toEqual([]);
    expect(roomsShowing(house, plan, null)).toEqual([]);
    expect(roomsShowing(house, plan, { kind: "run", id: "gone" })).toEqual([]);
    expect(roomsShowing(house, null, { kind: "wall", id: "gone" })).toEqual([]);
  });
});
