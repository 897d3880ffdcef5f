import { alike } from "../base/alike";
import { distinct, indexNear } from "../base/distinct";
import type { Interval } from "../base/interval";
import { Kept } from "../base/kept";
import { type XY, spansAlong } from "../base/polygon";
import { EPS, same } from "../base/tolerance";
import type { XYZ } from "../base/wall-frame";
import type { House } from "../house/house";
import { type LaidDeck, canReach, canSaw, meetsPolygon, nogginBody, placeOn } from "../house/deck";
import { deckWalls, wallsPassed } from "../house/deck-walls";
import { NOTCH_AT } from "../rules/notches";
import { type BoreLine, boreLinesOf } from "./bore-lines";
import { type BorePlace, EDGE, type GraphDraft, addEdge, addNode, append, draft } from "./graph";
import type { Entry } from "./meeting-decks";

/** A cable clipped along a joist lies this far off its side, mm. */
const OFF = 8;
/** How far a wall's drop may lie beyond the deck's edge and still enter it, mm. */
const REACH = 300;

/** A side of a bay along which cables are clipped. */
interface Lane {
  at: number;
  /** Node at each station, by the station's number in the bay; −1 where the lane is not there. */
  nodes: number[];
}

/** The lanes of a bay and the links across it as a part of the graph, with what comes into the bay as its first nodes. */
interface Bay {
  /** Where that comes in: along and across the joists, one after the other. */
  at: readonly number[];
  part: GraphDraft;
  /** Node beside the joist below it, and the joist above, at each place where that may be bored; −1 where no cable gets there. */
  low: readonly number[];
  high: readonly number[];
}

/** Where a joist is bored or notched in a deck, whatever comes into it. */
interface Through {
  joist: number;
  /** Number of the line in those of the joist. */
  line: number;
  along: number;
  place: BorePlace;
}

/** What is kept of a deck from one house to the next. */
interface KeptDeck {
  bays: Bay[];
  throughs: readonly Through[];
  whole: { at: readonly number[]; part: GraphDraft } | null;
}

const kept = new Kept<LaidDeck, KeptDeck>();

/**
 * What lies between the entries of a deck, with them as the first nodes: lanes along the joists, links across bays, bores through
 * joists. It is kept with the deck, which a house shares with the one before while nothing of it changes; where only what comes into
 * some bays has changed, those alone are made anew.
 */
export function lanesOf(h: House, n: number, entries: readonly Entry[]): GraphDraft {
  const l = h.decks[n]!;
  const keptFree = h.job.forbidden.filter((x) => x.place.on === "deck" && x.place.deck === l.deck.id);
  const walls = deckWalls(h)[n]!.flatMap((w) => [w.across, w.x0, w.y0, w.x1, w.y1]);
  const { notch, notchEdge } = h.job.settings.schools;
  const made = [n, notch, notchEdge, ...keptFree, "walls", ...walls];
  const there = kept.of(l, made, () => ({ bays: [], throughs: throughsOf(h, n), whole: null }));
  const at: number[] = [];
  for (const e of entries) at.push(e.along, e.across);
  if (!there.whole || !alike(there.whole.at, at)) there.whole = { at, part: joinBays(h, n, entries, there) };
  return there.whole.part;
}

function joinBays(h: House, n: number, entries: readonly Entry[], { bays, throughs }: KeptDeck): GraphDraft {
  const l = h.decks[n]!;
  const half = l.deck.joists.breadth / 2;
  const g = draft(2048, 4096);
  for (const e of entries) addNode(g, at3(l, e.along, e.across));
  // By bay: what comes into it. Over the body of a joist nothing does.
  const into = [...l.joists, null].map((): number[] => []);
  for (let i = 0; i < entries.length; i++) {
    const { across } = entries[i]!;
    let b = 0;
    while (b < l.joists.length && across >= l.joists[b]!.at + half - EPS) b++;
    const above = l.joists[b];
    if (!above || across < above.at - half + EPS) into[b]!.push(i);
  }
  let make: BayMaker | null = null;
  const shifts: number[] = [];
  for (let b = 0; b < into.length; b++) {
    const here = into[b]!;
    const at: number[] = [];
    for (const i of here) at.push(entries[i]!.along, entries[i]!.across);
    if (!bays[b] || !alike(bays[b]!.at, at)) bays[b] = (make ??= new BayMaker(h, n)).bay(b, at);
    shifts.push(append(g, bays[b]!.part, here));
  }
  for (const { joist, line, along, place } of throughs) {
    const from = bays[joist]!.high[line]!;
    const to = bays[joist + 1]!.low[line]!;
    if (from < 0 || to < 0) continue;
    const [a, b] = [from + shifts[joist]!, to + shifts[joist + 1]!];
    g.bores.push(place);
    if (place.notch === undefined) addEdge(g, a, b, EDGE.bore, g.bores.length - 1);
    else {
      // Up beside the joist, over it in the notch, and down again.
      const z = place.centre[2];
      const beside = (off: number): number => {
        const p = placeOn(l, along, l.joists[joist]!.at + off);
        return addNode(g, [p.x, p.y, z]);
      };
      const [up, down] = [beside(-half - OFF), beside(half + OFF)];
      addEdge(g, a, up, EDGE.bay, n);
      addEdge(g, up, down, EDGE.bore, g.bores.length - 1);
      addEdge(g, down, b, EDGE.bay, n);
    }
  }
  return g;
}

/** Where the joists of a deck may be bored or notched and a hand and a saw get to it. */
function throughsOf(h: House, n: number): Through[] {
  const l = h.decks[n]!;
  const half = l.deck.joists.breadth / 2;
  const free = freeOf(h, l);
  return l.joists.flatMap((j, i) =>
    boreLinesOf(l, h.job.settings.schools)[i]!.flatMap((x, line): Through[] => {
      const { along, span, at, most, asked, notch } = x;
      const here = placeOn(l, along, j.at);
      if (!canReach(l, here) || !free(along, j.at - half - OFF, along, j.at + half + OFF)) return [];
      if (notch !== undefined && !canSaw(l, here)) return [];
      const centre: XYZ = [here.x, here.y, notch === undefined ? l.mid : l.top - NOTCH_AT];
      const place: BorePlace = { deck: n, joist: i, span, at, centre, most, asked };
      return [{ joist: i, line, along, place: notch === undefined ? place : { ...place, notch } }];
    }),
  );
}

/** Makes bays of a deck by their number, given where what comes in does so. */
class BayMaker {
  private readonly l: LaidDeck;
  private readonly half: number;
  private readonly free: Free;
  private readonly walls;
  /** Rows of noggins as deep as the cable lies, which it must be taken through. */
  private readonly rows: number[] = [];
  private readonly lines: readonly (readonly BoreLine[])[];

  constructor(
    h: House,
    private readonly n: number,
  ) {
    const l = (this.l = h.decks[n]!);
    this.half = l.deck.joists.breadth / 2;
    this.free = freeOf(h, l);
    this.walls = deckWalls(h)[n]!;
    for (const x of l.deck.noggins) {
      const [low, high] = nogginBody(l, x);
      if (l.mid >= low - EPS && l.mid <= high + EPS) this.rows.push(l.origin + x.at);
    }
    this.lines = boreLinesOf(l, h.job.settings.schools);
  }

  bay(b: number, places: readonly number[]): Bay {
    const { l, half } = this;
    const g = draft(256, 512);
    const below = l.joists[b - 1];
    const above = l.joists[b];
    const here: Entry[] = [];
    for (let i = 0; i < places.length; i += 2) {
      const [along, across] = [places[i]!, places[i + 1]!];
      here.push({ node: addNode(g, at3(l, along, across)), along, across });
    }
    const [low, high] = [this.lines[b - 1] ?? [], this.lines[b] ?? []];
    const stations = distinct([...here.map(alongOf), ...low.map(alongOf), ...high.map(alongOf)]);
    const narrow = below && above && above.at - half - (below.at + half) < 2 * OFF;
    const lo = below && !narrow ? this.lane(g, stations, below.at + half + OFF) : null;
    const hi = above && !narrow ? this.lane(g, stations, above.at - half - OFF) : null;
    const at: Entry[][] = stations.map(() => []);
    for (const e of here) at[indexNear(stations, e.along)]?.push(e);
    for (let i = 0; i < stations.length; i++) this.across(g, stations[i]!, i, [lo, hi], at[i]!);
    return { at: places, part: g, low: beside(lo, stations, low), high: beside(hi, stations, high) };
  }

  /** A side of a bay along which cables are clipped; null where it lies outside the deck. */
  private lane(g: GraphDraft, stations: readonly number[], at: number): Lane | null {
    const { l, walls } = this;
    const extent = spansAlong(l.deck.outline, l.along, at);
    if (!extent.length) return null;
    const nodes: number[] = [];
    for (const s of stations) nodes.push(within(extent, s, s) ? addNode(g, at3(l, s, at)) : -1);
    for (let i = 1; i < stations.length; i++) {
      const [p, q] = [nodes[i - 1]!, nodes[i]!];
      if (p < 0 || q < 0) continue;
      const [from, to] = [stations[i - 1]!, stations[i]!];
      if (!within(extent, from, to) || this.shut(from, to, at) || !this.free(from, at, to, at)) continue;
      addEdge(g, p, q, EDGE.lane, this.n, {
        timbers: this.nogginsOn(from, to),
        walls: walls.length ? wallsPassed(walls, at3(l, from, at), at3(l, to, at)).length : 0,
      });
    }
    return { at, nodes };
  }

  private nogginsOn(a: number, b: number): number {
    let count = 0;
    for (const x of this.rows) if (x > a + EPS && x <= b + EPS) count++;
    return count;
  }

  /** In a closed deck a cable is drawn along its bay, but through a noggin or a wall only where it is opened. */
  private shut(a: number, b: number, at: number): boolean {
    for (const x of this.rows)
      if (x > a + EPS && x <= b + EPS && !canReach(this.l, placeOn(this.l, x, at))) return true;
    return false;
  }

  /** Links across the bay at a station. */
  private across(
    g: GraphDraft,
    s: number,
    i: number,
    lanes: readonly [Lane | null, Lane | null],
    entries: readonly Entry[],
  ): void {
    const { l, n } = this;
    const [lo, hi] = lanes;
    // One that comes in right on a lane is on it; the others go across to both.
    const mid: Entry[] = [];
    for (const e of entries) {
      const on = isOn(lo, i, e) ? lo : isOn(hi, i, e) ? hi : null;
      if (on) addEdge(g, e.node, on.nodes[i]!, EDGE.bay, n);
      else mid.push(e);
    }
    for (const e of mid)
      for (const side of lanes) {
        const node = side?.nodes[i] ?? -1;
        if (side && node >= 0 && this.free(s, e.across, s, side.at)) addEdge(g, e.node, node, EDGE.bay, n);
      }
    const [p, q] = [lo?.nodes[i] ?? -1, hi?.nodes[i] ?? -1];
    if (
      lo &&
      hi &&
      (entries.length > 0 || canReach(l, placeOn(l, s, lo.at))) &&
      p >= 0 &&
      q >= 0 &&
      this.free(s, lo.at, s, hi.at)
    )
      addEdge(g, p, q, EDGE.bay, n);
    // Two entries at one station of a bay meet without touching a joist.
    for (let a = 0; a < mid.length; a++)
      for (let c = a + 1; c < mid.length; c++)
        if (this.free(s, mid[a]!.across, s, mid[c]!.across)) addEdge(g, mid[a]!.node, mid[c]!.node, EDGE.bay, n);
  }
}

const alongOf = (x: { along: number }): number => x.along;

/** Whether a lane is there from one place along it to another, a drop a little beyond its end counted. */
const within = (extent: readonly Interval[], from: number, to: number): boolean => {
  for (const [lo, hi] of extent) if (from >= lo - REACH && to <= hi + REACH) return true;
  return false;
};

/** Whether something comes in right on a lane, at a station where that has a node. */
const isOn = (lane: Lane | null, i: number, e: Entry): boolean =>
  lane !== null && same(lane.at, e.across) && lane.nodes[i]! >= 0;

/** Nodes of a lane at the places where its joist may be bored; −1 where it has none. */
function beside(lane: Lane | null, stations: readonly number[], lines: readonly BoreLine[]): number[] {
  const out: number[] = [];
  for (const x of lines) {
    const i = indexNear(stations, x.along);
    out.push(i < 0 ? -1 : (lane?.nodes[i] ?? -1));
  }
  return out;
}

const at3 = (l: LaidDeck, along: number, across: number): XYZ => {
  const p = placeOn(l, along, across);
  return [p.x, p.y, l.mid];
};

/** Whether nothing is in the way of a cable on a deck from one place to another, each along and across the joists. */
type Free = (a0: number, c0: number, a1: number, c1: number) => boolean;

export function freeOf(h: House, l: LaidDeck): Free {
  const barred: readonly { outline: readonly XY[] }[] = [
    ...l.deck.obstacles,
    ...h.job.forbidden.flatMap((x) => (x.place.on === "deck" && x.place.deck === l.deck.id ? [x.place] : [])),
  ];
  return (a0, c0, a1, c1) =>
    barred.length === 0 || !barred.some((o) => meetsPolygon(placeOn(l, a0, c0), placeOn(l, a1, c1), o.outline));
}
