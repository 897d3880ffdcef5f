import type { House } from "../../house/house";
import type { LaidSection, Stretch } from "../../house/sections";
import { halfNotch, setMarks } from "./fold";

const RAD = 180 / Math.PI;

/**
 * How a section turns: in the plane of its wall to the left or right, into an inside corner (also off its wall), round an outside one, or
 * over: back along the wall at the top of a set, its hinge at the open edges.
 */
export type Turn = "left" | "right" | "inside" | "outside" | "over";

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
  /** The pipe it goes over, where it is part of a set. */
  pipe?: string;
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

/** Angle of the folds of a set, degrees: shallow, so that cables draw through. */
export const SET_ANGLE = 22.5;
/** Room beside a pipe, and between it and the back of the section over it, mm. */
const PIPE_ROOM = 10;
const PIPE_GAP = 2;

/** A pipe that a stretch of a section crosses, and the set that takes it over. Lengths mm along the stretch. */
export interface PipeSet {
  pipe: string;
  name: string;
  stretch: number;
  /** How far the back is lifted off the wall. */
  offset: number;
  /** Where on the wall the back leaves it, and where it lies on it again. */
  from: number;
  to: number;
  /** Where the level top over the pipe begins and ends on the wall. */
  top: readonly [number, number];
}

/** The sets of a section over the pipes on its walls, in their order along it. */
export function pipeSets(h: Pick<House, "faces" | "job">, s: LaidSection): PipeSet[] {
  if (s.row.hidden || s.row.holds === "alone") return [];
  return s.stretches.flatMap((x, stretch) => {
    const wall = h.faces[x.face]?.wall.id;
    const half = s.size.width / 2;
    const [k, m] = x.plumb ? (["u", "v"] as const) : (["v", "u"] as const);
    const sets = h.job.fixtures.flatMap((p): PipeSet[] => {
      if (p.kind !== "pipe" || p.wall !== wall) return [];
      const [across, along] = x.plumb ? ([p.width, p.height] as const) : ([p.height, p.width] as const);
      // Beside it: the section passes, and no set is needed.
      if (x.a[k] + half <= p[k] || x.a[k] - half >= p[k] + across) return [];
      const up = x.b[m] > x.a[m];
      const near = up ? p[m] - x.a[m] : x.a[m] - (p[m] + along);
      if (near + along <= 0 || near >= x.length) return [];
      const offset = p.depth + PIPE_GAP;
      const top = [near - PIPE_ROOM, near + along + PIPE_ROOM] as const;
      const run = offset / Math.tan(SET_ANGLE / RAD);
      return [{ pipe: p.id, name: p.name || "pipe", stretch, offset, top, from: top[0] - run, to: top[1] + run }];
    });
    return sets.sort((a, b) => a.from - b.from);
  });
}

/** The four folds of a set, and how much longer the piece is for it; places from the start of its stretch as if it were flat. */
function foldsOfSet(s: LaidSection, set: PipeSet): { folds: Fold[]; longer: number } {
  // Tube is bent, not folded: it is only longer, by what its slopes take more than the wall under them.
  if (s.row.method === "tube") return { folds: [], longer: 2 * halfNotch(set.offset, SET_ANGLE) };
  const { halfNotch: half, pitch } = setMarks(s.size.depth, set.offset, SET_ANGLE);
  const level = set.top[1] - set.top[0];
  const fold = (turn: "inside" | "over", at: number): Fold => ({ turn, angle: SET_ANGLE, at, half, pipe: set.pipe });
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
 * notch, and is joined only where the stock ends. Fitted: a straight piece for each stretch, less what the fittings take (typical:
 * half the width in the plane, the depth in a corner), in lengths of stock. None for what is found, nor for cleats.
 */
export function sectionPieces(h: Pick<House, "faces" | "job">, s: LaidSection): SectionPiece[] {
  if (s.section.state === "found" || s.row.holds === "alone") return [];
  const corners = sectionCorners(h, s);
  const cornerAfter = new Map(corners.map((c) => [c.after, c]));
  const sets = pipeSets(h, s);
  const pieces: SectionPiece[] = [];
  const put = (length: number, folds: readonly Fold[]): void => {
    for (const p of fromStock(length, folds, s.row.stock)) pieces.push({ ...p, number: pieces.length + 1 });
  };
  if (!isFolded(s)) {
    const takes = (c: SectionCorner | undefined): number =>
      !c ? 0 : c.turn === "left" || c.turn === "right" ? s.size.width / 2 : c.turn === "inside" ? s.size.depth : 0;
    s.stretches.forEach((x, i) => {
      const [first, last] = [takes(cornerAfter.get(i - 1)), takes(cornerAfter.get(i))];
      const { folds, longer } = stretchFolds(sets, s, i);
      put(
        x.length - first - last + longer,
        folds.map((f) => ({ ...f, at: f.at - first })),
      );
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
    if (after)
      folds.push({ turn: after.turn, angle: after.angle, at, half: halfNotch(across(s, after.turn), after.angle) });
  });
  put(at, folds);
  return pieces;
}

/** True for a section whose corners are folded from the length: tube is bent or fitted, never folded. */
export const isFolded = (s: LaidSection): boolean => s.section.corners === "folded" && s.row.method !== "tube";

/** A length with its folds cut into lengths of stock; a joint never goes through a notch. */
function fromStock(whole: number, folds: readonly Fold[], stock: number): Omit<SectionPiece, "number">[] {
  const out: Omit<SectionPiece, "number">[] = [];
  let start = 0;
  const put = (end: number): void => {
    if (end - start <= 1e-6) return;
    const mine = folds.filter((f) => f.at > start && f.at < end).map((f) => ({ ...f, at: f.at - start }));
    out.push({ length: end - start, folds: mine });
    start = end;
  };
  while (whole - start > stock + 1e-6) {
    let end = start + stock;
    // From the last fold backwards: where one is moved clear of, it may meet the one before.
    for (const f of [...folds].reverse())
      if (Math.abs(f.at - end) < f.half + CLEAR) end = Math.min(end, f.at - f.half - CLEAR);
    put(end <= start + CLEAR ? start + stock : end);
  }
  put(whole);
  return out;
}

/** A fold for which there is no room: it meets the end of its piece or the fold before it. */
export interface FoldFault {
  piece: number;
  at: number;
  /** Room there is between the notch and what it meets, mm; below 0. */
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
      return room < -1e-6 ? [{ piece: p.number, at: f.at, room }] : [];
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
