"use client";
import { Check } from "lucide-react";
import { useMemo } from "react";
import { MiniPlan } from "../drawing/mini-plan";
import { type StageId, stageStates, stages } from "../job/stages";
import { useDesk, usePlan } from "../job/store";

export function goTo(stage: StageId): void {
  useDesk.setState((s) => ({
    stage,
    view:
      stage === "timber"
        ? "deck"
        : s.stage === "timber" && (s.view === "deck" || s.view === "schedule")
          ? "unrolled"
          : s.view,
  }));
}

/** The stages in the order they are done, each with what is settled and what is open. */
export function OrderOfWork() {
  const job = useDesk((s) => s.job);
  const plan = usePlan();
  const siteBook = useDesk((s) => s.siteBook);
  const stage = useDesk((s) => s.stage);
  const states = useMemo(() => stageStates(job, plan, siteBook), [job, plan, siteBook]);
  return (
    <nav aria-label="Order of work" className="order flex min-h-0 flex-col bg-rail">
      <ol className="order-list min-h-0 flex-1 overflow-auto">
        {stages.map((s, i) => {
          const state = states[s.id];
          const on = stage === s.id;
          return (
            <li key={s.id}>
              <button
                type="button"
                aria-current={on ? "step" : undefined}
                onClick={() => goTo(s.id)}
                className={`flex w-full cursor-pointer items-start gap-2 border-l-4 px-2 py-1.5 text-left ${on ? "border-accent bg-panel" : "border-transparent hover:bg-panel/60"}`}
              >
                <span className="num w-5 pt-0.5 text-right text-[12px] text-soft">{i + 1}</span>
                <span className="min-w-0 flex-1">
                  <span className="block font-cond text-[15px] leading-tight font-semibold">{s.name}</span>
                  <span className="block truncate text-[12px] text-soft">{state.words}</span>
                </span>
                {state.open ? (
                  <span
                    className="num mt-0.5 border border-warn px-1 text-[12px] font-medium text-warn"
                    title={`${state.open} to settle`}
                  >
                    {state.open}
                    <span className="sr-only"> to settle</span>
                  </span>
                ) : state.settled ? (
                  <Check size={15} className="mt-1 text-good" aria-label="settled" />
                ) : null}
              </button>
            </li>
          );
        })}
      </ol>
      <div className="mini border-t border-line p-2">
        <MiniPlan />
      </div>
    </nav>
  );
}
