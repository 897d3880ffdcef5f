import { z } from "zod";
import { placeSchema } from "../job/model";
import { type Hole, type Run, holeSchema, plannedLegSchema } from "./laid";

/**
 * A run as it was done: from the first tick on site its legs, holes, cut length and points are kept, whatever the plan would now
 * make of it. Lengths mm.
 */
export const heldRunSchema = z.strictObject({
  /** Key of the run. */
  key: z.string().min(1).max(140),
  circuit: z.string().min(1).max(40),
  from: z.string().min(1).max(40),
  to: z.string().min(1).max(40),
  number: z.number().int().min(1).max(99),
  cable: z.string().min(1).max(40),
  legs: z.array(plannedLegSchema).min(1).max(200),
  holes: z.array(holeSchema).max(500),
  cutLength: z.number().min(0).max(10_000_000),
  /** Where its two points were. */
  points: z.array(z.strictObject({ id: z.string().min(1).max(40), place: placeSchema })).max(2),
  /** True where it was built elsewhere than planned and measured on site. */
  built: z.boolean().optional(),
});
export type HeldRun = z.infer<typeof heldRunSchema>;

/** What is held of a planned run when its first step is ticked. */
export function holdOf(
  run: Run,
  holes: readonly Hole[],
  points: readonly { id: string; place: HeldRun["points"][number]["place"] }[],
): HeldRun {
  const ends = [run.from, run.to].flatMap((id) => points.find((p) => p.id === id) ?? []);
  return {
    key: run.id,
    circuit: run.circuit,
    from: run.from,
    to: run.to,
    number: run.number,
    cable: run.cable,
    legs: run.legs,
    // A shared hole is held with this run's part in it; the others hold theirs when they are done.
    holes: holes.filter((o) => o.runs.includes(run.id)).map((o) => ({ ...o, runs: [run.id] })),
    cutLength: run.cutLength,
    points: ends.map(({ id, place }) => ({ id, place })),
  };
}
