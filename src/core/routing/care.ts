/** Circuits that are laid with more care than the weights of the job would take. */
export interface Care {
  /** Laid by the shortest way, since the loop or the drop of a longer one would be too much. */
  short: ReadonlySet<string>;
  /**
   * Kept out of holes that so many loaded circuits pass, and off lines that so many lie on, that it would carry too little: how many it
   * may lie with.
   */
  apart: ReadonlyMap<string, MostTogether>;
}
export const NO_CARE: Care = { short: new Set(), apart: new Map() };

/** How many loaded circuits may lie together, this one included, where a circuit is still to carry what it must. */
export interface MostTogether {
  /** In one hole. */
  bunched: number;
  /** Side by side on a line. */
  wall: number;
}

/** True where so many loaded circuits lie together that one of them could no longer carry what it must. */
export function tooMany(
  care: Care,
  warm: ReadonlySet<string>,
  circuits: readonly string[],
  how: keyof MostTogether,
): boolean {
  const loaded = new Set(circuits.filter((c) => warm.has(c)));
  return [...loaded].some((c) => loaded.size > (care.apart.get(c)?.[how] ?? Infinity));
}
