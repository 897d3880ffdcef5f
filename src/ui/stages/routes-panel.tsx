"use client";
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

/** What the lengths are made of, and the schools picked. */
export function SettingsPanel() {
  const job = useDesk((s) => s.job);
  const put = (next: Partial<typeof job.settings>): string | null =>
    edit([change("head", "settings", { ...job.settings, ...next })]);
  return (
    <details className="border-t border-line pt-2">
      <summary className="cursor-pointer font-cond font-semibold">Settings and schools</summary>
      <div className="grid gap-1.5 pt-1">
        <NumberField
          label="Spare at each end"
          value={job.settings.slack}
          min={0}
          max={2000}
          onCommit={(slack) => put({ slack })}
        />
        <NumberField
          label="Waste"
          unit="%"
          step={1}
          value={job.settings.wastePercent}
          min={0}
          max={30}
          onCommit={(wastePercent) => put({ wastePercent })}
        />
        <NumberField
          label="Left at the board"
          value={job.settings.boardTail}
          min={0}
          max={3000}
          onCommit={(boardTail) => put({ boardTail })}
        />
        <NumberField
          label="Chase depth"
          value={job.settings.chaseDepth}
          min={5}
          max={100}
          step={5}
          onCommit={(chaseDepth) => put({ chaseDepth })}
        />
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
