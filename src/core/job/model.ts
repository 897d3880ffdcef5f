import { z } from "zod";
import { pointKinds } from "../rules/accessories";
import { schoolsSchema } from "../rules/schools";

/** Farthest coordinate the model holds, mm (100 m): larger values are slips of the keyboard. */
export const FAR = 100_000;

export const idSchema = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/, "an id of 1 to 40 letters, digits, - or _");
const name = z.string().trim().min(1).max(80);
const coordinate = z.number().min(-FAR).max(FAR);
/** A size: more than nothing. */
const size = z.number().positive().max(FAR);
const length0 = z.number().min(0).max(FAR);
export const xySchema = z.strictObject({ x: coordinate, y: coordinate });
const xyz = z.tuple([coordinate, coordinate, coordinate]);

/**
 * What the router weighs, in mm of cable: a bore, a bend, a hole in a wall, a crossing of another circuit and a wall face opened each
 * are worth so many; a mm of chase, of boards to lift and of work at height costs so many on top of the cable itself.
 */
export const costSchema = z.strictObject({
  cable: z.number().min(0.05).max(10).default(1),
  bore: z.number().min(0).max(50_000).default(180),
  bend: z.number().min(0).max(5000).default(60),
  wallHole: z.number().min(0).max(50_000).default(900),
  chase: z.number().min(0).max(20).default(1.5),
  boards: z.number().min(0).max(20).default(0.2),
  crossing: z.number().min(0).max(5000).default(40),
  height: z.number().min(0).max(20).default(0.1),
  faces: z.number().min(0).max(50_000).default(300),
});
export type Costs = z.infer<typeof costSchema>;

/** Settings of one job. Lengths mm. */
export const settingsSchema = z.strictObject({
  schools: schoolsSchema.prefault({}),
  /** Spare left at each end of a run on top of the tail. */
  slack: z.number().min(0).max(2000).default(100),
  /** Share added to every cut length for waste, percent. */
  wastePercent: z.number().min(0).max(30).default(3),
  /** Left at the board for dressing and a later change of board. */
  boardTail: z.number().min(0).max(3000).default(800),
  /** Left hanging at a ceiling point. */
  ceilingTail: z.number().min(0).max(1000).default(200),
  clipEnd: z.number().min(20).max(150).default(100),
  /** Clip spacing out of reach when the school is a fixed one. */
  clipOutOfReach: z.number().min(100).max(1000).default(450),
  /** Pitch of the clipping tool, when the school is to keep to it. */
  clipToolPitch: z.number().min(50).max(1000).default(250),
  /** How far a hole's centre may lie off the centre line. */
  axisTolerance: z.number().min(0).max(20).default(5),
  /** Depth of hidden cable behind the finished wall face in a chase. */
  chaseDepth: z.number().min(5).max(100).default(15),
  /** What the router weighs, in mm of cable that one of each is worth. */
  cost: costSchema.prefault({}),
});

export const dwellingSchema = z.strictObject({
  country: z.enum(["england", "wales", "scotland", "northern-ireland", "elsewhere"]).default("england"),
  newDwelling: z.boolean().default(false),
  occupied: z.boolean().default(false),
});

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
});

/** `open`: no wall there, the edge of a yard or a room that goes on. */
export const wallBuilds = ["masonry", "dry-lined", "stud", "metal-stud", "open"] as const;
export const wallSchema = z.strictObject({
  id: idSchema,
  room: idSchema,
  index: z.number().int().min(0).max(59),
  build: z.enum(wallBuilds).default("masonry"),
  thickness: z.number().min(20).max(2000).default(100),
  insulated: z.boolean().default(false),
  backing: z.enum(["outside", "room", "party"]).default("room"),
  foilBacked: z.boolean().default(false),
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
  /** Rows of timber between the joists, across the deck: place along the joists from the deck's west (or south) edge, and depth from the top. */
  noggins: z
    .array(z.strictObject({ at: length0, depth: z.number().positive().max(600) }))
    .max(40)
    .default([]),
  /** Lines across the joists on which bores are wanted, along the joists from the deck's west (or south) edge. */
  boreLines: z.array(length0).max(20).default([]),
  /** Engineered joists: where their maker's chart allows a hole, from the left bearing of each span, and up to which size. */
  makerAllows: z
    .array(z.strictObject({ from: length0, to: length0, most: size }))
    .max(20)
    .default([]),
  insulationOver: length0.default(0),
  access: z.enum(["open", "boards-up", "closed"]).default("open"),
  /** Joists, by number, that carry a trimmer, partition, cylinder or steel. */
  heavyJoists: z.array(z.number().int().min(1)).max(60).default([]),
  existingCuts: z.array(existingCutSchema).max(200).default([]),
  obstacles: z.array(obstacleSchema).max(40).default([]),
});

export const placeSchema = z.discriminatedUnion("on", [
  z.strictObject({ on: z.literal("wall"), wall: idSchema, u: coordinate, v: coordinate }),
  z.strictObject({
    on: z.literal("deck"),
    deck: idSchema,
    x: coordinate,
    y: coordinate,
    face: z.enum(["ceiling", "floor"]).default("ceiling"),
  }),
]);
export const pointSchema = z.strictObject({
  id: idSchema,
  label: z.string().trim().min(1).max(12),
  kind: z.enum(pointKinds),
  gang: z.union([z.literal(1), z.literal(2)]).default(1),
  place: placeSchema,
  mount: z.enum(["flush", "surface"]).default("flush"),
  boxDepth: z.number().min(10).max(120).default(35),
  /** Lights that a switch works. */
  controls: z.array(idSchema).max(20).default([]),
  /** Ways of a board. */
  ways: z.number().int().min(0).max(60).default(0),
  /** Found in the house, not put in by this job. */
  existing: z.boolean().default(false),
  name: z.string().trim().max(40).default(""),
});

export const circuitSchema = z.strictObject({
  id: idSchema,
  label: z.string().trim().min(1).max(12),
  name,
  kind: z.enum(["ring", "radial", "lighting", "cooker", "shower", "fixed", "outbuilding"]),
  device: z.strictObject({ curve: z.enum(["B", "C"]).default("B"), rating: z.number().positive().max(125) }),
  /** Trip current of the RCD, mA, or null without one. */
  rcd: z.union([z.literal(30), z.literal(100), z.literal(300)]).nullable(),
  cable: z.string().min(1).max(40),
  way: z.number().int().min(1).max(60).nullable(),
  points: z.array(idSchema).max(200),
  /** "find": the shortest order is worked out; "given": as listed. */
  order: z.enum(["find", "given"]).default("find"),
  spurs: z
    .array(z.strictObject({ point: idSchema, from: idSchema }))
    .max(60)
    .default([]),
  /** How the cable is taken on walls: hidden in plaster or stud void, or clipped to the surface. */
  walls: z.enum(["hidden", "surface"]).default("hidden"),
  ambient: z.number().min(-10).max(70).default(30),
  /** Load to design for, W; 0 when it is not known. */
  watts: z.number().min(0).max(200_000).default(0),
  /** Board that feeds it; null: the first one. */
  board: idSchema.nullable().default(null),
  /** New; or found in the house, to be kept as it is or extended. */
  state: z.enum(["new", "extend", "keep"]).default("new"),
});

export const legMethods = [
  "chase",
  "stud-void",
  "surface",
  "along-joist",
  "through-joists",
  "across-bay",
  "rise",
  "through-wall",
] as const;
export const legSchema = z.strictObject({
  surface: z.strictObject({ kind: z.enum(["wall", "deck", "through"]), id: idSchema }),
  method: z.enum(legMethods),
  path: z.array(xyz).min(2).max(200),
  /** Depth below the finished face, mm (0 on the surface). */
  depth: length0,
  protected: z.boolean(),
});
export const pinSchema = z.strictObject({
  id: idSchema,
  circuit: idSchema,
  from: idSchema,
  to: idSchema,
  /** Which of several cables between the same two points. */
  number: z.number().int().min(1).max(99).default(1),
  legs: z.array(legSchema).min(1).max(200),
});

/** A cable found in the house: what is known of it, from where to where; an end not yet found is null. */
export const foundCableSchema = z.strictObject({
  id: idSchema,
  from: idSchema,
  to: idSchema.nullable(),
  /** Catalogue name when it has been made out, else empty. */
  cable: z.string().max(40).default(""),
  colours: z.enum(["old", "new", "unknown"]).default("unknown"),
  fate: z.enum(["keep", "take-out"]).default("keep"),
  note: z.string().trim().max(200).default(""),
});

/** Trunking found on a wall: a level or plumb stretch, its size by the catalogue, and the cables already in it. */
export const foundTrunkingSchema = z.strictObject({
  id: idSchema,
  wall: idSchema,
  size: z.string().min(1).max(40),
  from: z.strictObject({ u: length0, v: length0 }),
  to: z.strictObject({ u: length0, v: length0 }),
  holds: z
    .array(z.strictObject({ cable: z.string().min(1).max(40), count: z.number().int().min(1).max(200) }))
    .max(20)
    .default([]),
});

/** A part of a wall or deck that no run may be laid through: another service, a cupboard to be, the user's own word. */
export const forbiddenSchema = z.strictObject({
  id: idSchema,
  name: z.string().trim().max(40).default(""),
  place: z.discriminatedUnion("on", [
    z.strictObject({ on: z.literal("wall"), wall: idSchema, u: length0, v: length0, width: size, height: size }),
    z.strictObject({ on: z.literal("deck"), deck: idSchema, outline: z.array(xySchema).min(3).max(30) }),
  ]),
});

/** A picture attached to a wall; the picture itself is kept beside the job under `picture`. */
export const photoSchema = z.strictObject({
  id: idSchema,
  wall: idSchema,
  picture: idSchema,
  u: length0,
  v: length0,
  text: z.string().trim().max(200).default(""),
  at: z.string().max(40),
});

/** A drawing to trace over: a picture under the plan of a storey. `scale` mm of house per pixel; x, y the place of its top left corner. */
export const traceSchema = z.strictObject({
  id: idSchema,
  storey: idSchema,
  picture: idSchema,
  name,
  x: coordinate,
  y: coordinate,
  scale: z.number().positive().max(1000),
  width: z.number().int().positive().max(20_000),
  height: z.number().int().positive().max(20_000),
  shown: z.boolean().default(true),
});

export const drumSchema = z.strictObject({
  id: idSchema,
  label: z.string().trim().min(1).max(20),
  cable: z.string().min(1).max(40),
  length: size,
});

export const jobSchema = z.strictObject({
  id: idSchema,
  name,
  address: z.string().trim().max(200).default(""),
  dwelling: dwellingSchema.prefault({}),
  settings: settingsSchema.prefault({}),
  storeys: z.array(storeySchema).max(8),
  rooms: z.array(roomSchema).max(200),
  walls: z.array(wallSchema).max(3000),
  openings: z.array(openingSchema).max(2000),
  fixtures: z.array(fixtureSchema).max(2000),
  decks: z.array(deckSchema).max(60),
  points: z.array(pointSchema).max(3000),
  circuits: z.array(circuitSchema).max(400),
  pins: z.array(pinSchema).max(3000),
  drums: z.array(drumSchema).max(300),
  foundCables: z.array(foundCableSchema).max(1000).default([]),
  foundTrunkings: z.array(foundTrunkingSchema).max(500).default([]),
  forbidden: z.array(forbiddenSchema).max(500).default([]),
  photos: z.array(photoSchema).max(1000).default([]),
  traces: z.array(traceSchema).max(20).default([]),
});

export type Settings = z.infer<typeof settingsSchema>;
export type Dwelling = z.infer<typeof dwellingSchema>;
export type Room = z.infer<typeof roomSchema>;
export type Wall = z.infer<typeof wallSchema>;
export type Opening = z.infer<typeof openingSchema>;
export type Fixture = z.infer<typeof fixtureSchema>;
export type Deck = z.infer<typeof deckSchema>;
export type ExistingCut = z.infer<typeof existingCutSchema>;
export type Point = z.infer<typeof pointSchema>;
export type Circuit = z.infer<typeof circuitSchema>;
export type LegMethod = (typeof legMethods)[number];
export type PinnedLeg = z.infer<typeof legSchema>;
export type Pin = z.infer<typeof pinSchema>;
export type FoundTrunking = z.infer<typeof foundTrunkingSchema>;
export type Forbidden = z.infer<typeof forbiddenSchema>;
export type Drum = z.infer<typeof drumSchema>;
export type Job = z.infer<typeof jobSchema>;

/** The lists of a job that hold things with ids, and the schema of each. */
export const collections = {
  storeys: storeySchema,
  rooms: roomSchema,
  walls: wallSchema,
  openings: openingSchema,
  fixtures: fixtureSchema,
  decks: deckSchema,
  points: pointSchema,
  circuits: circuitSchema,
  pins: pinSchema,
  drums: drumSchema,
  foundCables: foundCableSchema,
  foundTrunkings: foundTrunkingSchema,
  forbidden: forbiddenSchema,
  photos: photoSchema,
  traces: traceSchema,
} as const;
export type Collection = keyof typeof collections;
export const collectionNames = Object.keys(collections) as Collection[];

/** Order of ids, by their code units: the same everywhere. */
export const byId = (a: { id: string }, b: { id: string }): number => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

/** Lists sorted by id, so that the same things make the same job whatever order they were added in. */
export function canonical(job: Job): Job {
  const out = { ...job };
  for (const c of collectionNames) (out as Record<string, unknown>)[c] = [...job[c]].sort(byId);
  return out;
}

/** A job with nothing in it but one storey. */
export function blankJob(id: string, jobName: string): Job {
  return jobSchema.parse({
    id,
    name: jobName,
    storeys: [{ id: "ground", name: "Ground floor", level: 0, height: 2400 }],
    rooms: [],
    walls: [],
    openings: [],
    fixtures: [],
    decks: [],
    points: [],
    circuits: [],
    pins: [],
    drums: [],
    foundCables: [],
    foundTrunkings: [],
    forbidden: [],
    photos: [],
    traces: [],
  });
}
