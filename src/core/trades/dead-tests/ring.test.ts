import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { answer } from "../../calculators/calculator";
import { calculatorNamed } from "../../calculators/registry";
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
    expect(r.because[0]).toMatchObject({ kind: "apart", of: { high: "neutral", gap: expect.closeTo(0.26, 9) } });
    expect(r.facts[0]).toMatchObject({
      rule: "test.ring",
      measured: expect.closeTo(0.26, 9),
      limit: 0.05,
      sense: "most",
    });
    expect(readRing({ r1: 0.45, rn: 0.45, r2: 0.73 }, 0.45, 0.5, 0.73, []).verdict).toBe("sound");
  });
});

describe("a point that reads other than its place should", () => {
  const places = [
    { id: "S1", at: 10_000 },
    { id: "S2", at: 22_000 },
    { id: "S3", at: 40_000 },
  ];
  const spurs = [{ id: "X", at: 22_000, length: 4000 }];
  const expected = ringReadings(60_000, line, cpc, places, spurs);
  /** Readings as planned, with so many ohms more at one point. */
  const read = (at: string, neutral: number, earth: number) =>
    readRing(
      expected,
      expected.r1,
      expected.rn,
      expected.r2,
      expected.points.map((p) => ({
        id: p.id,
        lineNeutral: p.lineNeutral + (p.id === at ? neutral : 0),
        lineEarth: p.lineEarthHere + (p.id === at ? earth : 0),
      })),
    );
  it("a sound ring with its planned spur is sound but for the spur it names", () => {
    const r = read("", 0, 0);
    expect(r).toMatchObject({ verdict: "spurs", because: [{ kind: "spur-at", of: { at: "X", planned: 1 } }] });
    expect(r.facts).toEqual([]);
  });
  it("2 Ω in the earth terminal of S3 is a loose earth and stops", () =>
    expect(read("S3", 0, 2)).toMatchObject({
      verdict: "loose",
      because: [{ kind: "loose-earth-at", of: { at: "S3" } }],
      facts: [{ rule: "test.ring", severity: "stop", measured: expect.closeTo(2, 6) }],
    }));
  it("1 Ω in the earth of a spur is a loose earth there, not only a spur", () =>
    expect(read("X", 0, 1)).toMatchObject({
      verdict: "loose",
      because: [{ kind: "loose-earth-at", of: { at: "X" } }],
    }));
  it("0.5 Ω in the line terminal of S3 is a loose line, not a spur", () =>
    expect(read("S3", 0.5, 0.5)).toMatchObject({ verdict: "loose", because: [{ kind: "loose-line-at" }] }));
  it("0.5 Ω in the neutral terminal is a loose neutral", () =>
    expect(read("S1", 0.5, 0)).toMatchObject({ verdict: "loose", because: [{ kind: "loose-neutral-at" }] }));
  it("a cable of three metres that nobody planned reads as a spur and warns", () => {
    const r = read("S2", 3000 * 2 * line, 3000 * (line + cpc));
    expect(r).toMatchObject({ verdict: "spurs", facts: [{ severity: "warn", case: "spur-at", of: { at: "S2" } }] });
  });
  it("keeps to its tolerance: 0.019 Ω in an earth passes, 0.021 does not", () => {
    expect(read("S1", 0, 0.019).verdict).toBe("spurs");
    expect(read("S1", 0, 0.021).verdict).toBe("loose");
  });
  it.each([
    [{ lineNeutral: null, lineEarth: null }, "open-at"],
    [{ lineNeutral: 0.22, lineEarth: null }, "earth-open-at"],
    [{ lineNeutral: null, lineEarth: 0.29 }, "neutral-open-at"],
  ])("%j is open: %s", (p, kind) => {
    const { r1, rn, r2 } = expected;
    expect(readRing(expected, r1, rn, r2, [{ id: "S1", ...p }])).toMatchObject({
      verdict: "open",
      because: [{ kind }],
    });
  });
});

describe("end-to-end readings that tell more than loose or open", () => {
  const planned = { r1: 0.445, rn: 0.445, r2: 0.726 };
  it("line and neutral open with the earth whole are swapped somewhere", () =>
    expect(readRing(planned, null, null, 0.73, []).because.map((b) => b.kind)).toContain("transposed"));
  it("a line as planned and a neutral far below it has a second path in the neutral", () =>
    expect(readRing(planned, 0.445, 0.3, 0.726, [])).toMatchObject({
      verdict: "bridged",
      because: [{ kind: "bridged-one", of: { low: "neutral" } }],
    }));
  it("the same on all three is in the leads", () =>
    expect(readRing(planned, 0.555, 0.555, 0.836, []).because[0]).toMatchObject({
      kind: "leads",
      of: { over: expect.closeTo(0.11, 9) },
    }));
  it("a sound ring of 45 m planned at 60 is sound, and shorter", () => {
    const is = ringReadings(
      45_000,
      line,
      cpc,
      [
        { id: "S1", at: 9000 },
        { id: "S2", at: 22_500 },
      ],
      [],
    );
    const was = ringReadings(60_000, line, cpc, [], []);
    const points = is.points.map((p) => ({ id: p.id, lineNeutral: p.lineNeutral, lineEarth: p.lineEarthHere }));
    expect(readRing(was, is.r1, is.rn, is.r2, points)).toMatchObject({
      verdict: "sound",
      because: [{ kind: "shorter" }],
      facts: [{ severity: "warn" }],
    });
  });
  it("finds 0.06 Ω in the protective conductor and passes 0.04", () => {
    expect(readRing(planned, 0.445, 0.445, 0.786, []).verdict).toBe("loose");
    expect(readRing(planned, 0.445, 0.445, 0.766, []).verdict).toBe("sound");
  });
  it("says when one point alone was read", () =>
    expect(
      readRing(planned, 0.445, 0.445, 0.726, [{ id: "S1", lineNeutral: 0.2225, lineEarth: 0.29 }]).because.map(
        (b) => b.kind,
      ),
    ).toEqual(["even", "one-point"]));
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

describe("every reading whole", () => {
  // A ring of 60 m of 2.5 / 1.5: 0.4446 in line and neutral, 0.726 in the protective conductor; crossed 0.2223 and 0.29265.
  const expected = {
    r1: 0.4446,
    rn: 0.4446,
    r2: 0.726,
    points: [
      { id: "S1", lineNeutral: 0.2223, lineEarth: 0.29265 },
      { id: "S2", lineNeutral: 0.2223, lineEarth: 0.29265 },
      { id: "P1", lineNeutral: 0.3223, lineEarth: 0.42265 },
    ],
  };
  const at = (id: string, lineNeutral: number | null, lineEarth: number | null) => ({ id, lineNeutral, lineEarth });
  const even = [at("S1", 0.2223, 0.29265), at("S2", 0.2223, 0.29265)];
  const readings: Record<string, Parameters<typeof readRing>> = {
    "as it should be": [expected, 0.4446, 0.4446, 0.726, even],
    "one point read": [expected, 0.4446, 0.4446, 0.726, even.slice(0, 1)],
    "line open": [expected, null, 0.4446, 0.726, []],
    "line and neutral open, the earth whole": [expected, null, null, 0.726, []],
    "all open": [expected, null, null, null, []],
    "all three a little high": [expected, 0.5146, 0.5146, 0.796, []],
    "line high": [expected, 0.5446, 0.4446, 0.726, []],
    "neutral high": [expected, 0.4446, 0.5446, 0.726, []],
    "line as planned, neutral far below": [expected, 0.4446, 0.2446, 0.726, []],
    "neutral as planned, line far below": [expected, 0.2446, 0.4446, 0.726, []],
    "line above, neutral below by less": [expected, 0.5046, 0.4246, 0.726, []],
    "both high": [expected, 0.6446, 0.6446, 1.3, []],
    "the protective conductor high": [expected, 0.4446, 0.4446, 0.9, []],
    "the protective conductor low": [expected, 0.4446, 0.4446, 0.55, even],
    "dead at a point": [expected, 0.4446, 0.4446, 0.726, [at("S1", null, null), even[1]!]],
    "no earth at a point": [expected, 0.4446, 0.4446, 0.726, [at("S1", 0.2223, null), even[1]!]],
    "no neutral at a point": [expected, 0.4446, 0.4446, 0.726, [at("S1", null, 0.29265), even[1]!]],
    "joined wrongly": [expected, 0.4446, 0.4446, 0.726, [at("S1", 0.05, 0.07), at("S2", 0.2, 0.27)]],
    "earth loose at a point": [expected, 0.4446, 0.4446, 0.726, [at("S1", 0.2223, 0.79265), even[1]!]],
    "neutral loose at a point": [expected, 0.4446, 0.4446, 0.726, [at("S1", 0.7223, 0.29265), even[1]!]],
    "line loose at a point": [expected, 0.4446, 0.4446, 0.726, [at("S1", 0.7223, 0.79265), even[1]!]],
    "earth loose on a spur": [expected, 0.4446, 0.4446, 0.726, [at("P1", 0.3223, 1.42265), even[1]!]],
    "a spur as planned": [expected, 0.4446, 0.4446, 0.726, [at("P1", 0.3223, 0.42265), even[1]!]],
    "a spur nobody planned": [expected, 0.4446, 0.4446, 0.726, [at("S1", 0.2823, 0.37165), even[1]!]],
    "low at one point": [expected, 0.4446, 0.4446, 0.726, [at("S1", 0.185, 0.29265), even[1]!]],
    "shorter, and even": [expected, 0.33345, 0.33345, 0.5445, [at("S1", 0.1667, 0.2195), at("S2", 0.1667, 0.2195)]],
    "shorter, and uneven": [expected, 0.33345, 0.33345, 0.5445, [at("S1", 0.1667, 0.2195), at("S2", 0.08, 0.15)]],
    "shorter, not read at points": [expected, 0.33345, 0.33345, 0.5445, []],
  };
  it.each(Object.keys(readings))("%s", (name) => {
    const r = readRing(...readings[name]!);
    expect(
      JSON.parse(JSON.stringify(r, (_, x: unknown) => (typeof x === "number" ? Math.round(x * 1e4) / 1e4 : x))),
    ).toMatchSnapshot();
  });
});

it("of a ring that nothing is known of an open conductor and unlike line and neutral are told all the same", () => {
  expect(readRing(null, null, 0.4, 0.7, []).verdict).toBe("open");
  expect(readRing(null, 0.4, 0.4, null, []).verdict).toBe("open");
  expect(readRing(null, 0.4, 0.5, 0.7, []).verdict).not.toBe("sound");
  expect(readRing(null, 0.4, 0.42, 0.7, []).verdict).toBe("sound");
});
it("what the meter may be off widens what passes for the protective conductor, end to end", () => {
  const ring = { r1: 0.42, rn: 0.42, r2: 0.7 };
  // Line and neutral 0.02 low, so that 0.40 × 0.7 ÷ 0.42 = 0.667 is expected; 0.72 is 0.053 over, and may be 0.02 × 2.667 = 0.053.
  expect(readRing(ring, 0.4, 0.4, 0.72, []).because[0]!.kind).toBe("earth-high");
  expect(readRing({ ...ring, noise: 0.02 }, 0.4, 0.4, 0.72, []).verdict).toBe("sound");
  expect(readRing({ ...ring, noise: 0.02 }, 0.4, 0.4, 0.73, []).because[0]!.kind).toBe("earth-high");
});
it("what the meter may be off widens what passes at a point, and with it the noise of the leads", () => {
  const planned = ringReadings(60_000, line, cpc, [{ id: "S1", at: 20_000 }], []);
  const read = (over: number, noise: number) => {
    const [p] = planned.points;
    const point = { id: "S1", lineNeutral: p!.lineNeutral, lineEarth: p!.lineEarthHere + over };
    return readRing({ ...planned, noise }, planned.r1, planned.rn, planned.r2, [point]).verdict;
  };
  expect([read(0.03, 0), read(0.03, 0.02), read(0.049, 0.02), read(0.051, 0.02)]).toEqual([
    "loose",
    "sound",
    "sound",
    "loose",
  ]);
  const leads = (spread: number, noise: number) =>
    readRing({ ...planned, noise }, planned.r1 + 0.2, planned.rn + 0.2, planned.r2 + 0.2 + spread, []).because[0]!.kind;
  expect([leads(0.03, 0), leads(0.03, 0.02), leads(0.061, 0.02)]).toEqual(["both-high", "leads", "both-high"]);
});
