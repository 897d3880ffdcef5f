import { layHouse } from "../../core/house/house";
import { type Job } from "../../core/job/model";
import { makePlan } from "../../core/plan/plan";
import { schoolsSchema } from "../../core/rules/schools";
import { ternCottage } from "./tern-cottage";

export const job = ternCottage();
export const laid = (more: (j: Job) => Job = (j) => j) => {
  const j = more(job);
  return { h: layHouse(j), plan: makePlan(j) };
};
export const { h, plan } = laid();
export const KILN = "k.board.k1";
export const schools = schoolsSchema.parse({});
/** One point changed. */
export const at = (id: string, set: object) => (j: Job) => ({
  ...j,
  points: j.points.map((p) => (p.id === id ? { ...p, ...set } : p)),
});
