import { atLeast, atMost } from "../../base/tolerance";
import { type Fact, fact } from "../../rules/fact";

/** Inside of a trunking or a tube, mm. */
export type Inside = { width: number; height: number } | { diameter: number };
/** Cables of one size, mm: flat by width and thickness, round by diameter. */
export type Filling = { width: number; thickness: number; qty: number } | { diameter: number; qty: number };

/** Most of the inside that cables may take, percent, and the share from which little is left for later. */
export const SPACE_LIMIT = 45;
export const SPARE_FROM = 38;

/** Inside section, mm². */
export const insideArea = (i: Inside): number =>
  "diameter" in i ? (Math.PI * i.diameter ** 2) / 4 : i.width * i.height;
/** Outside section of one cable, mm²: flat width × thickness, round π d²/4. */
export const outsideArea = (c: Filling): number =>
  "diameter" in c ? (Math.PI * c.diameter ** 2) / 4 : c.width * c.thickness;

/** True when one such cable goes into the inside at all, turned either way. */
function enters(c: Filling, i: Inside): boolean {
  const [w, t] = "diameter" in c ? [c.diameter, c.diameter] : [c.width, c.thickness];
  if ("diameter" in i) return atMost("diameter" in c ? c.diameter : Math.hypot(w, t), i.diameter);
  return (atMost(w, i.width) && atMost(t, i.height)) || (atMost(t, i.width) && atMost(w, i.height));
}

export interface SpaceFill {
  usedArea: number;
  insideArea: number;
  percent: number;
  ok: boolean;
  facts: Fact[];
}

/**
 * Share of the inside that cables take. Inclusive: exactly the limit is allowed; from 38 % a warning comes back.
 * Source: on-site working practice to BS 7671:2018+A2:2022, space factor.
 */
export function spaceFill(inside: Inside, cables: readonly Filling[], limit = SPACE_LIMIT): SpaceFill {
  const usedArea = cables.reduce((s, c) => s + outsideArea(c) * c.qty, 0);
  const area = insideArea(inside);
  const percent = (100 * usedArea) / area;
  const facts: Fact[] = [];
  const tooWide = cables.find((c) => c.qty > 0 && !enters(c, inside));
  if (tooWide)
    facts.push(
      fact("fill.space", "input", "cable", {
        case: "enters",
        of:
          "diameter" in tooWide
            ? { diameter: tooWide.diameter }
            : { width: tooWide.width, thickness: tooWide.thickness },
      }),
    );
  if (!atMost(percent, limit))
    facts.push(fact("fill.space", "input", "containment", { measured: percent, limit, sense: "most", unit: "%" }));
  else if (atLeast(percent, SPARE_FROM))
    facts.push(
      fact("fill.spare", "input", "containment", { measured: percent, limit: SPARE_FROM, sense: "most", unit: "%" }),
    );
  return { usedArea, insideArea: area, percent, ok: !tooWide && atMost(percent, limit), facts };
}
