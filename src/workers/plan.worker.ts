import { expose } from "comlink";
import type { Job } from "../core/job/model";
import type { Catalogue } from "../core/rules/catalogue";
import { makePlan } from "../core/plan/plan";
import type { Plan } from "../core/plan/plan-model";

/** The core's plan, off the main thread. */
const api = { plan: (job: Job, catalogue: Catalogue): Plan => makePlan(job, { catalogue, clock: () => performance.now() }) };
export type PlanWorker = typeof api;

expose(api);
