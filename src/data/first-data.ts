import { createHash } from "node:crypto";
import { cpSync, existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";

/** The folder of an empty database as the build prepared it; tables that came since are added at the start like any others. */
const prepared = (): string => join(/* turbopackIgnore: true */ process.cwd(), ".next", "first-data");

/**
 * Puts the prepared empty database where there is none yet: whole or not at all, whatever happens meanwhile. Where nothing is prepared
 * the database makes its own.
 */
export function putFirstData(files: string, from = prepared()): void {
  const part = `${files}.part`;
  rmSync(part, { recursive: true, force: true });
  if (existsSync(files) || !existsSync(join(from, "PG_VERSION"))) return;
  cpSync(from, part, { recursive: true });
  renameSync(part, files);
}

/** Where an empty database with all tables is kept for tests: under the checksum of what made its tables. */
function keptEmpty(migrations: string): string {
  const sum = createHash("sha256").update(readFileSync(join(migrations, "meta", "_journal.json")));
  const { entries } = JSON.parse(readFileSync(join(migrations, "meta", "_journal.json"), "utf8")) as {
    entries: { tag: string }[];
  };
  for (const e of entries) sum.update(readFileSync(join(migrations, `${e.tag}.sql`)));
  return join("node_modules", ".cache", "lumbet", `empty-${sum.digest("hex").slice(0, 16)}.tar`);
}

/** An empty database with all tables, as one file, if one has been kept. */
export function readEmpty(migrations: string): Blob | null {
  const path = keptEmpty(migrations);
  return existsSync(path) ? new Blob([readFileSync(path)]) : null;
}

/** Keeps an empty database for the next who needs one. */
export async function keepEmpty(migrations: string, dump: Blob): Promise<void> {
  const path = keptEmpty(migrations);
  mkdirSync(dirname(path), { recursive: true });
  writeFileSync(`${path}.${process.pid}`, Buffer.from(await dump.arrayBuffer()));
  renameSync(`${path}.${process.pid}`, path);
}
