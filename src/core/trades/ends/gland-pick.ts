import { EPS, atLeast, atMost } from "../../base/tolerance";
import { type Fact, fact } from "../../rules/fact";
import type { Gland } from "../../rules/glands";

/** Diameters of an armoured cable: over the bedding, over all, of one armour wire, mm. */
export interface ArmouredSize {
  bedding: number;
  overall: number;
  wire: number;
}
/** A fit nearer than this to the edge of a range wants the cable measured, mm. */
export const EDGE_WARN = 0.3;

/** True when the cable lies in all ranges of the gland; an indoor gland does not seal on the sheath, so its least sheath does not bind. */
export const fits = (g: Gland, c: ArmouredSize, outdoor: boolean): boolean =>
  atMost(c.bedding, g.bedding) &&
  atMost(c.overall, g.sheathMost) &&
  (!outdoor || atLeast(c.overall, g.sheathLeast)) &&
  atLeast(c.wire, g.wireLeast) &&
  atMost(c.wire, g.wireMost);

/** The smallest gland that takes the cable, or null with the finding that says why. Ranges inclusive. Source: BS EN 62444, typical ranges. */
export function pickGland(
  c: ArmouredSize,
  outdoor: boolean,
  glands: readonly Gland[],
): { gland: Gland | null; facts: Fact[] } {
  const gland = glands.find((g) => fits(g, c, outdoor)) ?? null;
  if (!gland)
    return {
      gland,
      facts: [fact("gland.fit", "input", "cable", { of: { bedding: c.bedding, overall: c.overall, wire: c.wire } })],
    };
  const near: string[] = [];
  if (gland.bedding - c.bedding <= EDGE_WARN + EPS) near.push("bedding");
  if (gland.sheathMost - c.overall <= EDGE_WARN + EPS) near.push("sheath-most");
  if (outdoor && c.overall - gland.sheathLeast <= EDGE_WARN + EPS) near.push("sheath-least");
  return {
    gland,
    facts: near.length
      ? [
          fact("gland.edge", "input", gland.id, {
            of: {
              near,
              bedding: c.bedding,
              overall: c.overall,
              beddingMost: gland.bedding,
              sheathMost: gland.sheathMost,
              sheathLeast: gland.sheathLeast,
            },
          }),
        ]
      : [],
  };
}
