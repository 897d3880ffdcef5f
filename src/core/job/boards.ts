import { isMains, mainsOf } from "./mains";
import type { Circuit, Job, Point } from "./model";
import { pointsById, wiredTo } from "./wired";

/** Order of labels as people count them: DB2 before DB10; then by id. */
const byLabel = (a: Point, b: Point): number =>
  a.label.localeCompare(b.label, "en", { numeric: true }) || (a.id < b.id ? -1 : 1);

/**
 * The board that feeds whatever names none: the one with the first label. A board added later takes the next label, so that it never
 * takes over circuits by itself. Undefined when there is none.
 */
export const mainBoard = (job: Pick<Job, "points">): Point | undefined =>
  job.points.filter((p) => p.kind === "board").sort(byLabel)[0];

/** The cabinet where lines that carry no mains start that name none: the one with the first label. */
export const mainCabinet = (job: Pick<Job, "points">): Point | undefined =>
  job.points.filter((p) => p.kind === "cabinet").sort(byLabel)[0];

/**
 * Where a circuit starts: the board, or for lines that carry no mains the cabinet, that it names, else the main one; undefined when there
 * is none.
 */
export const boardOfCircuit = (job: Pick<Job, "points">, c: Pick<Circuit, "board" | "kind">): Point | undefined =>
  (c.board === null ? undefined : job.points.find((p) => p.id === c.board)) ??
  (isMains(c) ? mainBoard(job) : mainCabinet(job));

/** Boards that a circuit feeds: those on it, but for the one it starts from. */
export function boardsFedBy(job: Pick<Job, "points">, c: Circuit): string[] {
  const points = pointsById(job.points);
  const boards = wiredTo(c).filter((id) => points.get(id)?.kind === "board");
  if (!boards.length) return boards;
  const own = boardOfCircuit(job, c)?.id;
  return boards.filter((id) => id !== own);
}

/** The circuit that feeds a board; undefined for the main one, and where it is not known. */
export const feedOf = (job: Pick<Job, "points" | "circuits">, board: string): Circuit | undefined =>
  mainsOf(job).find((c) => boardsFedBy(job, c).includes(board));
