import type { Job } from "../job/model";
import type { SiteEntry } from "../job/site-entry";
import type { Plan } from "../laid/laid";
import { type Days, byDate } from "./day";
import { cutsToCome, drumsOf, runsToCut } from "./drums";

/** A cable that the work to the end of a day needs more of than there is, mm, with the runs that go short. */
export interface Short {
  cable: string;
  short: number;
  runs: string[];
}

/**
 * What is short for the work of a date and all before it, said before it comes: runs drawn in by then, in the order they are drawn in,
 * against the drums and offcuts as they are.
 */
export function shortBy(
  date: string,
  days: Pick<Days, "tasks" | "schedule" | "date">,
  job: Pick<Job, "drums">,
  plan: Plan,
  entries: readonly SiteEntry[],
): Short[] {
  const until = byDate(days)
    .filter((d) => d.date <= date)
    .flatMap((d) => d.slots.map((s) => s.task));
  const placed = new Set(until);
  const needed = new Set(
    days.tasks
      .filter((t) => t.kind === "draw-in" && placed.has(t.id))
      .flatMap((t) =>
        t.parts.filter((x) => x.state.kind === "ready" || x.state.kind === "waits").flatMap((x) => x.part.runs),
      ),
  );
  const runs = runsToCut(plan, entries).filter((r) => needed.has(r.id));
  return cutsToCome(runs, drumsOf(job, entries))
    .filter((c) => c.short > 0)
    .map((c) => ({ cable: c.cable, short: c.short, runs: c.unmet.map((p) => p.run) }));
}

/** The first date with work after one, and what is short by its end; null where nothing is short. */
export function shortNext(
  today: string,
  days: Pick<Days, "tasks" | "schedule" | "date">,
  job: Pick<Job, "drums">,
  plan: Plan,
  entries: readonly SiteEntry[],
): { date: string; short: Short[] } | null {
  const next = byDate(days).find((d) => d.date > today)?.date ?? today;
  const short = shortBy(next, days, job, plan, entries);
  return short.length ? { date: next, short } : null;
}
