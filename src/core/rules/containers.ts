/** Conduit by its nominal size: outside and inside diameter, mm. Inside is typical; a maker's sheet goes before it. Source: BS EN 61386. */
export interface Conduit {
  id: string;
  outside: number;
  inside: number;
}
/** Trunking by its nominal size: inside section, mm. Typical: nominal less 3 for walls and lid. */
export interface Trunking {
  id: string;
  width: number;
  height: number;
  insideWidth: number;
  insideHeight: number;
}

export const conduits: readonly Conduit[] = [
  { id: "16", outside: 16, inside: 13.0 },
  { id: "20", outside: 20, inside: 16.9 },
  { id: "25", outside: 25, inside: 21.4 },
  { id: "32", outside: 32, inside: 27.8 },
  { id: "38", outside: 38, inside: 34.4 },
  { id: "50", outside: 50, inside: 44.3 },
  { id: "63", outside: 63, inside: 57.0 },
];

/** What the end of a conduit takes in the wall of a box, mm: the hole, and its lock ring across. Typical. Source: BS EN 61386, Trade habit. */
export interface ConduitEnd {
  size: string;
  hole: number;
  across: number;
}
/** The end of a conduit by its nominal size: half a millimetre over it bored, a ring a third wider; null for a size nobody makes. */
export function conduitEnd(size: string): ConduitEnd | null {
  const c = conduits.find((x) => x.id === size);
  return c ? { size, hole: c.outside + 0.5, across: Math.round(c.outside * 1.35) } : null;
}

const trunking = (width: number, height: number): Trunking => ({
  id: `${width}x${height}`,
  width,
  height,
  insideWidth: width - 3,
  insideHeight: height - 3,
});

export const trunkings: readonly Trunking[] = [
  trunking(16, 16),
  trunking(25, 16),
  trunking(38, 16),
  trunking(38, 25),
  trunking(50, 25),
  trunking(50, 38),
  trunking(50, 50),
  trunking(75, 25),
  trunking(75, 38),
  trunking(75, 50),
  trunking(75, 75),
  trunking(100, 25),
  trunking(100, 38),
  trunking(100, 50),
  trunking(100, 75),
  trunking(100, 100),
];
