import { eq, sql } from "drizzle-orm";
import { acknowledge } from "./acknowledge";
import type { Db } from "./db";
import { ternCottage } from "./demo/tern-cottage";
import { addJob } from "./jobs";
import * as schema from "./schema";

/** Puts the demo job into a database that has never held a job, once however many servers start at it. Returns true when it did. */
export async function seedIfNew(db: Db): Promise<boolean> {
  return db.transaction(async (tx) => {
    const t = tx as unknown as Db;
    await t.execute("lock table jobs in share row exclusive mode");
    const [row] = await t.select({ n: sql<number>`count(*)::int` }).from(schema.jobs);
    if ((row?.n ?? 0) > 0) return false;
    await addJob(t, ternCottage());
    return true;
  });
}

/** Puts the demo job back as it was, and touches no other. */
export async function resetDemo(db: Db): Promise<void> {
  const demo = ternCottage();
  await db.transaction(async (tx) => {
    const t = tx as unknown as Db;
    await t.delete(schema.jobs).where(eq(schema.jobs.id, demo.id));
    await addJob(t, demo);
  });
  await acknowledge(db, demo.id);
}
