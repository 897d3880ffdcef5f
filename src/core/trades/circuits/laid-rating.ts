import { mainsOf } from "../../job/mains";
import type { House } from "../../house/house";
import { type Fact, fact } from "../../rules/fact";
import { externalLoop } from "./check-circuit";
import type { LaidCircuit, RatedRun } from "./laid-circuit";

/** What is judged of a circuit as laid; volt drop only where its current is known. */
const JUDGED: readonly string[] = ["circuit.ring", "circuit.capacity", "circuit.loop", "circuit.drop", "circuit.area"];
/** Findings on the supply that are the same for all circuits: told once, of the circuit where they weigh most. */
const ONCE: readonly (string | undefined)[] = ["rcd-relied", "electrode"];

/**
 * What every new circuit carries as it is laid: capacity, fault loop and drop, about the circuit; and once for the job what was taken
 * for its supply where that is not known.
 * @param all the circuits as the runs lay them
 */
export function ratingsOf(h: House, runs: readonly Pick<RatedRun, "circuit">[], all: readonly LaidCircuit[]): Fact[] {
  const once = new Map<string, Fact>();
  const out = all.flatMap(({ circuit, input, result, legs }): Fact[] =>
    result.facts.flatMap((f): Fact[] => {
      if (f.severity === "note" || !JUDGED.includes(f.rule)) return [];
      if (f.rule === "circuit.drop" && !(input.designCurrent > 0)) return [];
      if (ONCE.includes(f.case)) {
        const before = once.get(f.case!);
        if (!before || f.measured! / f.limit! > before.measured! / before.limit!)
          once.set(f.case!, { ...f, subject: { kind: "circuit", id: circuit.id }, of: { ...f.of, laid: 1 } });
        return [];
      }
      const { run, leg } = legs[result.worstLeg]!;
      return [
        {
          ...f,
          subject: { kind: "circuit" as const, id: circuit.id },
          ...(f.case === undefined ? { case: "laid" } : { of: { ...f.of, laid: 1 } }),
          ...(f.where ? { where: { run, leg } } : {}),
        },
      ];
    }),
  );
  const judged = new Set(all.map((x) => x.circuit.id));
  for (const c of mainsOf(h.job))
    if (c.state !== "keep" && !judged.has(c.id) && runs.some((r) => r.circuit === c.id))
      out.push(fact("circuit.capacity", "circuit", c.id, { case: "not-judged", severity: "warn" }));
  const { ze, earthing } = h.job.supply;
  if (all.length && ze === null)
    out.push(
      fact("circuit.loop", "job", h.job.id, {
        case: "ze-taken",
        severity: "note",
        of: { ze: externalLoop(h.job.supply), earthing: earthing ?? "unknown" },
      }),
    );
  return [...out, ...once.values()];
}
