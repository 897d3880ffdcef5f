import type { Interval } from "../geometry/interval";
import type { Schools } from "../rules/schools";

/** A joist as the rules see it, mm. `span` is the clear span between bearing faces. */
export interface Joist {
  kind: "solid" | "engineered";
  depth: number;
  breadth: number;
  span: number;
}

export type Cut =
  | { id: string; kind: "hole"; at: number; diameter: number; fromTop: number }
  | { id: string; kind: "notch"; at: number; width: number; depth: number; edge: "top" | "bottom" };

/** Working limits for solid joists. Source: Approved Document A and new-home warranty practice; two schools for notches. */
export const timberRules = {
  hole: { from: 0.25, to: 0.4, size: 0.25, spacing: 3 },
  notch: {
    warranty: { from: 0.1, to: 0.2, depth: 0.15, edges: ["top"] },
    "on-site": { from: 0.07, to: 0.25, depth: 0.125, edges: ["top", "bottom"] },
  },
  apart: 100,
  mostDepth: 250,
  cableEdge: 50,
  axisTolerance: 5,
} as const;

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
