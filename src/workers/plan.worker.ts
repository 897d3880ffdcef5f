import { expose } from "comlink";
import type { Catalogue } from "../core/rules/catalogue";
import { type House, layHouse } from "../core/house/house";
import { relayHouse } from "../core/house/relay";
import { type Change, applyPatch } from "../core/job/patch";
import type { HeldRun } from "../core/laid/held";
import type { Job } from "../core/job/model";
import { type CircuitRemedies, circuitRemedies } from "../core/plan/circuit-remedies";
import { type RingAgainstRadials, type Variant, ringAgainstRadials, variantsOf } from "../core/plan/compare-plans";
import type { SiteEntry } from "../core/job/site-entry";
import { withFix } from "../core/plan/tried-fixes";
import { releasedSurfaces } from "../core/record/closing";
import { heldRuns } from "../core/record/held";
import type { Fix } from "../core/rules/fact";
import { makePlan, planHouse, whyRun } from "../core/plan/plan";
import type { Plan } from "../core/laid/laid";
import { type Freeing, whatFrees } from "../core/routing/freeing";
import type { Why } from "../core/routing/why";

/** How often progress is told, ms. */
const TELL = 120;

/** The core's plan and the questions about it, off the main thread. */
let last: Plan | null = null;

/** The job and house that this worker knows; what comes later is told as changes to it. */
let known: { job: Job; house: House; catalogue: Catalogue; held: HeldRun[]; closed: string[] } | null = null;

/** What the record says is done and closed. */
const doneBy = (siteBook: readonly SiteEntry[]): { held: HeldRun[]; closed: string[] } => ({
  held: heldRuns(siteBook),
  closed: releasedSurfaces(siteBook),
});

const api = {
  /** Tells the worker the whole job, once: later it hears only what has changed. */
  open: (job: Job, catalogue: Catalogue, siteBook: readonly SiteEntry[]): void => {
    known = { job, house: layHouse(job, catalogue), catalogue, ...doneBy(siteBook) };
    last = null;
  },
  /**
   * The plan of the known job with some changes made to it, which it knows from then on.
   * @param siteBook the record, when it has changed
   * @param quick true while something is dragged: the runs of the last plan are laid again as they are joined, without a second look
   * @throws when no job has been told
   */
  plan: (
    changes: readonly Change[],
    siteBook: readonly SiteEntry[] | null,
    quick: boolean,
    tell?: (share: number) => void,
  ): Plan => {
    if (!known) throw new Error("the planner has not been told a job");
    const job = applyPatch(known.job, changes);
    const house = relayHouse(known.house, job);
    known = { ...known, job, house, ...(siteBook ? doneBy(siteBook) : {}) };
    let told = performance.now();
    const progress = (done: number, of: number): void => {
      const now = performance.now();
      if (now - told < TELL) return;
      told = now;
      tell?.(done / of);
    };
    const plan = planHouse(house, {
      held: known.held,
      closed: known.closed,
      clock: () => performance.now(),
      before: quick ? last : null,
      ...(tell ? { progress } : {}),
    });
    last = plan;
    return plan;
  },
  variants: (job: Job, catalogue: Catalogue): Variant[] => variantsOf(job, catalogue),
  why: (job: Job, catalogue: Catalogue, siteBook: readonly SiteEntry[], run: string): Why | null => {
    return whyRun(layHouse(job, catalogue), run, heldRuns(siteBook));
  },
  /** Stops of the plan before a fix and after it. */
  tryFix: (
    job: Job,
    catalogue: Catalogue,
    siteBook: readonly SiteEntry[],
    fix: Fix[],
  ): { before: number; after: number } => {
    const options = { catalogue, ...doneBy(siteBook) };
    const stops = (j: Job): number => makePlan(j, options).facts.filter((f) => f.severity === "stop").length;
    const next = withFix(job, fix);
    return { before: stops(job), after: next ? stops(next) : Infinity };
  },
  /** What would make a circuit hold as it is laid. */
  circuitRemedies: (job: Job, catalogue: Catalogue, siteBook: readonly SiteEntry[], circuit: string): CircuitRemedies =>
    circuitRemedies(job, catalogue, circuit, heldRuns(siteBook)),
  freeing: (job: Job, catalogue: Catalogue, point: string): Freeing => whatFrees(job, catalogue, point),
  ringAgainstRadials: (job: Job, catalogue: Catalogue, circuit: string): RingAgainstRadials | null => {
    const c = job.circuits.find((x) => x.id === circuit);
    return c ? ringAgainstRadials(job, c, catalogue) : null;
  },
};
export type PlanWorker = typeof api;

expose(api);
