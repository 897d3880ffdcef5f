import { z } from "zod";
import { coordinate, idSchema, length0, size, xySchema } from "./measures";

/** What lies or grows on open ground: it tells what passes over a trench or under a catenary. */
export const groundKinds = ["lawn", "bed", "paving", "path", "drive", "road", "caravans", "tree"] as const;
/** A part of a yard or garden, seen from above; of a tree the spread of its branches. */
export const groundSchema = z.strictObject({
  id: idSchema,
  /** The yard it lies in. */
  room: idSchema,
  kind: z.enum(groundKinds),
  name: z.string().trim().max(40).default(""),
  outline: z.array(xySchema).min(3).max(30),
  /** Its level above that of the yard, mm; below where negative. */
  level: coordinate.default(0),
});

/** A post that stands in a yard and carries a cable, a wire or a light. */
export const postSchema = z.strictObject({
  id: idSchema,
  room: idSchema,
  label: z.string().trim().min(1).max(12),
  x: coordinate,
  y: coordinate,
  /** Above the ground it stands in. */
  height: size,
  /** Across, mm. */
  breadth: z.number().min(20).max(600).default(100),
});

export const outsideKinds = ["trench", "catenary"] as const;
/** Other services that a trench may cross. */
export const serviceKinds = ["water", "gas", "drain", "electric", "telephone"] as const;

const end = z.strictObject({ wall: idSchema, u: length0, v: length0 });

/**
 * A way for cables out of doors, from one wall to another: in a trench, or hung from a wire. A trench is dug at an even fall from one
 * of its given depths to the next; a wire hangs from wall to post to wall.
 */
export const outsideWaySchema = z.strictObject({
  id: idSchema,
  label: z.string().trim().min(1).max(12),
  name: z.string().trim().max(40).default(""),
  kind: z.enum(outsideKinds),
  /** Where it leaves its walls; of a trench at their foot. */
  from: end,
  to: end,
  /** Trench: where it turns, seen from above. */
  turns: z.array(xySchema).max(20).default([]),
  /** Trench: the cable's depth below the ground at both its ends. */
  depth: z.number().min(50).max(3000).default(600),
  /** Trench: depths given elsewhere, mm along it from its start. */
  depths: z
    .array(z.strictObject({ at: length0, depth: z.number().min(50).max(3000) }))
    .max(40)
    .default([]),
  /** Trench: bed under the cable and cover over it, mm; 0 for none. */
  bed: z.number().min(0).max(300).default(75),
  /** Trench: height of the tape above the cable, mm; 0 for none. */
  marker: z.number().min(0).max(2000).default(150),
  /** Trench: stretches in a duct, mm along it, and the duct's outside diameter. */
  ducts: z
    .array(z.strictObject({ from: length0, to: length0, size: z.number().min(20).max(200).default(63) }))
    .max(20)
    .default([]),
  /** Trench: other services it crosses: where along it, and how deep they lie. */
  services: z
    .array(z.strictObject({ at: length0, kind: z.enum(serviceKinds), depth: length0 }))
    .max(40)
    .default([]),
  /** Catenary: posts that carry its wire, in their order. */
  posts: z.array(idSchema).max(20).default([]),
  /** Catenary: pull of the wire when it hangs, N. */
  tension: z.number().min(20).max(20_000).default(500),
  /** Catenary: mass of its wire, kg a metre. */
  wire: z.number().min(0.01).max(2).default(0.1),
});

/** Lights along a path or under an arbour: a row on one side or alternately on both, fed from a point of the house. */
export const lightRowSchema = z.strictObject({
  id: idSchema,
  label: z.string().trim().min(1).max(12),
  name: z.string().trim().max(40).default(""),
  room: idSchema,
  /** The point that feeds it: a fused unit, a switch or a junction box on a wall; null while there is none. */
  from: idSchema.nullable(),
  /** Middle of the path, from the end that is fed. */
  path: z.array(xySchema).min(2).max(20),
  sides: z.union([z.literal(1), z.literal(2)]).default(2),
  /** From row to row across the path. */
  width: z.number().min(0).max(20_000).default(1200),
  count: z.number().int().min(1).max(60),
  /** From either end of the path to the nearest light. */
  end: length0.default(500),
  /** Lights stand on posts of the yard where one is near enough. */
  onPosts: z.boolean().default(false),
  /** How the cable goes: in the ground, or in conduit along the beams of an arbour. */
  carried: z.enum(["ground", "arbour"]).default("ground"),
  /** Depth in the ground, or height of the conduit above it. */
  line: z.number().min(50).max(6000).default(600),
  /** Height of a light above the ground. */
  height: z.number().min(0).max(6000).default(600),
  cable: z.string().min(1).max(40),
  /** Of one light. */
  watts: z.number().min(0).max(2000).default(6),
  sensor: z.enum(["none", "near", "far"]).default("none"),
  /** A switch indoors that puts them on whatever the sensor says. */
  override: z.boolean().default(false),
  /** Ways kept free in each junction box. */
  spare: z.number().int().min(0).max(4).default(1),
});

export type Ground = z.infer<typeof groundSchema>;
export type Post = z.infer<typeof postSchema>;
export type OutsideWay = z.infer<typeof outsideWaySchema>;
export type LightRow = z.infer<typeof lightRowSchema>;
