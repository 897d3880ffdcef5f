import type { House } from "../house/house";
import { sectionsOf } from "../house/sections";
import type { Circuit, Costs } from "../job/model";
import { bitFor } from "../rules/bits";
import { type Cable, isMetalClad } from "../rules/cables";
import { cableOf } from "../rules/catalogue";
import { fitsNotch } from "../rules/notches";
import { type BorePlace, EDGE, type RouteGraph } from "./graph";
import { LADDER } from "./weights";

/** Share of a bore's cost when the hole is already there. */
const SHARED_BORE = 0.12;
/** What each mm behind a bath or a bowl costs on top, mm of cable: gone round where it can be. */
const WET = 4;
/** Price of a bore on a line the user asked for, and off it on a deck with such lines. */
const ASKED = 0.25;
const NOT_ASKED = 4;

/** Price of a notch as a share of that of a bore: two saw cuts, a chisel and a plate. */
const NOTCHED = 1.5;

/** Price of a hole in a stud, plate or noggin, as a share of that of a bore in a joist: it is quicker, and often shared. */
const STUD_HOLE = 0.5;

/** Price of a mm of cable in a section of containment, as a share of that beside it: what is there is used. */
export const LIKED = 0.6;
/** The same of a trench or a wire that the user has drawn: it is there to be taken. */
export const DRAWN = 0.2;
/** What each mm in a section that is full costs on top, mm of cable: gone round where there is any other way. */
export const FULL = 30;

/**
 * Price of going from a wall into a deck or out of one, as a share of that of a bore: so much that nobody dips out of a deck and in
 * again to spare one hole in a joist.
 */
const RISE = 0.75;

/** Conductors from which cables warm each other in a bundle, mm², and what each such neighbour costs, mm of cable. */
const WARM_CSA = 2.5;
const GROUPING = 6;

/** What cables may use of the lines of a house. */
export const usables = ["hidden", "armour", "surface"] as const;
export type Usable = (typeof usables)[number];

const every = new WeakMap<RouteGraph, Record<Usable, Uint8Array>>();

/** By edge: 1 where it may be used; the same list from one time to the next. */
export function usableBy(g: RouteGraph, by: Usable): Uint8Array {
  let out = every.get(g);
  if (!out) {
    const all = (): Uint8Array => new Uint8Array(g.a.length).fill(1);
    every.set(g, (out = { hidden: g.hidden, armour: all(), surface: all() }));
    for (let e = 0; e < g.a.length; e++) if (g.kind[e] === EDGE.outside) out.surface[e] = 0;
  }
  return out[by];
}

/**
 * Edges a circuit may use: armour anywhere off the openings, and alone through ground and air; surface cable the same on walls; hidden
 * cable within zones.
 */
export function usableFor(h: House, g: RouteGraph, c: Circuit): Uint8Array {
  if (isMetalClad(cableOf(c.cable, h.catalogue))) return usableBy(g, "armour");
  return usableBy(g, c.walls === "surface" ? "surface" : "hidden");
}

/** True for faces whose plaster a circuit's cable is chased into. */
const chased = (h: House, c: Circuit, face: number): boolean =>
  c.walls === "hidden" && ["masonry", "dry-lined"].includes(h.faces[face]!.wall.build);

/** Cost of an edge for a circuit, mm of cable, before any bore is counted as taken. */
export type EdgeCost = (e: number) => number;

/**
 * What an edge costs a circuit.
 * @param opened 1 for faces that are opened anyhow, as it is when an edge is asked for; entering or leaving another costs half the price
 * of opening it
 * @param cost the weights to price by; those of the job when left out
 */
export function edgeCost(
  h: House,
  g: RouteGraph,
  c: Circuit,
  opened: Uint8Array,
  cost: Costs = h.job.settings.cost,
): EdgeCost {
  const usable = usableFor(h, g, c);
  const hidden = c.walls === "hidden";
  const sections = sectionsOf(h);
  const half = (face: number): number => (hidden && !opened[face] ? cost.faces / 2 : 0);
  const intoPlaster = h.faces.map((_, f) => chased(h, c, f));
  const ladder = h.faces.map((f) => f.floor + LADDER);
  // Along a joist every board over the way comes up; across the joists it is one board.
  const boards = h.decks.map(({ deck: { access } }) => (access === "open" ? 0 : access === "closed" ? 2 : 1));
  const { kind: kinds, ref: refs, ref2, section: sectionOf, timbers, walls, wet, length, a, b, z } = g;
  return (e) => {
    if (!usable[e]) return Infinity;
    const kind = kinds[e];
    const ref = refs[e]!;
    const section = sectionOf[e]!;
    let perMm = cost.cable;
    let once = 0;
    if (section) {
      perMm *= LIKED;
      if (sections[section - 1]!.row.hidden && hidden) perMm += cost.chase;
    } else if (kind === EDGE.wall) {
      if (intoPlaster[ref]) perMm += cost.chase;
      else if (hidden) once = timbers[e]! * STUD_HOLE * cost.bore;
      if (wet[e]) perMm += WET;
      if ((z[a[e]!]! + z[b[e]!]!) / 2 > ladder[ref]!) perMm += cost.height;
    } else if (kind === EDGE.outside) perMm *= DRAWN;
    else if (kind === EDGE.through) once = cost.wallHole + half(ref) + half(ref2[e]!);
    else if (kind === EDGE.corner) once = half(ref) + half(h.faces[ref]!.right);
    else if (kind === EDGE.rise) once = RISE * cost.bore + (ref2[e]! >= 0 ? half(ref2[e]!) : 0);
    else if (kind === EDGE.lane) {
      once = timbers[e]! * STUD_HOLE * cost.bore + walls[e]! * cost.wallHole;
      perMm += cost.boards * boards[ref]!;
    }
    return length[e]! * perMm + once;
  };
}

/** The same for every edge; see `edgeCost`. */
export const edgeCosts = (...of: Parameters<typeof edgeCost>): Float64Array => {
  const cost = edgeCost(...of);
  return Float64Array.from({ length: of[1].a.length }, (_, e) => cost(e));
};

/** By face: the edges whose cost hangs on whether it is opened. */
export function edgesOfFaces(h: House, g: RouteGraph): readonly (readonly number[])[] {
  let out = ofFaces.get(g);
  if (out) return out;
  ofFaces.set(g, (out = h.faces.map(() => [])));
  for (let e = 0; e < g.a.length; e++) {
    const kind = g.kind[e];
    const ref = g.ref[e]!;
    if (kind === EDGE.through) out[ref]!.push(e);
    if (kind === EDGE.through || (kind === EDGE.rise && g.ref2[e]! >= 0)) out[g.ref2[e]!]!.push(e);
    if (kind === EDGE.corner) {
      out[ref]!.push(e);
      out[h.faces[ref]!.right]!.push(e);
    }
  }
  return out;
}
const ofFaces = new WeakMap<RouteGraph, number[][]>();

const fits = (place: BorePlace, cables: readonly Cable[]): boolean =>
  place.notch === undefined ? bitFor(cables, place.most) !== null : fitsNotch(cables, place.notch);

/**
 * Price of going through a bore place with what passes there already: dear when new, cheap when shared, Infinity when full.
 * @param dear what a new hole costs, mm of cable
 */
export function borePrice(dear: number, place: BorePlace, cable: Cable, there: readonly Cable[]): number {
  const asked = place.asked === null ? 1 : place.asked ? ASKED : NOT_ASKED;
  if (!there.length) return fits(place, [cable]) ? dear * asked * (place.notch === undefined ? 1 : NOTCHED) : Infinity;
  // Loaded cables warm each other: each one already there costs a little, so that bundles do not grow without need.
  let warm = 0;
  if (cable.csa >= WARM_CSA) for (const c of there) if (c.csa >= WARM_CSA) warm++;
  return fits(place, [...there, cable]) ? dear * SHARED_BORE + warm * GROUPING : Infinity;
}
