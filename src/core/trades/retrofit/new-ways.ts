import { pathLength } from "../../base/wall-frame";
import type { Face, House, PlacedPoint } from "../../house/house";
import type { NewWay } from "../../job/model";
import { newWays } from "../../job/model";
import type { FoundWay, Hole, Run } from "../../laid/laid";
import { bendsIn } from "../../laid/run-measures";
import { minutes, minutesFor } from "../../rules/times";

/** Why a way is not to be had. */
export type NoWay =
  | { kind: "no-boards" }
  | { kind: "other-room" }
  | { kind: "door" }
  | { kind: "no-old-cable" }
  | { kind: "in-plaster"; length: number }
  | { kind: "bends"; bends: number };

/** One way for a new cable: what it takes and what it leaves behind. Lengths mm. */
export interface WayOffer {
  way: NewWay;
  /** Null where it can be done. */
  no: NoWay | null;
  length: number;
  minutes: number;
  /** Boards lifted, plaster or stone chased, skirting taken off, mini-trunking to be seen. */
  boards: number;
  chase: number;
  skirting: number;
  seen: number;
  /** Holes in joists or walls. */
  holes: number;
}

/** Minutes a metre: skirting prised off and put back, with the chase behind it; mini-trunking. Typical. */
const SKIRTING_METRE = 8;
const SURFACE_METRE = 6;
/** Pulling the old cable and the new with it, once. Typical. */
const PULL = 15;
/** A board lifted at each end of a rod and at each turn, mm. */
const BOARD = 600;
/** Most bends that an old cable draws a new one round. Trade habit. */
export const DRAW_BENDS = 2;

const none = (way: NewWay, no: NoWay): WayOffer => ({
  way,
  no,
  length: 0,
  minutes: 0,
  boards: 0,
  chase: 0,
  skirting: 0,
  seen: 0,
  holes: 0,
});

interface Ends {
  run: Pick<Run, "id" | "from" | "to" | "legs" | "pathLength">;
  a: PlacedPoint;
  b: PlacedPoint;
  f: Face | undefined;
  g: Face | undefined;
}

/** Heights of both points above their floor. */
const heights = ({ a, b, f, g }: Ends): number =>
  Math.max(0, a.space[2] - (f?.floor ?? a.space[2])) + Math.max(0, b.space[2] - (g?.floor ?? b.space[2]));

/** With a rod under the boards of the floor that both stand on: with the joists a board at each end, across them all the way. */
function underBoards(h: House, e: Ends): WayOffer {
  const deck = deckUnder(h, e.f, e.g);
  if (!deck) return none("under-boards", { kind: "no-boards" });
  const [al, ac] = deck.along === "x" ? ([0, 1] as const) : ([1, 0] as const);
  const along = Math.abs(e.a.space[al] - e.b.space[al]);
  const [lo, hi] = [e.a.space[ac], e.b.space[ac]].sort((p, q) => p - q) as [number, number];
  const joists = deck.joists.filter((j) => j.at > lo && j.at < hi).length;
  const length = along + (hi - lo) + heights(e);
  const boards = 2 * BOARD + (joists ? hi - lo : 0);
  return {
    ...none("under-boards", { kind: "no-boards" }),
    no: null,
    length,
    boards,
    holes: joists,
    minutes: minutesFor({
      newBores: joists,
      studHoles: 0,
      walls: [],
      chase: { plaster: 0, masonry: 0 },
      boards,
      length,
    }),
  };
}

/** What is lifted to rod one run: a board by each end, and where the way crosses joists a run of boards over them, mm. */
export interface Lifted {
  run: string;
  ends: [string, string];
  /** Joists that the way crosses, by number, and the length of boards over them; none where it goes with them. */
  joists: number[];
  across: number;
}

/** Boards to lift for each new run that both stands and ends over one floor of solid joists. */
export function boardsToLift(h: House, runs: readonly Pick<Run, "id" | "from" | "to">[]): Lifted[] {
  return runs.flatMap((r): Lifted[] => {
    const [a, b] = [r.from, r.to].map((id) => h.points[h.pointOfId.get(id) ?? -1]);
    const deck = a && b ? deckUnder(h, h.faces[a.face], h.faces[b.face]) : null;
    if (!a || !b || !deck) return [];
    const ac = deck.along === "x" ? 1 : 0;
    const [lo, hi] = [Math.min(a.space[ac], b.space[ac]), Math.max(a.space[ac], b.space[ac])];
    const joists = deck.joists.filter((j) => j.at > lo && j.at < hi).map((j) => j.n);
    return [{ run: r.id, ends: [r.from, r.to], joists, across: joists.length ? hi - lo : 0 }];
  });
}

/** The floor of solid joists that two faces both stand on; null where there is none. */
function deckUnder(h: House, f: Face | undefined, g: Face | undefined): House["decks"][number] | null {
  if (!f || !g || f.floor !== g.floor) return null;
  const on = (d: House["decks"][number]): boolean => Math.abs(d.top + d.deck.boards.thickness - f.floor) <= 80;
  return h.decks.find((d) => d.deck.kind === "solid-joists" && on(d)) ?? null;
}

/**
 * Round the walls of a room between two of its points at the floor, the better way first: to the right or the left,
 * and whether a door bars it.
 */
export function roundRoom(h: House, e: Omit<Ends, "run">): { length: number; door: boolean; right: boolean }[] {
  const { f, g } = e;
  if (!f || !g || f.room.id !== g.room.id) return [];
  const faces = h.faces.filter((x) => x.room.id === f.room.id).sort((p, q) => p.wall.index - q.wall.index);
  const starts = faces.map((_, i) => faces.slice(0, i).reduce((s, x) => s + x.shape.length, 0));
  const whole = faces.reduce((s, x) => s + x.shape.length, 0);
  const at = (p: PlacedPoint, face: Face): number =>
    starts[faces.indexOf(face)]! + (p.point.place.on === "wall" ? p.point.place.u : 0);
  const [pa, pb] = [at(e.a, f), at(e.b, g)];
  const [x, y] = [Math.min(pa, pb), Math.max(pa, pb)];
  // Doors and sides without a wall: nothing goes along the floor there.
  const gaps = faces.flatMap((face, i) => [
    ...face.openings
      .filter((o) => o.v <= 1)
      .map((o): [number, number] => [starts[i]! + o.u, starts[i]! + o.u + o.width]),
    ...(face.wall.build === "open" ? [[starts[i]!, starts[i]! + face.shape.length] as [number, number]] : []),
  ]);
  const inside = gaps.some(([p, q]) => p < y && q > x);
  const outside = gaps.some(([p, q]) => p < x || q > y);
  return [
    { length: y - x, door: inside, right: pa <= pb },
    { length: whole - (y - x), door: outside, right: pa > pb },
  ].sort((p, q) => Number(p.door) - Number(q.door) || p.length - q.length);
}

/** Behind the skirting, or in mini-trunking along its top: round the room that both points stand in. */
function alongSkirting(h: House, e: Ends, way: "skirting" | "surface"): WayOffer {
  const [best] = roundRoom(h, e);
  if (!best) return none(way, { kind: "other-room" });
  if (best.door) return none(way, { kind: "door" });
  const length = best.length + heights(e);
  const { run, metre } = minutes.drawIn;
  const drawn = run + (length * metre) / 1000;
  return {
    ...none(way, { kind: "door" }),
    no: null,
    length,
    ...(way === "skirting" ? { skirting: best.length, chase: heights(e) } : { seen: length }),
    minutes:
      way === "skirting"
        ? drawn + (best.length * SKIRTING_METRE + heights(e) * minutes.chaseMetre.plaster) / 1000
        : drawn + (length * SURFACE_METRE) / 1000,
  };
}

/** With the old cable that comes out as the wire to draw by. */
function withOld(h: House, e: Ends, found: readonly FoundWay[]): WayOffer {
  const old = h.job.foundCables.find(
    (c) =>
      c.fate === "take-out" &&
      ((c.from === e.run.from && c.to === e.run.to) || (c.from === e.run.to && c.to === e.run.from)),
  );
  if (!old) return none("old-cable", { kind: "no-old-cable" });
  const way = found.find((w) => w.id === old.id);
  const legs = way ? [...way.legs, ...way.traced] : [];
  const held = legs.filter((l) => l.method === "chase").reduce((s, l) => s + pathLength(l.path), 0);
  if (held > 0) return none("old-cable", { kind: "in-plaster", length: held });
  const bends = bendsIn(legs);
  if (bends > DRAW_BENDS) return none("old-cable", { kind: "bends", bends });
  const length = legs.length ? legs.reduce((s, l) => s + pathLength(l.path), 0) : e.run.pathLength;
  return {
    ...none("old-cable", { kind: "no-old-cable" }),
    no: null,
    length,
    minutes: PULL + (length * minutes.drawIn.metre) / 1000,
  };
}

/** As the plan lays it: chased, bored and under lifted boards. */
function asLaid(h: House, e: Ends, holes: readonly Hole[]): WayOffer {
  const chase = { plaster: 0, masonry: 0 };
  let [boards, seen] = [0, 0];
  for (const l of e.run.legs) {
    const far = pathLength(l.path);
    if (l.method === "chase")
      chase[h.faces[h.faceOfWall.get(l.surface.id) ?? -1]?.wall.build === "masonry" ? "masonry" : "plaster"] += far;
    if (l.method === "surface") seen += far;
    if (l.method === "along-joist" && h.decks[h.deckOfId.get(l.surface.id) ?? -1]?.deck.access !== "open")
      boards += far;
  }
  const mine = holes.filter((o) => o.runs.includes(e.run.id));
  return {
    ...none("chased", { kind: "no-boards" }),
    no: null,
    length: e.run.pathLength,
    chase: chase.plaster + chase.masonry,
    seen,
    boards,
    holes: mine.length,
    minutes: minutesFor({
      newBores: mine.filter((o) => o.in.kind === "joist").length,
      studHoles: mine.filter((o) => o.in.kind === "stud" || o.in.kind === "noggin").length,
      walls: mine.flatMap((o) =>
        o.in.kind === "wall" ? [h.faces[h.faceOfWall.get(o.in.wall ?? "") ?? -1]?.shape.thickness ?? 0] : [],
      ),
      chase,
      boards,
      length: e.run.pathLength,
    }),
  };
}

/**
 * The ways that the new cables of a circuit could go, side by side: each summed over its runs, or the first reason why it is not to be
 * had. Minutes by the usual times.
 */
export function wayOffers(
  h: House,
  runs: readonly Pick<Run, "id" | "from" | "to" | "legs" | "pathLength">[],
  holes: readonly Hole[],
  found: readonly FoundWay[],
): WayOffer[] {
  const ends = runs.flatMap((run): Ends[] => {
    const [a, b] = [run.from, run.to].map((id) => h.points[h.pointOfId.get(id) ?? -1]);
    return a && b ? [{ run, a, b, f: h.faces[a.face], g: h.faces[b.face] }] : [];
  });
  return newWays.map((way): WayOffer => {
    const each = ends.map((e): WayOffer => {
      if (way === "under-boards") return underBoards(h, e);
      if (way === "old-cable") return withOld(h, e, found);
      return way === "chased" ? asLaid(h, e, holes) : alongSkirting(h, e, way);
    });
    const no = each.find((x) => x.no)?.no ?? null;
    if (no) return none(way, no);
    const sum = (key: "length" | "minutes" | "boards" | "chase" | "skirting" | "seen" | "holes"): number =>
      each.reduce((s, x) => s + x[key], 0);
    return {
      way,
      no: null,
      length: sum("length"),
      minutes: sum("minutes"),
      boards: sum("boards"),
      chase: sum("chase"),
      skirting: sum("skirting"),
      seen: sum("seen"),
      holes: sum("holes"),
    };
  });
}
