import { atLeast, atMost, same } from "../../base/tolerance";
import { type Fact, fact } from "../../rules/fact";
import type { ClipFamily } from "./clips";

/** Multiples of the diameter for the inner radius. Source: BS 7671:2018+A2:2022 522.8.3, on-site guidance. */
export const bendFactors = {
  sheathed: [
    { upTo: 10, factor: 3 },
    { upTo: 25, factor: 4 },
    { upTo: Infinity, factor: 6 },
  ],
  armoured: { circular: 6, shaped: 8 },
  mi: 6,
} as const;
/** Armour larger than this is bent as its maker says, mm. */
export const BEND_MAKER = 60;

/**
 * Least internal radius of a bend as a multiple of the overall diameter, and in mm. Flat cable goes by its wider axis unless
 * the user bends it the flat way. Inclusive at 10 and 25 mm.
 * @param about which dimension of a flat cable counts
 */
export function bendRadius(
  family: ClipFamily,
  width: number,
  thickness: number,
  about: "width" | "thickness" = "width",
  conductor: "circular" | "shaped" = "circular",
): { factor: number; radius: number } {
  const overall = same(width, thickness)
    ? width
    : about === "width"
      ? Math.max(width, thickness)
      : Math.min(width, thickness);
  const factor =
    family === "sheathed"
      ? bendFactors.sheathed.find((r) => atMost(overall, r.upTo))!.factor
      : family === "armoured"
        ? bendFactors.armoured[conductor]
        : bendFactors.mi;
  return { factor, radius: factor * overall };
}

/** What is wrong with a bend: a very large armour has no figure, and a radius that is there may be too tight. */
export function bendFacts(family: ClipFamily, overall: number, least: number, actual: number | undefined): Fact[] {
  const out: Fact[] = [];
  if (family === "armoured" && !atMost(overall, BEND_MAKER))
    out.push(fact("bend.maker", "input", "bend", { measured: overall, limit: BEND_MAKER, sense: "most", unit: "mm" }));
  if (actual !== undefined && !atLeast(actual, least))
    out.push(fact("bend.radius", "input", "bend", { measured: actual, limit: least, sense: "least", unit: "mm" }));
  return out;
}
