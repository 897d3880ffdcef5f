import { z } from "zod";
import { pointKinds } from "../rules/accessories";
import { sectionMethods } from "../rules/sections";
import { coordinate, idSchema, length0, name, xyz } from "./measures";

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
/** Edges of a box, seen from the front. */
export const edges = ["left", "right", "top", "bottom"] as const;
export type Edge = (typeof edges)[number];

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
  /** Gang of a switch that works a light, from 1, by light; where none is given see `gangsOf`. */
  gangOf: z.record(idSchema, z.number().int().min(1).max(4)).default({}),
  /** Fuse of a fused unit, A. */
  fuse: z.union([z.literal(3), z.literal(5), z.literal(13)]).default(13),
  /** Load, W; null: the usual one of its kind. */
  watts: z.number().min(0).max(100_000).nullable().default(null),
  /** Second figure of its IP code: how it stands water, 0 to 8; null when it is not known. */
  water: z.number().int().min(0).max(8).nullable().default(null),
  /** Lights behind a fused unit: the unit, the lights and the board say so. */
  labelled: z.boolean().default(false),
  /** Ways of a board. */
  ways: z.number().int().min(0).max(60).default(0),
  /** Runs of a board in the order a person ties them at the far end; empty: in the order that crosses least. */
  tied: z.array(z.string().max(140)).max(60).default([]),
  /** Holes that a face of its enclosure has already: from the left of the face or its top, and across, mm. */
  faceHoles: z
    .array(z.strictObject({ edge: z.enum(edges), at: length0, size: z.number().min(5).max(120) }))
    .max(40)
    .default([]),
  /** Where glands were put by hand along their face, by run, mm. */
  glandAt: z.record(z.string().max(140), length0).default({}),
  /** Its enclosure is of plastic: armour is earthed by a tag and a lead. A board's never is. */
  plastic: z.boolean().default(false),
  /** Found in the house, not put in by this job. */
  existing: z.boolean().default(false),
  name: z.string().trim().max(40).default(""),
});

export const circuitSchema = z.strictObject({
  id: idSchema,
  label: z.string().trim().min(1).max(12),
  name,
  kind: z.enum(["ring", "radial", "lighting", "cooker", "shower", "fixed", "outbuilding", "signal"]),
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
  /** Runs with a cable of their own, each known by its two ends and its number. */
  runCables: z
    .array(
      z.strictObject({
        from: idSchema,
        to: idSchema,
        number: z.number().int().min(1).max(99).default(1),
        cable: z.string().min(1).max(40),
      }),
    )
    .max(200)
    .default([]),
  /** How the cable is taken on walls: hidden in plaster or stud void, or clipped to the surface. */
  walls: z.enum(["hidden", "surface"]).default("hidden"),
  ambient: z.number().min(-10).max(70).default(30),
  /** Longest stretch that its cable goes through thermal insulation, all round it, mm; 0 where it goes through none. */
  insulated: z.number().min(0).max(100_000).default(0),
  /** Load to design for, W; 0 when it is not known. */
  watts: z.number().min(0).max(200_000).default(0),
  /** Board that feeds it; null: the first one. */
  board: idSchema.nullable().default(null),
  /**
   * Of what feeds an outbuilding: whether the house's earth is taken out to it, or it has an electrode of its own; null while nobody
   * has said.
   */
  farEarth: z.enum(["house", "electrode"]).nullable().default(null),
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
  "buried",
  "catenary",
  ...sectionMethods,
] as const;
export const legSchema = z.strictObject({
  surface: z.strictObject({ kind: z.enum(["wall", "deck", "through", "outside"]), id: idSchema }),
  method: z.enum(legMethods),
  path: z.array(xyz).min(2).max(200),
  /** Depth below the finished face, mm (0 on the surface). */
  depth: length0,
  protected: z.boolean(),
  /** The section of containment it lies in. */
  section: idSchema.optional(),
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

export type Point = z.infer<typeof pointSchema>;
export type Circuit = z.infer<typeof circuitSchema>;
export type LegMethod = (typeof legMethods)[number];
export type PinnedLeg = z.infer<typeof legSchema>;
export type Pin = z.infer<typeof pinSchema>;
