import { pathLength } from "../base/wall-frame";
import type { House } from "../house/house";
import type { LegMethod } from "../job/model";
import type { Plan } from "../laid/laid";

/** What one wall takes by one method. Length mm, every cable counted. */
export interface OnWall {
  wall: string;
  room: string;
  /** Number of the wall in its room, from 1. */
  number: number;
  method: LegMethod;
  /** Ids of circuits, in order of their labels. */
  circuits: string[];
  legs: number;
  length: number;
}

/** What each wall needs to take its cables, by room, wall and method. */
export function containmentOnWalls(h: House, plan: Plan): OnWall[] {
  const lines = new Map<string, OnWall>();
  for (const r of plan.runs)
    for (const l of r.legs) {
      const face = l.surface.kind === "wall" ? h.faces[h.faceOfWall.get(l.surface.id) ?? -1] : undefined;
      if (!face) continue;
      const key = `${face.wall.id} ${l.method}`;
      const line = lines.get(key) ?? {
        wall: face.wall.id,
        room: face.room.name,
        number: face.wall.index + 1,
        method: l.method,
        circuits: [],
        legs: 0,
        length: 0,
      };
      if (!line.circuits.includes(r.circuit)) line.circuits.push(r.circuit);
      line.length += pathLength(l.path);
      line.legs++;
      lines.set(key, line);
    }
  const label = (id: string): string => h.job.circuits.find((c) => c.id === id)?.label ?? id;
  const before = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);
  for (const l of lines.values()) l.circuits.sort((a, b) => before(label(a), label(b)));
  return [...lines.values()].sort(
    (a, b) => before(a.room, b.room) || a.number - b.number || before(a.method, b.method),
  );
}
