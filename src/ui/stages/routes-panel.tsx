"use client";
import type { Settings } from "../../core/job/model";
import { pointLabels } from "../../core/job/labels";
import Link from "next/link";
import { figuresOf } from "../../core/plan/compare-plans";
import { mm, toCut } from "../../core/base/figures";
import { schoolQuestions } from "../../core/rules/schools";
import { change, edit, useDesk, usePlan } from "../job/store";
import { NumberField, SelectField } from "../kit/field";
import { WeightsPanel } from "./weights-panel";

/** All runs with their lengths, how good the plan is, and what the lengths are made of. */
export function RoutesPanel() {
  const job = useDesk((s) => s.job);
  const plan = usePlan();
  const label = pointLabels(job);
  const f = plan && figuresOf(plan);
  if (!plan) return <p className="text-soft">Working out the runs.</p>;
  return (
    <section aria-label="Runs" className="grid gap-2">
      <WeightsPanel />
      <h2 className="text-lg">Runs</h2>
      {plan.runs.length ? (
        <p className="text-[13px] text-soft">
          <span className="num">{mm(plan.cable.total / 1000)} m</span> of path ,{" "}
          <span className="num">{f!.ratio.toFixed(2)}</span> times the plain tours straight level and plumb of{" "}
          <span className="num">{mm(plan.cable.plumb / 1000)} m</span>. It is longer by what zones, joists and holes ask
          for: <span className="num">{f!.bores}</span> in joists, <span className="num">{f!.wallHoles}</span> through
          walls, <span className="num">{f!.chase.toFixed(1)} m</span> of chase, <span className="num">{f!.bends}</span>{" "}
          bends.
          {plan.cable.bound === null ? null : (
            <>
              {" "}
              However it were laid, no cable that joins these points is under{" "}
              <span className="num">{mm(plan.cable.bound / 1000)} m</span>.
            </>
          )}
        </p>
      ) : (
        <p className="text-soft">None yet. Put points on a circuit and the runs lay themselves.</p>
      )}
      <ul className="max-h-72 overflow-auto">
        {plan.runs.map((r) => (
          <li key={r.id}>
            <button
              type="button"
              className="flex min-h-7 w-full cursor-pointer justify-between border-b border-dotted border-line text-left text-[13.5px] hover:bg-rail"
              onClick={() => useDesk.setState({ selection: { kind: "run", id: r.id } })}
            >
              <span>
                {job.circuits.find((c) => c.id === r.circuit)?.label} · {label(r.from)} to {label(r.to)}
                {r.held ? " · done" : r.pin !== null ? " · pinned" : ""}
              </span>
              <span className="num">{toCut(r.cutLength)}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

interface NumberSetting {
  key: {
    [K in keyof Settings]: Settings[K] extends number ? K : never;
  }[keyof Settings];
  label: string;
  unit?: string;
  step?: number;
  min: number;
  max: number;
}
/** The settings that are plain numbers, with what they may be. */
const numbers: readonly NumberSetting[] = [
  { key: "slack", label: "Spare at each end", min: 0, max: 2000 },
  { key: "wastePercent", label: "Waste", unit: "%", step: 1, min: 0, max: 30 },
  { key: "boardTail", label: "Left at the board", min: 0, max: 3000 },
  { key: "ceilingTail", label: "Left hanging from a ceiling", min: 0, max: 1000 },
  { key: "clipEnd", label: "First and last clip from the end", min: 20, max: 150 },
  { key: "clipOutOfReach", label: "Clips out of reach, by the fixed school", min: 100, max: 1000 },
  { key: "clipToolPitch", label: "Pitch of the clipping tool, or of a tie used as a gauge", min: 50, max: 1000 },
  { key: "axisTolerance", label: "Holes may lie off the centre line by", step: 1, min: 0, max: 20 },
  { key: "chaseDepth", label: "Chase depth", step: 5, min: 5, max: 100 },
];

/** What the lengths are made of, and the schools picked. */
export function SettingsPanel() {
  const job = useDesk((s) => s.job);
  const put = (next: Partial<typeof job.settings>): string | null =>
    edit([change("head", "settings", { ...job.settings, ...next })]);
  return (
    <details className="border-t border-line pt-2">
      <summary className="cursor-pointer font-cond font-semibold">Settings and schools</summary>
      <div className="grid gap-1.5 pt-1">
        {numbers.map(({ key, label, unit = "mm", step, min, max }) => (
          <NumberField
            key={key}
            label={label}
            name={key}
            unit={unit}
            value={job.settings[key]}
            min={min}
            max={max}
            {...(step === undefined ? {} : { step })}
            onCommit={(x) => put({ [key]: x })}
          />
        ))}
        <Link className="text-[13.5px] text-accent underline underline-offset-2" href={`/schools?job=${job.id}`}>
          All schools, with what each would change
        </Link>
        {schoolQuestions
          .filter((q) => q.changes !== "steps")
          .map((q) => (
            <div key={q.key}>
              <SelectField
                label={q.question}
                value={job.settings.schools[q.key] as string}
                options={q.options}
                onCommit={(v) =>
                  put({ schools: { ...job.settings.schools, [q.key]: v } as typeof job.settings.schools })
                }
              />
              <p className="text-[12.5px] text-soft">
                {q.options.find((o) => o.value === job.settings.schools[q.key])?.reason}
              </p>
            </div>
          ))}
      </div>
    </details>
  );
}
