import { eq, sql } from "drizzle-orm";
import type { Db } from "./db";
import type { Ledger } from "./ledger";
import * as schema from "./schema";

const held = globalThis as { lumbetLedger?: Ledger };

/** The ledger of this process; none where the database is a server of its own. */
export const keepLedger = (ledger: Ledger): void => void (held.lumbetLedger = ledger);

/** Notes what a job stands at before anybody is told that it is stored. */
export async function acknowledge(db: Db, job: string): Promise<void> {
  const ledger = held.lumbetLedger;
  if (!ledger) return;
  const [row] = await db
    .select({
      version: schema.jobs.version,
      lines: sql<number>`(select count(*)::int from site_entries s where s.job_id = ${schema.jobs}.id)`,
    })
    .from(schema.jobs)
    .where(eq(schema.jobs.id, job));
  await ledger.note(job, row?.version ?? null, row?.lines ?? 0);
}

/** Notes every job, after many have come at once. */
export async function acknowledgeAll(db: Db): Promise<void> {
  if (!held.lumbetLedger) return;
  for (const { id } of await db.select({ id: schema.jobs.id }).from(schema.jobs)) await acknowledge(db, id);
}
