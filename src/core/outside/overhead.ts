import { atLeast } from "../geometry/tolerance";
import { type Finding, finding, mm } from "../rules/findings";

/** Least heights of overhead cable by what passes beneath, mm. Source: on-site working practice to BS 7671:2018+A2:2022. */
export const overheadHeights = {
  road: 5800,
  vehicles: 5800,
  foot: 3500,
  "caravan-vehicles": 6000,
  "caravan-foot": 3500,
} as const;
export type Beneath = keyof typeof overheadHeights;

/** Least height over what passes beneath, and what is wrong with the crossing. A catenary has its own span; armour has none. */
export function overhead(
  beneath: Beneath,
  height: number,
  span: number,
  catenary: boolean,
): { least: number; findings: Finding[] } {
  const least = overheadHeights[beneath];
  const findings: Finding[] = [];
  if (!atLeast(height, least))
    findings.push(
      finding("overhead.height", {
        subject: beneath,
        message: `${mm(height)} at its lowest; at least ${mm(least)} here.`,
        measured: height,
        limit: least,
        sense: "least",
        unit: "mm",
        remedy: "Fix it higher at both ends, or go underground.",
      }),
    );
  if (!catenary)
    findings.push(
      finding("overhead.catenary", {
        subject: beneath,
        message: `Armoured cable does not carry itself over ${mm(span)}.`,
        measured: span,
        unit: "mm",
        remedy: "Carry it on a catenary wire.",
      }),
    );
  return { least, findings };
}
