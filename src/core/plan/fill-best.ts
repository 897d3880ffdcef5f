/** Cells of the table of sums: lengths are counted in whole millimetres up to here, more coarsely above. */
const CELLS = 120_000;

/**
 * Which lengths together fill a capacity most nearly, never over it: the sums that can be made, by dynamic programming. Lengths
 * that are no whole millimetres are rounded up, so the answer always fits.
 * @returns numbers of the chosen lengths
 */
export function fillBest(lengths: readonly number[], capacity: number): number[] {
  const unit = Math.max(1, capacity / CELLS);
  const room = Math.floor(capacity / unit + 1e-9);
  const total = lengths.reduce((s, l) => s + l, 0);
  if (total <= capacity + 1e-6) return lengths.map((_, i) => i);
  const by = new Int16Array(room + 1).fill(-1);
  const made = new Uint8Array(room + 1);
  made[0] = 1;
  let most = 0;
  const cells = lengths.map((l) => Math.ceil(l / unit - 1e-9));
  for (let i = 0; i < lengths.length; i++) {
    const c = cells[i]!;
    for (let s = Math.min(room, most + c); s >= c; s--)
      if (!made[s] && made[s - c]) {
        made[s] = 1;
        by[s] = i;
      }
    most = Math.min(room, most + c);
    if (made[room]) break;
  }
  let s = room;
  while (!made[s]) s--;
  const out: number[] = [];
  // The piece noted at a sum was the last used to make it, and smaller sums were made by earlier pieces: no piece comes twice.
  while (s > 0) {
    const i = by[s]!;
    out.push(i);
    s -= cells[i]!;
  }
  return out.reverse();
}
