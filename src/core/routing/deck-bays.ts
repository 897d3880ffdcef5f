import { alike } from "../base/alike";
import { distinct, indexNear } from "../base/distinct";
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
  const at = entries.flatMap((e) => [e.along, e.across]);
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
  entries.forEach(({ across }, i) => {
    const b = l.joists.findIndex((j) => across < j.at + half - EPS);
    const above = l.joists[b];
    if (!above) into[l.joists.length]!.push(i);
    else if (across < above.at - half + EPS) into[b]!.push(i);
  });
  const make = bayOf(h, n);
  const shifts = into.map((here, b) => {
    const at = here.flatMap((i) => [entries[i]!.along, entries[i]!.across]);
    if (!bays[b] || !alike(bays[b]!.at, at)) bays[b] = make(b, at);
    return append(g, bays[b]!.part, here);
  });
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
function bayOf(h: House, n: number): (b: number, at: readonly number[]) => Bay {
  const l = h.decks[n]!;
  const half = l.deck.joists.breadth / 2;
  const free = freeOf(h, l);
  const walls = deckWalls(h)[n]!;
  // Rows of noggins as deep as the cable lies, which it must be taken through.
  const rows = l.deck.noggins
    .filter((x) => {
      const [low, high] = nogginBody(l, x);
      return l.mid >= low - EPS && l.mid <= high + EPS;
    })
    .map((x) => l.origin + x.at);
  const nogginsOn = (a: number, b: number): number => rows.filter((x) => x > a + EPS && x <= b + EPS).length;
  const lineList = boreLinesOf(l, h.job.settings.schools);
  return (b, places) => {
    const g = draft(256, 512);
    const below = l.joists[b - 1];
    const above = l.joists[b];
    const here = Array.from({ length: places.length / 2 }, (_, i): Entry => {
      const [along, across] = [places[2 * i]!, places[2 * i + 1]!];
      return { node: addNode(g, at3(l, along, across)), along, across };
    });
    const stations = distinct([
      ...here.map((e) => e.along),
      ...(lineList[b - 1] ?? []).map((x) => x.along),
      ...(lineList[b] ?? []).map((x) => x.along),
    ]);
    const narrow = below && above && above.at - half - (below.at + half) < 2 * OFF;
    const lane = (at: number): Lane | null => {
      if (narrow) return null;
      const extent = spansAlong(l.deck.outline, l.along, at);
      if (!extent.length) return null;
      const nodes = stations.map((s) =>
        extent.some(([p, q]) => s >= p - REACH && s <= q + REACH) ? addNode(g, at3(l, s, at)) : -1,
      );
      for (let i = 1; i < stations.length; i++) {
        const [p, q] = [nodes[i - 1]!, nodes[i]!];
        const together = extent.some(([lo, hi]) => stations[i - 1]! >= lo - REACH && stations[i]! <= hi + REACH);
        // In a closed deck a cable is drawn along its bay, but through a noggin or a wall only where it is opened.
        const shut = rows.find(
          (x) => x > stations[i - 1]! + EPS && x <= stations[i]! + EPS && !canReach(l, placeOn(l, x, at)),
        );
        if (p >= 0 && q >= 0 && together && shut === undefined && free(stations[i - 1]!, at, stations[i]!, at))
          addEdge(g, p, q, EDGE.lane, n, {
            timbers: nogginsOn(stations[i - 1]!, stations[i]!),
            walls: walls.length ? wallsPassed(walls, at3(l, stations[i - 1]!, at), at3(l, stations[i]!, at)).length : 0,
          });
      }
      return { at, nodes };
    };
    const lanes: [Lane | null, Lane | null] = [
      below ? lane(below.at + half + OFF) : null,
      above ? lane(above.at - half - OFF) : null,
    ];
    const [lo, hi] = lanes;
    const at: Entry[][] = stations.map(() => []);
    for (const e of here) at[indexNear(stations, e.along)]?.push(e);
    stations.forEach((s, i) => {
      // One that comes in right on a lane is on it; the others go across to both.
      const mid: Entry[] = [];
      for (const e of at[i]!) {
        const on = lanes.find((side) => side && same(side.at, e.across) && (side.nodes[i] ?? -1) >= 0);
        if (on) addEdge(g, e.node, on.nodes[i]!, EDGE.bay, n);
        else mid.push(e);
      }
      for (const e of mid)
        for (const side of lanes) {
          const node = side?.nodes[i] ?? -1;
          if (side && node >= 0 && free(s, e.across, s, side.at)) addEdge(g, e.node, node, EDGE.bay, n);
        }
      const [p, q] = [lo?.nodes[i] ?? -1, hi?.nodes[i] ?? -1];
      if (
        lo &&
        hi &&
        (at[i]!.length > 0 || canReach(l, placeOn(l, s, lo.at))) &&
        p >= 0 &&
        q >= 0 &&
        free(s, lo.at, s, hi.at)
      )
        addEdge(g, p, q, EDGE.bay, n);
      // Two entries at one station of a bay meet without touching a joist.
      for (let a = 0; a < mid.length; a++)
        for (let c = a + 1; c < mid.length; c++)
          if (free(s, mid[a]!.across, s, mid[c]!.across)) addEdge(g, mid[a]!.node, mid[c]!.node, EDGE.bay, n);
    });
    const nodes = (side: Lane | null, lines: readonly BoreLine[] = []): number[] =>
      lines.map((x) => {
        const i = indexNear(stations, x.along);
        return i < 0 ? -1 : (side?.nodes[i] ?? -1);
      });
    return { at: places, part: g, low: nodes(lo, lineList[b - 1]), high: nodes(hi, lineList[b]) };
  };
}

const at3 = (l: LaidDeck, along: number, across: number): XYZ => {
  const p = placeOn(l, along, across);
  return [p.x, p.y, l.mid];
};

/** Whether nothing is in the way of a cable on a deck from one place to another, each along and across the joists. */
function freeOf(h: House, l: LaidDeck): (a0: number, c0: number, a1: number, c1: number) => boolean {
  const barred: readonly { outline: readonly XY[] }[] = [
    ...l.deck.obstacles,
    ...h.job.forbidden.flatMap((x) => (x.place.on === "deck" && x.place.deck === l.deck.id ? [x.place] : [])),
  ];
  return (a0, c0, a1, c1) =>
    barred.length === 0 || !barred.some((o) => meetsPolygon(placeOn(l, a0, c0), placeOn(l, a1, c1), o.outline));
}
