/** A part of a drawing that fits one sheet of paper, mm of the drawing; `row` and `column` from 1. */
export interface Tile {
  row: number;
  column: number;
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** Sheets overlap by so much, so that they are laid on one another and taped, mm. */
export const OVERLAP = 15;

/** Along one side: where each sheet begins and ends, evenly, each over its neighbour by the overlap. */
function strips(long: number, paper: number): [number, number][] {
  if (long <= paper + 1e-9) return [[0, long]];
  const n = Math.ceil((long - OVERLAP) / (paper - OVERLAP) - 1e-9);
  const each = (long + (n - 1) * OVERLAP) / n;
  return Array.from({ length: n }, (_, i) => [i * (each - OVERLAP), i * (each - OVERLAP) + each]);
}

/** The sheets of paper of some size that a drawing is printed on at true scale, row by row from its top left. All mm. */
export const tilesOf = (width: number, height: number, paper: readonly [number, number]): Tile[] =>
  strips(height, paper[1]).flatMap(([y0, y1], r) =>
    strips(width, paper[0]).map(([x0, x1], c) => ({ row: r + 1, column: c + 1, x0, y0, x1, y1 })),
  );
