import { type XY, insidePolygon, signedArea } from "../base/polygon";
import { EPS } from "../base/tolerance";
import { type XYZ, distance, pathLength, toSpace } from "../base/wall-frame";
import type { Ground, OutsideWay } from "../job/model";
import { isMetalClad } from "../rules/cables";
import { cableOf } from "../rules/catalogue";
import { massOf } from "../rules/masses";
import { type Span, arcOf, heightAt, weightOf } from "../rules/sag";
import type { House } from "./house";

/** A stretch of ground along a line, mm along it: its level in space, what lies there, and whether branches spread over it. */
export interface GroundStretch {
  from: number;
  to: number;
  level: number;
  /** Null where nothing was drawn. */
  kind: Exclude<Ground["kind"], "tree"> | null;
  name: string;
  tree: boolean;
}

/**
 * A stretch of a trench between two places where something changes: ground, fall or duct. Depths of the cable below
 * the ground there.
 */
export interface TrenchStretch extends GroundStretch {
  depthFrom: number;
  depthTo: number;
  /** Outside diameter of the duct there; null without one. */
  duct: number | null;
}

/** A span of a catenary: its wire as a parabola, where it hangs, and how far along the whole its start lies. */
export interface CatenarySpan extends Span {
  at: number;
  ends: readonly [XYZ, XYZ];
  /** Names of its supports, as "wall" or the label of a post. */
  supports: readonly [string, string];
}

/** A way out of doors as it lies. */
export interface LaidOutside {
  way: OutsideWay;
  /** Faces it leaves and comes to. */
  faces: readonly [number, number];
  /** Seen from above, from wall to wall. */
  line: readonly XY[];
  /** mm along the line seen from above. */
  length: number;
  ground: GroundStretch[];
  /** Of a trench; none of a catenary. */
  trench: TrenchStretch[];
  /** Of a catenary; none of a trench. */
  spans: CatenarySpan[];
  /** The cable's middle, from wall to wall. */
  path: XYZ[];
  /** mm of cable in it. */
  cable: number;
}

type On = Pick<House, "job" | "catalogue" | "faces" | "faceOfWall">;

/** Pieces that a span's parabola is drawn in. */
const PIECES = 12;

const along = (line: readonly XY[]): number[] => {
  const out = [0];
  for (let i = 1; i < line.length; i++)
    out.push(out[i - 1]! + Math.hypot(line[i]!.x - line[i - 1]!.x, line[i]!.y - line[i - 1]!.y));
  return out;
};

/** The place so far along a line, mm. */
export function placeAlong(line: readonly XY[], at: number): XY {
  const far = along(line);
  let i = 1;
  while (i < line.length - 1 && far[i]! < at) i++;
  const [a, b] = [line[i - 1]!, line[i]!];
  const t = far[i]! > far[i - 1]! ? (at - far[i - 1]!) / (far[i]! - far[i - 1]!) : 0;
  return { x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t };
}

/** Where a line crosses the sides of an outline, mm along it. */
function crossings(line: readonly XY[], outline: readonly XY[]): number[] {
  const far = along(line);
  const out: number[] = [];
  for (let i = 1; i < line.length; i++) {
    const [a, b] = [line[i - 1]!, line[i]!];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    outline.forEach((p, k) => {
      const q = outline[(k + 1) % outline.length]!;
      const det = dx * (q.y - p.y) - dy * (q.x - p.x);
      if (Math.abs(det) < EPS) return;
      const t = ((p.x - a.x) * (q.y - p.y) - (p.y - a.y) * (q.x - p.x)) / det;
      const s = ((p.x - a.x) * dy - (p.y - a.y) * dx) / det;
      if (t >= 0 && t <= 1 && s >= 0 && s <= 1) out.push(far[i - 1]! + t * (far[i]! - far[i - 1]!));
    });
  }
  return out;
}

const distinctSorted = (xs: readonly number[], least: number, most: number): number[] =>
  [...xs]
    .filter((x) => x > least + EPS && x < most - EPS)
    .concat(least, most)
    .sort((a, b) => a - b)
    .filter((x, i, all) => i === 0 || x - all[i - 1]! > EPS);

/**
 * What lies under a line seen from above. Where parts of the ground lie over each other the smaller one is on top: a
 * path in a lawn.
 */
export function groundUnder(h: Pick<House, "job">, line: readonly XY[], base: number): GroundStretch[] {
  const far = along(line);
  const length = far[far.length - 1]!;
  const floors = new Map(
    h.job.rooms.map((r) => [r.id, h.job.storeys.find((s) => s.id === r.storey)?.level ?? 0] as const),
  );
  const parts = [...h.job.grounds].sort(
    (a, b) => Math.abs(signedArea(a.outline)) - Math.abs(signedArea(b.outline)) || (a.id < b.id ? -1 : 1),
  );
  const stops = distinctSorted([...far, ...parts.flatMap((g) => crossings(line, g.outline))], 0, length);
  const out: GroundStretch[] = [];
  for (let i = 1; i < stops.length; i++) {
    const [from, to] = [stops[i - 1]!, stops[i]!];
    const mid = placeAlong(line, (from + to) / 2);
    const here = parts.filter((g) => insidePolygon(g.outline, mid));
    const top = here.find((g) => g.kind !== "tree");
    const next: GroundStretch = {
      from,
      to,
      level: top ? (floors.get(top.room) ?? base) + top.level : base,
      kind: top ? (top.kind as GroundStretch["kind"]) : null,
      name: top?.name ?? "",
      tree: here.some((g) => g.kind === "tree"),
    };
    const last = out[out.length - 1];
    if (
      last &&
      last.level === next.level &&
      last.kind === next.kind &&
      last.tree === next.tree &&
      last.name === next.name
    )
      last.to = to;
    else out.push(next);
  }
  return out;
}

/** Level of the ground so far along; at a step the lower side counts. */
export function levelAt(ground: readonly GroundStretch[], at: number): number {
  const here = ground.filter((g) => at >= g.from - EPS && at <= g.to + EPS);
  return Math.min(...here.map((g) => g.level));
}

/** Straight between given places, mm along and up. */
const between = (knots: readonly (readonly [number, number])[], at: number): number => {
  let i = 1;
  while (i < knots.length - 1 && knots[i]![0] < at) i++;
  const [a, b] = [knots[i - 1]!, knots[i]!];
  const t = b[0] > a[0] ? (at - a[0]) / (b[0] - a[0]) : 0;
  return a[1] + (b[1] - a[1]) * t;
};

/** Mass of the heaviest armour of the job, kg a metre: what a catenary is made for before a cable lies on it. */
const heaviest = (h: On): number =>
  Math.max(
    0.37,
    ...h.job.circuits.flatMap((c) => {
      const cable = cableOf(c.cable, h.catalogue);
      return cable && isMetalClad(cable) ? [massOf(cable) ?? 0] : [];
    }),
  );

/** A way as it lies in the house; null where a wall or a post of it is not there. */
export function layOutside(h: On, way: OutsideWay): LaidOutside | null {
  const [f, g] = [way.from, way.to].map((e) => h.faces[h.faceOfWall.get(e.wall) ?? -1]);
  if (!f || !g) return null;
  const [a, b] = [toSpace(f.frame, way.from), toSpace(g.frame, way.to)];
  const posts = way.kind === "catenary" ? way.posts.map((id) => h.job.posts.find((p) => p.id === id)) : [];
  if (posts.some((p) => p === undefined)) return null;
  const middle: XY[] = way.kind === "trench" ? way.turns : posts.map((p) => ({ x: p!.x, y: p!.y }));
  const line: XY[] = [{ x: a[0], y: a[1] }, ...middle, { x: b[0], y: b[1] }];
  const far = along(line);
  const length = far[far.length - 1]!;
  if (length <= EPS) return null;
  const ground = groundUnder(h, line, f.floor);
  const base = { way, faces: [f.n, g.n] as const, line, length, ground };
  if (way.kind === "trench") {
    const knots = [
      { at: 0, depth: way.depth },
      ...way.depths.filter((d) => d.at > EPS && d.at < length - EPS),
      { at: length, depth: way.depth },
    ]
      .sort((p, q) => p.at - q.at)
      .map((k) => [k.at, levelAt(ground, k.at) - k.depth] as const);
    const level = (at: number): number => between(knots, at);
    const stops = distinctSorted(
      [...ground.map((x) => x.from), ...knots.map((k) => k[0]), ...way.ducts.flatMap((d) => [d.from, d.to])],
      0,
      length,
    );
    const trench = stops.slice(1).map((to, i): TrenchStretch => {
      const from = stops[i]!;
      const mid = (from + to) / 2;
      const under = ground.find((x) => mid >= x.from && mid <= x.to)!;
      return {
        ...under,
        from,
        to,
        depthFrom: under.level - level(from),
        depthTo: under.level - level(to),
        duct: way.ducts.find((d) => mid > d.from && mid < d.to)?.size ?? null,
      };
    });
    const places = distinctSorted([...far, ...knots.map((k) => k[0])], 0, length);
    const path: XYZ[] = [
      a,
      ...places.map((s): XYZ => {
        const p = placeAlong(line, s);
        return [p.x, p.y, level(s)];
      }),
      b,
    ].filter((p, i, all) => i === 0 || distance(p, all[i - 1]!) > EPS);
    return { ...base, trench, spans: [], path, cable: pathLength(path) };
  }
  const supports: XYZ[] = [a, ...posts.map((p, i): XYZ => [p!.x, p!.y, levelAt(ground, far[i + 1]!) + p!.height]), b];
  const named = ["wall", ...posts.map((p) => p!.label), "wall"];
  const weight = weightOf(heaviest(h), way.wire);
  const all = supports.slice(1).map((to, i): CatenarySpan => {
    const from = supports[i]!;
    return {
      at: far[i]!,
      length: far[i + 1]! - far[i]!,
      from: from[2],
      to: to[2],
      weight,
      tension: way.tension,
      ends: [from, to],
      supports: [named[i]!, named[i + 1]!],
    };
  });
  // A post named twice, or one at the very wall, makes no span.
  const spans = all.filter((s) => s.length > EPS);
  const path: XYZ[] = [a];
  for (const s of spans)
    for (let k = 1; k <= PIECES; k++) {
      const t = k / PIECES;
      const [p, q] = s.ends;
      path.push(k === PIECES ? q : [p[0] + (q[0] - p[0]) * t, p[1] + (q[1] - p[1]) * t, heightAt(s, t * s.length)]);
    }
  return { ...base, trench: [], spans, path, cable: spans.reduce((sum, s) => sum + arcOf(s), 0) };
}

const laid = new WeakMap<House, LaidOutside[]>();

/** Every way out of doors as it lies; one that has lost a wall or a post is left out. */
export function outsideOf(h: House): readonly LaidOutside[] {
  let out = laid.get(h);
  if (!out) laid.set(h, (out = h.job.outsideWays.flatMap((w) => layOutside(h, w) ?? [])));
  return out;
}

/** What passes over the ground there, as the rules for heights name it. */
export function passing(kind: GroundStretch["kind"]): "road" | "vehicles" | "caravan-vehicles" | "foot" {
  if (kind === "road") return "road";
  if (kind === "drive") return "vehicles";
  return kind === "caravans" ? "caravan-vehicles" : "foot";
}
