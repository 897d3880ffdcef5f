import { z } from "zod";
import { FAR } from "../job/model";
import { findingSchema } from "../rules/findings";

/** Fields that calculators share. Lengths mm. */
export const size = z.number().positive().max(FAR);
export const length0 = z.number().min(0).max(FAR);
export const place = z.number().min(-FAR).max(FAR);
export const findings = z.array(findingSchema);
export const name = z.string().min(1).max(60);
export const interval = z.tuple([z.number(), z.number()]);

export const opening = z.strictObject({ u: place, v: place, width: size, height: size });
export const wall = z.strictObject({ length: size, height: size, thickness: size, openings: z.array(opening).max(200).default([]), cornerLeft: z.boolean().default(true), cornerRight: z.boolean().default(true) });
export const pointOnFace = z.strictObject({ id: name, u: place, v: place, width: size, height: size });
export const zone = z.object({
  kind: z.enum(["top-band", "corner-band", "point-vertical", "point-horizontal", "reverse-vertical", "reverse-horizontal"]),
  pointId: z.string().optional(),
  u0: z.number(),
  v0: z.number(),
  u1: z.number(),
  v1: z.number(),
});
export const joist = z.strictObject({ kind: z.enum(["solid", "engineered"]).default("solid"), depth: size, breadth: size.default(47), span: size });
export const notchSchool = z.enum(["warranty", "on-site"]).default("warranty");
