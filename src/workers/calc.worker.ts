import { expose } from "comlink";
import { type Answer, type Sheet, answer, sheetOf } from "../core/calculators/calculator";
import { calculatorNamed } from "../core/calculators/registry";
import type { Job } from "../core/job/model";
import { type SchoolEffect, schoolEffect } from "../core/plan/school-effect";
import type { Catalogue } from "../core/rules/catalogue";
import type { SchoolKey } from "../core/rules/schools";

/** Long questions, off the main thread. */
const api = {
  work: (name: string, input: unknown, catalogue: Catalogue): { answer: Answer; sheet: Sheet | null } => {
    const c = calculatorNamed(name)!;
    const a = answer(c, input, catalogue);
    return { answer: a, sheet: a.ok ? sheetOf(c, input, catalogue) : null };
  },
  effect: (job: Job, key: SchoolKey, to: string, catalogue: Catalogue): SchoolEffect =>
    schoolEffect(job, key, to, catalogue),
};
export type CalcWorker = typeof api;

expose(api);
