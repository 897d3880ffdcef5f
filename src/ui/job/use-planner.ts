"use client";
import { type Remote, proxy, wrap } from "comlink";
import { useEffect } from "react";
import type { House } from "../../core/house/house";
import type { Job } from "../../core/job/model";
import { changesBetween } from "../../core/job/patch";
import type { PlanWorker } from "../../workers/plan.worker";
import { type DeskState, useDesk } from "./store";

/** A plan that has been worked on for longer than this is given up for a newer job; a shorter one is let finish, ms. */
const LET_FINISH = 700;

interface Asked {
  job: Job;
  house: House;
  siteBook: DeskState["siteBook"];
  quick: boolean;
}

let stop: (() => void) | null = null;
let again: (() => void) | null = null;

/** Stops a plan that is being worked out; the one before it stays until the next change. */
export const cancelPlanning = (): void => stop?.();
/** Works the plan out afresh, after a fault. */
export const planAgain = (): void => again?.();

/** Whose plan is wanted now. */
const wanted = (): Asked => {
  const s = useDesk.getState();
  return { job: s.shown, house: s.house, siteBook: s.siteBook, quick: s.shown !== s.job };
};

/**
 * Keeps the plan up to date in a worker. What comes back is kept together with the job and house it was worked out for: one
 * snapshot. A worker that fails, or is long busy with an older job, is ended and a fresh one takes the newest job.
 */
export function usePlanner(): void {
  useEffect(() => {
    let worker: Worker;
    let remote: Remote<PlanWorker>;
    let turn = 0;
    /** What the worker knows; null for one just begun. */
    let told: Pick<Asked, "job" | "siteBook"> | null = null;
    let busySince: number | null = null;
    let next = false;
    let stopped = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    /** Until when nothing is asked while something is dragged: the drawing needs the processor too. */
    let rest: ReturnType<typeof setTimeout> | undefined;

    const begin = (): void => {
      const own = new Worker(new URL("../../workers/plan.worker.ts", import.meta.url), { type: "module" });
      worker = own;
      told = null;
      // A worker that cannot start, or falls over outside a question, says so here and never answers. One that was ended while its
      // program was still on the way says so too, and is no longer asked.
      own.onerror = (e) => own === worker && fault(e.message || "the planner could not be started");
      own.onmessageerror = () => own === worker && fault("the planner's answer could not be read");
      remote = wrap<PlanWorker>(worker);
    };
    const renew = (): void => {
      turn++;
      busySince = null;
      next = false;
      clearTimeout(rest);
      rest = undefined;
      worker.terminate();
      begin();
    };
    const fault = (message: string): void => {
      if (stopped) return;
      renew();
      useDesk.setState({ planning: false, progress: null, planFault: message });
    };
    const work = async (): Promise<void> => {
      if (busySince !== null) {
        next = true;
        clearTimeout(timer);
        const left = LET_FINISH - (performance.now() - busySince);
        timer = setTimeout(giveUp, Math.max(0, left));
        return;
      }
      if (rest !== undefined && wanted().quick) {
        next = true;
        return;
      }
      clearTimeout(rest);
      rest = undefined;
      next = false;
      const began = (busySince = performance.now());
      const mine = ++turn;
      const asked = wanted();
      useDesk.setState({ planning: true, progress: null });
      const tell = proxy((share: number) => {
        if (mine === turn && !stopped) useDesk.setState({ progress: share });
      });
      try {
        // The worker is told the job whole once, and after that only what has changed.
        if (!told) await remote.open(asked.job, useDesk.getState().catalogue, asked.siteBook);
        const changes = told ? changesBetween(told.job, asked.job) : [];
        const record = told && told.siteBook !== asked.siteBook ? asked.siteBook : null;
        told = { job: asked.job, siteBook: asked.siteBook };
        const plan = await remote.plan(changes, record, asked.quick, tell);
        if (stopped || mine !== turn) return;
        useDesk.setState({ snap: { job: asked.job, house: asked.house, plan }, planFault: null });
      } catch (e) {
        if (stopped || mine !== turn) return;
        // What it knows after a fault is not certain: the next question tells it all again.
        told = null;
        useDesk.setState({ planFault: e instanceof Error ? e.message : String(e) });
      }
      busySince = null;
      clearTimeout(timer);
      if (asked.quick) rest = setTimeout(rested, performance.now() - began);
      if (!next) useDesk.setState({ planning: false, progress: null });
      else if (!asked.quick || !wanted().quick) {
        next = false;
        void work();
      }
    };
    /** It has rested as long as it worked. */
    const rested = (): void => {
      rest = undefined;
      if (stopped || !next || busySince !== null) return;
      next = false;
      void work();
    };
    /** The job has moved on while the worker is still at an older one. */
    const giveUp = (): void => {
      if (stopped || busySince === null || !next) return;
      renew();
      void work();
    };

    begin();
    stop = () => {
      renew();
      useDesk.setState({ planning: false, progress: null });
    };
    again = () => {
      renew();
      useDesk.setState({ planFault: null });
      void work();
    };
    void work();
    const off = useDesk.subscribe((s, before) => {
      if (s.shown !== before.shown || s.siteBook !== before.siteBook) void work();
    });
    return () => {
      stopped = true;
      stop = again = null;
      clearTimeout(timer);
      clearTimeout(rest);
      off();
      worker.terminate();
    };
  }, []);
}
