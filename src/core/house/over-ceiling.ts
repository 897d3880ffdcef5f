/** Deepest void that a ceiling hung below the joists leaves under them, mm. */
export const VOID_MOST = 600;
/** How far levels that belong together may lie apart: boards on joists, a ceiling right under them, mm. */
export const LEVEL_GAP = 100;

/** Whether a deck lies over a ceiling, right on it or over the void of one that hangs below it. @param underside, ceiling z, mm */
export const overCeiling = (underside: number, ceiling: number): boolean =>
  underside >= ceiling - 1 && underside <= ceiling + VOID_MOST;

/** The same where the ceiling may have been measured a little too high: what hangs on the deck hangs in that room. */
export const ofCeiling = (underside: number, ceiling: number): boolean =>
  underside >= ceiling - LEVEL_GAP && underside <= ceiling + VOID_MOST;

/**
 * Of decks those that are over a ceiling: the lowest, and others at its level. What lies higher is not reached past it.
 * @param undersideOf z of the underside of each, mm
 */
export function decksOver<T>(decks: readonly T[], ceiling: number, undersideOf: (d: T) => number): T[] {
  const over = decks.filter((d) => overCeiling(undersideOf(d), ceiling));
  const least = Math.min(...over.map(undersideOf));
  return over.filter((d) => undersideOf(d) <= least + LEVEL_GAP);
}

/** Void under a deck over a ceiling that hangs below it, mm; 0 under one that is fixed right to its joists. @param underside, ceiling z, mm */
export const voidUnder = (underside: number, ceiling: number): number =>
  underside - ceiling > LEVEL_GAP ? underside - ceiling : 0;

/** Whether the top of a deck's boards is a floor. @param boards, floor z, mm */
export const underFloor = (boards: number, floor: number): boolean => Math.abs(boards - floor) <= LEVEL_GAP;
