import { and, desc, eq } from "drizzle-orm";
import { nanoid } from "nanoid";
import type { Db } from "../db";
import * as schema from "../schema";
import { hashOf, newToken } from "./token";

export interface ReaderLink {
  id: string;
  label: string;
  by: string;
  since: string;
}

/** Makes a link to the wall sheets of a job; the token is told once and only its hash kept. */
export async function addReaderLink(db: Db, jobId: string, label: string, by: string): Promise<string> {
  const token = newToken();
  await db.insert(schema.readerLinks).values({ id: nanoid(10), jobId, hash: hashOf(token), label, by });
  return token;
}

export async function readerLinksOf(db: Db, jobId: string): Promise<ReaderLink[]> {
  const rows = await db
    .select()
    .from(schema.readerLinks)
    .where(eq(schema.readerLinks.jobId, jobId))
    .orderBy(desc(schema.readerLinks.createdAt));
  return rows.map((r) => ({ id: r.id, label: r.label, by: r.by, since: r.createdAt.toISOString() }));
}

/** Takes a link back: it opens nothing from now on. */
export async function dropReaderLink(db: Db, jobId: string, id: string): Promise<boolean> {
  const gone = await db
    .delete(schema.readerLinks)
    .where(and(eq(schema.readerLinks.jobId, jobId), eq(schema.readerLinks.id, id)))
    .returning({ id: schema.readerLinks.id });
  return gone.length > 0;
}

/** The job a link is to; null where it is none, or was taken back. */
export async function jobOfLink(db: Db, token: string): Promise<string | null> {
  const [row] = await db
    .select({ job: schema.readerLinks.jobId })
    .from(schema.readerLinks)
    .where(eq(schema.readerLinks.hash, hashOf(token)));
  return row?.job ?? null;
}
