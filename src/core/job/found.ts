import { z } from "zod";
import { coordinate, idSchema, length0, name, size, xySchema } from "./measures";

/** A straight stretch of old cable traced on a wall, level, plumb or on a slope as it lies: both its ends, mm of that wall. */
export const tracedSchema = z.strictObject({
  wall: idSchema,
  from: z.strictObject({ u: length0, v: length0 }),
  to: z.strictObject({ u: length0, v: length0 }),
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
  /** Where it was traced; elsewhere it is only taken to run. */
  traced: z.array(tracedSchema).max(60).default([]),
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

/**
 * A picture attached to a wall, or to a deck or a trench as a whole; the picture itself is kept beside the job under
 * `picture`.
 */
export const photoSchema = z
  .strictObject({
    id: idSchema,
    /** Null for a photo of a deck or of a trench. */
    wall: idSchema.nullable(),
    deck: idSchema.nullable().default(null),
    /** Way out of doors, of a photo of its open trench. */
    outside: idSchema.nullable().default(null),
    picture: idSchema,
    u: length0,
    v: length0,
    text: z.string().trim().max(200).default(""),
    at: z.string().max(40),
  })
  .refine((p) => [p.wall, p.deck, p.outside].filter((x) => x !== null).length === 1, {
    path: ["wall"],
    message: "a photo is of a wall, of a deck or of a trench, and not of two of them",
  });

/**
 * A drawing to trace over: a picture under the plan of a storey. `scale` mm of house per pixel; x, y the place of its
 * top left corner.
 */
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
  /** On it when it came, mm. */
  length: size,
  /** Metre mark on the sheath at the free end when it came, mm; null where nobody read it. */
  mark: z.number().int().min(0).max(10_000_000).nullable().default(null),
  /** Whether the marks rise as cable is drawn off. */
  rising: z.boolean().default(true),
});

export type FoundTrunking = z.infer<typeof foundTrunkingSchema>;
export type Forbidden = z.infer<typeof forbiddenSchema>;
export type Drum = z.infer<typeof drumSchema>;
