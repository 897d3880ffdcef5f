import { KEEPS, type RouteGraph } from "./graph";
import { Buckets, FarBuckets } from "./buckets";
import { type LeastCosts, type LeftToGo, leftToGo } from "./left-to-go";

/** Width of a bucket of the search by length, mm: about the step between two places where cables meet. */
const BUCKET = 40;

/** The same of the search for ways, mm. */
const SLOT = 32;

/** Axis of arrival that stands for "just started". */
const START = KEEPS;

/** The usable edges of a graph by node, side by side, for searches by length. */
interface Compact {
  /** Those of node i stand from first[i] up to first[i + 1]. */
  first: Int32Array;
  to: Int32Array;
  length: Float64Array;
  box: Int32Array;
}
const compacts = new WeakMap<Uint8Array, Compact>();

function compactOf(g: RouteGraph, usable: Uint8Array): Compact {
  let out = compacts.get(usable);
  if (out) return out;
  const first = new Int32Array(g.nodes + 1);
  const to = new Int32Array(g.edges.length);
  const length = new Float64Array(g.edges.length);
  const box = new Int32Array(g.edges.length);
  let n = 0;
  for (let node = 0; node < g.nodes; node++) {
    first[node] = n;
    for (let k = g.first[node]!; k < g.first[node + 1]!; k++) {
      const e = g.edges[k]!;
      if (!usable[e]) continue;
      to[n] = g.to[k]!;
      length[n] = g.length[e]!;
      box[n++] = g.box[e]!;
    }
  }
  first[g.nodes] = n;
  compacts.set(usable, (out = { first, to, length, box }));
  return out;
}

/**
 * Shortest path lengths in mm from one node to each of the wanted nodes, by cable length alone; Infinity where none leads.
 * No way goes through the box of another point: it may only end there.
 * @param usable 1 for edges that may be used (hidden circuits keep to zones), one entry an edge; it is not changed afterwards
 * @param throughBoxes true lets ways go through boxes, for where nothing else leads
 */
export function distancesFrom(
  g: RouteGraph,
  from: number,
  wanted: readonly number[],
  usable: Uint8Array,
  throughBoxes = false,
): number[] {
  const far = sweep(g, [from], wanted, usable, throughBoxes);
  return wanted.map((w) => (w >= 0 ? far[w]! : Infinity));
}

/** By node: how far it is from the nearest of some, mm, boxes or no boxes; Infinity where none leads there. */
export const nearestOf = (g: RouteGraph, some: readonly number[], usable: Uint8Array): Float64Array =>
  sweep(g, some, null, usable, true).slice(0, g.nodes);

/** By node: how far it is from the nearest of some, mm, as far as it takes to know that of the wanted ones; good only until the next search. */
function sweep(
  g: RouteGraph,
  from: readonly number[],
  wanted: readonly number[] | null,
  usable: Uint8Array,
  throughBoxes: boolean,
): Float64Array {
  const { far, wanted: isWanted, done, round, buckets } = scratchOf(g);
  let left = wanted ? 0 : Infinity;
  for (const w of wanted ?? [])
    if (w >= 0 && isWanted[w] !== round) {
      isWanted[w] = round;
      left++;
    }
  far.fill(Infinity, 0, g.nodes);
  done.fill(-1, 0, g.nodes);
  const { inBox } = g;
  for (const n of from) {
    far[n] = 0;
    buckets.push(0, n);
  }
  const { first, to, length, box } = compactOf(g, usable);
  const own = from.length === 1 ? inBox[from[0]!]! : -1;
  while (buckets.size && left) {
    buckets.turn();
    for (let node = buckets.take(); node >= 0; node = buckets.take()) {
      const cost = far[node]!;
      // Looked at from here already at this length: it stood in the queue twice.
      if (done[node] === cost) continue;
      done[node] = cost;
      if (isWanted[node] === round) {
        // Its bucket is the least: what may still shorten it is in this very bucket.
        isWanted[node] = 0;
        left--;
      }
      const inside = inBox[node]!;
      for (let k = first[node]!, end = first[node + 1]!; k < end; k++) {
        const next = to[k]!;
        const c = cost + length[k]!;
        if (c >= far[next]!) continue;
        if (!throughBoxes) {
          // Out of a box that is not the start's nothing leads on; nor straight across one.
          if (inside >= 0 && inside !== own && inBox[next] !== inside) continue;
          const over = box[k]!;
          if (over >= 0 && over !== own && inside !== over && inBox[next] !== over) continue;
        }
        far[next] = c;
        buckets.push(c, next);
      }
    }
  }
  return far;
}

/** What the route search weighs, in mm of cable. */
export interface Weights extends LeastCosts {
  /** What edges cost on top, by edge, and how many times over: what is dreaded but not barred. */
  on?: { extra: Float64Array; times: number } | null;
  bend: number;
  /** A way that costs more than this need not be found. */
  dearest?: number;
  /** What is left to go, where more is known of it than edges around tell: never more than any way that is wanted costs from there. */
  left?: LeftToGo;
  /** Cost of an edge that runs through the box of a point that is neither end of the run, added to its own. */
  throughBox: number;
  /** Numbers of the two end points in the house. */
  ends: readonly [number, number];
  /** Cost of going straight over another circuit's cable; by node: a bit for each axis that any lie along. */
  crossing: number;
  others: Uint8Array;
}

/** Room for one search, kept from one to the next: `round` tells what belongs to this one. */
interface Scratch {
  best: Float64Array;
  via: Int32Array;
  prev: Int32Array;
  seen: Int32Array;
  /** By node: the round in which it was last wanted. */
  wanted: Int32Array;
  /** By node: the length at which it was last looked at, or what was guessed. */
  done: Float64Array;
  /** By node: how far it is, in a search by length. */
  far: Float64Array;
  /** By node: the least it was reached for on any axis. */
  least: Float64Array;
  /** Nodes looked on from, each once, in order; by node: the round in which it was put there. */
  order: Int32Array;
  listed: Int32Array;
  round: number;
  queue: FarBuckets;
  buckets: Buckets;
  /** Longest edge that the buckets reach over, mm. */
  reach: number;
}

/** Room for so many times the nodes there are, so that a house that grows a little need not have it made anew. */
export const SPARE = 1.25;

/** The room of the last search, over whichever graph: no two searches go on at a time. */
let room: Scratch | null = null;

const made = new WeakMap<RouteGraph, { searches: number; longest: number }>();

/** How many searches have been made over a graph. */
export const searchesOver = (g: RouteGraph): number => made.get(g)?.searches ?? 0;

function scratchOf(g: RouteGraph): Scratch {
  let of = made.get(g);
  if (!of) made.set(g, (of = { searches: 0, longest: g.length.reduce((most, x) => Math.max(most, x), 0) }));
  of.searches++;
  if (!room || room.far.length < g.nodes) room = newScratch(Math.ceil(g.nodes * SPARE));
  if (room.reach < of.longest) {
    room.reach = of.longest;
    room.buckets = new Buckets(BUCKET, of.longest);
  }
  room.round += 2;
  room.queue.clear();
  room.buckets.clear();
  return room;
}

function newScratch(nodes: number): Scratch {
  const n = nodes * 4;
  return {
    best: new Float64Array(n),
    via: new Int32Array(n),
    prev: new Int32Array(n),
    seen: new Int32Array(n),
    wanted: new Int32Array(nodes),
    done: new Float64Array(nodes),
    far: new Float64Array(nodes),
    least: new Float64Array(nodes),
    order: new Int32Array(nodes),
    listed: new Int32Array(nodes),
    round: 0,
    queue: new FarBuckets(SLOT),
    buckets: new Buckets(BUCKET, 0),
    reach: 0,
  };
}

/** Axis on which a cable goes on after an edge. */
const axisAfter = (g: RouteGraph, e: number, arrived: number): number =>
  g.heading[e] === KEEPS ? arrived : g.heading[e]!;

/** What going straight on at a node costs, where other circuits' cables lie across. */
const crossed = (w: Weights, node: number, arrived: number): number =>
  w.others[node]! & ~(1 << arrived) ? w.crossing : 0;

/** What an edge costs on top where it runs through the box of a point that the run does not serve. */
function boxOn(g: RouteGraph, w: Weights, e: number): number {
  const through = g.box[e]!;
  return through >= 0 && through !== w.ends[0] && through !== w.ends[1] ? w.throughBox : 0;
}

/** What a way given by its edges from a node on costs, bends and crossings counted. */
export function costOfWay(g: RouteGraph, from: number, edges: readonly number[], w: Weights): number {
  let cost = 0;
  let [node, arrived] = [from, START];
  for (const e of edges) {
    const on = axisAfter(g, e, arrived);
    // At a corner it is the far side that is passed.
    const straight = arrived === START || g.heading[e] === KEEPS ? 0 : crossed(w, node, arrived);
    const passing = arrived !== START && on !== arrived ? w.bend : straight;
    cost += w.cost[e]! + passing + boxOn(g, w, e);
    node = g.a[e] === node ? g.b[e]! : g.a[e]!;
    arrived = on;
  }
  return cost;
}

/** A way found: its edges in order, and what it costs. */
export interface Way {
  edges: number[];
  cost: number;
}

/**
 * The places that a search looked on from, each once; by place the least it was reached for; and what it took to be left from any. The
 * first two are good only until the next search.
 */
export interface LookedFrom {
  places: Int32Array;
  least: Float64Array;
  left: LeftToGo | null;
}

/**
 * Cheapest way from one node to another, bends and crossings counted; null when none leads there.
 * Best-first search over (node, axis of arrival); the level-and-plumb way left to go never exceeds the cost left, so the way is exact.
 * @param into where it is put down which places were looked on from: no way over another costs less than the one found
 */
export function cheapestWay(g: RouteGraph, from: number, to: number, w: Weights, into?: LookedFrom): Way | null {
  if (from < 0 || to < 0) return null;
  const scratch = scratchOf(g);
  const { best, via, prev, seen, round, queue, done: ahead, least, order, listed } = scratch;
  const { first, edges, to: ends, heading, box } = g;
  const { cost: costs, bend, throughBox, crossing } = w;
  const [end0, end1] = w.ends;
  const left = w.left ?? leftToGo(g, to, w);
  // What is left to go from a node, looked up once for each.
  ahead.fill(-1, 0, g.nodes);
  for (const n of left.around) ahead[n] = left.from(n);
  least.fill(Infinity, 0, g.nodes);
  // A place reached so much dearer than on another axis leads nowhere that the other does not: one bend there costs less. A corner
  // keeps the axis, so that a crossing may come first.
  const slack = bend + 2 * crossing + 1e-6;
  const extra = w.on?.extra;
  const times = w.on?.times ?? 0;
  const start = from * 4 + START;
  best[start] = 0;
  via[start] = -1;
  seen[start] = round;
  least[from] = 0;
  if (ahead[from]! < 0) left.put(from, ahead);
  queue.push(ahead[from]!, start);
  let found = -1;
  // The last bucket that may hold what is wanted.
  let last = queue.bucketOf(w.dearest ?? Infinity);
  let count = 0;
  for (let state = start; (state = queue.take()) >= 0;) {
    if (queue.bucket > last) break;
    // round: found; round + 1: settled.
    if (seen[state] === round + 1) continue;
    seen[state] = round + 1;
    const node = state >> 2;
    const arrived = state & 3;
    const cost = best[state]!;
    if (node === to) {
      if (found < 0 || cost < best[found]! - 1e-9) found = state;
      last = queue.bucketOf(best[found]!);
      continue;
    }
    if (cost > least[node]! + slack) continue;
    if (listed[node] !== round) {
      listed[node] = round;
      order[count++] = node;
    }
    const straight = arrived === START ? 0 : crossed(w, node, arrived);
    for (let k = first[node]!, end = first[node + 1]!; k < end; k++) {
      const e = edges[k]!;
      let enter = costs[e]!;
      if (extra) enter += extra[e]! * times;
      const next = ends[k]!;
      const there = least[next]!;
      // Barred, or too dear before any bend is counted.
      if (cost + enter > there + slack || enter === Infinity) continue;
      const h = heading[e]!;
      const axis = h === KEEPS ? arrived : h;
      let c = cost + enter;
      if (axis !== arrived) c += arrived === START ? 0 : bend;
      // At a corner it is the far side that is passed.
      else if (h !== KEEPS) c += straight;
      const through = box[e]!;
      if (through >= 0 && through !== end0 && through !== end1) c += throughBox;
      if (c > there + slack) continue;
      if (c < there) least[next] = c;
      const s = next * 4 + axis;
      if (seen[s]! < round || c < best[s]! - 1e-9) {
        best[s] = c;
        via[s] = e;
        prev[s] = state;
        seen[s] = round;
        if (ahead[next]! < 0) left.put(next, ahead);
        queue.push(c + ahead[next]!, s);
      }
    }
  }
  if (into) {
    into.places = order.subarray(0, count);
    into.least = least;
    into.left = left;
  }
  if (found < 0) return null;
  const out: number[] = [];
  for (let s = found; via[s]! >= 0; s = prev[s]!) out.push(via[s]!);
  return { edges: out.reverse(), cost: best[found]! };
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
      const to = g.to[k]!;
      if (!seen[to]) {
        seen[to] = 1;
        stack.push(to);
      }
    }
  }
  return seen;
}
