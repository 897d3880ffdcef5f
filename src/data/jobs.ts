import type { JobLine } from "../core/job/job-line";
import { type SQL, and, asc, count, desc, eq, ilike, isNotNull, isNull, or, sql } from "drizzle-orm";
import { type ReleaseLine, frozenChanges } from "../core/record/frozen";
import { checkInvariants, newlyOffWall } from "../core/job/invariants";
import type { Collection, Job } from "../core/job/model";
import {
  type Change,
  type Head,
  type KeyedPatch,
  type Refusal,
  applyPatch,
  clashesOf,
  current,
  parsePatch,
} from "../core/job/patch";
import { catalogueFrom, ownRowsColumn } from "./catalogue";
import type { Db } from "./db";
import { type RowChanges, jobColumns, jobOfRow, readJob, rowsOf, writeJob, writeRows } from "./job-rows";
import * as schema from "./schema";

/** Edits kept one by one behind the newest; older ones are trimmed, and the rows as they stand are the checkpoint. */
export const EDITS_KEPT = 2000;
/** Trimmed when this many more have come, so that not every edit trims. */
const EDITS_SLACK = 200;

/** Jobs on the list whose name or address holds these words, however they are written. */
const listed = (words: string): SQL | undefined => {
  const like = `%${words.replace(/[\\%_]/g, "\\$&")}%`;
  return words
    ? and(isNull(schema.jobs.deletedAt), or(ilike(schema.jobs.name, like), ilike(schema.jobs.address, like)))
    : isNull(schema.jobs.deletedAt);
};

/** How many jobs are on the list, or of them hold these words. */
export async function countJobs(db: Db, words = ""): Promise<number> {
  const [row] = await db.select({ n: count() }).from(schema.jobs).where(listed(words));
  return row!.n;
}

/** Jobs on the list, newest change first: all, or the first so many that hold these words. */
export async function listJobs(db: Db, words = "", most?: number): Promise<JobLine[]> {
  const within = (table: string) =>
    sql<number>`(select count(*)::int from ${sql.identifier(table)} x where x.job_id = ${schema.jobs}.id)`;
  const rows = await db
    .select({
      id: schema.jobs.id,
      name: schema.jobs.name,
      address: schema.jobs.address,
      updatedAt: schema.jobs.updatedAt,
      rooms: within("rooms"),
      points: within("points"),
      circuits: within("circuits"),
    })
    .from(schema.jobs)
    .where(listed(words))
    .orderBy(desc(schema.jobs.updatedAt), asc(schema.jobs.id))
    .limit(most ?? 1_000_000);
  return rows.map((r) => ({ ...r, updatedAt: r.updatedAt.toISOString() }));
}

/** A job that is on the list, with its version; null when there is none. */
export async function findJob(db: Db, id: string): Promise<{ job: Job; version: number } | null> {
  const [row] = await db
    .select({ state: sql<string>`concat_ws(' ', version, created_at, updated_at)` })
    .from(schema.jobs)
    .where(and(eq(schema.jobs.id, id), isNull(schema.jobs.deletedAt)));
  if (!row) return null;
  const mine = recent.get(db) ?? new Map<string, Recent>();
  recent.set(db, mine);
  const there = mine.get(id);
  if (there?.state === row.state) return there.found;
  const found = await readJob(db, id);
  mine.delete(id);
  // Only what was read as it was looked at is kept: an edit in between makes it another.
  if (found && row.state.startsWith(`${found.version} `)) mine.set(id, { state: row.state, found });
  for (const old of mine.keys()) {
    if (mine.size <= RECENT) break;
    mine.delete(old);
  }
  return found;
}

/** Jobs as they were last read, while they stand as they were: a site page opened by many is read once. Nobody changes them. */
interface Recent {
  state: string;
  found: { job: Job; version: number };
}
const RECENT = 24;
const recent = new WeakMap<Db, Map<string, Recent>>();

/** True when the job is on the list. */
export async function jobThere(db: Db, id: string): Promise<boolean> {
  const rows = await db
    .select({ id: schema.jobs.id })
    .from(schema.jobs)
    .where(and(eq(schema.jobs.id, id), isNull(schema.jobs.deletedAt)));
  return rows.length > 0;
}

/** Stores a whole job under its id, with what belongs beside it (pictures, site book): all of it or nothing. */
export async function addJob(db: Db, job: Job, beside?: (tx: Db) => Promise<void>): Promise<void> {
  await db.transaction(async (tx) => {
    const t = tx as unknown as Db;
    await writeJob(t, job);
    await beside?.(t);
  });
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

/** A job in the bin, with the time it was put there (ISO 8601, UTC). */
export interface BinnedJob {
  id: string;
  name: string;
  address: string;
  deletedAt: string;
}
/** Jobs in the bin, last first. They stay until a person clears them. */
export async function binnedJobs(db: Db): Promise<BinnedJob[]> {
  const rows = await db
    .select({
      id: schema.jobs.id,
      name: schema.jobs.name,
      address: schema.jobs.address,
      deletedAt: schema.jobs.deletedAt,
    })
    .from(schema.jobs)
    .where(isNotNull(schema.jobs.deletedAt))
    .orderBy(desc(schema.jobs.deletedAt), asc(schema.jobs.id));
  return rows.map((r) => ({ ...r, deletedAt: r.deletedAt!.toISOString() }));
}
/** Clears a job of the bin for good, with everything that belongs to it. False where it is not in the bin. */
export async function clearJob(db: Db, id: string): Promise<boolean> {
  const rows = await db
    .delete(schema.jobs)
    .where(and(eq(schema.jobs.id, id), isNotNull(schema.jobs.deletedAt)))
    .returning({ id: schema.jobs.id });
  return rows.length > 0;
}

/** A patch that others have stored. */
export interface StoredPatch {
  version: number;
  patch: Change[];
}
/** What was stored after a version: the patches, or the whole job where they are no longer kept one by one. */
export type Since = { kind: "patches"; patches: StoredPatch[] } | { kind: "whole"; job: Job; version: number };

/** What became of patches. `conflict` lists what another person changed meanwhile; nothing of them is stored then. */
export type EditResult =
  | { kind: "stored"; version: number; missed: Since }
  | { kind: "conflict"; version: number; job: Job; clashes: Pick<Change, "collection" | "id">[] }
  | { kind: "refused"; refusals: Refusal[] }
  | { kind: "gone" };

/**
 * Stores patches made one after the other on top of version `base`. Changes by others to other things since then are no conflict:
 * the patches are stored on top and those changes are returned as `missed`. A patch whose key is known was stored before and is
 * passed over. Each change is judged against the job as the patches before it leave it; where another has meanwhile made it
 * something else, all is held back as a conflict. What breaks the job's invariants is refused in words.
 * Costs at most four statements: the lock, what stands, what is stored, and now and then the trimming of old edits.
 */
export async function editJob(
  db: Db,
  id: string,
  base: number,
  sent: readonly { key: string; patch: unknown }[],
  who = "",
  /** Of what was built, which is as it is: also in a surface that is released. */
  asBuilt = false,
): Promise<EditResult> {
  const clean: KeyedPatch[] = [];
  for (const s of sent) {
    const parsed = parsePatch(s.patch);
    if ("refusals" in parsed) return { kind: "refused", refusals: parsed.refusals };
    clean.push({ key: s.key, patch: parsed.patch });
  }
  return db.transaction(async (tx) => {
    const t = tx as unknown as Db;
    const locked = await t
      .select({ version: schema.jobs.version })
      .from(schema.jobs)
      .where(and(eq(schema.jobs.id, id), isNull(schema.jobs.deletedAt)))
      .for("update");
    if (!locked.length) return { kind: "gone" };
    const now = await standing(t, id, base, clean);
    const waiting = clean.filter((p) => !now.known.has(p.key));
    const flat = waiting.flatMap((p) => p.patch);
    const clashes = clashesOf(now.job, flat);
    if (clashes.length) return { kind: "conflict", version: now.version, job: now.job, clashes };
    const next = applyPatch(now.job, flat);
    const refusals = [
      ...checkInvariants(next, now.catalogue),
      ...newlyOffWall(now.job, next),
      ...(asBuilt ? [] : frozenChanges(now.job, next, now.releases)),
    ];
    if (refusals.length) return { kind: "refused", refusals };
    const { missed } = now;
    if (!waiting.length) return { kind: "stored", version: now.version, missed };
    const version = now.version + waiting.length;
    const lines = waiting.map(
      (p, i) =>
        sql`(${id}, ${now.version + 1 + i}, ${JSON.stringify(p.patch)}::text::jsonb, ${p.key}, ${who.slice(0, 60)})`,
    );
    const { rows, heads } = rowsToWrite(next, flat);
    const line = sql`insert into edits (job_id, version, patch, key, who) values ${sql.join(lines, sql`, `)}`;
    await writeRows(t, id, rows, heads, version, line);
    if (version - now.editsFrom > EDITS_KEPT + EDITS_SLACK) await trimEdits(t, id, version - EDITS_KEPT);
    return { kind: "stored", version, missed };
  });
}

interface Standing {
  job: Job;
  version: number;
  editsFrom: number;
  catalogue: ReturnType<typeof catalogueFrom>;
  known: ReadonlySet<string>;
  releases: ReleaseLine[];
  missed: Since;
}

const sinceColumn = (id: string, base: number): SQL =>
  sql`(select coalesce(json_agg(json_build_object('version', e.version, 'patch', e.patch, 'key', e.key) order by e.version), '[]'::json) from edits e where e.job_id = ${id} and e.version > ${base})`;

const releasesColumn = (id: string): SQL =>
  sql`(select coalesce(json_agg(json_strip_nulls(json_build_object('id', s.id, 'run', s.run, 'kind', s.kind, 'by', s.by, 'at', s.at, 'after', s.after))), '[]'::json) from site_entries s where s.job_id = ${id} and s.kind in ('released', 'reopened'))`;

/** What stands of a job, and all that an edit must know beside it, with one statement. */
async function standing(t: Db, id: string, base: number, sent: readonly KeyedPatch[]): Promise<Standing> {
  const keys = JSON.stringify(sent.map((p) => p.key));
  const known = sql`(select coalesce(json_agg(e.key), '[]'::json) from edits e where e.job_id = ${id} and e.key in (select json_array_elements_text(${keys}::text::json)))`;
  const [row] = rowsOf<
    Parameters<typeof jobOfRow>[1] & {
      known: string[];
      since: (StoredPatch & { key: string })[];
      edits_from: number;
      own: unknown;
      releases: ReleaseLine[];
    }
  >(
    await t.execute(
      sql`select ${jobColumns(id)}, j.edits_from, ${known} as known, ${sinceColumn(id, base)} as since, ${ownRowsColumn} as own, ${releasesColumn(id)} as releases from jobs j where j.id = ${id}`,
    ),
  );
  const job = jobOfRow(id, row!);
  const had = new Set(row!.known);
  const missed: Since =
    base < row!.edits_from
      ? { kind: "whole", job, version: row!.version }
      : {
          kind: "patches",
          patches: row!.since.filter((e) => !had.has(e.key)).map(({ version, patch }) => ({ version, patch })),
        };
  return {
    job,
    version: row!.version,
    editsFrom: row!.edits_from,
    catalogue: catalogueFrom(row!.own),
    known: had,
    releases: row!.releases,
    missed,
  };
}

/** The rows and heads that a patch leaves changed, each once with its last value. */
function rowsToWrite(
  next: Job,
  patch: readonly Change[],
): { rows: Map<Collection, RowChanges>; heads: Partial<Record<Head, unknown>> } {
  const rows = new Map<Collection, RowChanges>();
  const heads: Partial<Record<Head, unknown>> = {};
  const seen = new Set<string>();
  for (const c of patch) {
    const at = `${c.collection} ${c.id}`;
    if (seen.has(at)) continue;
    seen.add(at);
    const value = current(next, c);
    if (c.collection === "head") {
      heads[c.id as Head] = value;
      continue;
    }
    const list = rows.get(c.collection) ?? { put: [], drop: [] };
    if (value === null) list.drop.push(c.id);
    else list.put.push(value as { id: string });
    rows.set(c.collection, list);
  }
  return { rows, heads };
}

async function trimEdits(t: Db, id: string, upTo: number): Promise<void> {
  await t.execute(
    sql`with gone as (delete from edits where job_id = ${id} and version <= ${upTo} returning 1) update jobs set edits_from = ${upTo} where id = ${id}`,
  );
}

/** What was stored after a version, oldest first; the whole job where the edits are no longer kept. Null when it is off the list. */
export async function editsSince(db: Db, id: string, version: number): Promise<Since | null> {
  const [row] = rowsOf<{ edits_from: number; since: (StoredPatch & { key: string })[] }>(
    await db.execute(
      sql`select j.edits_from, ${sinceColumn(id, version)} as since from jobs j where j.id = ${id} and j.deleted_at is null`,
    ),
  );
  if (!row) return null;
  if (version < row.edits_from) return { kind: "whole", ...(await readJob(db, id))! };
  return { kind: "patches", patches: row.since.map((e) => ({ version: e.version, patch: e.patch })) };
}
