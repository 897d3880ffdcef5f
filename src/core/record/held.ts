import type { SiteEntry } from "../job/site-entry";
import { type HeldRun, heldRunSchema } from "../laid/held";
import { stateOf } from "./entries";
import { inOrder } from "./order";
import { steps } from "../job/site-entry";

/**
 * The runs that are held: every run with a step done and not taken back, as it was in hand when it was first ticked since the last
 * time nothing of it was done. Lines that carry no run as done, or one that cannot be read, hold nothing. In order of their keys.
 */
export function heldRuns(entries: readonly SiteEntry[]): HeldRun[] {
  const byRun = new Map<string, SiteEntry[]>();
  for (const e of entries) byRun.set(e.run, [...(byRun.get(e.run) ?? []), e]);
  const out: HeldRun[] = [];
  for (const [run, mine] of byRun) {
    const state = stateOf(mine, run);
    if (!steps.some((s) => state[s].done)) continue;
    const held = firstHeld(mine, run);
    if (held) out.push(held);
  }
  return out.sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : 0));
}

/** What was in hand at the first tick that still counts. */
function firstHeld(mine: readonly SiteEntry[], run: string): HeldRun | null {
  const inTime = inOrder(mine);
  let held: HeldRun | null = null;
  inTime.forEach((e, i) => {
    // Where nothing of the run is done any more it is let go, and held anew by the next tick.
    const state = stateOf(inTime.slice(0, i + 1), run);
    if (!steps.some((s) => state[s].done)) held = null;
    else if (held === null && e.held !== undefined) {
      const read = heldRunSchema.safeParse(e.held);
      if (read.success && read.data.key === run) held = read.data;
    }
  });
  return held;
}

/** Runs with a step done that nothing is held of: ticks of the first edition. */
export const doneButNotHeld = (entries: readonly SiteEntry[]): string[] => {
  const held = new Set(heldRuns(entries).map((r) => r.key));
  return [...new Set(entries.map((e) => e.run))].filter((run) => {
    const state = stateOf(entries, run);
    return steps.some((s) => state[s].done) && !held.has(run);
  });
};
