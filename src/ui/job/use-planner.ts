"use client";
import { type Remote, wrap } from "comlink";
import { useEffect } from "react";
import type { Job } from "../../core/job/model";
import type { PlanWorker } from "../../workers/plan.worker";
import { useDesk } from "./store";

/** Keeps the plan up to date in a worker: only the newest job is worked out, and a slow one never holds up the next. */
export function usePlanner(): void {
  useEffect(() => {
    const worker = new Worker(new URL("../../workers/plan.worker.ts", import.meta.url), { type: "module" });
    const remote: Remote<PlanWorker> = wrap<PlanWorker>(worker);
    let busy = false;
    let next: Job | null = null;
    let stopped = false;
    const work = async (job: Job): Promise<void> => {
      if (busy) {
        next = job;
        return;
      }
      busy = true;
      useDesk.setState({ planning: true });
      try {
        const plan = await remote.plan(job, useDesk.getState().catalogue);
        if (!stopped) useDesk.setState({ plan, planFault: null });
      } catch (e) {
        if (!stopped) useDesk.setState({ planFault: (e as Error).message });
      }
      busy = false;
      const after = next;
      next = null;
      if (after && !stopped) void work(after);
      else if (!stopped) useDesk.setState({ planning: false });
    };
    void work(useDesk.getState().shown);
    const off = useDesk.subscribe((s, before) => {
      if (s.shown !== before.shown) void work(s.shown);
    });
    return () => {
      stopped = true;
      off();
      worker.terminate();
    };
  }, []);
}
