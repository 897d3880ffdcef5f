import { writeFileSync } from "node:fs";
import { join } from "node:path";
import { startDaily } from "./backup/daily";
import { dataFolder, database } from "./client";
import { StartFault } from "./start-fault";
import { resetDemo, seedIfNew } from "./seed";

/** Opens the database at server start. A folder held by another process is told in words and ends this one. */
export async function openAtStart(): Promise<void> {
  try {
    const db = await database();
    await seedIfNew(db);
    if (process.env.LUMBET_RESET_DEMO === "1") await resetDemo(db);
    startDaily(db);
    // Where the tools of the command line find this server while it has the folder.
    if (process.env.LUMBET_ADDRESS)
      writeFileSync(join(dataFolder(), "lumbet.address"), `${process.env.LUMBET_ADDRESS}\n`);
  } catch (e) {
    process.stderr.write(
      `${e instanceof StartFault ? e.message : `The database could not be opened: ${(e as Error).stack ?? String(e)}`}\n`,
    );
    process.exit(3);
  }
}
