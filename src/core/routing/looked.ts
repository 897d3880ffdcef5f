import { atLeast, atMost, below } from "../base/tolerance";
import type { RouteGraph } from "./graph";
import { type LeftToGo, leftToGo } from "./left-to-go";
import { type LookedFrom, SPARE, type Way, type Weights, cheapestWay, costOfWay } from "./search";
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
  const seen: LookedFrom = { places: NOWHERE, least: NOTHING, left: null };
  const way = cheapestWay(g, from, to, w, seen);
  const { places, least, others } = roomFor(seen.places.length);
  for (let i = 0; i < places.length; i++) {
    const n = (places[i] = seen.places[i]!);
    least[i] = seen.least[n]!;
    others[i] = w.others[n]!;
  }
  return { way, cost: way?.cost ?? Infinity, places, least, others, left: seen.left, changes: changed.length };
}
const NOWHERE = new Int32Array();
const NOTHING = new Float64Array();

/** What was looked at is put down one after the other in lists of this many places: to make lists for each search takes far longer. */
const SHELF = 1 << 14;

type Places = Pick<Looked, "places" | "least" | "others">;

const newShelf = (count: number): Places => ({
  places: new Int32Array(count),
  least: new Float64Array(count),
  others: new Uint8Array(count),
});

let shelf = newShelf(0);
/** How much of it is taken. */
let taken = 0;

function roomFor(count: number): Places {
  if (taken + count > shelf.places.length) {
    shelf = newShelf(Math.max(SHELF, count));
    taken = 0;
  }
  const [from, to] = [taken, (taken += count)];
  const { places, least, others } = shelf;
  return { places: places.subarray(from, to), least: least.subarray(from, to), others: others.subarray(from, to) };
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

/** What has become of what a search looked at. */
class Again {
  /** By how much ways have become cheaper in all since, and the least that any costs past what is not counted in that. */
  by = 0;
  least = Infinity;
  /** What is left to go from any place, by what edges cost now. */
  readonly left: LeftToGo;
  private readonly then: LeftToGo;
  /** The places that it looked on from, looked up by node, once that is asked for. */
  private room: Room | null = null;

  constructor(
    private readonly g: RouteGraph,
    to: number,
    private readonly w: Weights,
    private readonly cost: Float64Array,
    private readonly was: Looked,
    private readonly cheaper: CheaperEdges,
  ) {
    this.then = was.left!;
    this.left = cheaper.near ? leftToGo(g, to, w) : this.then;
  }

  private lookUp(): Room {
    const room = (this.room = roomOf(this.g));
    const { places, least } = this.was;
    for (let i = 0; i < places.length; i++) {
      room.reached[places[i]!] = room.round;
      room.least[places[i]!] = least[i]!;
    }
    return room;
  }

  /** What it was reached for at least: where the search did not come to, no way led on for less than what it found. */
  cameFor(n: number): number {
    const room = this.room ?? this.lookUp();
    return room.reached[n] === room.round ? room.least[n]! : this.was.cost - this.then.from(n);
  }

  private came(n: number): boolean {
    const room = this.room ?? this.lookUp();
    return room.reached[n] === room.round;
  }

  private past(cost: number, less: number, most: number): void {
    if (below(cost, most)) this.by += less;
    else this.least = Math.min(this.least, cost);
  }

  /** Counts what lies where a way gets past for less than so much. */
  count(most: number): void {
    this.by = 0;
    this.least = Infinity;
    const { g, w, left, then, cost } = this;
    const { places, least, others } = this.was;
    // Where other cables no longer lie across.
    if (w.crossing > 0)
      for (let i = 0; i < places.length; i++) {
        const n = places[i]!;
        if (others[i]! & ~w.others[n]!) this.past(least[i]! + left.from(n), w.crossing, most);
      }
    // The same where the search did not come to: such places were not kept, and less may be left from them than it took.
    if (w.crossing > 0 && left !== then) {
      let less = Math.max(0, then.more - left.more);
      for (const n of then.around) less = Math.max(less, then.from(n) - left.from(n));
      for (const n of left.around) less = Math.max(less, then.from(n) - left.from(n));
      this.past(this.was.cost - less, less, most);
    }
    const { edges, by, near } = this.cheaper;
    for (let i = 0; i < edges.length; i++) {
      const e = edges[i]!;
      const a = g.a[e]!;
      const b = g.b[e]!;
      if (!near && !this.came(a) && !this.came(b)) continue;
      const there = Math.min(this.cameFor(a) + left.from(b), this.cameFor(b) + left.from(a));
      this.past(cost[e]! + there, by[i]!, most);
    }
  }
}

/** What is left to go back to the start of a way: no less than it took to come from there, but for what is cheaper since. */
class BackToStart implements LeftToGo {
  readonly around: readonly number[] = [];
  readonly more = 0;
  constructor(
    private readonly start: LeftToGo,
    private readonly again: Again,
    private readonly by: number,
  ) {}

  from(n: number): number {
    return Math.max(this.start.from(n), this.again.cameFor(n) - this.by);
  }

  put(n: number, into: Float64Array): void {
    into[n] = this.from(n);
  }
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
  const now = costOfWay(g, from, own, w);
  if (now === Infinity) return undefined;
  const before = was.cost;
  const again = new Again(g, to, w, prices.cost, was, cheaper);
  again.count(now);
  if (atMost(now, before - again.by) && atLeast(again.least - again.by, now)) return { edges: own, cost: now };
  // What is not counted must not lead to anything cheaper either.
  if (below(again.least - again.by, now)) again.count(now + again.by);
  const { by, least } = again;
  if (below(least - by, now) || now - before + by > MUCH * (now - was.left!.from(from))) return undefined;
  const back = { ...w, left: new BackToStart(leftToGo(g, from, w), again, by), dearest: now };
  const way = cheapestWay(g, to, from, back);
  const edges = way ? way.edges.reverse() : own;
  const cost = costOfWay(g, from, edges, w);
  was.way = below(cost, now) ? { edges, cost } : { edges: own, cost: now };
  return was.way;
}
