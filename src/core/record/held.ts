import type { SiteEntry } from "../job/site-entry";
import { type HeldRun, heldRunSchema } from "../laid/held";
import { stateOf } from "./entries";
import { inOrder } from "./order";
import { steps } from "../job/site-entry";

/** What of a run is done, kept up line by line, oldest first: its steps, and the holes, chases or clips of it. */
function hands(): { take: (e: SiteEntry) => void; any: () => boolean } {
  const there = new Set<string>();
  return {
    take: (e) => {
      if (e.kind === "mark" && e.mark !== undefined) there.add(`mark ${e.mark}`);
      else if (e.kind === "unmark" && e.mark !== undefined) there.delete(`mark ${e.mark}`);
      else if (e.kind === "done" && e.step) there.add(e.step);
      else if (e.kind === "undone" && e.step) there.delete(e.step);
    },
    any: () => there.size > 0,
  };
}

/**
 * The runs that are held: every run with a step or a part of one done and not taken back, as it was in hand when it was first ticked
 * since the last time nothing of it was done, or as it was built elsewhere since. Lines that carry no run as done, or one that cannot
 * be read, hold nothing. In order of their keys.
 */
export function heldRuns(entries: readonly SiteEntry[]): HeldRun[] {
  const byRun = new Map<string, SiteEntry[]>();
  for (const e of entries) {
    const list = byRun.get(e.run);
    if (list) list.push(e);
    else byRun.set(e.run, [e]);
  }
  const out: HeldRun[] = [];
  for (const [run, mine] of byRun) {
    if (!mine.some((e) => e.held !== undefined)) continue;
    const held = firstHeld(inOrder(mine), run);
    if (held) out.push(held);
  }
  return out.sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : 0));
}

/** What was in hand at the first tick that still counts, or what was built since; null where nothing is done. */
function firstHeld(inTime: readonly SiteEntry[], run: string): HeldRun | null {
  let held: HeldRun | null = null;
  const done = hands();
  for (const e of inTime) {
    done.take(e);
    // Where nothing of the run is done any more it is let go, and held anew by the next tick.
    if (!done.any()) held = null;
    else if (e.held !== undefined && (held === null || e.kind === "built")) {
      const read = heldRunSchema.safeParse(e.held);
      if (read.success && read.data.key === run) held = read.data;
    }
  }
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
