import { createHash } from "node:crypto";
import { createWriteStream } from "node:fs";
import { open, rename, rm } from "node:fs/promises";
import type { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { createGzip } from "node:zlib";
import { asc, eq } from "drizzle-orm";
import { pack as newPack } from "tar-stream";
import { rowsForJob, writeJobFile } from "../../core/job/file";
import { ownRows } from "../catalogue";
import type { Db } from "../db";
import { readJob } from "../job-rows";
import { pictureIds, undamaged } from "../pictures";
import * as schema from "../schema";
import { siteBookOf } from "../site-book";
import { BACKUP_FORMAT, BACKUP_VERSION, type Content, type JobAbout } from "./format";
import { verifyBackup } from "./read";

const endings = { "image/png": "png", "image/jpeg": "jpg", "image/webp": "webp" } as const;

/**
 * Everything of this database as one archive, `.tar.gz`, made as it is read: jobs (those in the bin too) with their record, one
 * picture at a time, own catalogue rows, kept answers, choices for new jobs. Never more than one job or picture is in memory. The
 * last file in it lists all others with their sizes and checksums.
 * @param only one job alone: it, its record and pictures, what of the catalogue it names, and the answers kept for it
 */
export function backupStream(db: Db, only?: string): Readable {
  const pack = newPack();
  const gzip = createGzip();
  const written = write(db, pack, only);
  void pipeline(pack, gzip).catch(() => undefined);
  written.catch((e: unknown) => {
    pack.destroy(e as Error);
    gzip.destroy(e as Error);
  });
  return gzip;
}

async function write(db: Db, pack: ReturnType<typeof newPack>, only?: string): Promise<void> {
  const contents: Content[] = [];
  const put = (name: string, body: Buffer | string): Promise<void> => {
    const bytes = typeof body === "string" ? Buffer.from(body) : body;
    contents.push({ name, size: bytes.length, sha256: createHash("sha256").update(bytes).digest("hex") });
    // Done when it has been taken on, so that no faster database fills the memory.
    return new Promise<void>((done, fail) => {
      pack.entry({ name, size: bytes.length }, (e) => (e ? fail(e) : done())).end(bytes);
    });
  };
  const json = (name: string, x: unknown): Promise<void> => put(name, JSON.stringify(x));
  await json("lumbet-backup.json", { format: BACKUP_FORMAT, version: BACKUP_VERSION, at: new Date().toISOString() });
  const own = await ownRows(db);
  const one = only === undefined ? null : await readJob(db, only);
  await json("catalogue.json", one ? rowsForJob(one.job, own) : own);
  const choices = db.select().from(schema.defaults).orderBy(asc(schema.defaults.key));
  await json("defaults.json", only === undefined ? await choices : []);
  const jobs = await db
    .select({
      id: schema.jobs.id,
      deletedAt: schema.jobs.deletedAt,
      createdAt: schema.jobs.createdAt,
      updatedAt: schema.jobs.updatedAt,
    })
    .from(schema.jobs)
    .where(only === undefined ? undefined : eq(schema.jobs.id, only))
    .orderBy(asc(schema.jobs.id));
  for (const j of jobs) {
    const found = await readJob(db, j.id);
    if (!found) continue;
    const about: JobAbout = {
      version: found.version,
      deletedAt: j.deletedAt?.toISOString() ?? null,
      createdAt: j.createdAt.toISOString(),
      updatedAt: j.updatedAt.toISOString(),
    };
    await json(`about/${j.id}.json`, about);
    await put(`jobs/${j.id}.json`, writeJobFile(found.job, await siteBookOf(db, j.id), [], rowsForJob(found.job, own)));
    for (const id of await pictureIds(db, j.id)) {
      const p = await undamaged(db, j.id, id);
      if (p) await put(`pictures/${j.id}/${id}.${endings[p.type]}`, Buffer.from(p.data, "base64"));
    }
  }
  const answers = db
    .select()
    .from(schema.keptAnswers)
    .where(only === undefined ? undefined : eq(schema.keptAnswers.jobId, only))
    .orderBy(asc(schema.keptAnswers.id));
  await json("kept-answers.json", await answers);
  await json("contents.json", contents);
  pack.finalize();
}

/**
 * Writes a backup into a file and reads it again: it stands under its name only when every checksum is right.
 * @throws BackupFault when what was written is not what was read
 */
export async function backupTo(db: Db, path: string): Promise<{ jobs: number; pictures: number; bytes: number }> {
  const part = `${path}.part`;
  try {
    await pipeline(backupStream(db), createWriteStream(part));
    const file = await open(part, "r+");
    await file.sync();
    const bytes = (await file.stat()).size;
    await file.close();
    const { jobs, pictures } = await verifyBackup(part);
    await rename(part, path);
    return { jobs, pictures, bytes };
  } catch (e) {
    await rm(part, { force: true });
    throw e;
  }
}
