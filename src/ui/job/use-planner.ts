"use client";
import { type Remote, proxy, wrap } from "comlink";
import { useEffect } from "react";
import type { Job } from "../../core/job/model";
import type { PlanWorker } from "../../workers/plan.worker";
import { useDesk } from "./store";

let stop: (() => void) | null = null;

/** Stops a plan that is being worked out; the one before it stays until the next change. */
export const cancelPlanning = (): void => stop?.();

/** Keeps the plan up to date in a worker: only the newest job is worked out, and a slow one never holds up the next. */
export function usePlanner(): void {
  useEffect(() => {
    let worker: Worker;
    let remote: Remote<PlanWorker>;
    const begin = (): void => {
      worker = new Worker(new URL("../../workers/plan.worker.ts", import.meta.url), { type: "module" });
      remote = wrap<PlanWorker>(worker);
    };
    begin();
    let busy = false;
    let next: Job | null = null;
    let stopped = false;
    let turn = 0;
    const work = async (job: Job): Promise<void> => {
      if (busy) {
        next = job;
        return;
      }
      busy = true;
      const mine = ++turn;
      useDesk.setState({ planning: true, progress: null });
      try {
        const plan = await remote.plan(
          job,
          useDesk.getState().catalogue,
          useDesk.getState().shown !== useDesk.getState().job,
          proxy((share: number) => void (mine === turn && !stopped && useDesk.setState({ progress: share }))),
        );
        if (!stopped && mine === turn) useDesk.setState({ plan, planFault: null });
      } catch (e) {
        if (!stopped && mine === turn) useDesk.setState({ planFault: (e as Error).message });
      }
      if (mine !== turn) return;
      busy = false;
      const after = next;
      next = null;
      if (after && !stopped) void work(after);
      else if (!stopped) useDesk.setState({ planning: false, progress: null });
    };
    stop = () => {
      // A busy worker hears nothing: it is ended, and a fresh one waits for the next change.
      turn++;
      busy = false;
      next = null;
      worker.terminate();
      begin();
      useDesk.setState({ planning: false, progress: null });
    };
    void work(useDesk.getState().shown);
    const off = useDesk.subscribe((s, before) => {
      if (s.shown !== before.shown) void work(s.shown);
    });
    return () => {
      stopped = true;
      stop = null;
      off();
      worker.terminate();
    };
  }, []);
}
