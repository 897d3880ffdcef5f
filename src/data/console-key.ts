import { timingSafeEqual } from "node:crypto";
import { chmodSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { newToken } from "./people/token";

const held = globalThis as { lumbetConsole?: string };

/** Header by which the tools of the command line show that they may read the data folder. */
export const CONSOLE_HEADER = "x-lumbet-console";

/** Leaves where this server is found, and a key to it that only who may read the data folder has; new at each start. */
export function leaveAddress(folder: string, address: string): void {
  held.lumbetConsole = newToken();
  const path = join(folder, "lumbet.address");
  writeFileSync(path, `${address}\n${held.lumbetConsole}\n`, { mode: 0o600 });
  // The mode counts for a new file only.
  chmodSync(path, 0o600);
}

/** Whether a request comes from this machine's own command line. */
export function ofConsole(headers: Headers): boolean {
  const got = Buffer.from(headers.get(CONSOLE_HEADER) ?? "");
  const want = Buffer.from(held.lumbetConsole ?? "");
  return want.length > 0 && got.length === want.length && timingSafeEqual(got, want);
}

/** Address of the server that holds a data folder and the headers to ask it with; null where it left none. */
export function runningServer(folder: string): { address: string; headers: Record<string, string> } | null {
  try {
    const [address = "", key = ""] = readFileSync(join(folder, "lumbet.address"), "utf8").split("\n");
    return /^http:\/\/[\w.:[\]-]+$/.test(address) ? { address, headers: key ? { [CONSOLE_HEADER]: key } : {} } : null;
  } catch {
    return null;
  }
}
