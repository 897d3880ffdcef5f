/** Shortest chains from place 0 over every subset of the other places, by dynamic programming. Sets are bits: place i + 1 is bit i. */
export interface Chains {
  /** How many places beside place 0. */
  m: number;
  /** The set of all of them. */
  full: number;
  /** Length of the shortest chain over `set` that ends at place last + 1, at [set * m + last]; Infinity where there is none. */
  best: Float64Array;
  /** The places of that chain, from place 0 on. */
  chain: (set: number, last: number) => number[];
}

/**
 * Works out the chains for distances `d` with place 0 as the start; at most some 15 places, as memory grows with 2 to the power of them.
 * @param most length above which a chain over all places is of no use: chains that cannot come below it are left out
 */
export function shortestChains(d: readonly (readonly number[])[], most = Infinity): Chains {
  const m = d.length - 1;
  const full = (1 << m) - 1;
  const best = new Float64Array((full + 1) * m).fill(Infinity);
  const prev = new Int8Array((full + 1) * m).fill(-1);
  for (let i = 0; i < m; i++) best[(1 << i) * m + i] = d[0]![i + 1]!;
  const steps = new Float64Array(m * m);
  for (let i = 0; i < m; i++) for (let j = 0; j < m; j++) steps[i * m + j] = d[i + 1]![j + 1]!;
  // By set: no less than this is left to go, as each place not yet come to costs at least its shortest step.
  const left = most < Infinity ? leastLeft(d, full) : null;
  for (let set = 1; set <= full; set++)
    for (let last = 0; last < m; last++) {
      const here = best[set * m + last]!;
      if (here === Infinity || (left && here + left[set]! > most + 1e-6)) continue;
      const row = last * m;
      for (let open = full & ~set; open; open &= open - 1) {
        const next = 31 - Math.clz32(open & -open);
        const s = (set | (1 << next)) * m + next;
        const c = here + steps[row + next]!;
        if (c < best[s]! - 1e-9) {
          best[s] = c;
          prev[s] = last;
        }
      }
    }
  const chain = (set: number, last: number): number[] => {
    const order: number[] = [];
    for (let s = set, l = last; l >= 0;) {
      order.push(l + 1);
      const p = prev[s * m + l]!;
      s &= ~(1 << l);
      l = p;
    }
    return [0, ...order.reverse()];
  };
  return { m, full, best, chain };
}

function leastLeft(d: readonly (readonly number[])[], full: number): Float64Array {
  const least = d.map((row, i) => row.reduce((x, y, k) => (k === i ? x : Math.min(x, y)), Infinity));
  const out = new Float64Array(full + 1);
  for (let set = full - 1; set >= 0; set--) {
    const open = full & ~set;
    const next = 31 - Math.clz32(open & -open);
    out[set] = out[set | (1 << next)]! + least[next + 1]!;
  }
  return out;
}
