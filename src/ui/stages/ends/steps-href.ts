import type { EndSteps } from "../../../core/plan/end-steps";

/** The guided steps of one end, with its own measures and the run that its readings go to. */
export function stepsHref(job: string, run: string, at: string, { kind, measures }: EndSteps): string {
  const q = new URLSearchParams({ kind, job, run, at });
  for (const [key, value] of Object.entries(measures)) q.set(key, String(Math.round(value * 100) / 100));
  return `/steps?${q.toString()}`;
}
