import { describe, expect, it } from "vitest";
import { cableOf } from "../../rules/catalogue";
import { type CircuitInput, checkCircuit, circuitFault, loopResistance, tableCurrent, voltDrop } from "./check-circuit";

const leg = { length: 20_000, method: "C" as const, grouped: 1, ambient: 30, insulated: 0 };
const input = (more: Partial<CircuitInput> = {}): CircuitInput => ({
  kind: "radial",
  device: { curve: "B", rating: 20 },
  cable: cableOf("te-2.5")!,
  designCurrent: 16,
  legs: [leg],
  ze: 0.35,
  ...more,
});
const told = (more: Partial<CircuitInput>) =>
  checkCircuit(input(more)).facts.map((f) => [
    f.rule,
    f.case ?? "",
    Math.round((f.measured ?? 0) * 1000) / 1000,
    f.limit,
  ]);

describe("one circuit worked by hand", () => {
  it("20 m of 2.5 on 20 A with 16 A: 27 A carried, 5.76 V dropped, Zs 0.35 + 20 × 19.51 mΩ × 1.2", () => {
    const r = checkCircuit(input());
    expect(r.iz).toBe(tableCurrent(cableOf("te-2.5")!, "C"));
    expect(r.drop.volts).toBeCloseTo((voltDrop(cableOf("te-2.5")!)! * 16 * 20) / 1000, 9);
    expect(r.drop).toMatchObject({ limit: 5 });
    expect(r.drop.percent).toBeCloseTo((100 * r.drop.volts) / 230, 9);
    expect(r.zs).toBeCloseTo(0.35 + 20 * 0.01951 * 1.2, 6);
    expect(r.maxZs).toBe(2.19);
    expect(r.facts).toEqual([]);
  });
  it("a ring counts a quarter of its length, for drop and loop", () => {
    const r = checkCircuit(input({ kind: "ring", device: { curve: "B", rating: 32 }, designCurrent: 32 }));
    expect(r.drop.volts).toBeCloseTo((voltDrop(cableOf("te-2.5")!)! * 32 * 5) / 1000, 9);
    expect(r.zs).toBeCloseTo(0.35 + 5 * 0.01951 * 1.2, 6);
  });
  it("type C opens at ten times its rating, type B at five: 218.5 over it", () => {
    const most = (curve: "B" | "C", rating: number) => checkCircuit(input({ device: { curve, rating } })).maxZs;
    expect([most("C", 20), most("C", 32), most("B", 3), most("B", 45)]).toEqual([1.09, 0.68, 14.57, 0.97]);
  });
  it("the worst leg decides, whichever it is", () => {
    const bad = { ...leg, method: "101" as const };
    expect(checkCircuit(input({ legs: [leg, bad, leg] }))).toMatchObject({ worstLeg: 1 });
    expect(checkCircuit(input({ legs: [bad, leg] }))).toMatchObject({ worstLeg: 0 });
    const far = checkCircuit(input({ legs: [leg, { ...leg, grouped: 3 }] }));
    expect(far.worstLeg).toBe(1);
    expect(far.iz).toBeLessThan(27);
  });
});

describe("what is told of a circuit", () => {
  it("too thin: 2.5 for a ring, 1.0 for lights, anything for the rest", () => {
    const thin = (kind: CircuitInput["kind"], cable: string) =>
      told({ kind, cable: cableOf(cable)!, device: { curve: "B", rating: 6 }, designCurrent: 1 }).filter(
        (f) => f[0] === "circuit.min-csa",
      );
    expect(thin("ring", "te-1.5")).toEqual([["circuit.min-csa", "", 1.5, 2.5]]);
    expect(thin("ring", "te-2.5")).toEqual([]);
    expect(thin("lighting", "te-1.0")).toEqual([]);
    expect(thin("radial", "te-1.0")).toEqual([]);
    const less = { ...cableOf("te-1.0")!, csa: 1 };
    expect(thin("lighting", "te-1.5")).toEqual([]);
    expect(told({ kind: "lighting", cable: less, device: { curve: "B", rating: 6 }, designCurrent: 1 })).toEqual([]);
  });
  it("floor over 100 m² on a ring, and on nothing else; where it is not known nothing is said", () => {
    const area = (kind: CircuitInput["kind"], floorArea: number | null | undefined) =>
      told({
        kind,
        device: { curve: "B", rating: 32 },
        designCurrent: 20,
        ...(floorArea === undefined ? {} : { floorArea }),
      }).filter((f) => f[0] === "circuit.area");
    expect([area("ring", 100), area("ring", null), area("ring", undefined), area("radial", 200)]).toEqual([
      [],
      [],
      [],
      [],
    ]);
    expect(area("ring", 100.1)).toEqual([["circuit.area", "", 100.1, 100]]);
  });
  it("a ring on 30 or 32 A wants 20 A in each leg; on another device it is judged as any circuit", () => {
    const worst = (rating: number, amps: (typeof leg)["method"] | "101" | "103") =>
      told({ kind: "ring", device: { curve: "B", rating }, designCurrent: 10, legs: [{ ...leg, method: amps }] })
        .map((f) => f[0])
        .filter((r) => r === "circuit.ring" || r === "circuit.capacity");
    expect(worst(32, "C")).toEqual([]);
    expect(worst(32, "101")).toEqual(["circuit.ring"]);
    expect(worst(20, "101")).toEqual(["circuit.capacity"]);
    expect(worst(40, "C")).toEqual(["circuit.capacity"]);
  });
  it("load over the device, drop over 5 %, 3 % for lights, and a loop too long", () => {
    expect(told({ designCurrent: 20.1 })).toEqual([["circuit.device", "", 20.1, 20]]);
    expect(told({ legs: [{ ...leg, length: 45_000 }] })[0]).toEqual(["circuit.drop", "", 5.635, 5]);
    const lights = {
      kind: "lighting" as const,
      device: { curve: "B" as const, rating: 6 },
      designCurrent: 5,
      cable: cableOf("te-1.0")!,
    };
    expect(told({ ...lights, legs: [{ ...leg, length: 31_000 }] })).toEqual([]);
    expect(told({ ...lights, legs: [{ ...leg, length: 32_000 }] })).toMatchObject([["circuit.drop", "", 3.061, 3]]);
    expect(told({ ze: 1.8 })).toMatchObject([["circuit.loop", "", 2.268, 2.19]]);
    expect(told({ ze: null })).toEqual([["circuit.loop", "ze-taken", 0, undefined]]);
  });
});

describe("spurs", () => {
  const ring = (more: Partial<CircuitInput>) =>
    input({ kind: "ring", device: { curve: "B", rating: 32 }, designCurrent: 32, ze: 0.8, ...more });
  // A ring of 43.6 m with a spur of 16.2 m from half way round. Hot, 19.51 mΩ/m × 1.2.
  const half = { ...leg, length: 21_800 };
  const spur = (length: number, at = 0, more: object = {}) => ({ at, legs: [{ ...leg, length, ...more }] });
  it("have the loop of the ring at their joint and their own length, never a share of the sum", () => {
    const r = checkCircuit(ring({ legs: [half, half], spurs: [spur(16_200)] }));
    expect(r.zs).toBeCloseTo(0.8 + (43.6 / 4 + 16.2) * 0.01951 * 1.2, 9);
    expect(r.zs).toBeCloseTo(1.434, 3);
    expect(r.spurs).toHaveLength(1);
    expect(r.spurs[0]!.zs).toBe(r.zs);
    expect(r.facts.map((f) => [f.rule, f.limit])).toEqual([
      ["circuit.drop", 5],
      ["circuit.loop", 1.37],
    ]);
    // The ring alone: 0.8 + 10.9 m of it.
    expect(checkCircuit(ring({ legs: [half, half] })).zs).toBeCloseTo(1.0552, 4);
  });
  it("nearer the board start lower: x(L − x)/L of the ring", () => {
    const [quarter, rest] = [
      { ...leg, length: 10_900 },
      { ...leg, length: 32_700 },
    ];
    const r = checkCircuit(ring({ legs: [quarter, rest], spurs: [spur(2_000), spur(2_000, -1)] }));
    expect(r.spurs[0]!.zs).toBeCloseTo(0.8 + ((10.9 * 32.7) / 43.6 + 2) * 0.01951 * 1.2, 9);
    expect(r.spurs[1]!.zs).toBeCloseTo(0.8 + 2 * 0.01951 * 1.2, 9);
    expect(r.zs).toBeCloseTo(0.8 + 10.9 * 0.01951 * 1.2, 9);
  });
  it("drop what the ring drops there, and one outlet's 20 A along their own length", () => {
    const r = checkCircuit(ring({ legs: [half, half], spurs: [spur(16_200)] }));
    expect(r.drop.volts).toBeCloseTo((18 * (32 * 10.9 + 20 * 16.2)) / 1000, 9);
    const radial = checkCircuit(input({ legs: [leg, leg], spurs: [spur(5_000)] }));
    expect(radial.spurs[0]!.drop.volts).toBeCloseTo((18 * 16 * 25) / 1000, 9);
    expect(radial.drop.volts).toBeCloseTo((18 * 16 * 40) / 1000, 9);
  });
  it("carry what they carry: the worst leg may be one of theirs", () => {
    const r = checkCircuit(
      ring({ legs: [half, half], ze: 0.35, spurs: [spur(1_000), spur(1_000, 1, { method: "103" })] }),
    );
    expect([r.iz, r.worstLeg]).toEqual([13.5, 3]);
    expect(r.facts.map((f) => f.rule)).toEqual(["circuit.ring"]);
    expect(circuitFault(ring({ legs: [half], spurs: [spur(1_000, 0, { ambient: 70 })] }))).toMatchObject({
      path: "legs.1.ambient",
    });
  });
});

describe("the supply", () => {
  const loop = (more: Partial<CircuitInput>) =>
    checkCircuit(input(more)).facts.map((f) => [f.case ?? "", f.severity, f.limit, f.of?.ze, f.of?.earthing]);
  it("not measured is taken at the most that is usual for its earthing, and that is said", () => {
    expect(loop({ ze: null })).toEqual([["ze-taken", "note", undefined, 0.8, "unknown"]]);
    expect(loop({ ze: null, earthing: "TN-C-S" })).toEqual([["ze-taken", "note", undefined, 0.35, "TN-C-S"]]);
    expect(checkCircuit(input({ ze: null, earthing: "TN-C-S" })).zs).toBeCloseTo(0.35 + 20 * 0.01951 * 1.2, 9);
    expect(checkCircuit(input({ ze: 0.21, earthing: "TN-C-S" })).zs).toBeCloseTo(0.21 + 20 * 0.01951 * 1.2, 9);
  });
  it("with an electrode goes by the RCD: 50 V over what trips it, relied on and said so; without one it is a stop", () => {
    const tt = { earthing: "TT" as const, ze: 80 };
    expect(loop({ ...tt, rcd: 30 })).toEqual([["rcd-relied", "warn", 1667, undefined, undefined]]);
    expect(loop({ ...tt, rcd: 300 })).toEqual([["rcd-relied", "warn", 167, undefined, undefined]]);
    expect(loop({ ...tt, ze: 190, rcd: 300 })).toEqual([["by-rcd", "stop", 167, undefined, undefined]]);
    expect(loop({ ...tt, ze: 200.1, rcd: 30 }).map((f) => f.slice(0, 3))).toEqual([
      ["rcd-relied", "warn", 1667],
      ["electrode", "warn", 200],
    ]);
    expect(loop(tt)).toEqual([["tt-without", "stop", undefined, undefined, undefined]]);
    expect(checkCircuit(input(tt)).maxZs).toBeNull();
  });
});

describe("what the tables lack", () => {
  const fault = (more: Partial<CircuitInput>) => circuitFault(input(more));
  it("nothing, for a usual circuit", () => expect(fault({})).toBeNull());
  it("a method that is not for this cable, insulation that counts twice, warmth past 60, a core that is not there", () => {
    const armour = cableOf("swa-2x4") ?? cableOf("swa-3x10")!;
    expect(fault({ legs: [{ ...leg, method: "D" as never }] })).toMatchObject({ path: "legs.0.method" });
    expect(fault({ legs: [leg, { ...leg, method: "101", insulated: 50 }] })).toMatchObject({
      path: "legs.1.insulated",
    });
    expect(fault({ legs: [{ ...leg, ambient: 61 }] })).toEqual({
      path: "legs.0.ambient",
      message: "got 61; must be at most 60",
    });
    expect(fault({ cable: { ...cableOf("te-2.5")!, cpc: 3 } })).toMatchObject({ path: "cable" });
    expect(fault({ cable: { ...armour, cores: 2 }, earth: "core" })).toMatchObject({ path: "earth" });
  });
  it("the loop of armour: steel in series with the line, or a core, or both side by side", () => {
    const cable = cableOf("swa-3x10")!;
    const [steel, core, both] = (["armour", "core", "both"] as const).map((e) => loopResistance(cable, e)!);
    expect(core).toBeCloseTo((2 * 1.83) / 1000, 9);
    expect(both!).toBeLessThan(Math.min(steel!, core!));
    const [back, line] = [steel! * 1000 - 1.83, 1.83];
    expect(both! * 1000).toBeCloseTo(line + 1 / (1 / back + 1 / line), 9);
    expect(loopResistance({ ...cable, csa: 3 })).toBeNull();
    expect(loopResistance({ ...cable, cores: 9 })).toBeNull();
  });
});

describe("legs with a cable or a fuse of their own", () => {
  const te1 = cableOf("te-1.5")!;
  const behind = (fuse: number, length = 10_000) => ({ at: 0, legs: [{ ...leg, length, cable: te1, fuse }] });
  it("behind a fuse of 13 A 1.5 mm² need carry 13 A and no more; without one what the device lets through", () => {
    const of = (spurs: CircuitInput["spurs"]) =>
      checkCircuit(input({ device: { curve: "B", rating: 32 }, cable: cableOf("te-6")!, spurs: spurs! }));
    expect(of([behind(13)]).facts.filter((f) => f.rule === "circuit.capacity")).toEqual([]);
    const bare = of([{ at: 0, legs: [{ ...leg, length: 2000, cable: te1 }] }]);
    expect(bare.facts).toMatchObject([{ rule: "circuit.capacity", measured: 20, limit: 32 }]);
    const warm = of([
      { at: 0, legs: [{ ...leg, length: 2000, cable: cableOf("te-1.0")!, fuse: 13, ambient: 60, method: "103" }] },
    ]);
    expect(warm.facts).toMatchObject([{ rule: "circuit.capacity", measured: 4, limit: 13, of: { fuse: 13 } }]);
    // A fuse larger than the device asks for no more than the device: 1.0 by method 103 carries 8 A.
    const b6 = {
      kind: "lighting",
      device: { curve: "B", rating: 6 },
      designCurrent: 1,
      cable: cableOf("te-1.0")!,
    } as const;
    const small = (fuse: number) =>
      checkCircuit(input({ ...b6, spurs: [{ at: 0, legs: [{ ...leg, length: 2000, method: "103", fuse }] }] }));
    expect(small(13).facts).toEqual([]);
    // And where the device lets a longer loop pass than the fuse, the device decides: 7.28 Ω.
    expect(small(13)).toMatchObject({ maxZs: 7.28 });
  });
  it("loop and drop go by the resistance of each leg's own cable", () => {
    const r = checkCircuit(input({ spurs: [behind(13)] }));
    const way = 20 * loopResistance(cableOf("te-2.5")!)!;
    expect(r.spurs[0]!.zs).toBeCloseTo(0.35 + (way + 10 * loopResistance(te1)!) * 1.2, 9);
    // 16 A on the way, and 13 A behind the fuse.
    expect(r.spurs[0]!.drop.volts).toBeCloseTo((18 * 16 * 20 + 29 * 13 * 10) / 1000, 9);
    const own = checkCircuit(input({ legs: [{ ...leg, cable: te1 }] }));
    expect(own.zs).toBeCloseTo(0.35 + 20 * loopResistance(te1)! * 1.2, 9);
  });
  it("behind a fuse the loop is held against the fuse where that allows more: 15.6 Ω for 3 A, 2.3 for 13", () => {
    const b32 = { device: { curve: "B", rating: 32 }, cable: cableOf("te-4")!, designCurrent: 1 } as const;
    const far = (fuse: number, length: number) => checkCircuit(input({ ...b32, spurs: [behind(fuse, length)] }));
    expect(far(13, 40_000)).toMatchObject({ maxZs: 2.3, facts: [] });
    expect(far(13, 60_000).facts).toMatchObject([{ rule: "circuit.loop", limit: 2.3 }]);
    // Nearest to its limit is then the place before the fuse.
    expect(far(3, 60_000)).toMatchObject({ maxZs: 1.37, facts: [] });
    // With an electrode it is the RCD, fuse or no fuse.
    expect(checkCircuit(input({ ...b32, earthing: "TT", ze: 100, rcd: 30, spurs: [behind(13)] })).maxZs).toBe(1667);
  });
  it("the worst place is told with how far along the way it lies", () => {
    expect(checkCircuit(input()).points).toMatchObject([{ at: 20_000 }]);
    expect(checkCircuit(input({ kind: "ring", device: { curve: "B", rating: 32 } })).points).toMatchObject([
      { at: 10_000 },
    ]);
    const two = { legs: [leg, leg], spurs: [{ at: 0, legs: [{ ...leg, length: 50_000 }] }] };
    expect(checkCircuit(input(two)).points).toMatchObject([{ at: 20_000 }]);
  });
});
