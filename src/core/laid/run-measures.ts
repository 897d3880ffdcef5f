import { distance, pathLength } from "../base/wall-frame";
import type { PinnedLeg } from "../job/model";
import type { House } from "../house/house";
import type { End, Hole, Plan } from "./laid";

type Legs = readonly Pick<PinnedLeg, "path">[];

/** Whether closing hides a leg: what is clipped or boxed on the face of a wall stays to be seen. */
export const isHidden = (l: Pick<PinnedLeg, "surface" | "depth" | "method">): boolean =>
  l.surface.kind === "wall"
    ? l.depth > 0
    : (l.surface.kind === "deck" && l.method !== "surface") || (l.surface.kind === "outside" && l.method === "buried");

/**
 * Length of a run from middle to middle of its boxes, mm: its legs, and what lies between the end of one and the start
 * of the next.
 */
export function runLength(legs: Legs): number {
  let sum = 0;
  legs.forEach((l, i) => {
    const before = legs[i - 1]?.path;
    sum += pathLength(l.path) + (before ? distance(before[before.length - 1]!, l.path[0]!) : 0);
  });
  return sum;
}

/**
 * What of a run hangs at its two ends together, mm: its tails from the middle of each box, and the spare of the job's
 * settings twice.
 */
export const leftAtEnds = (ends: readonly Pick<End, "measures">[], slack: number): number =>
  ends.reduce((sum, e) => sum + (e.measures.fromMiddle ?? 0), 0) + 2 * slack;

/** Bends of a run: places where one leg ends and the next goes another way. */
export function bendsIn(legs: Legs): number {
  let bends = 0;
  for (let i = 1; i < legs.length; i++) {
    const [p, q] = [legs[i - 1]!.path, legs[i]!.path];
    const [a, b] = [p[p.length - 2]!, p[p.length - 1]!];
    const [c, d] = [q[0]!, q[1]!];
    const along = (b[0] - a[0]) * (d[0] - c[0]) + (b[1] - a[1]) * (d[1] - c[1]) + (b[2] - a[2]) * (d[2] - c[2]);
    if (along < (1 - 1e-9) * distance(a, b) * distance(c, d)) bends++;
  }
  return bends;
}

/**
 * Holes that a person sees on a wall: those measured on its face, and those in its timbers that cables on this face share with cables
 * on the other, where they are measured.
 */
export function holesOnWall(h: House, plan: Pick<Plan, "holes" | "runs">, wall: string): Hole[] {
  const f = h.faces[h.faceOfWall.get(wall) ?? -1];
  const behind = new Set((f?.opposite ?? []).map((n) => h.faces[n]!.wall.id));
  const here = new Set(
    plan.runs.filter((r) => r.legs.some((l) => l.surface.kind === "wall" && l.surface.id === wall)).map((r) => r.id),
  );
  return plan.holes.filter(
    (o) => o.in.wall === wall || (o.in.kind === "stud" && behind.has(o.in.wall!) && o.runs.some((r) => here.has(r))),
  );
}

/** By run: the holes it goes through, in the order of the plan. */
export function holesByRun(holes: readonly Hole[]): Map<string, Hole[]> {
  const out = new Map<string, Hole[]>();
  for (const o of holes)
    for (const r of o.runs) {
      const list = out.get(r);
      if (list) list.push(o);
      else out.set(r, [o]);
    }
  return out;
}

/** Name of a hole by its place, which a plan made anew does not change: to the millimetre. */
export function holeKey(o: Pick<Hole, "in" | "at" | "fromTop">): string {
  const { kind, deck, joist, span, wall, row, part, stud } = o.in;
  const what = [kind, deck, joist, span, wall, row, part, stud].map((x) => x ?? "").join(".");
  return `hole:${what}:${Math.round(o.at)}:${Math.round(o.fromTop)}`;
}
