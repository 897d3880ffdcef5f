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
  /** By node and box: level and plumb from the node to the box, mm; by node: to the nearest of them. */
  near: Float64Array;
  nearest: Float64Array;
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
  const { nodes, x, y, z } = g;
  const near = new Float64Array(nodes * count);
  const nearest = new Float64Array(nodes);
  const boxes = groups.map((edges) => {
    const along = (c: Float64Array): Interval => {
      const at = edges.flatMap((e) => [c[g.a[e]!]!, c[g.b[e]!]!]);
      return [Math.min(...at), Math.max(...at)];
    };
    return [along(g.x), along(g.y), along(g.z)] as const;
  });
  const sides = Float64Array.from(boxes.flat(2));
  for (let n = 0, k = 0; n < nodes; n++) {
    const px = x[n]!;
    const py = y[n]!;
    const pz = z[n]!;
    let least = Infinity;
    for (let i = 0; i < sides.length; i += 6, k++) {
      const off =
        Math.max(0, sides[i]! - px, px - sides[i + 1]!) +
        Math.max(0, sides[i + 2]! - py, py - sides[i + 3]!) +
        Math.max(0, sides[i + 4]! - pz, pz - sides[i + 5]!);
      near[k] = off;
      if (off < least) least = off;
    }
    nearest[n] = least;
  }
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
  return { share, count, near, nearest, between };
}

/** By box: level and plumb from it to a node, through other boxes where that is less, mm. */
export function fromBoxes({ count, near, between }: CheapPlaces, to: number): Float64Array {
  const out = new Float64Array(count).fill(Infinity);
  for (let s = 0; s < count; s++)
    for (let t = 0; t < count; t++) out[s] = Math.min(out[s]!, between[s * count + t]! + near[to * count + t]!);
  return out;
}
