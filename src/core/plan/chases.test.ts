import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import type { Run } from "../laid/laid";
import { chaseLength, chasesOn } from "./chases";
import { radialsOnOneWall } from "./one-wall.fixture";
import { makePlan } from "./plan";
import { overChase, takeOff } from "./take-off";

const h = layHouse(radialsOnOneWall("masonry", 5));
const run = (id: string, circuit: string, path: [number, number][], more: object = {}): Run =>
  ({
    ...{ id, circuit, from: "board", to: "s0", cable: "te-2.5", number: 1, carries: [], cutLength: 0 },
    legs: [
      {
        surface: { kind: "wall", id: "w1" },
        method: "chase",
        path: path.map(([u, v]) => [u, 3000, v]),
        depth: 12,
        protected: false,
        ...more,
      },
    ],
  }) as unknown as Run;
const plumb = (id: string, circuit: string, u: number, from: number, to: number): Run =>
  run(id, circuit, [
    [u, from],
    [u, to],
  ]);

describe("chases that several cables share", () => {
  const runs = [
    plumb("a", "c0", 1000, 450, 2400),
    plumb("b", "c1", 1040, 1200, 2400),
    plumb("c", "c2", 1041, 450, 800),
  ];
  it("are one where lines lie within 40 of the first, cut where a cable comes in or leaves", () => {
    expect(chasesOn(h, runs, "w1").map((c) => [c.at, c.from, c.to, c.runs])).toEqual([
      [1000, 450, 1200, ["a"]],
      [1000, 1200, 2400, ["a", "b"]],
      [1041, 450, 800, ["c"]],
    ]);
    expect(chaseLength(h, runs, "w1")).toBe(1950 + 350);
    expect(chasesOn(h, runs, "w0")).toEqual([]);
  });
  it("level and plumb chases cross and stay two", () => {
    const level = run("l", "c0", [
      [500, 1000],
      [1500, 1000],
    ]);
    expect(chasesOn(h, [level, runs[0]!], "w1").map((c) => c.plumb)).toEqual([true, false]);
  });
  it("have one capping over all in them, by their width; shared it belongs to no circuit", () => {
    // 10.1 wide: one under 12 (11 inside), two under 25 (23 inside), three under 38 (36).
    const capping = takeOff(h, runs, [], [], []).filter((t) => t.item === "Capping");
    expect(capping.map((t) => [t.size, Math.round(t.quantity * 1000), t.circuit])).toEqual([
      ["12 mm", 750, "c0"],
      ["12 mm", 350, "c2"],
      ["25 mm", 1200, null],
    ]);
  });
  it("more than the widest takes go under several", () => {
    const flat = { width: 10.1, thickness: 5.8 };
    const sizes = (n: number): string[] =>
      overChase(
        h,
        Array.from({ length: n }, () => flat),
        null,
      ).map((x) => x.size);
    expect([1, 2, 3, 4, 6, 7].map(sizes)).toEqual([
      ["12"],
      ["25"],
      ["38"],
      ["38", "12"],
      ["38", "38"],
      ["38", "38", "12"],
    ]);
    // 19.5 with 10.1 is 29.6; with two of them 39.7, so that the widest goes with one and the other is alone.
    expect(overChase(h, [flat, { width: 19.5, thickness: 7 }, flat], null).map((x) => x.size)).toEqual(["38", "12"]);
    // Too thick for any is still covered once.
    const thick = { width: 12, thickness: 20 };
    expect(overChase(h, [thick], null).map((x) => x.size)).toEqual(["38"]);
    expect(overChase(h, [thick, thick], null).map((x) => x.size)).toEqual(["38"]);
  });
  it("in a whole plan take as much capping as is chased, less than leg by leg", () => {
    const job = radialsOnOneWall("masonry", 5);
    const plan = makePlan(job);
    const house = layHouse(job);
    const metres = plan.takeoff.filter((t) => t.item === "Capping").reduce((s, t) => s + t.quantity, 0);
    const chased = house.faces.reduce((s, f) => s + chaseLength(house, plan.runs, f.wall.id), 0) / 1000;
    expect(metres).toBeCloseTo(chased, 6);
    const legs = plan.runs.flatMap((r) => r.legs).filter((l) => l.method === "chase");
    const each = legs.reduce((s, l) => s + Math.hypot(...l.path[1]!.map((x, i) => x - l.path[0]![i]!)), 0) / 1000;
    expect(metres).toBeLessThan(each);
  });
});
