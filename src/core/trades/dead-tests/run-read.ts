import { atLeast, atMost } from "../../base/tolerance";
import { insulationLeast, insulationUsual } from "./insulation";

/** What the tails of one run should read, dead, with the far end joined: line to its other conductors. Ω. */
export interface ExpectedRun {
  lineEarth: number;
  lineNeutral: number;
}

/** Readings taken on the tails; null for an open circuit, undefined for one not taken. Ω and MΩ. */
export interface RunReadings {
  lineEarth?: number | null;
  lineNeutral?: number | null;
  /** The least of line–neutral, line–earth and neutral–earth with nothing joined, MΩ. */
  insulation?: number;
  /** Whether the colours are the same at both ends. */
  polarity?: "right" | "reversed";
}

export type RunFault =
  | "line-open"
  | "earth-open"
  | "neutral-open"
  | "reversed"
  | "insulation-failed"
  | "insulation-low"
  | "leads"
  | "longer"
  | "earth-high"
  | "neutral-high"
  | "shorter"
  | "earth-low"
  | "neutral-low";

/** What a reading says is wrong with a run, gravest first, with how much it is off. */
export interface RunReason {
  fault: RunFault;
  measured: number;
  expected: number;
  severity: "stop" | "warn";
}

/** A reading may be off by so much without meaning anything, Ω, or by that share of what is expected, whichever is more. Source: on-site working practice. */
const AGREE = 0.05;
const SHARE = 0.1;
/** The same on both conductors within this is in the leads, Ω. */
const SAME = 0.03;

const near = (a: number, b: number): boolean => atMost(Math.abs(a - b), Math.max(AGREE, SHARE * b));

/**
 * What the readings on the tails of a run mean. An open conductor, then insulation, then colours, then too much or too little: on
 * both conductors in their proportion it is the length, on both by the same amount the leads, on one alone that one.
 * Source: BS 7671:2018+A2:2022 643.2 and 643.3, and on-site working practice.
 */
export function readRun(expected: ExpectedRun, r: RunReadings): RunReason[] {
  const out: RunReason[] = [];
  const say = (fault: RunFault, measured: number, of: number, severity: "stop" | "warn" = "stop"): void =>
    void out.push({ fault, measured, expected: of, severity });
  const { lineEarth: e, lineNeutral: n, insulation, polarity } = r;
  if (e === null && n === null) say("line-open", 0, expected.lineEarth);
  else if (e === null) say("earth-open", 0, expected.lineEarth);
  else if (n === null) say("neutral-open", 0, expected.lineNeutral);
  if (insulation !== undefined && !atLeast(insulation, insulationLeast))
    say("insulation-failed", insulation, insulationLeast);
  else if (insulation !== undefined && !atLeast(insulation, insulationUsual))
    say("insulation-low", insulation, insulationUsual, "warn");
  if (polarity === "reversed") say("reversed", 0, 0);
  const [le, ln] = [e ?? undefined, n ?? undefined];
  const offE = le === undefined ? 0 : near(le, expected.lineEarth) ? 0 : le - expected.lineEarth;
  const offN = ln === undefined ? 0 : near(ln, expected.lineNeutral) ? 0 : ln - expected.lineNeutral;
  if (!offE && !offN) return out;
  if (le !== undefined && ln !== undefined && offE && offN && offE > 0 === offN > 0) {
    // In proportion: more or less of the same cable.
    const [kE, kN] = [le / expected.lineEarth, ln / expected.lineNeutral];
    const inProportion = Math.abs(kE - kN) <= SHARE * Math.max(kE, kN);
    if (offE > 0 && Math.abs(offE - offN) <= SAME && !inProportion) say("leads", offE, 0, "warn");
    else if (inProportion) say(offE > 0 ? "longer" : "shorter", le, expected.lineEarth, "warn");
    else {
      say(offE > 0 ? "earth-high" : "earth-low", le, expected.lineEarth);
      say(offN > 0 ? "neutral-high" : "neutral-low", ln, expected.lineNeutral);
    }
    return out;
  }
  if (offE) say(offE > 0 ? "earth-high" : "earth-low", le!, expected.lineEarth);
  if (offN) say(offN > 0 ? "neutral-high" : "neutral-low", ln!, expected.lineNeutral);
  return out;
}

/** Readings that a run's test needs before it is ticked, by their names in the record. */
export const runReadingNames = {
  lineEarth: "Line to earth, far end joined",
  lineNeutral: "Line to neutral, far end joined",
  insulation: "Least insulation",
} as const;
