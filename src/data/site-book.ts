import { and, asc, eq, inArray } from "drizzle-orm";
import { equal } from "../core/job/patch";
import type { SiteEntry } from "../core/job/site-entry";
import type { Db } from "./db";
import * as schema from "./schema";

/** All lines of a job's site book, oldest first. */
export async function siteBookOf(db: Db, jobId: string): Promise<SiteEntry[]> {
  const rows = await db
    .select()
    .from(schema.siteEntries)
    .where(eq(schema.siteEntries.jobId, jobId))
    .orderBy(asc(schema.siteEntries.at), asc(schema.siteEntries.id));
  return rows.map(lineOf);
}

const lineOf = ({
  id,
  run,
  kind,
  step,
  text,
  by,
  at,
  held,
  reading,
  after,
  along,
  mark,
  cut,
  place,
  instrument,
}: typeof schema.siteEntries.$inferSelect): SiteEntry => ({
  id,
  run,
  kind: kind as SiteEntry["kind"],
  step: step as SiteEntry["step"],
  text,
  by,
  at,
  ...(held === null ? {} : { held }),
  ...(reading === null ? {} : { reading }),
  ...(after === null ? {} : { after }),
  ...(along === null ? {} : { along }),
  ...(mark === null ? {} : { mark }),
  ...(cut === null ? {} : { cut }),
  ...(place === null ? {} : { place }),
  ...(instrument === null ? {} : { instrument }),
});

/** A line that was not taken, with the reason in words. */
export interface RefusedLine {
  id: string;
  message: string;
}

/**
 * Adds lines. One already there (sent twice from a phone with a poor signal) is left as it is; where another line has its id it is
 * told, so that nobody takes it for stored.
 */
export async function addSiteEntries(db: Db, jobId: string, entries: readonly SiteEntry[]): Promise<RefusedLine[]> {
  const refused: RefusedLine[] = [];
  for (let i = 0; i < entries.length; i += 200) {
    const some = entries.slice(i, i + 200);
    const put = await db
      .insert(schema.siteEntries)
      .values(some.map((e) => ({ jobId, ...e })))
      .onConflictDoNothing()
      .returning({ id: schema.siteEntries.id });
    const stored = new Set(put.map((p) => p.id));
    const others = some.filter((e) => !stored.has(e.id));
    if (!others.length) continue;
    const there = await db
      .select()
      .from(schema.siteEntries)
      .where(
        and(
          eq(schema.siteEntries.jobId, jobId),
          inArray(
            schema.siteEntries.id,
            others.map((e) => e.id),
          ),
        ),
      );
    const byId = new Map(there.map((r) => [r.id, lineOf(r)]));
    for (const e of others)
      if (!equal(byId.get(e.id), { ...e, held: e.held ?? undefined }))
        refused.push({ id: e.id, message: "another line of the record has its number already" });
  }
  return refused;
}
