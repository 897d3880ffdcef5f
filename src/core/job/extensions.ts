import { z } from "zod";
import { idSchema, length0 } from "./measures";

/** How new cable gets from point to point in a house that is lived in. */
export const newWays = ["under-boards", "skirting", "surface", "old-cable", "chased"] as const;
/**
 * Where an old cable and a new one are joined: in the old point's own box, in a box under the floor, or in a new box
 * on the wall.
 */
export const jointPlaces = ["at-point", "under-floor", "new-box"] as const;

const joint = z.strictObject({
  /** The old point at this end of the leg that is broken. */
  point: idSchema,
  where: z.enum(jointPlaces).default("at-point"),
  /** Reached by a hatch that lifts off; else closed for good in a maintenance-free box. */
  hatch: z.boolean().default(true),
});

/**
 * How a circuit found in the house is added to: what the tests said, which leg is broken, where it is joined, how the
 * cable goes.
 */
export const extensionSchema = z.strictObject({
  id: idSchema,
  circuit: idSchema,
  /** What it proved to be, tested dead. */
  shape: z.enum(["unknown", "ring", "radial"]).default("unknown"),
  /** Ring: the leg to break; null for the one that takes least cable. */
  broken: z.strictObject({ from: idSchema, to: idSchema }).nullable().default(null),
  joints: z.array(joint).max(2).default([]),
  way: z.enum(newWays).default("under-boards"),
  /** Boxes set on the wall, or let into it. */
  boxes: z.enum(["surface", "chased"]).default("surface"),
  /** Left under the floor by each new point, mm. */
  spare: length0.default(500),
  /** Two legs drawn in with one pull of the doubled cable. */
  doubled: z.boolean().default(false),
});
export type Extension = z.infer<typeof extensionSchema>;
export type NewWay = (typeof newWays)[number];
