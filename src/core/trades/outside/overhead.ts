import { atLeast } from "../../base/tolerance";
import { type Fact, fact } from "../../rules/fact";

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
): { least: number; facts: Fact[] } {
  const least = overheadHeights[beneath];
  const facts: Fact[] = [];
  if (!atLeast(height, least))
    facts.push(
      fact("overhead.height", "input", beneath, { measured: height, limit: least, sense: "least", unit: "mm" }),
    );
  if (!catenary) facts.push(fact("overhead.catenary", "input", beneath, { measured: span, unit: "mm" }));
  return { least, facts };
}
