import type { House } from "../house/house";
import { EPS } from "../base/tolerance";
import { toSpace } from "../base/wall-frame";
import type { Job } from "../job/model";
import type { FoundWay } from "../laid/laid";
import type { RouteGraph } from "./graph";
import { hiddenIn } from "../house/hidden-in";
import { legsOf } from "./legs";
import { cheapestWay } from "./search";

/** What a bend and the box of another point count for, mm: old cable goes by the shortest way with few bends, from box to box. */
const BEND = 100;
const THROUGH_BOX = 1e6;

type Leg = FoundWay["legs"][number];

/** The stretches of a cable that were traced, as legs on their walls; one on a wall that is gone or past its end is left out. */
function tracedLegs(h: House, f: Job["foundCables"][number]): Leg[] {
  return f.traced.flatMap((t): Leg[] => {
    const face = h.faces[h.faceOfWall.get(t.wall) ?? -1];
    if (!face) return [];
    const { length, height } = face.shape;
    if ([t.from, t.to].some((p) => p.u > length + EPS || p.v > height + EPS)) return [];
    const { method, depth } = hiddenIn(h, face.wall);
    const path = [t.from, t.to].map((p): [number, number, number] => [...toSpace(face.frame, p)]);
    return [{ surface: { kind: "wall", id: t.wall }, method, depth, protected: false, path }];
  });
}

/**
 * Where the cables found in the house run: as they were traced, and elsewhere as they are taken to run until someone traces them:
 * hidden, within the zones of their points, by the shortest way between the two ends. On a wall where a cable was traced nothing more
 * is taken for granted. A cable that comes out, or with an end not found, has only what was traced; nor is a way taken for one whose
 * ends no zone joins.
 */
export function foundWays(h: House, g: RouteGraph): FoundWay[] {
  const found = h.job.foundCables.map((f) => ({ f, traced: tracedLegs(h, f) }));
  const taken = takenToRun(
    h,
    g,
    h.job.foundCables.filter((f) => f.fate === "keep" && f.to !== null),
  );
  return found.flatMap(({ f, traced }): FoundWay[] => {
    const seen = new Set(traced.map((l) => l.surface.id));
    const legs = (taken.get(f.id) ?? []).filter((l) => l.surface.kind !== "wall" || !seen.has(l.surface.id));
    return legs.length || traced.length ? [{ id: f.id, from: f.from, to: f.to, legs, traced }] : [];
  });
}

/** Where cables with both ends known are taken to run, by id. */
function takenToRun(h: House, g: RouteGraph, wanted: Job["foundCables"]): Map<string, Leg[]> {
  const out = new Map<string, Leg[]>();
  if (!wanted.length) return out;
  const cost = g.length.slice();
  for (let e = 0; e < cost.length; e++) if (!g.hidden[e]) cost[e] = Infinity;
  const others = new Uint8Array(g.nodes);
  for (const f of wanted) {
    const ends = [f.from, f.to!].map((id) => h.pointOfId.get(id) ?? -1);
    const [a, b] = ends;
    if (a! < 0 || b! < 0) continue;
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
    if (!way) continue;
    const as = { walls: "hidden" as const, cable: f.cable };
    out.set(f.id, legsOf(h, g, as, h.points[a!]!, h.points[b!]!, from, way.edges));
  }
  return out;
}
