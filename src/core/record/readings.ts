import type { Reading, SiteEntry } from "../job/site-entry";

/** A reading as it stands in the record, with who took it. */
export interface Taken extends Reading {
  by: string;
  at: string;
}

/** The last reading of its name that was taken on any of the runs; null where none was. Lines are never taken back: a new one stands. */
export function lastReading(entries: readonly SiteEntry[], runs: ReadonlySet<string>, what: string): Taken | null {
  let last: SiteEntry | null = null;
  for (const e of entries)
    if (e.reading?.what === what && runs.has(e.run) && (!last || Date.parse(e.at) >= Date.parse(last.at))) last = e;
  return last?.reading ? { ...last.reading, by: last.by, at: last.at } : null;
}
