import { ARMOUR_RESISTANCE, SHEATH_RESISTANCE, armourSection } from "../rules/ratings";
import type { House } from "../house/house";
import type { End, Plan, Run } from "../laid/laid";
import { cableOf } from "../rules/catalogue";
import type { ExpectedRun } from "../trades/dead-tests/run-read";
import { leftAtEnds } from "../laid/run-measures";
import type { Cable } from "../rules/cables";
import { type LaidCircuit, type LaidLeg, laidCircuits } from "../trades/circuits/laid-circuit";
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
  if (cable.family === "mi")
    return { line, cpc: (SHEATH_RESISTANCE / cable.cpc / 1e6) * (line / perMillimetre(cable.csa, 20)!) };
  if (cable.cpc > 0) {
    const cpc = perMillimetre(cable.cpc, temperature);
    return cpc === null ? null : { line, cpc };
  }
  const steel = armourSection[String(cable.csa)]?.[cable.cores - 2];
  return steel === undefined ? null : { line, cpc: ARMOUR_RESISTANCE / steel / 1e6 };
}

/**
 * What one run should read from end to end, its two conductors in series: its way and what hangs at both its ends. Ω;
 * null as above.
 */
export function expectedOfRun(
  run: Pick<Run, "pathLength">,
  ends: readonly Pick<End, "measures">[],
  slack: number,
  cable: Cable,
  temperature = 20,
): number | null {
  const per = perMm(cable, temperature);
  return per && (per.line + per.cpc) * (run.pathLength + leftAtEnds(ends, slack));
}

/**
 * What the tails of one run should read with its far end joined: line to protective conductor, and line to neutral. Ω;
 * null as above.
 */
export function expectedOnTails(h: House, plan: Pick<Plan, "ends">, run: Run): ExpectedRun | null {
  const cable = cableOf(run.cable, h.catalogue);
  const per = cable && perMm(cable, 20);
  const ends = plan.ends.filter((e) => e.run === run.id);
  const { slack } = h.job.settings;
  return cable && per
    ? {
        lineEarth: expectedOfRun(run, ends, slack, cable)!,
        lineNeutral: 2 * per.line * (run.pathLength + leftAtEnds(ends, slack)),
      }
    : null;
}

/** What the dead tests of a circuit as it is laid should read; null where there is none, or a conductor is in no table. */
export function expectedOfCircuit(
  h: House,
  plan: Pick<Plan, "runs" | "holes" | "ends"> & Partial<Pick<Plan, "found">>,
  circuit: string,
  temperature = 20,
): ExpectedReadings | null {
  const laid = laidCircuits(h, plan.runs, plan.holes, plan.found ?? []).find((c) => c.circuit.id === circuit);
  const cable = new Map(plan.runs.map((r) => [r.id, r.cable]));
  const left = (run: string): number =>
    leftAtEnds(
      plan.ends.filter((e) => e.run === run),
      h.job.settings.slack,
    );
  return laid ? expectedReadings(laid, left, (r) => cableOf(cable.get(r) ?? "", h.catalogue), temperature) : null;
}

/** Both ways round side by side: to the place one way and back by the other conductor, and the other way about. */
const crossed = (a: number, b: number): number => (a + b > 0 ? (a * b) / (a + b) : 0);

/**
 * What the dead tests of a circuit should read, from the length of its conductors: the way of every run and what is left at both its
 * ends (see `leftAtEnds`), at the temperature of the day. A ring: end to end, and crossed at every point; every other circuit: from the board to every
 * point. Null where a conductor is in no table. Source: BS 7671:2018+A2:2022 643.2; copper 0.4 % a degree.
 */
export function expectedReadings(
  laid: LaidCircuit,
  left: (run: string) => number,
  cableOfRun: (run: string) => Cable | null,
  temperature = 20,
): ExpectedReadings | null {
  let known = true;
  /** The runs of some legs in their order, each with its resistance. */
  const runsOf = (legs: readonly LaidLeg[]): { run: string; legs: number; ohms: Ohms }[] => {
    const out: { run: string; legs: number; length: number }[] = [];
    for (const l of legs) {
      const last = out[out.length - 1];
      if (last?.run === l.run) {
        last.legs++;
        last.length += l.length;
      } else out.push({ run: l.run, legs: 1, length: l.length + left(l.run) });
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
  /** By number of legs from the board: the resistance of the way so far. */
  const to = new Map<number, Ohms>([[0, NOTHING]]);
  let [count, at] = [0, NOTHING];
  way.forEach((r, n) => {
    count += r.legs;
    at = sum([at, r.ohms]);
    to.set(count, at);
    // A ring comes back to the board: that is no point of its own.
    const point = laid.way[n]!;
    if (laid.places.some((p) => p.point === point)) points.push({ point, spur: false, ...read(at, NOTHING) });
  });
  const there = new Set(points.map((p) => p.point));
  let from = ways;
  (laid.input.spurs ?? []).forEach((s, n) => {
    const legs = laid.legs.slice(from, from + s.legs.length);
    from += s.legs.length;
    const point = laid.off[n]!;
    // Where two cables lead to one point the first is the way that is tested.
    if (there.has(point)) return;
    there.add(point);
    points.push({ point, spur: ring, ...read(to.get(s.at + 1) ?? NOTHING, sum(runsOf(legs).map((r) => r.ohms))) });
  });
  if (!known) return null;
  return {
    ring: ring ? { r1: whole.line, rn: whole.line, r2: whole.cpc } : null,
    points,
    most: Math.max(0, ...points.map((p) => p.lineEarth)),
  };
}
