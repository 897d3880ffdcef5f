import { atMost } from "../base/tolerance";

/** A cable in the notch of a joist lies with its middle this far below the top, mm: under a steel plate let in level with the timber. */
export const NOTCH_AT = 8;
/** Widest notch that one plate covers with timber to nail to on both sides, mm. A working value of ours. */
export const NOTCH_MOST = 40;
/** Room beside and between the cables, mm, and the step to which a notch is sawn. */
const ROOM = 2;
const STEP = 5;

/** Width and depth of a notch, mm. */
export interface NotchSize {
  width: number;
  depth: number;
}

/** The notch in which cables lie side by side, flat in one layer, their middles all at one height. */
export function notchFor(cables: readonly { width: number; thickness: number }[]): NotchSize {
  const wide = cables.reduce((sum, c) => sum + c.width + ROOM, ROOM);
  const thick = Math.max(0, ...cables.map((c) => c.thickness));
  return { width: Math.ceil(wide / STEP) * STEP, depth: Math.ceil(NOTCH_AT + thick / 2) };
}

/** True when cables fit side by side into one notch of a joist that may be cut so deep, and lie wholly below its plate. */
export function fitsNotch(cables: readonly { width: number; thickness: number }[], deepest: number): boolean {
  const { width, depth } = notchFor(cables);
  return (
    atMost(width, NOTCH_MOST) && atMost(depth, deepest) && cables.every((c) => atMost(c.thickness / 2, NOTCH_AT - ROOM))
  );
}
