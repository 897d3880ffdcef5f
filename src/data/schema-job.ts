import { boolean, doublePrecision, integer, jsonb, pgTable, primaryKey, text, timestamp } from "drizzle-orm/pg-core";
import type { Circuit, Deck, Job, Dwelling, Point, Room, Settings, Supply, Wall, Work } from "../core/job/model";

/**
 * Tables of the job model. Property names are those of the model, so that a row without its job is the model's value.
 * Lengths mm.
 */

export const jobs = pgTable("jobs", {
  id: text("id").primaryKey(),
  name: text("name").notNull(),
  address: text("address").notNull(),
  dwelling: jsonb("dwelling").$type<Dwelling>().notNull(),
  supply: jsonb("supply").$type<Partial<Supply>>().notNull().default({}),
  settings: jsonb("settings").$type<Settings>().notNull(),
  work: jsonb("work").$type<Partial<Work>>().notNull().default({}),
  /** Grows by one with every stored patch. */
  version: integer("version").notNull().default(1),
  /** Edits up to and with this version are no longer kept one by one: the rows as they stand are the checkpoint. */
  editsFrom: integer("edits_from").notNull().default(0),
  createdAt: timestamp("created_at", { withTimezone: true }).notNull().defaultNow(),
  updatedAt: timestamp("updated_at", { withTimezone: true }).notNull().defaultNow(),
  /** Set when the job is taken off the list; the rows stay until they are cleared, so that it can be undone. */
  deletedAt: timestamp("deleted_at", { withTimezone: true }),
});

export const ofJob = () =>
  text("job_id")
    .notNull()
    .references(() => jobs.id, { onDelete: "cascade" });

export const storeys = pgTable(
  "storeys",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    name: text("name").notNull(),
    level: doublePrecision("level").notNull(),
    height: doublePrecision("height").notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

export const rooms = pgTable(
  "rooms",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    storey: text("storey").notNull(),
    name: text("name").notNull(),
    kind: text("kind").$type<Room["kind"]>().notNull(),
    outline: jsonb("outline").$type<Room["outline"]>().notNull(),
    height: doublePrecision("height").notNull(),
    startWall: integer("start_wall").notNull(),
    slopes: jsonb("slopes").$type<Room["slopes"]>().notNull().default([]),
    wayOut: boolean("way_out"),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

export const walls = pgTable(
  "walls",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    room: text("room").notNull(),
    index: integer("index").notNull(),
    build: text("build").notNull(),
    thickness: doublePrecision("thickness").notNull(),
    insulated: boolean("insulated").notNull(),
    againstBoard: boolean("against_board").notNull().default(false),
    backing: text("backing").notNull(),
    leaf: doublePrecision("leaf"),
    studs: jsonb("studs").$type<Wall["studs"]>(),
    foilBacked: boolean("foil_backed").notNull(),
    fireResisting: boolean("fire_resisting").notNull().default(false),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

export const openings = pgTable(
  "openings",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    wall: text("wall").notNull(),
    kind: text("kind").notNull(),
    u: doublePrecision("u").notNull(),
    v: doublePrecision("v").notNull(),
    width: doublePrecision("width").notNull(),
    height: doublePrecision("height").notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

export const fixtures = pgTable(
  "fixtures",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    wall: text("wall").notNull(),
    kind: text("kind").notNull(),
    name: text("name").notNull(),
    u: doublePrecision("u").notNull(),
    v: doublePrecision("v").notNull(),
    width: doublePrecision("width").notNull(),
    height: doublePrecision("height").notNull(),
    depth: doublePrecision("depth").notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

export const decks = pgTable(
  "decks",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    name: text("name").notNull(),
    kind: text("kind").notNull(),
    outline: jsonb("outline").$type<Deck["outline"]>().notNull(),
    underside: doublePrecision("underside").notNull(),
    joists: jsonb("joists").$type<Deck["joists"]>().notNull(),
    boards: jsonb("boards").$type<Deck["boards"]>().notNull(),
    noggins: jsonb("noggins").$type<Deck["noggins"]>().notNull().default([]),
    boreLines: jsonb("bore_lines").$type<Deck["boreLines"]>().notNull().default([]),
    notchLines: jsonb("notch_lines").$type<Deck["notchLines"]>().notNull().default([]),
    battens: jsonb("battens").$type<Deck["battens"]>().notNull().default([]),
    makerAllows: jsonb("maker_allows").$type<Deck["makerAllows"]>().notNull().default([]),
    insulationOver: doublePrecision("insulation_over").notNull(),
    access: text("access").notNull(),
    opened: jsonb("opened").$type<Deck["opened"]>().notNull().default([]),
    heavyJoists: jsonb("heavy_joists").$type<Deck["heavyJoists"]>().notNull(),
    notHeavy: jsonb("not_heavy").$type<Deck["notHeavy"]>().notNull().default([]),
    existingCuts: jsonb("existing_cuts").$type<Deck["existingCuts"]>().notNull(),
    obstacles: jsonb("obstacles").$type<Deck["obstacles"]>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

export const points = pgTable(
  "points",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    label: text("label").notNull(),
    kind: text("kind").notNull(),
    gang: integer("gang").notNull(),
    place: jsonb("place").$type<Point["place"]>().notNull(),
    mount: text("mount").notNull(),
    boxDepth: doublePrecision("box_depth").notNull(),
    controls: jsonb("controls").$type<string[]>().notNull(),
    gangOf: jsonb("gang_of").$type<Point["gangOf"]>().notNull().default({}),
    fuse: integer("fuse").$type<Point["fuse"]>().notNull().default(13),
    watts: doublePrecision("watts"),
    water: integer("water"),
    labelled: boolean("labelled").notNull().default(false),
    ways: integer("ways").notNull(),
    existing: boolean("existing").notNull().default(false),
    tied: jsonb("tied").$type<string[]>().notNull().default([]),
    faceHoles: jsonb("face_holes").$type<Point["faceHoles"]>().notNull().default([]),
    glandAt: jsonb("gland_at").$type<Point["glandAt"]>().notNull().default({}),
    plastic: boolean("plastic").notNull().default(false),
    name: text("name").notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

export const circuits = pgTable(
  "circuits",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    label: text("label").notNull(),
    name: text("name").notNull(),
    kind: text("kind").notNull(),
    device: jsonb("device").$type<Circuit["device"]>().notNull(),
    rcd: integer("rcd"),
    cable: text("cable").notNull(),
    way: integer("way"),
    points: jsonb("points").$type<string[]>().notNull(),
    order: text("order").notNull(),
    spurs: jsonb("spurs").$type<Circuit["spurs"]>().notNull(),
    farEarth: text("far_earth").$type<Circuit["farEarth"]>(),
    insulated: doublePrecision("insulated").notNull().default(0),
    runCables: jsonb("run_cables").$type<Circuit["runCables"]>().notNull().default([]),
    walls: text("walls").notNull(),
    ambient: doublePrecision("ambient").notNull(),
    watts: doublePrecision("watts").notNull().default(0),
    board: text("board"),
    state: text("state").notNull().default("new"),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

/** Runs pinned by hand, with their legs. */
export const pins = pgTable(
  "pins",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    circuit: text("circuit").notNull(),
    from: text("from").notNull(),
    to: text("to").notNull(),
    legs: jsonb("legs").$type<Job["pins"][number]["legs"]>().notNull(),
    number: integer("number").notNull().default(1),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

export const drums = pgTable(
  "drums",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    label: text("label").notNull(),
    cable: text("cable").notNull(),
    length: doublePrecision("length").notNull(),
    mark: integer("mark"),
    rising: boolean("rising").notNull().default(true),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

/** What is on the van besides drums, in the units of the take-off. */
export const stock = pgTable(
  "stock",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    item: text("item").notNull(),
    size: text("size").notNull(),
    quantity: doublePrecision("quantity").notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

/** Packs that things are sold in, from the user's own price list; pence. */
export const packs = pgTable(
  "packs",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    item: text("item").notNull(),
    size: text("size").notNull(),
    holds: doublePrecision("holds").notNull(),
    price: integer("price"),
    code: text("code").notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

/** Cables found in the house. */
export const foundCables = pgTable(
  "found_cables",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    from: text("from").notNull(),
    to: text("to"),
    cable: text("cable").notNull(),
    colours: text("colours").notNull(),
    fate: text("fate").notNull(),
    traced: jsonb("traced").$type<Job["foundCables"][number]["traced"]>().notNull().default([]),
    note: text("note").notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

/** Trunking found in the house. */
export const foundTrunkings = pgTable(
  "found_trunkings",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    wall: text("wall").notNull(),
    size: text("size").notNull(),
    from: jsonb("from").$type<Job["foundTrunkings"][number]["from"]>().notNull(),
    to: jsonb("to").$type<Job["foundTrunkings"][number]["to"]>().notNull(),
    holds: jsonb("holds").$type<Job["foundTrunkings"][number]["holds"]>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

/** Sections of containment. */
export const sections = pgTable(
  "sections",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    label: text("label").notNull(),
    kind: text("kind").notNull(),
    size: text("size").notNull(),
    path: jsonb("path").$type<Job["sections"][number]["path"]>().notNull(),
    corners: text("corners").notNull(),
    innerRadius: doublePrecision("inner_radius"),
    intoWall: text("into_wall").notNull().default("none"),
    state: text("state").notNull(),
    holds: jsonb("holds").$type<Job["sections"][number]["holds"]>().notNull(),
    out: jsonb("out").$type<Job["sections"][number]["out"]>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

/** Parts of walls and decks kept free of runs. */
export const forbidden = pgTable(
  "forbidden",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    name: text("name").notNull(),
    place: jsonb("place").$type<Job["forbidden"][number]["place"]>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);

/** Photos of walls and drawings to trace; their pictures are in `pictures`. */
export const photos = pgTable(
  "photos",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    wall: text("wall"),
    deck: text("deck"),
    outside: text("outside"),
    picture: text("picture").notNull(),
    u: doublePrecision("u").notNull(),
    v: doublePrecision("v").notNull(),
    text: text("text").notNull(),
    at: text("at").notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);
export const traces = pgTable(
  "traces",
  {
    jobId: ofJob(),
    id: text("id").notNull(),
    storey: text("storey").notNull(),
    picture: text("picture").notNull(),
    name: text("name").notNull(),
    x: doublePrecision("x").notNull(),
    y: doublePrecision("y").notNull(),
    scale: doublePrecision("scale").notNull(),
    width: integer("width").notNull(),
    height: integer("height").notNull(),
    shown: boolean("shown").notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.id] })],
);
