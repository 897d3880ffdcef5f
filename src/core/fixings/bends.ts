import { atMost, same } from "../geometry/tolerance";
import type { ClipFamily } from "./clips";

/**
 * Least internal radius of a bend as a multiple of the overall diameter, and in mm. Flat cable goes by its wider axis unless
 * the user bends it the flat way. Inclusive at 10 and 25 mm. Source: BS 7671:2018+A2:2022 522.8.3, on-site guidance.
 * @param about which dimension of a flat cable counts
 */
export function bendRadius(family: ClipFamily, width: number, thickness: number, about: "width" | "thickness" = "width"): { factor: number; radius: number } {
  const overall = same(width, thickness) ? width : about === "width" ? Math.max(width, thickness) : Math.min(width, thickness);
  const factor = family === "sheathed" ? (atMost(overall, 10) ? 3 : atMost(overall, 25) ? 4 : 6) : 6;
  return { factor, radius: factor * overall };
}
