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

/** A strip in one row or two: `second` is the number of the wall that the second row begins with. */
export interface StripRows {
  second: number | null;
  /** Where each row begins and ends along the strip, mm. */
  spans: readonly (readonly [from: number, to: number])[];
}

/** Two rows are drawn where walls come out larger by this much. */
const WORTH = 1.15;

/**
 * Whether a strip is larger drawn in two rows within a frame, and where it is then parted.
 * @param band height of one row with all that is over and under it, mm; the frame may be in any unit
 */
export function rowsOf(
  strip: { walls: readonly StripWall[]; width: number },
  band: number,
  frame: { width: number; height: number },
): StripRows {
  const one: StripRows = { second: null, spans: [[0, strip.width]] };
  const scale = (wide: number, rows: number): number =>
    Math.min(frame.width / Math.max(1, wide), frame.height / Math.max(1, rows * band));
  let best = one;
  let most = scale(strip.width, 1) * WORTH;
  let widest = strip.width;
  strip.walls.forEach((w, i) => {
    if (!i) return;
    const wide = Math.max(w.x, strip.width - w.x);
    const s = scale(wide, 2);
    // As large either way, the more even one.
    if (s < most || (s === most && (best === one || wide >= widest))) return;
    [most, widest] = [s, wide];
    best = {
      second: i,
      spans: [
        [0, w.x],
        [w.x, strip.width],
      ],
    };
  });
  return best;
}
