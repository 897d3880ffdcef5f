import { z } from "zod";
import { coordinate, idSchema, length0, name, size, xySchema } from "./measures";

export const storeySchema = z.strictObject({ id: idSchema, name, level: coordinate, height: size });

export const roomKinds = [
  "hall",
  "kitchen",
  "living",
  "bedroom",
  "bathroom",
  "landing",
  "loft",
  "workshop",
  "utility",
  "store",
  "yard",
  "other",
] as const;
/** A stretch of sloping ceiling: it rises from the wall, by number, at `eaves` above the floor and at `pitch` degrees into the room. */
export const slopeSchema = z.strictObject({
  wall: z.number().int().min(0).max(59),
  eaves: z.number().min(0).max(20_000),
  pitch: z.number().min(1).max(80),
});
export const roomSchema = z.strictObject({
  id: idSchema,
  storey: idSchema,
  name,
  kind: z.enum(roomKinds),
  /** Corners clockwise seen from above; wall i runs from corner i to i + 1. */
  outline: z.array(xySchema).min(3).max(60),
  /** Floor to ceiling, mm. */
  height: z.number().min(300).max(20_000),
  /** Sloping parts of the ceiling; none where it is level. The ceiling is the lowest of them and of `height`. */
  slopes: z.array(slopeSchema).max(8).default([]),
  /** Wall from which the room is unrolled: the one with the door one enters by. */
  startWall: z.number().int().min(0).default(0),
  /** Whether people get out through it in a fire; null by its kind: a hall or a landing. */
  wayOut: z.boolean().nullable().default(null),
});

/** `open`: no wall there, the edge of a yard or a room that goes on. */
export const wallBuilds = ["masonry", "dry-lined", "stud", "metal-stud", "open"] as const;
/** The timbers of a stud wall, mm, from its left end seen from its room. */
export const studsSchema = z.strictObject({
  /** Centre to centre. */
  spacing: z.number().min(150).max(1200),
  /** From the wall's left end to the centre of the first stud of the row. */
  first: length0,
  breadth: z.number().min(20).max(150).default(38),
  /** From board to board; left out, the wall's thickness less its two boards. */
  depth: z.number().min(38).max(400).nullable().default(null),
  /** Rows of noggins: their middle above the floor. */
  noggins: z.array(length0).max(10).default([]),
});
export const wallSchema = z.strictObject({
  id: idSchema,
  room: idSchema,
  index: z.number().int().min(0).max(59),
  build: z.enum(wallBuilds).default("masonry"),
  thickness: z.number().min(20).max(2000).default(100),
  insulated: z.boolean().default(false),
  /** Of an insulated stud wall: cables are fixed against the board, and do not hang free in the insulation. */
  againstBoard: z.boolean().default(false),
  backing: z.enum(["outside", "room", "party"]).default("room"),
  foilBacked: z.boolean().default(false),
  /** Built to hold a fire back, as to a garage or round a stair; one that separates dwellings does so anyhow. */
  fireResisting: z.boolean().default(false),
  /** Cavity wall: thickness of the leaf on this side, mm; null where the wall is solid. A chase goes by it. */
  leaf: z.number().min(20).max(600).nullable().default(null),
  /** Where the studs of a stud wall are; null where nobody has looked. */
  studs: studsSchema.nullable().default(null),
});

export const openingSchema = z.strictObject({
  id: idSchema,
  wall: idSchema,
  kind: z.enum(["door", "window", "arch"]),
  u: length0,
  v: length0,
  width: size,
  height: size,
});

export const fixtureKinds = [
  "worktop",
  "sink",
  "hob",
  "oven",
  "appliance",
  "tall-unit",
  "wall-unit",
  "bath",
  "radiator",
  "wardrobe",
  "beam",
  "pipe",
] as const;
export const fixtureSchema = z.strictObject({
  id: idSchema,
  wall: idSchema,
  kind: z.enum(fixtureKinds),
  name: z.string().trim().max(40).default(""),
  u: length0,
  v: length0,
  width: size,
  height: size,
  depth: length0.default(600),
});

const bearing = z.tuple([coordinate, coordinate]);
export const existingCutSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    id: idSchema,
    kind: z.literal("hole"),
    joist: z.number().int().min(1),
    span: z.number().int().min(1).default(1),
    at: length0,
    diameter: size,
    fromTop: length0,
  }),
  z.strictObject({
    id: idSchema,
    kind: z.literal("notch"),
    joist: z.number().int().min(1),
    span: z.number().int().min(1).default(1),
    at: length0,
    width: size,
    depth: size,
    edge: z.enum(["top", "bottom"]),
  }),
]);
export const obstacleSchema = z.strictObject({
  id: idSchema,
  kind: z.enum(["steel", "trimmer", "chimney", "stair"]),
  name: z.string().trim().max(40).default(""),
  outline: z.array(xySchema).min(3).max(30),
});
export const deckSchema = z.strictObject({
  id: idSchema,
  name,
  kind: z.enum(["solid-joists", "engineered", "concrete"]),
  outline: z.array(xySchema).min(3).max(60),
  /** z of the underside of the joists (or of the slab), mm. */
  underside: coordinate,
  joists: z.strictObject({
    /** The way the joists run. */
    direction: z.enum(["east-west", "north-south"]).default("east-west"),
    breadth: z.number().min(20).max(300).default(47),
    depth: z.number().min(50).max(600).default(195),
    /** Centre to centre. */
    spacing: z.number().min(150).max(1200).default(400),
    /** From the deck's south edge (joists east–west) or west edge (north–south) to the centre of the first joist. */
    first: length0.default(200),
    /** Supports along the joist, each from–to, measured from the deck's west (or south) edge; clear spans lie between them. */
    bearings: z.array(bearing).max(12).default([]),
  }),
  boards: z.strictObject({ thickness: length0.default(22), width: size.default(140) }).prefault({}),
  /**
   * Rows of timber between the joists, across the deck: place along the joists from the deck's west (or south) edge, and depth from
   * the edge they stand at. Those that come later are fixed after the cables: what a hole keeps to the edge there is less by their depth.
   */
  noggins: z
    .array(
      z.strictObject({
        at: length0,
        depth: z.number().positive().max(600),
        edge: z.enum(["top", "bottom"]).default("top"),
        later: z.boolean().default(false),
      }),
    )
    .max(40)
    .default([]),
  /** Lines across the joists on which bores are wanted, along the joists from the deck's west (or south) edge. */
  boreLines: z.array(length0).max(20).default([]),
  /**
   * Lines across the joists, as bore lines, on which cables may cross in notches under steel plates, where the school of notches allows
   * them; solid joists only.
   */
  notchLines: z.array(length0).max(20).default([]),
  /**
   * Battens along the whole of an edge, to which boards or a ceiling are fixed: over the joists' edge, so that it moves out by their
   * depth; or beside the joists, level with their edge, so that it moves in.
   */
  battens: z
    .array(
      z.strictObject({
        edge: z.enum(["top", "bottom"]).default("bottom"),
        depth: z.number().min(5).max(200),
        place: z.enum(["over", "beside"]).default("over"),
      }),
    )
    .max(2)
    .default([]),
  /** Engineered joists: where their maker's chart allows a hole, from the left bearing of each span, and up to which size. */
  makerAllows: z
    .array(z.strictObject({ from: length0, to: length0, most: size }))
    .max(20)
    .default([]),
  insulationOver: length0.default(0),
  access: z.enum(["open", "boards-up", "closed"]).default("open"),
  /** A closed deck: where it is opened, and how; from its west and south edges. Only there are its joists bored. */
  opened: z
    .array(
      z.strictObject({
        id: idSchema,
        kind: z.enum(["hatch", "board", "below"]),
        x: length0,
        y: length0,
        width: size,
        depth: size,
      }),
    )
    .max(20)
    .default([]),
  /** Joists, by number, that carry a trimmer, partition, cylinder or steel. */
  heavyJoists: z.array(z.number().int().min(1)).max(60).default([]),
  /** Spans that a steel or trimmer touches and that the user has found to carry no more than a floor, with how it is known. */
  notHeavy: z
    .array(
      z.strictObject({
        joist: z.number().int().min(1),
        span: z.number().int().min(1),
        reason: z.string().trim().min(1).max(200),
      }),
    )
    .max(60)
    .default([]),
  existingCuts: z.array(existingCutSchema).max(200).default([]),
  obstacles: z.array(obstacleSchema).max(40).default([]),
});

export type Room = z.infer<typeof roomSchema>;
export type Wall = z.infer<typeof wallSchema>;
export type Opening = z.infer<typeof openingSchema>;
export type Fixture = z.infer<typeof fixtureSchema>;
export type Deck = z.infer<typeof deckSchema>;
export type ExistingCut = z.infer<typeof existingCutSchema>;
