import type { Circuit, Job } from "../job/model";
import { type Finding, finding } from "../rules/findings";

/** What the cables found in the house say of a circuit. */
export interface FoundShape {
  circuit: string;
  /** `open`: an end is not yet traced, so that nothing can be said. */
  shape: "ring" | "radial" | "open" | "none";
  /** Points with one cable in and none out. */
  lastPoints: string[];
  /** Points with an end not traced. */
  loose: string[];
  words: string;
}

/**
 * Deduces from the cables found whether an existing circuit is a ring or a radial: one cable in and none out at the last point
 * makes a radial; two at every point, back to the board, makes a ring. Source: survey practice, field guide.
 */
export function foundShape(job: Job, c: Circuit): FoundShape {
  const board = job.points.find((p) => p.kind === "board")?.id ?? null;
  const mine = new Set([...c.points, ...c.spurs.map((s) => s.point)]);
  const cables = job.foundCables.filter((f) => mine.has(f.from) || (f.to !== null && mine.has(f.to)));
  const label = (id: string): string => job.points.find((p) => p.id === id)?.label ?? id;
  const out = (
    shape: FoundShape["shape"],
    words: string,
    lastPoints: string[] = [],
    loose: string[] = [],
  ): FoundShape => ({ circuit: c.id, shape, words, lastPoints, loose });
  if (!cables.length) return out("none", "No cable of it found yet.");
  const loose = [...new Set(cables.filter((f) => f.to === null).map((f) => f.from))];
  const degree = new Map<string, number>();
  for (const f of cables) for (const id of [f.from, f.to]) if (id !== null) degree.set(id, (degree.get(id) ?? 0) + 1);
  if (loose.length)
    return out(
      "open",
      `An end at ${loose.map(label).join(", ")} is not traced: no saying yet whether it is a ring.`,
      [],
      loose,
    );
  const last = [...mine].filter((id) => degree.get(id) === 1).sort();
  const unmet = [...mine].filter((id) => !degree.has(id) && job.points.find((p) => p.id === id)?.existing);
  if (unmet.length) return out("open", `No cable found at ${unmet.map(label).join(", ")} yet.`, last, unmet);
  if (last.length) return out("radial", `One cable in and none out at ${last.map(label).join(", ")}: a radial.`, last);
  const atBoard = board === null ? 0 : (degree.get(board) ?? 0);
  return atBoard >= 2
    ? out("ring", "Two cables at every point and two at the board: a ring.")
    : out("open", "Two cables at every point, but not two at the board: trace the way back to it.");
}

/** Cautions about what was found: colours that prove nothing, and a circuit that is not what it is taken for. */
export function foundFindings(job: Job): Finding[] {
  const out: Finding[] = [];
  const label = (id: string): string => job.points.find((p) => p.id === id)?.label ?? id;
  for (const f of job.foundCables) {
    if (f.fate === "take-out") continue;
    if (f.colours === "old")
      out.push(
        finding("found.colours", {
          subject: f.from,
          message: `Old colours at ${label(f.from)}: the sheath and colours say nothing of its size or make-up.`,
          remedy: "Measure it, test it, and label old and new colours at the board.",
        }),
      );
    if (f.colours === "unknown" && f.to !== null && !f.cable)
      out.push(
        finding("found.unknown", {
          subject: f.from,
          message: `What lies between ${label(f.from)} and ${label(f.to)} has not been made out.`,
          remedy: "Isolate, prove dead, and look before anything is joined to it.",
        }),
      );
  }
  for (const c of job.circuits) {
    if (c.state === "new") continue;
    const s = foundShape(job, c);
    if (c.kind === "ring" && s.shape === "radial")
      out.push(
        finding("found.shape", {
          subject: c.id,
          message: `${c.label} is down as a ring. ${s.words}`,
          remedy: "Treat it as a radial: device at most 20 A on 2.5 mm² and no spurs on its spurs.",
        }),
      );
    if (s.shape === "open")
      out.push(
        finding("found.shape-open", {
          subject: c.id,
          message: `${c.label}: ${s.words}`,
          remedy: "Trace the ends, dead and proved dead, before it is extended.",
        }),
      );
  }
  return out;
}

/** Old cables that come out and lie between the two ends of a new run: each may draw the new one in. */
export function drawFindings(job: Job, runs: readonly { id: string; from: string; to: string }[]): Finding[] {
  const label = (id: string): string => job.points.find((p) => p.id === id)?.label ?? id;
  return job.foundCables.flatMap((f) => {
    if (f.fate !== "take-out" || f.to === null) return [];
    const run = runs.find((r) => (r.from === f.from && r.to === f.to) || (r.from === f.to && r.to === f.from));
    return run
      ? [
          finding("retrofit.draw", {
            subject: run.id,
            message: `The old cable between ${label(f.from)} and ${label(f.to)} comes out: fold the new one in two on its end and draw it in.`,
            remedy: "Isolate and prove dead first; try by hand that the old one moves.",
          }),
        ]
      : [];
  });
}
