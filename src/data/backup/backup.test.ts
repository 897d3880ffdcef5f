import { createWriteStream, mkdtempSync, readFileSync, readdirSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { pipeline } from "node:stream/promises";
import { gunzipSync, gzipSync } from "node:zlib";
import fc from "fast-check";
import { beforeAll, describe, expect, it } from "vitest";
import type { SiteEntry } from "../../core/job/site-entry";
import type { Db } from "../db";
import { ternCottage } from "../demo/tern-cottage";
import { openMemory } from "../client";
import { setDefaultSchools, defaultSchools } from "../defaults";
import { addJob, binnedJobs, editJob, findJob, listJobs, setDeleted } from "../jobs";
import { keepAnswer, keptAnswers } from "../kept-answers";
import { addPictures, pictureOf } from "../pictures";
import { addSiteEntries, siteBookOf } from "../site-book";
import { ownRows, putRows } from "../catalogue";
import { standardCatalogue } from "../../core/rules/catalogue";
import { BackupFault } from "./format";
import { verifyBackup } from "./read";
import { restoreBackup } from "./restore";
import { backupStream, backupTo } from "./write";

const SLOW = 120_000;
const folder = mkdtempSync(join(tmpdir(), "lumbet-backup-"));
const file = join(folder, "one.tar.gz");
const png = Buffer.from(
  "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==",
  "base64",
);
const line: SiteEntry = {
  id: "e1",
  run: "k.board.k1",
  kind: "note",
  step: null,
  text: "through the old pantry",
  by: "Electrician 1",
  at: "2026-03-02T10:00:00Z",
};

let db: Db;
beforeAll(async () => {
  db = await openMemory();
  await addJob(db, ternCottage("tern-cottage"));
  await addJob(db, { ...ternCottage("gone"), name: "In the bin" });
  await setDeleted(db, "gone", true);
  await addPictures(db, "tern-cottage", [{ id: "pic1", type: "image/png", data: png.toString("base64") }]);
  await addSiteEntries(db, "tern-cottage", [line]);
  await setDefaultSchools(db, { ...(await defaultSchools(db)), spareGland: "spare" });
  const cable = standardCatalogue.cables[0]!;
  await putRows(db, [{ table: "cables", row: { ...cable, id: "own-1", name: "Own cable" } }]);
  await keepAnswer(db, {
    id: "k1",
    name: "Kept",
    calculator: "gland.row",
    input: { a: 1 },
    headline: "x",
    jobId: "tern-cottage",
  });
  await backupTo(db, file);
}, SLOW);

const all = async (d: Db) => ({
  jobs: (await listJobs(d)).map((j) => [j.id, j.name, j.points]),
  job: (await findJob(d, "tern-cottage"))!,
  book: await siteBookOf(d, "tern-cottage"),
  picture: await pictureOf(d, "tern-cottage", "pic1"),
  rows: await ownRows(d),
  schools: await defaultSchools(d),
  kept: await keptAnswers(d),
});

describe("a backup of all jobs", () => {
  it(
    "of one job alone is that job with all that belongs to it, and of nothing else",
    async () => {
      const one = join(folder, "alone.tar.gz");
      await pipeline(backupStream(db, "tern-cottage"), createWriteStream(one));
      const empty = await openMemory();
      expect(await restoreBackup(empty, one)).toMatchObject({ back: 1, same: 0, beside: [], pictures: 1 });
      const [was, is] = [await all(db), await all(empty)];
      expect([is.job, is.book, is.picture]).toEqual([was.job, was.book, was.picture]);
      expect(is.kept.map((k) => k.id)).toEqual(["k1"]);
      expect([is.rows, (await binnedJobs(empty)).length]).toEqual([[], 0]);
      expect(is.schools).not.toEqual(was.schools);
    },
    SLOW,
  );
  it(
    "put back into an empty database is all that there was, the bin too, at the same versions",
    async () => {
      const empty = await openMemory();
      const out = await restoreBackup(empty, file);
      expect(out).toMatchObject({ back: 2, same: 0, beside: [], pictures: 1 });
      expect(await all(empty)).toEqual(await all(db));
      expect(await setDeleted(empty, "gone", false)).toBe(true);
      expect((await findJob(empty, "gone"))!.job.name).toBe("In the bin");
      // Put back once more nothing changes, and nothing is there twice.
      expect(await restoreBackup(empty, file)).toMatchObject({ back: 0, same: 2, beside: [] });
      expect((await listJobs(empty)).length).toBe(2);
    },
    SLOW,
  );
  it(
    "overwrites nothing: a job that has changed since stays, and the backup's is put beside it",
    async () => {
      const other = await openMemory();
      await restoreBackup(other, file);
      const { job, version } = (await findJob(other, "tern-cottage"))!;
      const patch = [{ collection: "head", id: "name", before: job.name, after: "Changed since" }];
      await editJob(other, "tern-cottage", version, [{ key: "a-key-of-its-own", patch }]);
      const out = await restoreBackup(other, file);
      expect(out.beside).toEqual([`Tern Cottage (backup of ${out.at.slice(0, 10)})`]);
      const names = (await listJobs(other)).map((j) => j.name).sort();
      expect(names).toEqual(["Changed since", out.beside[0]]);
      const beside = (await listJobs(other)).find((j) => j.name === out.beside[0])!;
      expect([(await siteBookOf(other, beside.id)).length, await pictureOf(other, beside.id, "pic1")]).toEqual([
        1,
        { id: "pic1", type: "image/png", data: png.toString("base64") },
      ]);
    },
    SLOW,
  );
  it(
    "is all or nothing: one that is cut short, damaged in any byte, or of something else, changes nothing and says why",
    async () => {
      const whole = readFileSync(file);
      const empty = await openMemory();
      const tried = async (bytes: Uint8Array): Promise<string> => {
        const path = join(folder, "bad.tar.gz");
        writeFileSync(path, bytes);
        try {
          await restoreBackup(empty, path);
          return "taken";
        } catch (e) {
          expect(e).toBeInstanceOf(BackupFault);
          expect((await listJobs(empty)).length).toBe(0);
          return (e as Error).message;
        }
      };
      expect(await tried(whole.subarray(0, whole.length - 200))).toMatch(/cannot be read to its end|not whole/);
      expect(await tried(Buffer.from("{}"))).toMatch(/cannot be read/);
      const tar = gunzipSync(whole);
      await fc.assert(
        fc.asyncProperty(fc.nat({ max: tar.length - 2000 }), fc.integer({ min: 1, max: 255 }), async (at, by) => {
          const bytes = Buffer.from(tar);
          bytes[at] = bytes[at]! ^ by;
          const said = await tried(gzipSync(bytes, { level: 1 }));
          // A byte between two parts, that no part holds, is nobody's loss.
          if (said === "taken") expect(tar[at]).toBe(0);
        }),
        { numRuns: 12, seed: 7 },
      );
    },
    SLOW,
  );
  it("a newer edition's is refused by its number", async () => {
    const tar = Buffer.from(gunzipSync(readFileSync(file)));
    const at = tar.indexOf('"version":1');
    tar.write('"version":9', at);
    const path = join(folder, "newer.tar.gz");
    writeFileSync(path, gzipSync(tar));
    await expect(verifyBackup(path)).rejects.toThrow(/is of version 9; this edition reads versions 1 to 1/);
  });
  it("stands under its name only when it was read again: nothing half is left", () => {
    expect(readdirSync(folder).filter((f) => f.endsWith(".part"))).toEqual([]);
    expect(statSync(file).size).toBeGreaterThan(1000);
  });
});
