import { mkdirSync } from "node:fs";
import { isAbsolute, join } from "node:path";
import type { Db } from "./db";
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
  lockFolder(folder);
  const [{ PGlite }, { drizzle }, { migrate }] = await Promise.all([
    import("@electric-sql/pglite"),
    import("drizzle-orm/pglite"),
    import("drizzle-orm/pglite/migrator"),
  ]);
  const files = join(folder, "pg");
  mkdirSync(files, { recursive: true });
  const db = drizzle({ client: new PGlite(files), schema });
  return upToDate(db as unknown as Db, () => migrate(db, { migrationsFolder: migrationsFolder() }));
}

/** Migrates the tables, then what earlier editions stored in them. */
async function upToDate(db: Db, migrateTables: () => Promise<void>): Promise<Db> {
  await migrateTables();
  await upgradeStored(db);
  return db;
}

async function openServer(url: string): Promise<Db> {
  const [{ default: postgres }, { drizzle }, { migrate }] = await Promise.all([
    import("postgres"),
    import("drizzle-orm/postgres-js"),
    import("drizzle-orm/postgres-js/migrator"),
  ]);
  const db = drizzle({ client: postgres(url, { max: 8, onnotice: () => {} }), schema });
  return upToDate(db as unknown as Db, () => migrate(db, { migrationsFolder: migrationsFolder() }));
}

/** A database in memory, migrated: for tests and timings; every statement it is sent is told to `onStatement`. */
export async function openMemory(onStatement?: (statement: string) => void): Promise<Db> {
  const [{ PGlite }, { drizzle }, { migrate }] = await Promise.all([
    import("@electric-sql/pglite"),
    import("drizzle-orm/pglite"),
    import("drizzle-orm/pglite/migrator"),
  ]);
  const logger = onStatement ? { logQuery: onStatement } : false;
  const db = drizzle({ client: new PGlite(), schema, logger });
  return upToDate(db as unknown as Db, () => migrate(db, { migrationsFolder: migrationsFolder() }));
}

const held = globalThis as { lumbetDb?: Promise<Db> };

/**
 * The one database of this process: the PostgreSQL server named by DATABASE_URL, else the embedded one in the data folder.
 * @throws FolderBusy when another process has the folder
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
