import { z } from "zod";
import { schoolsSchema } from "../rules/schools";
import { taskKinds } from "../rules/times";
import { idSchema } from "./measures";

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
  /** Containment where none is drawn: over chases in masonry, and on the surface of walls. */
  containment: z
    .strictObject({
      masonry: z.enum(["capping", "oval"]).default("capping"),
      surface: z.enum(["mini-trunking", "conduit-plastic"]).default("mini-trunking"),
      /** By room, where it is another there. */
      rooms: z
        .record(
          idSchema,
          z.strictObject({
            masonry: z.enum(["capping", "oval"]).optional(),
            surface: z.enum(["mini-trunking", "conduit-plastic"]).optional(),
          }),
        )
        .default({}),
    })
    .prefault({}),
  /** What the router weighs, in mm of cable that one of each is worth. */
  cost: costSchema.prefault({}),
});

export const dwellingSchema = z.strictObject({
  country: z.enum(["england", "wales", "scotland", "northern-ireland", "elsewhere"]).default("england"),
  newDwelling: z.boolean().default(false),
  occupied: z.boolean().default(false),
});

/** Services that are bonded where they come in. */
export const services = ["water", "gas", "oil", "steelwork", "other"] as const;
/** What comes in at the origin. Null: not looked at, or not there. */
export const supplySchema = z.strictObject({
  earthing: z.enum(["TN-C-S", "TN-S", "TT"]).nullable().default(null),
  /** Measured external loop impedance, Ω; of TT with the electrode. */
  ze: z.number().min(0.01).max(2000).nullable().default(null),
  /** Trip current of an RCD for the whole installation, mA. */
  rcd: z
    .union([z.literal(30), z.literal(100), z.literal(300)])
    .nullable()
    .default(null),
  /** Main switch, A. */
  mainSwitch: z.number().min(20).max(200).nullable().default(null),
  /** Main bonding: section, mm², and whether it was seen or is only said to be there. */
  bonding: z
    .array(z.strictObject({ service: z.enum(services), csa: z.number().min(1).max(70), seen: z.boolean() }))
    .max(12)
    .default([]),
});
export type Supply = z.infer<typeof supplySchema>;

/** Containment where none is drawn in a room: its own, else that of the job. */
export function containmentIn(
  settings: Pick<Settings, "containment">,
  room: string | null,
): { masonry: "capping" | "oval"; surface: "mini-trunking" | "conduit-plastic" } {
  const { masonry, surface, rooms } = settings.containment;
  const own = room === null ? undefined : rooms[room];
  return { masonry: own?.masonry ?? masonry, surface: own?.surface ?? surface };
}

export type Settings = z.infer<typeof settingsSchema>;
export type Dwelling = z.infer<typeof dwellingSchema>;

const clock = z.string().regex(/^([01][0-9]|2[0-3]):[0-5][0-9]$/, "a time of day such as 08:00");
const day = z.iso.date();

/** How the days on site go: who, when, how long things take, and when a room is not to be had. */
export const workSchema = z.strictObject({
  people: z.array(z.string().trim().min(1).max(60)).min(1).max(2).default(["Electrician 1"]),
  /** First day of work; null for today. */
  first: day.nullable().default(null),
  start: clock.default("08:00"),
  end: clock.default("16:30"),
  /** A break, minutes; none with 0. */
  breakAt: clock.default("12:30"),
  breakMinutes: z.number().int().min(0).max(180).default(30),
  /** Noise is kept to these hours where people live in the house. */
  noiseFrom: clock.default("09:00"),
  noiseUntil: clock.default("16:00"),
  saturday: z.boolean().default(false),
  /** Minutes that one unit of a kind of work takes, as the user says. */
  minutes: z.partialRecord(z.enum(taskKinds), z.number().min(0.1).max(600)).default({}),
  /** When a room is not to be had: another trade in it, plaster or screed drying. Without a room the whole house. */
  away: z
    .array(
      z
        .strictObject({
          id: idSchema,
          what: z.string().trim().min(1).max(60),
          room: idSchema.nullable(),
          from: day,
          /** Last day, inclusive. */
          until: day,
        })
        .refine((a) => a.until >= a.from, { path: ["until"], message: "is not before its first day" }),
    )
    .max(60)
    .default([]),
});
export type Work = z.infer<typeof workSchema>;
