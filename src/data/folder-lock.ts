import { StartFault } from "./start-fault";
import { closeSync, mkdirSync, openSync, readFileSync, rmSync, writeSync } from "node:fs";
import { join } from "node:path";

/** Thrown when another process holds the data folder. The message is for people. */
export class FolderBusy extends StartFault {}

const LOCK = "lumbet.lock";

/** Start time of a process in clock ticks since boot, or null where the system does not tell. Tells a reused number apart. */
function startedAt(pid: number): string | null {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, "utf8");
    return stat.slice(stat.lastIndexOf(")") + 2).split(" ")[19] ?? null;
  } catch {
    return null;
  }
}

function alive(pid: number, started: string | null): boolean {
  try {
    process.kill(pid, 0);
  } catch (e) {
    if ((e as NodeJS.ErrnoException).code === "ESRCH") return false;
  }
  const now = startedAt(pid);
  return started === null || now === null || now === started;
}

/** Process that holds the folder, or null when it is free (a lock left by a dead process does not count). */
export function holderOf(folder: string): number | null {
  let text: string;
  try {
    text = readFileSync(join(folder, LOCK), "utf8");
  } catch {
    return null;
  }
  const [pid, started] = text.trim().split(" ");
  const n = Number(pid);
  return Number.isInteger(n) && n > 0 && alive(n, started && started !== "-" ? started : null) ? n : null;
}

/**
 * Takes the data folder for this process, so that no second one opens the same database. Released when the process exits;
 * a lock left behind by a killed process is taken over.
 * @throws FolderBusy naming the process that holds it
 */
export function lockFolder(folder: string): () => void {
  mkdirSync(folder, { recursive: true });
  const path = join(folder, LOCK);
  for (let attempt = 0; ; attempt++) {
    const holder = holderOf(folder);
    if (holder !== null && holder !== process.pid)
      throw new FolderBusy(
        `The data folder ${folder} is in use by another Lumbet (process ${holder}). Stop that one first, or set LUMBET_DATA to another folder.`,
      );
    try {
      if (attempt > 0 || holder === process.pid) rmSync(path, { force: true });
      const fd = openSync(path, "wx");
      writeSync(fd, `${process.pid} ${startedAt(process.pid) ?? "-"}\n`);
      closeSync(fd);
      break;
    } catch (e) {
      if ((e as NodeJS.ErrnoException).code !== "EEXIST" || attempt > 2) throw e;
    }
  }
  const release = (): void => {
    if (holderOf(folder) === process.pid) rmSync(path, { force: true });
  };
  process.once("exit", release);
  return release;
}
