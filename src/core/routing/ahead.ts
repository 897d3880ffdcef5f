import type { Interval } from "../base/interval";
import type { RouteGraph } from "./graph";

/** Groups of cheap places above which they are not told apart: looking at each would take longer than it spares. */
const MOST = 24;

/**
 * Places where cable costs less than elsewhere, so that the way left to go is not guessed too dear near them: each group of edges is
 * taken for the box around it, in which going costs nothing at all.
 */
export interface CheapPlaces {
  /** What a mm costs there as a share of that elsewhere: nothing is cheaper. */
  share: number;
  /** How many boxes there are. */
  count: number;
  /** By node and box: level and plumb from the node to the box, mm. */
  near: Float64Array;
  /** By box and box: level and plumb from one to the other, through others where that is less, mm. */
  between: Float64Array;
}

/**
 * Cheap places of a graph; null where there are none, or so many that it does not pay.
 * @param groups edges of each, which hang together
 */
export function cheapPlaces(g: RouteGraph, groups: readonly (readonly number[])[], share: number): CheapPlaces | null {
  const count = groups.length;
  if (!count || count > MOST) return null;
  const near = new Float64Array(g.nodes * count);
  const boxes = groups.map((edges) => {
    const along = (c: Float64Array): Interval => {
      const at = edges.flatMap((e) => [c[g.a[e]!]!, c[g.b[e]!]!]);
      return [Math.min(...at), Math.max(...at)];
    };
    return [along(g.x), along(g.y), along(g.z)] as const;
  });
  boxes.forEach(([[x0, x1], [y0, y1], [z0, z1]], s) => {
    const off = (c: number, lo: number, hi: number): number => (c < lo ? lo - c : c > hi ? c - hi : 0);
    for (let n = 0, k = s; n < g.nodes; n++, k += count)
      near[k] = off(g.x[n]!, x0, x1) + off(g.y[n]!, y0, y1) + off(g.z[n]!, z0, z1);
  });
  const between = new Float64Array(count * count);
  boxes.forEach((p, s) =>
    boxes.forEach((q, t) => {
      between[s * count + t] = p.reduce((sum, [lo, hi], k) => sum + Math.max(0, q[k]![0] - hi, lo - q[k]![1]), 0);
    }),
  );
  for (let k = 0; k < count; k++)
    for (let s = 0; s < count; s++)
      for (let t = 0; t < count; t++) {
        const by = between[s * count + k]! + between[k * count + t]!;
        if (by < between[s * count + t]!) between[s * count + t] = by;
      }
  return { share, count, near, between };
}

/** By box: level and plumb from it to a node, through other boxes where that is less, mm. */
export function fromBoxes({ count, near, between }: CheapPlaces, to: number): Float64Array {
  const out = new Float64Array(count).fill(Infinity);
  for (let s = 0; s < count; s++)
    for (let t = 0; t < count; t++) out[s] = Math.min(out[s]!, between[s * count + t]! + near[to * count + t]!);
  return out;
}
