/**
 * Length of a bow that rises by `sweep` over a straight line `chord` long, taken as an arc of a circle, mm. A bow may be more
 * than half a circle; no sweep gives the chord.
 */
export function arcLength(chord: number, sweep: number): number {
  if (sweep === 0) return chord;
  const radius = (chord * chord) / 4 / (2 * sweep) + sweep / 2;
  return radius * 4 * Math.atan((2 * sweep) / chord);
}

/** Where the armour stops and where to cut, from the face of the gland already made off, mm. Tails are the cores beyond the armour. */
export function armourCut(chord: number, sweep: number, tails: number): { armourStop: number; cut: number } {
  const armourStop = arcLength(chord, sweep);
  return { armourStop, cut: armourStop + tails };
}
