import { atLeast } from "../../base/tolerance";
import type { House } from "../../house/house";
import { type LaidOutside, layOutside, levelAt, outsideOf, passing } from "../../house/outside";
import type { Run } from "../../laid/laid";
import { isMetalClad } from "../../rules/cables";
import { cableOf } from "../../rules/catalogue";
import { type Fact, fact } from "../../rules/fact";
import { massOf } from "../../rules/masses";
import { type Span, heightAt, lowestOf, weightOf } from "../../rules/sag";
import { buried } from "./buried";
import { type Beneath, overheadHeights } from "./overhead";

/** Clear of other services in the ground, mm. Source: trade habit, *typical*; their owners say how near one may go. */
export const SERVICE_CLEAR = 300;

type LaidIn = Pick<Run, "id" | "circuit" | "cable" | "legs">;

/** Runs that lie in a way. */
export const runsIn = <R extends LaidIn>(way: string, runs: readonly R[]): R[] =>
  runs.filter((r) => r.legs.some((l) => l.surface.kind === "outside" && l.surface.id === way));

/** A span as it hangs with the cables that lie on it: their mass where it is in the table, else as the wire was made for. */
export function loadedSpans(h: House, w: LaidOutside, runs: readonly LaidIn[]): LaidOutside["spans"] {
  const masses = runs.flatMap((r) => {
    const cable = cableOf(r.cable, h.catalogue);
    return cable ? [massOf(cable)] : [];
  });
  if (!masses.length || masses.some((m) => m === null)) return w.spans;
  const weight = weightOf(...(masses as number[]), w.way.wire);
  return w.spans.map((s) => ({ ...s, weight }));
}

/** Where a span comes nearest to what it must clear: how high over the ground, what passes there, and how high it must be. */
export interface Clearance {
  /** mm along the whole way. */
  at: number;
  height: number;
  least: number;
  beneath: Beneath;
  /** Name of the ground there. */
  name: string;
  tree: boolean;
}

/** By stretch of ground under a catenary: the lowest place over it. */
export function clearances(w: LaidOutside, spans: readonly (Span & { at: number })[] = w.spans): Clearance[] {
  return w.ground.flatMap((g) => {
    const over = spans.flatMap((s) => {
      const [from, to] = [Math.max(g.from, s.at) - s.at, Math.min(g.to, s.at + s.length) - s.at];
      if (to - from <= 0) return [];
      const low = lowestOf(s, from, to);
      return [{ at: s.at + low.at, height: low.height - g.level }];
    });
    if (!over.length) return [];
    const lowest = over.reduce((a, b) => (b.height < a.height ? b : a));
    const beneath = passing(g.kind);
    return [{ ...lowest, beneath, least: overheadHeights[beneath], name: g.name, tree: g.tree }];
  });
}

/** The cable's depth in a trench so far along, mm below the ground there. */
export function depthAt(w: LaidOutside, at: number): number {
  const s = w.trench.find((x) => at >= x.from && at <= x.to) ?? w.trench[w.trench.length - 1]!;
  const t = s.to > s.from ? (at - s.from) / (s.to - s.from) : 0;
  return s.depthFrom + (s.depthTo - s.depthFrom) * t;
}

/** Where the cable of a trench lies least deep. */
export function shallowest(w: LaidOutside): { at: number; depth: number } {
  return w.trench
    .flatMap((s) => [
      { at: s.from, depth: s.depthFrom },
      { at: s.to, depth: s.depthTo },
    ])
    .reduce((a, b) => (b.depth < a.depth - 1e-6 ? b : a));
}

function trenchFacts(h: House, w: LaidOutside, runs: readonly LaidIn[]): Fact[] {
  const { way } = w;
  const on = { kind: "outside" as const, id: way.id };
  const least = shallowest(w);
  const out = buried({ depth: least.depth, armoured: true, duct: false, bedding: way.bed, marker: way.marker }).map(
    (f): Fact => ({
      ...f,
      subject: on,
      ...(f.rule === "buried.depth" ? { where: { at: least.at } } : {}),
      of: { ...f.of, label: way.label },
    }),
  );
  for (const r of runs) {
    const cable = cableOf(r.cable, h.catalogue);
    if (cable && !isMetalClad(cable) && w.trench.some((s) => s.duct === null))
      out.push(fact("buried.protection", "run", r.id, { of: { label: way.label } }));
  }
  const told = (rule: "buried.duct" | "buried.roots", s: LaidOutside["trench"][number]): void =>
    void out.push(
      fact(rule, "outside", way.id, {
        where: { at: s.from },
        of: { label: way.label, to: s.to, name: s.name, kind: s.kind ?? "" },
      }),
    );
  for (const s of w.trench) {
    if (s.duct === null && (s.kind === "drive" || s.kind === "road" || s.kind === "caravans")) told("buried.duct", s);
    if (s.tree) told("buried.roots", s);
  }
  for (const x of way.services) {
    if (x.at > w.length) continue;
    const apart = Math.abs(x.depth - depthAt(w, x.at));
    if (!atLeast(apart, SERVICE_CLEAR))
      out.push(
        fact("buried.service", "outside", way.id, {
          where: { at: x.at },
          measured: apart,
          limit: SERVICE_CLEAR,
          sense: "least",
          unit: "mm",
          of: { label: way.label, service: x.kind },
        }),
      );
  }
  return out;
}

function catenaryFacts(h: House, w: LaidOutside, runs: readonly LaidIn[]): Fact[] {
  const { way } = w;
  const out: Fact[] = [];
  const all = clearances(w, loadedSpans(h, w, runs));
  for (const c of all) {
    const of = { label: way.label, beneath: c.beneath, name: c.name };
    if (!atLeast(c.height, c.least))
      out.push(
        fact("overhead.height", "outside", way.id, {
          where: { at: c.at },
          measured: c.height,
          limit: c.least,
          sense: "least",
          unit: "mm",
          of,
        }),
      );
    if (c.tree) out.push(fact("overhead.tree", "outside", way.id, { where: { at: c.at }, of }));
  }
  return out;
}

/** Who earths an outbuilding, by the supply of the house. Source: BS 7671:2018+A2:2022 411.4, 411.5, 544.1. */
function earthFacts(h: House): Fact[] {
  return h.job.circuits.flatMap((c): Fact[] => {
    if (c.kind !== "outbuilding" || c.state === "keep") return [];
    const { earthing } = h.job.supply;
    const told = (of: string, severity: Fact["severity"]): Fact[] => [
      fact("outside.earth", "circuit", c.id, { case: of, severity }),
    ];
    if (c.farEarth === null) return told("unsaid", "warn");
    if (c.farEarth === "electrode")
      return told(c.rcd === null ? "electrode-no-rcd" : "electrode", c.rcd === null ? "warn" : "note");
    if (earthing === null) return told("supply-unknown", "warn");
    return told(earthing === "TN-C-S" ? "combined" : earthing === "TT" ? "house-electrode" : "separate", "note");
  });
}

/** What is wrong with the ways out of doors and what lies in them, and what is to be minded. */
export function outsideFacts(h: House, runs: readonly LaidIn[]): Fact[] {
  const out: Fact[] = [];
  for (const way of h.job.outsideWays)
    if (!layOutside(h, way)) out.push(fact("outside.gone", "outside", way.id, { of: { label: way.label } }));
  for (const w of outsideOf(h)) {
    const mine = runsIn(w.way.id, runs);
    out.push(...(w.way.kind === "trench" ? trenchFacts(h, w, mine) : catenaryFacts(h, w, mine)));
    if (!mine.length) out.push(fact("outside.unused", "outside", w.way.id, { of: { label: w.way.label } }));
  }
  return [...out, ...earthFacts(h)];
}

/** Height of the cable over the ground so far along a catenary, mm. */
export function heightOver(w: LaidOutside, at: number, spans: LaidOutside["spans"] = w.spans): number {
  const s = spans.find((x) => at >= x.at && at <= x.at + x.length) ?? spans[spans.length - 1]!;
  return heightAt(s, at - s.at) - levelAt(w.ground, at);
}
