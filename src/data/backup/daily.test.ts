import { existsSync, mkdtempSync, readdirSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { openMemory } from "../client";
import { blankJob } from "../../core/job/model";
import { addJob } from "../jobs";
import { backupOfDay, backupState } from "./daily";
import { verifyBackup } from "./read";

const SLOW = 120_000;
const day = (n: number): Date => new Date(Date.UTC(2026, 2, n, 12));

describe("a backup of every day", () => {
  it(
    "one a day, read again, the last seven kept; a clock that goes back writes none",
    async () => {
      const folder = join(mkdtempSync(join(tmpdir(), "lumbet-daily-")), "backups");
      const db = await openMemory();
      await addJob(db, blankJob("a", "A"));
      expect(await backupOfDay(db, day(1), folder)).toBe(true);
      expect(await backupOfDay(db, day(1), folder)).toBe(false);
      for (let n = 2; n <= 9; n++) expect(await backupOfDay(db, day(n), folder)).toBe(true);
      const { standing, failed } = backupState(folder);
      expect(standing.map((b) => b.day)).toEqual([9, 8, 7, 6, 5, 4, 3].map((n) => `2026-03-0${n}`));
      expect(failed).toBeNull();
      expect((await verifyBackup(join(folder, standing[0]!.file))).jobs).toBe(1);
      expect(await backupOfDay(db, day(5), folder)).toBe(false);
      expect(backupState(folder).standing).toHaveLength(7);
    },
    SLOW,
  );
  it(
    "one that fails says why, leaves nothing half, and is forgotten when the next is right; other files are nobody's business",
    async () => {
      const folder = mkdtempSync(join(tmpdir(), "lumbet-daily-"));
      writeFileSync(join(folder, "my-notes.txt"), "");
      const db = await openMemory();
      const broken = {
        select: () => {
          throw new Error("the disk is full");
        },
      } as never;
      expect(await backupOfDay(broken, day(1), folder)).toBe(false);
      expect(backupState(folder).failed).toBe("2026-03-01: the disk is full");
      expect(readdirSync(folder).filter((f) => f.startsWith("lumbet-"))).toEqual([]);
      expect(await backupOfDay(db, day(1), folder)).toBe(true);
      expect(backupState(folder)).toMatchObject({ failed: null, standing: [{ day: "2026-03-01" }] });
      expect(existsSync(join(folder, "my-notes.txt"))).toBe(true);
      expect(backupState(join(folder, "none")).standing).toEqual([]);
    },
    SLOW,
  );
});
