import type { House } from "../house/house";
import { relayHouse } from "../house/relay";
import type { Job } from "../job/model";
import { type Fact, type Fix, factKey } from "../rules/fact";
import { circuitFacts } from "../trades/circuits/circuit-facts";
import { servingFacts } from "../trades/kitchen/room-kitchen";
import { pointFacts } from "./point-facts";

/** Things whose fixes change only what is laid: they are tried when they are pressed, by laying the job. */
const LATER: ReadonlySet<string> = new Set(["pins", "sections"]);

/** A point's coordinates belong to its place. */
const PLACE_FIELDS = new Set(["u", "v", "x", "y"]);

/** The job with a fix made, or null where what it changes is no longer there. */
export function withFix(job: Job, fix: readonly Fix[]): Job | null {
  let out = job;
  for (const f of fix) {
    const list = out[f.collection] as { id: string }[];
    const thing = list.find((x) => x.id === f.id);
    if (!thing) return null;
    const rest = list.filter((x) => x.id !== f.id);
    if (f.remove) {
      out = { ...out, [f.collection]: rest };
      continue;
    }
    out = { ...out, [f.collection]: [...rest, fixed(thing, f)].sort((a, b) => (a.id < b.id ? -1 : 1)) };
  }
  return out;
}

/** A thing with the fields of a fix set. */
export function fixed<T extends { id: string }>(thing: T, f: Fix): T {
  const set = Object.entries(f.set ?? {});
  const own = Object.fromEntries(set.filter(([k]) => !PLACE_FIELDS.has(k)));
  const placed = set.filter(([k]) => PLACE_FIELDS.has(k));
  if (!placed.length) return { ...thing, ...own };
  const { place } = thing as unknown as { place: object };
  return { ...thing, ...own, place: { ...place, ...Object.fromEntries(placed) } };
}

/** What can be judged of a house without laying a cable: its points, what serves its rooms, and its circuits. */
interface Standing {
  points: Fact[];
  serving: Fact[];
  circuits: Fact[];
}
export const standingFacts = (h: House): Standing => ({
  points: pointFacts(h),
  serving: servingFacts(h),
  circuits: circuitFacts(h.job, h.catalogue),
});
const allOf = ({ points, serving, circuits }: Standing): Fact[] => [...points, ...serving, ...circuits];
const stops = (facts: readonly Fact[]): number => facts.filter((f) => f.severity === "stop").length;

/**
 * Keeps of the fixes those that hold: the job after one has no more stops than before, and the fact itself is gone. Two rules that
 * would send a point back and forth between them offer nothing. Fixes that let go of a pin are tried when they are pressed, by
 * laying the job.
 * @param standing what is judged of the house as it is, where that is known already
 */
export function withTriedFixes(h: House, facts: readonly Fact[], standing: Standing = standingFacts(h)): Fact[] {
  const tried = facts.some((f) => f.fix?.some((x) => !LATER.has(x.collection)));
  if (!tried) return [...facts];
  const before = stops(allOf(standing));
  return facts.map((f) => {
    if (!f.fix || f.fix.every((x) => LATER.has(x.collection))) return f;
    const job = withFix(h.job, f.fix);
    if (job) {
      const after = allOf(standingFacts(relayHouse(h, job)));
      const key = factKey(f);
      if (stops(after) <= before && !after.some((x) => factKey(x) === key)) return f;
    }
    const { fix: _, ...rest } = f;
    return rest;
  });
}
