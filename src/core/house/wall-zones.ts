import { lowestTop, stretchUnder } from "../base/ceiling";
import { type Interval, subtract } from "../base/interval";
import { type Rect, type UV, crosses, overlap, rectAround, rectOf, strictlyContains } from "../base/rect";
import { EPS, atMost } from "../base/tolerance";

/** Width of the band under the ceiling and of the corner bands, mm. Source BS 7671:2018+A2:2022 522.6.202. */
export const BAND = 150;
/** Depth at and beyond which a cable needs no zone, mm, from either surface. Same source. */
export const DEEP = 50;
/** Thickest wall that carries its strips through to the other face, mm. Same source. */
export const THIN_WALL = 100;

export type ZoneKind =
  "top-band" | "corner-band" | "point-vertical" | "point-horizontal" | "reverse-vertical" | "reverse-horizontal";

/** A zone on one wall face, mm. */
export interface Zone extends Rect {
  kind: ZoneKind;
  pointId?: string;
  /** Upper edge of a band under a sloping ceiling, from its left end to its right; the band is the 150 mm below it, measured plumb. */
  slope?: readonly [UV, UV];
}

/** A thing on the face, from its left bottom corner, mm. */
export interface OpeningOnFace {
  u: number;
  v: number;
  width: number;
  height: number;
}

/** An accessory on the face, u and v its centre, mm. */
export interface PointOnFace {
  id: string;
  u: number;
  v: number;
  width: number;
  height: number;
  /** A point of the other face: how far that face reaches, in this face's measures; its strips end there. Left out where not known. */
  within?: Rect;
}

/** One wall face as the zones see it. `cornerLeft`/`cornerRight`: whether that end is an angle with another wall. */
export interface WallFaceShape {
  length: number;
  height: number;
  thickness: number;
  openings: readonly OpeningOnFace[];
  cornerLeft: boolean;
  cornerRight: boolean;
  /** Upper edge of the wall where the ceiling slopes; left out where the wall is `height` high all along. */
  top?: readonly UV[] | undefined;
}

/**
 * The strip of a point along one axis, cut by openings as seen from the point. A strip only part of whose width
 * meets an opening goes on beside it, so it may come out as several rectangles side by side.
 */
function strip(wall: WallFaceShape, p: PointOnFace, axis: "u" | "v", openings: readonly Rect[]): Rect[] {
  const box = rectAround(p);
  const upright = axis === "v";
  const across: Interval = upright
    ? [Math.max(0, box.u0), Math.min(wall.length, box.u1)]
    : [Math.max(0, box.v0), Math.min(wall.height, box.v1)];
  const end = upright ? wall.height : wall.length;
  const at = upright ? p.v : p.u;
  if (across[1] <= across[0] + EPS) return [];
  const ends = openings.flatMap((o) => (upright ? [o.u0, o.u1] : [o.v0, o.v1]));
  const edges = [...across, ...ends.filter((e) => e > across[0] + EPS && e < across[1] - EPS)].sort((a, b) => a - b);
  const out: Rect[] = [];
  const [least, most] = !p.within ? [0, end] : upright ? [p.within.v0, p.within.v1] : [p.within.u0, p.within.u1];
  for (let i = 0; i + 1 < edges.length; i++) {
    const [a, b] = [edges[i]!, edges[i + 1]!];
    if (b - a <= EPS) continue;
    const mid = (a + b) / 2;
    const blocks: Interval[] = openings
      .filter((o) => (upright ? o.u0 < mid && o.u1 > mid : o.v0 < mid && o.v1 > mid))
      .map((o) => (upright ? [o.v0, o.v1] : [o.u0, o.u1]));
    const seen = subtract([Math.max(0, least), Math.min(end, most)], blocks).find(
      ([lo, hi]) => at >= lo - EPS && at <= hi + EPS,
    );
    if (!seen) continue;
    const last = out[out.length - 1];
    const r: Rect = upright ? { u0: a, u1: b, v0: seen[0], v1: seen[1] } : { u0: seen[0], u1: seen[1], v0: a, v1: b };
    const joins =
      last &&
      (upright
        ? last.u1 === r.u0 && last.v0 === r.v0 && last.v1 === r.v1
        : last.v1 === r.v0 && last.u0 === r.u0 && last.u1 === r.u1);
    if (joins) {
      if (upright) last.u1 = r.u1;
      else last.v1 = r.v1;
    } else out.push(r);
  }
  return out;
}

/**
 * All zones of one wall face: the band under the ceiling, the corner bands, the strips of every point on this face,
 * and, when the wall is at most 100 mm thick, the strips of points on the other face (given in this face's u).
 * A point whose centre lies in an opening makes no zone. Source BS 7671:2018+A2:2022 522.6.202.
 */
export function wallZones(
  wall: WallFaceShape,
  points: readonly PointOnFace[],
  reversePoints: readonly PointOnFace[] = [],
): Zone[] {
  const { length, height } = wall;
  const zones: Zone[] = topBands(wall);
  const topOver = (u0: number, u1: number): number => (wall.top ? lowestTop(wall.top, u0, u1) : height);
  if (wall.cornerLeft)
    zones.push({
      kind: "corner-band",
      u0: 0,
      v0: 0,
      u1: Math.min(BAND, length),
      v1: topOver(0, Math.min(BAND, length)),
    });
  if (wall.cornerRight)
    zones.push({
      kind: "corner-band",
      u0: Math.max(0, length - BAND),
      v0: 0,
      u1: length,
      v1: topOver(Math.max(0, length - BAND), length),
    });
  const face: Rect = { u0: 0, v0: 0, u1: length, v1: height };
  const openings = wall.openings.map(rectOf).filter((o) => overlap(o, face));
  const add = (list: readonly PointOnFace[], prefix: "point" | "reverse"): void => {
    for (const p of list) {
      if (openings.some((o) => strictlyContains(o, p))) continue;
      if (!overlap(rectAround(p), face)) continue;
      for (const r of strip(wall, p, "v", openings)) {
        const v1 = Math.min(r.v1, topOver(r.u0, r.u1));
        if (v1 > r.v0 + EPS) zones.push({ kind: `${prefix}-vertical`, pointId: p.id, ...r, v1 });
      }
      for (const r of strip(wall, p, "u", openings)) {
        const under = wall.top ? stretchUnder(wall.top, p.u, r.v1, r.u0, r.u1) : [r.u0, r.u1];
        if (under) zones.push({ kind: `${prefix}-horizontal`, pointId: p.id, ...r, u0: under[0]!, u1: under[1]! });
      }
    }
  };
  add(points, "point");
  if (atMost(wall.thickness, THIN_WALL)) add(reversePoints, "reverse");
  return zones;
}

/**
 * The band under the top of the wall: one rectangle under a level top, one sloping band for each sloping stretch. Measured plumb,
 * so that a mark made with a level keeps at least the 150 mm of the rule, which is to the nearest place of the edge.
 */
function topBands(wall: WallFaceShape): Zone[] {
  const { length, height, top } = wall;
  if (!top) return [{ kind: "top-band", u0: 0, v0: Math.max(0, height - BAND), u1: length, v1: height }];
  const out: Zone[] = [];
  for (let i = 1; i < top.length; i++) {
    const [p, q] = [top[i - 1]!, top[i]!];
    const level = Math.abs(p.v - q.v) <= EPS;
    out.push({
      kind: "top-band",
      u0: p.u,
      v0: Math.max(0, Math.min(p.v, q.v) - BAND),
      u1: q.u,
      v1: Math.max(p.v, q.v),
      ...(level ? {} : { slope: [p, q] as const }),
    });
  }
  return out;
}

/** The openings that a level or plumb stretch runs through, by number. */
export function openingsCrossed(
  openings: readonly OpeningOnFace[],
  a: { u: number; v: number },
  b: { u: number; v: number },
): number[] {
  return openings.flatMap((o, i) => (crosses(rectOf(o), a, b) ? [i] : []));
}
