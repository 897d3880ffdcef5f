import { statfs } from "node:fs/promises";
import { dataFolder } from "./client";

/** Room that is left free on the disk of the data folder, MB: below it nothing is stored, since a database that meets the end of the disk in the middle of a change stops. */
const LEAST = 200;
/** How long what the disk said counts, ms. */
const FRESH = 1000;

let last = { at: -Infinity, words: null as string | null };

/** Why nothing is stored for want of room; null where there is enough, or where the database is a server's. */
export async function refusalOfRoom(now = Date.now()): Promise<string | null> {
  if (process.env.DATABASE_URL) return null;
  if (Math.abs(now - last.at) < FRESH) return last.words;
  const least = Number(process.env.LUMBET_ROOM ?? LEAST);
  const { bavail, bsize } = await statfs(dataFolder()).catch(() => ({ bavail: Infinity, bsize: 1 }));
  const left = Math.floor((bavail * bsize) / 1e6);
  last = {
    at: now,
    words:
      left >= least
        ? null
        : `The disk of the server has ${left} MB left, and ${least} MB are kept free: nothing more is stored until somebody makes room. What you do is kept on this device.`,
  };
  return last.words;
}
