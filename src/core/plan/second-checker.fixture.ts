import type { Job } from "../job/model";
import type { Plan } from "../laid/laid";
import { plateOf } from "../rules/accessories";
import { cableOf } from "../rules/catalogue";
import { type V3, boxes, insideBox, near, on, secondWalls } from "./second-walls.fixture";

/*
 * A second checker, for tests: written from the rules alone, from the job as it is stored. It shares no code with the laying out of
 * the house, the zones, the timber or the search; it walks along every leg in steps of 10 mm and asks of each place whether a cable
 * may be there. Slow and plain.
 */

/** Everything wrong with the runs and holes of a plan, in short words; nothing for a plan that may be built. */
export function secondLook(job: Job, plan: Pick<Plan, "runs" | "holes">): string[] {
  const { wallOf, openings, inZone } = secondWalls(job);
  const out: string[] = [];

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
        // What stands on the wall as it is drawn needs no zone, as long as the cable keeps to its middle.
        const seen = job.sections.find((s) => s.id === l.section && !["capping", "oval"].includes(s.kind));
        const drawnThere = (u: number, v: number): boolean =>
          seen!.path.some((q, n) => {
            const p = seen!.path[n - 1];
            if (p?.on !== "wall" || q.on !== "wall" || p.wall !== w.id || q.wall !== w.id) return false;
            const [u0, u1] = [Math.min(p.u, q.u), Math.max(p.u, q.u)];
            const [v0, v1] = [Math.min(p.v, q.v), Math.max(p.v, q.v)];
            return u > u0 - 1 && u < u1 + 1 && v > v0 - 1 && v < v1 + 1;
          });
        const hidden = l.method !== "surface" && !l.protected && w.room.kind !== "yard" && !seen;
        const steel = boxes(
          job.fixtures.filter((x) => x.kind === "beam"),
          w,
        );
        const free = job.forbidden.flatMap((x) => (x.place.on === "wall" ? boxes([x.place], w) : []));
        for (const p of places) {
          const { u, v, out: off } = on(w, p);
          if (Math.abs(off) > 1) return tell(`leg ${i} is off its wall`);
          if (seen && !drawnThere(u, v))
            return tell(`leg ${i} leaves ${seen.label} at ${u.toFixed(0)}, ${v.toFixed(0)}`);
          if (hidden && !inZone(w, u, v))
            return tell(`leg ${i} leaves the zones of ${w.id} at ${u.toFixed(0)}, ${v.toFixed(0)}`);
          if (openings.get(w.id)!.some((o) => insideBox(o, u, v)))
            return tell(`leg ${i} lies in an opening of ${w.id}`);
          if (steel.some((o) => insideBox(o, u, v))) return tell(`leg ${i} goes through steel in ${w.id}`);
          if (free.some((o) => insideBox(o, u, v))) return tell(`leg ${i} goes through what is kept free`);
        }
        const leaf = w.wall.leaf ?? w.wall.thickness;
        // Behind the plate of a point that it serves nothing is chased: the box is let in.
        const inBox = job.points.some((p) => {
          if ((p.id !== r.from && p.id !== r.to) || p.place.on !== "wall" || p.place.wall !== w.id) return false;
          const { width, height } = plateOf(p);
          const { u, v } = p.place;
          return [a, b].every((q) => Math.abs(on(w, q).u - u) <= width / 2 && Math.abs(on(w, q).v - v) <= height / 2);
        });
        if (
          !inBox &&
          l.method === "chase" &&
          w.wall.build === "masonry" &&
          l.depth * (near(a[2], b[2]) ? 6 : 3) > leaf + 1e-6
        )
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
          // On a tray that lies over the joists.
          if (l.section !== undefined && near(a[2]!, deck.d.underside + deck.d.joists.depth, 1)) return;
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
