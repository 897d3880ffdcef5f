import { PGlite } from "@electric-sql/pglite";
import { sql } from "drizzle-orm";
import { drizzle } from "drizzle-orm/pglite";
import { migrate } from "drizzle-orm/pglite/migrator";
import { expect, it } from "vitest";
import { readJobFile } from "../core/job/file";
import pinsAndTicks from "../core/job/old-files/v1-pins-and-ticks.json";
import { runKey } from "../core/job/run-key";
import { makePlan } from "../core/plan/plan";
import type { Db } from "./db";
import { rowsOf } from "./job-rows";
import { addJob, editJob, findJob } from "./jobs";
import * as schema from "./schema";
import { siteBookOf } from "./site-book";
import { upgradeStored } from "./upgrade-stored";

const SLOW = 120_000;
const pg = drizzle({ client: new PGlite(), schema });
const db = pg as unknown as Db;
const migrateAll = (): Promise<void> => migrate(pg, { migrationsFolder: "src/data/migrations" });

/** Takes the tables back to what the first edition left, and puts its pins and record lines in, under their old names. */
async function asTheFirstEditionLeftIt(jobId: string): Promise<void> {
  await pg.execute(sql`delete from pins where job_id = ${jobId}`);
  for (const line of [
    'alter table "decks" drop column "not_heavy"',
    'alter table "walls" drop column "studs"',
    'alter table "walls" drop column "fire_resisting"',
    'alter table "rooms" drop column "way_out"',
    'alter table "walls" drop column "leaf"',
    'alter table "walls" drop column "against_board"',
    'alter table "decks" drop column "opened"',
    'alter table "decks" drop column "notch_lines"',
    'alter table "decks" drop column "battens"',
    'alter table "found_cables" drop column "traced"',
    'alter table "points" drop column "gang_of"',
    'alter table "points" drop column "fuse"',
    'alter table "points" drop column "labelled"',
    'alter table "points" drop column "tied"',
    'alter table "points" drop column "face_holes"',
    'alter table "points" drop column "gland_at"',
    'alter table "points" drop column "plastic"',
    'alter table "points" drop column "watts"',
    'alter table "points" drop column "water"',
    'alter table "circuits" drop column "run_cables"',
    'alter table "circuits" drop column "insulated"',
    'drop index "edits_key"',
    'alter table "site_entries" drop column "held"',
    'alter table "site_entries" drop column "reading"',
    'alter table "site_entries" drop column "after"',
    'alter table "site_entries" drop column "along"',
    'alter table "site_entries" drop column "mark", drop column "cut", drop column "place", drop column "instrument"',
    'alter table "drums" drop column "mark", drop column "rising"',
    'alter table "jobs" drop column "work"',
    'drop table "stock", "packs"',
    'drop table "grounds", "posts", "outside_ways", "light_rows", "extensions"',
    'alter table "circuits" drop column "far_earth"',
    'alter table "photos" drop column "deck", drop column "outside"',
    'alter table "pins" drop column "number"',
    'alter table "jobs" drop column "edits_from"',
    'alter table "jobs" drop column "supply"',
    'alter table "edits" drop column "who"',
    'alter table "edits" drop column "key"',
    'drop table "sections"',
    'drop table "devices", "passphrases", "invitations", "reader_links", "secrets"',
    'drop table "people"',
    'drop function "tell_of_job" cascade',
    'drop function "drop_picture_object" cascade',
    'alter table "pictures" drop column "content"',
    'alter table "pictures" drop column "bytes"',
    'alter table "pictures" drop column "sha256"',
    "delete from drizzle.__drizzle_migrations where id > 3",
  ])
    await pg.execute(sql.raw(line));
  for (const p of pinsAndTicks.job.pins)
    await pg.execute(
      sql`insert into pins (job_id, id, circuit, "from", "to", legs) values (${jobId}, ${p.id}, ${p.circuit}, ${p.from}, ${p.to}, ${JSON.stringify(p.legs)}::text::jsonb)`,
    );
  for (const e of pinsAndTicks.siteBook)
    await pg.execute(
      sql`insert into site_entries (job_id, id, run, kind, step, text, by, at) values (${jobId}, ${e.id}, ${e.run}, ${e.kind}, ${"step" in e ? e.step : null}, ${"text" in e ? String(e.text) : ""}, ${e.by}, ${e.at})`,
    );
}

it(
  "a database of the first edition opens, plans as its file does, and takes edits",
  async () => {
    const read = readJobFile(JSON.stringify(pinsAndTicks));
    if (!read.ok) throw new Error("The old file was refused");
    const { job, siteBook } = read.file;
    await migrateAll();
    await addJob(db, { ...job, pins: [] });
    await asTheFirstEditionLeftIt(job.id);

    await migrateAll();
    await upgradeStored(db);
    const found = (await findJob(db, job.id))!;
    expect(found.job.pins.map((p) => [p.id, p.number, p.legs])).toEqual(job.pins.map((p) => [p.id, p.number, p.legs]));
    expect((await siteBookOf(db, job.id)).map((e) => e.run).sort()).toEqual(siteBook.map((e) => e.run).sort());
    const lines = (j: typeof job): string[] => makePlan(j).runs.map((r) => `${runKey(r)} ${r.cutLength}`);
    expect(lines(found.job)).toEqual(lines(job));

    // A second start finds nothing to do, and the job is edited like any other.
    const all = async (): Promise<unknown> => rowsOf(await db.execute(sql`select * from pins order by id`));
    const before = await all();
    await upgradeStored(db);
    expect(await all()).toEqual(before);
    const p = found.job.points[0]!;
    expect(
      await editJob(db, job.id, found.version, [
        {
          key: "after-the-upgrade",
          patch: [{ collection: "points", id: p.id, before: p, after: { ...p, label: "Z9" } }],
        },
      ]),
    ).toMatchObject({ kind: "stored" });
  },
  SLOW,
);
