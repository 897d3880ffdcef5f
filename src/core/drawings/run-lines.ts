import type { Job } from "../job/model";
import type { Plan, Run } from "../laid/laid";
import type { Ink, Layer, Shape, XY } from "./scene";

/** Line of a circuit: ink, dash (px) and label together, so that no one of them has to be told apart alone. */
export interface RunStyle {
  ink: Ink;
  dash: readonly number[];
  label: string;
}

const inks = ["run1", "run2", "run3", "run4", "run5", "run6"] as const;
const dashes: readonly (readonly number[])[] = [[], [9, 4], [2, 4], [14, 4, 3, 4], [5, 3], [16, 5]];

/** How a run is drawn whose circuit has just been taken out. */
export const UNKNOWN_STYLE: RunStyle = { ink: "soft", dash: [], label: "?" };

/** Style of each circuit by its place in the list of labels. */
export function runStyles(job: Job): Map<string, RunStyle> {
  const ordered = [...job.circuits].sort((a, b) => (a.label < b.label ? -1 : a.label > b.label ? 1 : 0));
  return new Map(
    ordered.map((c, i) => [
      c.id,
      {
        ink: inks[i % inks.length]!,
        dash: dashes[(i + Math.floor(i / dashes.length)) % dashes.length]!,
        label: c.label,
      },
    ]),
  );
}

/** Layer of a circuit's runs in drawing files. */
export const runLayer = (label: string): Layer => `RUNS-${label.replace(/[^A-Za-z0-9_-]/g, "_")}`;

/** One stretch of a run in its circuit's line. */
export function runLine(run: Run, style: RunStyle, points: readonly XY[], width = 2.4): Shape {
  const { ink, dash, label } = style;
  return { kind: "line", points, ink, width, layer: runLayer(label), id: run.id, ...(dash.length ? { dash } : {}) };
}

/** Heights between which a leg belongs to a storey: below its floor and above its highest ceiling, mm. */
const UNDER_FLOOR = 600;
const OVER_CEILING = 500;

/** The heights between which runs and holes are drawn on the plan of a storey, mm. */
export function storeyBand(job: Job, storey: string): { low: number; high: number } {
  const level = job.storeys.find((s) => s.id === storey)?.level ?? 0;
  const heights = job.rooms.filter((r) => r.storey === storey).map((r) => r.height);
  return { low: level - UNDER_FLOOR, high: level + Math.max(0, ...heights) + OVER_CEILING };
}

/** The legs of a run that lie on a storey, from above: x east, y down (south), mm. Plumb legs are drawn as the dot they are. */
export function legsFromAbove(run: Run, band: { low: number; high: number }): { leg: number; points: XY[] }[] {
  return run.legs.flatMap((l, leg) =>
    // A trench belongs to the storey of the wall it leaves, however deep it is.
    (l.surface.kind === "outside" ? [l.path[0]!] : l.path).every((p) => p[2] >= band.low && p[2] <= band.high)
      ? [{ leg, points: l.path.map((p): XY => [p[0], -p[1]]) }]
      : [],
  );
}

/** All runs of a storey from above, each in its circuit's line. */
export function planRuns(job: Job, plan: Plan, storey: string): Shape[] {
  const styles = runStyles(job);
  const band = storeyBand(job, storey);
  const seen = (points: readonly XY[]): boolean =>
    points.some((p) => Math.hypot(p[0] - points[0]![0], p[1] - points[0]![1]) > 1);
  return plan.runs.flatMap((r) =>
    legsFromAbove(r, band).flatMap((l) =>
      seen(l.points) ? [runLine(r, styles.get(r.circuit) ?? UNKNOWN_STYLE, l.points)] : [],
    ),
  );
}
