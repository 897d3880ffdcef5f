import { sql } from "drizzle-orm";
import type { Db } from "./db";
import { ternCottage } from "./demo/tern-cottage";
import { addJob } from "./jobs";
import * as schema from "./schema";

/** Puts the demo job into a database that has never held a job. Returns true when it did. */
export async function seedIfNew(db: Db): Promise<boolean> {
  const [row] = await db.select({ n: sql<number>`count(*)::int` }).from(schema.jobs);
  if ((row?.n ?? 0) > 0) return false;
  await addJob(db, ternCottage());
  return true;
}
