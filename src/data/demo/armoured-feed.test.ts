import { describe, expect, it } from "vitest";
import { layHouse } from "../../core/house/house";
import { endFigures } from "../../core/plan/end-figures";
import { endSteps } from "../../core/plan/end-steps";
import { glandFaces } from "../../core/plan/gland-faces";
import { job, laid, h, plan, KILN, at } from "./laid-cottage.fixture";

describe("the armoured feed to the kiln", () => {
  const both = ["board", "k1"].map((p) => endFigures(h, plan, p)!.cables.find((c) => c.run.id === KILN)!);
  it("has the same gland in the card at both ends, on both faces, in the steps and in what is bought", () => {
    expect(both.map((c) => c.armour!.gland!.id)).toEqual(["20", "20"]);
    const faces = ["board", "k1"].map((p) => glandFaces(h, plan, p).find((f) => f.holes.some((o) => o.run === KILN))!);
    expect(faces.map((f) => f.holes.map((o) => [o.name, o.hole, o.how]))).toEqual([
      [["20", 20.5, "drill"]],
      [["20", 20.5, "drill"]],
    ]);
    const steps = ["board", "k1"].map((p, i) =>
      endSteps(h, plan, endFigures(h, plan, p)!, both[i]!).find((x) => x.kind.startsWith("swa"))!,
    );
    expect(steps.map((s) => [s.kind, s.measures.hole, s.measures.cores])).toEqual([
      ["swa-indoor", 20.5, 3],
      ["swa-indoor", 20.5, 3],
    ]);
    expect(plan.takeoff.filter((t) => t.circuit === "k" && /Gland/.test(t.item))).toEqual([
      {
        item: "Gland with tag, lock ring and shroud",
        size: "20, M20, indoor type",
        quantity: 2,
        unit: "each",
        circuit: "k",
      },
    ]);
  });
  it("at the isolator the switch has its own steps after the gland's; the board has them once the circuit has a way", () => {
    const kinds = (x: typeof h, p: typeof plan, point: string, i: number) =>
      endSteps(x, p, endFigures(x, p, point)!, both[i]!).map((s) => s.kind);
    expect(kinds(h, plan, "k1", 1)).toEqual(["coil", "first-test", "swa-indoor", "isolator"]);
    expect(kinds(h, plan, "board", 0)).toEqual(["coil", "first-test", "swa-indoor"]);
    const wayed = laid((j) => ({ ...j, circuits: j.circuits.map((c) => (c.id === "k" ? { ...c, way: 8 } : c)) }));
    expect(kinds(wayed.h, wayed.plan, "board", 0).at(-1)).toBe("board-end");
    const s4 = endFigures(h, plan, "s4")!;
    expect(endSteps(h, plan, s4, s4.cables[0]!).map((s) => s.kind)).toEqual(["box", "coil", "first-test", "outlet"]);
    // Both ways of what hangs at its ends are in the reading: 2.5 and 1.5 mm² at 7.41 and 12.1 mΩ a metre.
    const run = s4.cables[0]!.run;
    const hangs = plan.ends.filter((e) => e.run === run.id).reduce((n, e) => n + e.measures.fromMiddle!, 0) + 200;
    const expected = ((run.pathLength + hangs) / 1000) * 0.01951;
    expect(endSteps(h, plan, s4, s4.cables[0]!)[2]!.measures.r1r2).toBeCloseTo(expected, 4);
  });
  it("comes straight to both: wires stop at 103 from the cleat, sheath 13 before, cut a tail beyond", () => {
    for (const c of both) {
      expect(c.armour!.marks.wires).toBe(103);
      expect(c.armour!.marks.ring).toBe(90);
      expect(c.armour!.marks.cut - c.armour!.marks.wires).toBeCloseTo(c.end.measures.tail!, 9);
      expect(c.armour!.asEarth).toMatchObject({ has: 39, enough: true });
      expect(c.cores.map((x) => [x.colour, x.carries, x.sleeve])).toEqual([
        ["brown", "line", null],
        ["black", "cpc", "green-yellow"],
        ["grey", "neutral", "blue"],
      ]);
    }
  });
  it("takes the trench that is drawn, though along the walls it would be 2 m shorter", () => {
    const legs = plan.runs.find((r) => r.id === KILN)!.legs.map((l) => l.method);
    expect(legs).toContain("buried");
    const without = laid((j) => ({ ...j, outsideWays: [] })).plan.runs.find((r) => r.id === KILN)!;
    expect(without.legs.map((l) => l.method)).not.toContain("buried");
    expect(plan.runs.find((r) => r.id === KILN)!.pathLength - without.pathLength).toBeGreaterThan(2000);
  });
  it("out of doors the other type is bought and guided", () => {
    const out = laid(at("k1", { place: { on: "wall", wall: "yard-w2", u: 900, v: 1150 } }));
    const f = endFigures(out.h, out.plan, "k1")!;
    expect(f.outdoors).toBe(true);
    expect(endSteps(out.h, out.plan, f, f.cables[0]!).map((x) => x.kind)).toContain("swa-outdoor");
    expect(out.plan.takeoff.filter((t) => /Gland/.test(t.item)).map((t) => t.size)).toEqual([
      "20, M20, indoor type",
      "20, M20, outdoor type",
      // Those of the lights along the path.
      "20S, M20, outdoor type",
    ]);
  });
  it("into plastic the tag carries the earth, indoors and out; a board is never of plastic", () => {
    const kind = (more: object, point = "k1") => {
      const x = layHouse(at(point, more)(job));
      const f = endFigures(x, plan, point)!;
      return endSteps(
        x,
        plan,
        f,
        f.cables.find((c) => c.run.id === KILN)!,
      ).find((s) => s.kind.startsWith("swa"))!.kind;
    };
    expect(kind({ plastic: true })).toBe("swa-plastic-indoor");
    expect(kind({ plastic: true, place: { on: "wall", wall: "yard-w2", u: 900, v: 1150 } })).toBe("swa-plastic");
    expect(kind({ plastic: true }, "board")).toBe("swa-indoor");
  });
  it("takes a hole that is there, opens up a smaller one, and plugs what nothing takes", () => {
    const holes = (list: { edge: "left" | "right"; at: number; size: number }[], more: object = {}) => {
      const j = at("k1", { faceHoles: list, ...more })(job);
      const f = glandFaces(layHouse(j), plan, "k1").find((x) => x.edge === "right");
      return { took: f!.holes.map((o) => [o.how, o.x]), plugs: f!.plugs, facts: f!.facts.map((x) => [x.rule, x.case]) };
    };
    expect(holes([{ edge: "right", at: 30, size: 20.2 }])).toEqual({ took: [["there", 30]], plugs: [], facts: [] });
    expect(holes([{ edge: "right", at: 30, size: 16.5 }]).took).toEqual([["open-up", 30]]);
    expect(holes([{ edge: "right", at: 30, size: 25.5 }]).took).toEqual([["reducer", 30]]);
    expect(holes([{ edge: "left", at: 30, size: 20.5 }]).took).toEqual([["drill", 35]]);
    // The one that fits goes before the one that would have to be opened; the other lies under the nut.
    expect(
      holes([
        { edge: "right", at: 50, size: 16.5 },
        { edge: "right", at: 30, size: 20.5 },
      ]),
    ).toEqual({
      took: [["there", 30]],
      plugs: [{ at: 50, size: 16.5 }],
      facts: [["gland.place", "hole"]],
    });
    expect(holes([], { glandAt: { [KILN]: 20 } })).toEqual({
      took: [["drill", 20]],
      plugs: [],
      facts: [["gland.place", "edge"]],
    });
    expect(holes([], { glandAt: { [KILN]: 21.75 } }).facts).toEqual([]);
  });
  it("a tube stands on the face where it is drawn, takes the hole that is there, and the gland keeps clear of it", () => {
    // T3, a tube of 25, comes up to the isolator 35 under its edge, on its middle; its box is 130 wide.
    const bottom = (more: object = {}) => {
      const j = at("k1", more)(job);
      const f = glandFaces(layHouse(j), plan, "k1").find((x) => x.edge === "bottom")!;
      return {
        is: f.holes.map((o) => [o.name, o.x, o.hole, o.how]),
        plugs: f.plugs.length,
        facts: f.facts.map((x) => x.case),
      };
    };
    expect(bottom()).toEqual({ is: [["tube 25", 65, 25.5, "drill"]], plugs: 0, facts: [] });
    expect(bottom({ faceHoles: [{ edge: "bottom", at: 64, size: 20.5 }] })).toEqual({
      is: [["tube 25", 64, 25.5, "open-up"]],
      plugs: 0,
      facts: [],
    });
    expect(bottom({ faceHoles: [{ edge: "bottom", at: 62, size: 25.5 }] })).toMatchObject({
      plugs: 1,
      facts: ["hole"],
    });
    // Moved along its wall the tube comes in beside the middle, near the edge of the box.
    expect(bottom({ place: { on: "wall", wall: "shed-w3", u: 1448, v: 1150 } })).toMatchObject({
      is: [["tube 25", 117, 25.5, "drill"]],
      facts: ["edge"],
    });
    expect(
      glandFaces(layHouse(at("k1", { place: { on: "wall", wall: "shed-w3", u: 1700, v: 1150 } })(job)), plan, "k1"),
    ).toHaveLength(1);
    expect(
      glandFaces(layHouse(at("k1", { place: { on: "wall", wall: "shed-w3", u: 1500, v: 1250 } })(job)), plan, "k1"),
    ).toHaveLength(1);
    // The armour brought in from below: what is left beside the tube is 65 − 22 = 43, and its gland stands in the middle of it.
    const below = { ...plan, ends: plan.ends.map((e) => (e.point === "k1" ? { ...e, entry: "bottom" as const } : e)) };
    const both = glandFaces(h, below, "k1").find((x) => x.edge === "bottom")!;
    expect(both.fits).toBe(false);
    const wide = glandFaces(
      layHouse(at("k1", { place: { on: "wall", wall: "shed-w3", u: 1530, v: 1150 } })(job)),
      below,
      "k1",
    );
    expect(wide.find((x) => x.edge === "bottom")!.holes.map((o) => [o.name, o.x])).toEqual([
      ["tube 25", 35],
      ["20", 93.5],
    ]);
  });
});
