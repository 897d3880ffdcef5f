import { wiredTo } from "../../job/wired";
import { boardOfCircuit } from "../../job/boards";
import type { Circuit, Job } from "../../job/model";
import { type Fact, fact } from "../../rules/fact";

/** What the cables found in the house say of a circuit. */
export interface FoundShape {
  circuit: string;
  /** `open`: an end is not yet traced, so that nothing can be said. */
  shape: "ring" | "radial" | "open" | "none";
  /** Points with one cable in and none out. */
  lastPoints: string[];
  /** Points with an end not traced. */
  loose: string[];
  /** What it is told by: no cable found, an end not traced, a point without a cable, the last point, or the way back to the board. */
  why: "no-cable" | "loose" | "no-cable-at" | "last" | "whole" | "board";
}

/**
 * Deduces from the cables found whether an existing circuit is a ring or a radial: one cable in and none out at the last point
 * makes a radial; two at every point, back to the board, makes a ring. Source: survey practice, field guide.
 */
export function foundShape(job: Job, c: Circuit): FoundShape {
  const board = boardOfCircuit(job, c)?.id ?? null;
  const mine = new Set(wiredTo(c));
  const cables = job.foundCables.filter((f) => mine.has(f.from) || (f.to !== null && mine.has(f.to)));
  const out = (
    shape: FoundShape["shape"],
    why: FoundShape["why"],
    lastPoints: string[] = [],
    loose: string[] = [],
  ): FoundShape => ({ circuit: c.id, shape, why, lastPoints, loose });
  if (!cables.length) return out("none", "no-cable");
  const loose = [...new Set(cables.filter((f) => f.to === null).map((f) => f.from))];
  const degree = new Map<string, number>();
  for (const f of cables) for (const id of [f.from, f.to]) if (id !== null) degree.set(id, (degree.get(id) ?? 0) + 1);
  if (loose.length) return out("open", "loose", [], loose);
  const last = [...mine].filter((id) => degree.get(id) === 1).sort();
  const unmet = [...mine].filter((id) => !degree.has(id) && job.points.find((p) => p.id === id)?.existing);
  if (unmet.length) return out("open", "no-cable-at", last, unmet);
  if (last.length) return out("radial", "last", last);
  const atBoard = board === null ? 0 : (degree.get(board) ?? 0);
  return atBoard >= 2 ? out("ring", "whole") : out("open", "board");
}

/** Cautions about what was found: colours that prove nothing, and a circuit that is not what it is taken for. */
export function foundFacts(job: Job): Fact[] {
  const out: Fact[] = [];
  for (const f of job.foundCables) {
    if (f.fate === "take-out") continue;
    if (f.colours === "old") out.push(fact("found.colours", "point", f.from));
    if (f.colours === "unknown" && f.to !== null && !f.cable)
      out.push(fact("found.unknown", "point", f.from, { of: { to: f.to } }));
  }
  for (const c of job.circuits) {
    if (c.state === "new") continue;
    const s = foundShape(job, c);
    if (c.kind === "ring" && s.shape === "radial")
      out.push(fact("found.shape", "circuit", c.id, { of: { last: s.lastPoints } }));
    if (s.shape === "open")
      out.push(fact("found.shape-open", "circuit", c.id, { case: s.why, of: { points: s.loose } }));
  }
  return out;
}

/** Old cables that come out and lie between the two ends of a new run: each may draw the new one in. */
export function drawFacts(job: Job, runs: readonly { id: string; from: string; to: string }[]): Fact[] {
  return job.foundCables.flatMap((f) => {
    if (f.fate !== "take-out" || f.to === null) return [];
    const run = runs.find((r) => (r.from === f.from && r.to === f.to) || (r.from === f.to && r.to === f.from));
    return run ? [fact("retrofit.draw", "run", run.id, { of: { from: f.from, to: f.to } })] : [];
  });
}
