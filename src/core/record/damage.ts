import type { SiteEntry } from "../job/site-entry";
import { inOrder } from "./order";

/** A nick in a run, as it was told, and its repair; `along` mm from the run's start, null where nobody measured. */
export interface Damage {
  id: string;
  run: string;
  along: number | null;
  text: string;
  by: string;
  at: string;
  /** Null while it is open. */
  repair: { text: string; by: string; at: string } | null;
}

/** All damage in the record, oldest first. A repair names the damage it puts right; the first that does is it. */
export function damagesOf(entries: readonly SiteEntry[]): Damage[] {
  const lines = inOrder(entries);
  return lines
    .filter((e) => e.kind === "damage")
    .map((e) => {
      const repair = lines.find((r) => r.kind === "repaired" && r.after === e.id);
      return {
        id: e.id,
        run: e.run,
        along: e.along ?? null,
        text: e.text,
        by: e.by,
        at: e.at,
        repair: repair ? { text: repair.text, by: repair.by, at: repair.at } : null,
      };
    });
}
