import { topAt } from "../base/ceiling";
import { mm } from "../base/figures";
import type { UV } from "../base/rect";
import { type Face, type House, decksOfFace } from "../house/house";
import { fixtureNames } from "../house/typical";
import { BAND, type Zone } from "../house/wall-zones";
import type { Job, Wall } from "../job/model";
import { type Hatch, type Shape, type XY, boxFrom, pen } from "./scene";

/** Heights of the deck strips over and (half as tall) under a wall, and the gap between wall and strip, mm of the drawing. */
export const STRIP = 300;
export const STRIP_GAP = 40;

const buildWords: Record<Wall["build"], string> = {
  masonry: "masonry",
  "dry-lined": "dry-lined",
  stud: "stud",
  "metal-stud": "metal stud",
  open: "open",
};

/** What of the house is drawn on a wall. */
export type WallHouse = Pick<House, "decks" | "catalogue"> & {
  job: Pick<Job, "fixtures" | "forbidden">;
};

const behind: Record<Wall["backing"], string> = { room: "", outside: ", outside behind", party: ", party wall" };

/** What a wall is made of, in a few words. */
export const wallWords = (w: Wall): string =>
  w.build === "open"
    ? "open, no wall"
    : `${buildWords[w.build]} ${mm(w.thickness)}${w.foilBacked ? ", foil-backed" : ""}${behind[w.backing]}${w.fireResisting ? ", holds fire back" : ""}`;

/** Upper edge of a face from its left end to its right, mm. */
const topOf = (f: Face): readonly UV[] =>
  f.shape.top ?? [
    { u: 0, v: f.shape.height },
    { u: f.shape.length, v: f.shape.height },
  ];

/** Outline of a wall face on the drawing: x along it from its left end, y down, the floor at 0. */
export const faceOutline = (f: Face): XY[] => [[0, 0], ...topOf(f).map((p): XY => [p.u, -p.v]), [f.shape.length, 0]];

const hatchOf = (z: Zone): Hatch =>
  z.kind.endsWith("band") ? "band" : z.kind.startsWith("reverse") ? "reverse" : "strip";

/** The zones of a face, hatched by their kind; a band under a slope follows it. */
export function zoneShapes(zones: readonly Zone[]): Shape[] {
  const p = pen({ layer: "ZONES" });
  for (const z of zones) {
    const id = `${z.kind} ${z.pointId ?? ""}`;
    if (z.slope) {
      const [a, b] = z.slope;
      const low = (q: UV): number => -Math.max(0, q.v - BAND);
      p.area(
        [
          [a.u, -a.v],
          [b.u, -b.v],
          [b.u, low(b)],
          [a.u, low(a)],
        ],
        hatchOf(z),
        "none",
        { id },
      );
    } else p.rect(z.u0, -z.v1, z.u1 - z.u0, z.v1 - z.v0, hatchOf(z), "none", { id });
  }
  return p.shapes;
}

const partBox = (o: { u: number; v: number; width: number; height: number }): XY[] =>
  boxFrom(o.u, -(o.v + o.height), o.width, o.height);

function fixtureShapes(h: WallHouse, f: Face): Shape[] {
  const p = pen({ layer: "FIXTURES" });
  for (const x of h.job.fixtures) {
    if (x.wall !== f.wall.id) continue;
    p.area(partBox(x), "metal", "soft", { id: x.id, width: 1, cover: 0.75 });
    const name = x.name || fixtureNames[x.kind];
    const at = x.u + x.width / 2;
    const words = { layer: "NAMES", ink: "soft", size: 11 } as const;
    if (x.kind === "hob") p.text(at, -(x.v + x.height), name, { ...words, drop: -0.3 });
    else if (x.height >= 120)
      p.text(at, -(x.v + x.height / 2), name, { ...words, drop: 0.3, room: { width: x.width } });
    else p.text(at, -x.v, name, { ...words, drop: 1, room: { width: x.width } });
  }
  return p.shapes;
}

function openingShapes(f: Face): Shape[] {
  const p = pen({ layer: "OPENINGS" });
  for (const o of f.openings) {
    p.area(partBox(o), "opening", "ink", { id: o.id, width: 1 });
    // A hole of the building is drawn on both faces; the one it was measured on has the say.
    const name = `${o.kind} ${mm(o.width)}${o.wall === f.wall.id ? "" : `, from ${o.room}`}`;
    p.text(o.u + o.width / 2, -(o.v + o.height / 2), name, {
      layer: "NAMES",
      ink: "soft",
      size: 11,
    });
  }
  return p.shapes;
}

function keptFreeShapes(h: WallHouse, f: Face): Shape[] {
  const p = pen({ layer: "KEPT-FREE" });
  for (const x of h.job.forbidden) {
    if (x.place.on !== "wall" || x.place.wall !== f.wall.id) continue;
    p.area(partBox(x.place), "barred", "stop", { id: x.id, width: 1 });
    p.text(x.place.u + x.place.width / 2, -(x.place.v + x.place.height / 2), x.name || "kept free", { size: 10.5 });
  }
  return p.shapes;
}

/** The timbers of a stud wall: those that are known in full, a row nobody has looked for dashed and faint. */
function studShapes(f: Face): Shape[] {
  const p = pen({ layer: "STUDS" });
  const { studs } = f;
  if (!studs) return p.shapes;
  const half = studs.breadth / 2;
  const top = (u: number): number => (f.shape.top ? topAt(f.shape.top, u) : f.shape.height);
  for (const s of studs.studs) {
    const [u0, u1] = [Math.max(0, s.at - half), Math.min(f.shape.length, s.at + half)];
    const id = `${f.wall.id} stud ${s.n}`;
    if (s.known) p.rect(u0, -top(s.at), u1 - u0, top(s.at), "timber", "timberline", { id, width: 0.7, cover: 0.45 });
    else
      for (const u of [u0, u1])
        p.line(
          [
            [u, -top(s.at)],
            [u, 0],
          ],
          "timberline",
          { id, width: 0.7, dash: [4, 4] },
        );
  }
  for (const v of studs.noggins)
    p.rect(0, -(v + half), f.shape.length, studs.breadth, "timber", "timberline", {
      id: `${f.wall.id} noggins ${v}`,
      width: 0.7,
      cover: 0.45,
    });
  return p.shapes;
}

/** The deck over (or under) a wall as a strip along it, with its joists where they meet it. */
function deckStrip(h: WallHouse, f: Face, decks: readonly number[], over: boolean): Shape[] {
  const { length, height } = f.shape;
  const p = pen({ layer: "DECKS" });
  const deck = h.decks[decks[0] ?? -1];
  if (!deck) {
    if (over) p.text(0, -height - STRIP_GAP, "no deck over", { anchor: "start", shift: 6, ink: "soft", size: 11 });
    return p.shapes;
  }
  const tall = over ? STRIP : STRIP / 2;
  const y = over ? -height - STRIP_GAP - tall : STRIP_GAP;
  p.rect(0, y, length, tall, deck.deck.kind === "concrete" ? "metal" : "deck", "timberline", {
    id: deck.deck.id,
    width: 0.8,
  });
  const slope = deck.across === "x" ? f.frame.along.x : f.frame.along.y;
  const start = deck.across === "x" ? f.frame.origin[0] : f.frame.origin[1];
  const { breadth, spacing } = deck.deck.joists;
  const joist = { layer: "JOISTS", width: 0.8 } as const;
  if (Math.abs(slope) > 0.05) {
    for (const j of deck.joists) {
      const u = (j.at - start) / slope;
      if (u >= 0 && u <= length)
        p.rect(u - breadth / 2, y + tall * 0.04, breadth, tall * 0.92, "timber", "timberline", joist);
    }
    return p.shapes;
  }
  if (deck.joists.some((j) => Math.abs(j.at - start) < spacing))
    p.rect(0, y + tall * 0.12, length, tall * 0.76, "timber", "timberline", { ...joist, cover: 0.6 });
  return p.shapes;
}

/** Where the name of a wall stands under its strip, mm down from the floor. */
export const NAME_AT = STRIP_GAP + STRIP / 2;

function nameShapes(f: Face): Shape[] {
  const p = pen({ layer: "NAMES" });
  const left = { anchor: "start", shift: 6 } as const;
  p.text(0, NAME_AT, `Wall ${f.wall.index + 1} · ${mm(f.shape.length)}`, {
    ...left,
    drop: 1.55,
    size: 13,
    type: "bold",
  });
  p.text(0, NAME_AT, wallWords(f.wall), {
    ...left,
    drop: 2.7,
    size: 11.5,
    ink: "soft",
    room: { width: f.shape.length },
  });
  return p.shapes;
}

/**
 * One wall seen from its room, with all that is on it but points and runs: outline, zones, fixtures, openings, what is kept free or
 * was found, the decks over and under, its name. x along the wall from its left end, y down, the floor at 0, mm.
 */
export function wallScene(h: WallHouse, f: Face, zones = true): Shape[] {
  const p = pen({ layer: "WALLS", id: f.wall.id });
  const open = f.wall.build === "open";
  const outline = faceOutline(f);
  p.area(outline, open ? "page" : "plaster", "ink", { width: 1.2, ...(open ? { dash: [8, 5] } : {}) });
  if (f.wall.foilBacked) p.shapes.push({ kind: "line", points: outline, closed: true, ink: "none", fill: "foil" });
  const { over, under } = decksOfFace(h, f);
  return [
    ...p.shapes,
    ...studShapes(f),
    ...(zones && !open ? zoneShapes(f.zones) : []),
    ...fixtureShapes(h, f),
    ...openingShapes(f),
    ...keptFreeShapes(h, f),
    ...deckStrip(h, f, over, true),
    ...deckStrip(h, f, under, false),
    ...nameShapes(f),
  ];
}
