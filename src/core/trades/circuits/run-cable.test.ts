import { describe, expect, it } from "vitest";
import { circuit, house } from "../../book/limits/by-hand.fixture";
import type { Circuit } from "../../job/model";
import { standardCatalogue } from "../../rules/catalogue";
import { runCables } from "./run-cable";

const of = (c: object, catalogue = standardCatalogue) => {
  const made: Circuit = house({ circuits: [circuit(c)] }).circuits[0]!;
  const cable = runCables(made, catalogue, (id) => (id.startsWith("f") ? "fused-unit" : "socket"))!;
  return (from: string, to: string, number = 1, cores: 2 | 3 = 2) => cable(from, to, number, cores).id;
};

describe("the cable of a run", () => {
  const spurs = [
    { point: "f1", from: "s1" },
    { point: "s5", from: "f1" },
    { point: "s6", from: "s5" },
  ];
  it("is the circuit's; 2.5 to a fused unit and 1.5 behind it, as far as it goes", () => {
    const ring = of({ kind: "ring", spurs });
    expect([ring("db", "s1"), ring("s1", "f1"), ring("f1", "s5"), ring("s6", "s5")]).toEqual([
      "te-2.5",
      "te-2.5",
      "te-1.5",
      "te-1.5",
    ]);
  });
  it("behind a fused unit is never made thicker", () => {
    expect(of({ cable: "te-1.0", spurs })("f1", "s5")).toBe("te-1.0");
    expect(of({ cable: "te-1.0", spurs })("f1", "s5", 1, 3)).toBe("te3-1.0");
  });
  it("has three cores where three are needed, of the same section or the next there is", () => {
    expect(of({ cable: "te-1.0" })("w1", "w2", 1, 3)).toBe("te3-1.0");
    expect(of({ cable: "te-1.5" })("w1", "w2", 1, 3)).toBe("te3-1.5");
    expect(of({ cable: "swa-3x2.5" })("a", "b", 1, 3)).toBe("swa-3x2.5");
    const few = { ...standardCatalogue, cables: standardCatalogue.cables.filter((x) => x.id !== "te3-1.0") };
    expect(of({ cable: "te-1.0" }, few)("w1", "w2", 1, 3)).toBe("te3-1.5");
    // None thick enough: the circuit's own, and the wiring that lacks a core is for the eye.
    expect(of({ cable: "te-4" })("w1", "w2", 1, 3)).toBe("te-4");
  });
  it("is what the user says for that run and number, whichever way it is named", () => {
    const said = of({ cable: "te-1.0", runCables: [{ from: "w1", to: "w2", number: 2, cable: "te-2.5" }] });
    expect([said("w2", "w1", 2, 3), said("w1", "w2", 1, 2)]).toEqual(["te-2.5", "te-1.0"]);
  });
  it("there is none of a circuit whose cable is not in the catalogue", () => {
    const made: Circuit = { ...house({}).circuits[0]!, cable: "gone" };
    expect(runCables(made, standardCatalogue, () => "socket")).toBeNull();
  });
});
