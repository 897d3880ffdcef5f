import { alike } from "../base/alike";
import { distinct, indexNear } from "../base/distinct";
import type { Interval } from "../base/interval";
import { type XY, spansAlong } from "../base/polygon";
import { EPS, same } from "../base/tolerance";
import { type XYZ, toSpace } from "../base/wall-frame";
import type { House } from "../house/house";
import { type LaidDeck, canReach, canSaw, meetsPolygon, nogginBody, placeOn } from "../house/deck";
import { deckWalls, wallsPassed } from "../house/deck-walls";
import { boreLinesOf } from "./bore-lines";
import type { Entry } from "./meeting-decks";
import { addDeckSections } from "./section-lanes";
import { NOTCH_AT } from "../rules/notches";
import { type BorePlace, EDGE, type GraphDraft, addEdge, addNode, append, draft } from "./graph";
import { CLEAR, type FaceLines, risesAt } from "./wall-lines";

/** A cable clipped along a joist lies this far off its side, mm. */
const OFF = 8;
/** How far a wall's drop may lie beyond the deck's edge and still enter it, mm. */
const REACH = 300;

/** A side of a bay along which cables are clipped. */
interface Lane {
  at: number;
  extent: Interval[];
  /** Node at each station, by the station's number in the bay; −1 where the lane is not there. */
  nodes: number[];
}

/** The lanes, bays and bores of a deck as a part of the graph, and all it was made of, by which it is known again. */
interface DeckPart {
  made: readonly unknown[];
  part: GraphDraft;
}

const parts = new WeakMap<LaidDeck, DeckPart>();

/** Adds one deck to the graph: entries from walls, deck points and decks it meets, lanes along the joists, links across bays, bores through joists. */
export function addDeck(
  g: GraphDraft,
  h: House,
  n: number,
  lines: FaceLines[],
  terminal: Int32Array,
  joined: readonly Entry[],
): void {
  const l = h.decks[n]!;
  const entries = [
    ...wallEntries(g, h, n, lines),
    ...deckPoints(g, h, n, terminal),
    ...addDeckSections(g, h, n, lines),
    ...joined,
  ];
  if (l.deck.kind === "concrete" || l.joists.length === 0) return;
  append(
    g,
    lanesOf(h, n, entries),
    entries.map((e) => e.node),
  );
}

/**
 * What lies between the entries of a deck, with them as the first nodes. It is kept with the deck, which a house shares with the
 * one before while nothing of it changes, and made anew when anything else that it depends on is not the same.
 */
function lanesOf(h: House, n: number, entries: readonly Entry[]): GraphDraft {
  const l = h.decks[n]!;
  const kept = h.job.forbidden.filter((x) => x.place.on === "deck" && x.place.deck === l.deck.id);
  const walls = deckWalls(h)[n]!.flatMap((w) => [w.across, w.x0, w.y0, w.x1, w.y1]);
  const { notch, notchEdge } = h.job.settings.schools;
  const made = [
    n,
    notch,
    notchEdge,
    ...kept,
    "walls",
    ...walls,
    "entries",
    ...entries.flatMap((e) => [e.along, e.across]),
  ];
  const there = parts.get(l);
  if (there && alike(there.made, made)) return there.part;
  const part = draft(1024, 2048);
  const own = entries.map((e) => {
    const at = placeOn(l, e.along, e.across);
    return { ...e, node: addNode(part, [at.x, at.y, l.mid]) };
  });
  addLanes(part, h, n, own);
  parts.set(l, { made, part });
  return part;
}

function addLanes(g: GraphDraft, h: House, n: number, entries: readonly Entry[]): void {
  const l = h.decks[n]!;
  const half = l.deck.joists.breadth / 2;
  const free = freeOf(l, [
    ...l.deck.obstacles,
    ...h.job.forbidden.flatMap((x) => (x.place.on === "deck" && x.place.deck === l.deck.id ? [x.place] : [])),
  ]);
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
  const bays: { stations: number[]; lanes: [Lane | null, Lane | null] }[] = [];
  for (let b = 0; b <= l.joists.length; b++) {
    const below = l.joists[b - 1];
    const above = l.joists[b];
    const from = below ? below.at + half : -Infinity;
    const to = above ? above.at - half : Infinity;
    const here = entries.filter((e) => e.across > from - EPS && e.across < to + EPS);
    const stations = distinct([
      ...here.map((e) => e.along),
      ...(lineList[b - 1] ?? []).map((x) => x.along),
      ...(lineList[b] ?? []).map((x) => x.along),
    ]);
    const narrow = to - from < 2 * OFF;
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
      return { at, extent, nodes };
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
    bays.push({ stations, lanes });
  }
  l.joists.forEach((j, i) => {
    for (const line of lineList[i]!) {
      const from = nodeAt(bays[i]!, 1, line.along);
      const to = nodeAt(bays[i + 1]!, 0, line.along);
      if (
        from < 0 ||
        to < 0 ||
        !canReach(l, placeOn(l, line.along, j.at)) ||
        !free(line.along, j.at - half - OFF, line.along, j.at + half + OFF)
      )
        continue;
      const { span, at, most, asked, notch } = line;
      if (notch !== undefined && !canSaw(l, placeOn(l, line.along, j.at))) continue;
      const z = notch === undefined ? l.mid : l.top - NOTCH_AT;
      const through = (across: number): XYZ => [...at3(l, line.along, across).slice(0, 2), z] as unknown as XYZ;
      const place: BorePlace = { deck: n, joist: i, span, at, centre: through(j.at), most, asked };
      g.bores.push(notch === undefined ? place : { ...place, notch });
      if (notch === undefined) addEdge(g, from, to, EDGE.bore, g.bores.length - 1);
      else {
        // Up beside the joist, over it in the notch, and down again.
        const [up, down] = [addNode(g, through(j.at - half - OFF)), addNode(g, through(j.at + half + OFF))];
        addEdge(g, from, up, EDGE.bay, n);
        addEdge(g, up, down, EDGE.bore, g.bores.length - 1);
        addEdge(g, down, to, EDGE.bay, n);
      }
    }
  });
}

const nodeAt = (bay: { stations: number[]; lanes: [Lane | null, Lane | null] }, side: 0 | 1, along: number): number => {
  const i = indexNear(bay.stations, along);
  return i < 0 ? -1 : (bay.lanes[side]?.nodes[i] ?? -1);
};

const at3 = (l: LaidDeck, along: number, across: number): XYZ => {
  const p = placeOn(l, along, across);
  return [p.x, p.y, l.mid];
};

const freeOf =
  (l: LaidDeck, barred: readonly { outline: readonly XY[] }[]) =>
  (a0: number, c0: number, a1: number, c1: number): boolean =>
    barred.length === 0 || !barred.some((o) => meetsPolygon(placeOn(l, a0, c0), placeOn(l, a1, c1), o.outline));

/** Rises from the top of walls below the deck, and falls from the foot of walls above it. */
function wallEntries(g: GraphDraft, h: House, n: number, lines: FaceLines[]): Entry[] {
  const l = h.decks[n]!;
  const out: Entry[] = [];
  if (l.deck.kind === "concrete") return out;
  for (const f of lines) {
    for (const [list, v] of [
      [f.over, f.face.shape.height],
      [f.under, 0],
    ] as const) {
      if (!list.includes(n)) continue;
      const j = f.vs.findIndex((x) => same(x, v));
      f.us.forEach((u, i) => {
        const wallNode = j < 0 ? -1 : f.node[i + j * f.us.length]!;
        if (wallNode < 0 || !risesAt(f.face, u, l)) return;
        const s = toSpace(f.face.frame, { u, v });
        const node = addNode(g, [s[0], s[1], l.mid]);
        addEdge(g, wallNode, node, EDGE.rise, n, { ref2: f.face.n });
        out.push({ node, along: l.along === "x" ? s[0] : s[1], across: l.across === "x" ? s[0] : s[1] });
      });
    }
  }
  return out;
}

/** Points on the deck itself: their drop comes up beside the nearest joist when they hang right under one. */
function deckPoints(g: GraphDraft, h: House, n: number, terminal: Int32Array): Entry[] {
  const l = h.decks[n]!;
  const out: Entry[] = [];
  h.points.forEach((p, i) => {
    if (p.deck !== n) return;
    const own = addNode(g, p.space);
    terminal[i] = own;
    if (l.deck.kind === "concrete") return;
    const along = l.along === "x" ? p.space[0] : p.space[1];
    let across = l.across === "x" ? p.space[0] : p.space[1];
    const side = l.deck.joists.breadth / 2 + CLEAR;
    const under = l.joists.find((j) => Math.abs(across - j.at) < side);
    if (under) across = across < under.at ? under.at - side : under.at + side;
    let foot = own;
    if (under) {
      const at = placeOn(l, along, across);
      foot = addNode(g, [at.x, at.y, p.space[2]]);
      addEdge(g, own, foot, EDGE.drop, n);
    }
    const node = addNode(g, at3(l, along, across));
    addEdge(g, foot, node, EDGE.drop, n);
    out.push({ node, along, across });
  });
  return out;
}
