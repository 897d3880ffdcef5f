import { distinct } from "../base/distinct";
import type { Interval } from "../base/interval";
import { type XY, spansAlong } from "../base/polygon";
import { EPS, same } from "../base/tolerance";
import { type XYZ, toSpace } from "../base/wall-frame";
import type { House } from "../house/house";
import { BORE_PITCH, bits } from "../rules/bits";
import {
  type DeckJoist,
  type LaidDeck,
  type Drilled,
  cutsOf,
  isHeavy,
  joistFor,
  meetsPolygon,
  placeOn,
} from "../house/deck";
import { timberRules } from "../rules/timber";
import { overCut } from "../trades/timber/over-cut";
import { joistWindows } from "../trades/timber/joist";
import { EDGE, type GraphDraft, addEdge, addNode } from "./graph";
import { CLEAR, type FaceLines, risesAt } from "./wall-lines";

/** A cable clipped along a joist lies this far off its side, mm. */
const OFF = 8;
/** Marks are tidy: bore lines start at a whole ten millimetres from the bearing. */
const TIDY = 10;
/** How far a wall's drop may lie beyond the deck's edge and still enter it, mm. */
const REACH = 300;

/** A place where a cable comes into the deck, at mid-depth: node and coordinates along and across the joists. */
interface Entry {
  node: number;
  along: number;
  across: number;
}

/** A side of a bay along which cables are clipped. */
interface Lane {
  at: number;
  extent: Interval[];
  /** Node at each station, by the station's number in the bay; −1 where the lane is not there. */
  nodes: number[];
}

/** A bore place and a hole drilled already are one when they are this near, mm. */
const SAME_PLACE = 1;

const linesOfDeck = new WeakMap<LaidDeck, ReturnType<typeof boreLines>[]>();

/** Where every joist of a deck may be bored. Kept with the deck, which a house shares with the one before while nothing of it changes. */
function boreLinesOf(l: LaidDeck): ReturnType<typeof boreLines>[] {
  let lines = linesOfDeck.get(l);
  if (!lines) linesOfDeck.set(l, (lines = l.joists.map((j) => boreLines(l, j))));
  return lines;
}

/** Positions along a joist where it may be bored: tidy distances from the nearer bearing, clear of existing cuts. Absolute. */
export function boreLines(
  l: LaidDeck,
  joist: DeckJoist,
): { span: number; at: number; along: number; most: number; asked: boolean | null }[] {
  if (l.deck.kind === "engineered") return makersLines(l, joist);
  const most = Math.min(bits[bits.length - 1]!, timberRules.hole.size * l.deck.joists.depth);
  if (
    l.deck.kind !== "solid-joists" ||
    l.deck.joists.depth > timberRules.mostDepth + EPS ||
    isHeavy(l, joist) ||
    most < bits[0]!
  )
    return [];
  const out: { span: number; at: number; along: number; most: number; asked: boolean | null }[] = [];
  const wanted = l.deck.boreLines.map((x) => l.origin + x);
  const any = wanted.length > 0;
  joist.spans.forEach((span, s) => {
    const length = span[1] - span[0];
    if (overCut(l, joist, s + 1)) return;
    const [near] = joistWindows(joistFor(l, span), "warranty").hole.zones;
    const drilled = l.drilled.filter((c) => c.joist === joist.n && c.span === s + 1);
    /** The hole drilled already right at a place: it may be shared, as large as it is. */
    const there = (at: number): Drilled | undefined => drilled.find((c) => Math.abs(c.at - at) <= SAME_PLACE);
    const cuts = [...cutsOf(l, joist.n, s + 1), ...drilled.map((c) => ({ kind: "hole" as const, ...c }))];
    const mostAt = (at: number): number => there(at)?.diameter ?? most;
    const clear = (at: number): boolean =>
      cuts.every(
        (c) =>
          (c.kind === "hole" && Math.abs(c.at - at) <= SAME_PLACE && there(at) !== undefined) ||
          (c.kind === "hole"
            ? Math.abs(c.at - at) >= timberRules.hole.spacing * Math.max(c.diameter, most) - EPS
            : Math.abs(c.at - at) - c.width / 2 - most / 2 >= timberRules.apart - EPS),
      );
    // Lines the user asked for come first, where the rules allow them; the others keep clear of them.
    const mine = wanted
      .filter((x) => x > span[0] && x < span[1])
      .map((x) => ({ span: s, at: x - span[0], along: x, most: mostAt(x - span[0]), asked: true as boolean | null }))
      .filter((x) => {
        const d = Math.min(x.at, length - x.at);
        return d >= near[0] - EPS && d <= near[1] + EPS && clear(x.at);
      });
    out.push(...mine);
    const beside = (along: number): boolean => mine.every((x) => Math.abs(x.along - along) >= BORE_PITCH - EPS);
    const start = Math.ceil(near[0] / TIDY - 1e-9) * TIDY;
    for (let d = start; d <= near[1] + EPS; d += BORE_PITCH) {
      if (clear(d) && beside(span[0] + d))
        out.push({ span: s, at: d, along: span[0] + d, most: mostAt(d), asked: any ? false : null });
      if (length - d - d > BORE_PITCH && clear(length - d) && beside(span[1] - d))
        out.push({ span: s, at: length - d, along: span[1] - d, most: mostAt(length - d), asked: any ? false : null });
    }
  });
  return out.sort((a, b) => a.along - b.along);
}

/** Bore lines of an engineered joist: only where the user has read in the maker's chart that a hole is allowed, and of what size. */
function makersLines(
  l: LaidDeck,
  joist: DeckJoist,
): { span: number; at: number; along: number; most: number; asked: boolean | null }[] {
  if (isHeavy(l, joist)) return [];
  return joist.spans.flatMap((span, s) =>
    l.deck.makerAllows.flatMap((w) => {
      const most = Math.min(w.most, bits[bits.length - 1]!);
      const out = [];
      for (
        let at = Math.ceil(w.from / TIDY) * TIDY;
        most >= bits[0]! && at <= Math.min(w.to, span[1] - span[0]) + EPS;
        at += BORE_PITCH
      )
        out.push({ span: s, at, along: span[0] + at, most, asked: null });
      return out;
    }),
  );
}

/** Adds one deck to the graph: entries from walls and deck points, lanes along the joists, links across bays, bores through joists. */
export function addDeck(g: GraphDraft, h: House, n: number, lines: FaceLines[], terminal: Int32Array): void {
  const l = h.decks[n]!;
  const entries = [...wallEntries(g, h, n, lines), ...deckPoints(g, h, n, terminal)];
  if (l.deck.kind === "concrete" || l.joists.length === 0) return;
  const half = l.deck.joists.breadth / 2;
  const free = freeOf(l, [
    ...l.deck.obstacles,
    ...h.job.forbidden.flatMap((x) => (x.place.on === "deck" && x.place.deck === l.deck.id ? [x.place] : [])),
  ]);
  const lineList = boreLinesOf(l);
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
        if (p >= 0 && q >= 0 && together && free(stations[i - 1]!, at, stations[i]!, at))
          addEdge(g, p, q, EDGE.lane, n);
      }
      return { at, extent, nodes };
    };
    const lanes: [Lane | null, Lane | null] = [
      below ? lane(below.at + half + OFF) : null,
      above ? lane(above.at - half - OFF) : null,
    ];
    const [lo, hi] = lanes;
    stations.forEach((s, i) => {
      const mid = here.filter((e) => same(e.along, s));
      for (const e of mid)
        for (const side of lanes) {
          const node = side?.nodes[i] ?? -1;
          if (side && node >= 0 && free(s, e.across, s, side.at)) addEdge(g, e.node, node, EDGE.bay, n);
        }
      const [p, q] = [lo?.nodes[i] ?? -1, hi?.nodes[i] ?? -1];
      if (lo && hi && p >= 0 && q >= 0 && free(s, lo.at, s, hi.at)) addEdge(g, p, q, EDGE.bay, n);
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
      if (from < 0 || to < 0 || !free(line.along, j.at - half - OFF, line.along, j.at + half + OFF)) continue;
      g.bores.push({
        deck: n,
        joist: i,
        span: line.span,
        at: line.at,
        centre: at3(l, line.along, j.at),
        most: line.most,
        asked: line.asked,
      });
      addEdge(g, from, to, EDGE.bore, g.bores.length - 1);
    }
  });
}

const nodeAt = (bay: { stations: number[]; lanes: [Lane | null, Lane | null] }, side: 0 | 1, along: number): number => {
  const i = bay.stations.findIndex((s) => same(s, along));
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
