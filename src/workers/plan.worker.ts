import { expose } from "comlink";
import type { Job } from "../core/job/model";
import { makePlan } from "../core/plan/plan";
import type { Plan } from "../core/plan/plan-model";

/** The core's plan, off the main thread. */
const api = { plan: (job: Job): Plan => makePlan(job, { clock: () => performance.now() }) };
export type PlanWorker = typeof api;

expose(api);
