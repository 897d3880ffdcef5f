import { describe, expect, it } from "vitest";
import { seeded } from "../../base/seeded";
import { perMillimetre, ringReadings } from "./ring";
import { type Conductor, type RingFault, measureRing } from "./ring-network";
import { type RingReading, readRing } from "./ring-read";

const line = perMillimetre(2.5, 20)!;
const cpc = perMillimetre(1.5, 20)!;
/** What a meter adds or takes at most, Ω. */
const NOISE = 0.02;

const SEED = 20_261_126;
/** Kinds of fault that are tried in turn, a sound ring among them. */
const KINDS = 13;

/** What a fault may be called: a verdict, one of these reasons, and, where it has a place, one of these points. */
interface Case {
  name: string;
  dangerous: boolean;
  read: RingReading;
  right: (r: RingReading) => boolean;
}

/** A random ring with a random fault, measured on the network with the noise of a meter, and read. */
function randomCase(seed: number): Case {
  const random = seeded(seed);
  const between = (a: number, b: number): number => a + (b - a) * random();
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const n = 4 + Math.floor(random() * 6);
  const length = between(35_000, 90_000);
  const gaps = Array.from({ length: n + 1 }, () => between(0.5, 1.5));
  const all = gaps.reduce((a, b) => a + b, 0);
  let at = 0;
  const places = gaps.slice(0, n).map((g, i) => ({ id: `S${i + 1}`, at: (at += (g / all) * length) }));
  const planned = random() < 0.4 ? [{ id: "X", from: Math.floor(random() * n), length: between(2000, 5000) }] : [];
  const expected = ringReadings(
    length,
    line,
    cpc,
    places,
    planned.map((s) => ({ id: s.id, at: places[s.from]!.at, length: s.length })),
  );
  const near = (after: number): string[] => [places[after - 1]?.id, places[after]?.id].filter((x) => x !== undefined);
  const noisy = (x: number | null): number | null => (x === null ? null : Math.max(0, x + between(-NOISE, NOISE)));
  const run = (
    fault: RingFault,
    change: (p: ReturnType<typeof measureRing>) => void = () => undefined,
  ): RingReading => {
    const m = measureRing(length, line, cpc, places, { spurs: planned, ...fault });
    change(m);
    return readRing(
      { ...expected, noise: NOISE },
      noisy(m.r1),
      noisy(m.rn),
      noisy(m.r2),
      m.points.map((p) => ({ id: p.id, lineNeutral: noisy(p.lineNeutral), lineEarth: noisy(p.lineEarth) })),
    );
  };
  const kinds = (r: RingReading): string[] => r.because.map((b) => b.kind);
  const says =
    (...k: string[]) =>
    (r: RingReading): boolean =>
      kinds(r).some((x) => k.includes(x));
  const at1 = (r: RingReading, ids: readonly string[]): boolean =>
    r.because.some((b) => {
      const named = [b.of.at, b.of.points].flat().map(String);
      return ids.some((id) => named.includes(id));
    });
  const conductor = pick<Conductor>(["line", "neutral", "earth"]);
  const place = Math.floor(random() * n);
  const id = places[place]!.id;
  const after = Math.floor(random() * (n + 1));
  const ohms = between(0.3, 3);
  const terminal = (neutral: number, earth: number): RingReading =>
    run({}, (m) => {
      const p = m.points[place]!;
      if (p.lineNeutral !== null) p.lineNeutral += neutral;
      if (p.lineEarth !== null) p.lineEarth += earth;
    });
  const cases: (() => Case)[] = [
    () => ({
      name: `${conductor} open after ${after}`,
      dangerous: true,
      read: run({ open: { conductor, after } }),
      right: says("open"),
    }),
    () => ({
      name: `${conductor} joint of ${ohms} after ${after}, near ${near(after).join(" ")}`,
      dangerous: true,
      read: run({ loose: { conductor, after, ohms } }),
      right: says("apart", "earth-high", "both-high"),
    }),
    () => ({
      name: `earth terminal of ${id} ${ohms}`,
      dangerous: true,
      read: terminal(0, ohms),
      right: (r) => says("loose-earth-at")(r) && at1(r, [id]),
    }),
    () => ({
      name: `neutral terminal of ${id} ${ohms}`,
      dangerous: true,
      read: terminal(ohms, 0),
      right: (r) => says("loose-neutral-at")(r) && at1(r, [id]),
    }),
    () => ({
      name: `line terminal of ${id} ${ohms}`,
      dangerous: true,
      read: terminal(ohms, ohms),
      right: (r) => says("loose-line-at")(r) && at1(r, [id]),
    }),
    () => ({
      name: `earth off at ${id}`,
      dangerous: true,
      read: run({}, (m) => void (m.points[place]!.lineEarth = null)),
      right: (r) => says("earth-open-at")(r) && at1(r, [id]),
    }),
    () => ({
      name: `reversed or off at ${id}`,
      dangerous: true,
      read: run({}, (m) => void Object.assign(m.points[place]!, { lineNeutral: null, lineEarth: null })),
      right: (r) => says("open-at")(r) && at1(r, [id]),
    }),
    () => ({
      name: "legs crossed wrongly",
      dangerous: true,
      read: run({ crossedWrong: true }),
      right: says("crossed"),
    }),
    () => ({
      name: "transposed at a point",
      dangerous: true,
      read: run({}, (m) => void Object.assign(m, { r1: null, rn: null })),
      right: says("transposed"),
    }),
    () => ({
      name: `interconnected from ${1} to ${n}`,
      dangerous: true,
      read: run({ bridge: { from: 0, to: n - 1, length: between(300, 3000) } }),
      right: says("bridged-both", "low-at", "shorter"),
    }),
    () => {
      const over = between(0.12, 0.4);
      return {
        name: `leads not nulled, ${over}`,
        dangerous: false,
        read: run({}, (m) => {
          m.r1! += over;
          m.rn! += over;
          m.r2! += over;
          for (const p of m.points) {
            if (p.lineNeutral !== null) p.lineNeutral += over;
            if (p.lineEarth !== null) p.lineEarth += over;
          }
        }),
        right: says("leads"),
      };
    },
    () => {
      const long = between(6000, 15_000);
      return {
        name: `spur of ${Math.round(long)} at ${id} that nobody planned`,
        dangerous: false,
        read: run({ spurs: [...planned, { id: "Y", from: place, length: long }] }),
        right: (r) => says("spur-at")(r) && at1(r, ["Y"]),
      };
    },
    () => ({
      name: "sound",
      dangerous: false,
      read: run({}),
      right: (r) => r.facts.every((f) => f.severity !== "stop"),
    }),
  ];
  expect(cases).toHaveLength(KINDS);
  return cases[seed % KINDS]!();
}

describe("a hundred and more random faults, read through the noise of a meter", () => {
  const cases = Array.from({ length: 1300 }, (_, i) => randomCase(SEED + i));
  const wrong = cases.filter((c) => !c.right(c.read));
  const said = (list: readonly Case[]): string[] =>
    list.map((c) => `${c.name}: ${c.read.verdict}, ${c.read.because.map((b) => b.kind).join(" ")}`);
  it("names at least 98 of 100 rightly, and nine of ten of every kind", () => {
    expect(wrong.length / cases.length, said(wrong).join("\n")).toBeLessThanOrEqual(0.02);
    for (let kind = 0; kind < KINDS; kind++) {
      const own = cases.filter((_, i) => (SEED + i) % KINDS === kind);
      const right = own.filter((c) => c.right(c.read)).length;
      expect(right / own.length, said(own.filter((c) => !c.right(c.read))).join("\n")).toBeGreaterThanOrEqual(0.9);
    }
  });
  it("never calls a dangerous one sound", () => {
    expect(
      cases.filter((c) => c.dangerous && c.read.verdict === "sound" && !c.right(c.read)).map((c) => c.name),
    ).toEqual([]);
  });
});
