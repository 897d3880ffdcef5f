type Distances = readonly (readonly number[])[];

/** Rounds of shaking and settling; more bring little below 120 places. */
const ROUNDS = 240;

/** Length of a closed tour. */
export const tourLength = (d: Distances, t: readonly number[]): number =>
  t.reduce((s, p, i) => s + d[p]![t[(i + 1) % t.length]!]!, 0);

/** Settles a closed tour: reversals, and stretches of one to three places set elsewhere either way round, until neither helps. */
function settle(flat: Float64Array, tour: readonly number[]): number[] {
  const n = tour.length;
  // Twice round, so that it can be read on from any place without starting again.
  let t = Int32Array.from([...tour, ...tour]);
  let spare = new Int32Array(2 * n);
  for (let better = true, rounds = 0; better && rounds < 80; rounds++) {
    better = false;
    for (let i = 0; i < n - 1; i++)
      for (let j = i + 2; j < (i === 0 ? n - 1 : n); j++) {
        const [a, b, c, e] = [t[i]! * n, t[i + 1]! * n, t[j]!, t[j + 1]!];
        if (flat[a + c]! + flat[b + e]! < flat[a + t[i + 1]!]! + flat[c * n + e]! - 1e-9) {
          t.subarray(i + 1, j + 1).reverse();
          t.copyWithin(n, 0, n);
          better = true;
        }
      }
    for (let size = 1; size <= 3 && n > size + 2; size++)
      for (let i = 0; i < n; i++) {
        const [first, last] = [t[i]!, t[i + size - 1]!];
        const [of, ol, before, after] = [first * n, last * n, t[i + n - 1]! * n, t[i + size]!];
        const gain = flat[before + first]! + flat[ol + after]! - flat[before + after]!;
        for (let j = i + size; j + 1 < i + n; j++) {
          const [p, q] = [t[j]! * n, t[j + 1]!];
          const gap = flat[p + q]!;
          const straight = flat[p + first]! + flat[ol + q]! - gap;
          const turned = flat[p + last]! + flat[of + q]! - gap;
          if (straight >= gain - 1e-9 && turned >= gain - 1e-9) continue;
          let k = 0;
          for (let m = i + size; m <= j; m++) spare[k++] = t[m]!;
          for (let m = 0; m < size; m++) spare[k++] = t[straight <= turned ? i + m : i + size - 1 - m]!;
          for (let m = j + 1; m < i + n; m++) spare[k++] = t[m]!;
          spare.copyWithin(n, 0, n);
          [t, spare] = [spare, t];
          better = true;
          break;
        }
      }
  }
  return [...t.subarray(0, n)];
}

/**
 * A good closed tour over all places, starting at 0: the nearest place each time, settled, then shaken by exchanging two inner
 * stretches and settled again, keeping the best. Deterministic: the shakes follow a fixed sequence.
 * @param least a length that none can be below: one that comes down to it is as good as any
 */
export function goodTour(d: Distances, least = 0): number[] {
  const n = d.length;
  const flat = Float64Array.from({ length: n * n }, (_, k) => d[Math.floor(k / n)]![k % n]!);
  const left = new Set(Array.from({ length: n - 1 }, (_, i) => i + 1));
  const start = [0];
  while (left.size) {
    const at = start[start.length - 1]!;
    let pick = -1;
    for (const i of left) if (pick < 0 || d[at]![i]! < d[at]![pick]!) pick = i;
    start.push(pick);
    left.delete(pick);
  }
  let best = settle(flat, start);
  let length = tourLength(d, best);
  let seed = 12_345;
  const next = (most: number): number => (seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648) % most;
  for (let r = 0; r < ROUNDS && n >= 8 && length > least + 1e-6; r++) {
    const cuts = [1 + next(n - 1), 1 + next(n - 1), 1 + next(n - 1)].sort((a, b) => a - b) as [number, number, number];
    const shaken = [
      ...best.slice(0, cuts[0]),
      ...best.slice(cuts[1], cuts[2]),
      ...best.slice(cuts[0], cuts[1]),
      ...best.slice(cuts[2]),
    ];
    const t = settle(flat, shaken);
    const l = tourLength(d, t);
    if (l < length - 1e-9) [best, length] = [t, l];
  }
  const zero = best.indexOf(0);
  const out = [...best.slice(zero), ...best.slice(0, zero)];
  return out.length > 2 && out[1]! > out[out.length - 1]! ? [0, ...out.slice(1).reverse()] : out;
}
