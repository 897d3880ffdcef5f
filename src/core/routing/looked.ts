import { atLeast, atMost, below } from "../base/tolerance";
import type { RouteGraph } from "./graph";
import { type LeftToGo, leftToGo } from "./left-to-go";
import { SPARE, type Way, type Weights, cheapestWay, costOfWay } from "./search";
import type { Prices } from "./tariffs";

/**
 * What a search for the cheapest way has looked at: as long as nothing there makes another way cheaper, the way found stays the
 * cheapest, and need not be searched for again.
 */
export interface Looked {
  /** The way that was found last, and what the cheapest cost at the search; Infinity where there was none. */
  way: Way | null;
  cost: number;
  /** Places it looked on from; the least that each was reached for; the axes that other cables lay along there, a bit for each. */
  places: Int32Array;
  least: Float64Array;
  others: Uint8Array;
  /** What was left to go from any place, by what edges cost then. */
  left: LeftToGo | null;
  /** How many prices had changed by then. */
  changes: number;
}

/** Searches for the cheapest way between two nodes, and keeps what was looked at. */
export function lookFor(g: RouteGraph, from: number, to: number, w: Weights, { changed }: Prices): Looked {
  const out: Looked = {
    way: null,
    cost: Infinity,
    places: new Int32Array(),
    least: new Float64Array(),
    others: new Uint8Array(),
    left: null,
    changes: changed.length,
  };
  out.way = cheapestWay(g, from, to, w, (places, least, left) => {
    out.left = left;
    out.places = places.slice();
    out.least = new Float64Array(places.length);
    out.others = new Uint8Array(places.length);
    for (let i = 0; i < places.length; i++) {
      out.least[i] = least[places[i]!]!;
      out.others[i] = w.others[places[i]!]!;
    }
  });
  out.cost = out.way?.cost ?? Infinity;
  return out;
}

/** Room for looking up places and edges, kept from one time to the next: `round` tells what belongs to this one. */
interface Room {
  least: Float64Array;
  reached: Int32Array;
  near: Int32Array;
  seen: Int32Array;
  round: number;
}
/** The last that was needed, over whichever graph. */
let last: Room | null = null;

function roomOf(g: RouteGraph): Room {
  if (!last || last.near.length < g.nodes || last.seen.length < g.a.length) {
    const [nodes, edges] = [g.nodes, g.a.length].map((n) => Math.ceil(SPARE * n)) as [number, number];
    last = {
      least: new Float64Array(nodes),
      reached: new Int32Array(nodes),
      near: new Int32Array(nodes),
      seen: new Int32Array(edges),
      round: last?.round ?? 0,
    };
  }
  last.round++;
  return last;
}

/** Edges that cost less than at the search, and by how much; whether any is next to where it led. */
interface CheaperEdges {
  edges: number[];
  by: number[];
  near: boolean;
}

function cheaperEdges(g: RouteGraph, { cost, changed, was: prices }: Prices, was: Looked): CheaperEdges {
  const out: CheaperEdges = { edges: [], by: [], near: false };
  if (was.changes === changed.length) return out;
  const { near, seen, round } = roomOf(g);
  for (const n of was.left?.around ?? []) near[n] = round;
  for (let i = was.changes; i < changed.length; i++) {
    const e = changed[i]!;
    // What it cost then is what it cost before it first changed.
    if (seen[e] === round) continue;
    seen[e] = round;
    if (cost[e]! >= prices[i]!) continue;
    out.edges.push(e);
    out.by.push(prices[i]! - cost[e]!);
    if (near[g.a[e]!] === round || near[g.b[e]!] === round) out.near = true;
  }
  return out;
}

/** By how much ways may have become cheaper in all since a search, and the least that any costs past what is not counted in that. */
interface Since {
  by: number;
  least: number;
}

/**
 * A way is looked for from its end while what may have come and gone is no more than this share of what it costs above what was taken to
 * be left: else too many places lie between.
 */
const MUCH = 0.2;

/**
 * Looks again for the cheapest way where one was found before: undefined where it has to be searched for anew, as too much has changed.
 * Another way can be cheaper only by what has become cheaper since: by so much in all, but for what no way gets past for less. Where that
 * may be, the way is searched for from its end: how far it is from the start is known but for what has changed.
 * @param was what the search between the same nodes looked at, by weights that differ from those now only in prices and in what lies
 * there; the way found is put down in it
 */
export function lookAgain(
  g: RouteGraph,
  from: number,
  to: number,
  w: Weights,
  prices: Prices,
  was: Looked,
): Way | null | undefined {
  const cheaper = cheaperEdges(g, prices, was);
  if (!was.way) return cheaper.edges.length ? undefined : null;
  const { edges: own } = was.way;
  const { cost: before, places, least: reached, others } = was;
  const now = costOfWay(g, from, own, w);
  if (now === Infinity) return undefined;
  const then = was.left!;
  const left = cheaper.near ? leftToGo(g, to, w) : then;
  let known: Room | null = null;
  /** The places that it looked on from, looked up by node, once that is asked for. */
  const found = (): Room => {
    if (known) return known;
    known = roomOf(g);
    for (let i = 0; i < places.length; i++) {
      known.reached[places[i]!] = known.round;
      known.least[places[i]!] = reached[i]!;
    }
    return known;
  };
  const came = (n: number): boolean => found().reached[n] === found().round;
  // Where the search did not come to, no way led on for less than what it found.
  const cameFor = (n: number): number => (came(n) ? found().least[n]! : before - then(n));
  /** Counts what lies where a way gets past for less than so much. */
  const since = (most: number): Since => {
    const out = { by: 0, least: Infinity };
    const past = (cost: number, less: number): void => {
      if (below(cost, most)) out.by += less;
      else out.least = Math.min(out.least, cost);
    };
    // Where other cables no longer lie across.
    if (w.crossing > 0)
      for (let i = 0; i < places.length; i++)
        if (others[i]! & ~w.others[places[i]!]!) past(reached[i]! + left(places[i]!), w.crossing);
    // The same where the search did not come to: such places were not kept, and less may be left from them than it took.
    if (w.crossing > 0 && left !== then) {
      const around = [...then.around, ...left.around].map((n) => then(n) - left(n));
      const less = Math.max(0, then.more - left.more, ...around);
      past(before - less, less);
    }
    cheaper.edges.forEach((e, i) => {
      const a = g.a[e]!;
      const b = g.b[e]!;
      if (!came(a) && !came(b) && !cheaper.near) return;
      past(prices.cost[e]! + Math.min(cameFor(a) + left(b), cameFor(b) + left(a)), cheaper.by[i]!);
    });
    return out;
  };
  let { by, least } = since(now);
  if (atMost(now, before - by) && atLeast(least - by, now)) return { edges: own, cost: now };
  // What is not counted must not lead to anything cheaper either.
  if (below(least - by, now)) ({ by, least } = since(now + by));
  if (below(least - by, now) || now - before + by > MUCH * (now - then(from))) return undefined;
  const start = leftToGo(g, from, w);
  const atLeastLeft = (n: number): number => Math.max(start(n), cameFor(n) - by);
  const fromStart = Object.assign(atLeastLeft, { around: [], more: 0, elsewhere: atLeastLeft });
  const back = { ...w, left: fromStart, dearest: now };
  const way = cheapestWay(g, to, from, back);
  const edges = way ? way.edges.reverse() : own;
  const cost = costOfWay(g, from, edges, w);
  was.way = below(cost, now) ? { edges, cost } : { edges: own, cost: now };
  return was.way;
}
