import { desc, eq } from "drizzle-orm";
import type { KeptAnswer } from "../core/calculators/kept-answer";
import type { Db } from "./db";
import * as schema from "./schema";

/** Kept answers, newest first; those of one job when an id is given. */
export async function keptAnswers(db: Db, jobId?: string): Promise<KeptAnswer[]> {
  const q = db.select().from(schema.keptAnswers);
  const rows = await (jobId === undefined ? q : q.where(eq(schema.keptAnswers.jobId, jobId)))
    .orderBy(desc(schema.keptAnswers.at))
    .limit(500);
  return rows.map((r) => ({ ...r, at: r.at.toISOString() }));
}

export async function keepAnswer(db: Db, a: Omit<KeptAnswer, "at">): Promise<void> {
  await db.insert(schema.keptAnswers).values(a);
}

/** Takes an answer away; false when there is none. */
export async function dropAnswer(db: Db, id: string): Promise<boolean> {
  return (
    (await db.delete(schema.keptAnswers).where(eq(schema.keptAnswers.id, id)).returning({ id: schema.keptAnswers.id }))
      .length > 0
  );
}
