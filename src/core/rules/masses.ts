import type { Cable } from "./cables";

/** Mass of 3-core armoured cable by conductor section, kg a metre. Source: *typical* of BS 5467 cable. */
export const armouredMass: Readonly<Record<string, number>> = {
  1.5: 0.37,
  2.5: 0.45,
  4: 0.55,
  6: 0.68,
  10: 1.0,
  16: 1.4,
};
/** Overall diameter of that cable, mm: others weigh as their section to its. */
const threeCore: Readonly<Record<string, number>> = { 1.5: 12.8, 2.5: 14.1, 4: 15.3, 6: 16.6, 10: 19.5, 16: 21.6 };

/** Mass of a cable, kg a metre; null for one that is not of armour or of no section of the table. */
export function massOf(cable: Pick<Cable, "family" | "csa" | "width">): number | null {
  const mass = armouredMass[cable.csa];
  if (cable.family !== "armoured" || mass === undefined) return null;
  return mass * (cable.width / threeCore[cable.csa]!) ** 2;
}

/** Pull of the earth, N/kg. */
export const GRAVITY = 9.81;
