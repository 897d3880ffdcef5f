import { isSignalCable } from "../rules/cables";
import { cableOf } from "../rules/catalogue";
import type { House } from "../house/house";
import { pointLabels } from "../job/labels";
import { type SiteEntry, readingWords } from "../job/site-entry";
import type { Plan } from "../laid/laid";
import { expectedOfCircuit, expectedOnTails } from "../plan/expected-readings";
import { stateOf } from "../record/entries";
import { lastReading } from "../record/readings";
import { ringReadingNames } from "../trades/dead-tests/ring-read";
import { runReadingNames } from "../trades/dead-tests/run-read";

/**
 * A conductor that is read: what it should read, Ω, or null where nothing is expected; and the last reading in words, empty where
 * there is none.
 */
export interface TestCell {
  expect: number | null;
  read: string;
}

/** A run on the test sheet. */
export interface RunTest {
  name: string;
  lineEarth: TestCell;
  lineNeutral: TestCell;
  insulation: string;
  /** "Pat, 2026-11-26" where it is ticked as tested. */
  testedBy: string;
}

/** A ring on the test sheet, end to end. */
export interface RingTest {
  name: string;
  r1: TestCell;
  rn: TestCell;
  r2: TestCell;
}

/** What every run and ring should read, and what it read. */
export function testLines(
  h: House,
  plan: Plan,
  siteBook: readonly SiteEntry[],
): { runs: RunTest[]; rings: RingTest[] } {
  const label = pointLabels(h.job);
  const circuit = (id: string): string => h.job.circuits.find((c) => c.id === id)?.label ?? "";
  const last = (key: string, what: string): string => {
    const taken = lastReading(siteBook, new Set([key]), what);
    return taken ? readingWords({ ...taken, what: "" }).trim() : "";
  };
  return {
    runs: plan.runs
      .filter((r) => !isSignalCable(cableOf(r.cable, h.catalogue)))
      .map((r): RunTest => {
        const e = expectedOnTails(h, plan, r);
        const { tested } = stateOf(siteBook, r.id);
        return {
          name: `${circuit(r.circuit)} ${label(r.from)}–${label(r.to)}`,
          lineEarth: { expect: e?.lineEarth ?? null, read: last(r.id, runReadingNames.lineEarth) },
          lineNeutral: { expect: e?.lineNeutral ?? null, read: last(r.id, runReadingNames.lineNeutral) },
          insulation: last(r.id, runReadingNames.insulation),
          testedBy: tested.done ? `${tested.by}, ${tested.at?.slice(0, 10)}` : "",
        };
      }),
    rings: h.job.circuits.flatMap((c): RingTest[] => {
      const ring = expectedOfCircuit(h, plan, c.id)?.ring;
      if (!ring) return [];
      const cell = (k: "r1" | "rn" | "r2"): TestCell => ({
        expect: ring[k],
        read: last(`circuit:${c.id}`, ringReadingNames[k]),
      });
      return [{ name: `${c.label} ${c.name}`, r1: cell("r1"), rn: cell("rn"), r2: cell("r2") }];
    }),
  };
}
