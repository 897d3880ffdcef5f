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
  const out: Stretch[] = [];
  for (let i = 1; i < l.path.length; i++) {
    const [a, b] = [l.path[i - 1]!, l.path[i]!];
    const axis = axisOf(a, b);
    if (axis === null) continue;
    out.push({ circuit, axis, from: Math.min(a[axis], b[axis]), to: Math.max(a[axis], b[axis]), at: a });
  }
  return out;
}

const oneStrip = (a: Stretch, b: Stretch): boolean =>
  a.axis === b.axis && aligned(a, b, 0) && aligned(a, b, 1) && aligned(a, b, 2);

const aligned = (a: Stretch, b: Stretch, n: 0 | 1 | 2): boolean =>
  n === a.axis || Math.abs(a.at[n] - b.at[n]) <= ONE_STRIP;

/** What lies with what among some runs. */
export interface Lying {
  /** Of a leg of one of them, with the holes of its run; worked out once for each. */
  together(l: PinnedLeg, own: readonly Hole[], circuit: string): Together;
  readonly warm: ReadonlySet<string>;
}

/**
 * Counts the loaded circuits that lie with a leg: all in its section or on its way outside; those in its fullest hole in a joist; in a
 * stud wall those that go on with it from one stud to the next, since in a single plate they only meet; and against a wall or along a
 * joist those that lie beside it for a metre or more, in a single layer. Of two ways to lie together the warmer counts.
 */
export const lyingTogether = (h: House, runs: readonly LyingRun[]): Lying => new RunsTogether(h, runs);

type LyingRun = Pick<RatedRun, "id" | "circuit" | "legs">;

class RunsTogether implements Lying {
  readonly warm: ReadonlySet<string>;
  private readonly circuitOf = new Map<string, string>();
  private readonly sections: ReturnType<typeof circuitsInSections>;
  /** By wall or deck: the stretches that lie against it. */
  private readonly stretches = new Map<string, Stretch[]>();
  private readonly known = new Map<PinnedLeg, Together>();

  constructor(
    private readonly h: House,
    private readonly runs: readonly LyingRun[],
  ) {
    this.warm = warmCircuits(h);
    this.sections = circuitsInSections(h, runs, this.warm);
    for (const r of runs) {
      this.circuitOf.set(r.id, r.circuit);
      if (this.warm.has(r.circuit)) for (const l of r.legs) this.addStretches(l, r.circuit);
    }
  }

  private addStretches(l: PinnedLeg, circuit: string): void {
    if (!liesAgainst(l) || sectionOfLeg(this.h, l, circuit)) return;
    const there = this.stretches.get(strip(l));
    if (there) there.push(...stretchesOf(l, circuit));
    else this.stretches.set(strip(l), stretchesOf(l, circuit));
  }

  together(l: PinnedLeg, own: readonly Hole[], circuit: string): Together {
    let out = this.known.get(l);
    if (!out) this.known.set(l, (out = this.counted(l, own, circuit)));
    return out;
  }

  private beside(l: PinnedLeg, circuit: string): number {
    if (!liesAgainst(l)) return 1;
    const own = stretchesOf(l, circuit);
    const met = new Map<string, number>();
    for (const x of this.stretches.get(strip(l)) ?? []) {
      if (x.circuit === circuit) continue;
      for (const s of own) {
        if (!oneStrip(s, x)) continue;
        const both = Math.min(s.to, x.to) - Math.max(s.from, x.from);
        if (both > 0) met.set(x.circuit, (met.get(x.circuit) ?? 0) + both);
      }
    }
    let count = 1;
    for (const long of met.values()) if (long >= BESIDE_FROM) count++;
    return count;
  }

  private others(o: Hole, circuit: string): string[] {
    const out: string[] = [];
    for (const r of o.runs) {
      const c = this.circuitOf.get(r)!;
      if (c !== circuit && this.warm.has(c) && !out.includes(c)) out.push(c);
    }
    return out;
  }

  private inStuds(l: PinnedLeg, own: readonly Hole[], circuit: string): number {
    const from = l.path[0]!;
    const passed = own
      .filter((o) => o.in.wall === l.surface.id)
      .map((o) => ({ far: distance(from, o.centre), others: this.others(o, circuit) }))
      .sort((a, b) => a.far - b.far);
    return passed.reduce((most, o, i) => {
      const next = passed[i + 1]?.others ?? [];
      return Math.max(most, 1 + o.others.filter((x) => next.includes(x)).length);
    }, 1);
  }

  private counted(l: PinnedLeg, own: readonly Hole[], circuit: string): Together {
    const section = sectionOfLeg(this.h, l, circuit);
    if (section) {
      const { circuits, there } = this.sections.get(section.section.id)!;
      return { circuits: new Set([...circuits, circuit]).size + there };
    }
    if (l.surface.kind === "outside") {
      const here = new Set([circuit]);
      for (const r of this.runs)
        if (this.warm.has(r.circuit) && r.legs.some((x) => x.surface.id === l.surface.id)) here.add(r.circuit);
      return { circuits: here.size };
    }
    if (l.method === "through-joists") {
      let most = 1;
      for (const o of own) if (o.in.deck === l.surface.id) most = Math.max(most, this.others(o, circuit).length + 1);
      return { circuits: most, how: "bunched" };
    }
    const side: Together = { circuits: this.beside(l, circuit), how: "wall" };
    if (l.method !== "stud-void") return side;
    const bundle: Together = { circuits: this.inStuds(l, own, circuit), how: "bunched" };
    return groupingFactor(bundle.circuits, "bunched") < groupingFactor(side.circuits, "wall") ? bundle : side;
  }
}
