import { atMost } from "../geometry/tolerance";
import { type Finding, finding } from "../rules/findings";
import { figure } from "../rules/words";
import type { RingPoint } from "./ring";

/** Line and neutral agree within this, Ω. Source: on-site working practice. */
export const AGREE = 0.05;
/** Share by which a reading may differ from what is expected before it means something. */
const SHARE = 0.1;
/** A crossed reading higher than the ring's by more than this is a spur: 0.02 Ω, or 5 % of it. */
const SPUR_OHMS = 0.02;
const SPUR_SHARE = 0.05;
/** Crossed readings that sink below this share of the quarter mean legs joined wrongly. */
const SUNK = 0.8;

export type Verdict = "sound" | "open" | "loose" | "crossed-wrong" | "spurs" | "bridged";
export interface RingReading {
  verdict: Verdict;
  reasons: string[];
  findings: Finding[];
}

const ohm = (x: number): string => `${figure(x, 3)} Ω`;
const differs = (a: number, b: number): boolean => !atMost(Math.abs(a - b), Math.max(AGREE, SHARE * b));

/**
 * What readings of a ring mean, gravest first: a conductor open; line and neutral apart or too high (a loose joint); too low
 * (another path bridges the ring); crossed readings that climb to the middle and fall (legs joined wrongly at the board); single
 * points that read higher (spurs). `null` stands for an open circuit. Source: see rules `test.ring`.
 * @param expected end-to-end readings of the ring as planned, Ω
 */
export function readRing(
  expected: { r1: number; rn: number; r2: number },
  r1: number | null,
  rn: number | null,
  r2: number | null,
  points: readonly RingPoint[],
): RingReading {
  const verdict = (v: Verdict, reasons: string[], measured?: number, limit?: number, remedy?: string): RingReading => ({
    verdict: v,
    reasons,
    findings:
      v === "sound" || v === "spurs"
        ? []
        : [
            finding("test.ring", {
              subject: "ring",
              message: reasons[0]!,
              ...(measured === undefined || limit === undefined
                ? {}
                : { measured, limit, sense: "most" as const, unit: "Ω" }),
              ...(remedy ? { remedy } : {}),
            }),
          ],
  });
  const names = { line: r1, neutral: rn, "protective conductor": r2 };
  const open = Object.entries(names)
    .filter(([, r]) => r === null)
    .map(([n]) => n);
  if (open.length || r1 === null || rn === null || r2 === null)
    return verdict(
      "open",
      [
        `The ${open.join(" and the ")} ${open.length === 1 ? "is" : "are"} open: there is a break in the ring.`,
        "Everything may still work, with one leg carrying all of it.",
      ],
      undefined,
      undefined,
      "Split the ring half way and measure each half until the break is found.",
    );
  const gap = Math.abs(r1 - rn);
  if (!atMost(gap, AGREE)) {
    const high = r1 > rn ? "line" : "neutral";
    return verdict(
      "loose",
      [`Line reads ${ohm(r1)} and neutral ${ohm(rn)}, ${ohm(gap)} apart: a loose joint in the ${high}.`],
      gap,
      AGREE,
      `Tighten every ${high} terminal round the ring and measure again.`,
    );
  }
  const mean = (r1 + rn) / 2;
  const planned = (expected.r1 + expected.rn) / 2;
  const ratio = expected.r2 / planned;
  if (mean > planned && differs(mean, planned))
    return verdict(
      "loose",
      [
        `Line and neutral read ${ohm(mean)} where ${ohm(planned)} was planned: loose joints in both, or a longer ring than planned.`,
      ],
      mean,
      planned,
      "Tighten every terminal; if nothing changes, measure the cable again.",
    );
  if (r2 > mean * ratio && differs(r2, mean * ratio))
    return verdict(
      "loose",
      [`The protective conductor reads ${ohm(r2)}; with line at ${ohm(mean)} it should be about ${ohm(mean * ratio)}.`],
      r2,
      mean * ratio,
      "Tighten every earth terminal round the ring and measure again.",
    );
  const readings = points.flatMap((p) => (p.lineNeutral === null ? [] : [p.lineNeutral]));
  const openAt = points.filter((p) => p.lineNeutral === null || p.lineEarth === null);
  if (openAt.length)
    return verdict(
      "open",
      [
        `${openAt.map((p) => p.id).join(", ")} ${openAt.length === 1 ? "reads" : "read"} open while the ring is whole: not connected to it.`,
      ],
      undefined,
      undefined,
      "Look at the joint that feeds it.",
    );
  const quarter = (r1 + rn) / 4;
  const low = Math.min(Infinity, ...readings);
  const short = mean < planned && differs(mean, planned);
  const sunk = low < SUNK * quarter;
  if (short)
    return verdict(
      "bridged",
      [
        `Line and neutral read ${ohm(mean)} where ${ohm(planned)} was planned: another path bridges the ring.`,
        ...(sunk ? ["Crossed readings differ from point to point, as they do round a bridge."] : []),
      ],
      planned,
      mean,
      "Look for two legs joined at one point, or a ring joined to another.",
    );
  if (r2 < mean * ratio && differs(r2, mean * ratio))
    return verdict(
      "bridged",
      [
        `The protective conductor reads ${ohm(r2)}; with line at ${ohm(mean)} it should be about ${ohm(mean * ratio)}: another path runs beside it.`,
      ],
      mean * ratio,
      r2,
      "Look for metal that joins the earths, such as pipes or a metal box.",
    );
  if (sunk) {
    const highest = points.reduce((a, b) => ((b.lineNeutral ?? 0) > (a.lineNeutral ?? 0) ? b : a));
    return verdict(
      "crossed-wrong",
      [
        `Crossed readings climb from ${ohm(low)} to ${ohm(highest.lineNeutral!)} at ${highest.id} and fall again: the same leg is joined to itself at the board.`,
      ],
      quarter,
      low,
      "Join the line of one leg to the neutral of the other, and measure again.",
    );
  }
  const spurs = points.filter(
    (p) => p.lineNeutral !== null && p.lineNeutral > quarter + Math.max(SPUR_OHMS, SPUR_SHARE * quarter),
  );
  if (spurs.length)
    return verdict(
      "spurs",
      spurs.map(
        (p) => `${p.id} reads ${ohm(p.lineNeutral!)}, ${ohm(p.lineNeutral! - quarter)} more than the ring: a spur.`,
      ),
    );
  return verdict("sound", [
    `Line ${ohm(r1)}, neutral ${ohm(rn)}, protective conductor ${ohm(r2)}; crossed readings are even at ${ohm(quarter)}.`,
  ]);
}
