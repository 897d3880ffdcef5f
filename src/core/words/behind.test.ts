import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import type { Job } from "../job/model";
import { behindWall } from "../plan/behind-wall";
import { makePlan } from "../plan/plan";
import { generatedHouse } from "../routing/generated-house";
import { behindPlace, isPlumb, isolateWords } from "./behind";

const leg = (a: [number, number], b: [number, number], otherFace = false) => ({
  a: { u: a[0], v: a[1] },
  b: { u: b[0], v: b[1] },
  otherFace,
  from: "Hall",
});

describe("what is behind a wall in words", () => {
  it("says plumb, level or through, from the corner and the floor, and from where it was laid", () => {
    expect(behindPlace(leg([1350, 300], [1350, 2400]))).toBe("plumb at 1\u202f350; 300 to 2\u202f400 up");
    expect(behindPlace(leg([2000, 450], [500, 450]))).toBe("level at 500 to 2\u202f000; 450 up");
    expect(behindPlace(leg([900, 450], [900, 450], true))).toBe("through at 900; 450 up, laid from Hall");
    expect(isPlumb(leg([0, 0], [10, 9]))).toBe(false);
  });
});

describe("how to make a wall dead", () => {
  const job = generatedHouse(3);
  const words = (j: Job, wall: string): string => {
    const h = layHouse(j);
    const plan = makePlan(j);
    return isolateWords(h, plan, h.faces[h.faceOfWall.get(wall)!]!, behindWall(h, plan, wall));
  };
  const point = job.points.find((p) => p.place.on === "wall" && p.kind === "socket")!;
  const wall = (point.place as { wall: string }).wall;
  const circuit = job.circuits.find((c) => c.points.includes(point.id))!;
  const board = job.points.find((p) => p.kind === "board")!;
  it("names the way and the board that the circuit is on, and not another board", () => {
    const way = circuit.way === null ? "way not given" : `way ${circuit.way}`;
    expect(words(job, wall)).toContain(`${circuit.label} (${way})`);
    expect(words(job, wall)).toContain(`at ${board.label};`);
    const second = { ...board, id: "second", label: "DB9", place: { ...board.place, u: 300 } as typeof board.place };
    const two: Job = {
      ...job,
      points: [...job.points, second],
      circuits: job.circuits.map((c) => (c.id === circuit.id ? { ...c, board: "second" } : c)),
    };
    expect(words(two, wall)).toMatch(new RegExp(`${circuit.label} \\(${way}\\)[^;]* at DB9;`));
  });
  it("warns of foil, and of cables that were found", () => {
    const foil = { ...job, walls: job.walls.map((w) => (w.id === wall ? { ...w, foilBacked: true } : w)) };
    expect(words(foil, wall)).toContain("foil behind the board");
    expect(words(job, wall)).not.toContain("foil");
    const h = layHouse(job);
    const f = h.faces[h.faceOfWall.get(wall)!]!;
    const found = {
      ...leg([1, 0], [1, 9]),
      run: "x",
      leg: 0,
      state: "found",
      ends: ["a", null],
      depth: 15,
      method: "chase",
    } as const;
    expect(isolateWords(h, { runs: [] }, f, [found])).toContain("trace each and make it dead too");
    expect(isolateWords(h, { runs: [] }, f, [])).not.toContain("trace each");
  });
});
