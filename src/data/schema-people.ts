import { boolean, index, pgTable, text, timestamp, uniqueIndex } from "drizzle-orm/pg-core";
import type { Role } from "../core/job/roles";

import { ofJob } from "./schema-job";

/** People who sign in; what each may do is by role. */
export const people = pgTable("people", {
  id: text("id").primaryKey(),
  /** As it stands in the record and beside edits. */
  name: text("name").notNull(),
  /** The name as it is compared at sign-in: small letters, single spaces. */
  username: text("username").notNull().unique(),
  displayUsername: text("display_username"),
  /** Nobody is written to: an address that cannot exist, which the library asks for. */
  email: text("email").notNull().unique(),
  emailVerified: boolean("email_verified").notNull().default(false),
  image: text("image"),
  role: text("role").$type<Role>().notNull().default("reader"),
  createdAt: timestamp("created_at", { withTimezone: true }).notNull().defaultNow(),
  updatedAt: timestamp("updated_at", { withTimezone: true }).notNull().defaultNow(),
});
const ofPerson = () =>
  text("user_id")
    .notNull()
    .references(() => people.id, { onDelete: "cascade" });

/** Devices on which somebody is signed in; a row taken away signs that device out. */
export const devices = pgTable(
  "devices",
  {
    id: text("id").primaryKey(),
    userId: ofPerson(),
    token: text("token").notNull().unique(),
    expiresAt: timestamp("expires_at", { withTimezone: true }).notNull(),
    ipAddress: text("ip_address"),
    userAgent: text("user_agent"),
    createdAt: timestamp("created_at", { withTimezone: true }).notNull().defaultNow(),
    updatedAt: timestamp("updated_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [index("devices_user").on(t.userId)],
);

/** Passphrases, hashed with scrypt and a salt of their own. */
export const passphrases = pgTable(
  "passphrases",
  {
    id: text("id").primaryKey(),
    accountId: text("account_id").notNull(),
    providerId: text("provider_id").notNull(),
    issuer: text("issuer"),
    userId: ofPerson(),
    accessToken: text("access_token"),
    refreshToken: text("refresh_token"),
    idToken: text("id_token"),
    accessTokenExpiresAt: timestamp("access_token_expires_at", { withTimezone: true }),
    refreshTokenExpiresAt: timestamp("refresh_token_expires_at", { withTimezone: true }),
    scope: text("scope"),
    password: text("password"),
    createdAt: timestamp("created_at", { withTimezone: true }).notNull().defaultNow(),
    updatedAt: timestamp("updated_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [index("passphrases_user").on(t.userId)],
);

/** Invitations of a device, each for one use within a few minutes. */
export const invitations = pgTable(
  "invitations",
  {
    id: text("id").primaryKey(),
    identifier: text("identifier").notNull(),
    value: text("value").notNull(),
    expiresAt: timestamp("expires_at", { withTimezone: true }).notNull(),
    createdAt: timestamp("created_at", { withTimezone: true }).notNull().defaultNow(),
    updatedAt: timestamp("updated_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [uniqueIndex("invitations_identifier").on(t.identifier)],
);

/** Links under which anyone who has them reads the wall sheets of one job and nothing else; only a hash of each is kept. */
export const readerLinks = pgTable("reader_links", {
  id: text("id").primaryKey(),
  jobId: ofJob(),
  hash: text("hash").notNull().unique(),
  /** Whom it was made for. */
  label: text("label").notNull(),
  by: text("by").notNull(),
  createdAt: timestamp("created_at", { withTimezone: true }).notNull().defaultNow(),
});

/** What this database alone knows: the key that signs the cookies of devices. In no backup. */
export const secrets = pgTable("secrets", { key: text("key").primaryKey(), value: text("value").notNull() });
