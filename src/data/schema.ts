import { bigint, index, integer, jsonb, pgTable, primaryKey, text, timestamp, uniqueIndex } from "drizzle-orm/pg-core";
import type { SiteEntry } from "../core/job/site-entry";

import { jobs, ofJob } from "./schema-job";

export * from "./schema-job";
export * from "./schema-outside";
export * from "./schema-people";

/** Pictures by id; the file itself is a large object of the database, beside its length and SHA-256. */
export const pictures = pgTable(
  "pictures",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    type: text("type").$type<"image/png" | "image/jpeg" | "image/webp">().notNull(),
    /** Where earlier editions kept the file, as base64; empty since. */
    data: text("data").notNull().default(""),
    /** Number of the large object. */
    content: bigint("content", { mode: "number" }),
    bytes: integer("bytes").notNull().default(0),
    sha256: text("sha256").notNull().default(""),
    storedAt: timestamp("stored_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

/** Answers kept from the Bench, by name; of one job or of none. */
export const keptAnswers = pgTable(
  "kept_answers",
  {
    id: text("id").primaryKey(),
    name: text("name").notNull(),
    calculator: text("calculator").notNull(),
    input: jsonb("input").notNull(),
    headline: text("headline").notNull(),
    jobId: text("job_id").references(() => jobs.id, { onDelete: "set null" }),
    at: timestamp("at", { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [index("kept_answers_job").on(t.jobId)],
);

/** Rows of the catalogue that the user's makers' sheets put in place of the typical ones. */
export const catalogueRows = pgTable(
  "catalogue_rows",
  {
    table: text("table").notNull(),
    id: text("id").notNull(),
    row: jsonb("row").notNull(),
    at: timestamp("at", { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.table, t.id] })],
);

/** Choices that hold for every new job, by name. */
export const defaults = pgTable("defaults", { key: text("key").primaryKey(), value: jsonb("value").notNull() });

/** Every patch as stored: what others changed since a version, and a trail of who did what. */
export const edits = pgTable(
  "edits",
  {
    jobId: ofJob(),
    version: integer("version").notNull(),
    patch: jsonb("patch").notNull(),
    at: timestamp("at", { withTimezone: true }).notNull().defaultNow(),
    /** Made on the device that sent it: the same patch sent twice is stored once. Null on lines older than keys. */
    key: text("key"),
    /** Who made it, as that person is called on the device; empty when nobody said. */
    who: text("who").notNull().default(""),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.version] }), uniqueIndex("edits_key").on(t.jobId, t.key)],
);

/** The site book: lines are only added, never changed. */
export const siteEntries = pgTable(
  "site_entries",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    run: text("run").notNull(),
    kind: text("kind").notNull(),
    step: text("step"),
    text: text("text").notNull(),
    by: text("by").notNull(),
    at: text("at").notNull(),
    /** What was in hand when the step was ticked: the run as it was done. */
    held: jsonb("held").$type<unknown>(),
    reading: jsonb("reading").$type<SiteEntry["reading"]>(),
    after: text("after"),
    along: integer("along"),
    mark: text("mark"),
    cut: jsonb("cut").$type<SiteEntry["cut"]>(),
    place: jsonb("place").$type<SiteEntry["place"]>(),
    instrument: text("instrument"),
    storedAt: timestamp("stored_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] }), index("site_entries_run").on(t.jobId, t.run)],
);
