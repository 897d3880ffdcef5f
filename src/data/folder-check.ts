import { accessSync, constants, existsSync, mkdirSync, readdirSync } from "node:fs";
import { join } from "node:path";
import { StartFault } from "./start-fault";

/** What stands in a data folder of ours. */
const OURS = new Set(["pg", "pg.part", "lumbet.lock", "lumbet.address", "ledger.jsonl", "backups", "incoming", "tls"]);

const words: Readonly<Record<string, string>> = {
  EACCES: "this user may not write there",
  EPERM: "this user may not write there",
  EROFS: "the disk is read-only",
  ENOTDIR: "a part of its path is a file, not a folder",
  ENOSPC: "the disk is full",
};

/**
 * Looks at the data folder before anything in it is touched, and makes it where it is not there.
 * @throws StartFault where it cannot be written, holds files of something else, or its database has lost a part
 */
export function checkFolder(folder: string): void {
  try {
    mkdirSync(folder, { recursive: true });
    accessSync(folder, constants.R_OK | constants.W_OK | constants.X_OK);
  } catch (e) {
    const { code = "" } = e as NodeJS.ErrnoException;
    throw new StartFault(
      `The data folder ${folder} cannot be used: ${words[code] ?? (e as Error).message}. ` +
        "Put that right, or set LUMBET_DATA to another folder.",
    );
  }
  const names = readdirSync(folder);
  const foreign = names.filter((n) => !OURS.has(n) && !n.startsWith("."));
  const pg = join(folder, "pg");
  if (foreign.length && !existsSync(pg))
    throw new StartFault(
      `The folder ${folder} holds files of something else (${foreign.slice(0, 3).join(", ")}${foreign.length > 3 ? " …" : ""}). ` +
        "Lumbet keeps its data in a folder of its own: set LUMBET_DATA to an empty one.",
    );
  if (existsSync(pg) && readdirSync(pg).length && !existsSync(join(pg, "PG_VERSION")))
    throw damaged(folder, "PG_VERSION is gone");
}

/** A database that is there and cannot be used: what to do about it. */
export const damaged = (folder: string, what: string): StartFault =>
  new StartFault(
    `The database in ${folder} is damaged (${what}). Nothing has been changed. Move the folder aside, and put the newest of ` +
      `${join(folder, "backups")} back into a new one: npm run restore -- FILE`,
  );
