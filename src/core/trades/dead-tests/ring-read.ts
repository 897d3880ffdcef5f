import { atMost } from "../../base/tolerance";
import { type Fact, fact } from "../../rules/fact";
import type { RingPoint } from "./ring";

/** Line and neutral agree within this, Ω. Source: on-site working practice. */
export const AGREE = 0.05;
/** What a low-ohm meter may be off either way, Ω. Source: on-site working practice, two in the last figure. */
export const METER_OFF = 0.02;
/** What a ring is read for end to end, by the names in the record. */
export const ringReadingNames = {
  r1: "Line r1, end to end",
  rn: "Neutral rn, end to end",
  r2: "Protective r2, end to end",
} as const;
/** Share by which an end-to-end reading may differ from what was planned before it means something. */
const SHARE = 0.1;
/** The protective conductor follows the line by the ratio of their sections; the two usual ratios differ by about this share. */
const RATIO_SHARE = 0.04;
/** A crossed reading off what is expected at its place by more than this means something: 0.02 Ω, or 5 % of it. */
const POINT_OHMS = 0.02;
const POINT_SHARE = 0.05;
/** Crossed readings that sink below this share of the quarter mean legs joined wrongly. */
const SUNK = 0.8;

export type Verdict = "sound" | "open" | "loose" | "crossed-wrong" | "spurs" | "bridged";

/** One reason of a verdict: which, and the figures and places its sentence names. Ω. */
export interface RingReason {
  kind:
    | "open"
    | "transposed"
    | "still-works"
    | "apart"
    | "bridged-one"
    | "both-high"
    | "leads"
    | "earth-high"
    | "open-at"
    | "earth-open-at"
    | "neutral-open-at"
    | "loose-earth-at"
    | "loose-neutral-at"
    | "loose-line-at"
    | "low-at"
    | "shorter"
    | "bridged-both"
    | "earth-low"
    | "crossed"
    | "spur-at"
    | "even"
    | "one-point";
  of: Record<string, string | number | string[]>;
}
export interface RingReading {
  verdict: Verdict;
  because: RingReason[];
  facts: Fact[];
}

/** What the ring should read: end to end, and at each point where it is known. Ω. */
export interface ExpectedRing {
  r1: number;
  rn: number;
  r2: number;
  /** What the meter may add to a reading or take from it, Ω; none when left out. */
  noise?: number | undefined;
  points?: readonly {
    id: string;
    lineNeutral: number;
    lineEarth: number;
    /** To full precision at its place; the working figure is taken when left out. */
    lineEarthHere?: number | undefined;
  }[];
}

const differs = (a: number, b: number, share = SHARE): boolean => !atMost(Math.abs(a - b), Math.max(AGREE, share * b));
const because = (kind: RingReason["kind"], of: RingReason["of"] = {}): RingReason => ({ kind, of });

/** A verdict with its reasons; the first of them is the fact that is told, with what was measured and what it should be at most. */
function verdict(
  v: Verdict,
  reasons: RingReason[],
  measured?: number,
  limit?: number,
  severity: "stop" | "warn" = "stop",
): RingReading {
  const [first] = reasons;
  const quiet = v === "sound" && severity === "stop";
  const figures = measured === undefined || limit === undefined ? {} : { measured, limit, sense: "most" as const };
  return {
    verdict: v,
    because: reasons,
    facts: quiet
      ? []
      : [fact("test.ring", "input", "ring", { severity, case: first!.kind, ...figures, unit: "Ω", of: first!.of })],
  };
}

/**
 * What readings of a ring mean, gravest first: a conductor open; line and neutral apart or too high (a loose joint); each point's
 * line–neutral and line–earth against what is expected at that place (a bad earth, neutral or line there); too low (another path
 * bridges the ring, or it is shorter than planned); crossed readings that climb to the middle and fall (legs joined wrongly at the
 * board); points that read higher on both by the share of a cable's two conductors (spurs). `null` stands for an open circuit.
 * Source: see rule `test.ring`.
 */
export function readRing(
  expected: ExpectedRing | null,
  r1: number | null,
  rn: number | null,
  r2: number | null,
  points: readonly RingPoint[],
): RingReading {
  if (r1 === null || rn === null || r2 === null) return openEnds(r1, rn, r2);
  // Where nothing is known of it the three are held against each other alone.
  const mean = (r1 + rn) / 2;
  const against = expected ?? { r1: mean, rn: mean, r2 };
  return endToEnd(against, r1, rn, r2) ?? atThePoints(against, r1, rn, r2, points);
}

function openEnds(r1: number | null, rn: number | null, r2: number | null): RingReading {
  const names = { line: r1, neutral: rn, "protective conductor": r2 };
  const open = Object.entries(names).flatMap(([n, r]) => (r === null ? [n] : []));
  // Line and neutral swapped at one point break both at once, and leave the protective conductor whole.
  const swapped = r1 === null && rn === null && r2 !== null;
  return verdict("open", [
    because("open", { conductors: open }),
    ...(swapped ? [because("transposed")] : []),
    because("still-works"),
  ]);
}

/** What the end-to-end readings say by themselves; null where they are as they should be, or only low. */
function endToEnd(expected: ExpectedRing, r1: number, rn: number, r2: number): RingReading | null {
  const planned = (expected.r1 + expected.rn) / 2;
  const ratio = expected.r2 / planned;
  const gap = Math.abs(r1 - rn);
  const mean = (r1 + rn) / 2;
  // The same few hundredths on all three, whatever their size, is in the leads.
  const over = [r1 - expected.r1, rn - expected.rn, r2 - expected.r2];
  const least = Math.min(...over);
  if (least > AGREE && Math.max(...over) - least < POINT_OHMS + 2 * (expected.noise ?? 0))
    return verdict(
      "loose",
      [because("leads", { over: least }), because("both-high", { mean, planned })],
      mean,
      planned,
    );
  if (!atMost(gap, AGREE)) {
    const [high, low] = r1 > rn ? ["line", "neutral"] : ["neutral", "line"];
    const [most, fewest] = [Math.max(r1, rn), Math.min(r1, rn)];
    // As planned in one and less in the other: the lower one has a second path.
    if (!differs(most, planned) && fewest < planned && planned - fewest > Math.abs(most - planned))
      return verdict("bridged", [because("bridged-one", { r1, rn, gap, low: low! })], gap, AGREE);
    return verdict("loose", [because("apart", { r1, rn, gap, high: high! })], gap, AGREE);
  }
  if (mean > planned && differs(mean, planned))
    return verdict("loose", [because("both-high", { mean, planned })], mean, planned);
  const earth = mean * ratio;
  // Both the reading and what it is held against may be off by what the meter adds.
  const blur = (expected.noise ?? 0) * (1 + ratio);
  if (r2 > earth && differs(r2, earth, RATIO_SHARE) && !atMost(r2 - earth, blur))
    return verdict("loose", [because("earth-high", { r2, mean, expected: earth })], r2, earth);
  return null;
}

/** A point's readings against what is expected at its place, scaled to the ring as it was measured. Ω. */
interface Compared {
  id: string;
  lineNeutral: number;
  lineEarth: number;
  /** Above what is expected; below when negative. */
  overNeutral: number;
  overEarth: number;
  /** The most it may be above where its place is not known: near the board less is expected. */
  overEarthMost: number;
  tolerance: number;
  /** Planned as a spur. */
  spur: number;
}

function compare(expected: ExpectedRing, r1: number, rn: number, r2: number, p: RingPoint): Compared | null {
  if (p.lineNeutral === null || p.lineEarth === null) return null;
  const quarter = (r1 + rn) / 4;
  const plan = expected.points?.find((x) => x.id === p.id);
  const spur = plan ? plan.lineNeutral - (expected.r1 + expected.rn) / 4 : 0;
  // Near the board the two unlike conductors read a little lower; where the place is not known, anything between is right.
  const [low, high] = [(r1 * r2) / (r1 + r2), (r1 + r2) / 4];
  const scale = (r1 + r2) / (expected.r1 + expected.r2);
  const spurEarth = plan ? plan.lineEarth - (expected.r1 + expected.r2) / 4 : 0;
  const here = plan?.lineEarthHere === undefined ? null : (plan.lineEarthHere - spurEarth) * scale + spurEarth;
  const [least, most] = here === null ? [low + spurEarth, high + spurEarth] : [here, here];
  const wanted = Math.min(most, Math.max(least, p.lineEarth));
  return {
    id: p.id,
    lineNeutral: p.lineNeutral,
    lineEarth: p.lineEarth,
    overNeutral: p.lineNeutral - quarter - spur,
    overEarth: p.lineEarth - wanted,
    overEarthMost: p.lineEarth - least,
    // The point's own reading and the quarter, from two readings halved, may both be off by what the meter adds.
    tolerance: Math.max(POINT_OHMS, POINT_SHARE * quarter) + 1.5 * (expected.noise ?? 0),
    spur,
  };
}

/** What the crossed readings say, point by point, the ends being as they should be or low. */
function atThePoints(
  expected: ExpectedRing,
  r1: number,
  rn: number,
  r2: number,
  points: readonly RingPoint[],
): RingReading {
  const mean = (r1 + rn) / 2;
  const planned = (expected.r1 + expected.rn) / 2;
  const ratio = expected.r2 / planned;
  const quarter = (r1 + rn) / 4;
  const dead = points.filter((p) => p.lineNeutral === null && p.lineEarth === null).map((p) => p.id);
  if (dead.length) return verdict("open", [because("open-at", { points: dead })]);
  const noEarth = points.filter((p) => p.lineEarth === null).map((p) => p.id);
  if (noEarth.length) return verdict("open", [because("earth-open-at", { points: noEarth })]);
  const noNeutral = points.filter((p) => p.lineNeutral === null).map((p) => p.id);
  if (noNeutral.length) return verdict("open", [because("neutral-open-at", { points: noNeutral })]);

  const seen = points.flatMap((p) => compare(expected, r1, rn, r2, p) ?? []);
  const lowest = Math.min(Infinity, ...seen.map((p) => p.lineNeutral));
  const short = mean < planned && differs(mean, planned);
  const sunk = lowest < SUNK * quarter;
  if (sunk && !short) {
    const highest = seen.reduce((a, b) => (b.lineNeutral > a.lineNeutral ? b : a));
    return verdict(
      "crossed-wrong",
      [because("crossed", { low: lowest, high: highest.lineNeutral, at: highest.id })],
      quarter,
      lowest,
    );
  }
  const bad = badAt(seen, short, 1 + ratio);
  if (bad) return bad;
  const uneven = seen.filter((p) => Math.abs(p.overNeutral) > p.tolerance && p.spur === 0);
  const earth = mean * ratio;
  if (short) {
    // A ring of even readings with the right protective conductor is whole, and has less cable in it than was planned.
    const even = seen.length > 1 && !uneven.length && !differs(r2, earth, RATIO_SHARE);
    if (even) return verdict("sound", [because("shorter", { mean, planned })], planned, mean, "warn");
    return verdict(
      "bridged",
      [because("bridged-both", { mean, planned, uneven: uneven.length ? 1 : 0 })],
      planned,
      mean,
    );
  }
  if (r2 < earth && differs(r2, earth, RATIO_SHARE))
    return verdict("bridged", [because("earth-low", { r2, mean, expected: earth })], earth, r2);
  const low = seen.filter((p) => p.overNeutral < -p.tolerance);
  if (low.length)
    return verdict("bridged", [because("low-at", { points: low.map((p) => p.id), quarter })], quarter, lowest);
  const spurs = seen.filter((p) => p.spur > POINT_OHMS / 2 || p.overNeutral > p.tolerance);
  if (spurs.length) return spurVerdict(spurs, quarter);
  return verdict("sound", [
    because("even", { r1, rn, r2, quarter }),
    ...(seen.length === 1 ? [because("one-point", { at: seen[0]!.id })] : []),
  ]);
}

/** A point that reads too high on one pair only, or on both by the same: a joint there is loose. `both` is 1 + the conductors' ratio. */
function badAt(seen: readonly Compared[], short: boolean, both: number): RingReading | null {
  const over = (p: Compared): number => Math.max(p.overNeutral, p.overEarth) - p.tolerance;
  // The worst first: what is wrong at one point shows a little at the others.
  for (const p of [...seen].sort((a, b) => over(b) - over(a))) {
    const neutral = p.overNeutral > p.tolerance;
    const earth = p.overEarth > p.tolerance;
    const at = { at: p.id, lineNeutral: p.lineNeutral, lineEarth: p.lineEarth };
    if (earth && !neutral)
      return verdict("loose", [because("loose-earth-at", { ...at, over: p.overEarth })], p.overEarth, p.tolerance);
    // Round a bridge line–neutral readings differ from place to place by themselves.
    if (short) continue;
    if (neutral && !earth)
      return verdict(
        "loose",
        [because("loose-neutral-at", { ...at, over: p.overNeutral })],
        p.overNeutral,
        p.tolerance,
      );
    if (!neutral || !earth) continue;
    // A cable of its own adds line and neutral to one, line and protective conductor to the other.
    const asSpur = (p.overNeutral * both) / 2;
    const spread = p.overEarth - asSpur;
    const may = Math.max(p.tolerance, POINT_SHARE * asSpur);
    if (spread <= may && p.overEarthMost - asSpur >= -may) continue;
    return spread > 0
      ? verdict("loose", [because("loose-earth-at", { ...at, over: spread })], p.overEarth, asSpur)
      : verdict("loose", [because("loose-line-at", { ...at, over: p.overEarth })], p.overEarth, p.tolerance);
  }
  return null;
}

/** Points that read as spurs; one that was not planned as one is told. */
function spurVerdict(spurs: readonly Compared[], quarter: number): RingReading {
  const reasons = spurs.map((p) =>
    because("spur-at", {
      at: p.id,
      lineNeutral: p.lineNeutral,
      over: p.lineNeutral - quarter,
      planned: p.overNeutral > p.tolerance ? 0 : 1,
    }),
  );
  const strange = spurs.findIndex((p) => p.overNeutral > p.tolerance);
  if (strange < 0) return { verdict: "spurs", because: reasons, facts: [] };
  const p = spurs[strange]!;
  return {
    verdict: "spurs",
    because: reasons,
    facts: [
      fact("test.ring", "input", "ring", {
        severity: "warn",
        case: "spur-at",
        measured: p.overNeutral,
        limit: p.tolerance,
        sense: "most",
        unit: "Ω",
        of: reasons[strange]!.of,
      }),
    ],
  };
}
