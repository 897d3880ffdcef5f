/**
 * Minutes for planning a day. Typical; one electrician, tools at hand. Per piece, or per metre where named so.
 * A wall is drilled in the time for 100 mm of masonry or for 250, and in between.
 */
export const minutes = {
  bore: 2,
  studHole: 1.5,
  wallHole: { thin: 6, thick: 12 },
  chaseMetre: { plaster: 6, masonry: 12 },
  boardMetre: 4,
  drawIn: { run: 3, metre: 0.5 },
} as const;

/** Thicknesses that the two times for a hole in a wall stand for, mm. */
export const wallHoleThickness = { thin: 100, thick: 250 } as const;

/** Minutes to core a hole through a wall so thick, mm; less than the thin wall takes none, more than the thick takes more in proportion. */
export const wallHoleMinutes = (thickness: number): number => {
  const { thin, thick } = minutes.wallHole;
  const over = wallHoleThickness;
  return Math.max(thin, thin + ((thickness - over.thin) * (thick - thin)) / (over.thick - over.thin));
};

/** What of a run takes time, lengths mm. */
export interface TimedParts {
  newBores: number;
  studHoles: number;
  /** Thickness of each wall that is cored. */
  walls: readonly number[];
  chase: { plaster: number; masonry: number };
  boards: number;
  length: number;
}

/** Minutes to bore, core, chase, lift and put back boards, and draw the cable in. Boxes, clips and ends are the same whatever the way. */
export const minutesFor = (p: TimedParts): number =>
  p.newBores * minutes.bore +
  p.studHoles * minutes.studHole +
  p.walls.reduce((s, t) => s + wallHoleMinutes(t), 0) +
  (p.chase.plaster * minutes.chaseMetre.plaster + p.chase.masonry * minutes.chaseMetre.masonry) / 1000 +
  (p.boards * minutes.boardMetre) / 1000 +
  minutes.drawIn.run +
  (p.length * minutes.drawIn.metre) / 1000;
