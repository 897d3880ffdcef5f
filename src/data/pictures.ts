import { createHash } from "node:crypto";
import { and, asc, eq, inArray, sql } from "drizzle-orm";
import type { JobFile } from "../core/job/file";
import type { Db } from "./db";
import { rowsOf } from "./job-rows";
import * as schema from "./schema";

/** A picture kept beside a job: its kind and the file as base64. */
export type Picture = JobFile["pictures"][number];

/** What is kept of a picture is not what was stored. */
export class PictureDamaged extends Error {}

/** Keeps a picture; one already there under its id stays as it is. */
export async function addPicture(db: Db, jobId: string, p: Picture): Promise<void> {
  await db.execute(sql`
    insert into pictures (job_id, id, type, content, bytes, sha256)
    select ${jobId}, ${p.id}, ${p.type}, lo_from_bytea(0, f.file)::bigint, length(f.file), encode(sha256(f.file), 'hex')
    from (select decode(${p.data}, 'base64') as file) f
    where not exists (select 1 from pictures where job_id = ${jobId} and id = ${p.id})
    on conflict do nothing`);
}

/** Keeps several, one at a time so that no statement grows beyond bounds. */
export async function addPictures(db: Db, jobId: string, pictures: readonly Picture[]): Promise<void> {
  for (const p of pictures) await addPicture(db, jobId, p);
}

/**
 * A picture by its id; null where there is none.
 * @throws PictureDamaged where its file is gone or has another checksum than when it was stored
 */
export async function pictureOf(db: Db, jobId: string, id: string): Promise<Picture | null> {
  const [row] = rowsOf<{ type: Picture["type"]; sha256: string; data: string | null }>(
    await db.execute(sql`
      select p.type, p.sha256,
        case when o.oid is null then null else translate(encode(lo_get(o.oid), 'base64'), E'\\n', '') end as data
      from pictures p left join pg_largeobject_metadata o on o.oid = p.content::oid
      where p.job_id = ${jobId} and p.id = ${id}`),
  );
  if (!row) return null;
  const { type, sha256, data } = row;
  if (data === null || createHash("sha256").update(Buffer.from(data, "base64")).digest("hex") !== sha256)
    throw new PictureDamaged(
      `picture: the file of ${id} is not as it was stored; put it back from a backup or take it again`,
    );
  return { id, type, data };
}

/** Ids of all pictures kept beside a job, in order. */
export async function pictureIds(db: Db, jobId: string): Promise<string[]> {
  const rows = await db
    .select({ id: schema.pictures.id })
    .from(schema.pictures)
    .where(eq(schema.pictures.jobId, jobId))
    .orderBy(asc(schema.pictures.id));
  return rows.map((r) => r.id);
}

/** All pictures that the job's photos and traced drawings name, but for those that are damaged. */
export async function picturesOf(db: Db, jobId: string, named: ReadonlySet<string>): Promise<Picture[]> {
  if (!named.size) return [];
  const rows = await db
    .select({ id: schema.pictures.id })
    .from(schema.pictures)
    .where(and(eq(schema.pictures.jobId, jobId), inArray(schema.pictures.id, [...named])))
    .orderBy(asc(schema.pictures.id));
  const out: Picture[] = [];
  for (const { id } of rows) {
    const p = await undamaged(db, jobId, id);
    if (p) out.push(p);
  }
  return out;
}

/** A picture, or null where it is damaged: one bad file does not keep the rest from being written. */
export const undamaged = (db: Db, jobId: string, id: string): Promise<Picture | null> =>
  pictureOf(db, jobId, id).catch((e: unknown) => {
    if (e instanceof PictureDamaged) return null;
    throw e;
  });

/** Bytes of all pictures that are kept beside a job. */
export async function pictureBytes(db: Db, jobId: string): Promise<number> {
  const [row] = await db
    .select({ n: sql<string>`coalesce(sum(${schema.pictures.bytes}), 0)` })
    .from(schema.pictures)
    .where(eq(schema.pictures.jobId, jobId));
  return Number(row!.n);
}
