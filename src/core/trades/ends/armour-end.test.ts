import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { coneOf, glands } from "../../rules/glands";
import { armourAsEarth, armourMarks } from "./armour-end";

describe("marks of an armoured end", () => {
  it("straight: the bow of 10 over the last 100, the ring one cone back, the cut a tail on", () => {
    const m = armourMarks({ toBend: 1000, cleat: 100, radius: 117 }, 15, 250);
    // An arc that rises 10 over 100: radius 130, 2 × 130 × 2·atan(0.2) = 102.65, up to 103.
    expect(m.wires).toBe(103);
    expect(m.ring).toBeCloseTo(m.wires - 15, 9);
    expect(m.cut).toBeCloseTo(m.wires + 250, 9);
    expect(m).toMatchObject({ sweep: null, fits: true, room: null });
    expect(armourMarks({ toBend: null, cleat: 100, radius: 117 }, 15, 250)).toEqual(m);
  });
  it("round a sweep: from the cleat a quarter of a circle and what is left to the face", () => {
    const m = armourMarks({ toBend: 150, cleat: 100, radius: 117 }, 15, 250);
    // 100 + π/2 × 117 + 33 = 316.78.
    expect(m.wires).toBe(317);
    expect(m).toMatchObject({ sweep: 117, fits: true, room: 150 });
    // Up, never down: 100 + π/2 × 60 = 194.25 is marked at 195.
    expect(armourMarks({ toBend: 60, cleat: 100, radius: 60 }, 15, 250).wires).toBe(195);
  });
  it("a bend nearer than the radius does not fit; exactly the radius does", () => {
    const at = (toBend: number) => armourMarks({ toBend, cleat: 100, radius: 117 }, 15, 250).fits;
    expect([at(116.9), at(117), at(216.9)]).toEqual([false, true, true]);
    expect(armourMarks({ toBend: 217, cleat: 100, radius: 117 }, 15, 250).sweep).toBeNull();
  });
  it("wires stop between ring and cut, and no sweep is longer than the drawn way", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 600 }),
        fc.integer({ min: 50, max: 150 }),
        fc.integer({ min: 60, max: 140 }),
        (toBend, cleat, radius) => {
          const m = armourMarks({ toBend, cleat, radius }, 15, 200);
          expect(m.ring).toBeLessThan(m.wires);
          expect(m.wires).toBeLessThan(m.cut);
          if (m.sweep !== null && m.fits) expect(m.wires).toBeLessThanOrEqual(cleat + radius + toBend + 1e-9);
        },
      ),
    );
  });
});

describe("armour as earth, Table 54.7", () => {
  it("10 mm² needs 31.1 of steel: 26 of a 2-core is not enough, 39 of a 3-core is", () => {
    expect(armourAsEarth(10, 2)).toMatchObject({ has: 26, enough: false });
    expect(armourAsEarth(10, 2)!.needs).toBeCloseTo(31.09, 2);
    expect(armourAsEarth(10, 3)).toMatchObject({ has: 39, enough: true });
  });
  it("16 mm² is not enough in any number of cores; 70 °C needs less; 25 is not in the table", () => {
    expect([2, 3, 4].map((n) => armourAsEarth(16, n)!.enough)).toEqual([false, false, false]);
    expect(armourAsEarth(10, 2, 70)!.needs).toBeCloseTo(22.55, 2);
    expect(armourAsEarth(25, 3)).toBeNull();
  });
  it("a cone by the gland's thread", () => {
    expect(glands.map(coneOf)).toEqual([13, 13, 15, 15, 18, 21]);
    expect(coneOf({ thread: "M75" })).toBe(15);
  });
});
