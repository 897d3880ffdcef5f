"use client";
import type { House } from "../../core/house/house";
import { pointLabels } from "../../core/job/labels";
import type { Plan } from "../../core/laid/laid";
import { endFigures } from "../../core/plan/end-figures";
import { endSteps } from "../../core/plan/end-steps";
import type { StepLine } from "../../core/record/readings";
import { makingOf } from "../../core/trades/ends/steps/makings";
import type { SiteEntry } from "../../core/job/site-entry";
import { type Guide, guideHref } from "./guide";
import { link } from "../stages/sheets/frame";
import { StepCards } from "../steps/step-cards";

const stepsAt = (house: House, plan: Plan, run: string, point: string) => {
  const f = endFigures(house, plan, point);
  const c = f?.cables.find((x) => x.run.id === run);
  return f && c ? endSteps(house, plan, f, c) : [];
};

/** To each piece of guided work at one end, by its name. */
export function GuideLinks({
  house,
  plan,
  run,
  point,
  open,
}: {
  house: House;
  plan: Plan;
  run: string;
  point: string;
  open: (guide: Guide) => void;
}) {
  return (
    <div className="flex flex-wrap gap-2">
      {stepsAt(house, plan, run, point).map(({ kind }) => (
        <a
          key={kind}
          className={`${link} min-h-12 text-lg`}
          href={guideHref({ run, point, kind })}
          onClick={(e) => {
            e.preventDefault();
            open({ run, point, kind });
          }}
        >
          {makingOf(kind)?.name}
        </a>
      ))}
    </div>
  );
}

/** The guided work of all cables that end at a point. */
export function GuidesOfPoint({
  house,
  plan,
  point,
  runs,
  open,
}: {
  house: House;
  plan: Plan;
  point: string;
  runs: readonly string[];
  open: (guide: Guide) => void;
}) {
  const label = pointLabels(house.job);
  const there = plan.runs.filter((r) => runs.includes(r.id));
  return (
    <details className="border border-line bg-panel p-3 text-[16px]" data-guides={point}>
      <summary className="min-h-10 cursor-pointer py-1.5 font-semibold">Guided, card by card</summary>
      <div className="grid gap-3 pt-1">
        {there.map((r) => (
          <div key={r.id} className="grid gap-1">
            <p className="text-soft">
              {house.job.circuits.find((c) => c.id === r.circuit)?.label} {label(r.from)}–{label(r.to)}
            </p>
            <GuideLinks {...{ house, plan, point, open }} run={r.id} />
          </div>
        ))}
      </div>
    </details>
  );
}

/** Guided work at one end, its readings into the record of this job. */
export function EndGuide({
  house,
  plan,
  guide,
  entries,
  tell,
  back,
}: {
  house: House;
  plan: Plan;
  guide: Guide;
  entries: readonly SiteEntry[];
  tell: (line: StepLine) => void;
  back: () => void;
}) {
  const making = makingOf(guide.kind);
  const steps = stepsAt(house, plan, guide.run, guide.point).find((s) => s.kind === guide.kind);
  return (
    <main className="flex w-full flex-1 flex-col p-4">
      {making && steps ? (
        <StepCards
          making={making}
          schools={house.job.settings.schools}
          measures={steps.measures}
          back={back}
          backName="Back to where it was opened"
          record={{ run: guide.run, at: guide.point, entries, tell }}
        />
      ) : (
        <p className="text-soft">This work is not at this end any more: go back and open it anew.</p>
      )}
    </main>
  );
}
