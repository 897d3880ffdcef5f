import type { PointKind } from "./accessories";

/** How far an accessory reaches into its box behind the plate, mm. Typical; the maker's sheet goes before it. */
const bodies: Partial<Record<PointKind, number>> = {
  socket: 18,
  switch: 12,
  "fused-unit": 22,
  "cooker-control": 28,
  "appliance-outlet": 18,
  isolator: 24,
  "wall-light": 8,
  "outdoor-socket": 18,
  shaver: 38,
  fan: 10,
  heater: 22,
  immersion: 24,
  boiler: 22,
  hob: 14,
  oven: 14,
  extractor: 22,
  data: 22,
  television: 18,
  telephone: 16,
  doorbell: 10,
};
/** Depth of an accessory behind its plate, mm; 15 where none is listed. Typical. */
export const bodyOf = (kind: PointKind): number => bodies[kind] ?? 15;

/** Inside of a board from its back to its cover, mm. Typical. */
export const BOARD_DEPTH = 100;
/** No board is as shallow as the box of an accessory, mm: a depth below this is taken not to have been measured. */
const BOARD_LEAST = 60;
/** Depth of a point's enclosure, mm: as it was given; of a board the usual one until it is measured. */
export const enclosureDepth = (p: { kind: PointKind; boxDepth: number }): number =>
  p.kind === "board" && p.boxDepth < BOARD_LEAST ? BOARD_DEPTH : p.boxDepth;

/** Depths boxes are sold in, mm. Typical. */
export const boxDepths = [16, 25, 35, 47] as const;

/** A lever connector of two or three ways lying flat, mm. Typical. */
export const connector = { width: 20, height: 8.5 } as const;
/** Lugs and screws at each side of a box that keep conductors off, mm. */
export const LUGS = 5;
/** Heads of the screws that hold the box at its back, mm. */
export const SCREW_HEADS = 2;
/** Part of a conductor that rises to its terminal and does not lie folded, mm. */
export const RISE = 30;
