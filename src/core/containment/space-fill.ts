import { atLeast, atMost } from "../geometry/tolerance";
import { type Finding, finding, mm } from "../rules/findings";

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
  findings: Finding[];
}

/**
 * Share of the inside that cables take. Inclusive: exactly the limit is allowed; from 38 % a warning comes back.
 * Source: on-site working practice to BS 7671:2018+A2:2022, space factor.
 */
export function spaceFill(inside: Inside, cables: readonly Filling[], limit = SPACE_LIMIT): SpaceFill {
  const usedArea = cables.reduce((s, c) => s + outsideArea(c) * c.qty, 0);
  const area = insideArea(inside);
  const percent = (100 * usedArea) / area;
  const findings: Finding[] = [];
  const tooWide = cables.find((c) => c.qty > 0 && !enters(c, inside));
  if (tooWide)
    findings.push(
      finding("fill.space", {
        subject: "cable",
        message: `A cable of ${"diameter" in tooWide ? `Ø ${mm(tooWide.diameter)}` : `${mm(tooWide.width)} × ${mm(tooWide.thickness)}`} does not go in at all.`,
        remedy: "Take the next size.",
      }),
    );
  if (!atMost(percent, limit))
    findings.push(
      finding("fill.space", {
        subject: "containment",
        message: `${percent.toFixed(1)} % of the inside is taken; at most ${mm(limit)} %.`,
        measured: percent,
        limit,
        sense: "most",
        unit: "%",
        remedy: "Take the next size, or split the cables.",
      }),
    );
  else if (atLeast(percent, SPARE_FROM))
    findings.push(
      finding("fill.spare", {
        subject: "containment",
        message: `${percent.toFixed(1)} % is taken: little room for the next circuit.`,
        measured: percent,
        limit: SPARE_FROM,
        sense: "most",
        unit: "%",
        remedy: "Take the next size if another circuit may come.",
      }),
    );
  return { usedArea, insideArea: area, percent, ok: !tooWide && atMost(percent, limit), findings };
}
