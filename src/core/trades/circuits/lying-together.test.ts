import { describe, expect, it } from "vitest";
import { layHouse } from "../../house/house";
import type { PinnedLeg } from "../../job/model";
import type { Hole } from "../../laid/laid";
import { radialsOnOneWall } from "../../plan/one-wall.fixture";
import { lyingTogether } from "./lying-together";
import type { RatedRun } from "./old-part";

const h = layHouse(radialsOnOneWall("masonry", 5));
type At = [number, number, number];
const leg = (from: At, to: At, more: Partial<PinnedLeg> = {}): PinnedLeg => ({
  surface: { kind: "wall", id: "w1" },
  method: "chase",
  path: [from, to],
  depth: 12,
  protected: false,
  ...more,
});
const run = (circuit: string, ...legs: PinnedLeg[]): RatedRun => ({
  id: circuit,
  circuit,
  from: "board",
  to: circuit.replace("c", "s"),
  cable: "te-2.5",
  legs,
  pathLength: 3000,
});
const level = (z: number, from: number, to: number): PinnedLeg => leg([from, 3000, z], [to, 3000, z]);
/** How many lie with the first leg of the first run, and how. */
const first = (runs: RatedRun[], holes: Hole[] = [], of = h): unknown => {
  const { circuits, how } = lyingTogether(of, runs).together(runs[0]!.legs[0]!, holes, runs[0]!.circuit);
  return [circuits, how];
};

describe("circuits that lie together", () => {
  it("against a wall are those beside each other for a metre", () => {
    const own = run("c0", level(450, 500, 3000));
    expect(first([own, run("c1", level(450, 1000, 2000))])).toEqual([2, "wall"]);
    expect(first([own, run("c1", level(450, 1000, 1999))])).toEqual([1, "wall"]);
    // In pieces as well.
    expect(first([own, run("c1", level(450, 600, 1200), level(450, 2000, 2500))])).toEqual([2, "wall"]);
    expect(first([own, run("c1", level(450, 600, 1200)), run("c2", level(450, 2000, 2500))])).toEqual([1, "wall"]);
  });
  it("of each leg by itself, whichever is asked for first, and the same when it is asked for again", () => {
    const own = run("c0", level(450, 500, 3000), level(900, 500, 3000), level(1400, 500, 3000));
    const lying = lyingTogether(h, [own, run("c1", level(450, 500, 3000), level(1400, 500, 3000))]);
    const all = (): number[] => own.legs.map((l) => lying.together(l, [], "c0").circuits);
    expect(lying.together(own.legs[1]!, [], "c0").circuits).toBe(1);
    expect(all()).toEqual([2, 1, 2]);
    expect(all()).toEqual([2, 1, 2]);
  });
  it("in a strip of their own they are alone: 40 mm are one strip, 41 are two", () => {
    const own = run("c0", level(450, 500, 3000));
    expect(first([own, run("c1", level(490, 500, 3000))])).toEqual([2, "wall"]);
    expect(first([own, run("c1", level(491, 500, 3000))])).toEqual([1, "wall"]);
    expect(first([own, run("c1", leg([500, 3000, 400], [500, 3000, 2400]))])).toEqual([1, "wall"]);
    expect(first([own, run("c1", { ...level(450, 500, 3000), surface: { kind: "wall", id: "w0" } })])).toEqual([
      1,
      "wall",
    ]);
  });
  it("circuits too lightly loaded to warm anything, and the circuit itself, do not count", () => {
    const light = layHouse({
      ...h.job,
      circuits: h.job.circuits.map((c) => (c.id === "c1" ? { ...c, device: { ...c.device, rating: 15 } } : c)),
    });
    const own = run("c0", level(450, 500, 3000));
    expect(first([own, run("c1", level(450, 500, 3000))], [], light)).toEqual([1, "wall"]);
    expect(first([own, { ...run("c0", level(450, 500, 3000)), id: "other" }])).toEqual([1, "wall"]);
  });
  it("along a joist they lie side by side, across the joists in its fullest hole", () => {
    const along = (circuit: string): RatedRun =>
      run(
        circuit,
        leg([500, 200, 2500], [500, 2200, 2500], { surface: { kind: "deck", id: "d" }, method: "along-joist" }),
      );
    expect(first([along("c0"), along("c1"), along("c2")])).toEqual([3, "wall"]);
    const across = (circuit: string): RatedRun =>
      run(
        circuit,
        leg([500, 900, 2500], [2500, 900, 2500], { surface: { kind: "deck", id: "d" }, method: "through-joists" }),
      );
    const hole = (n: number, runs: string[]): Hole => ({
      id: `d.J${n}`,
      in: { kind: "joist", deck: "d", joist: n, span: 1 },
      at: 900,
      fromTop: 97,
      centre: [600 + 400 * n, 900, 2500],
      diameter: 20,
      runs,
      plated: false,
    });
    const runs = [across("c0"), across("c1"), across("c2")];
    expect(first(runs, [hole(1, ["c0"]), hole(2, ["c0", "c1", "c2"])])).toEqual([3, "bunched"]);
    expect(first(runs, [hole(1, ["c0"]), hole(2, ["c0"])])).toEqual([1, "bunched"]);
  });
  it("in studs are those that go on together from one stud to the next", () => {
    const stud = layHouse(radialsOnOneWall("stud", 5));
    const own = (circuit: string, z: number): RatedRun =>
      run(circuit, { ...level(z, 500, 3000), method: "stud-void", depth: 60 });
    const hole = (n: number, runs: string[]): Hole => ({
      id: `w1.stud${n}`,
      in: { kind: "stud", wall: "w1", part: "stud", stud: n },
      at: 200 + 400 * n,
      fromTop: 1950,
      centre: [200 + 400 * n, 3000, 450],
      diameter: 20,
      runs,
      plated: false,
    });
    const runs = [own("c0", 450), own("c1", 900), own("c2", 1200)];
    // Side by side they count as well: where both say the same number, the bundle is the warmer.
    expect(first(runs, [hole(1, ["c0", "c1"]), hole(2, ["c0", "c1"])], stud)).toEqual([2, "bunched"]);
    expect(first(runs, [hole(1, ["c0", "c1"]), hole(2, ["c0", "c2"]), hole(3, ["c0", "c1"])], stud)).toEqual([
      1,
      "wall",
    ]);
    // As they come along the wall, whatever their order in the list.
    expect(first(runs, [hole(1, ["c0", "c1"]), hole(3, ["c0", "c1"]), hole(2, ["c0"])], stud)).toEqual([1, "wall"]);
    expect(first([own("c0", 450), own("c1", 450)], [], stud)).toEqual([2, "wall"]);
  });
});
