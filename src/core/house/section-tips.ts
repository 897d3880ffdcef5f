import type { UV } from "../base/rect";
import type { LaidSection, Stretch } from "./sections";

/** One end of a section as it lies. */
export interface Tip {
  stretch: Stretch;
  at: UV;
  /** Which way the section ends, along its stretch: up or to the right 1, down or to the left −1. */
  out: 1 | -1;
}

/** How far a tube's end may stand off what it is joined to, mm. */
export const TUBE_OFF = 60;

/** Both ends of a section, as it was drawn; null where it has no length. */
export function tipsOf(s: LaidSection): { first: Tip; last: Tip } | null {
  const [first, last] = [s.stretches[0], s.stretches[s.stretches.length - 1]];
  if (!first || !last) return null;
  const onward = (x: Stretch): boolean => (x.plumb ? x.b.v > x.a.v : x.b.u > x.a.u);
  return {
    first: { stretch: first, at: first.a, out: onward(first) ? -1 : 1 },
    last: { stretch: last, at: last.b, out: onward(last) ? 1 : -1 },
  };
}
