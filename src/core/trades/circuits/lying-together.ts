import { mainsOf } from "../../job/mains";
import { type XYZ, axisOf, distance } from "../../base/wall-frame";
import type { House } from "../../house/house";
import { sectionOfLeg, sectionsOf } from "../../house/sections";
import type { PinnedLeg } from "../../job/model";
import type { Hole } from "../../laid/laid";
import { BESIDE_FROM, type groupings, groupingFactor } from "../../rules/ratings";
import { cablesThere } from "../containment/section-fill";
import type { RatedRun } from "./old-part";

/** Devices from which a circuit warms its neighbours, A: lighting and the like is loaded too lightly to count. */
const WARMS = 16;
/** Conductors from which a cable found in a section counts as a loaded circuit, mm². */
const LOADED = 2.5;
/** Cables whose lines are no further apart lie in one chase or under one row of clips, mm. */
const ONE_STRIP = 40;

/** How many circuits lie together on a leg, itself among them, and how; `how` is left out where a place of its own says it. */
export interface Together {
  circuits: number;
  how?: (typeof groupings)[number];
}

/** A straight stretch of a cable that lies with one side against a wall or a joist. */
interface Stretch {
  circuit: string;
  axis: 0 | 1 | 2;
  from: number;
  to: number;
  at: XYZ;
}

/** Circuits loaded enough to warm what lies beside them. */
export const warmCircuits = (h: House): ReadonlySet<string> =>
  new Set(
    mainsOf(h.job)
      .filter((c) => c.device.rating >= WARMS)
      .map((c) => c.id),
  );

/** By section: the loaded circuits that lie in it, and how many loaded cables were there before. */
function circuitsInSections(
  h: House,
  runs: readonly Pick<RatedRun, "id" | "circuit" | "legs">[],
  warm: ReadonlySet<string>,
): Map<string, { circuits: Set<string>; there: number }> {
  const out = new Map<string, { circuits: Set<string>; there: number }>();
  for (const s of sectionsOf(h)) {
    const loaded = cablesThere(s, h.catalogue).filter((c) => c.csa >= LOADED);
    out.set(s.section.id, { circuits: new Set(), there: loaded.length });
  }
  if (!out.size) return out;
  for (const r of runs)
    if (warm.has(r.circuit))
      for (const l of r.legs) {
        const s = sectionOfLeg(h, l, r.circuit);
        if (s) out.get(s.section.id)!.circuits.add(r.circuit);
      }
  return out;
}

/** Legs that lie with one side against a wall or along a joist, where cables come to lie side by side. */
const liesAgainst = (l: PinnedLeg): boolean =>
  l.surface.kind === "wall" || (l.surface.kind === "deck" && l.method === "along-joist");

const strip = (l: PinnedLeg): string => `${l.surface.kind} ${l.surface.id}`;

/** The straight stretches of a leg along an axis of the house; what slopes lies with nobody. */
function stretchesOf(l: PinnedLeg, circuit: string): Stretch[] {
  return l.path.slice(1).flatMap((b, i): Stretch[] => {
    const a = l.path[i]!;
    const axis = axisOf(a, b);
    if (axis === null) return [];
    return [{ circuit, axis, from: Math.min(a[axis], b[axis]), to: Math.max(a[axis], b[axis]), at: a }];
  });
}

const oneStrip = (a: Stretch, b: Stretch): boolean =>
  a.axis === b.axis && ([0, 1, 2] as const).every((n) => n === a.axis || Math.abs(a.at[n] - b.at[n]) <= ONE_STRIP);

/** What lies with what among some runs. */
export interface Lying {
  /** Of a leg of one of them, with the holes of its run; worked out once for each. */
  together: (l: PinnedLeg, own: readonly Hole[], circuit: string) => Together;
  warm: ReadonlySet<string>;
}

/**
 * Counts the loaded circuits that lie with a leg: all in its section or on its way outside; those in its fullest hole in a joist; in a
 * stud wall those that go on with it from one stud to the next, since in a single plate they only meet; and against a wall or along a
 * joist those that lie beside it for a metre or more, in a single layer. Of two ways to lie together the warmer counts.
 */
export function lyingTogether(h: House, runs: readonly Pick<RatedRun, "id" | "circuit" | "legs">[]): Lying {
  const circuitOf = new Map(runs.map((r) => [r.id, r.circuit]));
  const warm = warmCircuits(h);
  const sections = circuitsInSections(h, runs, warm);
  const stretches = new Map<string, Stretch[]>();
  for (const r of runs)
    if (warm.has(r.circuit))
      for (const l of r.legs)
        if (liesAgainst(l) && !sectionOfLeg(h, l, r.circuit))
          stretches.set(strip(l), [...(stretches.get(strip(l)) ?? []), ...stretchesOf(l, r.circuit)]);
  const beside = (l: PinnedLeg, circuit: string): number => {
    if (!liesAgainst(l)) return 1;
    const own = stretchesOf(l, circuit);
    const met = new Map<string, number>();
    for (const x of stretches.get(strip(l)) ?? [])
      if (x.circuit !== circuit)
        for (const s of own)
          if (oneStrip(s, x)) {
            const both = Math.min(s.to, x.to) - Math.max(s.from, x.from);
            if (both > 0) met.set(x.circuit, (met.get(x.circuit) ?? 0) + both);
          }
    return 1 + [...met.values()].filter((long) => long >= BESIDE_FROM).length;
  };
  const others = (o: Hole, circuit: string): string[] =>
    [...new Set(o.runs.map((x) => circuitOf.get(x)!))].filter((x) => x !== circuit && warm.has(x));
  const inStuds = (l: PinnedLeg, own: readonly Hole[], circuit: string): number => {
    const from = l.path[0]!;
    const passed = own
      .filter((o) => o.in.wall === l.surface.id)
      .map((o) => ({ far: distance(from, o.centre), others: others(o, circuit) }))
      .sort((a, b) => a.far - b.far);
    return passed.reduce((most, o, i) => {
      const next = passed[i + 1]?.others ?? [];
      return Math.max(most, 1 + o.others.filter((x) => next.includes(x)).length);
    }, 1);
  };
  const counted = (l: PinnedLeg, own: readonly Hole[], circuit: string): Together => {
    const section = sectionOfLeg(h, l, circuit);
    if (section) {
      const { circuits, there } = sections.get(section.section.id)!;
      return { circuits: new Set([...circuits, circuit]).size + there };
    }
    if (l.surface.kind === "outside") {
      const here = runs.filter((r) => warm.has(r.circuit) && r.legs.some((x) => x.surface.id === l.surface.id));
      return { circuits: new Set([...here.map((r) => r.circuit), circuit]).size };
    }
    if (l.method === "through-joists") {
      const inJoist = own.map((o) => (o.in.deck === l.surface.id ? others(o, circuit).length + 1 : 1));
      return { circuits: Math.max(1, ...inJoist), how: "bunched" };
    }
    const side: Together = { circuits: beside(l, circuit), how: "wall" };
    if (l.method !== "stud-void") return side;
    const bundle: Together = { circuits: inStuds(l, own, circuit), how: "bunched" };
    return groupingFactor(bundle.circuits, "bunched") < groupingFactor(side.circuits, "wall") ? bundle : side;
  };
  const known = new Map<PinnedLeg, Together>();
  const together = (l: PinnedLeg, own: readonly Hole[], circuit: string): Together => {
    let out = known.get(l);
    if (!out) known.set(l, (out = counted(l, own, circuit)));
    return out;
  };
  return { together, warm };
}
