import { pointLabels } from "../core/job/labels";
import { toFace } from "../core/base/wall-frame";
import type { House } from "../core/house/house";
import type { Plan } from "../core/laid/laid";
import type { WallTruth } from "./port";

/** Studs stand this far apart where the survey says no more, mm. Typical. */
const STUDS = 400;
const METAL_STUDS = 600;

/**
 * What a sweep along a wall at height v meets: what is in the wall, not what is planned. Cables found in the house count as live where
 * they are taken to run, runs that are done as dead; a run only planned is not there to be found.
 */
export function wallTruth(h: House, plan: Plan | null, wall: string, v: number): WallTruth {
  const f = h.faces[h.faceOfWall.get(wall) ?? -1];
  if (!f) return { length: 0, foilBacked: false, metal: [], timber: [], cables: [] };
  const every = (pitch: number): number[] =>
    Array.from({ length: Math.floor(f.shape.length / pitch) + 1 }, (_, i) => i * pitch);
  const label = pointLabels(h.job);
  const cables: WallTruth["cables"][number][] = [];
  const there = [
    ...(plan?.runs ?? []).filter((r) => r.held).map((r) => ({ ...r, live: false })),
    ...(plan?.found ?? []).map((x) => ({ ...x, legs: [...x.traced, ...x.legs], live: true })),
  ];
  for (const r of there)
    for (const l of r.legs) {
      if (l.surface.kind !== "wall" || l.surface.id !== wall || l.method === "surface") continue;
      for (let i = 1; i < l.path.length; i++) {
        const [a, b] = [toFace(f.frame, l.path[i - 1]!), toFace(f.frame, l.path[i]!)];
        const name = `${label(r.from)} to ${r.to === null ? "an end not traced" : label(r.to)}`;
        // Plumb or on a slope: where it crosses the height of the sweep.
        if (Math.abs(a.v - b.v) >= 1 && Math.min(a.v, b.v) <= v && Math.max(a.v, b.v) >= v)
          cables.push({ u: a.u + ((v - a.v) * (b.u - a.u)) / (b.v - a.v), depth: l.depth, live: r.live, name });
        else if (Math.abs(a.v - b.v) < 1 && Math.abs(a.v - v) < 30)
          cables.push({ u: (a.u + b.u) / 2, depth: l.depth, live: r.live, name });
      }
    }
  cables.sort((a, b) => a.u - b.u || (a.name < b.name ? -1 : 1));
  return {
    length: f.shape.length,
    foilBacked: f.wall.foilBacked,
    metal: f.wall.build === "metal-stud" ? every(METAL_STUDS) : [],
    timber: f.wall.build === "stud" ? every(STUDS) : [],
    cables,
  };
}
