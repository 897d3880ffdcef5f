import { alike } from "../base/alike";
import { Kept } from "../base/kept";
import { distinct, indexNear } from "../base/distinct";
import type { Interval } from "../base/interval";
import { type UV, rectAround, rectOf } from "../base/rect";
import { EPS, atMost, clamp } from "../base/tolerance";
import { toFace, toSpace } from "../base/wall-frame";
import { type Face, type House, deckReaches, decksOfFace } from "../house/house";
import type { LaidDeck } from "../house/deck";
import { BAND, type PointOnFace, THIN_WALL } from "../house/wall-zones";
import { outsideOf } from "../house/outside";
import { sectionsOf } from "../house/sections";
import { BESIDE_STUD, studAt } from "../house/studs";
import { deepestChase } from "../rules/chases";
import { boreLinesBeside } from "./bore-lines";

/** The lines on one face along which cables may be laid, and the nodes where they meet. */
export interface FaceLines {
  face: Face;
  us: number[];
  vs: number[];
  /** By u: 1 where the line is only the few that rise out of the band under the ceiling. */
  bandOnly: Uint8Array;
  /**
   * By v: IN_CORNERS where the line is only there in the corners, for the other side of the wall; IN_DROPS where it is there in the
   * drops to the points of this face too, as a level strip of the other side crosses them.
   */
  only: Uint8Array;
  /** Node at us[i], vs[j]: node[i + j·us.length], −1 where there is none. */
  node: Int32Array;
  over: number[];
  under: number[];
}

export const IN_CORNERS = 1;
export const IN_DROPS = 2;

/** Where within its band a cable is laid: the middle. */
export const BAND_LINE = BAND / 2;
/** Room a cable needs beside a joist to rise past it, mm. */
export const CLEAR = 8;

/** How far beside a box that it does not serve a cable is led, to its middle, mm. */
const PAST_BOX = 12.5;

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

function inside(xs: readonly number[], low: number, high: number): number[] {
  const out: number[] = [];
  for (const x of xs) if (x >= low - EPS && x <= high + EPS) out.push(clamp(x, low, high));
  return distinct(out);
}

/** Lines of a face with what its neighbours add to them, before any node stands on them. */
type Crossings = Pick<FaceLines, "us" | "vs" | "bandOnly" | "only">;

const joined = new Kept<Face, Crossings>();

/**
 * Collects the lines of every face: through points, the middles of bands, and those shared with neighbours and
 * opposite faces. Lists are the very same as those of the house before where neither the face nor what adds to it has changed.
 */
export function collectLines(h: House): FaceLines[] {
  const hung = hungPlaces(h);
  const drawn = drawnLines(h);
  const own = h.faces.map((f) => keptLines(h, f, hung, drawn[f.n]!));
  const out: FaceLines[] = [];
  for (const f of h.faces) {
    const from = [own[f.n]!, own[f.left]!, own[f.right]!];
    for (const o of f.opposite) from.push(own[o]!, own[h.faces[o]!.left]!, own[h.faces[o]!.right]!);
    const { over, under } = own[f.n]!;
    const { us, vs, bandOnly, only } = joined.of(f, from, (before) => {
      const now = joinLines(h, f, own);
      // What has changed beside it may add just the same.
      const same = before && parts.every((k) => alike(Array.from(before[k]), Array.from(now[k])));
      return same ? before : now;
    });
    out.push({ us, vs, bandOnly, only, face: f, over, under, node: NO_NODES });
  }
  return out;
}
const NO_NODES = new Int32Array(0);

const parts = ["us", "vs", "bandOnly", "only"] as const;

function joinLines(h: House, f: Face, own: readonly OwnLines[]): Crossings {
  const us = [...own[f.n]!.us];
  const vs = [...own[f.n]!.vs];
  const corners: number[] = [];
  const drops: number[] = [];
  for (const side of [f.left, f.right]) vs.push(...own[side]!.points.map((p) => p.v));
  for (const o of f.opposite) {
    const other = h.faces[o]!;
    for (const u of own[o]!.us) us.push(toFace(f.frame, toSpace(other.frame, { u, v: 0 })).u);
    const up = other.floor - f.floor;
    vs.push(up + other.shape.height - BAND_LINE, ...sharedBand(f.shape.height, up + other.shape.height));
    if (f.shape.thickness <= THIN_WALL + EPS) vs.push(...f.reverse.map((p) => p.v));
    // In a corner a cable may go through at any height: at that of what it comes from or goes to, there and round its next corner.
    for (const n of [other.left, other.right]) corners.push(...own[n]!.points.map((p) => up + p.v));
    // And in a drop of this face where a level strip of the other lies behind it.
    drops.push(...own[o]!.points.map((p) => up + p.v));
  }
  // Through the wall where a strip of this face and one of the other lie over each other.
  us.push(...sharedLines(f.points, f.reverse, "u", "width"));
  vs.push(...sharedLines(f.points, f.reverse, "v", "height"));
  const full = inside(us, 0, f.shape.length);
  const wide = inside(vs, 0, f.shape.height);
  const both = inside([...full, ...own[f.n]!.band], 0, f.shape.length);
  const crossed = inside([...wide, ...drops], 0, f.shape.height);
  const all = inside([...crossed, ...corners], 0, f.shape.height);
  const bandOnly = new Uint8Array(both.length);
  for (let i = 0; i < both.length; i++) if (indexNear(full, both[i]!) < 0) bandOnly[i] = 1;
  const only = new Uint8Array(all.length);
  for (let j = 0; j < all.length; j++)
    if (indexNear(wide, all[j]!) < 0) only[j] = indexNear(crossed, all[j]!) >= 0 ? IN_DROPS : IN_CORNERS;
  return { us: both, vs: all, bandOnly, only };
}

/**
 * Where the bands under two ceilings lie over each other though the middle of neither lies in the other: the middle of what they
 * share. Both faces come to the same.
 * @param top of this face, mm; so is that of the other, in the measures of this one
 */
function sharedBand(top: number, otherTop: number): number[] {
  const [low, high] = [Math.min(top, otherTop), Math.max(top, otherTop)];
  return high - low > BAND - BAND_LINE && low - (high - BAND) >= CLEAR ? [(low + high - BAND) / 2] : [];
}

/**
 * Lines that lie in the strips of two points, of this face or of the two faces of a wall, in the measures of this face: that of one of
 * the points where it lies in the strip of the other, else the middle of what they share. Both faces come to the same.
 */
function sharedLines(
  these: readonly PointOnFace[],
  those: readonly PointOnFace[],
  at: "u" | "v",
  size: "width" | "height",
): number[] {
  const out: number[] = [];
  for (const p of these)
    for (const q of those) {
      const lo = Math.max(p[at] - p[size] / 2, q[at] - q[size] / 2);
      const hi = Math.min(p[at] + p[size] / 2, q[at] + q[size] / 2);
      if (hi - lo < CLEAR) continue;
      const [first, then] = [Math.min(p[at], q[at]), Math.max(p[at], q[at])];
      out.push(first >= lo && first <= hi ? first : then >= lo && then <= hi ? then : (lo + hi) / 2);
    }
  return out;
}

/** Places along a face right beside every joist that it runs across; none where it runs along them. */
function besideJoists(f: Face, l: LaidDeck): number[] {
  const { origin, along } = f.frame;
  const slope = along[l.across];
  if (Math.abs(slope) < 1e-6) return [];
  const side = l.deck.joists.breadth / 2 + CLEAR;
  return l.joists.flatMap((j) => [j.at - side, j.at + side].map((x) => (x - origin[l.across === "x" ? 0 : 1]) / slope));
}

/** Where behind the middle of a strip there stands a stud: the lines beside it, within the strip. */
function besideStud(f: Face, mid: number, half: number): number[] {
  const stud = studAt(f.studs, mid);
  if (!stud) return [];
  const side = f.studs!.breadth / 2 + BESIDE_STUD;
  return [stud.at - side, stud.at + side].filter((u) => Math.abs(u - mid) <= half);
}

/**
 * Lines past boxes that stand in a strip but leave room within it, at most one on either side: the middle of the strip, how far it
 * reaches each way. Beside a box that leaves the middle free, on its far side, a cable comes to what lies there.
 */
function besideBoxes(mid: number, half: number, boxes: readonly Interval[]): number[] {
  const [below, above]: [number[], number[]] = [[], []];
  for (const [lo, hi] of boxes) {
    if (lo < mid - EPS && mid - lo + PAST_BOX <= half + EPS) below.push(lo - PAST_BOX);
    if (hi > mid + EPS && hi - mid + PAST_BOX <= half + EPS) above.push(hi + PAST_BOX);
  }
  return [...(below.length ? [Math.min(...below)] : []), ...(above.length ? [Math.max(...above)] : [])];
}

/** The lines that a face has by itself, without its neighbours. */
interface OwnLines {
  us: number[];
  vs: number[];
  points: UV[];
  /** Those that are only there to rise out of the band under the ceiling. */
  band: number[];
  over: number[];
  under: number[];
}

const kept = new Kept<Face, OwnLines>();

/**
 * The lines of a face by itself. They are kept with the face, which a house shares with the one before while nothing of it changes, and
 * collected anew when anything else that they depend on is not the same.
 * @param hung where points hang on decks
 * @param drawn lines of what the user has drawn on the face
 */
function keptLines(h: House, f: Face, hung: readonly number[], drawn: DrawnLines): OwnLines {
  const { fixtures, forbidden, settings } = h.job;
  const made = [
    h.decks,
    fixtures,
    forbidden,
    settings.schools,
    settings.chaseDepth,
    hung,
    "u",
    ...drawn.us,
    "v",
    ...drawn.vs,
  ];
  return kept.of(f, made, () => {
    const own = ownLines(h, f, drawn);
    return { ...own, band: bandLines(h, f, own.over) };
  });
}

const hungOn = new Kept<readonly LaidDeck[], readonly number[]>();

/** Where points hang on decks: the deck of each and its place in space. The very same list as long as it says the same. */
function hungPlaces(h: House): readonly number[] {
  const hung = h.points.flatMap((p) => (p.deck < 0 ? [] : [p.deck, ...p.space]));
  return hungOn.of(h.decks, hung, () => hung);
}

/** What the user has drawn on a face: the middle of sections of containment, and where ways out of doors leave it. */
interface DrawnLines {
  us: number[];
  vs: number[];
}

/** Lines of what the user has drawn, by face. */
function drawnLines(h: House): DrawnLines[] {
  const out = h.faces.map((): DrawnLines => ({ us: [], vs: [] }));
  for (const s of sectionsOf(h))
    for (const x of s.stretches) {
      // From end to end and from corner to corner; and where one goes on from the wall through a deck.
      if (x.face >= 0) {
        out[x.face]!.us.push(x.a.u, x.b.u);
        out[x.face]!.vs.push(x.a.v, x.b.v);
      } else if (x.beside !== undefined) out[x.beside]!.us.push(toFace(h.faces[x.beside]!.frame, x.from).u);
    }
  for (const { way, faces } of outsideOf(h))
    [way.from, way.to].forEach((p, i) => {
      const on = out[faces[i]!];
      on?.us.push(p.u);
      on?.vs.push(p.v);
    });
  return out;
}

function ownLines(h: House, f: Face, drawn: DrawnLines): Omit<OwnLines, "band"> {
  const { length, height } = f.shape;
  const { over, under } = decksOfFace(h, f);
  const rising = [...over, ...under].map((d) => h.decks[d]!).filter((d) => d.deck.kind !== "concrete");
  // What a cable is led past: other boxes, openings, steel, what is kept free.
  const steelAndKept = [
    ...h.job.fixtures.flatMap((x) => (x.wall === f.wall.id && x.kind === "beam" ? [rectOf(x)] : [])),
    ...h.job.forbidden.flatMap((x) => (x.place.on === "wall" && x.place.wall === f.wall.id ? [rectOf(x.place)] : [])),
  ];
  const inTheWay = [...f.shape.openings.map(rectOf), ...steelAndKept];
  const past = (at: "u" | "v", mid: number, half: number, not?: PointOnFace): number[] =>
    besideBoxes(
      mid,
      half,
      [...f.points.flatMap((p) => (p === not ? [] : [rectAround(p)])), ...inTheWay].map((r) =>
        at === "u" ? [r.u0, r.u1] : [r.v0, r.v1],
      ),
    );
  const us: number[] = [];
  const vs: number[] = [height - BAND_LINE, ...past("v", height - BAND_LINE, BAND_LINE)];
  if (over.length) vs.push(height);
  if (under.some((d) => h.decks[d]!.deck.kind !== "concrete")) vs.push(0);
  for (const p of f.points) {
    us.push(p.u);
    vs.push(p.v);
    // From a box that reaches into a corner a cable may go on in the corner, however deep a chase may be.
    const corners: Interval[] = [
      ...(f.shape.cornerLeft ? [[0, BAND] as const] : []),
      ...(f.shape.cornerRight ? [[length - BAND, length] as const] : []),
    ];
    for (const [lo, hi] of corners) {
      const [a, b] = [Math.max(lo, p.u - p.width / 2), Math.min(hi, p.u + p.width / 2)];
      if (b - a >= CLEAR && (p.u < lo || p.u > hi)) us.push((a + b) / 2);
    }
    us.push(...past("u", p.u, p.width / 2, p));
    vs.push(...past("v", p.v, p.height / 2, p));
    us.push(...besideStud(f, p.u, p.width / 2));
    for (const d of rising) {
      const reach = p.width / 2 - CLEAR;
      const u = nearestRise(f, p.u, reach, d);
      if (u !== null) us.push(u);
      // Over a wide plate a cable may rise into any bay that ends there.
      us.push(...besideJoists(f, d).filter((x) => Math.abs(x - p.u) <= reach && risesAt(f, x, d)));
    }
  }
  // Where no chase may be cut aside, a cable leaves its box by the strip of another point that the box reaches into.
  if (!atMost(h.job.settings.chaseDepth, deepestChase(f.wall, "level")))
    us.push(...sharedLines(f.points, f.points, "u", "width"));
  // A level strip that steel or what is kept free cuts off goes on behind it: through the wall and back again.
  if (f.opposite.length)
    for (const r of steelAndKept) us.push(...[r.u0 - PAST_BOX, r.u1 + PAST_BOX].filter((u) => u > 0 && u < length));
  us.push(...drawn.us);
  vs.push(...drawn.vs);
  // Strips of the other face count on a thin wall: those lines come from there, but not the ways past what stands on this side.
  if (f.shape.thickness <= THIN_WALL + EPS)
    for (const p of f.reverse) {
      us.push(...past("u", p.u, p.width / 2));
      vs.push(...past("v", p.v, p.height / 2));
    }
  const corner = (at: number, middle: number): void => {
    const half = Math.min(BAND_LINE, length / 2);
    us.push(at, middle, ...past("u", middle, half), ...besideStud(f, middle, half));
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
        ...boreLinesBeside(l, origin[l.across === "x" ? 0 : 1], h.job.settings.schools).map((x) => x.along),
        ...h.points.flatMap((p) => (p.deck === d ? [p.space[l.along === "x" ? 0 : 1]] : [])),
      ];
      return places
        .map((x) => (x - origin[l.along === "x" ? 0 : 1]) / along[l.along])
        .filter((u) => u >= 0 && u <= f.shape.length && risesAt(f, u, l));
    }
    return besideJoists(f, l).filter((u) => u >= 0 && u <= f.shape.length && risesAt(f, u, l));
  });
}
