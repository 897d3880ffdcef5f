import { eq } from "drizzle-orm";
import { type Schools, schoolsSchema } from "../core/rules/schools";
import type { Db } from "./db";
import * as schema from "./schema";

/** The schools with which new jobs start. */
export async function defaultSchools(db: Db): Promise<Schools> {
  const [row] = await db.select().from(schema.defaults).where(eq(schema.defaults.key, "schools"));
  const parsed = schoolsSchema.safeParse(row?.value ?? {});
  return parsed.success ? parsed.data : schoolsSchema.parse({});
}

export async function setDefaultSchools(db: Db, schools: Schools): Promise<void> {
  await db
    .insert(schema.defaults)
    .values({ key: "schools", value: schools })
    .onConflictDoUpdate({ target: schema.defaults.key, set: { value: schools } });
}
