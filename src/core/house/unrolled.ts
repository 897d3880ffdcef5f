import { type XYZ, toFace, toSpace } from "../base/wall-frame";
import type { Face, House } from "./house";

/** A wall in the unrolled strip: `x` is where its left end lies, mm from the left end of the first wall. */
export interface StripWall {
  face: Face;
  x: number;
}

/** The walls of a room side by side, turning right from its start wall, and the length of the strip, mm. */
export function stripOf(h: House, roomId: string): { walls: StripWall[]; width: number; height: number } {
  const faces = h.faces.filter((f) => f.room.id === roomId).sort((a, b) => a.wall.index - b.wall.index);
  const start = faces[0]?.room.startWall ?? 0;
  let x = 0;
  const walls = faces.map((_, i): StripWall => {
    const face = faces[(start + i) % faces.length]!;
    const w = { face, x };
    x += face.shape.length;
    return w;
  });
  return { walls, width: x, height: Math.max(0, ...walls.map((w) => w.face.shape.height)) };
}

/** Place on the strip of a place on one of its walls, and back: x along the strip, y up from the floor, mm. */
export const toStrip = (w: StripWall, p: XYZ): { x: number; y: number } => {
  const f = toFace(w.face.frame, p);
  return { x: w.x + f.u, y: f.v };
};
export const fromStrip = (w: StripWall, p: { x: number; y: number }): XYZ =>
  toSpace(w.face.frame, { u: p.x - w.x, v: p.y });
