import { type JobFile, picturesNamed, renamedInCatalogue, rowsForJob, writeJobFile } from "../core/job/file";
import type { Job } from "../core/job/model";
import { addRowsOfFile, ownRows } from "./catalogue";
import type { Db } from "./db";
import { writeJob } from "./job-rows";
import { addPictures, picturesOf } from "./pictures";
import { addSiteEntries, siteBookOf } from "./site-book";

/** Stores a job file as a new job: the job, its catalogue rows, pictures and record; all of it or nothing. */
export async function addJobOfFile(db: Db, id: string, file: JobFile): Promise<void> {
  await db.transaction(async (tx) => {
    const t = tx as unknown as Db;
    const renamed = await addRowsOfFile(t, file.catalogue);
    const job = renamed.reduce((j, r) => renamedInCatalogue(j, r.table, r.from, r.to), file.job);
    await writeJob(t, { ...job, id });
    await addPictures(t, id, file.pictures);
    await addSiteEntries(t, id, file.siteBook);
  });
}

/** A stored job as a file, with everything that belongs to it. */
export async function jobFileOf(db: Db, job: Job): Promise<string> {
  const { id } = job;
  const pictures = await picturesOf(db, id, picturesNamed(job));
  return writeJobFile(job, await siteBookOf(db, id), pictures, rowsForJob(job, await ownRows(db)));
}
