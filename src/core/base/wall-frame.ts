import type { XY } from "./polygon";
import type { UV } from "./rect";

/** A place in the house, mm: x east, y north, z up. */
export type XYZ = readonly [x: number, y: number, z: number];

/** A wall face in space: its left end at floor level, the way it runs, and the way into the room. */
export interface WallFrame {
  /** Left end of the face at the floor. */
  origin: XYZ;
  /** Unit direction of u. */
  along: XY;
  /** Unit direction pointing into the room. */
  inward: XY;
  length: number;
}

/**
 * Frame of wall i of a clockwise outline. Walking the outline clockwise the room lies to the right,
 * and a person facing the wall from inside sees u run from left to right.
 * @param floor z of the room's floor, mm
 */
export function wallFrame(outline: readonly XY[], i: number, floor: number): WallFrame {
  const a = outline[i]!;
  const b = outline[(i + 1) % outline.length]!;
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  const along = length === 0 ? { x: 1, y: 0 } : { x: (b.x - a.x) / length, y: (b.y - a.y) / length };
  return { origin: [a.x, a.y, floor], along, inward: { x: along.y, y: -along.x }, length };
}

/** Place on the face → place in the house. `into` moves off the face into the room (negative: into the wall). */
export function toSpace(f: WallFrame, p: UV, into = 0): XYZ {
  return [
    f.origin[0] + f.along.x * p.u + f.inward.x * into,
    f.origin[1] + f.along.y * p.u + f.inward.y * into,
    f.origin[2] + p.v,
  ];
}

/** Place in the house → place on the face with its distance off it (positive: in the room). Inverse of `toSpace`. */
export function toFace(f: WallFrame, p: XYZ): UV & { into: number } {
  const dx = p[0] - f.origin[0];
  const dy = p[1] - f.origin[1];
  return { u: dx * f.along.x + dy * f.along.y, v: p[2] - f.origin[2], into: dx * f.inward.x + dy * f.inward.y };
}

export function distance(a: XYZ, b: XYZ): number {
  const [x, y, z] = [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
  return Math.sqrt(x * x + y * y + z * z);
}

/** Length of a line through the places, mm. */
export function pathLength(path: readonly XYZ[]): number {
  let sum = 0;
  for (let i = 1; i < path.length; i++) sum += distance(path[i - 1]!, path[i]!);
  return sum;
}

/** The axis of the house that a stretch runs along, by its number; null where it slopes. */
export const axisOf = (a: XYZ, b: XYZ): 0 | 1 | 2 | null =>
  ([0, 1, 2] as const).find((n) => Math.abs(b[n] - a[n]) > 0.999 * distance(a, b)) ?? null;
