// Clears everything in the data folder, after asking: all jobs, records and pictures. Backups stay unless they are named too.
import { existsSync, readFileSync, readdirSync, rmSync } from "node:fs";
import { dirname, isAbsolute, join } from "node:path";
import { createInterface } from "node:readline/promises";
import { fileURLToPath } from "node:url";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const set = process.env.LUMBET_DATA || "data";
const data = isAbsolute(set) ? set : join(root, set);
const parts = ["pg", "ledger.jsonl", "lumbet.address", "lumbet.lock", "incoming"];

function stop(words) {
  console.error(words);
  process.exit(1);
}
if (!existsSync(join(data, "pg"))) stop(`There is nothing of Lumbet in ${data}. Nothing has been cleared.`);
const lock = join(data, "lumbet.lock");
if (existsSync(lock)) {
  const pid = Number(readFileSync(lock, "utf8").split(" ")[0]);
  let alive = true;
  try {
    process.kill(pid, 0);
  } catch (e) {
    alive = e.code !== "ESRCH";
  }
  if (alive) stop(`The data folder ${data} is in use by Lumbet (process ${pid}). Stop that one first.`);
}
const backups = existsSync(join(data, "backups")) ? readdirSync(join(data, "backups")).length : 0;
console.log(
  `This clears every job in ${data}, with its record and pictures. ${backups ? "The backups in it stay." : "There is no backup in it."}`,
);
const ask = createInterface({ input: process.stdin, output: process.stdout });
const typed = await ask.question("Type clear to go on: ").catch(() => "");
ask.close();
if (typed.trim() !== "clear") stop("Nothing has been cleared.");
// Only what is ours: other files of the folder are left alone.
for (const name of parts) rmSync(join(data, name), { recursive: true, force: true });
console.log("Cleared. The next start begins with the demo job.");
