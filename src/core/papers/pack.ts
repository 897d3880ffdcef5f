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

/** The papers of a job that are wanted, in the order of a handover pack. Walls that are open, with nothing on them, have none. */
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
    plan: () => job.storeys.map((s) => storeyPaper(h, plan, s.id)),
    room: () => rooms.map((r) => roomPaper(h, plan, r.id)),
    wall: () => walls.map((w) => wallSheet(h, plan, siteBook, w, wanted.wallLink?.(w) ?? null)),
    stick: () => walls.map((w) => stickPaper(h, plan, w)),
    bores: () => [boresPaper(h, plan)],
    circuits: () => [circuitsPaper(h, plan)],
    cuts: () => [cutsPaper(h, plan)],
    tests: () => [testsPaper(h, plan, siteBook)],
    notify: () => [notifyPaper(h)],
  };
  return wanted.kinds.flatMap((k) => make[k]()).filter((p): p is Paper => p !== null);
}
