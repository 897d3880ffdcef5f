import { figure } from "../base/figures";
import type { RingReason } from "../trades/dead-tests/ring-read";
import type { RunFault } from "../trades/dead-tests/run-read";
import { type Say, limit, measured, num, txt } from "./say";

const ohm = (x: string | number | string[] | undefined): string => `${figure(Number(x), 3)} Ω`;
const names = (x: string | number | string[] | undefined): string => (Array.isArray(x) ? x.join(", ") : String(x));

/** A reason of a ring's verdict as a sentence. */
export function ringWords({ kind, of }: RingReason): string {
  switch (kind) {
    case "open": {
      const open = Array.isArray(of.conductors) ? of.conductors : [];
      return `The ${open.join(" and the ")} ${open.length === 1 ? "is" : "are"} open: there is a break in the ring.`;
    }
    case "transposed":
      return "Line and neutral are both open and the earth is whole: they are swapped at one point.";
    case "still-works":
      return "Everything may still work, with one leg carrying all of it.";
    case "apart":
      return `Line reads ${ohm(of.r1)} and neutral ${ohm(of.rn)}, ${ohm(of.gap)} apart: a loose joint in the ${names(of.high)}.`;
    case "bridged-one":
      return `Line reads ${ohm(of.r1)} and neutral ${ohm(of.rn)}, ${ohm(of.gap)} apart: the ${names(of.low)} has a second path.`;
    case "both-high":
      return `Line and neutral read ${ohm(of.mean)} where ${ohm(of.planned)} was planned: loose joints in both, or a longer ring than planned.`;
    case "leads":
      return `All three conductors read ${ohm(of.over)} too much: the leads are not nulled.`;
    case "earth-high":
      return `The protective conductor reads ${ohm(of.r2)}; with line at ${ohm(of.mean)} it should be about ${ohm(of.expected)}.`;
    case "open-at":
      return `${names(of.points)} ${Array.isArray(of.points) && of.points.length > 1 ? "read" : "reads"} open while the ring is whole: not connected to it, or line reversed there.`;
    case "earth-open-at":
      return `${names(of.points)}: line to earth is open while the ring is whole: the earth is not connected there.`;
    case "neutral-open-at":
      return `${names(of.points)}: line to neutral is open while the ring is whole: the neutral is not connected there, or reversed.`;
    case "loose-earth-at":
      return `${names(of.at)} reads ${ohm(of.lineEarth)} line to earth, ${ohm(of.over)} more than it should: a loose or bad earth there.`;
    case "loose-neutral-at":
      return `${names(of.at)} reads ${ohm(of.lineNeutral)} line to neutral, ${ohm(of.over)} more than it should: a loose neutral there.`;
    case "loose-line-at":
      return `${names(of.at)} reads ${ohm(of.over)} too much to neutral and to earth alike: a loose line there, not a spur.`;
    case "low-at":
      return `${names(of.points)} read less than ${ohm(of.quarter)}: another path joins the ring near there.`;
    case "shorter":
      return `Line and neutral read ${ohm(of.mean)} where ${ohm(of.planned)} was planned, and all readings are even: a sound ring, shorter than planned.`;
    case "bridged-both":
      return `Line and neutral read ${ohm(of.mean)} where ${ohm(of.planned)} was planned: another path bridges the ring, or it is shorter than planned.${Number(of.uneven) ? " Crossed readings differ from point to point, as they do round a bridge." : ""}`;
    case "earth-low":
      return `The protective conductor reads ${ohm(of.r2)}; with line at ${ohm(of.mean)} it should be about ${ohm(of.expected)}: another path runs beside it.`;
    case "crossed":
      return `Crossed readings climb from ${ohm(of.low)} to ${ohm(of.high)} at ${names(of.at)} and fall again: the same leg is joined to itself at the board.`;
    case "spur-at":
      return `${names(of.at)} reads ${ohm(of.lineNeutral)}, ${ohm(of.over)} more than the ring: a spur${Number(of.planned) ? " as planned" : " that was not planned, or a longer one"}.`;
    case "even":
      return `Line ${ohm(of.r1)}, neutral ${ohm(of.rn)}, protective conductor ${ohm(of.r2)}; crossed readings are even at ${ohm(of.quarter)}.`;
    case "one-point":
      return `Only ${names(of.at)} was read: legs crossed wrongly cannot be told from the middle alone. Read a point near the board.`;
  }
}

const remedies: Partial<Record<RingReason["kind"], string>> = {
  open: "Split the ring half way and measure each half until the break is found.",
  apart: "Tighten every terminal of that conductor round the ring and measure again.",
  "bridged-one": "Look for that conductor joined twice at one point, or to another circuit.",
  "both-high": "Tighten every terminal; if nothing changes, measure the cable again.",
  leads: "Null the leads and measure again.",
  "earth-high": "Tighten every earth terminal round the ring and measure again.",
  "open-at": "Look at the joint that feeds it.",
  "earth-open-at": "Open that point, find its earth and make it off before anything is closed.",
  "neutral-open-at": "Open that point and look at its neutral and its polarity.",
  "loose-earth-at": "Open that point, remake its earth and measure again. Do not close it.",
  "loose-neutral-at": "Open that point, remake its neutral and measure again.",
  "loose-line-at": "Open that point, remake its line and measure again.",
  "low-at": "Look for two legs joined at one point, or a ring joined to another.",
  shorter: "Enter the length as built.",
  "bridged-both": "Look for two legs joined at one point, or a ring joined to another; else enter the length as built.",
  "earth-low": "Look for metal that joins the earths, such as pipes or a metal box.",
  crossed: "Join the line of one leg to the neutral of the other, and measure again.",
  "spur-at": "Trace it; enter it as a spur, or take it out.",
};

/** What a reading on the tails says is wrong; `from` and `to` are the ends of the run, `off` what it reads. */
const tails: Record<RunFault, (from: string, to: string, off: string) => { message: string; remedy: string }> = {
  "line-open": (from, to) => ({
    message: `No line from ${from} to ${to}: it is broken, or another cable is joined at the far end.`,
    remedy: "Check the flags, then both ends.",
  }),
  "earth-open": (from, to) => ({
    message: `The protective conductor is open between ${from} and ${to}.`,
    remedy: "Look at both ends, then for damage along the way.",
  }),
  "neutral-open": (from, to) => ({
    message: `The neutral is open between ${from} and ${to}.`,
    remedy: "Look at both ends, then for damage along the way.",
  }),
  reversed: (from, to) => ({
    message: `Colours are changed over between ${from} and ${to}.`,
    remedy: "Put it right at one end and test again.",
  }),
  leads: (_, __, off) => ({
    message: `Line to earth ${off}, and line to neutral is as much over.`,
    remedy: "Null the leads and read again; then look for a bad line joint.",
  }),
  longer: (_, __, off) => ({
    message: `The run is longer than planned: line to earth ${off}, and line to neutral in proportion.`,
    remedy: "Is it the right cable, or another way?",
  }),
  shorter: (_, __, off) => ({
    message: `The run is shorter than planned: line to earth ${off}, and line to neutral in proportion.`,
    remedy: "Is it the right cable?",
  }),
  "earth-high": (from, to, off) => ({
    message: `Line to earth ${off}: a damaged or loose protective conductor.`,
    remedy: `Look at ${to}, then at ${from}.`,
  }),
  "earth-low": (_, __, off) => ({
    message: `Line to earth ${off}: a second path to earth.`,
    remedy: "Part it from other metal and cables.",
  }),
  "neutral-high": (from, to, off) => ({
    message: `Line to neutral ${off}: a damaged or loose neutral.`,
    remedy: `Look at ${to}, then at ${from}.`,
  }),
  "neutral-low": (_, __, off) => ({
    message: `Line to neutral ${off}: a second path, or the far end is joined to another cable.`,
    remedy: "Part it at the far end and read again.",
  }),
};

/** Dead tests. */
export const testWords = {
  "test.ring": (f) => {
    const kind = f.case as RingReason["kind"];
    const remedy = remedies[kind];
    return { message: ringWords({ kind, of: f.of ?? {} }), ...(remedy ? { remedy } : {}) };
  },
  "test.insulation": (f) => {
    switch (f.case) {
      case "failed":
        return {
          message: `${figure(measured(f))} MΩ at ${num(f, "volts")} V: the insulation has failed.`,
          remedy: "Find the damaged or damp cable before anything is closed.",
        };
      case "low":
        return {
          message: `${figure(measured(f))} MΩ at ${num(f, "volts")} V; new work usually reads ${limit(f)} or more.`,
          remedy: "Look for damp, dust or a nicked sheath.",
        };
      default:
        return { message: "250 V is the first, careful test; repeat at 500 V with electronics disconnected." };
    }
  },
  "test.tails": (f, n) =>
    tails[f.case as RunFault](
      n.point(txt(f, "from")),
      n.point(txt(f, "to")),
      f.measured === undefined ? "" : `reads ${ohm(f.measured)} where ${ohm(f.limit)} is expected`,
    ),
  "test.radial": (f) => ({
    message: `${figure(measured(f), 3)} Ω where ${figure(limit(f), 3)} Ω was expected: ${f.case === "high" ? "a loose joint, or more cable than planned" : "another path, or less cable than planned"}.`,
    remedy: "Tighten the joints and measure again, then look at the length.",
  }),
} as const satisfies Record<string, Say>;
