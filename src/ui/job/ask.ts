"use client";
import { type Remote, wrap } from "comlink";
import type { PlanWorker } from "../../workers/plan.worker";

interface Asking {
  remote: Remote<PlanWorker>;
  /** Rejects when the worker falls over; never resolves. */
  failed: Promise<never>;
}
let asking: Asking | null = null;

function begin(): Asking {
  const worker = new Worker(new URL("../../workers/plan.worker.ts", import.meta.url), { type: "module" });
  const failed = new Promise<never>((_, reject) => {
    worker.onerror = (e) => {
      worker.terminate();
      asking = null;
      reject(new Error(e.message || "the worker could not be started"));
    };
  });
  // Nobody may be waiting when it fails.
  failed.catch(() => undefined);
  return { remote: wrap<PlanWorker>(worker), failed };
}

/**
 * Asks a worker of its own about a plan, so that questions never hold up the plan itself. A worker that falls over fails the question
 * that waits on it, and the next question starts a fresh one.
 */
export function askWorker<T>(question: (worker: Remote<PlanWorker>) => Promise<T>): Promise<T> {
  asking ??= begin();
  return Promise.race([question(asking.remote), asking.failed]);
}
