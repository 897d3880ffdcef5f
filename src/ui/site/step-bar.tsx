"use client";
import { type Step, stepNames } from "../../core/job/site-entry";
import { nextStep, type stateOf } from "../../core/record/entries";

/** Steps as a strip: done, next, to come; each with its word. */
export function StepBar({ needed, state }: { needed: readonly Step[]; state: ReturnType<typeof stateOf> }) {
  const next = nextStep(state, needed);
  return (
    <span className="mt-2 flex gap-1">
      {needed.map((s) => (
        <span key={s} className="flex-1 text-center text-[12.5px]">
          <span className={`block h-2 ${state[s].done ? "bg-good" : s === next ? "bg-ink" : "bg-line"}`} />
          <span className={s === next ? "font-semibold" : "text-soft"}>
            {state[s].done ? "✓ " : ""}
            {stepNames[s]}
          </span>
        </span>
      ))}
    </span>
  );
}
