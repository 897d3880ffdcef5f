import { EDGE, type RouteGraph } from "./graph";
import { Heap } from "./heap";

/** Axis of arrival that stands for "just started". */
const START = 3;

/**
 * Shortest path lengths in mm from one node to each of the wanted nodes, by cable length alone; Infinity where none leads.
 * @param usable 1 for edges that may be used (hidden circuits keep to zones), one entry an edge
 */
export function distancesFrom(g: RouteGraph, from: number, wanted: readonly number[], usable: Uint8Array): number[] {
  const best = new Float64Array(g.nodes).fill(Infinity);
  const isWanted = new Uint8Array(g.nodes);
  let left = 0;
  for (const w of wanted)
    if (w >= 0 && !isWanted[w]) {
      isWanted[w] = 1;
      left++;
    }
  const heap = new Heap();
  best[from] = 0;
  heap.push(0, from);
  const { first, edges, a, b, length } = g;
  while (heap.size && left) {
    const node = heap.pop();
    const cost = heap.topCost;
    if (cost > best[node]!) continue;
    if (isWanted[node]) left--;
    for (let k = first[node]!; k < first[node + 1]!; k++) {
      const e = edges[k]!;
      if (!usable[e]) continue;
      const to = a[e] === node ? b[e]! : a[e]!;
      const c = cost + length[e]!;
      if (c < best[to]!) {
        best[to] = c;
        heap.push(c, to);
      }
    }
  }
  return wanted.map((w) => (w < 0 ? Infinity : best[w]!));
}

/** What the route search weighs, in mm of cable. */
export interface Weights {
  /** Cost of each edge, at least its length; Infinity where it is barred. */
  cost: Float64Array;
  bend: number;
  /** Cost of an edge that runs through the box of a point that is neither end of the run, added to its own. */
  throughBox: number;
  /** Numbers of the two end points in the house. */
  ends: readonly [number, number];
}

/**
 * Cheapest way from one node to another, bends counted: the edges in order from `from` to `to`, or null when none leads there.
 * Best-first search over (node, axis of arrival); the straight line left to go never exceeds the cost left, so the way is exact.
 */
export function cheapestWay(g: RouteGraph, from: number, to: number, w: Weights): number[] | null {
  if (from < 0 || to < 0) return null;
  const states = g.nodes * 4;
  const best = new Float64Array(states).fill(Infinity);
  const via = new Int32Array(states).fill(-1);
  const prev = new Int32Array(states).fill(-1);
  const done = new Uint8Array(states);
  const { first, edges, a, b, x, y, z, kind, axis, box } = g;
  const [tx, ty, tz] = [x[to]!, y[to]!, z[to]!];
  const ahead = (n: number): number => {
    const dx = x[n]! - tx;
    const dy = y[n]! - ty;
    const dz = z[n]! - tz;
    // A hair less than the straight line, so that rounding never makes the estimate too large.
    return Math.sqrt(dx * dx + dy * dy + dz * dz) * (1 - 1e-12);
  };
  const heap = new Heap();
  const start = from * 4 + START;
  best[start] = 0;
  heap.push(ahead(from), start);
  while (heap.size) {
    const state = heap.pop();
    if (done[state]) continue;
    done[state] = 1;
    const node = state >> 2;
    const arrived = state & 3;
    if (node === to) {
      const out: number[] = [];
      for (let s = state; via[s]! >= 0; s = prev[s]!) out.push(via[s]!);
      return out.reverse();
    }
    const cost = best[state]!;
    for (let k = first[node]!; k < first[node + 1]!; k++) {
      const e = edges[k]!;
      const enter = w.cost[e]!;
      if (enter === Infinity) continue;
      const next = a[e] === node ? b[e]! : a[e]!;
      // A corner joins two faces at one place: it has no length and keeps the axis.
      const ax = kind[e] === EDGE.corner ? arrived : axis[e]!;
      let c = cost + enter;
      if (arrived !== START && ax !== arrived) c += w.bend;
      const through = box[e]!;
      if (through >= 0 && through !== w.ends[0] && through !== w.ends[1]) c += w.throughBox;
      const s = next * 4 + ax;
      if (c < best[s]! - 1e-9) {
        best[s] = c;
        via[s] = e;
        prev[s] = state;
        done[s] = 0;
        heap.push(c + ahead(next), s);
      }
    }
  }
  return null;
}

/** Every node that can be reached from one node over usable edges. */
export function reachable(g: RouteGraph, from: number, usable: Uint8Array): Uint8Array {
  const seen = new Uint8Array(g.nodes);
  const stack = [from];
  seen[from] = 1;
  while (stack.length) {
    const n = stack.pop()!;
    for (let k = g.first[n]!; k < g.first[n + 1]!; k++) {
      const e = g.edges[k]!;
      if (!usable[e]) continue;
      const to = g.a[e] === n ? g.b[e]! : g.a[e]!;
      if (!seen[to]) {
        seen[to] = 1;
        stack.push(to);
      }
    }
  }
  return seen;
}
