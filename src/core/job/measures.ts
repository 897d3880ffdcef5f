import { z } from "zod";

/** Farthest coordinate the model holds, mm (100 m): larger values are slips of the keyboard. */
export const FAR = 100_000;

export const idSchema = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/, "an id of 1 to 40 letters, digits, - or _");
export const name = z.string().trim().min(1).max(80);
export const coordinate = z.number().min(-FAR).max(FAR);
/** A size: more than nothing. */
export const size = z.number().positive().max(FAR);
export const length0 = z.number().min(0).max(FAR);
export const xySchema = z.strictObject({ x: coordinate, y: coordinate });
export const xyz = z.tuple([coordinate, coordinate, coordinate]);
