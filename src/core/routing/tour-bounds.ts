type Distances = readonly (readonly number[])[];

/** Steps of the ascent; more bring little. */
const STEPS = 220;

/** Room for one spanning tree after another over so many places. */
interface Tree {
  near: Float64Array;
  from: Int32Array;
  used: Uint8Array;
  /** Steps that meet at each place, once the tree is made. */
  degree: Int32Array;
}
const roomFor = (n: number): Tree => ({
  near: new Float64Array(n),
  from: new Int32Array(n).fill(-1),
  used: new Uint8Array(n),
  degree: new Int32Array(n),
});

/** Least spanning tree under prices on the places, over those from `first` on: its priced length; how many steps meet at each is left in `t`. */
function pricedTree(d: Distances, price: Float64Array, first: number, t: Tree): number {
  const n = d.length;
  const { near, from, used, degree } = t;
  near.fill(Infinity);
  used.fill(0);
  degree.fill(0);
  near[first] = 0;
  let length = 0;
  for (let k = first; k < n; k++) {
    let i = -1;
    for (let j = first; j < n; j++) if (!used[j] && (i < 0 || near[j]! < near[i]!)) i = j;
    used[i] = 1;
    length += near[i]!;
    if (from[i]! >= 0) {
      degree[i]!++;
      degree[from[i]!]!++;
    }
    const row = d[i]!;
    for (let j = first; j < n; j++) {
      const c = row[j]! + price[i]! + price[j]!;
      if (!used[j] && c < near[j]!) {
        near[j] = c;
        from[j] = i;
      }
    }
  }
  return length;
}

/**
 * Raises prices where too many steps meet and lowers them where too few do, keeping the best bound seen.
 * @param round the bound under prices; it leaves in the tree how many steps meet at each place
 */
function ascend(
  n: number,
  goal: number,
  round: (price: Float64Array, t: Tree) => number,
  keepPositive: (i: number) => boolean,
): number {
  const price = new Float64Array(n);
  const tree = roomFor(n);
  const { degree } = tree;
  let best = -Infinity;
  let pace = 1.2;
  let since = 0;
  for (let k = 0; k < STEPS; k++) {
    const bound = round(price, tree);
    if (bound > best + 1e-9) {
      best = bound;
      since = 0;
    } else if (++since > 12) {
      pace *= 0.7;
      since = 0;
    }
    let square = 0;
    for (let i = 0; i < n; i++) square += (degree[i]! - 2) ** 2;
    if (square === 0 || best >= goal - 1e-9) break;
    const step = (pace * Math.max(goal - bound, goal * 1e-4)) / square;
    for (let i = 0; i < n; i++) {
      price[i] = price[i]! + step * (degree[i]! - 2);
      if (keepPositive(i) && price[i]! < 0) price[i] = 0;
    }
  }
  return best;
}

/**
 * Least that any closed tour can measure: a spanning tree of all but place 0, plus the two shortest steps of 0, under prices
 * that push every place towards two steps (the one-tree bound). Always at most the true length.
 */
export function tourBound(d: Distances, goal: number): number {
  const n = d.length;
  return ascend(
    n,
    goal,
    (price, tree) => {
      const length = pricedTree(d, price, 1, tree);
      let a = -1;
      let b = -1;
      const step = (i: number): number => d[0]![i]! + price[0]! + price[i]!;
      for (let i = 1; i < n; i++) {
        if (a < 0 || step(i) < step(a)) [a, b] = [i, a];
        else if (b < 0 || step(i) < step(b)) b = i;
      }
      tree.degree[0] = 2;
      tree.degree[a]!++;
      tree.degree[b]!++;
      let paid = 0;
      for (let i = 0; i < n; i++) paid += 2 * price[i]!;
      return length + step(a) + step(b) - paid;
    },
    () => false,
  );
}

/**
 * Least that two open chains from place 0 can measure together: they are a spanning tree in which no place but 0 has more than
 * two steps and 0 has exactly two. Always at most the true length.
 */
export function treeBound(d: Distances, goal: number): number {
  const n = d.length;
  return ascend(
    n,
    goal,
    (price, tree) => {
      const length = pricedTree(d, price, 0, tree);
      let paid = 0;
      for (let i = 0; i < n; i++) paid += 2 * price[i]!;
      return length - paid;
    },
    (i) => i > 0,
  );
}
