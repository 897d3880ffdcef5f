import type { LaidSection } from "../../house/sections";
import { type Cable, overall } from "../../rules/cables";
import { type Catalogue, cableOf } from "../../rules/catalogue";
import { atMost } from "../../base/tolerance";
import { type Filling, SPACE_LIMIT, spaceFill } from "./space-fill";

/** A cable as it fills: flat by its two sides, round by its diameter. */
export const fillingOf = (c: Cable, qty = 1): Filling =>
  c.family === "sheathed" && c.width !== c.thickness
    ? { width: c.width, thickness: c.thickness, qty }
    : { diameter: overall(c), qty };

/** Cables that lie in a section from before, one by one. */
export const cablesThere = (s: LaidSection, catalogue: Catalogue): Cable[] =>
  s.section.holds.flatMap((x) => {
    const c = cableOf(x.cable, catalogue);
    return c ? Array.from({ length: x.count }, () => c) : [];
  });

/** Width a cable takes side by side in a layer, mm: a flat one lies flat. */
export const layerWidth = (c: Cable): number => Math.max(c.width, c.thickness);

/** How full a section is: its measure, what is taken of it and what at most may be. */
export interface SectionFill {
  /** Percent of the inside, or mm side by side, or cables. */
  used: number;
  most: number;
  unit: "%" | "mm" | "";
  /** False when it holds more than it may, or something that does not go in at all. */
  ok: boolean;
  /** False when one of them does not go in even alone. */
  enters: boolean;
}

/** How full a section is with some cables: by area, 45 %; in one layer; or each on its own cleats, which no number fills. */
export function sectionFill(s: LaidSection, cables: readonly Cable[]): SectionFill {
  const { inside } = s.size;
  if (s.row.holds === "alone") return { used: cables.length, most: Infinity, unit: "", ok: true, enters: true };
  if (s.row.holds === "layer" && "width" in inside) {
    const used = cables.reduce((sum, c) => sum + layerWidth(c), 0);
    const enters = cables.every(
      (c) =>
        atMost(layerWidth(c), inside.width) && (!s.row.hidden || atMost(Math.min(c.width, c.thickness), inside.height)),
    );
    return { used, most: inside.width, unit: "mm", ok: enters && atMost(used, inside.width), enters };
  }
  const fill = spaceFill(
    inside,
    cables.map((c) => fillingOf(c)),
  );
  const enters = !fill.facts.some((f) => f.case === "enters");
  return { used: fill.percent, most: SPACE_LIMIT, unit: "%", ok: fill.ok, enters };
}

/** How many more of a cable a section takes on top of what is in it; none of those that are on their own cleats are counted. */
export function roomFor(s: LaidSection, cables: readonly Cable[], more: Cable): number {
  if (s.row.holds === "alone") return 0;
  const all = [...cables];
  for (let n = 0; n < 200; n++) {
    all.push(more);
    if (!sectionFill(s, all).ok) return n;
  }
  return 200;
}
