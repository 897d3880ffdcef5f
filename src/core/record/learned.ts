import type { TaskKind } from "../rules/times";
import type { SiteEntry } from "../job/site-entry";
import { inOrder, timeOf } from "./order";
import type { Part } from "./parts";

/** Stretches of a kind of work that must be known before anything is learned from them. */
export const STRETCHES = 3;
/** A stretch is believed when it took from so many minutes to so many: a phone out of a pocket late, or a day's break, says nothing. */
const BELIEVED = [2, 240] as const;
/** What is learned stays within these shares of the usual time. */
const WITHIN = [0.25, 4] as const;

/** The part that a line says is done; null for any other line. */
export function partOfLine(e: SiteEntry, parts: ReadonlyMap<string, Part>): Part | null {
  if (e.kind === "mark" && e.mark !== undefined) return parts.get(e.mark) ?? null;
  if (e.kind !== "done") return null;
  if (e.step === "drawn-in") return parts.get(`draw-in:${e.run}`) ?? null;
  if (e.step === "tested") return parts.get(`test:${e.run}`) ?? null;
  return null;
}

/**
 * How long kinds of work take here against the usual time: the middle of all stretches of it that one person did one after another
 * on a day, timed from what they ticked before. Kinds with fewer than `STRETCHES` are left out. A share: 1.2 is a fifth longer.
 */
export function learnedTimes(parts: readonly Part[], entries: readonly SiteEntry[]): Partial<Record<TaskKind, number>> {
  const byId = new Map(parts.map((p) => [p.id, p]));
  const shares = new Map<TaskKind, number[]>();
  const byPerson = new Map<string, { at: number; part: Part }[]>();
  const counted = new Set<string>();
  for (const e of inOrder(entries)) {
    const part = partOfLine(e, byId);
    // A hole of two runs is ticked by two lines and drilled once.
    if (!part || counted.has(part.id)) continue;
    counted.add(part.id);
    byPerson.set(e.by, [...(byPerson.get(e.by) ?? []), { at: timeOf(e) / 60_000, part }]);
  }
  for (const list of byPerson.values()) {
    let from: number | null = null;
    for (let i = 0; i < list.length;) {
      const { kind } = list[i]!.part;
      let j = i;
      while (j + 1 < list.length && list[j + 1]!.part.kind === kind) j++;
      // Without a tick before it the first of a stretch has no beginning: it is timed from its own tick, and not counted.
      const start = from ?? list[i]!.at;
      const counts = list.slice(from === null ? i + 1 : i, j + 1);
      const usual = counts.reduce((sum, x) => sum + x.part.usual, 0);
      const took = list[j]!.at - start;
      if (usual > 0 && took >= BELIEVED[0] && took <= BELIEVED[1])
        shares.set(kind, [...(shares.get(kind) ?? []), took / usual]);
      from = list[j]!.at;
      i = j + 1;
    }
  }
  const out: Partial<Record<TaskKind, number>> = {};
  for (const [kind, list] of shares) {
    if (list.length < STRETCHES) continue;
    const sorted = [...list].sort((a, b) => a - b);
    const middle = (sorted[(sorted.length - 1) >> 1]! + sorted[sorted.length >> 1]!) / 2;
    out[kind] = Math.min(WITHIN[1], Math.max(WITHIN[0], middle));
  }
  return out;
}
