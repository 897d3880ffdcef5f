import type { SiteEntry } from "../job/site-entry";
import { inOrder } from "./order";

/** Name of a mark at a run or place, for a set. */
export const markName = (run: string, mark: string): string => `${run}\u0000${mark}`;

/** Name of a ring's test end to end. */
export const ringPart = (circuit: string): string => `ring:circuit:${circuit}`;

/** What was done at places and not taken back, by `markName`, each with the line that said so last. */
export function marksOf(entries: readonly SiteEntry[]): Map<string, SiteEntry> {
  const out = new Map<string, SiteEntry>();
  for (const e of inOrder(entries.filter((x) => x.mark !== undefined && (x.kind === "mark" || x.kind === "unmark")))) {
    const name = markName(e.run, e.mark!);
    if (e.kind === "mark") out.set(name, e);
    else out.delete(name);
  }
  return out;
}

/**
 * What cannot be done for now, by what it is about: `markName` of a place, or of a run and its step. A later word that it can, or that
 * it was done, lets it go.
 */
export function cannotsOf(entries: readonly SiteEntry[]): Map<string, SiteEntry> {
  const out = new Map<string, SiteEntry>();
  const about = new Set(entries.flatMap((e) => (e.kind === "cannot" ? [e.run] : [])));
  if (!about.size) return out;
  for (const e of inOrder(entries.filter((x) => about.has(x.run)))) {
    const name = markName(e.run, e.mark ?? e.step ?? "");
    if (e.kind === "cannot") out.set(name, e);
    else if (e.kind === "can" || e.kind === "mark") out.delete(name);
    else if (e.kind === "done" && e.step) {
      out.delete(name);
      for (const [k, c] of out) if (c.run === e.run && c.step === e.step) out.delete(k);
    }
  }
  return out;
}
