import { EPS, atLeast, atMost } from "../geometry/tolerance";
import { type Finding, finding, mm } from "../rules/findings";
import type { Gland } from "../rules/glands";

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
): { gland: Gland | null; findings: Finding[] } {
  const gland = glands.find((g) => fits(g, c, outdoor)) ?? null;
  if (!gland)
    return {
      gland,
      findings: [
        finding("gland.fit", {
          subject: "cable",
          message: `No gland of the table takes bedding ${mm(c.bedding)}, sheath ${mm(c.overall)} and wire ${c.wire} together.`,
          remedy: "Measure the cable again, and look at the maker's sheet.",
        }),
      ],
    };
  const near: string[] = [];
  if (gland.bedding - c.bedding <= EDGE_WARN + EPS)
    near.push(`bedding ${mm(c.bedding)} of at most ${mm(gland.bedding)}`);
  if (gland.sheathMost - c.overall <= EDGE_WARN + EPS)
    near.push(`sheath ${mm(c.overall)} of at most ${mm(gland.sheathMost)}`);
  if (outdoor && c.overall - gland.sheathLeast <= EDGE_WARN + EPS)
    near.push(`sheath ${mm(c.overall)} of at least ${mm(gland.sheathLeast)}`);
  return {
    gland,
    findings: near.length
      ? [
          finding("gland.edge", {
            subject: gland.id,
            message: `Close to the edge of the ${gland.id}: ${near.join(", ")}.`,
            remedy: "Measure this drum before drilling.",
          }),
        ]
      : [],
  };
}
