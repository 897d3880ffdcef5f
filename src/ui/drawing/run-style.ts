import type { Job } from "../../core/job/model";

/** Line of a circuit: colour, dash and label together, so that no one of them has to be told apart alone. */
export interface RunStyle {
  color: string;
  dash: string;
  label: string;
}

const dashes = ["", "9 4", "2 4", "14 4 3 4", "5 3", "16 5"];

/** Style of each circuit by its place in the list of labels. */
export function runStyles(job: Job): Map<string, RunStyle> {
  const ordered = [...job.circuits].sort((a, b) => (a.label < b.label ? -1 : a.label > b.label ? 1 : 0));
  return new Map(
    ordered.map((c, i) => [
      c.id,
      { color: `var(--run${(i % 6) + 1})`, dash: dashes[(i + Math.floor(i / 6)) % dashes.length]!, label: c.label },
    ]),
  );
}
