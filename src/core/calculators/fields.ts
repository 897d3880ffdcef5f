import { z } from "zod";
import { FAR } from "../job/model";
import { findingSchema } from "../words/findings";

/** Fields that calculators share. Each carries its title and unit: the form and the reference page are made from them. Lengths mm. */
export const size = (title: string, most = FAR) => z.number().positive().max(most).meta({ title, unit: "mm" });
export const length0 = (title: string, most = FAR) => z.number().min(0).max(most).meta({ title, unit: "mm" });
export const place = (title: string) => z.number().min(-FAR).max(FAR).meta({ title, unit: "mm" });
export const number = (title: string, unit: string, min: number, max: number) =>
  z.number().min(min).max(max).meta({ title, unit });
export const whole = (title: string, min: number, max: number) => z.number().int().min(min).max(max).meta({ title });
/** An angle more than nothing and less than `below`, degrees. */
export const angle = (title: string, below = 180) => z.number().positive().lt(below).meta({ title, unit: "°" });
export const flag = (title: string) => z.boolean().meta({ title });
/** One of several, with the words a person picks it by. */
export const choice = <const V extends readonly [string, ...string[]]>(
  title: string,
  values: V,
  names: Partial<Record<V[number], string>> = {},
) => z.enum(values).meta({ title, names });
export const name = (title = "Name") => z.string().min(1).max(60).meta({ title });
export const rows = <T extends z.ZodType>(title: string, row: T, most = 200) => z.array(row).max(most).meta({ title });

export const findings = z.array(findingSchema);
export const interval = z.tuple([z.number(), z.number()]);

export const opening = z.strictObject({
  u: place("From the left"),
  v: place("Above the floor"),
  width: size("Width"),
  height: size("Height"),
});
export const wall = z
  .strictObject({
    length: size("Length"),
    height: size("Height"),
    thickness: size("Thickness"),
    openings: rows("Openings", opening).default([]),
    cornerLeft: flag("Corner at the left").default(true),
    cornerRight: flag("Corner at the right").default(true),
  })
  .meta({ title: "Wall" });
export const pointOnFace = z.strictObject({
  id: name("Point"),
  u: place("From the left"),
  v: place("Above the floor"),
  width: size("Width"),
  height: size("Height"),
});
export const zone = z.object({
  kind: z.enum([
    "top-band",
    "corner-band",
    "point-vertical",
    "point-horizontal",
    "reverse-vertical",
    "reverse-horizontal",
  ]),
  pointId: z.string().optional(),
  u0: z.number(),
  v0: z.number(),
  u1: z.number(),
  v1: z.number(),
});
export const joist = z
  .strictObject({
    kind: choice("Kind", ["solid", "engineered"]).default("solid"),
    depth: size("Depth"),
    breadth: size("Breadth").default(47),
    span: size("Clear span"),
  })
  .meta({ title: "Joist" });
export const notchSchool = choice("Notch school", ["warranty", "on-site"], {
  warranty: "0.10–0.20 of span, 0.15 deep",
  "on-site": "0.07–0.25 of span, one eighth deep",
}).default("warranty");

/** Cables in a section: flat by width and thickness, round by diameter. */
export const filling = z.union([
  z
    .strictObject({ width: size("Width", 200), thickness: size("Thickness", 200), qty: whole("How many", 0, 500) })
    .meta({ title: "Flat" }),
  z.strictObject({ diameter: size("Diameter", 200), qty: whole("How many", 0, 500) }).meta({ title: "Round" }),
]);
export const csa = number("Section", "mm²", 0.1, 1000);
export const core = z.strictObject({
  csa,
  construction: choice("Conductor", ["solid", "stranded"]),
  qty: whole("How many", 0, 500),
});
export const containerSize = z
  .union([z.number(), z.string().min(1).max(20)])
  .meta({ title: "Size", hint: "20, or 50x50" });
