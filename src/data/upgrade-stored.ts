import { eq, sql } from "drizzle-orm";
import { keyOfOldId } from "../core/job/run-key";
import { onePinAKey } from "../core/job/upgrades";
import type { Db } from "./db";
import { rowsOf } from "./job-rows";
import * as schema from "./schema";

/**
 * Brings what an earlier edition stored up to this one, by the same steps as job files: one pin a run, known by the run's key, and
 * record lines that name runs by key. Does nothing where nothing is old.
 */
export async function upgradeStored(db: Db): Promise<void> {
  await db.transaction(async (tx) => {
    const t = tx as unknown as Db;
    const pins = await t.select().from(schema.pins);
    const byJob = new Map<string, typeof pins>();
    for (const p of pins) byJob.set(p.jobId, [...(byJob.get(p.jobId) ?? []), p]);
    for (const [jobId, mine] of byJob) {
      const now = onePinAKey([...mine].sort((a, b) => (a.id < b.id ? -1 : 1)));
      const ids = new Set(mine.map((p) => p.id));
      if (now.length === mine.length && now.every((p) => ids.has(p.id))) continue;
      await t.delete(schema.pins).where(eq(schema.pins.jobId, jobId));
      if (now.length) await t.insert(schema.pins).values(now);
    }
    const old = rowsOf<{ job_id: string; id: string; run: string }>(
      await t.execute(sql`select job_id, id, run from site_entries where run not like '%.%.%'`),
    );
    if (!old.length) return;
    const points = rowsOf<{ job_id: string; id: string }>(await t.execute(sql`select job_id, id from points`));
    const ofJob = new Map<string, Set<string>>();
    for (const p of points) ofJob.set(p.job_id, (ofJob.get(p.job_id) ?? new Set()).add(p.id));
    for (const e of old) {
      const key = keyOfOldId(e.run, ofJob.get(e.job_id) ?? new Set());
      if (key) await t.execute(sql`update site_entries set run = ${key} where job_id = ${e.job_id} and id = ${e.id}`);
    }
  });
}
