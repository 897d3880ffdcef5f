import { alike } from "../base/alike";
import type { House } from "../house/house";
import { sectionsOf } from "../house/sections";
import { roomsOf } from "../house/rooms-of";
import { chaseTooLong } from "../rules/chases";
import { EDGE, type RouteGraph } from "./graph";
import type { Site } from "./site";
import type { Task } from "./tasks";
import type { Way } from "./search";

/** Another way is taken instead of a level chase when the cable for it is less than this many times as long. */
const WORTH = 3;
/** What each mm of level chase is held to cost while another way is looked for, mm of cable: first a little, then ever more. */
const DREADS = [1, 4, 20];

const levels = new WeakMap<RouteGraph, Float64Array>();

/** By edge: its length where a cable would be chased level into the face of a masonry wall, else 0. */
function levelInMasonry(h: House, g: RouteGraph): Float64Array {
  let out = levels.get(g);
  if (out) return out;
  out = new Float64Array(g.a.length);
  const seen = Uint8Array.from([0, ...sectionsOf(h).map((s) => (s.row.hidden ? 0 : 1))]);
  const masonry = Uint8Array.from(h.faces, (f) => (f.wall.build === "masonry" ? 1 : 0));
  for (let e = 0; e < out.length; e++)
    if (g.kind[e] === EDGE.wall && g.axis[e] !== 2 && masonry[g.ref[e]!] && !seen[g.section[e]!]) out[e] = g.length[e]!;
  levels.set(g, out);
  return out;
}

/** Length of the level chases of a way that are longer than they should be, mm: on and on round corners counts as one. */
export function levelTooLong(h: House, g: RouteGraph, t: Task, way: Way): number {
  const level = levelInMasonry(h, g);
  const served = new Set([...roomsOf(h, t.from), ...roomsOf(h, t.to)]);
  let sum = 0;
  let [here, elsewhere] = [0, 0];
  const end = (): void => {
    if (chaseTooLong({ length: here, elsewhere })) sum += here;
    here = elsewhere = 0;
  };
  for (const e of way.edges) {
    if (g.kind[e] === EDGE.corner) continue;
    if (!level[e]) {
      end();
      continue;
    }
    here += g.length[e]!;
    if (!served.has(h.faces[g.ref[e]!]!.room.id)) elsewhere += g.length[e]!;
  }
  end();
  return sum;
}

const lengthOf = (g: RouteGraph, way: Way): number => way.edges.reduce((s, e) => s + g.length[e]!, 0);

/**
 * The cheapest way for a task but for level chases in masonry: where one would be longer than 1.5 m, or go round a room that the run
 * does not serve, a deck, a void or a corner is taken at less than three times its length. Weights change how much is chased, never this.
 */
export function sensibleWay(site: Site, t: Task, bar?: (e: number) => boolean): Way | null {
  const { h, g } = site;
  const plain = site.wayFor(t, bar);
  if (!plain || t.circuit.walls !== "hidden") return plain;
  const level = levelInMasonry(h, g);
  const kept = bar ? undefined : t.instead;
  if (kept && alike(kept.plain, plain.edges)) {
    const cost = site.costOf(t, kept.edges);
    if (cost < Infinity) return { edges: kept.edges, cost };
  }
  let best = plain;
  let long = levelTooLong(h, g, t, plain);
  const take = (next: Way | null): void => {
    if (!next) return;
    const left = levelTooLong(h, g, t, next);
    // What is no longer chased on the level, against what is laid in its stead.
    const spared = long - left;
    if (spared <= 0 || lengthOf(g, next) - (lengthOf(g, best) - spared) >= WORTH * spared) return;
    best = { edges: next.edges, cost: site.costOf(t, next.edges) };
    long = left;
  };
  for (const dread of DREADS) {
    if (long === 0) break;
    take(site.wayFor(t, bar, { extra: level, times: dread }));
  }
  // The last word: the shortest way without any, whatever it takes to make; one that is longer than this is not taken, whatever it spares.
  const longest = lengthOf(g, best) + (WORTH - 1) * long;
  if (long > 0) take(site.shortestFor(t, (e) => level[e]! > 0 || (bar?.(e) ?? false), longest));
  if (!bar) t.instead = { plain: plain.edges, edges: best.edges };
  return best;
}
