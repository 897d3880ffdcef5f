import { distance } from "../base/wall-frame";
import type { Job, Point } from "../job/model";
import type { HeldRun } from "../laid/held";
import type { Run } from "../laid/laid";
import { isHidden } from "../laid/run-measures";
import { type Fact, fact } from "../rules/fact";
import type { LaidRun } from "../routing/lay";
import { type House, layPoint } from "../house/house";

/** A point has moved when it is farther than this from where it was, mm. */
const MOVED = 1;

/** What the job now says otherwise than the work that is done: points moved, cable changed. Both are told, planned and done. */
export function heldFacts(
  h: House,
  held: readonly HeldRun[],
  laid: readonly Pick<LaidRun, "id" | "due">[] = [],
): Fact[] {
  const dueOf = new Map(laid.map((r) => [r.id, r.due]));
  return held.flatMap((r): Fact[] => {
    const out: Fact[] = [];
    for (const p of r.points) {
      const now = h.points[h.pointOfId.get(p.id) ?? -1];
      const was = layPoint(h, p.place);
      if (!now) {
        out.push(fact("work.point-gone", "run", r.key, { where: { run: r.key }, of: { point: p.id } }));
        continue;
      }
      const by = was === null ? Infinity : distance(was, now.space);
      if (by <= MOVED) continue;
      out.push(
        fact("work.moved", "point", p.id, {
          where: { run: r.key },
          ...(was === null ? {} : { measured: by, limit: 0, sense: "most" as const, unit: "mm" }),
          of: placeOf(p.place),
          fix: [{ collection: "points", id: p.id, set: { place: p.place } }],
        }),
      );
    }
    const c = h.job.circuits.find((x) => x.id === r.circuit);
    if (!c) out.push(fact("work.point-gone", "run", r.key, { case: "circuit", of: { circuit: r.circuit } }));
    else {
      const now = dueOf.get(r.key) ?? c.cable;
      if (now !== r.cable)
        out.push(fact("work.cable", "run", r.key, { where: { run: r.key }, of: { was: r.cable, now } }));
    }
    return out;
  });
}

/** Runs not done that would lie hidden in a face already released for closing: each once a face. `closed`: "wall:ID", "deck:ID". */
export function closedFacts(runs: readonly Pick<Run, "id" | "held" | "legs">[], closed: readonly string[]): Fact[] {
  const shut = new Set(closed);
  return runs.flatMap((r): Fact[] => {
    if (r.held) return [];
    const faces = new Set(r.legs.flatMap((l) => (isHidden(l) ? [`${l.surface.kind}:${l.surface.id}`] : [])));
    return [...faces]
      .filter((f) => shut.has(f))
      .map((f) => {
        const [kind, id] = [f.slice(0, f.indexOf(":")), f.slice(f.indexOf(":") + 1)];
        return fact("work.closed", "run", r.id, { where: kind === "wall" ? { wall: id } : { deck: id } });
      });
  });
}

/** The place of a point as figures for a sentence. */
const placeOf = (p: Point["place"]): Record<string, string | number> =>
  p.on === "wall" ? { wall: p.wall, u: p.u, v: p.v } : { deck: p.deck, x: p.x, y: p.y };

/** A change to the job that would contradict work already done: which run, and what of it. */
export interface Touched {
  run: string;
  what: "point" | "circuit" | "cable" | "wall" | "deck";
  id: string;
}

/** What of the work done a change from one job to another would contradict; nothing where it only adds or touches other things. */
export function touchedWork(before: Job, after: Job, held: readonly HeldRun[]): Touched[] {
  const out: Touched[] = [];
  const changed = (list: "points" | "walls" | "decks" | "rooms", id: string, of: (x: never) => unknown): boolean => {
    const find = (j: Job): unknown => (j[list] as { id: string }[]).find((x) => x.id === id);
    const [a, b] = [find(before), find(after)];
    return (
      a !== undefined && JSON.stringify(of(a as never)) !== JSON.stringify(b === undefined ? null : of(b as never))
    );
  };
  for (const r of held) {
    for (const id of [r.from, r.to])
      if (changed("points", id, (p: Point) => p.place)) out.push({ run: r.key, what: "point", id });
    const c = before.circuits.find((x) => x.id === r.circuit);
    const next = after.circuits.find((x) => x.id === r.circuit);
    const on = (x: typeof c, id: string): boolean =>
      !!x && (x.points.includes(id) || x.spurs.some((s) => s.point === id));
    if (c && !next) out.push({ run: r.key, what: "circuit", id: c.id });
    else if (c && next) {
      if (next.cable !== c.cable && c.cable === r.cable) out.push({ run: r.key, what: "cable", id: c.id });
      if ([r.from, r.to].some((id) => on(c, id) && !on(next, id))) out.push({ run: r.key, what: "circuit", id: c.id });
    }
    const surfaces = new Map(r.legs.map((l) => [l.surface.id, l.surface.kind]));
    for (const [id, kind] of surfaces) {
      if (kind === "deck") {
        if (changed("decks", id, (d: Job["decks"][number]) => [d.outline, d.underside, d.joists]))
          out.push({ run: r.key, what: "deck", id });
        continue;
      }
      const wall = before.walls.find((w) => w.id === id);
      const outline = (x: Job["rooms"][number]): unknown => [x.outline, x.storey];
      if (
        changed("walls", id, (w: Job["walls"][number]) => [w.index, w.thickness, w.build]) ||
        (wall && changed("rooms", wall.room, outline))
      )
        out.push({ run: r.key, what: "wall", id });
    }
  }
  return out;
}
