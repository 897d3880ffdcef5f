import { and, asc, desc, eq, gt, isNotNull, isNull, sql } from "drizzle-orm";
import { checkInvariants } from "../core/job/invariants";
import type { Job } from "../core/job/model";
import { type Change, type Refusal, applyPatch, current, equal, parsePatch } from "../core/job/patch";
import { catalogueOf } from "./catalogue";
import type { Db } from "./client";
import { readJob, writeChange, writeJob } from "./job-rows";
import * as schema from "./schema";

export interface JobLine {
  id: string;
  name: string;
  address: string;
  rooms: number;
  points: number;
  circuits: number;
  updatedAt: string;
}

/** Jobs on the list, newest change first. */
export async function listJobs(db: Db): Promise<JobLine[]> {
  const count = (table: string) =>
    sql<number>`(select count(*)::int from ${sql.identifier(table)} x where x.job_id = ${schema.jobs}.id)`;
  const rows = await db
    .select({
      id: schema.jobs.id,
      name: schema.jobs.name,
      address: schema.jobs.address,
      updatedAt: schema.jobs.updatedAt,
      rooms: count("rooms"),
      points: count("points"),
      circuits: count("circuits"),
    })
    .from(schema.jobs)
    .where(isNull(schema.jobs.deletedAt))
    .orderBy(desc(schema.jobs.updatedAt), asc(schema.jobs.id));
  return rows.map((r) => ({ ...r, updatedAt: r.updatedAt.toISOString() }));
}

/** A job that is on the list, with its version; null when there is none. */
export async function findJob(db: Db, id: string): Promise<{ job: Job; version: number } | null> {
  const [row] = await db
    .select({ id: schema.jobs.id })
    .from(schema.jobs)
    .where(and(eq(schema.jobs.id, id), isNull(schema.jobs.deletedAt)));
  return row ? readJob(db, id) : null;
}

/** Stores a whole job under its id. */
export async function addJob(db: Db, job: Job): Promise<void> {
  await db.transaction(async (tx) => writeJob(tx as unknown as Db, job));
}

/** Takes a job off the list (or puts it back); its rows stay. Returns false when there is no such job. */
export async function setDeleted(db: Db, id: string, deleted: boolean): Promise<boolean> {
  const rows = await db
    .update(schema.jobs)
    .set({ deletedAt: deleted ? new Date() : null })
    .where(and(eq(schema.jobs.id, id), deleted ? isNull(schema.jobs.deletedAt) : isNotNull(schema.jobs.deletedAt)))
    .returning({ id: schema.jobs.id });
  return rows.length > 0;
}

/** What became of a patch. `conflict` lists what another person changed meanwhile; nothing of the patch is stored then. */
export type EditResult =
  | { kind: "stored"; version: number; missed: { version: number; patch: Change[] }[] }
  | { kind: "conflict"; version: number; job: Job; clashes: { collection: Change["collection"]; id: string }[] }
  | { kind: "refused"; refusals: Refusal[] }
  | { kind: "gone" };

/**
 * Stores a patch made against version `base`. Changes by others to other things since then are no conflict: the patch is
 * stored on top and they are returned as `missed`. When a thing in the patch no longer is as the patch says it was, the
 * whole patch is held back as a conflict. What breaks the job's invariants is refused in words.
 */
export async function editJob(db: Db, id: string, base: number, input: unknown): Promise<EditResult> {
  const parsed = parsePatch(input);
  if ("refusals" in parsed) return { kind: "refused", refusals: parsed.refusals };
  return db.transaction(async (tx) => {
    const t = tx as unknown as Db;
    const [head] = await t
      .select({ version: schema.jobs.version })
      .from(schema.jobs)
      .where(and(eq(schema.jobs.id, id), isNull(schema.jobs.deletedAt)))
      .for("update");
    if (!head) return { kind: "gone" };
    const { job } = (await readJob(t, id))!;
    const clashes = parsed.patch
      .filter((c) => !equal(current(job, c), c.before) && !equal(current(job, c), c.after))
      .map(({ collection, id: thing }) => ({ collection, id: thing }));
    if (clashes.length) return { kind: "conflict", version: head.version, job, clashes };
    const next = applyPatch(job, parsed.patch);
    const refusals = checkInvariants(next, await catalogueOf(t));
    if (refusals.length) return { kind: "refused", refusals };
    const missed =
      base < head.version
        ? await t
            .select({ version: schema.edits.version, patch: schema.edits.patch })
            .from(schema.edits)
            .where(and(eq(schema.edits.jobId, id), gt(schema.edits.version, base)))
            .orderBy(asc(schema.edits.version))
        : [];
    for (const c of parsed.patch) await writeChange(t, id, c);
    const version = head.version + 1;
    await t.update(schema.jobs).set({ version, updatedAt: new Date() }).where(eq(schema.jobs.id, id));
    await t.insert(schema.edits).values({ jobId: id, version, patch: parsed.patch });
    return { kind: "stored", version, missed: missed as { version: number; patch: Change[] }[] };
  });
}

/** Patches stored after a version, oldest first. */
export async function editsSince(db: Db, id: string, version: number): Promise<{ version: number; patch: Change[] }[]> {
  const rows = await db
    .select({ version: schema.edits.version, patch: schema.edits.patch })
    .from(schema.edits)
    .where(and(eq(schema.edits.jobId, id), gt(schema.edits.version, version)))
    .orderBy(asc(schema.edits.version));
  return rows as { version: number; patch: Change[] }[];
}
