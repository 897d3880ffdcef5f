import { wiredTo } from "../../core/job/wired";
import type { Job } from "../../core/job/model";
import type { Plan } from "../../core/laid/laid";
import { progress } from "../../core/record/entries";
import { neededSteps } from "../../core/record/needed";
import type { SiteEntry } from "../../core/job/site-entry";

/** The order of work. */
export const stages = [
  { id: "survey", name: "Survey" },
  { id: "points", name: "Points" },
  { id: "circuits", name: "Circuits" },
  { id: "old-wiring", name: "Old wiring" },
  { id: "routes", name: "Routes" },
  { id: "outside", name: "Outside" },
  { id: "timber", name: "Timber" },
  { id: "containment", name: "Containment" },
  { id: "fixings", name: "Fixings" },
  { id: "ends", name: "Ends" },
  { id: "board", name: "Board" },
  { id: "materials", name: "Materials" },
  { id: "site-book", name: "Site book" },
] as const;
export type StageId = (typeof stages)[number]["id"];
export const isStage = (x: unknown): x is StageId => stages.some((s) => s.id === x);

/** Ways of looking at the house. */
export const views = ["unrolled", "plan", "deck", "solid", "schedule"] as const;
export type View = (typeof views)[number];
export const viewOf = (x: unknown): View | null => views.find((v) => v === x) ?? null;

/** Stage that a rule's findings are settled in. */
export function stageOfRule(rule: string): StageId {
  const head = rule.split(".")[0];
  if (rule === "timber.long-span") return "survey";
  if (head === "outside" || head === "buried" || head === "overhead" || head === "lights") return "outside";
  if (head === "extend" || head === "retrofit") return "old-wiring";
  if (head === "found" || head === "supply") return "survey";
  if (head === "point" || head === "party" || head === "kitchen" || head === "height") return "points";
  if (rule === "bath.socket" || rule === "bath.ip" || head === "alarm") return "points";
  if (rule === "signal.mixed" || rule === "signal.start") return "circuits";
  if (head === "circuit" || head === "lighting" || head === "bath") return "circuits";
  if (head === "timber" || head === "hole") return "timber";
  if (head === "fill" || head === "fold" || head === "section" || rule === "bend.conduit") return "containment";
  if (head === "clip" || head === "fire") return "fixings";
  if (head === "end" || head === "gland" || head === "armour" || head === "mi") return "ends";
  if (head === "board") return "board";
  if (head === "stock") return "materials";
  if (head === "work") return "site-book";
  if (rule === "zone.rcd") return "circuits";
  return "routes";
}

export interface StageState {
  words: string;
  /** Findings to settle: stops and warnings. */
  open: number;
  settled: boolean;
}

const n = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`;

/** What the stage of containment says: its sections and how many are too full; without any, the capping over chases. */
function sectionWords(job: Job, plan: Plan | null, chased: number): string {
  const sections = job.sections.length + job.foundTrunkings.length;
  if (!sections) return `${chased.toFixed(1)} m capping`;
  const full = new Set(
    plan?.facts
      .filter((f) => (f.rule === "fill.space" || f.rule === "fill.layer") && f.subject.kind !== "input")
      .map((f) => f.subject.id),
  ).size;
  return `${n(sections, "section")}${full ? `, ${full} too full` : ""}`;
}

/** What the stage out of doors says: what is dug, hung and lit. */
function outsideWords(job: Job): string {
  const parts = [
    job.outsideWays.length ? n(job.outsideWays.length, "way") : "",
    job.lightRows.length ? n(job.lightRows.length, "row of lights", "rows of lights") : "",
  ].filter(Boolean);
  if (parts.length) return parts.join(", ");
  return job.rooms.some((r) => r.kind === "yard") ? "nothing drawn" : "no yard";
}

/** What each stage says of itself in the order of work. Counts only; the numbers come from the plan. */
export function stageStates(job: Job, plan: Plan | null, siteBook: readonly SiteEntry[]): Record<StageId, StageState> {
  const open = (id: StageId): number =>
    plan?.facts.filter((f) => f.severity !== "note" && stageOfRule(f.rule) === id).length ?? 0;
  const state = (id: StageId, words: string, done: boolean): StageState => ({
    words,
    open: open(id),
    settled: done && open(id) === 0,
  });
  const laid = plan?.runs.length ?? 0;
  const wired = new Set(job.circuits.flatMap(wiredTo));
  const ways = job.points.filter((p) => p.kind === "board").reduce((n, b) => n + b.ways, 0);
  const chased = plan?.takeoff.filter((t) => t.item === "Capping").reduce((s, t) => s + t.quantity, 0) ?? 0;
  const clips = plan?.clips.reduce((s, c) => s + c.marks.length, 0) ?? 0;
  const old = job.circuits.filter((c) => c.state === "extend");
  const done = progress(
    siteBook,
    (plan?.runs ?? []).map((r) => ({ id: r.id, steps: plan ? neededSteps(plan, r.id) : [] })),
  );
  return {
    survey: state("survey", `${n(job.rooms.length, "room")}, ${n(job.decks.length, "deck")}`, job.rooms.length > 0),
    points: state("points", `${job.points.length} placed, ${wired.size} wired`, job.points.length > 0),
    circuits: state("circuits", n(job.circuits.length, "circuit"), job.circuits.length > 0),
    "old-wiring": state("old-wiring", old.length ? `${n(old.length, "circuit")} to add to` : "nothing added to", true),
    routes: state("routes", plan ? `${n(laid, "run")} laid` : "working out", laid > 0),
    outside: state("outside", outsideWords(job), true),
    timber: state("timber", n(plan?.holes.length ?? 0, "hole"), laid > 0),
    containment: state("containment", sectionWords(job, plan, chased), laid > 0),
    fixings: state("fixings", n(clips, "clip"), laid > 0),
    ends: state("ends", n(plan?.ends.length ?? 0, "termination"), laid > 0),
    board: state(
      "board",
      `${job.circuits.filter((c) => c.way !== null).length} of ${ways} ways`,
      ways > 0 && job.circuits.every((c) => c.way !== null),
    ),
    materials: state(
      "materials",
      plan ? `${(plan.runs.reduce((s, r) => s + r.cutLength, 0) / 1000).toFixed(1)} m cable` : "",
      laid > 0,
    ),
    "site-book": state(
      "site-book",
      done.of ? `${done.done} of ${done.of} steps` : "nothing to do yet",
      done.of > 0 && done.done === done.of,
    ),
  };
}
