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
  it("type C has half the loop of type B", () =>
    expect(checkCircuit(input({ device: { curve: "C", rating: 20 } })).maxZs).toBe(2.19 / 2));
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
    expect(told({ device: { curve: "B", rating: 63 }, designCurrent: 10 }).map((f) => f[0])).toContain(
      "circuit.mcb-table",
    );
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
