import { bentMiddle } from "./bent-pieces";
import { foldedMiddle } from "./section-pieces";
import type { SectionPiece } from "./section-turns";

type XY = readonly [number, number];

/** Width of a tab left at a notch, and of the holes through it and the side it lies on, mm. Typical. */
export const TAB = 15;
export const TAB_HOLE = 5;
/** Least of a tab along its notch, and from where it takes two holes, mm. */
const LEAST = 8;
const TWO = 24;

/** A tab left on a notch: its corners and its holes, from the tip of the notch, y towards its mouth. */
export interface NotchTab {
  outline: XY[];
  holes: XY[];
}

/**
 * The tab that stays on the start's side of a notch and lies behind the other side when it is closed, where both skins are drilled
 * together. Null where the notch is too narrow for one, or opens by more than a right angle. Source: geometry of the fold.
 * @param half half width of the notch at its mouth, mm
 * @param reach from its tip to its mouth, mm
 */
export function notchTab(half: number, reach: number): NotchTab | null {
  if (half <= 0 || half > reach + 1e-9) return null;
  const edge = Math.hypot(half, reach);
  const at = (s: number, into: number): XY => [(-half * s + reach * into) / edge, (reach * s + half * into) / edge];
  // From where the notch is wider than the tab, a hair clear of its other edge, to its mouth.
  const from = (TAB + 1) / Math.sin(2 * Math.atan(half / reach));
  const to = edge - (half * TAB) / reach;
  if (to - from < LEAST) return null;
  const holes = to - from < TWO ? [0.5] : [0.25, 0.75];
  return {
    outline: [[0, 0], at(from, TAB), at(to, TAB), at(edge, 0)],
    holes: holes.map((k) => at(from + k * (to - from), TAB / 2)),
  };
}

/**
 * From end to end of a piece with one corner, from middle to middle, when it is folded or bent true: what a tape across it has to show,
 * mm. Null with none or more than one.
 */
export function acrossFolded(piece: Pick<SectionPiece, "length" | "folds">, width: number): number | null {
  const [f, ...more] = piece.folds;
  if (!f || more.length) return null;
  const flat = f.turn === "left" || f.turn === "right";
  const line: readonly XY[] =
    f.way === "bend"
      ? bentMiddle(piece)
      : flat
        ? foldedMiddle(piece, width)
        : [
            [0, 0],
            [f.at, 0],
            [
              f.at + (piece.length - f.at) * Math.cos((f.angle * Math.PI) / 180),
              (piece.length - f.at) * Math.sin((f.angle * Math.PI) / 180),
            ],
          ];
  const end = line[line.length - 1]!;
  return Math.hypot(end[0], end[1]);
}
