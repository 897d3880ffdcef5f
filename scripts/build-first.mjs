// Prepares the folder of an empty database, `.next/first-data`: the first start on a new data folder copies it instead of making one,
// which takes seconds. After the build of the application, which empties `.next`.
import { mkdirSync, rmSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { PGlite } from "@electric-sql/pglite";
import { drizzle } from "drizzle-orm/pglite";
import { migrate } from "drizzle-orm/pglite/migrator";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const folder = join(root, ".next", "first-data");
rmSync(folder, { recursive: true, force: true });
mkdirSync(folder, { recursive: true });
const client = new PGlite(folder);
await client.waitReady;
await migrate(drizzle({ client }), { migrationsFolder: join(root, "src", "data", "migrations") });
await client.close();
process.exit(0);
