import type { House } from "../house/house";
import type { FoundWay } from "../laid/laid";
import type { RouteGraph } from "./graph";
import { legsOf } from "./legs";
import { cheapestWay } from "./search";

/** What a bend and the box of another point count for, mm: old cable goes by the shortest way with few bends, from box to box. */
const BEND = 100;
const THROUGH_BOX = 1e6;

/**
 * Where the cables found in the house are taken to run until someone traces them: hidden, within the zones of their points, by the
 * shortest way between the two ends. A cable that comes out, or with an end not found, has no way; nor has one whose ends no zone joins.
 */
export function foundWays(h: House, g: RouteGraph): FoundWay[] {
  const wanted = h.job.foundCables.filter((f) => f.fate === "keep" && f.to !== null);
  if (!wanted.length) return [];
  const cost = g.length.map((x, e) => (g.hidden[e] ? x : Infinity));
  const others = new Uint16Array(g.nodes * 3);
  return wanted.flatMap((f): FoundWay[] => {
    const ends = [f.from, f.to!].map((id) => h.pointOfId.get(id) ?? -1);
    const [a, b] = ends;
    if (a! < 0 || b! < 0) return [];
    const [from, to] = [g.terminal[a!]!, g.terminal[b!]!];
    const way = cheapestWay(g, from, to, {
      cost,
      perMm: 1,
      bend: BEND,
      throughBox: THROUGH_BOX,
      ends: [a!, b!],
      crossing: 0,
      others,
    });
    if (!way) return [];
    const as = { walls: "hidden" as const, cable: f.cable };
    return [
      { id: f.id, from: f.from, to: f.to!, legs: legsOf(h, g, as, h.points[a!]!, h.points[b!]!, from, way.edges) },
    ];
  });
}
