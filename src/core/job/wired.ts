import type { Circuit, Job } from "./model";

/** Points of a circuit, those on its spurs among them. */
export const wiredTo = (c: Pick<Circuit, "points" | "spurs">): string[] => [
  ...c.points,
  ...c.spurs.map((s) => s.point),
];

/** Trip current of what protects a circuit, mA: its own RCD or that of the whole installation, whichever trips at less; null without. */
export function tripOf(job: Pick<Job, "supply">, c: Pick<Circuit, "rcd">): number | null {
  const trips = [c.rcd, job.supply.rcd].filter((x) => x !== null);
  return trips.length ? Math.min(...trips) : null;
}
