import type { End } from "../laid/laid";
import { ARMOUR_RESISTANCE, armourSection } from "../rules/ratings";
import type { Cable } from "../rules/cables";
import type { LaidCircuit, LaidLeg } from "../trades/circuits/laid-circuit";
import { perMillimetre } from "../trades/dead-tests/ring";

/** What a sound circuit should read, dead, at one of its points. Ω. */
export interface ExpectedPoint {
  point: string;
  /** True on a spur of a ring: it reads its own length more. */
  spur: boolean;
  /** Line and protective conductor: to the board, of a ring crossed there. */
  lineEarth: number;
  /** Line and neutral: to the board, of a ring crossed there. */
  lineNeutral: number;
}
export interface ExpectedReadings {
  /** End to end, of a ring only. Ω. */
  ring: { r1: number; rn: number; r2: number } | null;
  /** In the order of the cable, what hangs on it last. */
  points: ExpectedPoint[];
  /** Farthest reading of line and protective conductor, R1 + R2. Ω. */
  most: number;
}

/** Line and protective conductor of a run from end to end. Ω. */
interface Ohms {
  line: number;
  cpc: number;
}
const NOTHING: Ohms = { line: 0, cpc: 0 };
const sum = (list: readonly Ohms[]): Ohms =>
  list.reduce((a, b) => ({ line: a.line + b.line, cpc: a.cpc + b.cpc }), NOTHING);

/** Resistance of both conductors, Ω per mm at the temperature; armour that serves as the protective conductor counts as that. */
function perMm(cable: Cable, temperature: number): Ohms | null {
  const line = perMillimetre(cable.csa, temperature);
  if (line === null) return null;
  if (cable.cpc > 0) {
    const cpc = perMillimetre(cable.cpc, temperature);
    return cpc === null ? null : { line, cpc };
  }
  const steel = armourSection[String(cable.csa)]?.[cable.cores - 2];
  return steel === undefined ? null : { line, cpc: ARMOUR_RESISTANCE / steel / 1e6 };
}

/** Both ways round side by side: to the place one way and back by the other conductor, and the other way about. */
const crossed = (a: number, b: number): number => (a + b > 0 ? (a * b) / (a + b) : 0);

/**
 * What the dead tests of a circuit should read, from the length of its conductors: the way of every run and the tails left at both its
 * ends, at the temperature of the day. A ring: end to end, and crossed at every point; every other circuit: from the board to every
 * point. Null where a conductor is in no table. Source: BS 7671:2018+A2:2022 643.2; copper 0.4 % a degree.
 */
export function expectedReadings(
  laid: LaidCircuit,
  ends: readonly End[],
  cableOfRun: (run: string) => Cable | null,
  temperature = 20,
): ExpectedReadings | null {
  const tails = new Map<string, number>();
  for (const e of ends) tails.set(e.run, (tails.get(e.run) ?? 0) + (e.measures.fromMiddle ?? 0));
  let known = true;
  /** The runs of some legs in their order, each with its resistance. */
  const runsOf = (legs: readonly LaidLeg[]): { run: string; legs: number; ohms: Ohms }[] => {
    const out: { run: string; legs: number; length: number }[] = [];
    for (const l of legs) {
      const last = out[out.length - 1];
      if (last?.run === l.run) {
        last.legs++;
        last.length += l.length;
      } else out.push({ run: l.run, legs: 1, length: l.length + (tails.get(l.run) ?? 0) });
    }
    return out.map(({ run, legs: n, length }) => {
      const cable = cableOfRun(run);
      const per = cable && perMm(cable, temperature);
      if (!per) known = false;
      return { run, legs: n, ohms: per ? { line: per.line * length, cpc: per.cpc * length } : NOTHING };
    });
  };
  const ways = laid.input.legs.length;
  const way = runsOf(laid.legs.slice(0, ways));
  const whole = sum(way.map((r) => r.ohms));
  const ring = laid.input.kind === "ring";
  /** Readings at a place so far along the way, and so far along a spur. */
  const read = (x: Ohms, spur: Ohms): Pick<ExpectedPoint, "lineEarth" | "lineNeutral"> => {
    const rest = { line: whole.line - x.line, cpc: whole.cpc - x.cpc };
    return {
      lineNeutral: (ring ? crossed(x.line + rest.line, rest.line + x.line) : 2 * x.line) + 2 * spur.line,
      lineEarth: (ring ? crossed(x.line + rest.cpc, rest.line + x.cpc) : x.line + x.cpc) + spur.line + spur.cpc,
    };
  };
  const points: ExpectedPoint[] = [];
  const onWay = laid.places.filter((p) => p.spur === 0);
  /** Legs and resistance from the board to the end of each run of the way. */
  const to: { legs: number; at: Ohms }[] = [{ legs: 0, at: NOTHING }];
  for (const r of way) {
    const last = to[to.length - 1]!;
    to.push({ legs: last.legs + r.legs, at: sum([last.at, r.ohms]) });
  }
  onWay.forEach((p, n) => {
    const at = to[n + 1]?.at;
    if (at) points.push({ point: p.point, spur: false, ...read(at, NOTHING) });
  });
  const off = laid.places.filter((p) => p.spur > 0);
  let from = ways;
  const seen = new Set<string>();
  for (const s of laid.input.spurs ?? []) {
    const legs = laid.legs.slice(from, from + s.legs.length);
    from += s.legs.length;
    const joint = to.find((t) => t.legs === s.at + 1)?.at ?? NOTHING;
    const long = legs.reduce((x, l) => x + l.length, 0) / 1000;
    const last = legs[legs.length - 1]?.run.split(".") ?? [];
    const place = off.find((p) => !seen.has(p.point) && last.includes(p.point) && Math.abs(p.spur - long) < 1e-6);
    if (!place) continue;
    seen.add(place.point);
    points.push({ point: place.point, spur: ring, ...read(joint, sum(runsOf(legs).map((r) => r.ohms))) });
  }
  if (!known) return null;
  return {
    ring: ring ? { r1: whole.line, rn: whole.line, r2: whole.cpc } : null,
    points,
    most: Math.max(0, ...points.map((p) => p.lineEarth)),
  };
}
