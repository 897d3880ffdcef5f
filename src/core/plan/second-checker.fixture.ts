import type { Job } from "../job/model";
import type { Plan } from "../laid/laid";
import { plateOf } from "../rules/accessories";
import { cableOf } from "../rules/catalogue";

/*
 * A second checker, for tests: written from the rules alone, from the job as it is stored. It shares no code with the laying out of
 * the house, the zones, the timber or the search; it walks along every leg in steps of 10 mm and asks of each place whether a cable
 * may be there. Slow and plain.
 */

type V3 = readonly number[];
const near = (a: number, b: number, by = 0.6): boolean => Math.abs(a - b) <= by;

interface Wall {
  id: string;
  room: Job["rooms"][number];
  wall: Job["walls"][number];
  floor: number;
  ox: number;
  oy: number;
  dx: number;
  dy: number;
  long: number;
}

function wallsOf(job: Job): Wall[] {
  return job.walls.map((wall) => {
    const room = job.rooms.find((r) => r.id === wall.room)!;
    const a = room.outline[wall.index]!;
    const b = room.outline[(wall.index + 1) % room.outline.length]!;
    const long = Math.hypot(b.x - a.x, b.y - a.y);
    const floor = job.storeys.find((s) => s.id === room.storey)!.level;
    return { id: wall.id, room, wall, floor, ox: a.x, oy: a.y, dx: (b.x - a.x) / long, dy: (b.y - a.y) / long, long };
  });
}

/** A place of the house on a wall: along it, up it, and how far it lies in front of its face. */
const on = (w: Wall, p: V3): { u: number; v: number; out: number } => ({
  u: (p[0]! - w.ox) * w.dx + (p[1]! - w.oy) * w.dy,
  v: p[2]! - w.floor,
  out: (p[0]! - w.ox) * w.dy - (p[1]! - w.oy) * w.dx,
});
const spot = (w: Wall, u: number, v: number): V3 => [w.ox + u * w.dx, w.oy + u * w.dy, w.floor + v];

/** Faces of other rooms on the other side of a wall. */
const behind = (walls: readonly Wall[], w: Wall): Wall[] =>
  walls.filter((o) => {
    if (o.room.id === w.room.id || o.dx * w.dx + o.dy * w.dy > -0.999) return false;
    const gap = -on(w, [o.ox, o.oy, 0]).out;
    if (gap < 10 || Math.abs(gap - w.wall.thickness) > 40 || Math.abs(gap - o.wall.thickness) > 40) return false;
    if (o.floor >= w.floor + w.room.height || w.floor >= o.floor + o.room.height) return false;
    const us = [on(w, spot(o, 0, 0)).u, on(w, spot(o, o.long, 0)).u];
    return Math.min(...us) < w.long - 10 && Math.max(...us) > 10;
  });

interface Box {
  u0: number;
  u1: number;
  v0: number;
  v1: number;
}
const boxes = (
  list: readonly { wall: string; u: number; v: number; width: number; height: number }[],
  w: Wall,
): Box[] => list.flatMap((o) => (o.wall === w.id ? [{ u0: o.u, u1: o.u + o.width, v0: o.v, v1: o.v + o.height }] : []));
/** A box of another face as seen from this one. */
const seenFrom = (w: Wall, o: Wall, b: Box): Box => {
  const p = on(w, spot(o, b.u0, b.v0));
  const q = on(w, spot(o, b.u1, b.v1));
  return { u0: Math.min(p.u, q.u), u1: Math.max(p.u, q.u), v0: p.v, v1: q.v };
};
const insideBox = (b: Box, u: number, v: number, by = 0.6): boolean =>
  u > b.u0 + by && u < b.u1 - by && v > b.v0 + by && v < b.v1 - by;

/** Everything wrong with the runs and holes of a plan, in short words; nothing for a plan that may be built. */
export function secondLook(job: Job, plan: Pick<Plan, "runs" | "holes">): string[] {
  const walls = wallsOf(job);
  const wallOf = new Map(walls.map((w) => [w.id, w]));
  const out: string[] = [];
  const back = new Map(walls.map((w) => [w.id, behind(walls, w)]));
  const openings = new Map(
    walls.map((w) => [
      w.id,
      [
        ...boxes(job.openings, w),
        ...back.get(w.id)!.flatMap((o) => boxes(job.openings, o).map((b) => seenFrom(w, o, b))),
      ],
    ]),
  );

  /** True when a hidden cable may lie at a place of a wall: in a band, or in the strip of a point seen without an opening between. */
  const inZone = (w: Wall, u: number, v: number): boolean => {
    const slack = 0.6;
    const { outline, height, slopes } = w.room;
    if (slopes.length) return true;
    if (v >= height - 150 - slack) return true;
    const n = outline.length;
    const turn = (i: number): boolean => {
      const other = walls.find((x) => x.room.id === w.room.id && x.wall.index === (i + n) % n)!;
      return other.wall.build !== "open" && Math.abs(other.dx * w.dy - other.dy * w.dx) > 0.01;
    };
    if (u <= 150 + slack && turn(w.wall.index - 1)) return true;
    if (u >= w.long - 150 - slack && turn(w.wall.index + 1)) return true;
    const holes = openings.get(w.id)!;
    const stripOf = (pu: number, pv: number, width: number, tall: number, reach: Box): boolean => {
      if (holes.some((o) => insideBox(o, pu, pv, 0))) return false;
      if (u < reach.u0 - slack || u > reach.u1 + slack || v < reach.v0 - slack || v > reach.v1 + slack) return false;
      const blocked = (o: Box, upright: boolean): boolean =>
        upright
          ? u > o.u0 + slack && u < o.u1 - slack && Math.max(v, pv) > o.v0 + slack && Math.min(v, pv) < o.v1 - slack
          : v > o.v0 + slack && v < o.v1 - slack && Math.max(u, pu) > o.u0 + slack && Math.min(u, pu) < o.u1 - slack;
      if (Math.abs(u - pu) <= width / 2 + slack && !holes.some((o) => blocked(o, true))) return true;
      return Math.abs(v - pv) <= tall / 2 + slack && !holes.some((o) => blocked(o, false));
    };
    const face: Box = { u0: 0, u1: w.long, v0: 0, v1: height };
    for (const p of job.points) {
      if (p.place.on !== "wall") continue;
      const { width, height: tall } = plateOf(p);
      if (p.place.wall === w.id && stripOf(p.place.u, p.place.v, width, tall, face)) return true;
      const o = back.get(w.id)!.find((x) => p.place.on === "wall" && x.id === p.place.wall);
      if (!o || w.wall.thickness > 100) continue;
      const here = on(w, spot(o, p.place.u, p.place.v));
      const reach = seenFrom(w, o, { u0: 0, u1: o.long, v0: 0, v1: o.room.height });
      if (here.u < 0 || here.u > w.long || here.v < 0 || here.v > height) continue;
      if (stripOf(here.u, here.v, width, tall, reach)) return true;
    }
    return false;
  };

  const decks = job.decks.map((d) => {
    const xs = d.outline.map((p) => p.x);
    const ys = d.outline.map((p) => p.y);
    const [x0, y0, x1, y1] = [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
    const along = d.joists.direction === "east-west" ? 0 : 1;
    const low = along === 0 ? y0 : x0;
    const high = along === 0 ? y1 : x1;
    const at: number[] = [];
    for (let x = low + d.joists.first; x < high - 1e-6; x += d.joists.spacing) at.push(x);
    const plain = d.outline.length === 4;
    const [from, to] = along === 0 ? [x0, x1] : [y0, y1];
    // Clear spans between the bearings that lie within the deck.
    const spans: [number, number][] = [];
    let start = from;
    for (const [p, q] of d.joists.bearings) {
      if (from + p > start && from + p - start > 300) spans.push([start, from + p]);
      start = Math.max(start, from + q);
    }
    if (to - start > 300) spans.push([start, to]);
    return { d, along, at, from, spans, plain };
  });

  for (const r of plan.runs) {
    const tell = (what: string): void => void out.push(`${r.id}: ${what}`);
    const path = r.legs.flatMap((l) => l.path);
    for (const [id, p] of [
      [r.from, path[0]!],
      [r.to, path[path.length - 1]!],
    ] as const) {
      const point = job.points.find((x) => x.id === id)!;
      if (point.place.on === "wall") {
        const w = wallOf.get(point.place.wall)!;
        const at = on(w, p);
        const plate = plateOf(point);
        const off = Math.max(
          Math.abs(at.u - point.place.u) - plate.width / 2,
          Math.abs(at.v - point.place.v) - plate.height / 2,
        );
        if (off > 1 || Math.abs(at.out) > 1) tell(`ends ${off.toFixed(1)} off ${id}`);
      } else if (!near(p[0], point.place.x, 1) || !near(p[1], point.place.y, 1)) tell(`ends off ${id}`);
    }
    r.legs.forEach((l, i) => {
      const before = r.legs[i - 1]?.path;
      const [a, b] = [l.path[0]!, l.path[l.path.length - 1]!];
      if (before) {
        const e = before[before.length - 1]!;
        if (Math.hypot(e[0] - a[0], e[1] - a[1], e[2] - a[2]) > 1) tell(`leg ${i} does not follow`);
      }
      const long = Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]);
      const steps = Math.max(1, Math.ceil(long / 10));
      const places = Array.from({ length: steps + 1 }, (_, k): V3 => a.map((x, j) => x + ((b[j]! - x) * k) / steps));
      if (l.surface.kind === "wall") {
        const w = wallOf.get(l.surface.id)!;
        const hidden = l.method !== "surface" && !l.protected && w.room.kind !== "yard";
        const steel = boxes(
          job.fixtures.filter((x) => x.kind === "beam"),
          w,
        );
        const free = job.forbidden.flatMap((x) => (x.place.on === "wall" ? boxes([x.place], w) : []));
        for (const p of places) {
          const { u, v, out: off } = on(w, p);
          if (Math.abs(off) > 1) return tell(`leg ${i} is off its wall`);
          if (hidden && !inZone(w, u, v))
            return tell(`leg ${i} leaves the zones of ${w.id} at ${u.toFixed(0)}, ${v.toFixed(0)}`);
          if (openings.get(w.id)!.some((o) => insideBox(o, u, v)))
            return tell(`leg ${i} lies in an opening of ${w.id}`);
          if (steel.some((o) => insideBox(o, u, v))) return tell(`leg ${i} goes through steel in ${w.id}`);
          if (free.some((o) => insideBox(o, u, v))) return tell(`leg ${i} goes through what is kept free`);
        }
        const leaf = w.wall.leaf ?? w.wall.thickness;
        if (l.method === "chase" && w.wall.build === "masonry" && l.depth * (near(a[2], b[2]) ? 6 : 3) > leaf + 1e-6)
          tell(`leg ${i} is chased too deep into ${w.id}`);
        const { studs } = w.wall;
        if (l.method === "stud-void" && studs && near(a[2], b[2])) {
          const [lo, hi] = [on(w, a).u, on(w, b).u].sort((x, y) => x - y) as [number, number];
          for (let u = studs.first; u < w.long - 2 * studs.breadth; u += studs.spacing)
            if (u > lo + 1 && u < hi - 1 && u > 2 * studs.breadth) {
              const cut = openings.get(w.id)!.some((o) => u > o.u0 - 2 * studs.breadth && u < o.u1 + 2 * studs.breadth);
              const hole = plan.holes.some(
                (o) => o.in.kind === "stud" && o.runs.includes(r.id) && near(on(w, o.centre).u, u, 2),
              );
              if (!hole && !cut) tell(`leg ${i} passes the stud at ${u} of ${w.id} without a hole`);
            }
        }
      }
      if (l.surface.kind === "deck") {
        const deck = decks.find((x) => x.d.id === l.surface.id)!;
        const ac = 1 - deck.along;
        if (near(a[2], b[2]) && !near(a[0], b[0], 1) && !near(a[1], b[1], 1)) tell(`leg ${i} is askew`);
        const [lo, hi] = [Math.min(a[ac]!, b[ac]!), Math.max(a[ac]!, b[ac]!)];
        const half = deck.d.joists.breadth / 2;
        deck.at.forEach((x, j) => {
          const alongPlace = a[deck.along]!;
          if (!(lo < x - half + 1 && hi > x + half - 1) || !deck.plain) return;
          if (deck.d.kind === "concrete") return;
          const hole = plan.holes.find(
            (o) =>
              o.in.kind === "joist" &&
              o.in.deck === deck.d.id &&
              o.in.joist === j + 1 &&
              o.runs.includes(r.id) &&
              near(o.centre[deck.along]!, alongPlace, 2),
          );
          if (!hole) tell(`leg ${i} crosses joist ${j + 1} of ${deck.d.id} without a hole`);
        });
      }
    });
  }

  for (const o of plan.holes) {
    const tell = (what: string): void => void out.push(`${o.id}: ${what}`);
    const cables = o.runs.map((id) => cableOf(plan.runs.find((r) => r.id === id)!.cable)!);
    const area = cables.reduce((s, c) => s + c.width * c.thickness, 0);
    // A flat cable fills no more than its width by its thickness.
    if (cables.some((c) => Math.min(c.width, c.thickness) > o.diameter)) tell("a cable does not go in");
    if (area * 0.6 > (Math.PI * o.diameter ** 2) / 4) tell("overfull");
    if (o.in.kind !== "joist") continue;
    const deck = decks.find((x) => x.d.id === o.in.deck)!;
    if (deck.d.kind !== "solid-joists" || !deck.plain) continue;
    const { depth } = deck.d.joists;
    if (depth > 250) tell("bored deeper than the rules go");
    if (deck.d.heavyJoists.includes(o.in.joist!)) tell("bores a heavy joist");
    const span = deck.spans[o.in.span! - 1];
    if (!span) {
      tell("no such span");
      continue;
    }
    const length = span[1] - span[0];
    if (!near(deck.from * 0 + span[0] + o.at, o.centre[deck.along]!, 1)) tell("is not where it says");
    const edge = Math.min(o.at, length - o.at) / length;
    if (edge < 0.25 - 1e-4 || edge > 0.4 + 1e-4) tell(`stands at ${edge.toFixed(3)} of its span`);
    if (o.diameter > depth / 4 + 1e-6) tell("is larger than a quarter of the depth");
    if (Math.abs(o.fromTop - depth / 2) > 5) tell("is off the middle of the depth");
    for (const q of plan.holes)
      if (
        q !== o &&
        q.in.kind === "joist" &&
        q.in.deck === o.in.deck &&
        q.in.joist === o.in.joist &&
        q.in.span === o.in.span
      )
        if (Math.abs(q.at - o.at) < 3 * Math.max(q.diameter, o.diameter) - 1e-6) tell(`stands too near ${q.id}`);
    for (const c of deck.d.existingCuts)
      if (c.joist === o.in.joist && c.span === o.in.span)
        if (
          c.kind === "hole"
            ? Math.abs(c.at - o.at) < 3 * Math.max(c.diameter, o.diameter) - 1e-6
            : Math.abs(c.at - o.at) - c.width / 2 - o.diameter / 2 < 100 - 1e-6
        )
          tell("stands too near an old cut");
  }
  return out;
}
