import { distinct, indexNear } from "../base/distinct";
import { crosses, rectAround, rectOf, strictlyContains, type UV } from "../base/rect";
import { topAt } from "../base/ceiling";
import { unionCovers } from "../base/rect-union";
import { EPS, atMost, clamp, same } from "../base/tolerance";
import { toFace, toSpace } from "../base/wall-frame";
import { type Face, type House, deckReaches, decksOfFace } from "../house/house";
import type { LaidDeck } from "../house/deck";
import { BAND, THIN_WALL } from "../house/wall-zones";
import { BESIDE_STUD, studAt } from "../house/studs";
import { zoneUnion } from "../house/zone-union";
import { deepestChase } from "../rules/chases";
import { boreLinesBeside } from "./bore-lines";
import { EDGE, type GraphDraft, addEdge, addNode } from "./graph";

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
const BAND_LINE = BAND / 2;
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

/**
 * Adds nodes and edges of every face to the graph: level and plumb stretches inside the zones (and, when `surface` is wanted,
 * outside them too), turns round internal corners, and holes through walls between faces of two rooms.
 */
export function addWalls(g: GraphDraft, h: House, lines: FaceLines[], surface: boolean): void {
  for (const l of lines)
    if (l.face.wall.build === "open") l.node = new Int32Array(l.us.length * l.vs.length).fill(-1);
    else addFace(g, h, l, surface);
  for (const l of lines) {
    const next = lines[l.face.right]!;
    // Round a corner: the right end of this face is the left end of the next.
    if (!l.face.shape.cornerRight) continue;
    const i = l.us.length - 1;
    if (!same(l.us[i] ?? -1, l.face.shape.length) || !same(next.us[0] ?? -1, 0)) continue;
    l.vs.forEach((v, j) => {
      const k = next.vs.findIndex((w) => same(w, v));
      const a = l.node[i + j * l.us.length]!;
      const b = k < 0 ? -1 : next.node[k * next.us.length]!;
      if (a >= 0 && b >= 0) addEdge(g, a, b, EDGE.corner, l.face.n);
    });
  }
  for (const l of lines) for (const o of l.face.opposite) if (o > l.face.n) addThrough(g, l, lines[o]!);
}

/** Studs on a level stretch, noggins and plates on a plumb one: a timber right at its end counts for the stretch that ends there. */
function timbersOn(f: Face, a: UV, b: UV): number {
  const { studs } = f;
  if (!studs) return 0;
  if (same(a.v, b.v)) return studs.studs.filter((s) => s.at > a.u + EPS && s.at <= b.u + EPS).length;
  const plates = (same(a.v, 0) ? 1 : 0) + (same(b.v, f.shape.height) ? 1 : 0);
  return plates + studs.noggins.filter((v) => v > a.v + EPS && v <= b.v + EPS).length;
}

function addFace(g: GraphDraft, h: House, l: FaceLines, surface: boolean): void {
  const { face, us, vs } = l;
  const union = zoneUnion(face.zones);
  const { top } = face.shape;
  const rects = face.shape.openings.map(rectOf);
  // What is kept free, and the end of a beam in the wall: nothing is chased through steel.
  const barred = [
    ...h.job.forbidden.flatMap((x) =>
      x.place.on === "wall" && x.place.wall === face.wall.id ? [rectOf(x.place)] : [],
    ),
    ...h.job.fixtures.filter((x) => x.wall === face.wall.id && x.kind === "beam").map(rectOf),
  ];
  // Into a thin leaf no chase is cut as deep as the job's.
  const deep = h.job.settings.chaseDepth;
  const levelChase = atMost(deep, deepestChase(face.wall, "level"));
  const plumbChase = atMost(deep, deepestChase(face.wall, "plumb"));
  const wet = h.job.fixtures
    .filter((x) => x.wall === face.wall.id && (x.kind === "bath" || x.kind === "sink"))
    .map(rectOf);
  const boxes = face.points.map((p) => ({ rect: rectAround(p), n: h.pointOfId.get(p.id)! }));
  l.node = new Int32Array(us.length * vs.length).fill(-1);
  const nodeAt = (i: number, j: number): number => {
    const k = i + j * us.length;
    if (l.node[k]! < 0)
      l.node[k] = addNode(
        g,
        toSpace(face.frame, { u: us[i]!, v: vs[j]! }),
        boxes.find((x) => strictlyContains(x.rect, { u: us[i]!, v: vs[j]! }))?.n ?? -1,
      );
    return l.node[k]!;
  };
  const link = (i: number, j: number, i2: number, j2: number): void => {
    const a: UV = { u: us[i]!, v: vs[j]! };
    const b: UV = { u: us[i2]!, v: vs[j2]! };
    if (rects.some((r) => strictlyContains(r, a) || strictlyContains(r, b) || crosses(r, a, b))) return;
    if (barred.some((r) => crosses(r, a, b))) return;
    // The top of a wall under a sloping ceiling bulges upwards, so a stretch under it at both ends is under it all along.
    if (top && (a.v > topAt(top, a.u) + EPS || b.v > topAt(top, b.u) + EPS)) return;
    const plumb = same(a.u, b.u);
    const hidden = (plumb ? plumbChase : levelChase) && unionCovers(union, a, b) && !(plumb && studAt(face.studs, a.u));
    if (!hidden && !surface) return;
    const box = boxes.find((x) => crosses(x.rect, a, b))?.n ?? -1;
    addEdge(g, nodeAt(i, j), nodeAt(i2, j2), EDGE.wall, face.n, {
      box,
      hidden,
      wet: wet.some((r) => crosses(r, a, b)),
      timbers: timbersOn(face, a, b),
    });
  };
  const inBand = (j: number): boolean => vs[j]! >= face.shape.height - BAND_LINE - EPS;
  for (let j = 0; j < vs.length; j++) {
    const columns = us.flatMap((_, i) => (l.bandOnly[i] && !inBand(j) ? [] : [i]));
    columns.forEach((i, k) => {
      // Along the very ceiling or floor line nothing is laid; plumb lines pass it into the deck.
      const next = columns[k + 1];
      if (next !== undefined && !same(vs[j]!, 0) && !same(vs[j]!, face.shape.height)) link(i, j, next, j);
      if (j + 1 < vs.length) link(i, j, i, j + 1);
    });
  }
  // A point whose own strips are cut off on every side still has a node, so that the search can say it is unreachable.
  for (const p of face.points) {
    const i = us.findIndex((u) => same(u, p.u));
    const j = vs.findIndex((v) => same(v, p.v));
    if (i >= 0 && j >= 0) nodeAt(i, j);
  }
}

function addThrough(g: GraphDraft, l: FaceLines, o: FaceLines): void {
  const f = l.face;
  l.vs.forEach((v, j) =>
    l.us.forEach((u, i) => {
      const a = l.node[i + j * l.us.length]!;
      // Nobody drills in the very corner.
      if (a < 0 || same(u, 0) || same(u, f.shape.length)) return;
      const there = toFace(o.face.frame, toSpace(f.frame, { u, v }));
      if (there.u < CLEAR || there.u > o.face.shape.length - CLEAR) return;
      const i2 = indexNear(o.us, there.u);
      const j2 = indexNear(o.vs, there.v);
      const b = i2 < 0 || j2 < 0 ? -1 : o.node[i2 + j2 * o.us.length]!;
      if (b >= 0) addEdge(g, a, b, EDGE.through, f.n, { ref2: o.face.n });
    }),
  );
}
