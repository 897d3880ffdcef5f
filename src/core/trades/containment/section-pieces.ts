import type { House } from "../../house/house";
import type { LaidSection } from "../../house/sections";
import { bentPieces } from "./bent-pieces";
import { BOX_TAKES, drawBoxes } from "./draw-boxes";
import { halfNotch, setMarks, trayCutOffset } from "./fold";
import { fromStock, fromStockBetween } from "./from-stock";
import {
  type Fold,
  type PipeSet,
  SET_ANGLE,
  type SectionCorner,
  type SectionPiece,
  type Turn,
  makingOf,
  pipeSets,
  sectionCorners,
} from "./section-turns";

const RAD = 180 / Math.PI;

const inPlane = (turn: Turn): boolean => turn === "left" || turn === "right";

/** A corner folded from the length: in the plane it takes the width, into a corner the depth. */
const across = (s: LaidSection, turn: Turn): number =>
  inPlane(turn) ? s.size.width : turn === "inside" ? s.size.depth : 0;

/** A fold at a corner, but for where it lies: tray is cut across twice for one in its plane, all else is notched. */
function cornerFold(s: LaidSection, { turn, angle }: SectionCorner): Pick<Fold, "turn" | "angle" | "way" | "half"> {
  if (s.section.kind === "tray" && inPlane(turn))
    return { turn, angle, way: "cuts", half: trayCutOffset(s.size.width, angle) };
  return { turn, angle, way: "notch", half: halfNotch(across(s, turn), angle) };
}

/**
 * How much a fold of some angle in the plane of the wall adds to the stretch on either side of it: its hinge is the outer edge, of a tray
 * the outer lip at both of its cuts.
 */
function beyond(s: LaidSection, c: SectionCorner): number {
  if (!inPlane(c.turn)) return 0;
  const out = (s.size.width / 2) * Math.tan(c.angle / 2 / RAD);
  return s.section.kind === "tray" ? trayCutOffset(s.size.width, c.angle) - out : out;
}

/** The four folds of a set, and how much longer the piece is for it; places from the start of its stretch as if it were flat. */
function foldsOfSet(s: LaidSection, set: PipeSet): { folds: Fold[]; longer: number } {
  // Tube is bent, not folded: it is only longer, by what its slopes take more than the wall under them.
  if (s.row.method === "tube") return { folds: [], longer: 2 * halfNotch(set.offset, SET_ANGLE) };
  const { halfNotch: half, pitch } = setMarks(s.size.depth, set.offset, SET_ANGLE);
  const level = set.top[1] - set.top[0];
  const fold = (turn: "inside" | "over", at: number): Fold => ({
    turn,
    angle: SET_ANGLE,
    way: "notch",
    at,
    half,
    pipe: set.pipe,
  });
  const second = set.from + pitch;
  const third = second + 2 * half + level;
  return {
    folds: [fold("inside", set.from), fold("over", second), fold("over", third), fold("inside", third + pitch)],
    longer: third + pitch - set.to,
  };
}

/** The folds within a stretch, over its pipes, and its length with them; places from its start. */
function stretchFolds(sets: readonly PipeSet[], s: LaidSection, stretch: number): { folds: Fold[]; longer: number } {
  const folds: Fold[] = [];
  let longer = 0;
  for (const set of sets.filter((x) => x.stretch === stretch)) {
    const one = foldsOfSet(s, set);
    folds.push(...one.folds.map((f) => ({ ...f, at: f.at + longer })));
    longer += one.longer;
  }
  return { folds, longer };
}

/**
 * The pieces a section is made of, cut from lengths of stock. Folded: the length goes on round its corners, each a fold with its
 * notch or its two cuts, and is joined only where the stock ends; a bent tube likewise. Fitted: a straight piece for each stretch, less what the fittings take (typical:
 * half the width in the plane, the depth in a corner), in lengths of stock. None for what is found, nor for cleats.
 */
export function sectionPieces(h: Pick<House, "faces" | "job">, s: LaidSection): SectionPiece[] {
  if (s.section.state === "found" || s.row.holds === "alone") return [];
  const making = makingOf(s);
  if (making === "bent") return bentPieces(h, s, sectionCorners(h, s), pipeSets(h, s), drawBoxes(h, s));
  const corners = sectionCorners(h, s);
  const cornerAfter = new Map(corners.map((c) => [c.after, c]));
  const sets = pipeSets(h, s);
  const pieces: SectionPiece[] = [];
  const put = (length: number, folds: readonly Fold[]): void => {
    for (const p of fromStock(length, folds, s.row.stock)) pieces.push({ ...p, number: pieces.length + 1 });
  };
  if (making === "fitted") {
    const takes = (c: SectionCorner | undefined): number =>
      !c ? 0 : inPlane(c.turn) ? s.size.width / 2 : c.turn === "inside" ? s.size.depth : 0;
    let [length, folds]: [number, Fold[]] = [0, []];
    const boxes = drawBoxes(h, s);
    let cuts: number[] = [];
    let base = 0;
    s.stretches.forEach((x, i) => {
      const [first, last] = [takes(cornerAfter.get(i - 1)), takes(cornerAfter.get(i))];
      const over = stretchFolds(sets, s, i);
      const start = length - first;
      for (const b of boxes) if (b.stretch === i) cuts.push(start + b.along - base);
      base += x.length;
      folds.push(...over.folds.map((f) => ({ ...f, at: f.at + start })));
      length += x.length - first - last + over.longer;
      // Straight on, as up through a ceiling, it is one length.
      if (i < s.stretches.length - 1 && !cornerAfter.has(i)) return;
      for (const p of fromStockBetween(length, folds, s.row.stock, cuts, BOX_TAKES))
        pieces.push({ ...p, number: pieces.length + 1 });
      [length, folds, cuts] = [0, [], []];
    });
    return pieces;
  }
  /** Every fold along the whole length, as if the stock never ended. */
  const folds: Fold[] = [];
  let at = 0;
  s.stretches.forEach((x, i) => {
    const [before, after] = [cornerAfter.get(i - 1), cornerAfter.get(i)];
    const over = stretchFolds(sets, s, i);
    const start = at + (before ? beyond(s, before) : 0);
    folds.push(...over.folds.map((f) => ({ ...f, at: f.at + start })));
    at = start + x.length + over.longer + (after ? beyond(s, after) : 0);
    if (after) folds.push({ ...cornerFold(s, after), at });
  });
  put(at, folds);
  return pieces;
}

/** A fold for which there is no room: it meets the end of its piece or the fold before it. */
export interface FoldFault {
  piece: number;
  at: number;
  way: Fold["way"];
  /** Room there is between the notch or bend and what it meets, mm; below 0. */
  room: number;
}

/** Folds that run off their piece or into one another. */
export const foldFaults = (pieces: readonly SectionPiece[]): FoldFault[] =>
  pieces.flatMap((p) => {
    let clear = 0;
    return p.folds.flatMap((f, i): FoldFault[] => {
      const before = f.at - f.half - clear;
      const after = i === p.folds.length - 1 ? p.length - f.at - f.half : Infinity;
      clear = f.at + f.half;
      const room = Math.min(before, after);
      return room < -1e-6 ? [{ piece: p.number, at: f.at, way: f.way, room }] : [];
    });
  });

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
    const cuts = f.way === "cuts";
    const start: [number, number] = [x, y];
    const before = heading;
    // A notch closes: as far as its two sides come together. Of two cuts each closes as far as the line between them.
    const turns = cuts ? [Math.asin(f.half / width), Math.asin(f.half / width)] : [2 * Math.atan(f.half / width)];
    turns.forEach((turned, k) => {
      const run = k ? 2 * f.half : f.at - (cuts ? f.half : 0) - from;
      const hinge: [number, number] = [
        x + run * Math.cos(heading) + side * half * Math.sin(heading),
        y + run * Math.sin(heading) - side * half * Math.cos(heading),
      ];
      heading += turned * side;
      x = hinge[0] - side * half * Math.sin(heading);
      y = hinge[1] + side * half * Math.cos(heading);
    });
    out.push(meet(start, before, [x, y], heading));
    from = f.at + (cuts ? f.half : 0);
  }
  out.push([x + (piece.length - from) * Math.cos(heading), y + (piece.length - from) * Math.sin(heading)]);
  return out;
}

/**
 * Folds a piece with sets off its wall, seen from the side: the corners of its back, from 0, 0 along x, y off the wall. The proof of
 * the sets' arithmetic. A fold over has its hinge at the open edges, `depth` off the back, and its notch in the back.
 */
export function foldedBack(piece: Pick<SectionPiece, "length" | "folds">, depth: number): [number, number][] {
  let [x, y] = [0, 0];
  let heading = 0;
  let from = 0;
  const out: [number, number][] = [[0, 0]];
  for (const f of piece.folds) {
    const over = f.turn === "over";
    const run = f.at - from - (over ? f.half : 0);
    x += run * Math.cos(heading);
    y += run * Math.sin(heading);
    out.push([x, y]);
    // Off the wall and on to it again alternate: a fold in lifts the first time and lays down the second.
    const turned = 2 * Math.atan(f.half / depth);
    heading += over ? -turned : turned;
    from = f.at + (over ? f.half : 0);
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
