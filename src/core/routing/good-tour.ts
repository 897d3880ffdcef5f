type Distances = readonly (readonly number[])[];

/** Rounds of shaking and settling; more bring little below 120 places. */
const ROUNDS = 240;

/** Length of a closed tour. */
export const tourLength = (d: Distances, t: readonly number[]): number =>
  t.reduce((s, p, i) => s + d[p]![t[(i + 1) % t.length]!]!, 0);

/** Settles a closed tour: reversals, and stretches of one to three places set elsewhere either way round, until neither helps. */
function settle(d: Distances, tour: number[]): number[] {
  let t = tour;
  const n = t.length;
  for (let better = true, rounds = 0; better && rounds < 80; rounds++) {
    better = false;
    for (let i = 0; i < n - 1; i++)
      for (let j = i + 2; j < n; j++) {
        if (i === 0 && j === n - 1) continue;
        const [a, b, c, e] = [t[i]!, t[i + 1]!, t[j]!, t[(j + 1) % n]!];
        if (d[a]![c]! + d[b]![e]! < d[a]![b]! + d[c]![e]! - 1e-9) {
          t = [...t.slice(0, i + 1), ...t.slice(i + 1, j + 1).reverse(), ...t.slice(j + 1)];
          better = true;
        }
      }
    for (let size = 1; size <= 3 && n > size + 2; size++)
      for (let i = 0; i < n; i++) {
        const ring = [...t.slice(i), ...t.slice(0, i)];
        const stretch = ring.slice(0, size);
        const rest = ring.slice(size);
        const first = stretch[0]!;
        const last = stretch[size - 1]!;
        const before = rest[rest.length - 1]!;
        const gain = d[before]![first]! + d[last]![rest[0]!]! - d[before]![rest[0]!]!;
        for (let j = 0; j + 1 < rest.length; j++) {
          const [p, q] = [rest[j]!, rest[j + 1]!];
          const straight = d[p]![first]! + d[last]![q]! - d[p]![q]!;
          const turned = d[p]![last]! + d[first]![q]! - d[p]![q]!;
          if (Math.min(straight, turned) < gain - 1e-9) {
            t = [
              ...rest.slice(0, j + 1),
              ...(straight <= turned ? stretch : [...stretch].reverse()),
              ...rest.slice(j + 1),
            ];
            better = true;
            break;
          }
        }
      }
  }
  return t;
}

/**
 * A good closed tour over all places, starting at 0: the nearest place each time, settled, then shaken by exchanging two inner
 * stretches and settled again, keeping the best. Deterministic: the shakes follow a fixed sequence.
 */
export function goodTour(d: Distances): number[] {
  const n = d.length;
  const left = new Set(Array.from({ length: n - 1 }, (_, i) => i + 1));
  const start = [0];
  while (left.size) {
    const at = start[start.length - 1]!;
    let pick = -1;
    for (const i of left) if (pick < 0 || d[at]![i]! < d[at]![pick]!) pick = i;
    start.push(pick);
    left.delete(pick);
  }
  let best = settle(d, start);
  let length = tourLength(d, best);
  let seed = 12_345;
  const next = (most: number): number => (seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648) % most;
  for (let r = 0; r < ROUNDS && n >= 8; r++) {
    const cuts = [1 + next(n - 1), 1 + next(n - 1), 1 + next(n - 1)].sort((a, b) => a - b) as [number, number, number];
    const shaken = [
      ...best.slice(0, cuts[0]),
      ...best.slice(cuts[1], cuts[2]),
      ...best.slice(cuts[0], cuts[1]),
      ...best.slice(cuts[2]),
    ];
    const t = settle(d, shaken);
    const l = tourLength(d, t);
    if (l < length - 1e-9) [best, length] = [t, l];
  }
  const zero = best.indexOf(0);
  const out = [...best.slice(zero), ...best.slice(0, zero)];
  return out.length > 2 && out[1]! > out[out.length - 1]! ? [0, ...out.slice(1).reverse()] : out;
}
