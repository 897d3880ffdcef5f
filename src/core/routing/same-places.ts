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

/** How many edges further on one is looked for. */
const ON = 12;

/** By node: 1 where its edges are not those that it had. Most come in the order in which they did; one that does not counts as another. */
function edgesOfTheir(now: RouteGraph, before: RouteGraph, was: Int32Array, points: Int32Array): Uint8Array {
  const touched = new Uint8Array(now.nodes);
  const is = new Int32Array(before.nodes).fill(-1);
  for (let n = 0; n < was.length; n++) if (was[n]! >= 0) is[was[n]!] = n;
  const { a, b, length, hidden, box, kind } = now;
  const then = before;
  /** The nodes that a lost edge of the other graph led to have one less. */
  const lose = (f: number): void => {
    for (const m of [then.a[f]!, then.b[f]!]) if (is[m]! >= 0) touched[is[m]!] = 1;
  };
  const isSame = (e: number, f: number): boolean =>
    then.a[f] === was[a[e]!] &&
    then.b[f] === was[b[e]!] &&
    then.length[f] === length[e] &&
    then.hidden[f] === hidden[e] &&
    then.box[f] === (box[e]! < 0 ? -1 : points[box[e]!]) &&
    (then.kind[f] === EDGE.outside) === (kind[e] === EDGE.outside);
  const isGone = (f: number): boolean => is[then.a[f]!]! < 0 || is[then.b[f]!]! < 0;
  let next = 0;
  for (let e = 0; e < a.length; e++) {
    for (; next < then.a.length && isGone(next); next++) lose(next);
    let f = next;
    const end = Math.min(then.a.length, next + ON);
    // Of an edge to a place that is new there is none.
    if (was[a[e]!]! < 0 || was[b[e]!]! < 0) f = end;
    while (f < end && !isSame(e, f)) f++;
    if (f === end) touched[a[e]!] = touched[b[e]!] = 1;
    else {
      for (; next < f; next++) lose(next);
      next = f + 1;
    }
  }
  for (; next < then.a.length; next++) lose(next);
  return touched;
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
  const touched = edgesOfTheir(now, before, was, points);
  const changed: number[] = [];
  for (let n = 0; n < now.nodes; n++) if (was[n]! < 0 || touched[n]) changed.push(n);
  const gone: number[] = [];
  for (let m = 0; m < before.nodes; m++) if (!taken[m]) gone.push(m);
  return { was, changed, gone, points };
}
