import type { House } from "../house/house";
import type { SiteEntry } from "../job/site-entry";
import type { Plan } from "../laid/laid";
import { behindWall } from "../plan/behind-wall";
import {
  boresPaper,
  circuitsPaper,
  cutsPaper,
  notifyPaper,
  roomPaper,
  stickPaper,
  storeyPaper,
  testsPaper,
} from "./house-papers";
import type { Paper, PaperKind } from "./paper";
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
}

/** The papers of a job that are wanted, in the order of a handover pack; none of what there is nothing of, nor of open walls with nothing on them. */
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
    wall: () => walls.map((w) => wallSheet(h, plan, siteBook, w, wanted.wallLink?.(w) ?? null)),
    stick: () => walls.map((w) => stickPaper(h, plan, w)),
    bores: () => (plan.holes.length ? [boresPaper(h, plan)] : []),
    circuits: () => (job.circuits.length ? [circuitsPaper(h, plan)] : []),
    cuts: () => (plan.runs.length ? [cutsPaper(h, plan)] : []),
    tests: () => (plan.runs.length ? [testsPaper(h, plan, siteBook)] : []),
    notify: () => (job.circuits.length ? [notifyPaper(h)] : []),
  };
  return wanted.kinds.flatMap((k) => make[k]()).filter((p): p is Paper => p !== null);
}
