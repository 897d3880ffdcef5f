import { mm } from "../base/figures";
import type { LaidSection } from "../house/sections";
import type { Fold, SectionPiece } from "../trades/containment/section-turns";
import { TAB_HOLE, notchTab } from "../trades/containment/flat-cuts";
import { type Scene, pen } from "./scene";

/** What is cut and what is only folded at a corner, in words. */
const notchWords: Record<Fold["turn"], string> = {
  left: "fold left: the left side is notched out with the back, the right side is the hinge",
  right: "fold right: the right side is notched out with the back, the left side is the hinge",
  inside: "fold in: both sides are notched, the back is the hinge",
  outside: "fold out: both sides are slit, the back is the hinge",
  over: "fold back: the back is cut out, the open edges are the hinge",
  into: "fold into the wall",
};
/** Which way a tube is bent, in words. */
const bendWords: Record<Fold["turn"], string> = {
  left: "bend left, flat on the wall",
  right: "bend right, flat on the wall",
  inside: "bend off the wall",
  outside: "bend round the outside corner",
  over: "bend back, level with the wall",
  into: "bend into the wall, flush to its hole: nothing round it to plug",
};

/** How a fold or bend is made, in words. */
export function foldWords(f: Pick<Fold, "turn" | "way" | "angle">): string {
  if (f.way === "bend") return bendWords[f.turn];
  if (f.way === "notch") return notchWords[f.turn];
  const side = f.turn === "left" ? ["left", "right"] : ["right", "left"];
  return `fold ${f.turn}: cut twice from the ${side[0]} lip to the ${side[1]} and leave that whole; fold both in to the centre line, trim the four lips`;
}

/**
 * A piece opened flat: left side, back, right side, with what is cut out hatched, slits and fold lines. Along it from its start. `from`
 * and `to` show only a part of it.
 */
export function drawPiece(piece: SectionPiece, size: LaidSection["size"], from = 0, to = piece.length): Scene {
  if ("diameter" in size.inside) return drawTube(piece, size.width, from, to);
  const p = pen();
  const [d, w] = [size.depth, size.width];
  const whole = from <= 0 && to >= piece.length;
  const [a, b] = [Math.max(0, from), Math.min(piece.length, to)];
  p.rect(a - from, 0, b - a, d, "metal");
  p.rect(a - from, d, b - a, w, "metal");
  p.rect(a - from, d + w, b - a, d, "metal");
  let labelled = -Infinity;
  for (const f of piece.folds) {
    if (f.at + f.half < from || f.at - f.half > to) continue;
    const x = f.at - from;
    const line = (y0: number, y1: number): void =>
      p.line(
        [
          [x, y0],
          [x, y1],
        ],
        "fold",
        { dash: true, heavy: true },
      );
    if (f.way === "cuts") {
      // From the lip on the side it turns to, across the floor to the far lip, which is the hinge.
      const [open, hinge] = f.turn === "left" ? [0, d + w] : [2 * d + w, d];
      for (const c of [x - f.half, x + f.half])
        p.line(
          [
            [c, open],
            [c, hinge],
          ],
          "cut",
          { heavy: true },
        );
      line(d, d + w);
    } else if (f.turn === "inside") {
      notch(p, x, f.half, d, 0);
      notch(p, x, f.half, d + w, 2 * d + w);
      line(d, d + w);
    } else if (f.turn === "over") {
      notch(p, x, f.half, 0, d);
      notch(p, x, f.half, 2 * d + w, d + w);
      p.area(
        [
          [x - f.half, d],
          [x + f.half, d],
          [x + f.half, d + w],
          [x - f.half, d + w],
        ],
        "waste",
        "cut",
        { heavy: true },
      );
    } else if (f.turn === "outside") {
      p.line(
        [
          [x, 0],
          [x, d],
        ],
        "cut",
        { heavy: true },
      );
      p.line(
        [
          [x, d + w],
          [x, 2 * d + w],
        ],
        "cut",
        { heavy: true },
      );
      line(d, d + w);
    } else {
      // The side towards which it turns comes out with a triangle of the back; the other side is the hinge.
      const left = f.turn === "left";
      const [edge, hinge, out] = left ? [d, d + w, 0] : [d + w, d, 2 * d + w];
      notch(p, x, f.half, hinge, edge);
      p.area(
        [
          [x - f.half, edge],
          [x + f.half, edge],
          [x + f.half, out],
          [x - f.half, out],
        ],
        "waste",
        "cut",
        { heavy: true },
      );
      line(hinge, left ? 2 * d + w : 0);
    }
    // Where folds follow one another closely the tape and the list carry their figures.
    if (labelled > x - (b - a) / 14) continue;
    labelled = x;
    p.dim([x - f.half, 0], [x + f.half, 0], f.half > 0 ? mm(Math.round(20 * f.half) / 10) : "slit", -1.3);
    p.text(x, 2 * d + w, mm(Math.round(f.at * 10) / 10), { type: "figures", drop: 1.2, ink: "cut" });
  }
  for (const [words, y, tall] of [
    ["left side", d / 2, d],
    ["back", d + w / 2, w],
    ["right side", d * 1.5 + w, d],
  ] as const)
    p.text(a - from, y, words, {
      anchor: "start",
      shift: 4,
      ink: "soft",
      drop: 0.3,
      size: 10,
      room: { width: b - a, height: tall },
    });
  if (whole) p.dim([0, 2 * d + w], [piece.length, 2 * d + w], mm(Math.round(piece.length * 10) / 10), 2.8);
  return {
    label: `Piece ${piece.number} opened flat, ${mm(piece.length)} long, with ${piece.folds.length} folds`,
    shapes: p.shapes,
    template: true,
  };
}

/** A tube as it lies straight, from the side: every bend as long as it takes, with its start, middle and end. */
function drawTube(piece: SectionPiece, outside: number, from: number, to: number): Scene {
  const p = pen();
  const [a, b] = [Math.max(0, from), Math.min(piece.length, to)];
  p.rect(a - from, 0, b - a, outside, "metal");
  let labelled = -Infinity;
  for (const f of piece.folds) {
    if (f.at + f.half < from || f.at - f.half > to) continue;
    const x = f.at - from;
    p.rect(x - f.half, 0, 2 * f.half, outside, "waste", "cut");
    p.line(
      [
        [x, -outside / 2],
        [x, outside * 1.5],
      ],
      "fold",
      { dash: true, heavy: true },
    );
    if (labelled > x - (b - a) / 14) continue;
    labelled = x;
    p.dim([x - f.half, 0], [x + f.half, 0], mm(Math.round(20 * f.half) / 10), -1.6);
    p.text(x, outside * 1.5, mm(Math.round(f.at * 10) / 10), { type: "figures", drop: 1.2, ink: "cut" });
  }
  if (from <= 0 && to >= piece.length)
    p.dim([0, outside * 1.5], [piece.length, outside * 1.5], mm(Math.round(piece.length * 10) / 10), 2.8);
  return {
    label: `Piece ${piece.number} of tube, ${mm(piece.length)} long, with ${piece.folds.length} bends`,
    shapes: p.shapes,
    template: true,
  };
}

/** A triangle taken out of a side: its tip at `tip`, its open end at `edge`; the tab that stays on the start's side, with its holes. */
function notch(p: ReturnType<typeof pen>, x: number, half: number, tip: number, edge: number): void {
  p.area(
    [
      [x - half, edge],
      [x, tip],
      [x + half, edge],
    ],
    "waste",
    "cut",
    { heavy: true },
  );
  const tab = notchTab(half, Math.abs(edge - tip));
  if (!tab) return;
  const at = ([dx, dy]: readonly [number, number]): [number, number] => [x + dx, tip + (edge > tip ? dy : -dy)];
  p.area(tab.outline.map(at), "metal", "cut");
  for (const o of tab.holes) p.circle(...at(o), TAB_HOLE / 2, "paper", "cut");
}

/** Shown either side of a fold on paper, mm. */
const ROUND_FOLD = 25;

/** One fold of a piece alone, for paper at true scale: laid on with its fold line on the mark. */
export const drawFold = (piece: SectionPiece, fold: Fold, size: LaidSection["size"]): Scene =>
  drawPiece({ ...piece, folds: [fold] }, size, fold.at - fold.half - ROUND_FOLD, fold.at + fold.half + ROUND_FOLD);
