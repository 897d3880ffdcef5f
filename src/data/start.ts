import { startDaily } from "./backup/daily";
import { dataFolder, database } from "./client";
import { StartFault } from "./start-fault";
import { anybody } from "./people/people";
import { firstOwnerCode } from "./people/first-owner";
import { signInNeeded } from "./people/sign-in-needed";
import { leaveAddress } from "./console-key";
import { resetDemo, seedIfNew } from "./seed";

/** Opens the database at server start. A folder held by another process is told in words and ends this one. */
export async function openAtStart(): Promise<void> {
  try {
    const db = await database();
    await seedIfNew(db);
    if (process.env.LUMBET_RESET_DEMO === "1") await resetDemo(db);
    startDaily(db);
    if (signInNeeded() && !(await anybody(db)))
      process.stderr.write(
        `Nobody has signed in here yet. Who is to be the owner opens ${process.env.LUMBET_ADDRESS ?? ""}/sign-in?code=${firstOwnerCode()}\n`,
      );
    // Where the tools of the command line find this server while it has the folder.
    const console = process.env.LUMBET_CONSOLE ?? process.env.LUMBET_ADDRESS;
    if (console) leaveAddress(dataFolder(), console);
  } catch (e) {
    process.stderr.write(
      `${e instanceof StartFault ? e.message : `The database could not be opened: ${(e as Error).stack ?? String(e)}`}\n`,
    );
    process.exit(3);
  }
}
