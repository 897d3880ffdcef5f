import type { Job } from "../job/model";
import type { SiteEntry, Step } from "../job/site-entry";
import { holdOf } from "../laid/held";
import type { Plan } from "../laid/laid";
import { heldRuns } from "./held";
import { stateOf } from "./entries";
import { markName, marksOf, ringPart } from "./marks";
import { lastSeen } from "./order";
import type { Part } from "./parts";
import { keysOf, stepOf } from "./tasks";

/** A line without its id, name and time. */
export type Line = Omit<SiteEntry, "id" | "by" | "at">;

/** Whether a part is told by the step of its run alone. */
const byStep = (p: Part): boolean => p.kind === "draw-in" || p.kind === "test";

/** What a new line about a step of a run follows, so that it counts after it whatever the phones' clocks say. */
const followed = (entries: readonly SiteEntry[], run: string, step: Step | null): Pick<Line, "after"> => {
  const after = step ? lastSeen(entries, run, step) : undefined;
  return after === undefined ? {} : { after };
};

/** What is needed to say that something is done: the plan, its job, and the record as it is seen. */
export interface Seen {
  plan: Plan;
  job: Pick<Job, "points">;
  entries: readonly SiteEntry[];
}

/** From the first tick on a run stays as it was in hand: what the first line about each run holds. */
function holder({ plan, job, entries }: Seen): (run: string) => Pick<Line, "held"> {
  const held = new Set(heldRuns(entries).map((r) => r.key));
  return (run) => {
    const r = plan.runs.find((x) => x.id === run);
    if (!r || held.has(run)) return {};
    held.add(run);
    return { held: holdOf(r, plan.holes, job.points) };
  };
}

/** A line about a step of a run as a whole; its first that is done holds the run. */
export const lineOfStep = (seen: Seen, run: string, step: Step, kind: SiteEntry["kind"], text = ""): Line => ({
  run,
  kind,
  step,
  text,
  ...followed(seen.entries, run, step),
  ...(kind === "done" ? holder(seen)(run) : {}),
});

/** Lines that take a step of a run back, with whatever of it was ticked place by place. */
export const linesOfStepBack = (entries: readonly SiteEntry[], run: string, step: Step): Line[] => [
  ...[...marksOf(entries.filter((e) => e.run === run && e.step === step)).values()].map(({ mark }): Line => ({
    run,
    kind: "unmark",
    step,
    text: "",
    mark,
  })),
  { run, kind: "undone", step, text: "", ...followed(entries, run, step) },
];

/** Lines that tell a repair: what was repaired is tested again, and the ring it is in read again. */
export function linesOfRepair(repaired: Line, { plan, entries }: Pick<Seen, "plan" | "entries">): Line[] {
  const { run } = repaired;
  const again = marksOf(entries.filter((e) => e.run === run || e.run.startsWith("circuit:")));
  const circuit = plan.runs.find((r) => r.id === run)?.circuit;
  const ring = again.get(markName(`circuit:${circuit}`, ringPart(circuit ?? "")));
  return [
    repaired,
    ...(stateOf(entries, run).tested.done ? linesOfStepBack(entries, run, "tested") : []),
    ...(ring ? [{ run: `circuit:${circuit}`, kind: "unmark", step: null, text: "", mark: ring.mark } as const] : []),
  ];
}

/**
 * Lines that say a part is done. The first line about a run holds it as it is in hand; the last part of a step ticks the step.
 * @param done ids of the parts done before
 */
export function linesOfDone(part: Part, all: readonly Part[], done: ReadonlySet<string>, seen: Seen): Line[] {
  const hold = holder(seen);
  const step = stepOf[part.kind] ?? null;
  const tick = (run: string): Line => ({
    run,
    kind: "done",
    step,
    text: "",
    ...followed(seen.entries, run, step),
    ...hold(run),
  });
  if (byStep(part)) return part.runs.map(tick);
  const now = new Set([...done, part.id]);
  const own = keysOf(part);
  const isRun = own === part.runs;
  return own.flatMap((key): Line[] => {
    const mark: Line = { run: key, kind: "mark", step, text: "", mark: part.id, ...(isRun ? hold(key) : {}) };
    const rest = step ? all.filter((p) => p.kind === part.kind && p.runs.includes(key) && !now.has(p.id)) : null;
    return rest?.length === 0 ? [mark, tick(key)] : [mark];
  });
}

/** Lines that take a part back: its marks, and the steps that it was part of. */
export function linesOfUndone(part: Part, entries: readonly SiteEntry[]): Line[] {
  const step = stepOf[part.kind] ?? null;
  return keysOf(part).flatMap((run): Line[] => {
    const undone: Line = { run, kind: "undone", step, text: "", ...followed(entries, run, step) };
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
