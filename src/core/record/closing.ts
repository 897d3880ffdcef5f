import type { Job } from "../job/model";
import { type SiteEntry, type Step, steps } from "../job/site-entry";
import type { Plan } from "../laid/laid";
import { isHidden } from "../laid/run-measures";
import type { Fact } from "../rules/fact";
import { type Damage, damagesOf } from "./damage";
import { stateOf } from "./entries";
import { markName, marksOf, ringPart } from "./marks";
import { neededSteps } from "./needed";
import { inOrder } from "./order";

/** A wall's face, a deck (the floor above it and the ceiling below) or an open trench, with the runs that closing it hides. */
export interface Surface {
  /** "wall:ID", "deck:ID" or "outside:ID": under this the record knows it. */
  key: string;
  kind: "wall" | "deck" | "outside";
  id: string;
  /** Keys of the runs that lie in it and are not to be seen when it is closed. */
  runs: string[];
}

/** All surfaces that have anything of the plan hidden in them: walls in the order of the job, then decks and trenches. */
export function surfacesOf(job: Pick<Job, "walls" | "decks" | "outsideWays">, plan: Pick<Plan, "runs">): Surface[] {
  const of = (kind: Surface["kind"], id: string): Surface => ({
    key: `${kind}:${id}`,
    kind,
    id,
    runs: plan.runs
      .filter((r) => r.legs.some((l) => l.surface.kind === kind && l.surface.id === id && isHidden(l)))
      .map((r) => r.id),
  });
  return [
    ...job.walls.map((w) => of("wall", w.id)),
    ...job.decks.map((d) => of("deck", d.id)),
    ...job.outsideWays.map((w) => of("outside", w.id)),
  ].filter((s) => s.runs.length > 0);
}

/** What must be so before a surface is closed; each with what still stands against it. */
export interface ClosingList {
  /** Steps of runs not done: drilled, drawn in, clipped, tested on the tails. */
  steps: { step: Step; runs: string[] }[];
  /** Rules broken by what lies there. */
  rules: Fact[];
  /** Damage not repaired. */
  damage: Damage[];
  /** Without a photo. */
  photo: boolean;
}

/** Steps that closing waits for: making off is at second fix, the test is on the tails. */
const CLOSING_STEPS: readonly Step[] = steps.filter((s) => s !== "made-off");

/** What stands against closing a surface. */
export function closingList(
  surface: Surface,
  job: Pick<Job, "photos" | "points">,
  plan: Plan,
  entries: readonly SiteEntry[],
): ClosingList {
  const mine = new Set(surface.runs);
  const states = new Map(surface.runs.map((r) => [r, { state: stateOf(entries, r), needed: neededSteps(plan, r) }]));
  return {
    steps: CLOSING_STEPS.map((step) => ({
      step,
      runs: surface.runs.filter((r) => {
        const { state, needed } = states.get(r)!;
        return needed.includes(step) && !state[step].done;
      }),
    })).filter((s) => s.runs.length > 0),
    rules: plan.facts.filter((f) => f.severity === "stop" && isOn(f, surface, mine, job.points)),
    damage: damagesOf(entries).filter((d) => mine.has(d.run) && d.repair === null),
    photo: !job.photos.some((p) => p[surface.kind] === surface.id),
  };
}

/**
 * Rings with a cable in a surface that could be read end to end, since all their runs are tested, and were not: no bar to closing, as
 * a ring may go through many walls, but a fault is nearer at hand before. Ids of circuits.
 */
export function ringsUnread(
  surface: Pick<Surface, "runs">,
  circuits: readonly Pick<Job["circuits"][number], "id" | "kind">[],
  plan: Pick<Plan, "runs">,
  entries: readonly SiteEntry[],
): string[] {
  const marks = marksOf(entries);
  return circuits.flatMap(({ id, kind }) => {
    const runs = plan.runs.filter((r) => r.circuit === id);
    const here = kind === "ring" && runs.some((r) => surface.runs.includes(r.id));
    if (!here || marks.has(markName(`circuit:${id}`, ringPart(id)))) return [];
    return runs.every((r) => stateOf(entries, r.id).tested.done) ? [id] : [];
  });
}

/** Whether a fact is about this surface: a point on it, the place it names, or a run in it without naming another place. */
function isOn(f: Fact, surface: Surface, runs: ReadonlySet<string>, points: Job["points"]): boolean {
  if (f.subject.kind === "point" && surface.kind === "wall") {
    const at = points.find((p) => p.id === f.subject.id)?.place;
    return at !== undefined && "wall" in at && at.wall === surface.id;
  }
  if (f.subject.kind === "outside") return surface.kind === "outside" && f.subject.id === surface.id;
  const place = surface.kind === "outside" ? undefined : f.where?.[surface.kind];
  if (place !== undefined) return place === surface.id;
  if (f.where?.wall !== undefined || f.where?.deck !== undefined) return false;
  const run = f.where?.run ?? (f.subject.kind === "run" ? f.subject.id : undefined);
  return run !== undefined && runs.has(run);
}

/** How many things stand against closing. */
export const openOf = (list: ClosingList): number =>
  list.steps.reduce((n, s) => n + s.runs.length, 0) + list.rules.length + list.damage.length + (list.photo ? 1 : 0);

/** How a surface stands: released by somebody, ready to be, or open. */
export type SurfaceState =
  /** `since`: what came to stand against it after it was released. */
  | { kind: "released"; by: string; at: string; text: string; since: number }
  | { kind: "ready" }
  | { kind: "open"; open: number };

/** What of a line says that a surface is released or open again. */
type Said = Pick<SiteEntry, "id" | "run" | "kind" | "at" | "after">;

/** The last word about a surface: its release, or that it was taken back. Null where nobody said anything. */
export function lastReleased<E extends Said>(entries: readonly E[], key: string): E | null {
  const said = inOrder(entries.filter((e) => e.run === key && (e.kind === "released" || e.kind === "reopened")));
  const last = said[said.length - 1];
  return last?.kind === "released" ? last : null;
}

/** All surfaces that are released and not opened again. */
export function releasedSurfaces(entries: readonly Said[]): string[] {
  const said = entries.filter((e) => e.kind === "released" || e.kind === "reopened");
  return [...new Set(said.map((e) => e.run))].filter((key) => lastReleased(said, key) !== null).sort();
}

export function surfaceState(list: ClosingList, entries: readonly SiteEntry[], key: string): SurfaceState {
  const last = lastReleased(entries, key);
  const open = openOf(list);
  if (last) return { kind: "released", by: last.by, at: last.at, text: last.text, since: open };
  return open ? { kind: "open", open } : { kind: "ready" };
}

/**
 * Lines of the record that release a surface against which something still stands, as the record is with the lines before them.
 * @param before the record as it is; `lines` those to be added, oldest first
 * @returns by id of the line how many things stand against it
 */
export function refusedReleases(
  job: Pick<Job, "walls" | "decks" | "outsideWays" | "photos" | "points">,
  plan: Plan,
  before: readonly SiteEntry[],
  lines: readonly SiteEntry[],
): Map<string, number> {
  const surfaces = new Map(surfacesOf(job, plan).map((s) => [s.key, s]));
  const refused = new Map<string, number>();
  lines.forEach((e, i) => {
    if (e.kind !== "released") return;
    const surface = surfaces.get(e.run);
    const known = [...before, ...lines.slice(0, i)];
    const open = surface ? openOf(closingList(surface, job, plan, known)) : 0;
    if (!surface || open) refused.set(e.id, open);
  });
  return refused;
}
