import { topAt } from "../base/ceiling";
import type { XY } from "../base/polygon";
import { toFace, toSpace } from "../base/wall-frame";
import { type LaidDeck, nogginBody, placeOn } from "../house/deck";
import { type Face, type House, decksOfStorey } from "../house/house";
import { type LaidSection, sectionsOf } from "../house/sections";
import { BOARDS } from "../house/studs";

/** A solid thing of the house: an upright prism over an outline seen from above. mm of the house. */
export interface Body {
  kind:
    "joist" | "noggin" | "steel" | "trimmer" | "chimney" | "stair" | "stud" | "plate" | "fixture" | "beam" | "section";
  outline: XY[];
  low: number;
  high: number;
  /** What it is called: the number of a joist or stud, the name of a thing. */
  name: string;
  /** False where nobody has looked and it is only taken to be there. */
  known: boolean;
  /** Of a joist: its deck and number. */
  joist?: { deck: string; joist: number };
  /** Of a stretch of a section of containment: its id. */
  section?: string;
}

/** Thickness of a head or sole plate, mm. */
const PLATE = 38;

/** A rectangle seen from above, by its stretch of a face and how far it reaches into the room (negative: into the wall). */
const onFace = (f: Face, u0: number, u1: number, into0: number, into1: number): XY[] =>
  [
    [u0, into0],
    [u1, into0],
    [u1, into1],
    [u0, into1],
  ].map(([u, into]) => {
    const [x, y] = toSpace(f.frame, { u: u!, v: 0 }, into);
    return { x, y };
  });

/** The timbers of a stud wall: studs, plates at head and foot, rows of noggins from stud to stud. */
function timbersOf(f: Face): Body[] {
  const { studs } = f;
  if (!studs) return [];
  const [near, far] = [-BOARDS / 2, -BOARDS / 2 - studs.depth];
  const topOf = (u: number): number =>
    f.floor + (f.shape.top ? Math.min(topAt(f.shape.top, u), f.shape.height) : f.shape.height);
  const half = studs.breadth / 2;
  const out: Body[] = studs.studs.map((s) => ({
    kind: "stud",
    name: String(s.n),
    outline: onFace(f, s.at - half, s.at + half, near, far),
    low: f.floor + PLATE,
    high: Math.max(f.floor + PLATE, topOf(s.at) - PLATE),
    known: s.known,
  }));
  const whole = onFace(f, 0, f.shape.length, near, far);
  const doors = f.shape.openings.filter((o) => o.v <= 1).sort((a, b) => a.u - b.u);
  let from = 0;
  for (const [a, b] of [...doors.map((o): [number, number] => [o.u, o.u + o.width]), [f.shape.length, 0] as const]) {
    if (a - from > 1)
      out.push({
        kind: "plate",
        name: "sole plate",
        outline: onFace(f, from, a, near, far),
        low: f.floor,
        high: f.floor + PLATE,
        known: true,
      });
    from = Math.max(from, b);
  }
  if (!f.shape.top)
    out.push({
      kind: "plate",
      name: "head plate",
      outline: whole,
      low: f.floor + f.shape.height - PLATE,
      high: f.floor + f.shape.height,
      known: true,
    });
  for (const v of studs.noggins)
    for (let i = 1; i < studs.studs.length; i++) {
      const [a, b] = [studs.studs[i - 1]!.at + half, studs.studs[i]!.at - half];
      const inDoor = f.shape.openings.some((o) => o.u < b && o.u + o.width > a && o.v < v && o.v + o.height > v);
      if (b - a < 1 || inDoor) continue;
      out.push({
        kind: "noggin",
        name: "noggin",
        outline: onFace(f, a, b, near, far),
        low: f.floor + v - PLATE / 2,
        high: f.floor + v + PLATE / 2,
        known: true,
      });
    }
  return out;
}

/** A rectangle seen from above, along and across the joists of a deck. */
const onDeck = (l: LaidDeck, a0: number, a1: number, c0: number, c1: number): XY[] => [
  placeOn(l, a0, c0),
  placeOn(l, a1, c0),
  placeOn(l, a1, c1),
  placeOn(l, a0, c1),
];

/** Joists, noggins and obstacles of a deck; a chimney or stair goes right through it. */
function bodiesOfDeck(l: LaidDeck): Body[] {
  const half = l.deck.joists.breadth / 2;
  const [low, high] = [l.underside, l.top];
  const out: Body[] = l.joists.flatMap((j) =>
    j.extent.map(([a, b]): Body => ({
      kind: "joist",
      name: String(j.n),
      outline: onDeck(l, a, b, j.at - half, j.at + half),
      low,
      high,
      known: true,
      joist: { deck: l.deck.id, joist: j.n },
    })),
  );
  for (const row of l.deck.noggins)
    for (let i = 1; i < l.joists.length; i++) {
      const [p, q] = [l.joists[i - 1]!, l.joists[i]!];
      const at = l.origin + row.at;
      if (![p, q].every((j) => j.extent.some(([a, b]) => at >= a && at <= b))) continue;
      out.push({
        kind: "noggin",
        name: row.later ? "noggin to come" : "noggin",
        outline: onDeck(l, at - half, at + half, p.at + half, q.at - half),
        low: nogginBody(l, row)[0],
        high: nogginBody(l, row)[1],
        known: !row.later,
      });
    }
  for (const o of l.deck.obstacles)
    out.push({ kind: o.kind, name: o.name || o.kind, outline: o.outline, low, high, known: true });
  return out;
}

/**
 * One stretch of a section of containment, as wide along its wall and as deep off it as its size says: into the wall where it lies under
 * the plaster, on top of the joists on a deck.
 */
function bodyOfStretch(h: House, s: LaidSection, x: LaidSection["stretches"][number]): Body {
  const { width, depth } = s.size;
  const [half, into] = [width / 2, s.row.hidden ? -depth : depth];
  const named = { kind: "section" as const, name: s.section.label, section: s.section.id, known: true };
  const [low, high] = [Math.min(x.from[2], x.to[2]), Math.max(x.from[2], x.to[2])];
  const face = h.faces[x.face] ?? h.faces[x.beside ?? -1];
  if (!face) {
    const [a, b] = [x.from, x.to];
    const far = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const side = { x: (-(b[1] - a[1]) / far) * half, y: ((b[0] - a[0]) / far) * half };
    const outline = [
      { x: a[0] + side.x, y: a[1] + side.y },
      { x: b[0] + side.x, y: b[1] + side.y },
      { x: b[0] - side.x, y: b[1] - side.y },
      { x: a[0] - side.x, y: a[1] - side.y },
    ];
    return { ...named, outline, low, high: low + depth };
  }
  const [u0, u1] = [x.from, x.to].map((p) => toFace(face.frame, p).u).sort((p, q) => p - q) as [number, number];
  return x.plumb
    ? { ...named, outline: onFace(face, u0 - half, u0 + half, 0, into), low, high }
    : { ...named, outline: onFace(face, u0, u1, 0, into), low: low - half, high: low + half };
}

/**
 * Every solid thing of the house, or of one storey and the decks under and over it: what a cable goes through by a hole of the right kind, or
 * not at all, what stands in a room, and the containment it may lie in. A stud wall shows its timbers once, by the face of the lower number.
 */
export function solidBodies(h: House, storey: string | null): Body[] {
  const shown = (id: string): boolean => storey === null || storey === id;
  const out: Body[] = [];
  for (const f of h.faces) {
    if (!shown(f.room.storey)) continue;
    if (!f.opposite.some((n) => n < f.n && h.faces[n]!.studs && shown(h.faces[n]!.room.storey)))
      out.push(...timbersOf(f));
    for (const x of h.job.fixtures)
      if (x.wall === f.wall.id)
        out.push({
          kind: x.kind === "beam" ? "beam" : "fixture",
          name: x.name || x.kind,
          outline: onFace(f, x.u, x.u + x.width, 0, x.kind === "beam" ? -f.shape.thickness : x.depth),
          low: f.floor + x.v,
          high: f.floor + x.v + x.height,
          known: true,
        });
  }
  const decks = storey === null ? h.job.decks : decksOfStorey(h.job, storey);
  for (const l of h.decks) if (decks.includes(l.deck) && l.deck.kind !== "concrete") out.push(...bodiesOfDeck(l));
  for (const s of sectionsOf(h))
    for (const x of s.stretches) {
      const seen = x.face >= 0 ? shown(h.faces[x.face]!.room.storey) : decks.includes(h.decks[x.deck]!.deck);
      if (seen) out.push(bodyOfStretch(h, s, x));
    }
  return out;
}
