import { type SiteEntry, type Step, steps } from "../job/site-entry";
import { inOrder } from "./order";

export interface StepState {
  done: boolean;
  by: string | null;
  at: string | null;
}

/** Where a run stands: for each step the last word said about it. */
export function stateOf(entries: readonly SiteEntry[], run: string): Record<Step, StepState> {
  const out = Object.fromEntries(steps.map((s) => [s, { done: false, by: null, at: null }])) as Record<Step, StepState>;
  for (const e of inOrder(entries.filter((x) => x.run === run && x.step !== null))) {
    if (e.step === null) continue;
    if (e.kind === "done") out[e.step] = { done: true, by: e.by, at: e.at };
    if (e.kind === "undone") out[e.step] = { done: false, by: null, at: null };
  }
  return out;
}

/** The first step of the run not yet done, or null when all are. */
export const nextStep = (state: Record<Step, StepState>, needed: readonly Step[] = steps): Step | null =>
  needed.find((s) => !state[s].done) ?? null;

/** Share of all steps of the given runs that are done, 0 to 1; 0 when there are no runs. */
export function progress(
  entries: readonly SiteEntry[],
  runs: readonly { id: string; steps: readonly Step[] }[],
): { done: number; of: number } {
  let done = 0;
  let of = 0;
  for (const r of runs) {
    const s = stateOf(entries, r.id);
    of += r.steps.length;
    done += r.steps.filter((x) => s[x].done).length;
  }
  return { done, of };
}
