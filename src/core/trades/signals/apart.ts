import { axisOf } from "../../base/wall-frame";
import { below } from "../../base/tolerance";
import type { House } from "../../house/house";
import { sectionOfLeg } from "../../house/sections";
import { isMains } from "../../job/mains";
import type { PinnedLeg } from "../../job/model";
import type { Hole, Run } from "../../laid/laid";
import { isMetalClad, isSignalCable, overall } from "../../rules/cables";
import { cableOf } from "../../rules/catalogue";
import { type Fact, fact } from "../../rules/fact";
import { SIGNAL_APART, SIGNAL_BESIDE } from "../../rules/signals";

type LaidRun = Pick<Run, "id" | "circuit" | "cable" | "legs">;

/** Two legs side by side: how far apart edge to edge, and for how long, mm. */
interface Beside {
  gap: number;
  length: number;
}

/** How near two legs on one wall or deck come to each other where they run the same way; null where they cross. */
function beside(a: PinnedLeg, b: PinnedLeg, halves: number): Beside | null {
  let out: Beside | null = null;
  for (let i = 1; i < a.path.length; i++) {
    const p = a.path[i - 1]!;
    const q = a.path[i]!;
    const axis = axisOf(p, q);
    if (axis === null) continue;
    for (let k = 1; k < b.path.length; k++) {
      const r = b.path[k - 1]!;
      const s = b.path[k]!;
      if (axis !== axisOf(r, s)) continue;
      const length =
        Math.min(Math.max(p[axis], q[axis]), Math.max(r[axis], s[axis])) -
        Math.max(Math.min(p[axis], q[axis]), Math.min(r[axis], s[axis]));
      if (length < SIGNAL_BESIDE) continue;
      let across = 0;
      for (let n = 0; n < 3; n++) if (n !== axis) across += (p[n]! - r[n]!) ** 2;
      const gap = Math.sqrt(across) - halves;
      if (!out || gap < out.gap) out = { gap: Math.max(0, gap), length };
    }
  }
  return out;
}

/** A run with half its width, mm, and the section of containment that each of its legs lies in: looked up once, not for every pair of legs. */
interface Lying {
  circuit: string;
  half: number;
  legs: { leg: PinnedLeg; surface: PinnedLeg["surface"]; section: string | undefined }[];
}

function lyingOf(h: House, r: LaidRun): Lying {
  const legs: Lying["legs"] = [];
  for (const leg of r.legs)
    legs.push({ leg, surface: leg.surface, section: sectionOfLeg(h, leg, r.circuit)?.section.id });
  return { circuit: r.circuit, half: overall(cableOf(r.cable, h.catalogue)!) / 2, legs };
}

/**
 * Cables that carry no mains keep 50 mm from those that do, or are divided from them: where they run side by side, in a hole, in a section of
 * containment. Crossing is allowed; metal over the mains cable divides, and so does a section that only one of them lies in.
 * Source: BS 7671:2018+A2:2022 528.1; the distance is typical.
 */
export function apartFacts(h: House, runs: readonly LaidRun[], holes: readonly Hole[]): Fact[] {
  const kind = new Map(h.job.circuits.map((c) => [c.id, isMains(c)]));
  const signals = runs.filter((r) => kind.get(r.circuit) === false);
  if (!signals.length) return [];
  const mains = runs.filter(
    (r) =>
      kind.get(r.circuit) &&
      !isMetalClad(cableOf(r.cable, h.catalogue)) &&
      !isSignalCable(cableOf(r.cable, h.catalogue)),
  );
  const power = mains.map((m) => lyingOf(h, m));
  const withMains = new Set(mains.map((m) => m.id));
  const out: Fact[] = [];
  for (const s of signals) {
    // The nearest of each circuit is told, once.
    const worst = new Map<string, { near: Beside; leg: number }>();
    const shared = new Set<string>();
    const own = lyingOf(h, s);
    for (const m of power)
      for (let leg = 0; leg < own.legs.length; leg++) {
        const a = own.legs[leg]!;
        for (const b of m.legs) {
          if (a.section !== undefined && a.section === b.section) shared.add(a.section);
          if (a.section !== undefined || b.section !== undefined) continue;
          if (a.surface.id !== b.surface.id || a.surface.kind !== b.surface.kind) continue;
          const near = beside(a.leg, b.leg, own.half + m.half);
          if (near && below(near.gap, SIGNAL_APART) && near.gap < (worst.get(m.circuit)?.near.gap ?? Infinity))
            worst.set(m.circuit, { near, leg });
        }
      }
    for (const [circuit, { near, leg }] of worst)
      out.push(
        fact("signal.apart", "run", s.id, {
          where: { run: s.id, leg },
          measured: near.gap,
          limit: SIGNAL_APART,
          sense: "least",
          unit: "mm",
          of: { circuit, length: near.length },
        }),
      );
    for (const section of shared) out.push(fact("signal.apart", "run", s.id, { case: "section", of: { section } }));
    for (const o of holes)
      if (o.runs.includes(s.id) && o.runs.some((r) => withMains.has(r)))
        out.push(
          fact("signal.apart", "run", s.id, {
            case: "hole",
            where: {
              ...(o.in.deck === undefined ? {} : { deck: o.in.deck }),
              ...(o.in.joist === undefined ? {} : { joist: o.in.joist }),
              ...(o.in.wall === undefined ? {} : { wall: o.in.wall }),
              at: o.at,
            },
            of: { hole: o.id },
          }),
        );
  }
  return out;
}
