import { type Interval, subtract } from "../base/interval";
import { type XY, bounds, insidePolygon, segmentsMeet, spansAlong } from "../base/polygon";
import { EPS } from "../base/tolerance";
import type { Deck, ExistingCut } from "../job/model";
import type { NotchSize } from "../rules/notches";
import type { Cut, Joist } from "./joist";

/** One joist of a deck in the house. `at` is the coordinate of its centre line across the joists; spans run along it, absolute mm. */
export interface DeckJoist {
  /** Number from the south (joists east–west) or west, from 1. */
  n: number;
  at: number;
  /** Clear spans between bearing faces. */
  spans: Interval[];
  /** Stretches of the joist within the deck. */
  extent: Interval[];
}

/** A hole drilled for work already done: numbers from 1, place from the left bearing of its span, mm. */
export interface Drilled {
  joist: number;
  span: number;
  at: number;
  diameter: number;
  /** A notch in place of a hole, mm. */
  notch?: NotchSize;
}

/** A deck laid out in the house. */
export interface LaidDeck {
  deck: Deck;
  /** Axis along which the joists run, and the one across. */
  along: "x" | "y";
  across: "x" | "y";
  /** Where positions along a joist are measured from: west or south edge of the deck. */
  origin: number;
  joists: DeckJoist[];
  /** Holes drilled for work already done, which new bores keep clear of or share; none in a house as planned. */
  drilled: readonly Drilled[];
  /** z of the centre line, of the underside and of the top of the joists, mm. */
  mid: number;
  underside: number;
  top: number;
  /** Edges of the deck across the joists. */
  low: number;
  high: number;
}

/** Works out every joist of a deck: centre lines, stretches inside the outline, clear spans between bearings. */
export function layDeck(deck: Deck): LaidDeck {
  const along = deck.joists.direction === "east-west" ? "x" : "y";
  const across = along === "x" ? "y" : "x";
  const b = bounds(deck.outline);
  const [origin, low, high] = along === "x" ? [b.x0, b.y0, b.y1] : [b.y0, b.x0, b.x1];
  const { depth, first, spacing, bearings } = deck.joists;
  const joists: DeckJoist[] = [];
  if (deck.kind !== "concrete") {
    const supports: Interval[] = bearings.map(([p, q]) => [origin + p, origin + q]);
    // A joist counts as soon as its centre line lies in the deck, however near its edge.
    for (let at = low + first; at < high - EPS; at += spacing) {
      const extent = spansAlong(deck.outline, along, at);
      const spans = extent.flatMap((e) => subtract(e, supports)).filter(([p, q]) => q - p > 300);
      joists.push({ n: joists.length + 1, at, spans, extent });
    }
  }
  return {
    deck,
    along,
    across,
    origin,
    joists,
    drilled: [],
    mid: deck.underside + depth / 2,
    underside: deck.underside,
    top: deck.underside + depth,
    low,
    high,
  };
}

/** The least and the greatest z of a row of noggins, mm. */
export const nogginBody = (l: LaidDeck, row: Deck["noggins"][number]): Interval =>
  row.edge === "top"
    ? [Math.max(l.underside, l.top - row.depth), l.top]
    : [l.underside, Math.min(l.top, l.underside + row.depth)];

/**
 * What battens, and noggins fixed later, take off the top and off the bottom edge of a joist for a hole of the given size, its middle at
 * a place along the joists, mm: of a noggin its depth where it comes over the hole, it being as broad as the joists; less than none where
 * battens lie over the edge. Source: BS 7671:2018+A2:2022 522.6.201.
 */
export function takenOffEdges(l: LaidDeck, along: number, diameter: number): { top: number; bottom: number } {
  const out = { top: 0, bottom: 0 };
  // Nails go into the batten: over the edge it moves that out, beside it in.
  for (const b of l.deck.battens) out[b.edge] += b.place === "over" ? -b.depth : b.depth;
  for (const row of l.deck.noggins)
    if (row.later && Math.abs(l.origin + row.at - along) < (l.deck.joists.breadth + diameter) / 2 - EPS)
      out[row.edge] = Math.max(out[row.edge], row.depth);
  return out;
}

/** True where a hand gets at the joists: anywhere in a deck that is open or whose boards come up, in a closed one where it is opened. */
export function canReach(l: LaidDeck, p: XY): boolean {
  return l.deck.access !== "closed" || openedAt(l, p).length > 0;
}

/** True where a hand gets at the top of the joists: in a closed deck where it is opened, but not from below. */
export const canSaw = (l: LaidDeck, p: XY): boolean =>
  l.deck.access !== "closed" || openedAt(l, p).some((o) => o.kind !== "below");

/** The places at which a closed deck is opened that a point of it lies in. */
export function openedAt(l: LaidDeck, p: XY): LaidDeck["deck"]["opened"] {
  const { x0, y0 } = bounds(l.deck.outline);
  return l.deck.opened.filter(
    (o) =>
      p.x >= x0 + o.x - EPS &&
      p.x <= x0 + o.x + o.width + EPS &&
      p.y >= y0 + o.y - EPS &&
      p.y <= y0 + o.y + o.depth + EPS,
  );
}

/** An obstacle reaches into a span when it comes this far past the bearing, mm. */
const IN_SPAN = 1;

/** A joist as the timber rules see it, for one of its spans. */
export const joistFor = (l: LaidDeck, span: Interval): Joist => ({
  kind: l.deck.kind === "engineered" ? "engineered" : "solid",
  depth: l.deck.joists.depth,
  breadth: l.deck.joists.breadth,
  span: span[1] - span[0],
});

/** What makes a span of a joist carry more than a floor: the user's word, or the steel or trimmer that bears on it. */
export type HeavyBy = { by: "named" } | { by: "obstacle"; name: string };

/** What bears on one span (from 1) of a joist, whatever the user has said against it; null where it carries a floor alone. */
export function heavyBy(l: LaidDeck, joist: DeckJoist, span: number): HeavyBy | null {
  if (l.deck.heavyJoists.includes(joist.n)) return { by: "named" };
  const s = joist.spans[span - 1];
  if (!s) return null;
  // Over a bearing it is the wall below that bears it; only what stands in the clear span loads the joist.
  const [a, b] = [placeOn(l, s[0] + IN_SPAN, joist.at), placeOn(l, s[1] - IN_SPAN, joist.at)];
  const o = l.deck.obstacles.find((x) => (x.kind === "trimmer" || x.kind === "steel") && meetsPolygon(a, b, x.outline));
  return o ? { by: "obstacle", name: o.name || o.kind } : null;
}

/** True when a span (from 1) of a joist carries more than a floor, and the user has not said otherwise. */
export const isHeavy = (l: LaidDeck, joist: DeckJoist, span: number): boolean =>
  heavyBy(l, joist, span) !== null && !l.deck.notHeavy.some((x) => x.joist === joist.n && x.span === span);

/** Existing cuts of one span of a joist in the timber rules' form. */
export const cutsOf = (l: LaidDeck, joist: number, span: number): Cut[] =>
  l.deck.existingCuts.filter((c) => c.joist === joist && c.span === span).map(asCut);

/** True when the maker of an engineered joist allows a hole at a place of a span, mm from its left bearing. */
export const makerAllows = (l: LaidDeck, at: number, diameter: number): boolean =>
  l.deck.makerAllows.some((w) => at >= w.from - EPS && at <= w.to + EPS && diameter <= w.most + EPS);

const asCut = (c: ExistingCut): Cut =>
  c.kind === "hole"
    ? { id: c.id, kind: "hole", at: c.at, diameter: c.diameter, fromTop: c.fromTop }
    : { id: c.id, kind: "notch", at: c.at, width: c.width, depth: c.depth, edge: c.edge };

/** Place in plan from coordinates along and across the joists. */
export const placeOn = (l: LaidDeck, along: number, across: number): XY =>
  l.along === "x" ? { x: along, y: across } : { x: across, y: along };

/** True when a stretch touches or lies in a polygon. */
export function meetsPolygon(a: XY, b: XY, outline: readonly XY[]): boolean {
  const box = bounds(outline);
  if (
    Math.max(a.x, b.x) < box.x0 - EPS ||
    Math.min(a.x, b.x) > box.x1 + EPS ||
    Math.max(a.y, b.y) < box.y0 - EPS ||
    Math.min(a.y, b.y) > box.y1 + EPS
  )
    return false;
  if (insidePolygon(outline, a) || insidePolygon(outline, b)) return true;
  return outline.some((c, i) => segmentsMeet(a, b, c, outline[(i + 1) % outline.length]!));
}
