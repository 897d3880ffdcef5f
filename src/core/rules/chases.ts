import { atMost } from "../base/tolerance";

/** Deepest chase as a share of the leaf: plumb, and level. Source: Approved Document A. */
export const CHASE = { plumb: 1 / 3, level: 1 / 6 } as const;

/** Deepest chase in a wall, mm: inclusive; Infinity where nothing is cut into a leaf. Source: Approved Document A. */
export const deepestChase = (
  w: { build: string; thickness: number; leaf: number | null },
  way: "plumb" | "level",
): number => (w.build === "masonry" ? (w.leaf ?? w.thickness) * CHASE[way] : Infinity);

/** Longest level chase in masonry, mm, and the same in a room that the run does not serve: beyond them another way is looked for. */
export const LEVEL_CHASE = { most: 1500, elsewhere: 300 } as const;

/** Whether a level chase is longer than it should be, lengths mm. */
export const chaseTooLong = (c: { length: number; elsewhere: number }): boolean =>
  !atMost(c.length, LEVEL_CHASE.most) || !atMost(c.elsewhere, LEVEL_CHASE.elsewhere);
