import type { SiteEntry } from "../job/site-entry";
import { type HeldRun, heldRunSchema } from "../laid/held";
import { stateOf } from "./entries";
import { inOrder } from "./order";
import { steps } from "../job/site-entry";

/** Whether anything of a run is done by these lines of it, oldest first: a step, or a hole, chase or clips of it. */
function inHand(mine: readonly SiteEntry[]): boolean {
  const there = new Set<string>();
  for (const e of mine) {
    if (e.kind === "mark" && e.mark !== undefined) there.add(`mark ${e.mark}`);
    else if (e.kind === "unmark" && e.mark !== undefined) there.delete(`mark ${e.mark}`);
    else if (e.kind === "done" && e.step) there.add(e.step);
    else if (e.kind === "undone" && e.step) there.delete(e.step);
  }
  return there.size > 0;
}

/**
 * The runs that are held: every run with a step or a part of one done and not taken back, as it was in hand when it was first ticked
 * since the last time nothing of it was done, or as it was built elsewhere since. Lines that carry no run as done, or one that cannot
 * be read, hold nothing. In order of their keys.
 */
export function heldRuns(entries: readonly SiteEntry[]): HeldRun[] {
  const byRun = new Map<string, SiteEntry[]>();
  for (const e of entries) byRun.set(e.run, [...(byRun.get(e.run) ?? []), e]);
  const out: HeldRun[] = [];
  for (const [run, mine] of byRun) {
    const inTime = inOrder(mine);
    if (!inHand(inTime)) continue;
    const held = firstHeld(inTime, run);
    if (held) out.push(held);
  }
  return out.sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : 0));
}

/** What was in hand at the first tick that still counts, or what was built since. */
function firstHeld(inTime: readonly SiteEntry[], run: string): HeldRun | null {
  let held: HeldRun | null = null;
  inTime.forEach((e, i) => {
    // Where nothing of the run is done any more it is let go, and held anew by the next tick.
    if (!inHand(inTime.slice(0, i + 1))) held = null;
    else if (e.held !== undefined && (held === null || e.kind === "built")) {
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
