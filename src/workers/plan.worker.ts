import { expose } from "comlink";
import type { Catalogue } from "../core/rules/catalogue";
import { layHouse } from "../core/job/house";
import type { Job } from "../core/job/model";
import { type RingAgainstRadials, type Variant, ringAgainstRadials, variantsOf } from "../core/plan/compare-plans";
import { makePlan } from "../core/plan/plan";
import type { Plan } from "../core/plan/plan-model";
import { buildGraph } from "../core/routing/build";
import { type Why, whyThisWay } from "../core/routing/why";

/** How often progress is told, ms. */
const TELL = 120;

/** The core's plan and the questions about it, off the main thread. */
const api = {
  plan: (job: Job, catalogue: Catalogue, tell?: (share: number) => void): Plan => {
    let last = performance.now();
    const progress = (done: number, of: number): void => {
      const now = performance.now();
      if (now - last < TELL) return;
      last = now;
      tell?.(done / of);
    };
    return makePlan(job, { catalogue, clock: () => performance.now(), ...(tell ? { progress } : {}) });
  },
  variants: (job: Job, catalogue: Catalogue): Variant[] => variantsOf(job, catalogue),
  why: (job: Job, catalogue: Catalogue, run: string): Why | null => {
    const h = layHouse(job, catalogue);
    return whyThisWay(h, buildGraph(h), run);
  },
  ringAgainstRadials: (job: Job, catalogue: Catalogue, circuit: string): RingAgainstRadials | null => {
    const c = job.circuits.find((x) => x.id === circuit);
    return c ? ringAgainstRadials(job, c, catalogue) : null;
  },
};
export type PlanWorker = typeof api;

expose(api);
