import type { House } from "../house/house";
import { type SiteEntry, type Step } from "../job/site-entry";
import type { Plan } from "../laid/laid";
import { type TaskKind, minutes, taskKinds, timeFactor } from "../rules/times";
import { releasedSurfaces } from "./closing";
import { stateOf } from "./entries";
import { cannotsOf, markName, marksOf } from "./marks";
import { type Part, partsOf } from "./parts";

/** What a kind of work waits for: kinds that share a run with it, and kinds at the same place. */
const before: Record<TaskKind, { run?: readonly TaskKind[]; place?: readonly TaskKind[] }> = {
  isolate: {},
  "boards-up": {},
  // Nobody drills or cuts beside an old circuit that is still live.
  bore: { run: ["isolate"], place: ["boards-up"] },
  chase: { run: ["isolate"] },
  box: { run: ["isolate"] },
  section: {},
  dig: {},
  hang: {},
  lights: { place: ["dig"] },
  "draw-in": { run: ["isolate", "boards-up", "bore", "chase", "box", "section", "dig", "hang"] },
  clip: { run: ["draw-in"] },
  cover: { run: ["draw-in"], place: ["clip"] },
  tails: { run: ["draw-in"] },
  joint: { run: ["draw-in", "isolate"] },
  test: { run: ["draw-in", "clip", "tails"] },
  ring: { run: ["test"] },
  photo: { place: ["clip", "cover", "chase"], run: ["draw-in"] },
  "boards-down": { run: ["test"], place: ["clip", "photo"] },
  close: { run: ["test"], place: ["clip", "cover", "photo", "boards-down"] },
  fill: { run: ["test"], place: ["lights", "photo", "close"] },
};

/** The step of a run that a kind of work is; null where the steps do not name it. */
export const stepOf: Partial<Record<TaskKind, Step>> = {
  bore: "bored",
  "draw-in": "drawn-in",
  clip: "clipped",
  test: "tested",
};

export type PartState =
  | { kind: "done" }
  /** Told that it cannot be done, with the reason. */
  | { kind: "cannot"; why: string; by: string; at: string }
  /** Waits for something that cannot be done. */
  | { kind: "held"; by: Part }
  /** Waits for other work, the first of it. */
  | { kind: "waits"; for: Part }
  | { kind: "ready" };

/** Parts of one kind at one place, done without moving on. */
export interface Task {
  id: string;
  kind: TaskKind;
  group: string;
  parts: { part: Part; state: PartState }[];
  /** Minutes that what is left and can be done takes. */
  minutes: number;
  noisy: boolean;
  /** Tasks with something left that must be done before any of it. */
  after: string[];
}

const placeOf = (p: Part): string => `${p.at.kind}:${p.at.id}`;

const toldAtPlace: ReadonlySet<TaskKind> = new Set([
  "boards-up",
  "box",
  "tails",
  "section",
  "ring",
  "boards-down",
  "dig",
  "hang",
  "lights",
  "fill",
  "isolate",
  "joint",
]);

/** Keys of the record that a part is told under: its runs, or the place where no run alone is meant. */
export const keysOf = (p: Part): string[] => (toldAtPlace.has(p.kind) ? [placeOf(p)] : p.runs);

/** What is done of all parts: by its own mark, by the step of its runs, or because what came after it is done. */
export function partsDone(
  parts: readonly Part[],
  entries: readonly SiteEntry[],
  photographed: ReadonlySet<string>,
  closed: ReadonlySet<string>,
): Set<string> {
  const marks = marksOf(entries);
  const states = new Map<string, ReturnType<typeof stateOf>>();
  const byRun = new Map<string, SiteEntry[]>();
  for (const e of entries) {
    const list = byRun.get(e.run);
    if (list) list.push(e);
    else byRun.set(e.run, [e]);
  }
  const state = (run: string): ReturnType<typeof stateOf> => {
    const there = states.get(run) ?? stateOf(byRun.get(run) ?? [], run);
    states.set(run, there);
    return there;
  };
  const stepDone = (run: string, step: Step): boolean => state(run)[step].done;
  const isDone = (p: Part): boolean => {
    const place = placeOf(p);
    if (p.kind === "photo") return photographed.has(place) || closed.has(place);
    if (p.kind === "close" || (closed.has(place) && p.kind !== "fill")) return closed.has(place);
    if (p.kind === "draw-in" || p.kind === "test") return stepDone(p.runs[0]!, stepOf[p.kind]!);
    // What a later step shows to be there is there.
    const later: Partial<Record<TaskKind, Step>> = {
      chase: "drawn-in",
      section: "drawn-in",
      dig: "drawn-in",
      hang: "drawn-in",
      isolate: "drawn-in",
      box: "tested",
      tails: "tested",
    };
    const step = stepOf[p.kind];
    const told = (run: string): boolean => (step ? stepDone(run, step) : false) || marks.has(markName(run, p.id));
    if (keysOf(p).every(told)) return true;
    const shown = later[p.kind];
    return shown !== undefined && p.runs.length > 0 && p.runs.every((r) => stepDone(r, shown));
  };
  const done = new Set(parts.filter(isDone).map((p) => p.id));
  // Boards are up where somebody drilled under them.
  const drilled = new Set(parts.filter((p) => p.kind === "bore" && done.has(p.id)).map(placeOf));
  const drawn = (p: Part): boolean => p.runs.every((r) => stepDone(r, "drawn-in"));
  for (const p of parts) if (p.kind === "boards-up" && (drilled.has(placeOf(p)) || drawn(p))) done.add(p.id);
  return done;
}

/** Which of the parts must be done before each: those it waits for, done or not. */
function beforeEach(parts: readonly Part[]): Map<string, Part[]> {
  const index = (key: (p: Part) => readonly string[]): Map<string, Part[]> => {
    const out = new Map<string, Part[]>();
    for (const p of parts)
      for (const k of key(p)) {
        const name = `${p.kind}\u0000${k}`;
        const list = out.get(name);
        if (list) list.push(p);
        else out.set(name, [p]);
      }
    return out;
  };
  const byRun = index((p) => p.runs);
  const byPlace = index((p) => [placeOf(p)]);
  return new Map(
    parts.map((p) => {
      const { run = [], place = [] } = before[p.kind];
      const all = [
        ...place.flatMap((k) => byPlace.get(`${k}\u0000${placeOf(p)}`) ?? []),
        ...run.flatMap((k) => p.runs.flatMap((r) => byRun.get(`${k}\u0000${r}`) ?? [])),
      ];
      return [p.id, [...new Set(all)].filter((q) => q !== p)];
    }),
  );
}

const known = new WeakMap<readonly Part[], Map<string, Part[]>>();

/** Order of kinds, as the work forces it. */
const rank = new Map(taskKinds.map((k, i) => [k, i]));

/** How all work of a job stands: by task, in the order of the work and of a walk through the house. */
export function tasksOf(
  h: House,
  plan: Plan,
  entries: readonly SiteEntry[],
  learned: Partial<Record<TaskKind, number>> = {},
  parts: readonly Part[] = partsOf(h, plan),
): Task[] {
  const closed = new Set(releasedSurfaces(entries));
  const done = partsDone(
    parts,
    entries,
    new Set(
      h.job.photos.map((p) =>
        p.wall !== null ? `wall:${p.wall}` : p.deck !== null ? `deck:${p.deck}` : `outside:${p.outside}`,
      ),
    ),
    closed,
  );
  const cannots = cannotsOf(entries);
  // What waits for what is a matter of the plan alone: worked out once for its parts, not at every tick.
  const first = known.get(parts) ?? beforeEach(parts);
  known.set(parts, first);
  const cannotOf = (p: Part): SiteEntry | undefined => {
    for (const key of keysOf(p)) {
      const step = stepOf[p.kind];
      const c = cannots.get(markName(key, p.id)) ?? (step ? cannots.get(markName(key, step)) : undefined);
      if (c) return c;
    }
    return undefined;
  };
  const states = new Map<string, PartState>();
  // Kinds wait for earlier kinds only, so that one walk in their order settles all.
  for (const p of [...parts].sort((a, b) => rank.get(a.kind)! - rank.get(b.kind)!)) {
    const open = (first.get(p.id) ?? []).filter((q) => !done.has(q.id));
    const c = cannotOf(p);
    const stuck = open.find((q) => ["cannot", "held"].includes(states.get(q.id)!.kind));
    const by = stuck && states.get(stuck.id)!;
    states.set(
      p.id,
      done.has(p.id)
        ? { kind: "done" }
        : c
          ? { kind: "cannot", why: c.text, by: c.by, at: c.at }
          : stuck
            ? { kind: "held", by: by?.kind === "held" ? by.by : stuck }
            : open[0]
              ? { kind: "waits", for: open[0] }
              : { kind: "ready" },
    );
  }
  return grouped(h, parts, states, first, learned);
}

function grouped(
  h: House,
  parts: readonly Part[],
  states: ReadonlyMap<string, PartState>,
  first: ReadonlyMap<string, Part[]>,
  learned: Partial<Record<TaskKind, number>>,
): Task[] {
  const idOf = (p: Part): string => `${p.kind}@${p.group}`;
  const tasks = new Map<string, Task>();
  for (const part of parts) {
    const id = idOf(part);
    const task = tasks.get(id) ?? {
      id,
      kind: part.kind,
      group: part.group,
      parts: [],
      minutes: 0,
      noisy: false,
      after: [],
    };
    tasks.set(id, task);
    task.parts.push({ part, state: states.get(part.id)! });
  }
  const doable = (s: PartState): boolean => s.kind === "ready" || s.kind === "waits";
  for (const t of tasks.values()) {
    const left = t.parts.filter((x) => doable(x.state));
    if (!left.length) continue;
    const usual = left.reduce((sum, x) => sum + x.part.usual, 0);
    t.minutes = minutes.setUp + usual * timeFactor(t.kind, h.job.work, learned);
    t.noisy = left.some((x) => x.part.noisy);
    t.after = [
      ...new Set(
        left.flatMap(({ part }) => (first.get(part.id) ?? []).filter((q) => doable(states.get(q.id)!)).map(idOf)),
      ),
    ].filter((id) => id !== t.id);
  }
  return [...tasks.values()];
}

/** Tasks with something left that can be done, now or after other work. */
export const openTasks = (tasks: readonly Task[]): Task[] => tasks.filter((t) => t.minutes > 0);
