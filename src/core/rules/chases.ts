/** Deepest chase as a share of the leaf: plumb, and level. Source: Approved Document A. */
export const CHASE = { plumb: 1 / 3, level: 1 / 6 } as const;

/** Deepest chase in a wall, mm: inclusive; Infinity where nothing is cut into a leaf. Source: Approved Document A. */
export const deepestChase = (
  w: { build: string; thickness: number; leaf: number | null },
  way: "plumb" | "level",
): number => (w.build === "masonry" ? (w.leaf ?? w.thickness) * CHASE[way] : Infinity);
