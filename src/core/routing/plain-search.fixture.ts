import { EDGE, type RouteGraph } from "./graph";
import type { Weights } from "./search";

/** Lengths from a node to all others by going over every edge until nothing gets shorter: slow, and too plain to be wrong. */
export function plainDistances(g: RouteGraph, from: number, usable: Uint8Array, throughBoxes: boolean): number[] {
  const best = new Array<number>(g.nodes).fill(Infinity);
  best[from] = 0;
  const own = g.inBox[from]!;
  const allowed = (e: number, a: number, b: number): boolean => {
    if (throughBoxes) return true;
    const [inA, inB, over] = [g.inBox[a]!, g.inBox[b]!, g.box[e]!];
    if (inA >= 0 && inA !== own && inB !== inA) return false;
    return over < 0 || over === own || inA === over || inB === over;
  };
  for (let changed = true; changed;) {
    changed = false;
    for (let e = 0; e < g.a.length; e++) {
      if (!usable[e]) continue;
      for (const [a, b] of [
        [g.a[e]!, g.b[e]!],
        [g.b[e]!, g.a[e]!],
      ] as const) {
        const c = best[a]! + g.length[e]!;
        if (c < best[b]! - 1e-9 && allowed(e, a, b)) {
          best[b] = c;
          changed = true;
        }
      }
    }
  }
  return best;
}

/** Cost of the cheapest way by going over every edge for every axis of arrival until nothing gets cheaper; Infinity where none leads there. */
export function plainCheapest(g: RouteGraph, from: number, to: number, w: Weights): number {
  /** By node and axis of arrival; 3 stands for the start. */
  const best = new Array<number>(g.nodes * 4).fill(Infinity);
  best[from * 4 + 3] = 0;
  const crossed = (node: number, axis: number): boolean =>
    [0, 1, 2].some((x) => x !== axis && (w.others[node]! >> x) % 2 === 1);
  for (let changed = true; changed;) {
    changed = false;
    for (let e = 0; e < g.a.length; e++) {
      if (w.cost[e] === Infinity) continue;
      const through = g.box[e]! >= 0 && !w.ends.includes(g.box[e]!) ? w.throughBox : 0;
      for (const [a, b] of [
        [g.a[e]!, g.b[e]!],
        [g.b[e]!, g.a[e]!],
      ] as const)
        for (let arrived = 0; arrived < 4; arrived++) {
          const corner = g.kind[e] === EDGE.corner;
          const axis = corner ? arrived : g.axis[e]!;
          const turn = arrived === 3 || corner ? 0 : axis !== arrived ? w.bend : crossed(a, axis) ? w.crossing : 0;
          const c = best[a * 4 + arrived]! + w.cost[e]! + through + turn;
          if (c < best[b * 4 + axis]! - 1e-9) {
            best[b * 4 + axis] = c;
            changed = true;
          }
        }
    }
  }
  return Math.min(...best.slice(to * 4, to * 4 + 4));
}
