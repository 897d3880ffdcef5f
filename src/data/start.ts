import { database } from "./client";
import { FolderBusy } from "./folder-lock";
import { seedIfNew } from "./seed";

/** Opens the database at server start. A folder held by another process is told in words and ends this one. */
export async function openAtStart(): Promise<void> {
  try {
    await seedIfNew(await database());
  } catch (e) {
    process.stderr.write(
      `${e instanceof FolderBusy ? e.message : `The database could not be opened: ${(e as Error).stack ?? String(e)}`}\n`,
    );
    process.exit(3);
  }
}
