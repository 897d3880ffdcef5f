import type { SiteEntry } from "../job/site-entry";
import { inOrder, timeOf } from "./order";

/** A person on the job: the last line of theirs, and how many there are. */
export interface OnJob {
  by: string;
  last: SiteEntry;
  lines: number;
}

/** Who is on the job: everybody who wrote in the record since a moment, the latest first. */
export function onTheJob(entries: readonly SiteEntry[], since: number): OnJob[] {
  const out = new Map<string, OnJob>();
  for (const e of inOrder(entries.filter((x) => timeOf(x) >= since))) {
    const there = out.get(e.by);
    out.set(e.by, { by: e.by, last: e, lines: (there?.lines ?? 0) + 1 });
  }
  return [...out.values()].sort((a, b) => timeOf(b.last) - timeOf(a.last) || (a.by < b.by ? -1 : 1));
}

/** Lines of others that were not there when one looked last, oldest first: a late line of a phone without a signal is among them, whatever its time. */
export const sinceLooked = (entries: readonly SiteEntry[], seen: ReadonlySet<string>, me: string): SiteEntry[] =>
  inOrder(entries.filter((e) => !seen.has(e.id) && e.by !== me));
