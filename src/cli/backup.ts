import { createWriteStream, existsSync, mkdirSync, renameSync } from "node:fs";
import { dirname, join, resolve } from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { BackupFault } from "../data/backup/format";
import { verifyBackup } from "../data/backup/read";
import { backupTo } from "../data/backup/write";
import { runningServer } from "../data/console-key";
import { dataFolder, database } from "../data/client";
import { FolderBusy } from "../data/folder-lock";
import { StartFault } from "../data/start-fault";

/** `npm run backup [-- FILE]`: all jobs into one file, read again after writing; also while the server runs. */
async function main(): Promise<void> {
  const stamp = new Date().toISOString().slice(0, 16).replace("T", "-").replace(":", "");
  const path = resolve(process.argv[2] ?? join(dataFolder(), "backups", `by-hand-${stamp}.tar.gz`));
  if (existsSync(path)) throw new BackupFault(`${path} is there already; name another file.`);
  mkdirSync(dirname(path), { recursive: true });
  const { jobs, pictures } = await written(path);
  console.log(`${jobs} jobs and ${pictures} pictures are in ${path}, read again after writing.`);
}

async function written(path: string): Promise<{ jobs: number; pictures: number }> {
  try {
    return await backupTo(await database(), path);
  } catch (e) {
    const server = e instanceof FolderBusy ? runningServer(dataFolder()) : null;
    if (!server) throw e;
    const { address, headers } = server;
    const answer = await fetch(`${address}/api/backup`, { headers });
    if (!answer.ok || !answer.body) throw new BackupFault(`The server at ${address} answered ${answer.status}.`);
    await pipeline(Readable.fromWeb(answer.body as never), createWriteStream(`${path}.part`));
    const out = await verifyBackup(`${path}.part`);
    renameSync(`${path}.part`, path);
    return out;
  }
}

main().then(
  () => process.exit(0),
  (e: unknown) => {
    console.error(e instanceof BackupFault || e instanceof StartFault ? e.message : e);
    process.exit(1);
  },
);
