import type { Job } from "../job/model";
import type { SiteEntry } from "../job/site-entry";
import { type HeldRun, holdOf } from "../laid/held";
import type { Plan } from "../laid/laid";
import { heldRuns } from "./held";
import { lastSeen } from "./order";
import type { Part } from "./parts";
import { keysOf, stepOf } from "./tasks";

/** A line without its id, name and time. */
export type Line = Omit<SiteEntry, "id" | "by" | "at">;

/** Whether a part is told by the step of its run alone. */
const byStep = (p: Part): boolean => p.kind === "draw-in" || p.kind === "test";

/**
 * Lines that say a part is done. The first line about a run holds it as it is in hand; the last part of a step ticks the step.
 * @param done ids of the parts done before
 */
export function linesOfDone(
  part: Part,
  all: readonly Part[],
  done: ReadonlySet<string>,
  plan: Plan,
  job: Pick<Job, "points">,
  entries: readonly SiteEntry[],
): Line[] {
  const held = new Set(heldRuns(entries).map((r) => r.key));
  const hold = (run: string): { held?: HeldRun } => {
    const r = plan.runs.find((x) => x.id === run);
    if (!r || held.has(run)) return {};
    held.add(run);
    return { held: holdOf(r, plan.holes, job.points) };
  };
  const step = stepOf[part.kind];
  const tick = (run: string): Line => {
    const after = lastSeen(entries, run, step ?? null);
    return { run, kind: "done", step: step ?? null, text: "", ...(after === undefined ? {} : { after }), ...hold(run) };
  };
  if (byStep(part)) return part.runs.map(tick);
  const now = new Set([...done, part.id]);
  const own = keysOf(part);
  const isRun = own === part.runs;
  return own.flatMap((key): Line[] => {
    const mark: Line = {
      run: key,
      kind: "mark",
      step: step ?? null,
      text: "",
      mark: part.id,
      ...(isRun ? hold(key) : {}),
    };
    const rest = step ? all.filter((p) => p.kind === part.kind && p.runs.includes(key) && !now.has(p.id)) : null;
    return rest?.length === 0 ? [mark, tick(key)] : [mark];
  });
}

/** Lines that take a part back: its marks, and the steps that it was part of. */
export function linesOfUndone(part: Part, entries: readonly SiteEntry[]): Line[] {
  const step = stepOf[part.kind] ?? null;
  return keysOf(part).flatMap((run): Line[] => {
    const after = step ? lastSeen(entries, run, step) : undefined;
    const undone: Line = { run, kind: "undone", step, text: "", ...(after === undefined ? {} : { after }) };
    if (byStep(part)) return [undone];
    const marked: Line = { run, kind: "unmark", step, text: "", mark: part.id };
    return step ? [marked, undone] : [marked];
  });
}

/** A line that a part cannot be done, or that it can again. */
export const lineOfCannot = (part: Part, why: string | null): Line => ({
  run: keysOf(part)[0]!,
  kind: why === null ? "can" : "cannot",
  step: stepOf[part.kind] ?? null,
  text: why ?? "",
  mark: part.id,
});
