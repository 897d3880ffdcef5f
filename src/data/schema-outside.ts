import { boolean, doublePrecision, integer, jsonb, pgTable, primaryKey, text } from "drizzle-orm/pg-core";
import type { Extension, Ground, LightRow, OutsideWay } from "../core/job/model";
import { ofJob } from "./schema-job";

/** Tables of what lies out of doors and of how old circuits are added to. Names are those of the model; lengths mm. */

export const grounds = pgTable(
  "grounds",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    room: text("room").notNull(),
    kind: text("kind").notNull(),
    name: text("name").notNull(),
    outline: jsonb("outline").$type<Ground["outline"]>().notNull(),
    level: doublePrecision("level").notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

export const posts = pgTable(
  "posts",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    room: text("room").notNull(),
    label: text("label").notNull(),
    x: doublePrecision("x").notNull(),
    y: doublePrecision("y").notNull(),
    height: doublePrecision("height").notNull(),
    breadth: doublePrecision("breadth").notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

export const outsideWays = pgTable(
  "outside_ways",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    label: text("label").notNull(),
    name: text("name").notNull(),
    kind: text("kind").notNull(),
    from: jsonb("from").$type<OutsideWay["from"]>().notNull(),
    to: jsonb("to").$type<OutsideWay["to"]>().notNull(),
    turns: jsonb("turns").$type<OutsideWay["turns"]>().notNull(),
    depth: doublePrecision("depth").notNull(),
    depths: jsonb("depths").$type<OutsideWay["depths"]>().notNull(),
    bed: doublePrecision("bed").notNull(),
    marker: doublePrecision("marker").notNull(),
    ducts: jsonb("ducts").$type<OutsideWay["ducts"]>().notNull(),
    services: jsonb("services").$type<OutsideWay["services"]>().notNull(),
    posts: jsonb("posts").$type<OutsideWay["posts"]>().notNull(),
    tension: doublePrecision("tension").notNull(),
    wire: doublePrecision("wire").notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

export const lightRows = pgTable(
  "light_rows",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    label: text("label").notNull(),
    name: text("name").notNull(),
    room: text("room").notNull(),
    from: text("from"),
    path: jsonb("path").$type<LightRow["path"]>().notNull(),
    sides: integer("sides").notNull(),
    width: doublePrecision("width").notNull(),
    count: integer("count").notNull(),
    end: doublePrecision("end").notNull(),
    onPosts: boolean("on_posts").notNull(),
    carried: text("carried").notNull(),
    line: doublePrecision("line").notNull(),
    height: doublePrecision("height").notNull(),
    cable: text("cable").notNull(),
    watts: doublePrecision("watts").notNull(),
    sensor: text("sensor").notNull(),
    override: boolean("override").notNull(),
    spare: integer("spare").notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

export const extensions = pgTable(
  "extensions",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    circuit: text("circuit").notNull(),
    shape: text("shape").notNull(),
    broken: jsonb("broken").$type<Extension["broken"]>(),
    joints: jsonb("joints").$type<Extension["joints"]>().notNull(),
    way: text("way").notNull(),
    boxes: text("boxes").notNull(),
    spare: doublePrecision("spare").notNull(),
    doubled: boolean("doubled").notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);
