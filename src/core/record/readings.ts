import type { Reading, SiteEntry } from "../job/site-entry";
import { timeOf } from "./order";

/** A reading as it stands in the record, with who took it. */
export interface Taken extends Reading {
  by: string;
  at: string;
}

/** The last reading of its name that was taken on any of the runs; null where none was. Lines are never taken back: a new one stands. */
export function lastReading(entries: readonly SiteEntry[], runs: ReadonlySet<string>, what: string): Taken | null {
  let last: SiteEntry | null = null;
  for (const e of entries)
    if (e.reading?.what === what && runs.has(e.run) && (!last || timeOf(e) >= timeOf(last))) last = e;
  return last?.reading ? { ...last.reading, by: last.by, at: last.at } : null;
}

/** A line that guided work writes: about a run, at the point where its cable ends where that is known. */
export type StepLine = Omit<SiteEntry, "id" | "by" | "at" | "step">;

/** The end that guided work is done at. */
export interface StepEnd {
  run: string;
  /** The point; null where only the run is known. */
  at: string | null;
  entries: readonly SiteEntry[];
}

const markOf = ({ at }: Pick<StepEnd, "at">): string | undefined => (at === null ? undefined : `end:${at}`);
/** Lines of earlier editions name no end: they are of either. */
const isHere = (e: SiteEntry, end: StepEnd): boolean =>
  e.run === end.run && (end.at === null || e.mark === undefined || e.mark === markOf(end));

/** Readings of a name taken at an end. */
export const readingsHere = (end: StepEnd, what: string): SiteEntry[] =>
  end.entries.filter((e) => e.reading?.what === what && isHere(e, end));

/** Whether a reading was taken at an end, or a reason given why not: only then is its card done. */
export const isRead = (end: StepEnd, what: string): boolean =>
  readingsHere(end, what).length > 0 ||
  end.entries.some((e) => e.kind === "note" && e.text.startsWith(`${what}: not read, `) && isHere(e, end));

/** The line that says why something is not read. */
export function lineOfNotRead(end: StepEnd, what: string, why: string): StepLine {
  const mark = markOf(end);
  return { run: end.run, kind: "note", text: `${what}: not read, ${why.toLowerCase()}`, ...(mark ? { mark } : {}) };
}
