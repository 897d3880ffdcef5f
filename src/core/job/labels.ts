import type { Job } from "./model";

/** What each point is called on screens and paper, by its id; an id that is no point's stands for itself. */
export function pointLabels(job: Pick<Job, "points">): (id: string) => string {
  const labels = new Map(job.points.map((p) => [p.id, p.label]));
  return (id) => labels.get(id) ?? id;
}
