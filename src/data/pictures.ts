import { and, eq } from "drizzle-orm";
import type { JobFile } from "../core/job/file";
import type { Db } from "./db";
import * as schema from "./schema";

/** A picture kept beside a job: its kind and the file as base64. */
export type Picture = JobFile["pictures"][number];

export async function addPicture(db: Db, jobId: string, p: Picture): Promise<void> {
  await db
    .insert(schema.pictures)
    .values({ jobId, ...p })
    .onConflictDoNothing();
}

/** Keeps several, a few at a time so that no statement grows beyond bounds. */
export async function addPictures(db: Db, jobId: string, pictures: readonly Picture[]): Promise<void> {
  for (const p of pictures) await addPicture(db, jobId, p);
}

export async function pictureOf(db: Db, jobId: string, id: string): Promise<Picture | null> {
  const [row] = await db
    .select({ id: schema.pictures.id, type: schema.pictures.type, data: schema.pictures.data })
    .from(schema.pictures)
    .where(and(eq(schema.pictures.jobId, jobId), eq(schema.pictures.id, id)));
  return row ?? null;
}

/** All pictures that the job's photos and traced drawings name. */
export async function picturesOf(db: Db, jobId: string, named: ReadonlySet<string>): Promise<Picture[]> {
  if (!named.size) return [];
  const rows = await db
    .select({ id: schema.pictures.id, type: schema.pictures.type, data: schema.pictures.data })
    .from(schema.pictures)
    .where(eq(schema.pictures.jobId, jobId));
  return rows.filter((r) => named.has(r.id)).sort((a, b) => (a.id < b.id ? -1 : 1));
}
