/** Diameter over the insulation of one conductor by its section, mm², in mm. Typical; source: BS 6004 conductors, makers' sheets. */
const insulated: readonly (readonly [csa: number, diameter: number])[] = [
  [1, 2.6],
  [1.5, 2.9],
  [2.5, 3.4],
  [4, 4.2],
  [6, 4.8],
  [10, 6.1],
  [16, 7.2],
  [25, 8.9],
];

/** Diameter over the insulation of a conductor of that section or the next larger in the table, mm. */
export const conductorDiameter = (csa: number): number =>
  (insulated.find(([s]) => s >= csa) ?? insulated[insulated.length - 1]!)[1];

/** Copper to bare for a terminal, mm; each terminal is tried with a scrap end first. Typical. */
export const TERMINAL_DEPTH = 10;
/** Copper that a lever connector wants, mm. Source: trade habit, 10 to 11. */
export const CONNECTOR_DEPTH = 11;
/** Bare length for a conductor doubled over: a bit less than half of it lies in the terminal, mm. */
export const doubled = (depth: number): number => 2 * depth - 1;
