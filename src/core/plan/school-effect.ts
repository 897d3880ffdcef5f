import { mainsOf } from "../job/mains";
import { mainBoard } from "../job/boards";
import { type Fact, factKey } from "../rules/fact";
import { twoRadials } from "../trades/circuits/two-radials";
import type { Circuit, Job } from "../job/model";
import { canonical } from "../job/model";
import { coresFor } from "../rules/cores";
import type { Catalogue } from "../rules/catalogue";
import { type SchoolKey, type Schools, schoolQuestions } from "../rules/schools";
import { entryOrder } from "../trades/board/entry-order";
import { makePlan } from "./plan";
import type { Plan } from "../laid/laid";

/** What is counted when two schools are compared. Cable in m. */
export interface PlanCounts {
  clips: number;
  metalClips: number;
  holes: number;
  cable: number;
  /** Cable of three cores, m. */
  three: number;
  circuits: number;
  stops: number;
  looks: number;
  parts: number;
}
export interface SchoolEffect {
  key: SchoolKey;
  from: string;
  to: string;
  before: PlanCounts;
  after: PlanCounts;
  /** Stops and warnings that only one of the two has. */
  gone: Fact[];
  come: Fact[];
  /** Ways of the board that differ, for the order in the board. */
  ways: number;
}

function countsOf(plan: Plan, job: Job): PlanCounts {
  return {
    clips: plan.clips.reduce((s, c) => s + c.marks.length, 0),
    metalClips: plan.clips.reduce((s, c) => s + (c.metal ? c.marks.length : 0), 0),
    holes: plan.holes.length,
    cable: plan.runs.reduce((s, r) => s + r.cutLength, 0) / 1000,
    three: plan.runs.reduce((s, r) => s + (coresFor(r.carries) === 3 ? r.cutLength : 0), 0) / 1000,
    circuits: job.circuits.filter((c) => c.points.length).length,
    stops: plan.facts.filter((f) => f.severity === "stop").length,
    looks: plan.facts.filter((f) => f.severity === "warn").length,
    parts: plan.takeoff.filter((t) => t.unit === "each").reduce((s, t) => s + t.quantity, 0),
  };
}

/** A ring as two radials over the same points: its order as laid, cut at the longest step that is not at the board. */
function asRadials(c: Circuit, plan: Plan, taken: ReadonlySet<number>, ways: number): Circuit[] {
  const runs = plan.runs.filter((r) => r.circuit === c.id && c.points.includes(r.to));
  const order = runs.map((r) => r.to);
  const steps = plan.runs.filter((r) => r.circuit === c.id && c.points.includes(r.from) && c.points.includes(r.to));
  const longest = steps.reduce<(typeof steps)[number] | null>(
    (m, r) => (m === null || r.pathLength > m.pathLength + 1e-6 ? r : m),
    null,
  );
  const cut = longest ? order.indexOf(longest.to) : -1;
  if (cut <= 0 || order.length < 2) return [c];
  let way: number | null = null;
  for (let w = 1; w <= ways && way === null; w++) if (!taken.has(w)) way = w;
  const first = order.slice(0, cut);
  return twoRadials(
    c,
    first,
    c.points.filter((p) => !first.includes(p)),
    way,
  );
}

/** Two 20 A socket radials joined into one ring. */
function asRing(a: Circuit, b: Circuit): Circuit {
  return {
    ...a,
    kind: "ring",
    device: { ...a.device, rating: 32 },
    points: [...a.points, ...b.points],
    spurs: [...a.spurs, ...b.spurs],
    order: "find",
  };
}

/** The job as the school would have it: its setting, and for socket circuits the circuits themselves. Pins of changed circuits are let go. */
export function withSchool(job: Job, plan: Plan, key: SchoolKey, value: string): Job {
  const next: Job = {
    ...job,
    settings: { ...job.settings, schools: { ...job.settings.schools, [key]: value } as Schools },
  };
  if (key !== "socketCircuits") return next;
  const ways = mainBoard(job)?.ways ?? 0;
  const taken = new Set(job.circuits.flatMap((c) => c.way ?? []));
  let circuits: Circuit[];
  if (value === "radials")
    circuits = job.circuits.flatMap((c) => {
      if (c.kind !== "ring") return [c];
      const made = asRadials(c, plan, taken, ways);
      for (const m of made) if (m.way !== null) taken.add(m.way);
      return made;
    });
  else {
    const small = job.circuits.filter(
      (c) =>
        c.kind === "radial" &&
        c.device.rating === 20 &&
        c.points.length > 0 &&
        c.points.every((p) => job.points.some((x) => x.id === p && x.kind === "socket")),
    );
    const joined = new Map<string, Circuit | null>();
    for (let i = 0; i + 1 < small.length; i += 2) {
      joined.set(small[i]!.id, asRing(small[i]!, small[i + 1]!));
      joined.set(small[i + 1]!.id, null);
    }
    circuits = job.circuits.flatMap((c) => (joined.has(c.id) ? (joined.get(c.id) ?? []) : [c]));
  }
  const kept = new Set(circuits.map((c) => c.id));
  const same = new Set(circuits.filter((c) => job.circuits.includes(c)).map((c) => c.id));
  return canonical({ ...next, circuits, pins: job.pins.filter((p) => kept.has(p.circuit) && same.has(p.circuit)) });
}

/** Ways that a school of ordering the board would give: circuits by way, the heaviest first or by the room they mostly serve. */
export function waysBy(job: Job, order: Schools["boardOrder"]): string[] {
  if (order === "heaviest")
    return entryOrder(
      mainsOf(job).map((c, i) => ({ id: c.id, rating: c.device.rating, arrival: i })),
      [],
    ).arrivalOrder;
  const roomOfWall = new Map(job.walls.map((w) => [w.id, w.room]));
  const roomName = new Map(job.rooms.map((r) => [r.id, r.name]));
  const nameOf = (c: Circuit): string => {
    const rooms = c.points.flatMap((id) => {
      const p = job.points.find((x) => x.id === id);
      return p?.place.on === "wall" ? (roomName.get(roomOfWall.get(p.place.wall) ?? "") ?? []) : [];
    });
    const by = new Map<string, number>();
    for (const r of rooms) by.set(r, (by.get(r) ?? 0) + 1);
    return [...by].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))[0]?.[0] ?? "\uffff";
  };
  return mainsOf(job)
    .sort(
      (a, b) =>
        (nameOf(a) < nameOf(b) ? -1 : nameOf(a) > nameOf(b) ? 1 : 0) ||
        b.device.rating - a.device.rating ||
        (a.id < b.id ? -1 : 1),
    )
    .map((c) => c.id);
}

/** What would change in this job if the other option were chosen: both plans worked out in full and counted. */
export function schoolEffect(job: Job, key: SchoolKey, to: string, catalogue?: Catalogue): SchoolEffect {
  const options = catalogue ? { catalogue } : {};
  const from = job.settings.schools[key];
  const plan = makePlan(job, options);
  const other = withSchool(job, plan, key, to);
  const otherPlan = schoolQuestions.find((s) => s.key === key)!.changes === "steps" ? plan : makePlan(other, options);
  const grave = (p: Plan): Fact[] => p.facts.filter((f) => f.severity !== "note");
  const only = (these: Fact[], others: Fact[]): Fact[] => {
    const keys = new Set(others.map(factKey));
    return these.filter((f) => !keys.has(factKey(f)));
  };
  const [a, b] = [waysBy(job, "heaviest"), waysBy(job, "by-room")];
  return {
    key,
    from,
    to,
    before: countsOf(plan, job),
    after: countsOf(otherPlan, other),
    gone: only(grave(plan), grave(otherPlan)),
    come: only(grave(otherPlan), grave(plan)),
    ways: key === "boardOrder" ? a.filter((id, i) => b[i] !== id).length : 0,
  };
}
