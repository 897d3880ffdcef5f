import type { Plan } from "../laid/laid";
import { type Step, steps } from "../job/site-entry";

/** The steps a run needs: nothing to bore or to clip is not asked for. */
export function neededSteps(plan: Plan, run: string): Step[] {
  const bored = plan.holes.some((h) => h.runs.includes(run));
  const clipped = plan.clips.some((c) => c.run === run);
  return steps.filter((s) => (s === "bored" ? bored : s === "clipped" ? clipped : true));
}
