import { EDGE, type RouteGraph } from "./graph";

/** What one graph has in common with another. */
export interface SamePlaces {
  /** By node: the node of the other graph at the same place, −1 where there is none. */
  was: Int32Array;
  /** Nodes that are not there, or whose edges are not the same. */
  changed: number[];
  /** Nodes of the other graph that are not there. */
  gone: number[];
  /** By point: its number in the other graph, below −1 where it is not there. */
  points: Int32Array;
}

/** Where a place is looked for first. */
const slot = (x: number, y: number, z: number): number =>
  Math.imul(x * 2, 73856093) ^ Math.imul(y * 2, 19349663) ^ Math.imul(z * 2, 83492791);

/** How many nodes further on one is looked for before it is looked for by its place. */
const AHEAD = 40;
/** So many that are not found ahead are taken for new: to look for these few by their places takes longer than it spares. */
const FEW = 60;

/** Nodes by place; of several at one place those that were added first come first. */
function byPlace({ nodes, x, y, z }: RouteGraph): Int32Array {
  const table = new Int32Array(2 ** Math.ceil(Math.log2(2 * nodes + 2))).fill(-1);
  const mask = table.length - 1;
  for (let n = 0; n < nodes; n++) {
    let k = slot(x[n]!, y[n]!, z[n]!) & mask;
    while (table[k]! >= 0) k = (k + 1) & mask;
    table[k] = n;
  }
  return table;
}

/**
 * Finds what two graphs have in common, of the same house before and after an edit. A way that keeps off the nodes that have changed is a
 * way of both, and as long; one of the other that is a way no more leads up to such nodes and on from them as it did.
 */
export function samePlaces(now: RouteGraph, before: RouteGraph): SamePlaces {
  const numbers = new Map(before.points.map((id, n) => [id, n]));
  // A point that was not there is none of those that were.
  const points = Int32Array.from(now.points, (id) => numbers.get(id) ?? -2);
  const pointThen = (n: number): number => (n < 0 ? -1 : points[n]!);
  const was = new Int32Array(now.nodes).fill(-1);
  const taken = new Uint8Array(before.nodes);
  /** Whether a node of the other graph, not taken yet, is at the place of one of this, in the box of the same point. */
  const isSame = (n: number, m: number, box: number): boolean =>
    !taken[m] &&
    before.x[m] === now.x[n] &&
    before.y[m] === now.y[n] &&
    before.z[m] === now.z[n] &&
    before.inBox[m] === box;
  let table: Int32Array | null = null;
  const look = (n: number, box: number): number => {
    const { x, y, z } = now;
    const mask = (table ??= byPlace(before)).length - 1;
    let k = slot(x[n]!, y[n]!, z[n]!) & mask;
    while (table[k]! >= 0 && !isSame(n, table[k]!, box)) k = (k + 1) & mask;
    return table[k]!;
  };
  // Most come in the order in which they did.
  let next = 0;
  let lost = 0;
  for (let n = 0; n < now.nodes; n++) {
    const box = pointThen(now.inBox[n]!);
    let m = next;
    const end = Math.min(before.nodes, next + AHEAD);
    while (m < end && !isSame(n, m, box)) m++;
    if (m === end) m = ++lost > FEW ? look(n, box) : -1;
    if (m < 0) continue;
    was[n] = m;
    taken[m] = 1;
    next = m + 1;
  }
  const same = (n: number, m: number): boolean => {
    const first = now.first[n]!;
    const there = before.first[m]!;
    const count = now.first[n + 1]! - first;
    if (before.first[m + 1]! - there !== count) return false;
    for (let i = 0; i < count; i++) {
      const [e, f] = [now.edges[first + i]!, before.edges[there + i]!];
      if (was[now.to[first + i]!] !== before.to[there + i] || now.length[e] !== before.length[f]) return false;
      if (now.hidden[e] !== before.hidden[f] || pointThen(now.box[e]!) !== before.box[f]) return false;
      if ((now.kind[e] === EDGE.outside) !== (before.kind[f] === EDGE.outside)) return false;
    }
    return true;
  };
  const changed: number[] = [];
  for (let n = 0; n < now.nodes; n++) if (was[n]! < 0 || !same(n, was[n]!)) changed.push(n);
  const gone: number[] = [];
  for (let m = 0; m < before.nodes; m++) if (!taken[m]) gone.push(m);
  return { was, changed, gone, points };
}
