import type { PgDatabase, PgQueryResultHKT } from "drizzle-orm/pg-core";
import type * as schema from "./schema";

/** The database as repositories see it: Drizzle's PostgreSQL dialect, whatever runs below. */
export type Db = PgDatabase<PgQueryResultHKT, typeof schema>;
