import { mkdirSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { dataFolder } from "../client";
import type { Db } from "../db";
import { backupTo } from "./write";

/** Backups kept: the last so many days. */
export const DAYS = 7;
/** How often it is looked whether one is due, ms. */
const LOOK = 30 * 60 * 1000;
/** Not while the server is still starting, ms. */
const FIRST = 60 * 1000;

/** A backup that stands in the data folder. `day` is ISO 8601; bytes on disk. */
export interface StandingBackup {
  file: string;
  day: string;
  bytes: number;
}
/** What the list of jobs says about backups. `failed` are the words of the last try, where it failed. */
export interface BackupState {
  folder: string;
  standing: StandingBackup[];
  /** How many days are kept. */
  days: number;
  failed: string | null;
}

export const backupFolder = (): string => join(dataFolder(), "backups");
const named = /^lumbet-(\d{4}-\d{2}-\d{2})\.tar\.gz$/;
const FAILED = "failed.txt";

/** The backups of a folder, newest first. */
export function backupState(folder = backupFolder()): BackupState {
  let names: string[] = [];
  try {
    names = readdirSync(/* turbopackIgnore: true */ folder);
  } catch {
    // None yet.
  }
  const standing = names
    .flatMap((file) => {
      const day = named.exec(file)?.[1];
      return day ? [{ file, day, bytes: statSync(join(folder, file)).size }] : [];
    })
    .sort((a, b) => (a.day < b.day ? 1 : -1));
  return {
    folder,
    standing,
    days: DAYS,
    failed: names.includes(FAILED) ? readFileSync(join(folder, FAILED), "utf8").trim() : null,
  };
}

/**
 * Writes the backup of a day where there is none, reads it again, and lets those older than the last seven go. One that fails
 * leaves all others as they are, and says why beside them.
 * @param now the time, for its day in UTC
 * @returns true when one was written
 */
export async function backupOfDay(db: Db, now = new Date(), folder = backupFolder()): Promise<boolean> {
  const day = now.toISOString().slice(0, 10);
  mkdirSync(folder, { recursive: true });
  if (backupState(folder).standing.some((b) => b.day >= day)) return false;
  try {
    await backupTo(db, join(folder, `lumbet-${day}.tar.gz`));
  } catch (e) {
    writeFileSync(join(folder, FAILED), `${day}: ${(e as Error).message}\n`);
    return false;
  }
  rmSync(join(folder, FAILED), { force: true });
  for (const old of backupState(folder).standing.slice(DAYS)) rmSync(join(folder, old.file));
  return true;
}

/** Keeps a backup of every day that this server runs in. */
export function startDaily(db: Db): void {
  const look = (): void => {
    backupOfDay(db).catch((e: unknown) => process.stderr.write(`The daily backup failed: ${String(e)}\n`));
  };
  setTimeout(look, FIRST).unref();
  setInterval(look, LOOK).unref();
}
