import { readFileSync } from "node:fs";
import { join } from "node:path";
import { sql } from "drizzle-orm";
import { blankJob } from "../../core/job/model";
import type { SiteEntry } from "../../core/job/site-entry";
import { acknowledge } from "../acknowledge";
import { backupTo } from "../backup/write";
import { dataFolder, database } from "../client";
import type { Db } from "../db";
import { ternCottage } from "../demo/tern-cottage";
import { addJobOfFile } from "../job-files";
import { rowsOf } from "../job-rows";
import { addJob, editJob, findJob } from "../jobs";
import { refusalOfRoom } from "../room";
import { addSiteEntries } from "../site-book";
import { chanceFrom } from "./chance";
import type { Told } from "./told";
import { make } from "./trouble";

/**
 * A process that stores one thing after the other and says of each, when it is stored, that it is; to be killed at any moment.
 * First it looks whether everything that was ever told is there, and whole. `node writer.ts TOLD SEED`, data in LUMBET_DATA.
 */
const [told, seed] = [JSON.parse(readFileSync(process.argv[2]!, "utf8")) as Told, Number(process.argv[3])];
make(process.argv[4] ?? "none", chanceFrom(seed + 1));
const say = (line: string): void => void process.stdout.write(`${line}\n`);

/** What of the things told is missing, and which jobs are there in part. */
async function look(db: Db): Promise<void> {
  const jobs = rowsOf<{ id: string; version: number; points: number; lines: number; name: string }>(
    await db.execute(
      sql`select j.id, j.version, j.name, (select count(*)::int from points p where p.job_id = j.id) as points, (select count(*)::int from site_entries s where s.job_id = j.id) as lines from jobs j`,
    ),
  );
  const byId = new Map(jobs.map((j) => [j.id, j]));
  for (const [id, version] of Object.entries(told.versions))
    if ((byId.get(id)?.version ?? 0) < version)
      say(`LOST edit ${version} of ${id}, which stands at ${byId.get(id)?.version}`);
  const lines = new Set(rowsOf<{ id: string }>(await db.execute(sql`select id from site_entries`)).map((r) => r.id));
  for (const id of told.lines) if (!lines.has(id)) say(`LOST line ${id}`);
  for (const id of told.jobs) if (!byId.has(id)) say(`LOST job ${id}`);
  const whole = ternCottage().points.length;
  for (const j of jobs)
    if (j.id !== "edited" && j.points !== whole) say(`HALF job ${j.id}, with ${j.points} of ${whole} points`);
  for (const j of jobs) if (!(await findJob(db, j.id))) say(`HALF job ${j.id} cannot be read`);
}

async function main(): Promise<void> {
  const db = await database();
  await look(db);
  if (!(await findJob(db, "edited"))) await addJob(db, blankJob("edited", "Edited"));
  say("READY");
  const next = chanceFrom(seed);
  for (let n = 0; ; n++) {
    // As every action does before it stores anything.
    if ((await refusalOfRoom()) !== null) {
      say("FULL");
      await new Promise((r) => setTimeout(r, 100));
      continue;
    }
    const which = next();
    if (which < 0.55) {
      const { job, version } = (await findJob(db, "edited"))!;
      const patch = [{ collection: "head", id: "name", before: job.name, after: `Edited ${seed}.${n}` }];
      const answer = await editJob(db, "edited", version, [{ key: `key-${seed}-${n}`, patch }]);
      if (answer.kind !== "stored") return say(`LOST an edit was answered ${answer.kind}`);
      await acknowledge(db, "edited");
      say(`EDIT ${answer.version}`);
    } else if (which < 0.85) {
      const id = `l-${seed}-${n}`;
      const line: SiteEntry = {
        id,
        run: "r",
        kind: "note",
        step: null,
        text: id,
        by: "Electrician 1",
        at: new Date().toISOString(),
      };
      await addSiteEntries(db, "edited", [line]);
      await acknowledge(db, "edited");
      say(`LINE ${id}`);
    } else if (which < 0.95) {
      const id = `j-${seed}-${n}`;
      await addJobOfFile(db, id, {
        format: "lumbet-job",
        version: 3,
        job: ternCottage(id),
        siteBook: [],
        pictures: [],
        catalogue: [],
      } as unknown as Parameters<typeof addJobOfFile>[2]);
      await acknowledge(db, id);
      say(`JOB ${id}`);
    } else
      await backupTo(db, join(dataFolder(), "backups", `kill-${seed}-${n}.tar.gz`)).catch((e: unknown) =>
        say(`LOST backup: ${String(e)}`),
      );
  }
}

main().catch((e: unknown) => {
  say(`LOST ${(e as Error).message.split("\n")[0]}`);
  process.exit(1);
});
