import type { Job } from "../job/model";
import { type Change, current } from "../job/patch";

/** Makes ids that no other thing of the job has; the caller's, since the core has no chance of its own. */
export type NewId = (prefix: string) => string;

/** A change of one thing of a job: its value as it is, and as it is to be (null: gone). */
export const changeOf = (job: Job, collection: Change["collection"], id: string, after: unknown): Change => ({
  collection,
  id,
  before: current(job, { collection, id }),
  after,
});

/** Walls of a room in the order of its corners. */
export const wallsOf = (job: Job, room: string): Job["walls"] =>
  job.walls.filter((w) => w.room === room).sort((a, b) => a.index - b.index);
