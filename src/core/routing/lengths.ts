import { below, tidy } from "../base/tolerance";
import { type Usable, usableBy, usables } from "./edge-costs";
import type { RouteGraph } from "./graph";
import { type SamePlaces, samePlaces } from "./same-places";
import { type ChangedWays, sameWays } from "./same-ways";
import { distancesFrom, nearestOf } from "./search";

/** Lengths between nodes of a graph that have been looked for, by both: `key`. */
interface Known {
  lengths: Map<number, number>;
  /** Those that lead through the box of a point, since nothing else does. */
  through: Set<number>;
}
const known = new WeakMap<RouteGraph, Map<Uint8Array, Known>>();

/** The graph that one came from by an edit, and what they have in common as far as it was asked for. */
interface Before {
  graph: RouteGraph;
  same?: SamePlaces;
  /** What the edit has changed, by what may be used, and the same for ways through boxes, as far as it was asked for. */
  ways: Map<Usable | `${Usable} through`, Changed>;
}
const befores = new WeakMap<RouteGraph, Before>();

/** Searches for this many places from each of them, rather than from the one where all others are known. */
const FEW = 2;

function knownOf(g: RouteGraph, usable: Uint8Array): Known {
  let by = known.get(g);
  if (!by) known.set(g, (by = new Map()));
  let out = by.get(usable);
  if (!out) by.set(usable, (out = { lengths: new Map(), through: new Set() }));
  return out;
}

const key = (g: RouteGraph, a: number, b: number): number => (a < b ? a * g.nodes + b : b * g.nodes + a);

/** Tells that a graph is that of the same house after an edit: lengths that the edit cannot have changed are taken over when asked for. */
export function goesOnFrom(g: RouteGraph, before: RouteGraph): void {
  // One in which nothing was looked for hands on where it came from itself.
  const graph = known.has(before) ? before : befores.get(before)?.graph;
  befores.delete(before);
  if (graph) befores.set(g, { graph, ways: new Map() });
}

const sameAs = (g: RouteGraph, before: Before): SamePlaces => (before.same ??= samePlaces(g, before.graph));

/** What has changed of the ways by what may be used. */
interface Changed extends ChangedWays {
  /** How far it is from each node to where it has, mm, once it was asked for. */
  near?: Float64Array;
}

function changedWays(g: RouteGraph, before: Before, name: Usable, through: boolean): Changed {
  const k = through ? (`${name} through` as const) : name;
  let out = before.ways.get(k);
  if (!out) {
    const usable = [usableBy(g, name), usableBy(before.graph, name)] as const;
    before.ways.set(k, (out = sameWays(g, before.graph, sameAs(g, before), usable, through)));
  }
  return out;
}

/**
 * True where the length between two nodes is what it was before, and known then: a way that is longer or shorter than it was leads up to
 * a place where that begins, over what has changed, and on from another such place, and is longer.
 */
function takenOver(g: RouteGraph, from: number, to: number, usable: Uint8Array, into: Known, many: boolean): boolean {
  const before = befores.get(g);
  const name = before && usables.find((k) => usableBy(g, k) === usable);
  if (!name) return false;
  const then = known.get(before.graph)?.get(usableBy(before.graph, name));
  // For a few it does not pay to see what has changed.
  if (!then || (!many && !before.ways.has(name))) return false;
  const { was } = sameAs(g, before);
  const [a, b] = [was[from]!, was[to]!];
  if (a < 0 || b < 0) return false;
  const there = key(before.graph, a, b);
  const length = then.lengths.get(there);
  if (length === undefined) return false;
  const clear = changedWays(g, before, name, false);
  if (clear.boxes.has(g.inBox[from]!) && clear.boxes.has(g.inBox[to]!)) return false;
  const through = then.through.has(there);
  if (clear.ends.length) {
    // Where nothing led there but through a box, something may now.
    if (through) return false;
    clear.near ??= nearestOf(g, clear.ends, usable);
    if (!below(length, clear.near[from]! + clear.least + clear.near[to]!)) return false;
  }
  if (through && changedWays(g, before, name, true).ends.length) return false;
  into.lengths.set(key(g, from, to), length);
  if (through) into.through.add(key(g, from, to));
  return true;
}

/** Those of some places to which the length from one is not known, nor can be taken over. */
function unknownFrom(g: RouteGraph, from: number, all: readonly number[], usable: Uint8Array, there: Known): number[] {
  const many = all.length > FEW;
  const isKnown = (w: number): boolean =>
    there.lengths.has(key(g, from, w)) || takenOver(g, from, w, usable, there, many);
  return all.filter((w) => w !== from && !isKnown(w));
}

/**
 * Looks for lengths from a place, without going through another point's box; through one only where nothing else leads.
 * @returns the places for which that is so, or that cannot be reached
 */
function lookFor(g: RouteGraph, from: number, wanted: readonly number[], usable: Uint8Array, into: Known): number[] {
  if (!wanted.length) return [];
  const clear = distancesFrom(g, from, wanted, usable);
  const shut = wanted.filter((_, i) => clear[i] === Infinity);
  const any = shut.length ? distancesFrom(g, from, shut, usable, true) : [];
  wanted.forEach((w, i) => {
    const k = key(g, from, w);
    const open = clear[i]! < Infinity;
    into.lengths.set(k, tidy(open ? clear[i]! : any[shut.indexOf(w)]!));
    if (!open) into.through.add(k);
  });
  return shut;
}

/**
 * Lengths from a node to others, mm, without going through another point's box; through one only where nothing else leads there; Infinity
 * where nothing does, and for a place that is not there (−1).
 */
export function waysFrom(g: RouteGraph, from: number, wanted: readonly number[], usable: Uint8Array): number[] {
  const there = knownOf(g, usable);
  const places = wanted.filter((w) => w >= 0 && w !== from);
  const left = unknownFrom(g, from, places, usable, there);
  const one = left.length > FEW || left.length === places.length;
  // One that is shut in is soon found to be so from itself, and need not be looked for from every other.
  const shut = one ? lookFor(g, from, left, usable, there) : [];
  for (const w of one ? shut.slice(0, FEW) : left)
    lookFor(g, w, unknownFrom(g, w, [from, ...places], usable, there), usable, there);
  return wanted.map((w) => (w < 0 ? Infinity : w === from ? 0 : there.lengths.get(key(g, from, w))!));
}
