import { asc, eq } from "drizzle-orm";
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
  return rows.map(({ id, run, kind, step, text, by, at, held, reading }) => ({
    id,
    run,
    kind: kind as SiteEntry["kind"],
    step: step as SiteEntry["step"],
    text,
    by,
    at,
    ...(held === null ? {} : { held }),
    ...(reading === null ? {} : { reading }),
  }));
}

/** Adds lines; one already there (sent twice from a phone with a poor signal) is left as it is. */
export async function addSiteEntries(db: Db, jobId: string, entries: readonly SiteEntry[]): Promise<void> {
  for (let i = 0; i < entries.length; i += 200)
    await db
      .insert(schema.siteEntries)
      .values(entries.slice(i, i + 200).map((e) => ({ jobId, ...e })))
      .onConflictDoNothing();
}
