import type { House } from "../../house/house";
import type { LaidSection, Stretch } from "../../house/sections";
import { halfNotch } from "./fold";

const RAD = 180 / Math.PI;

/** How a section turns: in the plane of its wall to the left or right, into an inside corner or round an outside one. */
export type Turn = "left" | "right" | "inside" | "outside";

/** A corner between two stretches. */
export interface SectionCorner {
  /** It stands after the stretch of that number. */
  after: number;
  turn: Turn;
  /** Degrees that the section turns by. */
  angle: number;
}

/** A fold in a piece. Lengths mm along the back of the piece. */
export interface Fold {
  turn: Turn;
  angle: number;
  /** Fold line, from the start of the piece. */
  at: number;
  /** Half of the notch at its open side; 0 where the sides are only slit. */
  half: number;
}

/** A length cut from stock. */
export interface SectionPiece {
  /** From 1, along the section. */
  number: number;
  length: number;
  folds: Fold[];
}

const unit = (x: Stretch): readonly [number, number, number] => {
  const d = [x.to[0] - x.from[0], x.to[1] - x.from[1], x.to[2] - x.from[2]] as const;
  return [d[0] / x.length, d[1] / x.length, d[2] / x.length];
};

/** Corners of a section, from its stretches: how it turns from each to the next. */
export function sectionCorners(h: Pick<House, "faces">, s: LaidSection): SectionCorner[] {
  const out: SectionCorner[] = [];
  for (let i = 1; i < s.stretches.length; i++) {
    const [x, y] = [s.stretches[i - 1]!, s.stretches[i]!];
    const [d, e] = [unit(x), unit(y)];
    const dot = d[0] * e[0] + d[1] * e[1] + d[2] * e[2];
    const angle = Math.acos(Math.min(1, Math.max(-1, dot))) * RAD;
    if (angle < 0.01) continue;
    let turn: Turn;
    if (x.face === y.face && x.deck === y.deck) {
      const cross = (x.b.u - x.a.u) * (y.b.v - y.a.v) - (x.b.v - x.a.v) * (y.b.u - y.a.u);
      turn = cross > 0 ? "left" : "right";
    } else {
      const inward = h.faces[x.face]?.frame.inward;
      // Towards the room that the wall looks into: an inside corner. From a deck down a wall there is no telling: inside.
      turn = inward && e[0] * inward.x + e[1] * inward.y < -1e-6 ? "outside" : "inside";
    }
    out.push({ after: i - 1, turn, angle });
  }
  return out;
}

/** A corner folded from the length: in the plane it takes the width, into a corner the depth. */
const across = (s: LaidSection, turn: Turn): number =>
  turn === "left" || turn === "right" ? s.size.width : turn === "inside" ? s.size.depth : 0;

/** How much a fold of some angle in the plane of the wall adds to the stretch on either side of it: its hinge is the outer edge. */
const beyond = (s: LaidSection, c: { turn: Turn; angle: number }): number =>
  c.turn === "left" || c.turn === "right" ? (s.size.width / 2) * Math.tan(c.angle / 2 / RAD) : 0;

/** Least that is left between a cut end and a notch, mm. */
const CLEAR = 20;

/**
 * The pieces a section is made of, cut from lengths of stock. Folded: the length goes on round its corners, each a fold with its
 * notch, and is joined only where the stock ends. Fitted: a straight piece for each stretch, less what the fittings take (typical:
 * half the width in the plane, the depth in a corner), in lengths of stock. None for what is found, nor for cleats.
 */
export function sectionPieces(h: Pick<House, "faces">, s: LaidSection): SectionPiece[] {
  if (s.section.state === "found" || s.row.holds === "alone") return [];
  const corners = sectionCorners(h, s);
  const cornerAfter = new Map(corners.map((c) => [c.after, c]));
  const { stock } = s.row;
  const pieces: SectionPiece[] = [];
  const put = (length: number, folds: Fold[]): void => {
    pieces.push({ number: pieces.length + 1, length, folds });
  };
  if (s.section.corners === "fitted" || s.row.method === "tube") {
    const takes = (c: SectionCorner | undefined): number =>
      !c ? 0 : c.turn === "left" || c.turn === "right" ? s.size.width / 2 : c.turn === "inside" ? s.size.depth : 0;
    s.stretches.forEach((x, i) => {
      let left = x.length - takes(cornerAfter.get(i - 1)) - takes(cornerAfter.get(i));
      while (left > stock + 1e-6) {
        put(stock, []);
        left -= stock;
      }
      if (left > 1e-6) put(left, []);
    });
    return pieces;
  }
  /** Every fold along the whole length, as if the stock never ended. */
  const folds: Fold[] = [];
  let at = 0;
  s.stretches.forEach((x, i) => {
    const [before, after] = [cornerAfter.get(i - 1), cornerAfter.get(i)];
    at += x.length + (before ? beyond(s, before) : 0) + (after ? beyond(s, after) : 0);
    if (after)
      folds.push({ turn: after.turn, angle: after.angle, at, half: halfNotch(across(s, after.turn), after.angle) });
  });
  const whole = at;
  let start = 0;
  while (whole - start > stock + 1e-6) {
    let end = start + stock;
    // Not through a notch: the joint comes before it.
    for (const f of folds) if (Math.abs(f.at - end) < f.half + CLEAR) end = Math.min(end, f.at - f.half - CLEAR);
    if (end <= start + CLEAR) end = start + stock;
    put(
      end - start,
      folds.filter((f) => f.at > start && f.at < end).map((f) => ({ ...f, at: f.at - start })),
    );
    start = end;
  }
  put(
    whole - start,
    folds.filter((f) => f.at > start).map((f) => ({ ...f, at: f.at - start })),
  );
  return pieces;
}

/** Folds a piece in the plane of the wall: the corners of its middle line, from 0, 0 along x. The proof of the pieces' arithmetic. */
export function foldedMiddle(piece: Pick<SectionPiece, "length" | "folds">, width: number): [number, number][] {
  const half = width / 2;
  let [x, y] = [0, 0];
  let heading = 0;
  let from = 0;
  const out: [number, number][] = [[0, 0]];
  for (const f of piece.folds) {
    if (f.turn !== "left" && f.turn !== "right") throw new RangeError("only folds in the plane of the wall");
    const side = f.turn === "left" ? 1 : -1;
    // On along the middle to the fold line, out to its hinge on the far edge, and back to the middle after the turn.
    const run = f.at - from;
    const hinge: [number, number] = [
      x + run * Math.cos(heading) + side * half * Math.sin(heading),
      y + run * Math.sin(heading) - side * half * Math.cos(heading),
    ];
    // The notch closes: as far as its two sides, half the width up from the hinge, come together.
    const turned = 2 * Math.atan(f.half / width) * side;
    const start: [number, number] = [x, y];
    const before = heading;
    heading += turned;
    x = hinge[0] - side * half * Math.sin(heading);
    y = hinge[1] + side * half * Math.cos(heading);
    out.push(meet(start, before, [x, y], heading));
    from = f.at;
  }
  out.push([x + (piece.length - from) * Math.cos(heading), y + (piece.length - from) * Math.sin(heading)]);
  return out;
}

/** Where two lines meet, each by a place and its heading. */
function meet(p: [number, number], a: number, q: [number, number], b: number): [number, number] {
  const [c, s, d, t] = [Math.cos(a), Math.sin(a), Math.cos(b), Math.sin(b)];
  const k = ((q[0] - p[0]) * t - (q[1] - p[1]) * d) / (c * t - s * d);
  return [p[0] + k * c, p[1] + k * s];
}
