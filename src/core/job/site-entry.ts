import { z } from "zod";
import { placeSchema } from "./wiring";

/** Steps of a run on site, in the order they are done. */
export const steps = ["bored", "drawn-in", "clipped", "made-off", "tested"] as const;
export type Step = (typeof steps)[number];
export const stepNames: Record<Step, string> = {
  bored: "Drilled",
  "drawn-in": "Drawn in",
  clipped: "Clipped",
  "made-off": "Made off",
  tested: "Tested",
};

/** A reading or a torque as it was taken: what, how much, and of what unit. */
export const readingSchema = z.strictObject({
  what: z.string().trim().min(1).max(80),
  value: z.number().min(0).max(1_000_000),
  unit: z.enum(["Ω", "MΩ", "V", "N·m", "mm"]),
});
export type Reading = z.infer<typeof readingSchema>;
/** What stands for an open circuit among readings, Ω. */
export const OPEN = 1_000_000;
/** "Torque, the way 2 N·m". */
export const readingWords = (r: Reading): string =>
  r.unit === "Ω" && r.value >= OPEN ? `${r.what} open` : `${r.what} ${r.value} ${r.unit}`;

/**
 * A length cut from a drum, or one that came back from it as an offcut: mm, with the metre marks on the sheath before and after where
 * somebody read them.
 */
export const cutSchema = z.strictObject({
  drum: z.string().min(1).max(60),
  length: z.number().int().min(1).max(1_000_000),
  from: z.number().int().min(0).max(10_000_000).optional(),
  to: z.number().int().min(0).max(10_000_000).optional(),
});

/** One line of the site book. Lines are only ever added; `undone` takes an earlier line back. */
export const siteEntrySchema = z
  .strictObject({
    id: z.string().min(1).max(60),
    /** Key of the run; of the surface ("wall:ID", "deck:ID") in a line that releases one or opens it again. */
    run: z.string().min(1).max(140),
    kind: z.enum([
      "done",
      "undone",
      "cannot",
      "note",
      "reading",
      "damage",
      "repaired",
      "released",
      "reopened",
      "mark",
      "unmark",
      "can",
      "cut",
      "returned",
      "built",
    ]),
    step: z.enum(steps).nullable(),
    text: z.string().max(1000).default(""),
    by: z.string().trim().min(1).max(60),
    /** When it was done, ISO 8601 with zone. */
    at: z.iso.datetime({ offset: true }),
    /** With damage: how far along the run, mm from its start. */
    along: z.number().int().min(0).max(10_000_000).optional(),
    /** The line about the same step that was on the screen when this one was made: this one comes after it, whatever the clock says. */
    after: z.string().min(1).max(60).optional(),
    /** With a line of the kind "reading": what was read. */
    reading: readingSchema.optional(),
    /** With the first tick of a run: the run as it was in hand, which stays as it is from then on. With "built": as it was built. */
    held: z.unknown().optional(),
    /** What was done at a place that is no step of a run: a hole, a chase, a box. With "mark" and "unmark"; with "cannot" and "can" what it is about. */
    mark: z.string().min(1).max(140).optional(),
    /** With "cut" and "returned": what came off which drum, or came back to it. */
    cut: cutSchema.optional(),
    /** With "built" for a point: where it was built. */
    place: placeSchema.optional(),
    /** With a reading: the instrument it was taken with. */
    instrument: z.string().trim().min(1).max(60).optional(),
  })
  .refine((e) => !["mark", "unmark"].includes(e.kind) || e.mark !== undefined, {
    path: ["mark"],
    message: "names what was done at the place",
  })
  .refine((e) => ["cut", "returned"].includes(e.kind) === (e.cut !== undefined), {
    path: ["cut"],
    message: "a length cut or returned names its drum, and no other line has one",
  })
  .refine((e) => e.place === undefined || e.kind === "built", {
    path: ["place"],
    message: "is told of what was built elsewhere alone",
  })
  .refine((e) => e.instrument === undefined || e.kind === "reading", {
    path: ["instrument"],
    message: "is told with a reading alone",
  })
  .refine((e) => (e.kind === "reading") === (e.reading !== undefined), {
    path: ["reading"],
    message: 'a line of the kind "reading" has a reading, and no other line has one',
  })
  .refine((e) => !["damage", "repaired", "reopened"].includes(e.kind) || e.text.trim().length > 0, {
    path: ["text"],
    message: "is empty; damage, a repair and opening a surface again are told in words",
  })
  .refine((e) => e.kind !== "repaired" || e.after !== undefined, {
    path: ["after"],
    message: "names the damage that was repaired",
  })
  .refine((e) => e.along === undefined || e.kind === "damage", {
    path: ["along"],
    message: "is a measure of damage alone",
  });
export type SiteEntry = z.infer<typeof siteEntrySchema>;
