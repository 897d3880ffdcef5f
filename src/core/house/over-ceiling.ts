import type { Room } from "../job/model";

/** Deepest void that a ceiling hung below the joists leaves under them, mm. */
export const VOID_MOST = 450;
/** How far levels that belong together may lie apart: boards on joists, a ceiling right under them, mm. */
export const LEVEL_GAP = 100;

/** Void that there may be over a room, mm: its ceiling may hang, but not a sloping one, and out of doors there is none. */
export const voidOver = (room: Pick<Room, "kind" | "slopes">): number =>
  room.kind === "yard" || room.slopes.length ? LEVEL_GAP : VOID_MOST;

/**
 * Whether a deck lies over a ceiling, right on it or over the void of one that hangs below it.
 * @param underside of the deck, z, mm
 * @param ceiling z, mm
 * @param most deepest void there may be, mm
 */
export const overCeiling = (underside: number, ceiling: number, most: number): boolean =>
  underside >= ceiling - 1 && underside <= ceiling + most;

/** The same where the ceiling may have been measured a little too high: what hangs on the deck hangs in that room. */
export const ofCeiling = (underside: number, ceiling: number, most = VOID_MOST): boolean =>
  underside >= ceiling - LEVEL_GAP && underside <= ceiling + most;

/**
 * Of decks those that are over a ceiling: the lowest, and others at its level. What lies higher is not reached past it.
 * @param undersideOf z of the underside of each, mm
 */
export function decksOver<T>(decks: readonly T[], ceiling: number, most: number, undersideOf: (d: T) => number): T[] {
  const over = decks.filter((d) => overCeiling(undersideOf(d), ceiling, most));
  const least = Math.min(...over.map(undersideOf));
  return over.filter((d) => undersideOf(d) <= least + LEVEL_GAP);
}

/** Void under a deck over a ceiling that hangs below it, mm; 0 under one that is fixed right to its joists. @param underside, ceiling z, mm */
export const voidUnder = (underside: number, ceiling: number): number =>
  underside - ceiling > LEVEL_GAP ? underside - ceiling : 0;

/** Whether the top of a deck's boards is a floor. @param boards, floor z, mm */
export const underFloor = (boards: number, floor: number): boolean => Math.abs(boards - floor) <= LEVEL_GAP;
