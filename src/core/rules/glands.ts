/** A gland for steel-wire armour. Ranges and sizes in mm, typical; a maker's sheet goes before them. Source: BS EN 62444. */
export interface Gland {
  id: string;
  thread: string;
  /** Largest diameter over the bedding. */
  bedding: number;
  sheathLeast: number;
  sheathMost: number;
  wireLeast: number;
  wireMost: number;
  acrossFlats: number;
  acrossCorners: number;
  hole: number;
}

const row = (
  id: string,
  thread: string,
  bedding: number,
  sheathLeast: number,
  sheathMost: number,
  wireLeast: number,
  wireMost: number,
  acrossFlats: number,
  acrossCorners: number,
  hole: number,
): Gland => ({ id, thread, bedding, sheathLeast, sheathMost, wireLeast, wireMost, acrossFlats, acrossCorners, hole });

/** Smallest first: the first that fits is the one to pick. */
export const glands: readonly Gland[] = [
  row("20S", "M20", 11.7, 9.5, 15.9, 0.8, 1.25, 24, 27, 20.5),
  row("20", "M20", 14.0, 12.5, 20.9, 0.8, 1.25, 30, 33.5, 20.5),
  row("25S", "M25", 20.0, 14.0, 22.0, 1.25, 1.6, 37.5, 41.5, 25.5),
  row("25", "M25", 20.0, 18.2, 26.2, 1.25, 1.6, 37.5, 41.5, 25.5),
  row("32", "M32", 26.3, 23.7, 33.9, 1.6, 2.0, 46, 51.5, 32.5),
  row("40", "M40", 32.2, 27.9, 40.4, 1.6, 2.0, 55, 61.5, 40.5),
];

/** Length of the cone that the armour wires lie on, by thread, mm. Typical; the gland in the hand goes before it. */
const cones: Readonly<Record<string, number>> = { M16: 11, M20: 13, M25: 15, M32: 18, M40: 21, M50: 25 };
/** Length of a gland's cone, mm. Typical. */
export const coneOf = (g: Pick<Gland, "thread">): number => cones[g.thread] ?? 15;
