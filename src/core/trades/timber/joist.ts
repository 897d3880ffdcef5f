import type { Interval } from "../../base/interval";
import type { Joist } from "../../house/joist";
import type { Schools } from "../../rules/schools";
import { timberRules } from "../../rules/timber";

const mirrored = (span: number, from: number, to: number): [Interval, Interval] => [
  [from * span, to * span],
  [span - to * span, span - from * span],
];

export interface Windows {
  hole: { zones: [Interval, Interval]; maxDiameter: number; fromTop: number; maxDiameterUnplated: number };
  notch: { zones: [Interval, Interval]; maxDepth: number; edges: ("top" | "bottom")[] };
}

/**
 * Where a solid joist may be cut: positions from the left bearing, largest hole, deepest notch, mm.
 * @param edge which edges a notch may be in; when left out, what the school says by itself
 * @param noggin depth of a batten or noggin fixed later, taken off the top edge when judging the 50 mm to the cable
 */
export function joistWindows(j: Joist, school: Schools["notch"], noggin = 0, edge?: Schools["notchEdge"]): Windows {
  const { hole } = timberRules;
  const notch = timberRules.notch[school];
  const maxDiameter = hole.size * j.depth;
  const toEdge = Math.min(j.depth / 2 - noggin, j.depth / 2) - timberRules.cableEdge;
  return {
    hole: {
      zones: mirrored(j.span, hole.from, hole.to),
      maxDiameter,
      fromTop: j.depth / 2,
      maxDiameterUnplated: Math.max(0, Math.min(maxDiameter, 2 * toEdge)),
    },
    notch: {
      zones: mirrored(j.span, notch.from, notch.to),
      maxDepth: notch.depth * j.depth,
      edges: edge === undefined ? [...notch.edges] : edge === "top" ? ["top"] : ["top", "bottom"],
    },
  };
}
