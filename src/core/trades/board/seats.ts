/** A place for one cable in the grommet strip of a slot, mm from the start of the slot and the face of the board. */
export interface Seat {
  /** Middle, along the slot. */
  at: number;
  /** 0 the row nearest the back of the board. */
  row: number;
  width: number;
  height: number;
}

/**
 * How cables sit, mm: clearance round each in its seat, both sides together; what stands between two seats; and from the end of the
 * slot to the first. Notches of their own have webs between them; in one slot a grommet strip alone is between. Typical.
 */
const NOTCHED = { clear: 4, gap: 10, end: 12 } as const;
const STRIP = { clear: 2, gap: 1, end: 2 } as const;

/**
 * Seats for cables in a slot: notches of their own with a web between where there is room, else side by side in one slot, else in two
 * or more rows, one over the other. Also how many more of the widest would find a seat.
 * @param cables in the order they are tied, sizes mm
 * @param length of the slot, mm
 */
export function seatsFor(
  cables: readonly { width: number; thickness: number }[],
  length: number,
): { seats: Seat[]; rows: number; notched: boolean; spare: number } {
  if (!cables.length) return { seats: [], rows: 0, notched: true, spare: 0 };
  const [widest, thickest] = [Math.max(...cables.map((c) => c.width)), Math.max(...cables.map((c) => c.thickness))];
  const inRow = (how: typeof NOTCHED | typeof STRIP): number =>
    Math.max(1, Math.floor((length - 2 * how.end + how.gap) / (Math.ceil(widest + how.clear) + how.gap)));
  const notched = inRow(NOTCHED) >= cables.length;
  const how = notched ? NOTCHED : STRIP;
  const width = Math.ceil(widest + how.clear);
  const height = Math.ceil(thickest + how.clear);
  const each = inRow(how);
  const rows = Math.ceil(cables.length / each);
  // The rows share the cables: a cable goes behind its neighbour and not to the far end of the strip.
  const seats = cables.map((_, i) => ({
    at: how.end + width / 2 + Math.floor(i / rows) * (width + how.gap),
    row: i % rows,
    width,
    height,
  }));
  return { seats, rows, notched, spare: each * rows - cables.length };
}
