import { toFace } from "../base/wall-frame";
import type { House } from "../house/house";
import type { Run } from "../laid/laid";

/** Lines nearer than this share a chase, mm. */
const CHASE = 40;

/** A stretch of a chase in which the same cables lie from end to end, mm of its wall: along v where it is plumb, else along u. */
export interface ChaseStretch {
  wall: string;
  plumb: boolean;
  /** Where the first of its lines lies: u of a plumb chase, v of a level one. */
  at: number;
  from: number;
  to: number;
  /** The runs in it, in the order of the plan. */
  runs: string[];
}

interface Line {
  at: number;
  from: number;
  to: number;
  run: string;
}

const legsIn = new WeakMap<readonly ChasedRun[], Map<string, ChasedLeg[]>>();

type ChasedRun = Pick<Run, "id" | "legs">;

/** A leg in a chase, with its number in its run. */
export interface ChasedLeg {
  run: ChasedRun;
  leg: number;
}

/** The chased legs of runs on a wall, in the order of the runs; worked out once for all walls and kept with the list of runs. */
export function chasedLegs(runs: readonly ChasedRun[], wall: string): readonly ChasedLeg[] {
  let known = legsIn.get(runs);
  if (!known) {
    known = new Map<string, ChasedLeg[]>();
    for (const run of runs)
      for (const [leg, { method, surface }] of run.legs.entries()) {
        if (method !== "chase" || surface.kind !== "wall") continue;
        const there = known.get(surface.id);
        if (there) there.push({ run, leg });
        else known.set(surface.id, [{ run, leg }]);
      }
    legsIn.set(runs, known);
  }
  return known.get(wall) ?? [];
}

/** The chases of a wall: runs that lie side by side share one, which is cut where cables come in or leave. */
export function chasesOn(h: House, runs: readonly ChasedRun[], wall: string): ChaseStretch[] {
  const face = h.faces[h.faceOfWall.get(wall) ?? -1];
  const legs = chasedLegs(runs, wall);
  if (!face || !legs.length) return [];
  const lines: Record<"u" | "v", Line[]> = { u: [], v: [] };
  for (const { run, leg } of legs) {
    const { path } = run.legs[leg]!;
    for (let i = 1; i < path.length; i++) {
      const [a, b] = [toFace(face.frame, path[i - 1]!), toFace(face.frame, path[i]!)];
      const plumb = Math.abs(a.u - b.u) < Math.abs(a.v - b.v);
      const [p, q] = plumb ? [a.v, b.v] : [a.u, b.u];
      lines[plumb ? "u" : "v"].push({ at: plumb ? a.u : a.v, from: Math.min(p, q), to: Math.max(p, q), run: run.id });
    }
  }
  const out: ChaseStretch[] = [];
  for (const strip of stripsOf(lines.u)) addStretches(strip, wall, true, out);
  for (const strip of stripsOf(lines.v)) addStretches(strip, wall, false, out);
  return out;
}

/** Cuts a chase where cables come in or leave. */
function addStretches(strip: readonly Line[], wall: string, plumb: boolean, out: ChaseStretch[]): void {
  const ends: number[] = [];
  for (const l of strip) ends.push(l.from, l.to);
  ends.sort((a, b) => a - b);
  for (let i = 1; i < ends.length; i++) {
    const [from, to] = [ends[i - 1]!, ends[i]!];
    if (from === to) continue;
    const runs: string[] = [];
    for (const l of strip) if (l.from <= from && l.to >= to && !runs.includes(l.run)) runs.push(l.run);
    if (runs.length) out.push({ wall, plumb, at: strip[0]!.at, from, to, runs });
  }
}

/** Lines that share a chase: each no further than its width from the first of them. */
function stripsOf(lines: readonly Line[]): Line[][] {
  const out: Line[][] = [];
  for (const l of [...lines].sort((a, b) => a.at - b.at)) {
    const last = out[out.length - 1];
    if (last && l.at - last[0]!.at <= CHASE) last.push(l);
    else out.push([l]);
  }
  return out;
}

/** Chased length of a wall, mm: runs that lie side by side share one chase. */
export const chaseLength = (h: House, runs: readonly ChasedRun[], wall: string): number =>
  chasesOn(h, runs, wall).reduce((sum, c) => sum + c.to - c.from, 0);
