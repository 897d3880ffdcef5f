import { z } from "zod";
import type { House } from "../house/house";
import { type Plan, planSchema } from "../laid/laid";
import { findingSchema, namesOf, worded } from "../words/findings";

/** A plan as it is printed and published: its facts with their words. */
export const planFileSchema = planSchema.omit({ facts: true }).extend({ findings: z.array(findingSchema) });
export type PlanFile = z.infer<typeof planFileSchema>;

/** A plan with its facts put in words, by the names of the house it was worked out for. */
export function planFile(h: House, plan: Plan): PlanFile {
  const { facts, ...rest } = plan;
  return { ...rest, findings: worded(facts, namesOf(h)) };
}
