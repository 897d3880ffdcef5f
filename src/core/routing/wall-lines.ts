import { distinct, indexNear } from "../base/distinct";
import type { UV } from "../base/rect";
import { EPS, clamp } from "../base/tolerance";
import { toFace, toSpace } from "../base/wall-frame";
import { type Face, type House, deckReaches, decksOfFace } from "../house/house";
import type { LaidDeck } from "../house/deck";
import { BAND, THIN_WALL } from "../house/wall-zones";
import { BESIDE_STUD, studAt } from "../house/studs";
import { boreLinesBeside } from "./bore-lines";

/** The lines on one face along which cables may be laid, and the nodes where they meet. */
export interface FaceLines {
  face: Face;
  us: number[];
  vs: number[];
  /** By u: 1 where the line is only the few that rise out of the band under the ceiling. */
  bandOnly: Uint8Array;
  /** Node at us[i], vs[j]: node[i + j·us.length], −1 where there is none. */
  node: Int32Array;
  over: number[];
  under: number[];
}

/** Where within its band a cable is laid: the middle. */
export const BAND_LINE = BAND / 2;
/** Room a cable needs beside a joist to rise past it, mm. */
export const CLEAR = 8;

/** Gap across the joists between a place and the nearest joist's side; negative when the place is under the joist. */
export function clearOfJoists(l: LaidDeck, across: number): { gap: number; joist: number } {
  let best = { gap: Infinity, joist: -1 };
  for (const j of l.joists) {
    const gap = Math.abs(across - j.at) - l.deck.joists.breadth / 2;
    if (gap < best.gap) best = { gap, joist: j.n - 1 };
  }
  return best;
}

/** True when a cable can rise from the face at u into the deck without meeting a joist. */
export function risesAt(f: Face, u: number, l: LaidDeck): boolean {
  const s = toSpace(f.frame, { u, v: 0 });
  if (!deckReaches(l, { x: s[0], y: s[1] })) return false;
  return clearOfJoists(l, l.across === "x" ? s[0] : s[1]).gap >= CLEAR - EPS;
}

/** The u nearest to the wanted one, at most `reach` away, where a cable can rise; null when there is none. */
function nearestRise(f: Face, u: number, reach: number, l: LaidDeck): number | null {
  if (risesAt(f, u, l)) return u;
  const slope = l.across === "x" ? f.frame.along.x : f.frame.along.y;
  if (Math.abs(slope) < 1e-6) return null;
  const s = toSpace(f.frame, { u, v: 0 });
  const here = l.across === "x" ? s[0] : s[1];
  const { joist } = clearOfJoists(l, here);
  const j = l.joists[joist];
  if (!j) return null;
  const side = l.deck.joists.breadth / 2 + CLEAR;
  const tries = [j.at - side, j.at + side]
    .map((c) => u + (c - here) / slope)
    .filter((t) => Math.abs(t - u) <= reach && t >= 0 && t <= f.shape.length);
  tries.sort((p, q) => Math.abs(p - u) - Math.abs(q - u) || p - q);
  return tries.find((t) => risesAt(f, t, l)) ?? null;
}

const inside = (xs: number[], low: number, high: number): number[] =>
  distinct(xs.filter((x) => x >= low - EPS && x <= high + EPS).map((x) => clamp(x, low, high)));

/** Collects the lines of every face: through points, the middles of bands, and those shared with neighbours and opposite faces. */
export function collectLines(h: House): FaceLines[] {
  const own = h.faces.map((f) => ownLines(h, f));
  return h.faces.map((f, i) => {
    const us = [...own[i]!.us];
    const vs = [...own[i]!.vs];
    for (const side of [f.left, f.right]) vs.push(...own[side]!.points.map((p) => p.v));
    for (const o of f.opposite) {
      const other = own[o]!;
      for (const u of other.us) us.push(toFace(f.frame, toSpace(h.faces[o]!.frame, { u, v: 0 })).u);
      vs.push(h.faces[o]!.floor + h.faces[o]!.shape.height - BAND_LINE - f.floor);
      if (f.shape.thickness <= THIN_WALL + EPS) vs.push(...f.reverse.map((p) => p.v));
    }
    const full = inside(us, 0, f.shape.length);
    const both = inside([...full, ...bandLines(h, f, own[i]!.over)], 0, f.shape.length);
    return {
      face: f,
      us: both,
      vs: inside(vs, 0, f.shape.height),
      bandOnly: Uint8Array.from(both, (u) => (indexNear(full, u) >= 0 ? 0 : 1)),
      node: new Int32Array(0),
      over: own[i]!.over,
      under: own[i]!.under,
    };
  });
}

function ownLines(h: House, f: Face): { us: number[]; vs: number[]; points: UV[]; over: number[]; under: number[] } {
  const { length, height } = f.shape;
  const { over, under } = decksOfFace(h, f);
  const rising = [...over, ...under].map((d) => h.decks[d]!).filter((d) => d.deck.kind !== "concrete");
  const us: number[] = [];
  const vs: number[] = [height - BAND_LINE];
  if (over.length) vs.push(height);
  if (under.some((d) => h.decks[d]!.deck.kind !== "concrete")) vs.push(0);
  for (const p of f.points) {
    us.push(p.u);
    vs.push(p.v);
    // Behind the middle of the plate stands a stud: the cable goes beside it.
    const stud = studAt(f.studs, p.u);
    const side = stud ? f.studs!.breadth / 2 + BESIDE_STUD : 0;
    if (stud) us.push(...[stud.at - side, stud.at + side].filter((u) => Math.abs(u - p.u) <= p.width / 2));
    for (const d of rising) {
      const u = nearestRise(f, p.u, p.width / 2 - CLEAR, d);
      if (u !== null) us.push(u);
    }
  }
  const corner = (at: number, middle: number): void => {
    us.push(at, middle);
    for (const d of rising) {
      const u = nearestRise(f, middle, BAND_LINE - CLEAR, d);
      if (u !== null) us.push(u);
    }
  };
  if (f.shape.cornerLeft) corner(0, Math.min(BAND_LINE, length / 2));
  if (f.shape.cornerRight) corner(length, Math.max(length - BAND_LINE, length / 2));
  return { us, vs, points: f.points, over, under };
}

/**
 * Where a cable rises from the band under the ceiling into a deck: beside every joist that the wall runs across; on a wall along the
 * joists, where the joists beside it may be bored and abreast of what hangs on the deck.
 */
function bandLines(h: House, f: Face, over: readonly number[]): number[] {
  if (f.shape.top) return [];
  return over.flatMap((d) => {
    const l = h.decks[d]!;
    if (l.deck.kind === "concrete") return [];
    const { origin, along } = f.frame;
    const slope = along[l.across];
    if (Math.abs(slope) < 1e-6) {
      const places = [
        ...boreLinesBeside(l, origin[l.across === "x" ? 0 : 1]).map((x) => x.along),
        ...h.points.flatMap((p) => (p.deck === d ? [p.space[l.along === "x" ? 0 : 1]] : [])),
      ];
      return places
        .map((x) => (x - origin[l.along === "x" ? 0 : 1]) / along[l.along])
        .filter((u) => u >= 0 && u <= f.shape.length && risesAt(f, u, l));
    }
    const side = l.deck.joists.breadth / 2 + CLEAR;
    return l.joists
      .flatMap((j) => [j.at - side, j.at + side])
      .map((x) => (x - origin[l.across === "x" ? 0 : 1]) / slope)
      .filter((u) => u >= 0 && u <= f.shape.length && risesAt(f, u, l));
  });
}
