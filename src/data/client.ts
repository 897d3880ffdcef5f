import { mkdirSync, readFileSync } from "node:fs";
import { isAbsolute, join } from "node:path";
import { sql } from "drizzle-orm";
import { nanoid } from "nanoid";
import { keepLedger } from "./acknowledge";
import type { Db } from "./db";
import { checkFolder, damaged } from "./folder-check";
import { rowsOf } from "./job-rows";
import { Ledger, checkLedger } from "./ledger";
import { StartFault } from "./start-fault";
import { keepEmpty, putFirstData, readEmpty } from "./first-data";
import { lockFolder } from "./folder-lock";
import * as schema from "./schema";
import { upgradeStored } from "./upgrade-stored";

/** Folder of the embedded database: LUMBET_DATA, or `data` in the working folder. */
export function dataFolder(): string {
  const set = process.env.LUMBET_DATA || "data";
  return isAbsolute(set) ? set : join(/* turbopackIgnore: true */ process.cwd(), set);
}

const migrationsFolder = (): string => join(/* turbopackIgnore: true */ process.cwd(), "src", "data", "migrations");

async function openEmbedded(folder: string): Promise<Db> {
  checkFolder(folder);
  lockFolder(folder);
  const [{ PGlite }, { drizzle }, { migrate }] = await Promise.all([
    import("@electric-sql/pglite"),
    import("drizzle-orm/pglite"),
    import("drizzle-orm/pglite/migrator"),
  ]);
  const files = join(folder, "pg");
  putFirstData(files);
  mkdirSync(files, { recursive: true });
  const client = new PGlite(files);
  try {
    await client.waitReady;
  } catch (e) {
    throw damaged(folder, (e as Error).message.split("\n")[0]!);
  }
  const pg = drizzle({ client, schema });
  const db = pg as unknown as Db;
  try {
    await refuseNewer(db, folder);
    await upToDate(db, () => migrate(pg, { migrationsFolder: migrationsFolder() }));
  } catch (e) {
    throw e instanceof StartFault ? e : damaged(folder, causeOf(e));
  }
  await checkLedger(folder, db, process.env.LUMBET_ACCEPT_LOSS === "1");
  keepLedger(new Ledger(folder));
  return db;
}

/** What the database said, below the statement that it failed at. */
const causeOf = (e: unknown): string => {
  const { cause } = e as { cause?: unknown };
  return (cause instanceof Error ? cause : (e as Error)).message.split("\n")[0]!;
};

/**
 * Refuses a database whose tables a newer edition has changed.
 * @throws StartFault
 */
async function refuseNewer(db: Db, folder: string): Promise<void> {
  const there = rowsOf<{ n: string | null }>(
    await db.execute(sql`select to_regclass('drizzle.__drizzle_migrations')::text as n`),
  );
  if (!there[0]?.n) return;
  const [row] = rowsOf<{ newest: string | null }>(
    await db.execute(sql`select max(created_at)::text as newest from drizzle.__drizzle_migrations`),
  );
  const journal = JSON.parse(readFileSync(join(migrationsFolder(), "meta", "_journal.json"), "utf8")) as {
    entries: { when: number }[];
  };
  if (Number(row?.newest ?? 0) > Math.max(...journal.entries.map((x) => x.when)))
    throw new StartFault(
      `The data in ${folder} was written by a newer edition of Lumbet. Start that edition, or put a backup made by this one back into a new folder.`,
    );
}

/** Migrates the tables, then what earlier editions stored in them. */
async function upToDate(db: Db, migrateTables: () => Promise<void>): Promise<Db> {
  await migrateTables();
  await upgradeStored(db);
  return db;
}

/** Number of the lock that a server holds while it brings the tables up to date. */
const MIGRATING = 41_270_014;

/** Opens a database of a PostgreSQL server; its tables are brought up to date by one process at a time. */
export async function openServer(url: string, onStatement?: (statement: string) => void): Promise<Db> {
  const [{ default: postgres }, { drizzle }, { migrate }] = await Promise.all([
    import("postgres"),
    import("drizzle-orm/postgres-js"),
    import("drizzle-orm/postgres-js/migrator"),
  ]);
  // One after the other: two servers that start on one database do not both change its tables.
  const one = postgres(url, { max: 1, onnotice: () => {} });
  try {
    await one`select pg_advisory_lock(${MIGRATING})`;
    const db = drizzle({ client: one, schema });
    await upToDate(db as unknown as Db, () => migrate(db, { migrationsFolder: migrationsFolder() }));
  } finally {
    await one.end();
  }
  const logger = onStatement ? { logQuery: onStatement } : false;
  return drizzle({ client: postgres(url, { max: 8, onnotice: () => {} }), schema, logger }) as unknown as Db;
}

/** A new, empty database on a PostgreSQL server, and its address. */
export async function newDatabase(server: string): Promise<string> {
  const { default: postgres } = await import("postgres");
  const admin = postgres(server, { max: 1, onnotice: () => {} });
  const name = `lumbet_${nanoid(12)
    .toLowerCase()
    .replace(/[^a-z0-9]/g, "x")}`;
  await admin.unsafe(`create database ${name}`);
  await admin.end();
  const url = new URL(server);
  url.pathname = `/${name}`;
  return url.toString();
}

/**
 * An empty database, migrated: for tests and timings; every statement it is sent is told to `onStatement`. In memory, or on the
 * server that TEST_DATABASE_URL names.
 */
export async function openMemory(onStatement?: (statement: string) => void): Promise<Db> {
  if (process.env.TEST_DATABASE_URL) return openServer(await newDatabase(process.env.TEST_DATABASE_URL), onStatement);
  const [{ PGlite }, { drizzle }, { migrate }] = await Promise.all([
    import("@electric-sql/pglite"),
    import("drizzle-orm/pglite"),
    import("drizzle-orm/pglite/migrator"),
  ]);
  const logger = onStatement ? { logQuery: onStatement } : false;
  const empty = readEmpty(migrationsFolder());
  const client = empty ? new PGlite({ loadDataDir: empty }) : new PGlite();
  const db = drizzle({ client, schema, logger });
  if (empty) return db as unknown as Db;
  await upToDate(db as unknown as Db, () => migrate(db, { migrationsFolder: migrationsFolder() }));
  await keepEmpty(migrationsFolder(), await client.dumpDataDir("none"));
  return db as unknown as Db;
}

const held = globalThis as { lumbetDb?: Promise<Db> };

/**
 * The one database of this process: the PostgreSQL server named by DATABASE_URL, else the embedded one in the data folder.
 * @throws StartFault in words, where the folder is another's, busy, read-only, damaged, newer, or has lost edits
 */
export function database(): Promise<Db> {
  held.lumbetDb ??= (
    process.env.DATABASE_URL ? openServer(process.env.DATABASE_URL) : openEmbedded(dataFolder())
  ).catch((e: unknown) => {
    delete held.lumbetDb;
    throw e;
  });
  return held.lumbetDb;
}
