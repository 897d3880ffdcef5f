import { describe, expect, it } from "vitest";
import { makePlan } from "../../plan/plan";
import { partsOf } from "../../record/parts";
import { tasksOf } from "../../record/tasks";
import { partWords } from "../../words/tasks";
import { laidCircuits } from "../circuits/laid-circuit";
import { bridgedLeg } from "../circuits/old-part";
import { pathLength } from "../../base/wall-frame";
import { beforeAndAfter, cablesAt, extensionFacts, jointCores, onSkirting } from "./extension";
import { corners, job, worked, x } from "./old-circuit.fixture";

describe("an old ring that is added to", () => {
  it("is broken where least cable is taken, joined at both ends, and stays one ring with its old part", () => {
    const { h, plan, f } = worked(job("ring"));
    expect(f.broken).toEqual({ from: "s1", to: "s2" });
    expect(f.joints.map((j) => [j.point, j.where]).sort()).toEqual([
      ["s1", "at-point"],
      ["s2", "at-point"],
    ]);
    expect(f.added).toEqual(["s3"]);
    const [laid] = laidCircuits(h, plan.runs, plan.holes, plan.found);
    // Round from the board: the old leg, both new ones, the old leg home; the broken one is no more.
    expect(laid!.way).toEqual(expect.arrayContaining(["s1", "s3", "s2"]));
    expect(laid!.legs.map((l) => l.run)).not.toContain("old:f2");
    expect(new Set(laid!.legs.map((l) => l.run))).toEqual(new Set(["old:f1", "old:f3", ...plan.runs.map((r) => r.id)]));
    // Where no way is taken for its old cables they count straight from point to point.
    const straight = laidCircuits(h, plan.runs, plan.holes)[0]!;
    expect(straight.legs.reduce((n, l) => n + l.length, 0)).toBeLessThan(laid!.legs.reduce((n, l) => n + l.length, 0));
  });
  it("is broken at the leg the user names, which is told when nobody traced it", () => {
    const said = (broken: object) => worked(job("ring", x({ broken, shape: "ring" })));
    expect(said({ from: "s2", to: "db" }).f.broken).toEqual({ from: "s2", to: "db" });
    const { h, plan } = said({ from: "db", to: "s1" });
    expect(extensionFacts(h, plan)).toEqual([]);
    const untraced = worked(
      job("ring", {
        ...x({ broken: { from: "s1", to: "s2" }, shape: "ring" }),
        foundCables: [
          { id: "f1", from: "db", to: "s1" },
          { id: "f3", from: "s2", to: "db" },
        ],
      }),
    );
    expect(untraced.f.broken).toEqual({ from: "s1", to: "s2" });
    expect(extensionFacts(untraced.h, untraced.plan).map((f) => f.rule)).toEqual(["extend.leg"]);
  });
  it("reads end to end what its old cables are long: 7.41 and 12.1 mΩ a metre", () => {
    const { plan, f } = worked(job("ring"));
    const metres =
      plan.found.reduce(
        (s, w) =>
          s +
          [...w.legs, ...w.traced].reduce(
            (n, l) => n + Math.hypot(...[0, 1, 2].map((k) => l.path[1]![k]! - l.path[0]![k]!)),
            0,
          ),
        0,
      ) / 1000;
    expect(f.endToEnd!.r1).toBeCloseTo((metres * 7.41) / 1000, 6);
    expect(f.endToEnd!.r2).toBeCloseTo((metres * 12.1) / 1000, 6);
    expect(worked(job("radial")).f.endToEnd).toBeNull();
  });
  it("with two legs in one pull: the whole length, and where it is folded", () => {
    const { f } = worked(job("ring", x({ doubled: true })));
    expect(f.doubled).toHaveLength(1);
    const [d] = f.doubled;
    expect(d!.at).toBe("s3");
    expect(d!.length).toBeCloseTo(
      f.runs.reduce((s, r) => s + r.cutLength, 0),
      6,
    );
    expect(d!.cut).toBe(f.runs[0]!.cutLength);
    expect(worked(job("ring")).f.doubled).toEqual([]);
  });
});

describe("the whole circuit, before and after", () => {
  it("as found and with what is added: longer, and its loop higher; the floor the same room", () => {
    const { h, plan } = worked(job("radial"));
    const { before, after } = beforeAndAfter(h, plan, "c");
    expect(after!.metres).toBeCloseTo(before!.metres + plan.runs.reduce((s, r) => s + r.pathLength, 0) / 1000, 3);
    expect(after!.zs).toBeGreaterThanOrEqual(before!.zs);
    expect([before!.floor, after!.floor]).toEqual([12, 12]);
    expect(beforeAndAfter(h, plan, "gone")).toEqual({ before: null, after: null });
  });
  it("a ring over 100 m² of floor is told", () => {
    const big = [
      { x: 0, y: 0 },
      { x: 0, y: 10_000 },
      { x: 10_100, y: 10_000 },
      { x: 10_100, y: 0 },
    ];
    const told = (outline: object[]) =>
      makePlan(
        job("ring", {
          rooms: [{ id: "r", storey: "g", name: "Room", kind: "living", height: 2400, outline }],
          decks: [],
        }),
      )
        .facts.filter((f) => f.rule === "circuit.area")
        .map((f) => f.measured);
    expect(told(big)).toEqual([101]);
    expect(told(corners)).toEqual([]);
  });
  it("a socket on a skirting of 150 stands with its middle at 193", () =>
    expect(onSkirting({ kind: "socket", gang: 2 }, 150)).toBe(193));
});

describe("which cable of two", () => {
  it("with the leg to S1 joined at the board, at S1 its own cable reads its length and the other is open", () => {
    const { h, plan, f } = worked(job("ring"));
    const at = (point: string) => cablesAt(h, plan, f.circuit, point)!;
    expect(at("s1").leg).toBe("s1");
    const way = plan.found.find((w) => w.id === "f1")!;
    const metres = [...way.legs, ...way.traced].reduce((s, l) => s + pathLength(l.path), 0) / 1000;
    expect(at("s1").cables.map((c) => [c.to, c.ohms])).toEqual([
      ["db", expect.closeTo(metres * 0.01951, 6)],
      ["s2", null],
    ]);
    // On round: at S2 it is the cable from S1 that reads, and more.
    const two = at("s2").cables;
    expect(two.map((c) => [c.to, c.ohms !== null])).toEqual([
      ["s1", true],
      ["db", false],
    ]);
    expect(two[0]!.ohms!).toBeGreaterThan(metres * 0.01951);
  });
});

it("the leg that new runs bridge is told by the old points where one of them ends", () => {
  const { h } = worked(job("ring"));
  const run = (from: string, to: string) => ({ circuit: "c", from, to });
  const [c] = h.job.circuits;
  // Through S2, an old point itself, from the board to S1.
  expect(bridgedLeg(h, c!, [run("db", "s3"), run("s3", "s2"), run("s2", "s3"), run("s3", "s1")])).toEqual({
    from: "db",
    to: "s1",
  });
  expect(bridgedLeg(h, c!, [run("db", "s3")])).toBeNull();
});

describe("an old radial that is added to", () => {
  it("goes on from one old point, with one joint, and is judged from the board on", () => {
    const { h, plan, f } = worked(job("radial"));
    expect(f.broken).toBeNull();
    expect(f.joints).toHaveLength(1);
    const [laid] = laidCircuits(h, plan.runs, plan.holes, plan.found);
    const far = Object.fromEntries(laid!.places.map((p) => [p.point, p.zs]));
    expect(far.s3!).toBeGreaterThan(far[f.joints[0]!.point]!);
  });
  it("is not begun before it is read, and stopped where it reads as the other", () => {
    const told = (shape: string) => {
      const { h, plan } = worked(job("radial", x({ shape })));
      return extensionFacts(h, plan).map((f) => [f.rule, f.case, f.severity]);
    };
    expect(told("unknown")).toEqual([["extend.shape", "unknown", "warn"]]);
    expect(told("ring")).toEqual([["extend.shape", "other", "stop"]]);
    expect(told("radial")).toEqual([]);
  });
  it("has no joint under a floor that does not lift", () => {
    const joint = (decks?: object[]) => {
      const at = worked(job("radial")).f.joints[0]!.point;
      const { h, plan } = worked(
        job("radial", {
          ...x({ shape: "radial", joints: [{ point: at, where: "under-floor" }] }),
          ...(decks ? { decks } : {}),
        }),
      );
      return extensionFacts(h, plan).map((f) => f.rule);
    };
    expect(joint()).toEqual([]);
    expect(joint([])).toEqual(["extend.joint"]);
  });
  it("buys a box and a connector for each core where it is joined apart; nothing at the old point", () => {
    const bought = (where: string, hatch = true) => {
      const at = worked(job("radial")).f.joints[0]!.point;
      const { plan } = worked(job("radial", x({ joints: [{ point: at, where, hatch }] })));
      return plan.takeoff.filter((t) => /oint box|connector/.test(t.item)).map((t) => [t.item, t.quantity]);
    };
    expect(bought("at-point")).toEqual([]);
    expect(bought("under-floor")).toEqual([
      ["Joint box", 1],
      ["Lever connector", 3],
    ]);
    expect(bought("under-floor", false)).toEqual([
      ["Lever connector", 3],
      ["Maintenance-free joint box", 1],
    ]);
  });
  it("is made dead first and joined after it is drawn in: the cards say the leg and the colours", () => {
    const { h, plan } = worked(job("radial"));
    const parts = partsOf(h, plan);
    const isolate = parts.find((p) => p.kind === "isolate")!;
    const joint = parts.find((p) => p.kind === "joint")!;
    // Nothing is drilled, cut or drawn in before.
    const states = tasksOf(h, plan, []).flatMap((t) => t.parts);
    expect(states.filter((s) => s.part.runs.length && s.state.kind === "ready").map((s) => s.part.kind)).toEqual(
      expect.arrayContaining(["isolate"]),
    );
    expect(states.find((s) => s.part.kind === "box")!.state).toMatchObject({ kind: "waits", for: { kind: "isolate" } });
    expect(partWords(h, plan, isolate).over).toMatch(/^C1: isolate, lock off/);
    expect(partWords(h, plan, joint).more).toEqual([
      { what: "line", number: "red to brown" },
      { what: "neutral", number: "black to blue" },
      { what: "earth", number: "bare, green sleeve to bare, green-yellow sleeve" },
    ]);
    expect(jointCores("new")[1]).toMatchObject({ old: "blue", new: "blue" });
    expect(jointCores("unknown")[0]!.old).toBe("brown, or red: prove which");
  });
  it("leaves the spare under the floor in the cut, and only there where it goes under boards", () => {
    const cut = (more: object) => worked(job("radial", x(more))).plan.runs[0]!.cutLength;
    const waste = 1 + job("radial").settings.wastePercent / 100;
    expect(cut({ spare: 800 }) - cut({ spare: 0 })).toBeCloseTo(800 * waste, 6);
    expect(cut({ spare: 800, way: "surface" })).toBeCloseTo(cut({ spare: 0 }), 6);
  });
});
