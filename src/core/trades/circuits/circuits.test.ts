import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cableOf } from "../../rules/catalogue";
import { type CircuitInput, checkCircuit, circuitFault, loopResistance, tableCurrent } from "./check-circuit";
import { compareCircuits } from "../../routing/compare";
import { cookerDemand } from "./cooker";
import { ambientFactor, groupingFactor, insulationFactor, loopLimit } from "../../rules/ratings";
import { checkSpurs } from "./spurs";
import { tourBound, treeBound } from "../../routing/tour-bounds";

const leg = { length: 20_000, method: "C" as const, grouped: 1, ambient: 30, insulated: 0 };
const radial = (more: Partial<CircuitInput> = {}): CircuitInput => ({
  kind: "radial",
  device: { curve: "B", rating: 20 },
  cable: cableOf("te-2.5")!,
  designCurrent: 20,
  legs: [leg],
  ze: 0.35,
  ...more,
});
const rules = (i: CircuitInput): string[] => checkCircuit(i).facts.map((f) => `${f.rule} ${f.severity}`);

describe("a circuit (BS 7671 433, 525, 411; Appendix 4)", () => {
  it("by hand: 20 m of 2.5 clipped, 20 A: Iz 27, drop 18 × 20 × 20 / 1000 = 7.2 V = 3.13 %, Zs 0.35 + 19.51 mΩ × 20 × 1.2 = 0.818", () => {
    const r = checkCircuit(radial());
    expect(r).toMatchObject({ iz: 27, maxZs: 2.19, facts: [] });
    expect(r.drop.volts).toBeCloseTo(7.2, 9);
    expect(r.drop.percent).toBeCloseTo(3.1304, 4);
    expect(r.zs).toBeCloseTo(0.35 + 0.01951 * 20 * 1.2, 9);
  });
  it("a ring takes a quarter of the loop for drop and fault loop", () => {
    const r = checkCircuit(
      radial({ kind: "ring", device: { curve: "B", rating: 32 }, designCurrent: 32, legs: [leg, leg, leg] }),
    );
    expect(r.drop.volts).toBeCloseTo((18 * 32 * 60) / 4 / 1000, 9);
    expect(r.zs).toBeCloseTo(0.35 + ((0.01951 * 60) / 4) * 1.2, 9);
  });
  it("a ring leg needs 20 A: methods 101 and 103 do not give it, A just does", () => {
    const ring = (method: "A" | "101" | "103" | "102"): string[] =>
      rules(radial({ kind: "ring", device: { curve: "B", rating: 32 }, legs: [leg, { ...leg, method }] }));
    expect(ring("A")).toEqual([]);
    expect(ring("102")).toEqual([]);
    expect(ring("101")).toEqual(["circuit.ring stop"]);
    expect(ring("103")).toEqual(["circuit.ring stop"]);
  });
  it("the worst leg decides, with its grouping, heat and insulation", () => {
    const r = checkCircuit(radial({ legs: [leg, { ...leg, grouped: 3, ambient: 40 }, { ...leg, insulated: 100 }] }));
    expect(r.iz).toBeCloseTo(27 * 0.7 * 0.87, 9);
    expect(r.worstLeg).toBe(1);
    expect(r.facts.map((f) => f.rule)).toContain("circuit.capacity");
  });
  it("limits lighting to 3 % and others to 5 %, and the load to the device", () => {
    expect(
      rules(
        radial({
          kind: "lighting",
          cable: cableOf("te-1.0")!,
          device: { curve: "B", rating: 6 },
          designCurrent: 6,
          legs: [{ ...leg, length: 30_000 }],
        }),
      ),
    ).toEqual(["circuit.drop stop"]);
    expect(rules(radial({ designCurrent: 20.5 }))).toEqual(["circuit.device stop"]);
  });
  it("works the loop limit out for any device, type C at ten times its rating", () => {
    expect(checkCircuit(radial({ device: { curve: "C", rating: 20 } })).maxZs).toBe(1.09);
    expect(rules(radial({ device: { curve: "B", rating: 25 }, legs: [{ ...leg, length: 10_000 }] }))).toEqual([]);
    const b63 = radial({ cable: cableOf("te-16")!, device: { curve: "B", rating: 63 }, designCurrent: 40 });
    expect(rules(b63)).toEqual([]);
    // 218.5 / 315 is 0.69: no longer passed over in silence.
    expect(checkCircuit({ ...b63, ze: 0.68 })).toMatchObject({ maxZs: 0.69, facts: [{ rule: "circuit.loop" }] });
  });
  it("says so when the supply's loop is not known", () =>
    expect(rules(radial({ ze: null }))).toEqual(["circuit.loop note"]));
  it("rates armoured cable as its accessories stand, and uses armour or core as earth", () => {
    const swa = cableOf("swa-3x2.5")!;
    expect(tableCurrent(swa, "C")).toBe(28);
    expect(tableCurrent(swa, "C", 90)).toBe(36);
    expect(loopResistance(swa, "core")).toBeCloseTo((7.41 * 2) / 1000, 9);
    expect(loopResistance(swa, "armour")).toBeCloseTo((7.41 + 155 / 19) / 1000, 9);
    expect(loopResistance(swa, "both")!).toBeLessThan(loopResistance(swa, "core")!);
  });
  it("names what its tables do not hold", () => {
    expect(circuitFault(radial({ legs: [{ ...leg, method: "D" }] }))).toMatchObject({
      path: "legs.0.method",
      message: expect.stringMatching(/must be "100"/),
    });
    expect(circuitFault(radial({ legs: [{ ...leg, method: "101", insulated: 50 }] }))).toMatchObject({
      path: "legs.0.insulated",
    });
    expect(circuitFault(radial({ legs: [{ ...leg, ambient: 61 }] }))).toMatchObject({ path: "legs.0.ambient" });
    expect(
      circuitFault(radial({ cable: cableOf("swa-2x2.5")!, legs: [{ ...leg, method: "D" }], earth: "core" })),
    ).toMatchObject({ path: "earth" });
    expect(circuitFault(radial())).toBeNull();
  });
  it("factors fall as things get worse, straight between the rows of insulation", () => {
    expect([1, 2, 10, 12, 13, 20].map((n) => groupingFactor(n))).toEqual([1, 0.8, 0.45, 0.45, 0.41, 0.38]);
    expect([20, 25, 26, 30, 60, 61].map((t) => ambientFactor(t, 70))).toEqual([1.03, 1.03, 1, 1, 0.5, null]);
    expect([0, 25, 50, 75, 100, 400, 500, 5000].map((l) => Number(insulationFactor(l).toFixed(3)))).toEqual([
      1, 0.94, 0.88, 0.83, 0.78, 0.51, 0.5, 0.5,
    ]);
    fc.assert(
      fc.property(
        fc.nat(800),
        fc.nat(800),
        (a, b) => insulationFactor(Math.max(a, b)) <= insulationFactor(Math.min(a, b)) + 1e-12,
      ),
    );
    for (const curve of ["B", "C"] as const)
      fc.assert(
        fc.property(
          fc.integer({ min: 1, max: 125 }),
          (a) => loopLimit(curve, a) >= loopLimit(curve, a + 1) && loopLimit("C", a) <= loopLimit("B", a),
        ),
      );
  });
});

describe("cookers and spurs", () => {
  it("10 kW by hand: 43.48 A in full and 5 for an outlet, 10 + 0.3 × 33.48 + 5 = 25.04 A with an outlet", () => {
    expect(cookerDemand(10_000, 230, true, "diversity").design).toBeCloseTo(10 + 0.3 * (10_000 / 230 - 10) + 5, 9);
    expect(cookerDemand(10_000, 230, true, "full").design).toBeCloseTo(10_000 / 230 + 5, 9);
    expect(cookerDemand(10_000, 230, false, "full").design).toBeCloseTo(10_000 / 230, 9);
    expect(cookerDemand(2000, 230, false, "diversity").design).toBeCloseTo(2000 / 230, 9);
  });
  const ring = [
    { id: "a", on: "ring" as const, outlets: 2 },
    { id: "b", on: "ring" as const, outlets: 2 },
  ];
  const judged = (
    points: Parameters<typeof checkSpurs>[0],
    source: Parameters<typeof checkSpurs>[1] = "ring",
  ): string[] => checkSpurs(points, source).map((f) => `${f.rule} ${f.subject.id}`);
  it("allow one twin on a spur, not three outlets, not a spur from a spur", () => {
    expect(judged([...ring, { id: "s", on: "spur", from: "a", outlets: 2 }])).toEqual([]);
    expect(judged([...ring, { id: "s", on: "spur", from: "a", outlets: 3 }])).toEqual(["circuit.spur s"]);
    expect(
      judged([...ring, { id: "s", on: "spur", from: "a", outlets: 2 }, { id: "t", on: "spur", from: "s", outlets: 1 }]),
    ).toEqual(["circuit.spur t"]);
  });
  it("allow several behind a fused unit, and as many spurs as points on the ring", () => {
    expect(
      judged([
        ...ring,
        { id: "f", on: "fused-spur", from: "a", outlets: 0 },
        { id: "s", on: "spur", from: "f", outlets: 2 },
        { id: "t", on: "spur", from: "s", outlets: 2 },
      ]),
    ).toEqual([]);
    expect(
      judged([
        ...ring,
        { id: "s", on: "spur", from: "a", outlets: 1 },
        { id: "t", on: "spur", from: "b", outlets: 1 },
        { id: "u", on: "spur", outlets: 1 },
      ]),
    ).toEqual(["circuit.spur ring"]);
    expect(
      judged([...ring, { id: "s", on: "spur", from: "a", outlets: 1 }, { id: "t", on: "spur", from: "a", outlets: 1 }]),
    ).toEqual(["circuit.spur a"]);
  });
  it("never from lighting, cooker or shower", () => {
    for (const source of ["lighting", "cooker", "shower"] as const)
      expect(judged([{ id: "s", on: "spur", outlets: 1 }], source)).toEqual(["circuit.spur.source s"]);
  });
});

/** Every order, by brute force: the oracle. */
function brute(d: number[][]): { ring: number; radials: number } {
  const n = d.length;
  let ring = Infinity;
  let radials = Infinity;
  const visit = (order: number[], length: number): void => {
    const last = order[order.length - 1]!;
    if (order.length === n) {
      ring = Math.min(ring, length + d[last]![0]!);
      // Cut the chain anywhere: the rest starts again from the board.
      for (let k = 2; k < n; k++)
        radials = Math.min(radials, length - d[order[k - 1]!]![order[k]!]! + d[0]![order[k]!]!);
      return;
    }
    for (let i = 1; i < n; i++) if (!order.includes(i)) visit([...order, i], length + d[last]![i]!);
  };
  visit([0], 0);
  return { ring, radials };
}

const matrix = (n: number) =>
  fc
    .array(fc.integer({ min: 1, max: 9000 }), { minLength: (n * (n - 1)) / 2, maxLength: (n * (n - 1)) / 2 })
    .map((flat) => {
      let k = 0;
      const d = Array.from({ length: n }, () => new Array<number>(n).fill(0));
      for (let i = 0; i < n; i++) for (let j = i + 1; j < n; j++) d[i]![j] = d[j]![i] = flat[k++]!;
      return d;
    });

describe("ring against radials", () => {
  it("agrees with brute force on up to six points", () =>
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 7 }).chain(matrix), (d) => {
        const c = compareCircuits(d);
        const b = brute(d);
        expect(c.optimal).toBe(true);
        expect(c.ring.length).toBeCloseTo(b.ring, 6);
        expect(c.radials.total).toBeCloseTo(b.radials, 6);
        const seen = [...c.radials.orders[0], ...c.radials.orders[1]].filter((x) => x > 0).sort((x, y) => x - y);
        expect(seen).toEqual(Array.from({ length: d.length - 1 }, (_, i) => i + 1));
        expect(Math.min(c.radials.orders[0].length, c.radials.orders[1].length)).toBeGreaterThan(1);
      }),
      { numRuns: 80 },
    ));
  it("bounds never pass the truth, and the pricing brings them close", () =>
    fc.assert(
      fc.property(matrix(7), (d) => {
        const b = brute(d);
        expect(tourBound(d, b.ring)).toBeLessThanOrEqual(b.ring + 1e-6);
        expect(treeBound(d, b.radials)).toBeLessThanOrEqual(b.radials + 1e-6);
      }),
      { numRuns: 60 },
    ));
  it("above 13 points on a plane: visits all once, keeps its bound, within 3 % of it", () => {
    let seed = 7;
    const next = (most: number): number => (seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648) % most;
    const at = Array.from({ length: 25 }, () => [next(9000), next(7000)] as const);
    const d = at.map(([x, y]) => at.map(([u, v]) => Math.abs(x - u) + Math.abs(y - v)));
    const c = compareCircuits(d);
    expect([...c.ring.order].sort((a, b) => a - b)).toEqual(at.map((_, i) => i));
    expect(c.bound).toBeLessThanOrEqual(c.ring.length);
    expect(c.ring.length / c.ring.bound).toBeLessThan(1.03);
    expect(c.radials.total / c.radials.bound).toBeLessThan(1.03);
  });
});
