import { type Interval, within } from "../geometry/interval";
import { atLeast, atMost, below } from "../geometry/tolerance";
import { type Finding, finding, mm } from "../rules/findings";
import type { Schools } from "../rules/schools";
import { type Cut, type Joist, joistWindows, timberRules } from "./joist";

export interface JoistSettings {
  notchSchool: Schools["notch"];
  notchEdge?: Schools["notchEdge"];
  heavyLoad?: boolean;
  /** How far a hole's centre may lie off the axis, mm. */
  axisTolerance?: number;
  noggin?: number;
  /** Cuts covered by a steel plate, so that the 50 mm to the edge is not needed. */
  plated?: ReadonlySet<string>;
}

/** Findings that concern the joist itself, before any cut: engineered, too deep, heavily loaded. */
export function joistRefusals(j: Joist, heavyLoad: boolean, subject: string): Finding[] {
  const out: Finding[] = [];
  if (j.kind === "engineered")
    out.push(
      finding("timber.engineered", {
        subject,
        message: "Engineered joists are cut only as their maker says; nothing is computed for them.",
        remedy: "Ask the maker of the joist for its hole chart.",
      }),
    );
  if (!atMost(j.depth, timberRules.mostDepth))
    out.push(
      finding("timber.depth", {
        subject,
        message: `The joist is ${mm(j.depth)} deep; the rules of thumb end at ${timberRules.mostDepth}.`,
        measured: j.depth,
        limit: timberRules.mostDepth,
        sense: "most",
        unit: "mm",
        remedy: "Ask a structural engineer.",
      }),
    );
  if (heavyLoad)
    out.push(
      finding("timber.depth", {
        subject,
        message: "The joist carries a heavy load; the rules of thumb do not hold.",
        remedy: "Ask a structural engineer.",
      }),
    );
  return out;
}

const extent = (c: Cut): Interval =>
  c.kind === "hole" ? [c.at - c.diameter / 2, c.at + c.diameter / 2] : [c.at - c.width / 2, c.at + c.width / 2];

/** Shortfall of an interval inside the nearer of two windows: how far from the nearest bearing it sits, and the limit broken. */
function windowFact(
  at: number,
  span: number,
  [near]: readonly [Interval, Interval],
): { measured: number; limit: number; sense: "least" | "most" } {
  const fromBearing = Math.min(at, span - at);
  return below(fromBearing, near[0])
    ? { measured: fromBearing, limit: near[0], sense: "least" }
    : { measured: fromBearing, limit: near[1], sense: "most" };
}

/**
 * Judges every cut in one joist, alone and against the others. Positions `at` are from the left bearing, mm, and mark the middle of the cut.
 * An engineered joist is refused: only `timber.engineered` comes back.
 */
export function checkJoist(j: Joist, cuts: readonly Cut[], s: JoistSettings, joistId = "joist"): Finding[] {
  const out = joistRefusals(j, s.heavyLoad ?? false, joistId);
  if (j.kind === "engineered") return out;
  const w = joistWindows(j, s.notchSchool, s.noggin, s.notchEdge);
  const tolerance = s.axisTolerance ?? timberRules.axisTolerance;
  for (const c of cuts) out.push(...(c.kind === "hole" ? checkHole(j, c, w, tolerance, s) : checkNotch(j, c, w)));
  for (let i = 0; i < cuts.length; i++)
    for (let k = i + 1; k < cuts.length; k++) out.push(...checkPair(cuts[i]!, cuts[k]!, j.span));
  return out;
}

function checkHole(
  j: Joist,
  c: Cut & { kind: "hole" },
  w: ReturnType<typeof joistWindows>,
  tolerance: number,
  s: JoistSettings,
): Finding[] {
  const out: Finding[] = [];
  if (!w.hole.zones.some((z) => within(c.at, z))) {
    const f = windowFact(c.at, j.span, w.hole.zones);
    out.push(
      finding("timber.hole.zone", {
        subject: c.id,
        message: `The hole is ${mm(f.measured)} from the nearer bearing; the window is ${mm(w.hole.zones[0][0])} to ${mm(w.hole.zones[0][1])}.`,
        ...f,
        unit: "mm",
        remedy: "Bore inside the window, measured from the bearing.",
      }),
    );
  }
  if (!atMost(c.diameter, w.hole.maxDiameter))
    out.push(
      finding("timber.hole.size", {
        subject: c.id,
        message: `Ø ${mm(c.diameter)} in a joist ${mm(j.depth)} deep; at most ${mm(w.hole.maxDiameter)}.`,
        measured: c.diameter,
        limit: w.hole.maxDiameter,
        sense: "most",
        unit: "mm",
        remedy: "Use a smaller bit or a second hole.",
      }),
    );
  const off = Math.abs(c.fromTop - j.depth / 2);
  if (!atMost(off, tolerance))
    out.push(
      finding("timber.hole.axis", {
        subject: c.id,
        message: `The centre is ${mm(off)} off the centre line; at most ${mm(tolerance)}.`,
        measured: off,
        limit: tolerance,
        sense: "most",
        unit: "mm",
        remedy: `Mark the centre ${mm(j.depth / 2)} from the top.`,
      }),
    );
  const edge = Math.min(c.fromTop - (s.noggin ?? 0), j.depth - c.fromTop) - c.diameter / 2;
  if (!atLeast(edge, timberRules.cableEdge) && !s.plated?.has(c.id))
    out.push(
      finding("timber.cable-edge", {
        subject: c.id,
        message: `The edge of the hole is ${mm(edge)} from the edge of the timber; a cable needs ${timberRules.cableEdge} or a steel plate.`,
        measured: edge,
        limit: timberRules.cableEdge,
        sense: "least",
        unit: "mm",
        remedy: "Fit a steel plate over the hole.",
      }),
    );
  return out;
}

function checkNotch(j: Joist, c: Cut & { kind: "notch" }, w: ReturnType<typeof joistWindows>): Finding[] {
  const out: Finding[] = [];
  const [a, b] = extent(c);
  if (!w.notch.zones.some((z) => within(a, z) && within(b, z))) {
    const edgeOut = !w.notch.zones.some((z) => within(a, z)) ? a : b;
    const f = windowFact(edgeOut, j.span, w.notch.zones);
    out.push(
      finding("timber.notch.zone", {
        subject: c.id,
        message: `The notch reaches ${mm(f.measured)} from the nearer bearing; it must stay between ${mm(w.notch.zones[0][0])} and ${mm(w.notch.zones[0][1])}.`,
        ...f,
        unit: "mm",
        remedy: "Move or narrow the notch.",
      }),
    );
  }
  if (!atMost(c.depth, w.notch.maxDepth))
    out.push(
      finding("timber.notch.depth", {
        subject: c.id,
        message: `The notch is ${mm(c.depth)} deep; at most ${mm(w.notch.maxDepth)}.`,
        measured: c.depth,
        limit: w.notch.maxDepth,
        sense: "most",
        unit: "mm",
        remedy: "Use a hole on the centre line instead.",
      }),
    );
  if (!w.notch.edges.includes(c.edge))
    out.push(
      finding("timber.notch.both-edges", {
        subject: c.id,
        message: `The notch is in the ${c.edge} edge; the school chosen allows the ${w.notch.edges.join(" or ")} edge.`,
        remedy: "Notch the top edge, or choose the other school for the job.",
      }),
    );
  return out;
}

function checkPair(p: Cut, q: Cut, span: number): Finding[] {
  const subject = `${p.id} ${q.id}`;
  if (p.kind === "hole" && q.kind === "hole") {
    const limit = timberRules.hole.spacing * Math.max(p.diameter, q.diameter);
    const measured = Math.abs(p.at - q.at);
    return atLeast(measured, limit)
      ? []
      : [
          finding("timber.hole.spacing", {
            subject,
            message: `The holes are ${mm(measured)} apart, centre to centre; at least ${mm(limit)}.`,
            measured,
            limit,
            sense: "least",
            unit: "mm",
            remedy: "Share one hole, or bore farther along.",
          }),
        ];
  }
  if (p.kind === "notch" && q.kind === "notch") {
    const sameEnd = p.at < span / 2 === q.at < span / 2;
    return p.edge !== q.edge && sameEnd
      ? [
          finding("timber.notch.both-edges", {
            subject,
            message: "There is a notch in the top edge and one in the bottom edge at the same end.",
            remedy: "Keep to one edge at each end.",
          }),
        ]
      : [];
  }
  const [a, b] = [extent(p), extent(q)];
  const measured = Math.max(a[0], b[0]) - Math.min(a[1], b[1]);
  return atLeast(measured, timberRules.apart)
    ? []
    : [
        finding("timber.apart", {
          subject,
          message: `Hole and notch are ${mm(Math.max(0, measured))} apart, edge to edge; at least ${timberRules.apart}.`,
          measured: Math.max(0, measured),
          limit: timberRules.apart,
          sense: "least",
          unit: "mm",
          remedy: "Move the hole along its window.",
        }),
      ];
}
