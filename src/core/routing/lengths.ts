import type { RouteGraph } from "./graph";
import { distancesFrom } from "./search";

/** By graph and edges that may be used: lengths looked for before. A graph is often the same from one plan to the next. */
const lengths = new WeakMap<RouteGraph, Map<Uint8Array, Map<string, readonly number[]>>>();

/** Lengths to each place without going through another point's box; through one only where nothing else leads there. */
export function waysFrom(
  g: RouteGraph,
  from: number,
  wanted: readonly number[],
  usable: Uint8Array,
): readonly number[] {
  let known = lengths.get(g);
  if (!known) lengths.set(g, (known = new Map()));
  let found = known.get(usable);
  if (!found) known.set(usable, (found = new Map()));
  const key = `${from}:${wanted.join()}`;
  let out = found.get(key);
  if (!out) found.set(key, (out = shortestWays(g, from, wanted, usable)));
  return out;
}

function shortestWays(g: RouteGraph, from: number, wanted: readonly number[], usable: Uint8Array): number[] {
  if (!wanted.length) return [];
  const clear = distancesFrom(g, from, wanted, usable);
  const shut = wanted.filter((w, i) => w >= 0 && clear[i] === Infinity);
  if (!shut.length) return clear;
  const any = distancesFrom(g, from, shut, usable, true);
  return clear.map((x, i) => (x < Infinity || wanted[i]! < 0 ? x : any[shut.indexOf(wanted[i]!)]!));
}
