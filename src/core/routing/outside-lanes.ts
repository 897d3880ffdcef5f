import { indexNear } from "../base/distinct";
import type { House } from "../house/house";
import { outsideOf } from "../house/outside";
import { EDGE, type GraphDraft, addEdge } from "./graph";
import type { FaceLines } from "./wall-lines";

/** Adds the ways out of doors to the graph: one edge each, from the wall it leaves to the wall it comes to, for armour alone. */
export function addOutside(g: GraphDraft, h: House, lines: readonly FaceLines[]): void {
  outsideOf(h).forEach((w, n) => {
    const ends = [w.way.from, w.way.to].map((p, i) => {
      const l = lines[w.faces[i]!]!;
      const [u, v] = [indexNear(l.us, p.u), indexNear(l.vs, p.v)];
      return u < 0 || v < 0 || !l.node.length ? -1 : l.node[u + v * l.us.length]!;
    });
    const [a, b] = ends as [number, number];
    if (a < 0 || b < 0) return;
    const e = addEdge(g, a, b, EDGE.outside, n, { hidden: false });
    g.length[e] = w.cable;
  });
}
