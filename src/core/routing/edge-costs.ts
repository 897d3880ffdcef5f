import type { House } from "../house/house";
import { type LaidSection, sectionsOf } from "../house/sections";
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

/** What edges cost a circuit, mm of cable, before any bore is counted as taken. */
export class EdgeCost {
  private readonly usable: Uint8Array;
  private readonly hidden: boolean;
  private readonly sections: readonly LaidSection[];
  private readonly intoPlaster: boolean[] = [];
  private readonly ladder: number[] = [];
  private readonly boards: number[] = [];

  /**
   * @param opened 1 for faces that are opened anyhow, as it is when an edge is asked for; entering or leaving another costs half the price
   * of opening it
   * @param cost the weights to price by; those of the job when left out
   */
  constructor(
    private readonly h: House,
    private readonly g: RouteGraph,
    c: Circuit,
    private readonly opened: Uint8Array,
    private readonly cost: Costs = h.job.settings.cost,
  ) {
    this.usable = usableFor(h, g, c);
    this.hidden = c.walls === "hidden";
    this.sections = sectionsOf(h);
    for (const f of h.faces) {
      this.intoPlaster.push(chased(h, c, f.n));
      this.ladder.push(f.floor + LADDER);
    }
    // Along a joist every board over the way comes up; across the joists it is one board.
    for (const { deck } of h.decks) this.boards.push(deck.access === "open" ? 0 : deck.access === "closed" ? 2 : 1);
  }

  private half(face: number): number {
    return this.hidden && !this.opened[face] ? this.cost.faces / 2 : 0;
  }

  of(e: number): number {
    const { g, cost, hidden } = this;
    if (!this.usable[e]) return Infinity;
    const kind = g.kind[e];
    const ref = g.ref[e]!;
    const section = g.section[e]!;
    let perMm = cost.cable;
    let once = 0;
    if (section) {
      perMm *= LIKED;
      if (this.sections[section - 1]!.row.hidden && hidden) perMm += cost.chase;
    } else if (kind === EDGE.wall) {
      if (this.intoPlaster[ref]) perMm += cost.chase;
      else if (hidden) once = g.timbers[e]! * STUD_HOLE * cost.bore;
      if (g.wet[e]) perMm += WET;
      if ((g.z[g.a[e]!]! + g.z[g.b[e]!]!) / 2 > this.ladder[ref]!) perMm += cost.height;
    } else if (kind === EDGE.outside) perMm *= DRAWN;
    else if (kind === EDGE.through) once = cost.wallHole + this.half(ref) + this.half(g.ref2[e]!);
    else if (kind === EDGE.corner) once = this.half(ref) + this.half(this.h.faces[ref]!.right);
    else if (kind === EDGE.rise) once = RISE * cost.bore + (g.ref2[e]! >= 0 ? this.half(g.ref2[e]!) : 0);
    else if (kind === EDGE.lane) {
      once = g.timbers[e]! * STUD_HOLE * cost.bore + g.walls[e]! * cost.wallHole;
      perMm += cost.boards * this.boards[ref]!;
    }
    return g.length[e]! * perMm + once;
  }

  /** Of every edge. */
  all(): Float64Array {
    const out = new Float64Array(this.g.a.length);
    for (let e = 0; e < out.length; e++) out[e] = this.of(e);
    return out;
  }
}

/** What every edge costs; see `EdgeCost`. */
export const edgeCosts = (...of: ConstructorParameters<typeof EdgeCost>): Float64Array => new EdgeCost(...of).all();

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
