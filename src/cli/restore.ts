import { createReadStream, existsSync } from "node:fs";
import { resolve } from "node:path";
import { Readable } from "node:stream";
import { acknowledgeAll } from "../data/acknowledge";
import { BackupFault } from "../data/backup/format";
import { type Restored, restoreBackup } from "../data/backup/restore";
import { runningServer } from "../data/console-key";
import { dataFolder, database } from "../data/client";
import { FolderBusy } from "../data/folder-lock";
import { StartFault } from "../data/start-fault";

/** `npm run restore -- FILE`: everything of a backup put back, all of it or nothing; what is there is never overwritten. */
async function main(): Promise<void> {
  const file = process.argv[2];
  if (!file) throw new BackupFault("Name the backup: npm run restore -- FILE");
  const path = resolve(file);
  if (!existsSync(path)) throw new BackupFault(`${path} is not there.`);
  const out = await put(path);
  console.log(
    `Backup of ${out.at}: ${out.back} jobs put back, ${out.same} stood as they are, ${out.beside.length} put beside what has ` +
      `changed since${out.beside.length ? ` (${out.beside.join(", ")})` : ""}, ${out.pictures} pictures.`,
  );
}

async function put(path: string): Promise<Restored> {
  try {
    const db = await database();
    const out = await restoreBackup(db, path);
    await acknowledgeAll(db);
    return out;
  } catch (e) {
    const server = e instanceof FolderBusy ? runningServer(dataFolder()) : null;
    if (!server) throw e;
    const { address, headers } = server;
    const body = Readable.toWeb(createReadStream(path)) as ReadableStream;
    const answer = await fetch(`${address}/api/backup`, {
      method: "POST",
      body,
      headers,
      duplex: "half",
    } as RequestInit);
    const said = (await answer.json()) as Restored & { error?: { message: string } };
    if (!answer.ok) throw new BackupFault(said.error?.message ?? `The server at ${address} answered ${answer.status}.`);
    return said;
  }
}

main().then(
  () => process.exit(0),
  (e: unknown) => {
    console.error(e instanceof BackupFault || e instanceof StartFault ? e.message : e);
    process.exit(1);
  },
);
