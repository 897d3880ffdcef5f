import { eq } from "drizzle-orm";
import { nanoid } from "nanoid";
import { canonical } from "../../core/job/model";
import { equal } from "../../core/job/patch";
import { ownRows, putRows } from "../catalogue";
import type { Db } from "../db";
import { addJobOfFile } from "../job-files";
import { readJob } from "../job-rows";
import { addPicture } from "../pictures";
import * as schema from "../schema";
import { addSiteEntries } from "../site-book";
import type { JobAbout } from "./format";
import { type Part, partsOf, verifyBackup } from "./read";

/** What putting a backup back came to. */
export interface Restored {
  /** When the backup was made, ISO 8601. */
  at: string;
  /** Jobs put back under their own id, those that stand as they are in the backup, and those put beside a newer one. */
  back: number;
  same: number;
  beside: string[];
  pictures: number;
}

/**
 * Puts everything of a backup back: all of it or nothing. Nothing that is here is overwritten: a job that is here as it is in the
 * backup stays, one that has changed since gets the backup's beside it, under a name that says so; rows, answers and choices that
 * are here stay.
 * @throws BackupFault before anything is touched, where the backup is not whole or not right
 */
export async function restoreBackup(db: Db, path: string): Promise<Restored> {
  await verifyBackup(path);
  const out: Restored = { at: "", back: 0, same: 0, beside: [], pictures: 0 };
  await db.transaction(async (tx) => {
    const t = tx as unknown as Db;
    const abouts = new Map<string, JobAbout>();
    const into = new Map<string, string>();
    for await (const p of partsOf(path)) await putPart(t, p, out, abouts, into);
  });
  return out;
}

async function putPart(
  t: Db,
  p: Part,
  out: Restored,
  abouts: Map<string, JobAbout>,
  into: Map<string, string>,
): Promise<void> {
  switch (p.kind) {
    case "head":
      out.at = p.at;
      return;
    case "catalogue": {
      const here = new Set((await ownRows(t)).map((r) => `${r.table} ${r.row.id}`));
      return putRows(
        t,
        p.rows.filter((r) => !here.has(`${r.table} ${r.row.id}`)),
      );
    }
    case "defaults":
      for (const r of p.rows) await t.insert(schema.defaults).values(r).onConflictDoNothing();
      return;
    case "about":
      abouts.set(p.job, p.about);
      return;
    case "job":
      into.set(p.job, await putJob(t, p, abouts.get(p.job), out));
      return;
    case "picture": {
      const job = into.get(p.job);
      if (job === undefined) return;
      await addPicture(t, job, { id: p.id, type: p.type, data: p.bytes.toString("base64") });
      out.pictures++;
      return;
    }
    case "kept":
      for (const a of p.rows) {
        const jobId = a.jobId === null ? null : (into.get(a.jobId) ?? null);
        await t
          .insert(schema.keptAnswers)
          .values({ ...a, jobId, at: new Date(a.at) })
          .onConflictDoNothing();
      }
  }
}

/** Puts one job in, and answers the id that its pictures belong to. */
async function putJob(
  t: Db,
  p: Extract<Part, { kind: "job" }>,
  about: JobAbout | undefined,
  out: Restored,
): Promise<string> {
  const here = await readJob(t, p.job);
  if (here && equal(canonical(here.job), canonical({ ...p.file.job, id: p.job }))) {
    // Lines of the record and pictures that are missing come back too; those here stay.
    await addSiteEntries(t, p.job, p.file.siteBook);
    out.same++;
    return p.job;
  }
  const id = here ? nanoid(10) : p.job;
  const tail = ` (backup of ${out.at.slice(0, 10)})`;
  const name = here ? p.file.job.name.slice(0, 80 - tail.length) + tail : p.file.job.name;
  await addJobOfFile(t, id, { ...p.file, job: { ...p.file.job, id, name } });
  if (here) {
    out.beside.push(name);
    return id;
  }
  out.back++;
  if (about)
    await t
      .update(schema.jobs)
      .set({
        version: about.version,
        editsFrom: about.version,
        deletedAt: about.deletedAt === null ? null : new Date(about.deletedAt),
        createdAt: new Date(about.createdAt),
        updatedAt: new Date(about.updatedAt),
      })
      .where(eq(schema.jobs.id, id));
  return id;
}
