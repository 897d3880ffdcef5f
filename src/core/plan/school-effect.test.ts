import { describe, expect, it } from "vitest";
import { jobSchema, type Job } from "../job/model";
import { house } from "./laid-by-hand.fixture";
import { schoolEffect, waysBy, withSchool } from "./school-effect";
import { makePlan } from "./plan";

const socket = (id: string, wall: string, u: number, v = 450) => ({
  id,
  label: id.toUpperCase(),
  kind: "socket",
  place: { on: "wall", wall, u, v },
});
const circuit = (id: string, way: number, rating: number, points: string[], more: object = {}) => ({
  ...house().circuits[0]!,
  id,
  label: id.toUpperCase(),
  way,
  device: { curve: "B", rating },
  points,
  ...more,
});
const board = house().points[0]!;
/** Room A has sockets s1 and s2, room B t1 … t4. */
const job = (circuits: object[]): Job =>
  jobSchema.parse({
    ...house(),
    points: [
      board,
      socket("s1", "a1", 1000),
      socket("s2", "a1", 2500),
      socket("t1", "b1", 600),
      socket("t2", "b1", 1400),
      socket("t3", "b1", 2200),
      socket("t4", "b1", 3000),
    ],
    circuits,
  });

describe("the order of ways", () => {
  const three = job([
    circuit("light", 1, 6, ["s1", "t1", "t2"]),
    circuit("big", 2, 32, ["t3"]),
    circuit("small", 3, 16, ["s2"]),
  ]);
  it("the heaviest first, or by the name of the room a circuit serves most, the heavier of one room first", () => {
    expect(waysBy(three, "heaviest")).toEqual(["big", "small", "light"]);
    expect(waysBy(three, "by-room")).toEqual(["small", "big", "light"]);
  });
  it("a circuit that serves two rooms alike counts for the first by name; one that serves none stands last", () => {
    const even = job([circuit("none", 1, 40, []), circuit("even", 2, 6, ["t1", "s1"]), circuit("b", 3, 32, ["t2"])]);
    expect(waysBy(even, "by-room")).toEqual(["even", "b", "none"]);
  });
  it("counts the ways that would differ, and lays nothing anew", () => {
    const e = schoolEffect(three, "boardOrder", "by-room");
    expect(e.ways).toBe(2);
    expect(e.after).toEqual(e.before);
    expect(schoolEffect(three, "notch", "on-site").ways).toBe(0);
  });
});

describe("rings against radials", () => {
  const ring = job([
    circuit("ring", 1, 32, ["s1", "s2", "t1", "t2", "t3", "t4"], { kind: "ring" }),
    circuit("x", 3, 6, [], { kind: "lighting" }),
  ]);
  it("a ring becomes two radials of 20 A that share its points, the second on the first free way", () => {
    const two = withSchool(ring, makePlan(ring), "socketCircuits", "radials");
    const made = two.circuits.filter((c) => c.kind === "radial");
    expect(made.map((c) => [c.device.rating, c.way])).toEqual([
      [20, 1],
      [20, 2],
    ]);
    expect(made.flatMap((c) => c.points).sort()).toEqual(["s1", "s2", "t1", "t2", "t3", "t4"]);
    expect(made.every((c) => c.points.length > 0)).toBe(true);
    expect(two.circuits).toHaveLength(3);
    expect(two.settings.schools.socketCircuits).toBe("radials");
  });
  it("two radials of sockets become one ring of 32 A; a third, and one with other things on it, stay", () => {
    const radials = job([
      circuit("a", 1, 20, ["s1"]),
      circuit("b", 2, 20, ["s2", "t1"]),
      circuit("c", 3, 20, ["t2"]),
      circuit("d", 4, 16, ["t3"]),
      circuit("e", 5, 20, []),
    ]);
    const one = withSchool(radials, makePlan(radials), "socketCircuits", "ring");
    expect(one.circuits.map((c) => [c.id, c.kind, c.device.rating, c.points])).toEqual([
      ["a", "ring", 32, ["s1", "s2", "t1"]],
      ["c", "radial", 20, ["t2"]],
      ["d", "radial", 16, ["t3"]],
      ["e", "radial", 20, []],
    ]);
  });
  it("tells what it would cost: cable, circuits and what would be found", () => {
    const e = schoolEffect(ring, "socketCircuits", "radials");
    expect([e.before.circuits, e.after.circuits]).toEqual([1, 2]);
    expect(e.before.cable).toBeCloseTo(makePlan(ring).runs.reduce((s, r) => s + r.cutLength, 0) / 1000, 9);
    const after = makePlan(withSchool(ring, makePlan(ring), "socketCircuits", "radials"));
    expect(e.after.cable).toBeCloseTo(after.runs.reduce((s, r) => s + r.cutLength, 0) / 1000, 9);
    expect([e.before.clips, e.before.holes]).toEqual([
      makePlan(ring).clips.reduce((s, c) => s + c.marks.length, 0),
      makePlan(ring).holes.length,
    ]);
  });
});
