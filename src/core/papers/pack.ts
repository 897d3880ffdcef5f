import { mainsOf } from "../job/mains";
import { count } from "../base/figures";
import type { House } from "../house/house";
import type { SiteEntry } from "../job/site-entry";
import type { Plan } from "../laid/laid";
import { behindWall } from "../plan/behind-wall";
import type { Now } from "../record/day";
import { boardPaper, boxesPaper, glandPapers, openedPapers } from "./end-papers";
import { boresPaper, circuitsPaper, cutsPaper, notifyPaper, roomPaper, storeyPaper, testsPaper } from "./house-papers";
import { buyPaper, dayPaper } from "./list-papers";
import { outsidePaper } from "./outside-paper";
import type { Paper, PaperKind } from "./paper";
import { joistSticks, runSticks, wallStick } from "./stick-papers";
import { wallSheet } from "./wall-sheet";

/** What papers are made of, and which of them. */
export interface Wanted {
  kinds: readonly PaperKind[];
  /** Only of this room, where a paper is of a room or a wall; null for all. */
  room: string | null;
  /** Only of this wall, where a paper is of a wall; null for all. */
  wall: string | null;
  /** Where the page of a wall is, for its code; null where this program is to be had at this machine alone. */
  wallLink: ((wall: string) => string) | null;
  /** The moment that the day list is worked out from: the clock of whoever asks. */
  now: Now;
  /** Whose clock times are told by, as IANA names it. */
  zone: string;
}

/** How far what is printed is what was built: a plan until cables are in. */
export function builtWords(plan: Plan): string {
  const held = plan.runs.filter((r) => r.held).length;
  return held === 0
    ? "as planned"
    : held === plan.runs.length
      ? "as built"
      : `as built where laid, ${held} of ${count(plan.runs.length, "run")}`;
}

/**
 * The papers of a job that are wanted, in the order of a handover pack; none of what there is nothing of, nor of open
 * walls with nothing on them.
 */
export function papersOf(h: House, plan: Plan, siteBook: readonly SiteEntry[], wanted: Wanted): Paper[] {
  const { job } = h;
  const rooms = job.rooms.filter((r) => wanted.room === null || r.id === wanted.room);
  const walls = rooms.flatMap((r) =>
    h.faces
      .filter((f) => f.room.id === r.id && (wanted.wall === null || f.wall.id === wanted.wall))
      .filter((f) => f.wall.build !== "open" || f.points.length || behindWall(h, plan, f.wall.id).length)
      .map((f) => f.wall.id),
  );
  const make: Record<PaperKind, () => (Paper | null)[]> = {
    plan: () =>
      job.storeys.filter((s) => job.rooms.some((r) => r.storey === s.id)).map((s) => storeyPaper(h, plan, s.id)),
    room: () => rooms.map((r) => roomPaper(h, plan, r.id)),
    wall: () => walls.map((w) => wallSheet(h, plan, siteBook, w, wanted.wallLink?.(w) ?? null, wanted.zone)),
    stick: () => walls.map((w) => wallStick(h, plan, w)),
    joists: () => joistSticks(h, plan),
    runs: () => runSticks(h, plan),
    bores: () => (plan.holes.length ? [boresPaper(h, plan)] : []),
    boxes: () => [
      ...job.points.filter((p) => p.kind === "board" && wanted.room === null).map((p) => boardPaper(h, plan, p.id)),
      ...rooms.map((r) => boxesPaper(h, plan, r.id)),
    ],
    glands: () => glandPapers(h, plan),
    opened: () => openedPapers(h, plan),
    outside: () => (wanted.room === null ? [outsidePaper(h, plan)] : []),
    circuits: () => (job.circuits.length ? [circuitsPaper(h, plan)] : []),
    cuts: () => (plan.runs.length ? [cutsPaper(h, plan)] : []),
    buy: () => (plan.runs.length ? [buyPaper(h, plan, siteBook)] : []),
    day: () => (plan.runs.length ? [dayPaper(h, plan, siteBook, wanted.now)] : []),
    tests: () => (plan.runs.length ? [testsPaper(h, plan, siteBook)] : []),
    notify: () => (mainsOf(job).length ? [notifyPaper(h)] : []),
  };
  return wanted.kinds.flatMap((k) => make[k]()).filter((p): p is Paper => p !== null);
}
