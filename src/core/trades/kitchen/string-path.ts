import { type XY, insidePolygon, segmentsMeet } from "../../base/polygon";
import { EPS, atMost } from "../../base/tolerance";
import { toFace, toSpace } from "../../base/wall-frame";
import type { Face, House } from "../../house/house";
import { ofCeiling, voidOver } from "../../house/over-ceiling";
import { type Fact, fact } from "../../rules/fact";
import { kitchenRules } from "./clearances";

/** Fixtures this high are gone round, not over: a string cannot be drawn through a tall unit, mm. */
const TALL = 1800;

/** The shortest way of a taut string over the floor from the edge of a bowl to a point. */
export interface StringPath {
  point: string;
  sink: string;
  /** mm, in plan: heights are left out, so that the string is never taken too long. */
  length: number;
  path: XY[];
}

interface Floor {
  /** Places where a string may lie: rooms, and the ways through arches between them. */
  areas: XY[][];
  /** Stretches it may not cross: walls, and the sides of tall units. */
  blocks: [XY, XY][];
  /** Corners it may bend round. */
  corners: XY[];
}

const at = (f: Face, u: number, into = 0): XY => {
  const s = toSpace(f.frame, { u, v: 0 }, into);
  return { x: s[0], y: s[1] };
};

/** The open floor of a storey: doors that close stop the string, arches let it through. */
function floorOf(h: House, storey: string): Floor {
  const faces = h.faces.filter((f) => f.room.storey === storey);
  const floor: Floor = { areas: [...new Set(faces.map((f) => f.room))].map((r) => r.outline), blocks: [], corners: [] };
  for (const f of faces) {
    floor.corners.push(at(f, 0));
    if (f.wall.build === "open") continue;
    // A wall is what is left of it between the arches that lead into another room.
    const arches = h.job.openings
      .filter((o) => o.wall === f.wall.id && o.kind === "arch" && o.v <= EPS)
      .filter((o) =>
        f.opposite.some((n) => {
          const other = h.faces[n]!;
          const ends = [o.u, o.u + o.width].map((u) => toFace(other.frame, toSpace(f.frame, { u, v: 0 })).u);
          return Math.min(...ends) >= -EPS && Math.max(...ends) <= other.shape.length + EPS;
        }),
      )
      .sort((p, q) => p.u - q.u);
    let from = 0;
    for (const o of arches) {
      const other =
        h.faces[
          f.opposite.find((n) => {
            const u = toFace(h.faces[n]!.frame, toSpace(f.frame, { u: o.u + o.width / 2, v: 0 })).u;
            return u >= 0 && u <= h.faces[n]!.shape.length;
          })!
        ]!;
      const gap = -toFace(f.frame, other.frame.origin).into;
      if (o.u - from > EPS) floor.blocks.push([at(f, from), at(f, o.u)]);
      from = o.u + o.width;
      const way = [at(f, o.u), at(f, o.u + o.width), at(f, o.u + o.width, -gap), at(f, o.u, -gap)];
      floor.areas.push(way);
      floor.corners.push(...way);
      // Reveals of the arch.
      floor.blocks.push([way[0]!, way[3]!], [way[1]!, way[2]!]);
    }
    if (f.shape.length - from > EPS) floor.blocks.push([at(f, from), at(f, f.shape.length)]);
    for (const x of h.job.fixtures) {
      if (x.wall !== f.wall.id || x.v > EPS || x.v + x.height < TALL || x.kind === "beam") continue;
      // A hair into the wall, so that no string slips along the wall behind it.
      const [a, b, c, d] = [
        at(f, x.u, -1),
        at(f, x.u, x.depth),
        at(f, x.u + x.width, x.depth),
        at(f, x.u + x.width, -1),
      ];
      floor.blocks.push([a, b], [b, c], [c, d]);
      floor.corners.push(b, c);
    }
  }
  for (const [p, q] of openCuts(h, storey)) cut(floor, p, q);
  return floor;
}

/** Stretches of the far faces of arches: an arch opens the other face too, whether or not it was drawn there as well. */
function openCuts(h: House, storey: string): [XY, XY][] {
  return h.job.openings.flatMap((o): [XY, XY][] => {
    const f = h.faces[h.faceOfWall.get(o.wall) ?? -1];
    if (!f || f.room.storey !== storey || o.kind !== "arch" || o.v > EPS) return [];
    return f.opposite.map((n) => {
      const gap = -toFace(f.frame, h.faces[n]!.frame.origin).into;
      return [at(f, o.u, -gap), at(f, o.u + o.width, -gap)];
    });
  });
}

/** Takes the stretch p–q out of the blocks that lie along it. */
function cut(floor: Floor, p: XY, q: XY): void {
  const out: [XY, XY][] = [];
  for (const [a, b] of floor.blocks) {
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    const d = { x: (b.x - a.x) / length, y: (b.y - a.y) / length };
    const off = (r: XY): number => Math.abs((r.x - a.x) * d.y - (r.y - a.y) * d.x);
    const along = (r: XY): number => (r.x - a.x) * d.x + (r.y - a.y) * d.y;
    const [lo, hi] = [Math.min(along(p), along(q)), Math.max(along(p), along(q))];
    if (off(p) > 1 || off(q) > 1 || hi <= EPS || lo >= length - EPS) {
      out.push([a, b]);
      continue;
    }
    const place = (t: number): XY => ({ x: a.x + d.x * t, y: a.y + d.y * t });
    if (lo > EPS) out.push([a, place(lo)]);
    if (hi < length - EPS) out.push([place(hi), b]);
  }
  floor.blocks = out;
}

/** True when a string may lie straight between two places: over open floor, touching walls and corners but crossing none. */
function straight(floor: Floor, a: XY, b: XY): boolean {
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  if (length < EPS) return true;
  // Drawn in by a hair at both ends, so that starting on a wall is no crossing of it.
  const hair = Math.min(0.01 / length, 0.4);
  const p = { x: a.x + (b.x - a.x) * hair, y: a.y + (b.y - a.y) * hair };
  const q = { x: b.x + (a.x - b.x) * hair, y: b.y + (a.y - b.y) * hair };
  const side = (s: XY, t: XY, r: XY): number =>
    ((t.x - s.x) * (r.y - s.y) - (t.y - s.y) * (r.x - s.x)) / Math.hypot(t.x - s.x, t.y - s.y);
  for (const [s, t] of floor.blocks) {
    const d = [side(s, t, p), side(s, t, q)] as const;
    const e = [side(p, q, s), side(p, q, t)] as const;
    if (Math.abs(d[0]) < 0.02 && Math.abs(d[1]) < 0.02) continue;
    if (d[0] * d[1] < 0 && e[0] * e[1] < 0 && Math.min(Math.abs(e[0]), Math.abs(e[1])) > 0.02) return false;
    // Through the very end of a block, with both sides of the string on either side of it: round a corner, not through.
    if (d[0] * d[1] < 0 && Math.min(Math.abs(e[0]), Math.abs(e[1])) <= 0.02 && segmentsMeet(p, q, s, t)) {
      const inside = [0.25, 0.5, 0.75].every((k) =>
        floor.areas.some((o) => insidePolygon(o, { x: p.x + (q.x - p.x) * k, y: p.y + (q.y - p.y) * k })),
      );
      if (!inside) return false;
    }
  }
  return [0.02, 0.26, 0.5, 0.74, 0.98].every((k) => {
    const r = { x: p.x + (q.x - p.x) * k, y: p.y + (q.y - p.y) * k };
    return floor.areas.some((o) => insidePolygon(o, r) || near(o, r));
  });
}

const near = (outline: readonly XY[], r: XY): boolean =>
  outline.some((a, i) => {
    const b = outline[(i + 1) % outline.length]!;
    const len2 = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
    const t = len2 === 0 ? 0 : Math.min(1, Math.max(0, ((r.x - a.x) * (b.x - a.x) + (r.y - a.y) * (b.y - a.y)) / len2));
    return Math.hypot(r.x - a.x - t * (b.x - a.x), r.y - a.y - t * (b.y - a.y)) < 0.05;
  });

/** Shortest string from any of the starts to the end over an open floor; null when walls and doors stop it. */
export function tautString(
  floor: { areas: XY[][]; blocks: [XY, XY][]; corners: XY[] },
  starts: readonly XY[],
  end: XY,
): { length: number; path: XY[] } | null {
  const nodes = [...starts, ...floor.corners, end];
  const best = nodes.map((_, i) => (i < starts.length ? 0 : Infinity));
  const prev = nodes.map(() => -1);
  const done = nodes.map(() => false);
  const last = nodes.length - 1;
  for (;;) {
    let i = -1;
    for (let k = 0; k < nodes.length; k++) if (!done[k] && best[k]! < Infinity && (i < 0 || best[k]! < best[i]!)) i = k;
    if (i < 0) return null;
    if (i === last) break;
    done[i] = true;
    for (let k = starts.length; k < nodes.length; k++) {
      if (done[k]) continue;
      const d = best[i]! + Math.hypot(nodes[k]!.x - nodes[i]!.x, nodes[k]!.y - nodes[i]!.y);
      if (d < best[k]! - 1e-9 && straight(floor, nodes[i]!, nodes[k]!)) {
        best[k] = d;
        prev[k] = i;
      }
    }
  }
  const path: XY[] = [];
  for (let i = last; i >= 0; i = prev[i]!) path.unshift(nodes[i]!);
  return { length: best[last]!, path };
}

/**
 * For every point of a storey with a sink: the shortest string from the edge of the nearest bowl, up to `most` mm; it bends round
 * corners and tall units, goes through arches, and stops at walls and doors that close. Source: Approved Document P, Wales, in our words.
 */
export function stringPaths(h: House, most = kitchenRules.notify): StringPath[] {
  const out: StringPath[] = [];
  for (const storey of h.job.storeys) {
    const sinks = h.job.fixtures.filter(
      (x) => x.kind === "sink" && h.faces[h.faceOfWall.get(x.wall) ?? -1]?.room.storey === storey.id,
    );
    if (!sinks.length) continue;
    const floor = floorOf(h, storey.id);
    for (const p of h.points) {
      const f = h.faces[p.face];
      const over = p.deck >= 0;
      if (
        over
          ? !h.job.rooms.some(
              (r) =>
                r.storey === storey.id &&
                insidePolygon(r.outline, { x: p.space[0], y: p.space[1] }) &&
                ofCeiling(h.decks[p.deck]!.underside, storey.level + r.height, voidOver(r)),
            )
          : f?.room.storey !== storey.id
      )
        continue;
      const end = { x: p.space[0], y: p.space[1] };
      let found: StringPath | null = null;
      for (const s of sinks) {
        const face = h.faces[h.faceOfWall.get(s.wall)!]!;
        // The rim of the bowl from above: corners, and the places nearest to the point on its three free sides and its back.
        const rim = [at(face, s.u), at(face, s.u + s.width), at(face, s.u, s.depth), at(face, s.u + s.width, s.depth)];
        const mine = toFace(face.frame, [end.x, end.y, face.floor]);
        const u = Math.min(Math.max(mine.u, s.u), s.u + s.width);
        const into = Math.min(Math.max(mine.into, 0), s.depth);
        rim.push(at(face, u, into), at(face, s.u, into), at(face, s.u + s.width, into), at(face, u, s.depth));
        if (Math.hypot(end.x - at(face, u, into).x, end.y - at(face, u, into).y) > most + EPS) continue;
        const t = tautString(floor, rim, end);
        if (t && atMost(t.length, most) && (!found || t.length < found.length))
          found = { point: p.point.id, sink: s.id, ...t };
      }
      if (found) out.push(found);
    }
  }
  return out;
}

/** Notes for the points of a Welsh dwelling that make the work notifiable. */
export function notifyFacts(h: House): Fact[] {
  if (h.job.dwelling.country !== "wales") return [];
  return stringPaths(h)
    .filter((s) => !h.points[h.pointOfId.get(s.point)!]!.point.existing)
    .map((s) => {
      return fact("kitchen.notify.wales", "point", s.point, {
        measured: s.length,
        limit: kitchenRules.notify,
        sense: "least",
        unit: "mm",
      });
    });
}
