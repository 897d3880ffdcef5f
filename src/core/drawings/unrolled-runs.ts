import { type StripWall, stripOf, toStrip } from "../house/unrolled";
import type { House } from "../house/house";
import type { Plan, Run } from "../laid/laid";
import { holesOnWall } from "../laid/run-measures";
import { type XYZ, toFace } from "../base/wall-frame";
import { pointLabels } from "../job/labels";
import { type Shape, pen } from "./scene";
import { STRIP, STRIP_GAP } from "./wall-scene";

/** A straight piece of a run as drawn on a wall or in the strip over it. */
export interface DrawnLeg {
  run: Run;
  leg: number;
  wall: string;
  /** Drawing mm. */
  a: { x: number; y: number };
  b: { x: number; y: number };
  /** Side-by-side shift where runs lie on one line: −1, 0, 1 … times the gap, across the leg. */
  slot: number;
  inDeck: boolean;
}

export interface DrawnHole {
  id: string;
  x: number;
  y: number;
  diameter: number;
}

export interface Unrolled {
  walls: StripWall[];
  legs: DrawnLeg[];
  holes: DrawnHole[];
  /** Cables found in the house, where they are taken to run. */
  found: Shape[];
  width: number;
  height: number;
}

/** Lays the walls of a room side by side, turning right from its start wall, with the runs that show on them. */
export function unroll(h: House, roomId: string, plan: Plan | null): Unrolled {
  const strip = stripOf(h, roomId);
  const { walls } = strip;
  const byWall = new Map(walls.map((w) => [w.face.wall.id, w]));
  const legs: DrawnLeg[] = [];
  const holes: DrawnHole[] = [];
  for (const run of plan?.runs ?? []) {
    run.legs.forEach((leg, i) => {
      const w = leg.surface.kind === "wall" ? byWall.get(leg.surface.id) : undefined;
      if (!w) return;
      for (let k = 1; k < leg.path.length; k++)
        legs.push({
          run,
          leg: i,
          wall: w.face.wall.id,
          a: onWall(w, leg.path[k - 1]!),
          b: onWall(w, leg.path[k]!),
          slot: 0,
          inDeck: false,
        });
    });
    for (const [from, to, step] of [
      [0, run.legs.length, 1],
      [run.legs.length - 1, -1, -1],
    ] as const) {
      // Follow the run from a wall of this room up (or down) into the deck, and show how it goes on along that wall.
      for (let i = from; i !== to; i += step) {
        const leg = run.legs[i]!;
        const w = leg.surface.kind === "wall" ? byWall.get(leg.surface.id) : undefined;
        if (w) deckTail(h, run, i + step, step, w, legs, holes, plan!);
      }
    }
  }
  if (plan)
    for (const w of walls)
      for (const o of holesOnWall(h, plan, w.face.wall.id))
        holes.push({ id: `${w.face.wall.id} ${o.id}`, ...onWall(w, o.centre), diameter: o.diameter });
  spread(legs);
  return { walls, legs, holes, found: foundShapes(h, byWall, plan), width: strip.width, height: strip.height };
}

/** Shortest stretch that carries the names of both ends of an old cable, mm. */
const NAMED = 900;

/** Old cables on the walls of a room: a thin line, whole where they were traced, broken where they are taken to run; named once. */
function foundShapes(h: House, byWall: ReadonlyMap<string, StripWall>, plan: Plan | null): Shape[] {
  const p = pen({ layer: "FOUND" });
  const label = pointLabels(h.job);
  for (const f of plan?.found ?? []) {
    let longest: { a: { x: number; y: number }; b: { x: number; y: number }; long: number } | null = null;
    for (const leg of [...f.traced, ...f.legs]) {
      const w = leg.surface.kind === "wall" ? byWall.get(leg.surface.id) : undefined;
      if (!w) continue;
      const [a, b] = [leg.path[0]!, leg.path[leg.path.length - 1]!].map((q) => onWall(w, q));
      p.line(
        [
          [a!.x, a!.y],
          [b!.x, b!.y],
        ],
        "soft",
        { id: f.id, width: 2, ...(f.traced.includes(leg) ? {} : { dash: [2, 3] }) },
      );
      const long = Math.hypot(a!.x - b!.x, a!.y - b!.y);
      if (!longest || long > longest.long) longest = { a: a!, b: b!, long };
    }
    if (!longest) continue;
    // Where there is no room for both ends' names, that it is old is said at least.
    const { a, b, long } = longest;
    p.text(
      (a.x + b.x) / 2,
      (a.y + b.y) / 2,
      long < NAMED ? "old" : `old ${label(f.from)}–${f.to === null ? "?" : label(f.to)}`,
      {
        ink: "soft",
        size: 10,
        ...(Math.abs(a.x - b.x) < 1 ? { anchor: "start" as const, shift: 5 } : { drop: -0.5 }),
      },
    );
  }
  return p.shapes;
}

const onWall = (w: StripWall, p: XYZ): { x: number; y: number } => {
  const s = toStrip(w, p);
  return { x: s.x, y: -s.y };
};

function deckTail(
  h: House,
  run: Run,
  from: number,
  step: 1 | -1,
  w: StripWall,
  legs: DrawnLeg[],
  holes: DrawnHole[],
  plan: Plan,
): void {
  const { height, length } = w.face.shape;
  const seen = new Set(legs.filter((l) => l.run === run && l.wall === w.face.wall.id && l.inDeck).map((l) => l.leg));
  for (let i = from; i >= 0 && i < run.legs.length; i += step) {
    const leg = run.legs[i]!;
    if (leg.surface.kind !== "deck") break;
    if (seen.has(i)) continue;
    const deck = h.decks[h.deckOfId.get(leg.surface.id) ?? -1];
    if (!deck) break;
    const top = deck.underside >= w.face.floor + height - 1;
    const share = STRIP / Math.max(1, deck.deck.joists.depth);
    const toDrawing = (p: XYZ): { x: number; y: number } => {
      const f = toFace(w.face.frame, p);
      const y = top ? -height - STRIP_GAP - (p[2] - deck.underside) * share : STRIP_GAP + (deck.top - p[2]) * share;
      return { x: w.x + Math.min(length, Math.max(0, f.u)), y: p[2] < deck.underside || p[2] > deck.top ? -f.v : y };
    };
    for (let k = 1; k < leg.path.length; k++) {
      const a = toDrawing(leg.path[k - 1]!);
      const b = toDrawing(leg.path[k]!);
      if (Math.hypot(a.x - b.x, a.y - b.y) > 1)
        legs.push({ run, leg: i, wall: w.face.wall.id, a, b, slot: 0, inDeck: true });
    }
    for (const o of plan.holes) {
      if (
        o.in.deck !== deck.deck.id ||
        !o.runs.includes(run.id) ||
        holes.some((x) => x.id === `${w.face.wall.id}${o.id}`)
      )
        continue;
      const f = toFace(w.face.frame, o.centre);
      if (leg.method === "through-joists" && f.u > 0 && f.u < length)
        holes.push({ id: `${w.face.wall.id}${o.id}`, ...toDrawing(o.centre), diameter: o.diameter * share });
    }
  }
}

/** Gives runs that lie on one line of one wall a slot each, so that they are seen side by side. */
function spread(legs: DrawnLeg[]): void {
  const lines = new Map<string, DrawnLeg[]>();
  for (const l of legs) {
    const plumb = Math.abs(l.a.x - l.b.x) < 1;
    const key = `${l.wall} ${plumb ? "u" : "v"} ${Math.round(plumb ? l.a.x : l.a.y)}`;
    lines.set(key, [...(lines.get(key) ?? []), l]);
  }
  for (const group of lines.values()) {
    const runs = [...new Set(group.map((l) => l.run.id))].sort();
    if (runs.length < 2) continue;
    for (const l of group) l.slot = runs.indexOf(l.run.id) - (runs.length - 1) / 2;
  }
}
