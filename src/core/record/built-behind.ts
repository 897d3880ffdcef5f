import type { Job, Point } from "../job/model";
import type { SiteEntry } from "../job/site-entry";
import type { Plan } from "../laid/laid";
import { inOrder } from "./order";

/** Where points were built by the last word about each. */
export function builtPlaces(entries: readonly SiteEntry[]): Map<string, Point["place"]> {
  const out = new Map<string, Point["place"]>();
  for (const e of inOrder(entries.filter((x) => x.kind === "built" && x.place && x.run.startsWith("point:"))))
    out.set(e.run.slice("point:".length), e.place!);
  return out;
}

/** Whether a plan does not yet show what the record says was built elsewhere. Lines of the record that the server has seen are in its plan. */
export function builtBehind(
  job: Pick<Job, "points">,
  plan: Pick<Plan, "runs">,
  waiting: readonly SiteEntry[],
): boolean {
  const built = waiting.filter((e) => e.kind === "built");
  if (!built.length) return false;
  if (built.some((e) => e.held !== undefined && plan.runs.find((r) => r.id === e.run)?.built !== true)) return true;
  return [...builtPlaces(built)].some(([id, place]) => {
    const now = job.points.find((p) => p.id === id)?.place;
    return now !== undefined && JSON.stringify(now) !== JSON.stringify(place);
  });
}
