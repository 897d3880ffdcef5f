import { appendFileSync, chmodSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { acknowledge, keepLedger } from "./acknowledge";
import { openMemory } from "./client";
import { ternCottage } from "./demo/tern-cottage";
import { checkFolder } from "./folder-check";
import { addJob, clearJob, editJob, findJob, setDeleted } from "./jobs";
import { Ledger, checkLedger, readLedger } from "./ledger";
import { resetDemo } from "./seed";
import { addSiteEntries } from "./site-book";
import { StartFault } from "./start-fault";

const SLOW = 120_000;
const fresh = (): string => mkdtempSync(join(tmpdir(), "lumbet-ledger-"));
const line = { id: "e1", run: "r", kind: "note" as const, step: null, text: "", by: "Me", at: "2026-03-02T10:00:00Z" };

describe("the ledger of what was acknowledged", () => {
  it(
    "holds each edit and line before it is answered, and refuses a database that has lost one, by its name",
    async () => {
      const folder = fresh();
      const db = await openMemory();
      await addJob(db, ternCottage());
      await checkLedger(folder, db, false);
      const ledger = new Ledger(folder);
      keepLedger(ledger);
      const { job, version } = (await findJob(db, "tern-cottage"))!;
      const patch = [{ collection: "head", id: "name", before: job.name, after: "Renamed" }];
      await editJob(db, job.id, version, [{ key: "a-key-of-its-own", patch }]);
      await addSiteEntries(db, job.id, [line]);
      await acknowledge(db, job.id);
      expect(readLedger(folder).get(job.id)).toEqual({ job: job.id, version: version + 1, lines: 1 });
      await checkLedger(folder, db, false);

      // An older copy of the database: without the edit, or without the line of the record.
      const older = await openMemory();
      await addJob(older, ternCottage());
      await expect(checkLedger(folder, older, false)).rejects.toThrow(
        /tern-cottage stands at edit 1, and 2 was stored.*npm run restore/,
      );
      await editJob(older, job.id, version, [{ key: "a-key-of-its-own", patch }]);
      await expect(checkLedger(folder, older, false)).rejects.toThrow(/has 0 lines of its record, and 1 were stored/);
      const empty = await openMemory();
      await expect(checkLedger(folder, empty, false)).rejects.toBeInstanceOf(StartFault);
      // Refused nothing is forgotten; accepted it begins anew with what is there.
      expect(readLedger(folder).get(job.id)!.version).toBe(2);
      await checkLedger(folder, older, true);
      await checkLedger(folder, older, false);
      await ledger.close();
    },
    SLOW,
  );
  it(
    "a job cleared for good and a demo put back as it was are no loss",
    async () => {
      const folder = fresh();
      const db = await openMemory();
      await addJob(db, ternCottage());
      await addJob(db, ternCottage("other"));
      await checkLedger(folder, db, false);
      const ledger = new Ledger(folder);
      keepLedger(ledger);
      const { job } = (await findJob(db, "tern-cottage"))!;
      const patch = [{ collection: "head", id: "name", before: job.name, after: "Renamed" }];
      await editJob(db, "tern-cottage", 1, [{ key: "a-key-of-its-own", patch }]);
      await acknowledge(db, "tern-cottage");
      await resetDemo(db);
      expect((await findJob(db, "tern-cottage"))!.job.name).toBe("Tern Cottage");
      expect(await clearJob(db, "other")).toBe(false);
      await setDeleted(db, "other", true);
      expect(await clearJob(db, "other")).toBe(true);
      await acknowledge(db, "other");
      await checkLedger(folder, db, false);
      expect([...readLedger(folder).keys()]).toEqual(["tern-cottage"]);
      await ledger.close();
    },
    SLOW,
  );
  it("a line that the power cut in half was acknowledged to nobody, and those before it stand", () => {
    const folder = fresh();
    writeFileSync(join(folder, "ledger.jsonl"), '{"job":"a","version":3,"lines":0}\n');
    appendFileSync(join(folder, "ledger.jsonl"), '{"job":"a","vers');
    expect(readLedger(folder).get("a")!.version).toBe(3);
    expect(readLedger(fresh()).size).toBe(0);
  });
  it("many at once are all on the disk when they are told so, in their order", async () => {
    const folder = fresh();
    const ledger = new Ledger(folder);
    await Promise.all(Array.from({ length: 200 }, (_, i) => ledger.note(`j${i % 7}`, i + 1)));
    expect(readFileSync(join(folder, "ledger.jsonl"), "utf8").trim().split("\n")).toHaveLength(200);
    expect(readLedger(folder).get("j3")!.version).toBe(200);
    await ledger.close();
  });
});

describe("the data folder", () => {
  it("is made where it is not there, and taken as it stands when it is ours", () => {
    const folder = join(fresh(), "deep", "data");
    checkFolder(folder);
    mkdirSync(join(folder, "pg"));
    writeFileSync(join(folder, "pg", "PG_VERSION"), "17");
    writeFileSync(join(folder, "notes.txt"), "");
    checkFolder(folder);
  });
  it("of something else, a file in its way, or a database without its version are refused in words", () => {
    const other = fresh();
    for (const n of ["a", "b", "c", "d"]) writeFileSync(join(other, n), "");
    expect(() => checkFolder(other)).toThrow(/holds files of something else \(a, b, c …\)/);
    const file = join(fresh(), "file");
    writeFileSync(file, "");
    expect(() => checkFolder(join(file, "data"))).toThrow(/a part of its path is a file/);
    const broken = fresh();
    mkdirSync(join(broken, "pg"));
    writeFileSync(join(broken, "pg", "base"), "");
    expect(() => checkFolder(broken)).toThrow(/is damaged \(PG_VERSION is gone\).*npm run restore/);
  });
  it.skipIf(process.getuid?.() === 0)("that may not be written is refused in words", () => {
    const folder = fresh();
    chmodSync(folder, 0o500);
    expect(() => checkFolder(folder)).toThrow(/this user may not write there/);
    rmSync(folder, { recursive: true });
  });
});
