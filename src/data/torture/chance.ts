/** Numbers from 0 to 1 that seem to come by chance, the same for a seed. The least standard generator, after Park and Miller. */
export type Chance = () => number;

export function chanceFrom(seed: number): Chance {
  let at = (seed % 2147483646) + 1;
  return () => (at = (at * 16807) % 2147483647) / 2147483647;
}
