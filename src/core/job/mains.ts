import type { Circuit, Job } from "./model";

/** True for a circuit of the mains: all but lines for data, television, telephone and bells. */
export const isMains = (c: Pick<Circuit, "kind">): boolean => c.kind !== "signal";

/** The circuits of the mains: those that a board feeds, and that are rated, protected and tested as such. */
export const mainsOf = (job: Pick<Job, "circuits">): Circuit[] => job.circuits.filter(isMains);
