import { createHash } from "node:crypto";
import { equal } from "../core/job/patch";
import type { SiteEntry } from "../core/job/site-entry";
import { inOrder } from "../core/record/order";
import type { Db } from "./db";
import { editJob, findJob } from "./jobs";
import { siteBookOf } from "./site-book";

/**
 * Puts points where they were built: for each that lines of the record tell of, the place of the last word about it. A line that
 * comes twice, or late after a newer one, moves nothing.
 */
export async function takeBuiltPoints(db: Db, jobId: string, lines: readonly SiteEntry[]): Promise<void> {
  const told = new Set(lines.flatMap((e) => (e.kind === "built" && e.place ? [e.run] : [])));
  if (!told.size) return;
  const book = await siteBookOf(db, jobId);
  for (const run of told) {
    const last = inOrder(book.filter((e) => e.run === run && e.kind === "built" && e.place)).at(-1);
    if (!last) continue;
    const found = await findJob(db, jobId);
    const point = found?.job.points.find((p) => `point:${p.id}` === run);
    if (!found || !point || equal(point.place, last.place)) continue;
    // A word once taken is not taken again, whatever comes after it.
    const key = `built-${createHash("sha256").update(last.id).digest("hex").slice(0, 24)}`;
    const patch = [{ collection: "points", id: point.id, before: point, after: { ...point, place: last.place } }];
    await editJob(db, jobId, found.version, [{ key, patch }], last.by, true);
  }
}
