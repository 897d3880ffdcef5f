import { and, eq } from "drizzle-orm";
import type { Collection, Job } from "../core/job/model";
import { canonical, collectionNames, jobSchema } from "../core/job/model";
import type { Change } from "../core/job/patch";
import type { Db } from "./client";
import * as schema from "./schema";

/** Table of each collection. */
export const tables = {
  storeys: schema.storeys,
  rooms: schema.rooms,
  walls: schema.walls,
  openings: schema.openings,
  fixtures: schema.fixtures,
  decks: schema.decks,
  points: schema.points,
  circuits: schema.circuits,
  pins: schema.pins,
  drums: schema.drums,
  foundCables: schema.foundCables,
  foundTrunkings: schema.foundTrunkings,
  forbidden: schema.forbidden,
  photos: schema.photos,
  traces: schema.traces,
} as const satisfies Record<Collection, unknown>;

/** Drizzle types each table on its own; the rows here differ only in columns that the model has already checked. */
type AnyTable = typeof schema.storeys;
const tableOf = (c: Collection): AnyTable => tables[c] as unknown as AnyTable;

/** Reads all rows of a job into the model, in canonical order. Null when there is no such job. */
export async function readJob(db: Db, id: string): Promise<{ job: Job; version: number } | null> {
  const [head] = await db.select().from(schema.jobs).where(eq(schema.jobs.id, id));
  if (!head) return null;
  const lists: Record<string, unknown[]> = {};
  for (const c of collectionNames) {
    const rows = await db
      .select()
      .from(tableOf(c))
      .where(eq(tableOf(c).jobId, id));
    lists[c] = rows.map(({ jobId: _, ...row }) => row);
  }
  const job = jobSchema.parse({
    id: head.id,
    name: head.name,
    address: head.address,
    dwelling: head.dwelling,
    settings: head.settings,
    ...lists,
  });
  return { job: canonical(job), version: head.version };
}

/** Writes a whole new job; its id must not be taken. */
export async function writeJob(db: Db, job: Job): Promise<void> {
  await db
    .insert(schema.jobs)
    .values({ id: job.id, name: job.name, address: job.address, dwelling: job.dwelling, settings: job.settings });
  for (const c of collectionNames) {
    const rows = job[c].map((x) => ({ jobId: job.id, ...x }));
    for (let i = 0; i < rows.length; i += 200) await db.insert(tableOf(c)).values(rows.slice(i, i + 200) as never);
  }
}

/** Stores one change of a checked patch. */
export async function writeChange(db: Db, jobId: string, c: Change): Promise<void> {
  if (c.collection === "head") {
    await db
      .update(schema.jobs)
      .set({ [c.id]: c.after })
      .where(eq(schema.jobs.id, jobId));
    return;
  }
  const t = tableOf(c.collection);
  await db.delete(t).where(and(eq(t.jobId, jobId), eq(t.id, c.id)));
  if (c.after !== null) await db.insert(t).values({ jobId, ...(c.after as object) } as never);
}
