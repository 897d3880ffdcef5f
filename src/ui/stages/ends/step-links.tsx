"use client";
import Link from "next/link";
import type { EndSteps } from "../../../core/plan/end-steps";
import { makingOf } from "../../../core/trades/ends/steps/makings";
import { link } from "../sheets/frame";
import { stepsHref } from "./steps-href";

/** To each piece of guided work at one end, by its name, with the measures of that end. */
export function StepLinks({
  job,
  run,
  at,
  steps,
}: {
  job: string;
  run: string;
  /** The point where the cable ends. */
  at: string;
  steps: readonly EndSteps[];
}) {
  return steps.map((s) => (
    <Link key={s.kind} className={link} href={stepsHref(job, run, at, s)}>
      {makingOf(s.kind)?.name}
    </Link>
  ));
}
