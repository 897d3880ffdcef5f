import { EPS } from "../../base/tolerance";
import { armourSection } from "../../rules/ratings";
import { arcLength } from "./armour-cut";

/** Height of the small bow left in a straight approach, to push a bit too much back into, mm. Trade habit. */
export const PUSH_BACK = 10;

/** How an armoured cable comes to its gland, mm. */
export interface Approach {
  /** From the face of the enclosure back to the last bend of the run; null where it comes straight for a long way. */
  toBend: number | null;
  /** From a cleat to the bend, or to the face, that follows it. */
  cleat: number;
  /** Least inner radius of the cable's bends. */
  radius: number;
}

/** Marks of one armoured end, mm along the cable from its last cleat. */
export interface ArmourMarks {
  /** Where the sheath is ringed: one cone length before the wires stop. */
  ring: number;
  /** Where the armour wires are scored and snapped. */
  wires: number;
  /** Where the cable is cut. */
  cut: number;
  /** Radius of the sweep into the gland; null where it comes straight. */
  sweep: number | null;
  /** False where the last bend is nearer to the face than the cable's radius; `room` is what there is. */
  fits: boolean;
  room: number | null;
}

/**
 * Marks on the cable, offered up to a gland already in the face: from the last cleat round the sweep to the face. A sweep of the
 * least radius cuts the corner of the drawn way; a straight approach keeps a small bow to push back into. Up to whole millimetres:
 * a bit too long is pushed back, too short is scrap.
 * @param cone length of the gland's cone
 * @param tails cores inside the enclosure
 */
export function armourMarks({ toBend, cleat, radius }: Approach, cone: number, tails: number): ArmourMarks {
  const bent = toBend !== null && toBend < radius + cleat;
  // A cleat stands before the bend by as much as the sweep begins before it.
  const way = bent
    ? cleat + (Math.PI / 2) * Math.min(radius, toBend) + Math.max(0, toBend - radius)
    : arcLength(cleat, PUSH_BACK);
  const wires = Math.ceil(way - EPS);
  return {
    ring: wires - cone,
    wires,
    cut: wires + tails,
    sweep: bent ? radius : null,
    fits: !bent || toBend >= radius - EPS,
    room: bent ? toBend : null,
  };
}

/**
 * k of copper and of steel-wire armour, by the conductor's running temperature, °C. Source: BS 7671:2018+A2:2022 Table 54.7 with
 * 43.1 and 54.4.
 */
const k = { 90: { copper: 143, steel: 46 }, 70: { copper: 115, steel: 51 } } as const;

/**
 * Whether the armour by itself is enough as protective conductor by the rule of sections, mm².
 * @returns null where the armour's section is not in the table
 */
export function armourAsEarth(
  csa: number,
  cores: number,
  insulation: 70 | 90 = 90,
): { has: number; needs: number; enough: boolean } | null {
  const has = armourSection[String(csa)]?.[cores - 2];
  if (has === undefined) return null;
  const needs = (csa * k[insulation].copper) / k[insulation].steel;
  return { has, needs, enough: has >= needs - EPS };
}
