import { type RectUnion, rectUnion } from "../geometry/rect-union";
import { BAND, type Zone } from "./wall-zones";

/** The zones of a face as one union: upright zones, and bands under sloping tops. */
export function zoneUnion(zones: readonly Zone[]): RectUnion {
  return rectUnion(
    zones.filter((z) => !z.slope),
    zones.flatMap((z) => (z.slope ? [{ edge: z.slope, deep: BAND }] : [])),
  );
}
