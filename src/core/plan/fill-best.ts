/** Cells of the table of sums: lengths are counted in whole millimetres up to here, more coarsely above. */
const CELLS = 120_000;

/** Adds a length to sums that can be made, a bit each: those of `from` and those of `from` moved up by `by`. */
function moved(from: Uint32Array<ArrayBuffer>, by: number): Uint32Array<ArrayBuffer> {
  const out = from.slice();
  const [words, bits] = [by >>> 5, by & 31];
  for (let w = out.length - 1; w >= words; w--) {
    const low = w > words && bits ? from[w - words - 1]! >>> (32 - bits) : 0;
    out[w]! |= (from[w - words]! << bits) | low;
  }
  return out;
}

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
  const cells = lengths.map((l) => Math.ceil(l / unit - 1e-9));
  const has = (sums: Uint32Array, s: number): boolean => ((sums[s >>> 5]! >>> (s & 31)) & 1) === 1;
  const none = new Uint32Array((room >>> 5) + 1);
  none[0] = 1;
  /** Sums that can be made of the first so many lengths. */
  const made = [none];
  for (const c of cells) {
    const last = made[made.length - 1]!;
    if (has(last, room)) break;
    made.push(c > room ? last : moved(last, c));
  }
  const all = made[made.length - 1]!;
  let s = room;
  while (!has(all, s)) s--;
  const out: number[] = [];
  // A sum that could be made without a length is made without it.
  for (let i = made.length - 2; i >= 0; i--)
    if (!has(made[i]!, s)) {
      out.push(i);
      s -= cells[i]!;
    }
  return out.reverse();
}
