"use client";
import Link from "next/link";
import type { EndSteps } from "../../../core/plan/end-steps";
import { makingOf } from "../../../core/trades/ends/steps/makings";
import { link } from "../sheets/frame";
import { stepsHref } from "./steps-href";

/** To each piece of guided work at one end, by its name, with the measures of that end. `big`: for a thumb. */
export function StepLinks({
  job,
  run,
  steps,
  big = false,
}: {
  job: string;
  run: string;
  steps: readonly EndSteps[];
  big?: boolean;
}) {
  return steps.map((s) => (
    <Link key={s.kind} className={big ? `${link} min-h-12 text-lg` : link} href={stepsHref(job, run, s)}>
      {makingOf(s.kind)?.name}
    </Link>
  ));
}
