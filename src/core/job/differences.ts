import { type Job } from "./model";
import { type Change, current, equal } from "./patch";

/** A field in which two of the same thing differ; null where it is not there. */
export interface Difference {
  field: string;
  theirs: string;
  mine: string;
}

type Where = Pick<Change, "collection" | "id">;

/** "point S4", "circuit R1", "the job's supply": a thing by the name that a person gave it, from the first of the jobs that has it. */
export function thingName(c: Where, ...jobs: readonly Job[]): string {
  if (c.collection === "head") return `the job's ${c.id}`;
  const one = { decks: "deck", storeys: "storey" }[c.collection as "decks"] ?? c.collection.replace(/s$/, "");
  const kind = one.replace(/[A-Z]/g, (x) => ` ${x.toLowerCase()}`);
  for (const job of jobs) {
    const x = current(job, c) as { label?: unknown; name?: unknown } | null;
    const name = [x?.label, x?.name].find((n) => typeof n === "string" && n !== "");
    if (name !== undefined) return `${kind} ${String(name)}`;
  }
  return `${kind} ${c.id}`;
}

const words = (v: unknown): string => {
  if (v === undefined || v === null) return "–";
  if (typeof v === "boolean") return v ? "yes" : "no";
  const text = typeof v === "object" ? JSON.stringify(v) : String(v);
  return text.length > 60 ? `${text.slice(0, 59)}…` : text;
};

/** The fields in which two of the same thing differ, those of a thing within it by their path. */
export function differences(theirs: unknown, mine: unknown, at = ""): Difference[] {
  if (equal(theirs, mine)) return [];
  const plain = (x: unknown): x is Record<string, unknown> => typeof x === "object" && x !== null && !Array.isArray(x);
  if (!plain(theirs) || !plain(mine)) {
    const gone = (x: unknown): string =>
      at === "" && (x === null || x === undefined) ? "deleted" : at === "" ? "kept" : words(x);
    return [{ field: at || "it", theirs: gone(theirs), mine: gone(mine) }];
  }
  return [...new Set([...Object.keys(theirs), ...Object.keys(mine)])]
    .sort()
    .flatMap((k) => differences(theirs[k], mine[k], at ? `${at}, ${k}` : k));
}
