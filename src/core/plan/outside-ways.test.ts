import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { across, strip, yardJob } from "../house/yard.fixture";
import { pathLength } from "../base/wall-frame";
import { surfacesOf } from "../record/closing";
import { partsOf } from "../record/parts";
import { tasksOf } from "../record/tasks";
import { laidCircuits } from "../trades/circuits/laid-circuit";
import { checkPlan } from "./checker";
import { outsideOf } from "../house/outside";
import { buildGraph } from "../routing/build";
import { EDGE } from "../routing/graph";
import { plainCheapest } from "../routing/plain-search.fixture";
import { Site } from "../routing/site";
import { tasksOf as runs } from "../routing/tasks";
import { makePlan } from "./plan";
import { sandBags } from "./outside-take-off";

const planned = (more: Record<string, unknown>, circuit: Record<string, unknown> = {}) => {
  const job = yardJob(more, circuit);
  const h = layHouse(job);
  return { job, h, plan: makePlan(job) };
};
const trench = { outsideWays: [across("trench")] };

describe("armour across a yard", () => {
  it("takes the trench that is drawn: down the wall, through it, up the other; every metre of it in the path", () => {
    const { plan } = planned(trench);
    const [run] = plan.runs;
    const leg = run!.legs.find((l) => l.surface.kind === "outside")!;
    expect([leg.method, leg.depth, leg.protected, leg.surface.id]).toEqual(["buried", 600, true, "w"]);
    expect(pathLength(leg.path)).toBeCloseTo(7200, 6);
    expect(run!.pathLength).toBeCloseTo(
      run!.legs.reduce((s, l) => s + pathLength(l.path), 0),
      6,
    );
    expect(plan.facts.filter((f) => f.severity === "stop")).toEqual([]);
    expect(plan.cable.bound!).toBeLessThanOrEqual(plan.cable.total);
  });
  it("the other way round as well: a trench given from the shed is walked from its far end", () => {
    const back = across("trench");
    const { h, plan } = planned({
      outsideWays: [{ ...back, from: back.to, to: back.from, turns: [{ x: 2500, y: 6000 }] }],
    });
    expect(plan.facts.filter((f) => f.rule === "route.broken")).toEqual([]);
    const leg = plan.runs[0]!.legs.find((l) => l.surface.kind === "outside")!;
    expect(pathLength(leg.path)).toBeCloseTo(outsideOf(h)[0]!.cable, 6);
  });
  it("in the graph it is one edge as long as its cable, and none that hidden cable may take", () => {
    const g = buildGraph(layHouse(yardJob(trench)));
    const e = g.kind.indexOf(EDGE.outside);
    expect([g.length[e], g.hidden[e]]).toEqual([7200, 0]);
  });
  it("of two wires at any slant the cheaper is taken, and the shorter where it is by length", () => {
    // One at a slant that comes out near the end, and one straight across further off.
    const pairs = [400, 3600].flatMap((a) =>
      [400, 1900, 3600].flatMap((b) => [1000, 3000].map((c) => [a, b, c, 4000 - c] as const)),
    );
    for (const [a, b, c, d] of pairs) {
      const wire = (id: string, from: number, to: number) =>
        across("catenary", { id, from: { wall: "out3", u: from, v: 4000 }, to: { wall: "out1", u: to, v: 4000 } });
      const h = layHouse(yardJob({ outsideWays: [wire("w", a, b), wire("x", c, d)] }));
      const g = buildGraph(h);
      const site = new Site(h, g);
      const [t] = runs(h, g).tasks;
      const w = site.weightsFor(t!);
      const [from, to] = w.ends.map((n) => g.terminal[n]!) as [number, number];
      expect(site.wayFor(t!)!.cost).toBeCloseTo(plainCheapest(g, from, to, w), 4);
      const byLength = { ...w, cost: g.length.slice(), bend: 0, crossing: 0 };
      expect(site.shortestFor(t!, () => false, Infinity)!.cost).toBeCloseTo(plainCheapest(g, from, to, byLength), 4);
    }
  });
  it("without a way there is none, since the yard is open on both sides", () =>
    expect(planned({}).plan.facts.map((f) => f.rule)).toContain("route.unreachable"));
  it("plain cable does not take it, and is told of no way; nothing lies in it then", () => {
    const { plan } = planned(trench, { cable: "te-6" });
    expect(plan.runs).toEqual([]);
    expect(plan.facts.map((f) => f.rule)).toEqual(expect.arrayContaining(["route.unreachable", "outside.unused"]));
  });
  it("is rated in the ground by method D at 20 °C of soil, and on a wire by E", () => {
    const legs = (more: Record<string, unknown>) => {
      const { h, plan } = planned(more);
      return laidCircuits(h, plan.runs, plan.holes)[0]!;
    };
    const d = legs(trench).legs.find((l) => l.method === "D")!;
    expect([d.ambient, d.arrangement, d.grouped]).toEqual([20, "ground", 1]);
    // 6 mm² in the ground carries 46 A; clipped 49: the trench is where it carries least.
    expect(legs(trench).result.iz).toBe(46);
    const e = legs({ outsideWays: [across("catenary")] });
    expect(e.legs.some((l) => l.method === "E")).toBe(true);
    expect(e.result.iz).toBe(49);
  });
  it("two circuits in one trench take .75: 34.5 A, and a 40 A device no longer holds", () => {
    const two = yardJob(trench);
    const job = {
      ...two,
      points: [
        ...two.points,
        {
          ...two.points.find((p) => p.id === "k")!,
          id: "k2",
          label: "K2",
          place: { on: "wall" as const, wall: "shed3", u: 1000, v: 1200 },
        },
      ],
      circuits: [
        ...two.circuits,
        {
          ...two.circuits[0]!,
          id: "c2",
          label: "C2",
          way: 2,
          points: ["k2"],
          device: { curve: "B" as const, rating: 40 },
        },
      ],
    };
    const plan = makePlan(job);
    const laid = laidCircuits(layHouse(job), plan.runs, plan.holes);
    expect(laid.map((x) => x.result.iz)).toEqual([34.5, 34.5]);
    expect(plan.facts.filter((f) => f.rule === "circuit.capacity").map((f) => f.subject.id)).toEqual(["c2"]);
  });
  it("a run by hand that no longer lies in its way, or whose way is gone, is told", () => {
    const { plan } = planned(trench);
    const told = (more: Record<string, unknown>) =>
      checkPlan(layHouse(yardJob(more)), { runs: plan.runs, holes: plan.holes, clips: [] }).filter(
        (f) => f.case === "way-gone",
      ).length;
    expect(told(trench)).toBe(0);
    expect(told({})).toBe(1);
    expect(told({ outsideWays: [across("trench", { to: { wall: "out1", u: 2500, v: 0 } })] })).toBe(1);
  });
  it("leaves a loop below both ends of a wire: 600 more than its path, tails and spare", () => {
    const waste = 1 + yardJob().settings.wastePercent / 100;
    const bare = (more: Record<string, unknown>): number => {
      const { plan } = planned(more);
      return plan.runs[0]!.cutLength / waste - plan.runs[0]!.pathLength;
    };
    expect(bare({ outsideWays: [across("catenary")] }) - bare(trench)).toBeCloseTo(600, 0);
  });
});

describe("work on site out of doors", () => {
  const { job, h, plan } = planned({
    outsideWays: [across("trench", { ducts: [{ from: 1000, to: 3000, size: 63 }] })],
    grounds: [strip("drive", 1200, 2800)],
  });
  it("is dug before it is drawn in, photographed and released open, and filled after", () => {
    const parts = partsOf(h, plan).filter((p) => p.at.kind === "outside");
    expect(parts.map((p) => [p.id, p.count])).toEqual([
      ["dig:outside:w", 6],
      ["fill:outside:w", 6],
      ["photo:outside:w", 1],
      ["close:outside:w", 1],
    ]);
    const states = new Map(tasksOf(h, plan, []).flatMap((t) => t.parts.map((x) => [x.part.id, x.state] as const)));
    expect(states.get("dig:outside:w")).toEqual({ kind: "ready" });
    const drawIn = states.get(`draw-in:${plan.runs[0]!.id}`)!;
    expect(drawIn.kind).toBe("waits");
    expect(states.get("fill:outside:w")).toMatchObject({ kind: "waits" });
    expect(surfacesOf(job, plan).map((s) => s.key)).toContain("outside:w");
  });
  it("filling stays to be done when the trench is released, and is done by its own tick", () => {
    const line = (more: object, n: number) =>
      ({
        id: `e${n}`,
        run: "outside:w",
        step: null,
        text: "",
        by: "Pat",
        at: `2026-11-27T10:0${n}:00Z`,
        ...more,
      }) as never;
    const state = (entries: never[]) =>
      tasksOf(h, plan, entries)
        .flatMap((t) => t.parts)
        .find((x) => x.part.id === "fill:outside:w")!.state.kind;
    const released = [line({ kind: "released" }, 1)];
    expect(state(released)).not.toBe("done");
    expect(state([...released, line({ kind: "mark", mark: "fill:outside:w" }, 2)])).toBe("done");
  });
  it("takes tape for its length, sand for its bed, a duct with a cord under the drive", () => {
    // 6 m × 0.3 × 0.15 of sand at 1 600 kg/m³ is 432 kg: 18 bags of 25.
    expect(sandBags(6, 75)).toBe(18);
    expect(sandBags(6, 0)).toBe(0);
    const bought = plan.takeoff
      .filter((t) => /tape|Sand|Duct|cord/.test(t.item))
      .map((t) => [t.item, t.size, t.quantity, t.unit, t.circuit]);
    expect(bought).toEqual([
      ["Draw cord", "", 4, "m", "c"],
      ["Duct", "63 mm", 2, "m", "c"],
      ["Marker tape", "", 6, "m", "c"],
      ["Sand or sieved soil", "25 kg bag", 18, "each", "c"],
    ]);
  });
  it("a wire takes its length with a half metre for grips at both ends, bolts, a strainer and ties every 300", () => {
    const { plan: wire } = planned({ outsideWays: [across("catenary")] });
    const bought = new Map(wire.takeoff.map((t) => [t.item, t.quantity]));
    expect(bought.get("Catenary wire")).toBe(7);
    expect(bought.get("Eye bolt for a wire")).toBe(2);
    expect(bought.get("Cable tie that stands sunlight")).toBe(21);
  });
});
