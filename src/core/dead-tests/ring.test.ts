import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { answer } from "../calculators/calculator";
import { calculatorNamed } from "../calculators/registry";
import { checkInsulation } from "./insulation";
import { type RingFault, between, measureRing } from "./ring-network";
import { readRing } from "./ring-read";
import { perMillimetre, ringReadings } from "./ring";

const line = perMillimetre(2.5, 20)!;
const cpc = perMillimetre(1.5, 20)!;

/** A ring of 40 to 90 m with five to nine places on it, as a seed gives it. */
const ring = fc
  .record({ length: fc.integer({ min: 40_000, max: 90_000 }), n: fc.integer({ min: 5, max: 9 }) })
  .map(({ length, n }) => ({
    length,
    places: Array.from({ length: n }, (_, i) => ({ id: `S${i + 1}`, at: (length * (i + 1)) / (n + 1) })),
  }));
const verdict = (r: { length: number; places: { id: string; at: number }[] }, fault: RingFault): string => {
  const m = measureRing(r.length, line, cpc, r.places, fault);
  const planned = ringReadings(r.length, line, cpc, [], []);
  return readRing(planned, m.r1, m.rn, m.r2, m.points).verdict;
};

describe("a network of resistors", () => {
  it("adds in series and shares in parallel", () => {
    expect(
      between(
        3,
        [
          { a: 0, b: 1, ohms: 1 },
          { a: 1, b: 2, ohms: 2 },
        ],
        0,
        2,
      ),
    ).toBeCloseTo(3, 9);
    expect(
      between(
        2,
        [
          { a: 0, b: 1, ohms: 2 },
          { a: 0, b: 1, ohms: 2 },
        ],
        0,
        1,
      ),
    ).toBeCloseTo(1, 9);
    expect(between(3, [{ a: 0, b: 1, ohms: 1 }], 0, 2)).toBeNull();
  });
});

describe("what a ring should read", () => {
  it("by hand: 60 m of 2.5/1.5: r1 = 60 × 7.41 mΩ = 0.4446, r2 = 0.726, crossed 0.2223 and 0.29265 everywhere", () => {
    const r = ringReadings(
      60_000,
      line,
      cpc,
      [
        { id: "a", at: 0 },
        { id: "b", at: 30_000 },
      ],
      [{ id: "s", at: 0, length: 4000 }],
    );
    expect(r.r1).toBeCloseTo(0.4446, 9);
    expect(r.r2).toBeCloseTo(0.726, 9);
    for (const p of r.points.slice(0, 2)) {
      expect(p.lineNeutral).toBeCloseTo(0.2223, 9);
      expect(p.lineEarth).toBeCloseTo(0.29265, 9);
    }
    expect(r.points[1]!.lineEarthHere).toBeCloseTo(0.29265, 9);
    expect(r.points[2]!.lineNeutral).toBeCloseTo(0.2223 + 4 * 0.01482, 9);
    expect(perMillimetre(2.5, 70)! / perMillimetre(2.5, 20)!).toBeCloseTo(1.2, 9);
  });
  it("agrees with the network solved, at every point and on spurs", () =>
    fc.assert(
      fc.property(ring, fc.integer({ min: 500, max: 8000 }), (r, spur) => {
        const m = measureRing(r.length, line, cpc, r.places, { spurs: [{ id: "X", from: 1, length: spur }] });
        const e = ringReadings(r.length, line, cpc, r.places, [{ id: "X", at: r.places[1]!.at, length: spur }]);
        expect(m.r1).toBeCloseTo(e.r1, 6);
        m.points.forEach((p, i) => {
          expect(p.lineNeutral).toBeCloseTo(e.points[i]!.lineNeutral, 6);
          expect(p.lineEarth).toBeCloseTo(e.points[i]!.lineEarthHere, 6);
        });
      }),
      { numRuns: 30 },
    ));
});

describe("reading a ring: every seeded fault is found", () => {
  const conductor = fc.constantFrom("line" as const, "neutral" as const, "earth" as const);
  const check = (
    make: (r: { length: number; places: { id: string; at: number }[] }, seed: number) => RingFault,
    want: string,
  ) =>
    fc.assert(
      fc.property(ring, fc.nat(1000), (r, seed) => {
        expect(verdict(r, make(r, seed))).toBe(want);
      }),
      { numRuns: 40 },
    );
  it("sound", () => check(() => ({}), "sound"));
  it("open, in any conductor and place", () =>
    fc.assert(
      fc.property(ring, conductor, fc.nat(1000), (r, c, s) => {
        expect(verdict(r, { open: { conductor: c, after: s % (r.places.length + 1) } })).toBe("open");
      }),
      { numRuns: 40 },
    ));
  it("loose, from 0.15 Ω up", () =>
    fc.assert(
      fc.property(ring, conductor, fc.nat(1000), fc.double({ min: 0.15, max: 4, noNaN: true }), (r, c, s, ohms) => {
        expect(verdict(r, { loose: { conductor: c, after: s % (r.places.length + 1), ohms } })).toBe("loose");
      }),
      { numRuns: 40 },
    ));
  it("crossed wrongly at the board", () => check(() => ({ crossedWrong: true }), "crossed-wrong"));
  it("spurs of two metres and more", () =>
    check((r, s) => ({ spurs: [{ id: "X", from: s % r.places.length, length: 2000 + (s % 6000) }] }), "spurs"));
  it("bridged across a third of the ring or more", () =>
    check((r, s) => ({ bridge: { from: 0, to: r.places.length - 1 - (s % 2), length: 500 } }), "bridged"));
  it("says where it looks, with its numbers", () => {
    const r = readRing({ r1: 0.45, rn: 0.45, r2: 0.73 }, 0.45, 0.71, 0.73, []);
    expect(r.reasons[0]).toMatch(/neutral 0\.71 Ω, 0\.26 Ω apart: a loose joint in the neutral/);
    expect(r.findings[0]).toMatchObject({
      rule: "test.ring",
      measured: expect.closeTo(0.26, 9),
      limit: 0.05,
      sense: "most",
    });
    expect(readRing({ r1: 0.45, rn: 0.45, r2: 0.73 }, 0.45, 0.5, 0.73, []).verdict).toBe("sound");
  });
});

describe("insulation (BS 7671 Table 64)", () => {
  it("fails below 1 MΩ and warns below 200, edges inclusive", () => {
    expect(checkInsulation(0.99, 500)).toMatchObject([{ severity: "stop" }]);
    expect(checkInsulation(1, 500)).toMatchObject([{ severity: "warn" }]);
    expect(checkInsulation(199, 500)).toMatchObject([{ severity: "warn" }]);
    expect(checkInsulation(200, 500)).toEqual([]);
    expect(checkInsulation(200, 250)).toMatchObject([{ severity: "note" }]);
  });
  it("expects L × (ρ1 + ρ2) of a radial: 24 m of 2.5/1.5 reads 0.468", () => {
    const a = answer(calculatorNamed("test.radial")!, { length: 24_000, line: 2.5, cpc: 1.5, measured: 0.9 });
    expect(a).toMatchObject({
      ok: true,
      output: { expected: expect.closeTo(0.46824, 6), findings: [{ rule: "test.radial", severity: "warn" }] },
    });
  });
});
