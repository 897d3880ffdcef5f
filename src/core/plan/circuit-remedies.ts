import { layHouse } from "../house/house";
import type { Job, Section } from "../job/model";
import type { Plan } from "../laid/laid";
import { sectionFigures } from "./section-figures";
import type { HeldRun } from "../laid/held";
import { type Catalogue, cableOf } from "../rules/catalogue";
import type { Fact, Fix } from "../rules/fact";
import { printedDevices } from "../rules/ratings";
import { circuitLoad } from "../trades/circuits/load";
import { makePlan } from "./plan";
import { withFix } from "./tried-fixes";

/** Rules by which a circuit as laid may fail. */
const HOLDS: readonly string[] = ["circuit.ring", "circuit.capacity", "circuit.loop", "circuit.drop", "circuit.device"];
/** How many sizes and ratings are tried either way. */
const TRIES = 3;

/** A change that was tried: what it is, whether the circuit then holds and nothing else stops, and the metres of cable it takes more. */
export interface CircuitRemedy {
  kind: "cable" | "device" | "section";
  /** Id of the cable, the rating of the device, A, or the id of the section it is kept out of. */
  to: string | number;
  fix: Fix[];
  metres: number;
}
export interface CircuitRemedies {
  /** True when nothing is against the circuit as it is laid. */
  holds: boolean;
  /** The nearest change of each kind that makes it hold; none of a kind where none does. */
  found: CircuitRemedy[];
  tried: number;
}

/** What is against a circuit as it is laid. */
const against = (facts: readonly Fact[], circuit: string): number =>
  facts.filter(
    (f) => f.severity === "stop" && f.subject.kind === "circuit" && f.subject.id === circuit && HOLDS.includes(f.rule),
  ).length;

/**
 * Tries what would make a circuit hold as it is laid: a way of its own in place of a section it shares, the next thicker cables, and
 * the next smaller devices that still bear its load, each with the whole job laid anew. Only a change after which nothing is against the circuit, and no more stops stand than before, is
 * offered. Other ways and less crowding are what the planner has tried by itself.
 */
export function circuitRemedies(
  job: Job,
  catalogue: Catalogue,
  circuit: string,
  held: readonly HeldRun[] = [],
): CircuitRemedies {
  const c = job.circuits.find((x) => x.id === circuit);
  const options = { catalogue, held };
  const before = makePlan(job, options);
  if (!c || !against(before.facts, circuit)) return { holds: true, found: [], tried: 0 };
  const stops = (facts: readonly Fact[]): number => facts.filter((f) => f.severity === "stop").length;
  const metres = (p: { runs: readonly { circuit: string; cutLength: number }[] }): number =>
    p.runs.reduce((s, r) => s + (r.circuit === circuit ? r.cutLength : 0), 0) / 1000;
  const now = cableOf(c.cable, catalogue);
  const load = circuitLoad(job, c);
  const candidates: Omit<CircuitRemedy, "metres">[] = [
    ...sectionsWith(job, catalogue, before, circuit).map((s) => ({
      kind: "section" as const,
      to: s.id,
      fix: [{ collection: "sections" as const, id: s.id, set: { out: [...s.out, circuit] } }],
    })),
    ...catalogue.cables
      .filter((x) => now !== null && x.family === now.family && x.cores === now.cores && x.csa > now.csa)
      .sort((a, b) => a.csa - b.csa)
      .slice(0, TRIES)
      .map((x) => ({ kind: "cable" as const, to: x.id, fix: [set(circuit, { cable: x.id })] })),
    ...[...printedDevices]
      .filter((r) => r < c.device.rating && (load.from === "sockets" || r >= load.amps) && fits(c.kind, r))
      .sort((a, b) => b - a)
      .slice(0, TRIES)
      .map((r) => ({ kind: "device" as const, to: r, fix: [set(circuit, { device: { ...c.device, rating: r } })] })),
  ];
  const found: CircuitRemedy[] = [];
  let tried = 0;
  for (const x of candidates) {
    if (found.some((f) => f.kind === x.kind)) continue;
    const next = withFix(job, x.fix);
    if (!next) continue;
    tried++;
    const after = makePlan(next, options);
    if (against(after.facts, circuit) || stops(after.facts) > stops(before.facts)) continue;
    found.push({ ...x, metres: metres(after) - metres(before) });
  }
  return { holds: false, found, tried };
}

/** Sections that runs of a circuit lie in, those it carries least in first: it may be kept out of one and go its own way. */
function sectionsWith(job: Job, catalogue: Catalogue, plan: Plan, circuit: string): Section[] {
  return sectionFigures(layHouse(job, catalogue), plan)
    .flatMap((f) => {
      const own = f.circuits.find((c) => c.circuit === circuit);
      const section = job.sections.find((s) => s.id === f.laid.section.id);
      return own && section && !section.out.includes(circuit) ? [{ section, carries: own.carries }] : [];
    })
    .sort((a, b) => a.carries - b.carries)
    .map((x) => x.section);
}

const set = (id: string, to: Record<string, unknown>): Fix => ({ collection: "circuits", id, set: to });
/** A ring below 30 A would be judged like any radial: that is another circuit and no remedy. */
const fits = (kind: string, rating: number): boolean => kind !== "ring" || rating >= 30;
