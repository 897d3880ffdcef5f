import { atMost } from "../base/tolerance";
import { section } from "./cables";

/** Auger bits an electrician carries, Ø mm. */
export const bits: readonly number[] = [16, 18, 20, 22, 25];
/** Core drills for walls, Ø mm: the bits, and larger ones that no joist would bear. */
export const wallDrills: readonly number[] = [...bits, 28, 32, 38, 52, 65, 78, 107];
/** Largest share of a hole that cables may fill, as for other cable ways. */
export const HOLE_FILL = 0.45;
/** Bores on one joist keep this pitch, mm: three times the largest bit, so that any two of them may stand side by side. */
export const BORE_PITCH = 3 * 25;

/**
 * Smallest bit (Ø mm) through which the cables pass, filling at most 45 % of the hole and with the widest fitting across;
 * null when none of the bits up to `most` does.
 */
export function bitFor(
  passing: readonly { width: number; thickness: number }[],
  most: number,
  drills: readonly number[] = bits,
): number | null {
  let area = 0;
  let widest = 0;
  for (const c of passing) {
    area += section(c);
    widest = Math.max(widest, Math.sqrt(c.width * c.width + c.thickness * c.thickness));
  }
  for (const d of drills) {
    if (!atMost(d, most)) break;
    if (atMost(area, (HOLE_FILL * Math.PI * d * d) / 4) && atMost(widest, d)) return d;
  }
  return null;
}
