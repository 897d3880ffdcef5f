import { atMost } from "../../base/tolerance";
import { type Fact, fact } from "../../rules/fact";
import { checkInsulation } from "./insulation";
import { AGREE } from "./ring-read";

/** What the tails of one run should read, dead, with the far end joined: line to its other conductors. Ω. */
export interface ExpectedRun {
  lineEarth: number;
  lineNeutral: number;
}

/** Readings taken on the tails; null for an open circuit, left out where not taken. Ω and MΩ. */
export interface RunReadings {
  lineEarth?: number | null;
  lineNeutral?: number | null;
  /** The least of line–neutral, line–earth and neutral–earth with nothing joined, MΩ. */
  insulation?: number;
  /** Whether the colours are the same at both ends. */
  polarity?: "right" | "reversed";
}

/** What a reading says is wrong with a run: the cases of the rule `test.tails`. */
export const runFaults = [
  "line-open",
  "earth-open",
  "neutral-open",
  "reversed",
  "leads",
  "longer",
  "shorter",
  "earth-high",
  "earth-low",
  "neutral-high",
  "neutral-low",
] as const;
export type RunFault = (typeof runFaults)[number];

/** Share of what is expected by which a reading may differ from it. */
const SHARE = 0.1;
/** The same on both conductors within this is in the leads, Ω. */
const SAME = 0.03;
const mild = new Set<RunFault>(["leads", "longer", "shorter"]);

const near = (a: number, b: number): boolean => atMost(Math.abs(a - b), Math.max(AGREE, SHARE * b));

/**
 * What the readings on the tails of a run mean, gravest first: an open conductor, insulation, colours, then too much or too little: on
 * both conductors in their proportion it is the length, on both by the same amount the leads, on one alone that one. Without what is
 * expected (a conductor in no table) amounts are not judged. Source: see rules `test.tails` and `test.insulation`.
 */
export function readRun(
  run: { id: string; from: string; to: string },
  expected: ExpectedRun | null,
  r: RunReadings,
): Fact[] {
  const say = (fault: RunFault, measured?: number, limit?: number): Fact =>
    fact("test.tails", "run", run.id, {
      case: fault,
      severity: mild.has(fault) ? "warn" : "stop",
      of: { from: run.from, to: run.to },
      ...(measured === undefined || limit === undefined
        ? {}
        : { measured, limit, sense: /low|shorter/.test(fault) ? "least" : "most", unit: "Ω" }),
    });
  const { lineEarth: e, lineNeutral: n, insulation, polarity } = r;
  const open = e === null && n === null ? "line-open" : e === null ? "earth-open" : n === null ? "neutral-open" : null;
  return [
    ...(open ? [say(open)] : []),
    ...(insulation === undefined ? [] : checkInsulation(insulation, 500)),
    ...(polarity === "reversed" ? [say("reversed")] : []),
    ...(expected ? amounts(expected, e ?? undefined, n ?? undefined, say) : []),
  ];
}

function amounts(
  expected: ExpectedRun,
  e: number | undefined,
  n: number | undefined,
  say: (fault: RunFault, measured: number, limit: number) => Fact,
): Fact[] {
  const off = (x: number | undefined, of: number): number => (x === undefined || near(x, of) ? 0 : x - of);
  const [offE, offN] = [off(e, expected.lineEarth), off(n, expected.lineNeutral)];
  if (e !== undefined && n !== undefined && offE && offN && offE > 0 === offN > 0) {
    // In proportion: more or less of the same cable.
    const [kE, kN] = [e / expected.lineEarth, n / expected.lineNeutral];
    if (Math.abs(kE - kN) <= SHARE * Math.max(kE, kN))
      return [say(offE > 0 ? "longer" : "shorter", e, expected.lineEarth)];
    if (offE > 0 && Math.abs(offE - offN) <= SAME) return [say("leads", e, expected.lineEarth)];
  }
  return [
    ...(offE ? [say(offE > 0 ? "earth-high" : "earth-low", e!, expected.lineEarth)] : []),
    ...(offN ? [say(offN > 0 ? "neutral-high" : "neutral-low", n!, expected.lineNeutral)] : []),
  ];
}

/** Readings that a run's test needs before it is ticked, by their names in the record. */
export const runReadingNames = {
  lineEarth: "Line to earth, far end joined",
  lineNeutral: "Line to neutral, far end joined",
  insulation: "Least insulation",
} as const;
