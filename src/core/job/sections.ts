import { z } from "zod";
import { sectionKinds } from "../rules/sections";
import { coordinate, idSchema, length0 } from "./measures";

/** A place that the middle of a section goes through, on a wall or on a deck, mm of it. */
export const sectionPlaceSchema = z.discriminatedUnion("on", [
  z.strictObject({ on: z.literal("wall"), wall: idSchema, u: length0, v: length0 }),
  z.strictObject({ on: z.literal("deck"), deck: idSchema, x: coordinate, y: coordinate }),
]);

/**
 * A section of containment: its kind and size, and the places its middle goes through, level or plumb from one to the next. Where it
 * goes round a corner the corner stands in the path twice, on the one wall and on the other.
 */
export const sectionSchema = z.strictObject({
  id: idSchema,
  label: z.string().trim().min(1).max(12),
  kind: z.enum(sectionKinds),
  size: z.string().min(1).max(40),
  path: z.array(sectionPlaceSchema).min(2).max(60),
  /** Corners folded from the length by hand, of conduit bent; or made with bought fittings. */
  corners: z.enum(["folded", "fitted"]).default("fitted"),
  /** Conduit bent by hand: inner radius of the former or spring, mm; null for the least, 2.5 times its diameter. */
  innerRadius: z.number().min(10).max(2000).nullable().default(null),
  /** Conduit: at which of its ends it turns into the wall, flush to the hole that its cables leave by. */
  intoWall: z.enum(["none", "start", "end", "both"]).default("none"),
  /** Found in the house, with what is in it already; or new. */
  state: z.enum(["new", "found"]).default("new"),
  holds: z
    .array(z.strictObject({ cable: z.string().min(1).max(40), count: z.number().int().min(1).max(200) }))
    .max(20)
    .default([]),
  /** Circuits that are kept out of it. */
  out: z.array(idSchema).max(60).default([]),
});
export type SectionPlace = z.infer<typeof sectionPlaceSchema>;
export type Section = z.infer<typeof sectionSchema>;
