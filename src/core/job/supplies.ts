import { z } from "zod";
import { idSchema } from "./measures";

const item = z.string().trim().min(1).max(80);
const sizeText = z.string().trim().max(80);

/** What is on the van or in the store, besides drums: so much of an item of the take-off, in its unit. */
export const stockSchema = z.strictObject({
  id: idSchema,
  item,
  size: sizeText.default(""),
  quantity: z.number().min(0).max(1_000_000),
});

/** A pack that an item is sold in, from the user's own price list: how much of its unit, and the price, pence; null where unknown. */
export const packSchema = z.strictObject({
  id: idSchema,
  item,
  size: sizeText.default(""),
  holds: z.number().min(0.01).max(100_000),
  price: z.number().int().min(0).max(100_000_000).nullable(),
  /** The seller's own number for it. */
  code: z.string().trim().max(60).default(""),
});
export type Pack = z.infer<typeof packSchema>;
