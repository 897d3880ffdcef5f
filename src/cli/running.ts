import { readFileSync } from "node:fs";
import { join } from "node:path";

/** Address of the server that holds a data folder, as it left it there; null where it left none. */
export function runningAddress(folder: string): string | null {
  try {
    const text = readFileSync(join(folder, "lumbet.address"), "utf8").trim();
    return /^http:\/\/[\w.:[\]-]+$/.test(text) ? text : null;
  } catch {
    return null;
  }
}
