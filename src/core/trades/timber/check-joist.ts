import { type Interval, within } from "../../base/interval";
import { atLeast, atMost, below } from "../../base/tolerance";
import { type Fact, fact } from "../../rules/fact";
import type { Schools } from "../../rules/schools";
import type { Cut, Joist } from "../../house/joist";
import { timberRules } from "../../rules/timber";
import { joistWindows } from "./joist";

export interface JoistSettings {
  notchSchool: Schools["notch"];
  notchEdge?: Schools["notchEdge"];
  heavyLoad?: boolean;
  /** How far a hole's centre may lie off the axis, mm. */
  axisTolerance?: number;
  noggin?: number;
  /** What noggins fixed later take off the top and the bottom edge where a hole is, mm. */
  takenOff?: (c: Cut & { kind: "hole" }) => { top: number; bottom: number };
  /** Cuts covered by a steel plate, so that the 50 mm to the edge is not needed. */
  plated?: ReadonlySet<string>;
}

/** Findings that concern the joist itself, before any cut: engineered, too deep, heavily loaded. */
export function joistRefusals(j: Joist, heavyLoad: boolean, subject: string): Fact[] {
  const out: Fact[] = [];
  if (j.kind === "engineered") out.push(fact("timber.engineered", "joist", subject));
  if (!atMost(j.depth, timberRules.mostDepth))
    out.push(
      fact("timber.depth", "joist", subject, {
        measured: j.depth,
        limit: timberRules.mostDepth,
        sense: "most",
        unit: "mm",
      }),
    );
  if (heavyLoad) out.push(fact("timber.depth", "joist", subject, { case: "heavy" }));
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
export function checkJoist(j: Joist, cuts: readonly Cut[], s: JoistSettings, joistId = "joist"): Fact[] {
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
): Fact[] {
  const out: Fact[] = [];
  if (!w.hole.zones.some((z) => within(c.at, z))) {
    const f = windowFact(c.at, j.span, w.hole.zones);
    out.push(
      fact("timber.hole.zone", "cut", c.id, {
        ...f,
        unit: "mm",
        of: { from: w.hole.zones[0][0], to: w.hole.zones[0][1] },
      }),
    );
  }
  if (!atMost(c.diameter, w.hole.maxDiameter))
    out.push(
      fact("timber.hole.size", "cut", c.id, {
        measured: c.diameter,
        limit: w.hole.maxDiameter,
        sense: "most",
        unit: "mm",
        of: { depth: j.depth },
      }),
    );
  const off = Math.abs(c.fromTop - j.depth / 2);
  if (!atMost(off, tolerance))
    out.push(
      fact("timber.hole.axis", "cut", c.id, {
        measured: off,
        limit: tolerance,
        sense: "most",
        unit: "mm",
        of: { centre: j.depth / 2 },
      }),
    );
  const taken = s.takenOff?.(c) ?? { top: 0, bottom: 0 };
  const edge = Math.min(c.fromTop - (s.noggin ?? 0) - taken.top, j.depth - c.fromTop - taken.bottom) - c.diameter / 2;
  // A plate keeps nails off, but nothing helps where the noggin comes to sit on the cables.
  const covered = Math.max(taken.top, taken.bottom) > 0 && !atLeast(edge, 0);
  if (covered || (!atLeast(edge, timberRules.cableEdge) && !s.plated?.has(c.id)))
    out.push(
      fact("timber.cable-edge", "cut", c.id, {
        ...(covered ? { case: "covered" } : {}),
        measured: edge,
        limit: timberRules.cableEdge,
        sense: "least",
        unit: "mm",
      }),
    );
  return out;
}

function checkNotch(j: Joist, c: Cut & { kind: "notch" }, w: ReturnType<typeof joistWindows>): Fact[] {
  const out: Fact[] = [];
  const [a, b] = extent(c);
  if (!w.notch.zones.some((z) => within(a, z) && within(b, z))) {
    const edgeOut = !w.notch.zones.some((z) => within(a, z)) ? a : b;
    const f = windowFact(edgeOut, j.span, w.notch.zones);
    out.push(
      fact("timber.notch.zone", "cut", c.id, {
        ...f,
        unit: "mm",
        of: { from: w.notch.zones[0][0], to: w.notch.zones[0][1] },
      }),
    );
  }
  if (!atMost(c.depth, w.notch.maxDepth))
    out.push(
      fact("timber.notch.depth", "cut", c.id, {
        measured: c.depth,
        limit: w.notch.maxDepth,
        sense: "most",
        unit: "mm",
      }),
    );
  if (!w.notch.edges.includes(c.edge))
    out.push(
      fact("timber.notch.both-edges", "cut", c.id, { case: "edge", of: { edge: c.edge, allowed: w.notch.edges } }),
    );
  return out;
}

function checkPair(p: Cut, q: Cut, span: number): Fact[] {
  if (p.kind === "hole" && q.kind === "hole") {
    const limit = timberRules.hole.spacing * Math.max(p.diameter, q.diameter);
    const measured = Math.abs(p.at - q.at);
    return atLeast(measured, limit)
      ? []
      : [
          fact("timber.hole.spacing", "cut", p.id, {
            measured,
            limit,
            sense: "least",
            unit: "mm",
            of: { other: q.id },
          }),
        ];
  }
  if (p.kind === "notch" && q.kind === "notch") {
    const sameEnd = p.at < span / 2 === q.at < span / 2;
    return p.edge !== q.edge && sameEnd
      ? [fact("timber.notch.both-edges", "cut", p.id, { case: "pair", of: { other: q.id } })]
      : [];
  }
  const [a, b] = [extent(p), extent(q)];
  const measured = Math.max(a[0], b[0]) - Math.min(a[1], b[1]);
  return atLeast(measured, timberRules.apart)
    ? []
    : [
        fact("timber.apart", "cut", p.id, {
          measured: Math.max(0, measured),
          limit: timberRules.apart,
          sense: "least",
          unit: "mm",
          of: { other: q.id },
        }),
      ];
}
