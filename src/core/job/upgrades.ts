import { keyOfOldId, pinId, runKey } from "./run-key";

/**
 * Upgrades of job files, one step for each version: plain data in, plain data out, before the model looks at it. What does not look
 * as that version wrote it is left as it is, for the model to refuse with its field. Steps are only ever added.
 */
type Data = Record<string, unknown>;

const isData = (x: unknown): x is Data => typeof x === "object" && x !== null && !Array.isArray(x);
const listOf = (x: unknown): Data[] => (Array.isArray(x) ? x.filter(isData) : []);

/** Version that files are written in now. */
export const VERSION = 2;

/** Pins of the first edition had ids by chance, and two could hold one run; now each run has one, by its key. The later word holds. */
export function onePinAKey<P extends { id: string; circuit: string; from: string; to: string; number?: number }>(
  pins: readonly P[],
): P[] {
  const byKey = new Map<string, P>();
  for (const p of pins) {
    const key = runKey(p, p.number ?? 1);
    const there = byKey.get(key);
    // A leg that was moved by hand wrote its pin under an id made from the run; that came after "Pin this run".
    if (there && byHand(there.id) && !byHand(p.id)) continue;
    byKey.set(key, p);
  }
  return [...byKey.values()].map((p) => ({ ...p, id: pinId(p, p.number ?? 1) }));
}
/** Ids that the first edition made from a run's ends: a sum and a length. */
const byHand = (id: string): boolean => /^pin-[0-9a-z]{1,7}-[0-9a-z]{1,2}$/.test(id);

const steps: Readonly<Record<number, (file: Data) => Data>> = {
  1: (file) => {
    const job = isData(file.job) ? file.job : null;
    if (!job) return { ...file, version: 2 };
    const points = new Set(listOf(job.points).flatMap((p) => (typeof p.id === "string" ? [p.id] : [])));
    const whole = listOf(job.pins).every(
      (p) => typeof p.id === "string" && [p.circuit, p.from, p.to].every((x) => typeof x === "string"),
    );
    const pins = whole && Array.isArray(job.pins) ? onePinAKey(job.pins as Parameters<typeof onePinAKey>[0]) : job.pins;
    const siteBook = Array.isArray(file.siteBook)
      ? file.siteBook.map((e: unknown) =>
          isData(e) && typeof e.run === "string" ? { ...e, run: keyOfOldId(e.run, points) ?? e.run } : e,
        )
      : file.siteBook;
    return {
      ...file,
      version: 2,
      job: { ...job, ...(pins === undefined ? {} : { pins }) },
      ...(siteBook === undefined ? {} : { siteBook }),
    };
  },
};

/** Brings a file of any version so far up to the newest; null when its version is none of them. */
export function upgraded(file: Data): Data | null {
  let out = file;
  const { version } = file;
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1 || version > VERSION) return null;
  for (let v = version; v < VERSION; v++) out = steps[v]!(out);
  return out;
}
