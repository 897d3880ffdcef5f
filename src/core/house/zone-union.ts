import { type RectUnion, rectUnion } from "../base/rect-union";
import { BAND, type Zone } from "./wall-zones";

const made = new WeakMap<readonly Zone[], RectUnion>();

/** The zones of one face as one area: upright ones as rectangles, bands under a sloping top as they slope. Kept with its list of zones. */
export function zoneUnion(zones: readonly Zone[]): RectUnion {
  const there = made.get(zones);
  if (there) return there;
  const union = rectUnion(
    zones.filter((z) => !z.slope),
    zones.flatMap((z) => (z.slope ? [{ edge: z.slope, deep: BAND }] : [])),
  );
  made.set(zones, union);
  return union;
}
