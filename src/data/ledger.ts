import { closeSync, existsSync, fsyncSync, openSync, readFileSync, renameSync, writeSync } from "node:fs";
import { type FileHandle, open } from "node:fs/promises";
import { join } from "node:path";
import { sql } from "drizzle-orm";
import type { Db } from "./db";
import { rowsOf } from "./job-rows";
import { StartFault } from "./start-fault";

/**
 * What has been acknowledged to people, outside the database: for each job the newest version and the lines of its record. Written
 * and synced before an answer is given, and held against the database at every start, so that no database that has lost edits is
 * worked on unawares.
 */
interface Line {
  job: string;
  /** Newest version acknowledged; null: the job has been cleared for good. */
  version: number | null;
  /** Lines of its record; never fewer. */
  lines: number;
}

const NAME = "ledger.jsonl";

/** Reads the ledger: the last line of each job counts; a line cut off by a lost power supply was acknowledged to nobody. */
export function readLedger(folder: string): Map<string, Line> {
  const out = new Map<string, Line>();
  const path = join(folder, NAME);
  if (!existsSync(path)) return out;
  for (const text of readFileSync(path, "utf8").split("\n")) {
    try {
      const l = JSON.parse(text) as Line;
      if (typeof l.job === "string" && (l.version === null || Number.isInteger(l.version))) out.set(l.job, l);
    } catch {
      // The end of a file whose last write was cut off, or the empty line behind it.
    }
  }
  return out;
}

const standing = async (db: Db): Promise<Map<string, Line>> =>
  new Map(
    rowsOf<{ id: string; version: number; lines: number }>(
      await db.execute(
        sql`select j.id, j.version, (select count(*)::int from site_entries s where s.job_id = j.id) as lines from jobs j`,
      ),
    ).map((r) => [r.id, { job: r.id, version: r.version, lines: r.lines }]),
  );

/**
 * Holds the database against the ledger, and begins it anew with what stands.
 * @param accept start all the same where edits are missing
 * @throws StartFault naming the jobs that lost edits
 */
export async function checkLedger(folder: string, db: Db, accept: boolean): Promise<void> {
  const now = await standing(db);
  const lost: string[] = [];
  for (const l of readLedger(folder).values()) {
    if (l.version === null) continue;
    const at = now.get(l.job);
    if (!at) lost.push(`job ${l.job} is missing`);
    else if (at.version! < l.version)
      lost.push(`job ${l.job} stands at edit ${at.version}, and ${l.version} was stored`);
    else if (at.lines < l.lines)
      lost.push(`job ${l.job} has ${at.lines} lines of its record, and ${l.lines} were stored`);
  }
  if (lost.length && !accept)
    throw new StartFault(
      `The database in ${folder} has lost what was stored: ${lost.slice(0, 5).join("; ")}${lost.length > 5 ? " …" : ""}. ` +
        "It may be an older copy, or damaged. Nothing has been changed. Put a backup back into a new folder " +
        "(npm run restore -- FILE), or start with what is there: LUMBET_ACCEPT_LOSS=1",
    );
  writeWhole(folder, [...now.values()]);
}

function writeWhole(folder: string, lines: readonly Line[]): void {
  const path = join(folder, NAME);
  const fd = openSync(`${path}.part`, "w");
  writeSync(fd, lines.map((l) => `${JSON.stringify(l)}\n`).join(""));
  fsyncSync(fd);
  closeSync(fd);
  renameSync(`${path}.part`, path);
  const dir = openSync(folder, "r");
  fsyncSync(dir);
  closeSync(dir);
}

/** Writes lines behind one another; those that come while one is being synced go together with the next. */
export class Ledger {
  private file: Promise<FileHandle>;
  private waiting: { line: Line; done: () => void; fail: (e: unknown) => void }[] = [];
  private busy = false;
  constructor(folder: string) {
    this.file = open(join(folder, NAME), "a");
  }

  /** Resolves when the line is on the disk. */
  note(job: string, version: number | null, lines = 0): Promise<void> {
    return new Promise((done, fail) => {
      this.waiting.push({ line: { job, version, lines }, done, fail });
      void this.write();
    });
  }

  private async write(): Promise<void> {
    if (this.busy) return;
    this.busy = true;
    while (this.waiting.length) {
      const some = this.waiting;
      this.waiting = [];
      try {
        const file = await this.file;
        await file.appendFile(some.map((w) => `${JSON.stringify(w.line)}\n`).join(""));
        await file.datasync();
        for (const w of some) w.done();
      } catch (e) {
        for (const w of some) w.fail(e);
      }
    }
    this.busy = false;
  }

  async close(): Promise<void> {
    await (await this.file).close();
  }
}
