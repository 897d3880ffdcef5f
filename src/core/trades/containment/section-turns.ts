import type { House } from "../../house/house";
import type { XYZ } from "../../base/wall-frame";
import { type LaidSection, type Stretch, isRise } from "../../house/sections";
import type { SectionKind } from "../../rules/sections";

const RAD = 180 / Math.PI;

/**
 * How a section turns: in the plane of its wall to the left or right, into an inside corner (also off its wall), round an outside one, or
 * over: back along the wall at the top of a set, its hinge at the open edges. A bent tube also into its wall.
 */
export type Turn = "left" | "right" | "inside" | "outside" | "over" | "into";

/** How its corners are made: folded from the length, bent, or with bought fittings. */
export type Making = "folded" | "bent" | "fitted";

/** What a hand can make of a kind: trunking and tray are folded, round conduit is bent; all else has fittings. */
export function madeByHand(kind: SectionKind): Exclude<Making, "fitted"> | null {
  if (kind === "conduit-plastic" || kind === "conduit-metal") return "bent";
  return ["trunking-plastic", "trunking-metal", "mini-trunking", "tray"].includes(kind) ? "folded" : null;
}

/** How the corners of a section are made; what no hand makes has fittings whatever it says. */
export const makingOf = (s: LaidSection): Making =>
  s.section.corners === "folded" ? (madeByHand(s.section.kind) ?? "fitted") : "fitted";

/** A corner between two stretches. */
export interface SectionCorner {
  /** It stands after the stretch of that number. */
  after: number;
  turn: Turn;
  /** Degrees that the section turns by. */
  angle: number;
}

/** A fold in a piece, or a bend of a tube. Lengths mm along the back of the piece, of a tube along its middle. */
export interface Fold {
  turn: Turn;
  angle: number;
  /** A notch that closes; two cuts across a tray as far as its outer lip, each folded half the angle to the line between; a bend. */
  way: "notch" | "cuts" | "bend";
  /** Fold line, of a bend its middle, from the start of the piece. */
  at: number;
  /** Half of the notch at its open side, 0 where the sides are only slit; half of what lies between the two cuts; half of the bend. */
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

const unit = (x: Stretch): XYZ => {
  const d = [x.to[0] - x.from[0], x.to[1] - x.from[1], x.to[2] - x.from[2]] as const;
  return [d[0] / x.length, d[1] / x.length, d[2] / x.length];
};

const dot = (a: XYZ, b: XYZ): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: XYZ, b: XYZ): XYZ => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const times = (k: number, a: XYZ): XYZ => [k * a[0], k * a[1], k * a[2]];

/** Where the open side of a stretch looks: off its wall into the room, on a deck up, through one as on the wall it goes on from. */
function openSide(h: Pick<House, "faces">, x: Stretch): XYZ {
  const inward = h.faces[x.face >= 0 ? x.face : (x.beside ?? -1)]?.frame.inward;
  return inward ? [inward.x, inward.y, 0] : [0, 0, 1];
}

/**
 * Corners of a section, from its stretches: how it turns from each to the next. Towards its open side is inside, away from it outside,
 * else it turns flat. On a deck that it comes up to from a wall its open side looks as it has turned.
 */
export function sectionCorners(h: Pick<House, "faces">, s: LaidSection): SectionCorner[] {
  const out: SectionCorner[] = [];
  let open = s.stretches[0] ? openSide(h, s.stretches[0]) : ([0, 0, 1] as const);
  for (let i = 1; i < s.stretches.length; i++) {
    const [x, y] = [s.stretches[i - 1]!, s.stretches[i]!];
    const [d, e] = [unit(x), unit(y)];
    const angle = Math.acos(Math.min(1, Math.max(-1, dot(d, e)))) * RAD;
    const before = open;
    // What lies on a wall has its back to it, however it came there.
    if (y.face >= 0) open = openSide(h, y);
    if (angle < 0.01) continue;
    const towards = dot(e, before);
    const flat = Math.abs(towards) < 1e-6;
    const turn: Turn = flat ? (dot(cross(d, e), before) > 0 ? "left" : "right") : towards > 0 ? "inside" : "outside";
    if (!flat && y.face < 0 && !isRise(y)) open = times(towards > 0 ? -1 : 1, d);
    out.push({ after: i - 1, turn, angle });
  }
  return out;
}

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
