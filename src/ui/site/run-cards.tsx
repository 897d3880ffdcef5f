"use client";
import { useMemo } from "react";
import { toCut } from "../../core/base/figures";
import { runStyles } from "../../core/drawings/run-lines";
import type { House } from "../../core/house/house";
import { pointLabels } from "../../core/job/labels";
import { type Step, stepNames } from "../../core/job/site-entry";
import type { Plan, Run } from "../../core/laid/laid";
import { type StepState, nextStep } from "../../core/record/entries";
import { cableOf } from "../../core/rules/catalogue";
import { RunSample } from "../drawing/run-sample";
import { StepBar } from "./step-bar";

/** A run with how it stands. */
export interface RunState {
  r: Run;
  state: Record<Step, StepState>;
  needed: Step[];
}

/** Runs as cards: cable, length, how far each is, and a tap for its next step. */
export function RunCards({
  house,
  plan,
  runs,
  onOpen,
  onDone,
}: {
  house: House;
  plan: Plan;
  runs: readonly RunState[];
  onOpen: (r: Run) => void;
  onDone: (r: Run, step: Step) => void;
}) {
  const { job } = house;
  const styles = useMemo(() => runStyles(job), [job]);
  const label = pointLabels(job);
  const name = (r: Run): string => `${label(r.from)} to ${label(r.to)}`;
  return (
    <ul className="grid gap-2.5">
      {runs.map(({ r, state, needed }) => {
        const next = nextStep(state, needed);
        // A test is not ticked without its readings: they are taken at the run.
        const says = next === "tested" ? "Test" : next && stepNames[next];
        return (
          <li key={r.id} className="border border-line bg-panel" data-run={r.id}>
            <button type="button" className="block w-full cursor-pointer p-3 text-left" onClick={() => onOpen(r)}>
              <span className="flex items-baseline justify-between gap-2">
                <span className="font-cond text-xl font-semibold">
                  <span className="mr-2">
                    <RunSample style={styles.get(r.circuit)} width={4} />
                  </span>
                  {job.circuits.find((c) => c.id === r.circuit)?.label} · {name(r)}
                </span>
                <span className="num text-2xl font-medium">{toCut(r.cutLength)}</span>
              </span>
              <span className="mt-1 flex justify-between text-[15px] text-soft">
                <span>
                  {plan.holes.filter((o) => o.runs.includes(r.id)).length} holes ·{" "}
                  {plan.clips.filter((c) => c.run === r.id).reduce((s, c) => s + c.marks.length, 0)} clips
                </span>
                <span>cut, mm</span>
              </span>
              <span className="block text-[15px]" data-card-cable>
                {cableOf(r.cable, house.catalogue)?.name ?? r.cable}
              </span>
              <StepBar needed={needed} state={state} />
            </button>
            {next ? (
              <button
                type="button"
                className="min-h-14 w-full cursor-pointer border-t border-line font-cond text-lg font-semibold text-accent"
                onClick={() => (next === "tested" ? onOpen(r) : onDone(r, next))}
                aria-label={`${says}: ${name(r)}`}
              >
                {says}
              </button>
            ) : null}
          </li>
        );
      })}
    </ul>
  );
}
