"use client";
import { type Remote, wrap } from "comlink";
import type { PlanWorker } from "../../workers/plan.worker";

let remote: Remote<PlanWorker> | null = null;

/** A worker of its own for questions about a plan, so that they never hold up the plan itself. */
export function askWorker(): Remote<PlanWorker> {
  remote ??= wrap<PlanWorker>(new Worker(new URL("../../workers/plan.worker.ts", import.meta.url), { type: "module" }));
  return remote;
}
