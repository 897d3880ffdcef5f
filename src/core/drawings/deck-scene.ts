import { mm } from "../base/figures";
import type { Interval } from "../base/interval";
import { bounds } from "../base/polygon";
import { type DeckJoist, type LaidDeck, joistFor, placeOn } from "../house/deck";
import type { ExistingCut, Job } from "../job/model";
import type { Hole } from "../laid/laid";
import { chalkLines } from "../trades/timber/boring";
import type { Schools } from "../rules/schools";
import { joistWindows } from "../trades/timber/joist";
import { type Shape, type XY, pen } from "./scene";

/** Breadth a noggin is drawn with, mm. */
const NOGGIN = 46;

/** A place of a deck on plan from coordinates along and across its joists: x east, y down (south), mm. */
const put = (l: LaidDeck, along: number, across: number): XY => {
  const p = placeOn(l, along, across);
  return [p.x, -p.y];
};
const stretch = (l: LaidDeck, [from, to]: Interval, at: number, wide: number): XY[] => [
  put(l, from, at - wide / 2),
  put(l, to, at - wide / 2),
  put(l, to, at + wide / 2),
  put(l, from, at + wide / 2),
];
const outlineOf = (points: readonly { x: number; y: number }[]): XY[] => points.map((p) => [p.x, -p.y]);

/** One joist from above: its stretches, the windows in which it may be drilled, and its number. */
export function joistShapes(
  l: LaidDeck,
  j: DeckJoist,
  school: Schools["notch"],
): { stretches: Shape[]; marks: Shape[] } {
  const { breadth } = l.deck.joists;
  const s = pen({ layer: "JOISTS", id: `${l.deck.id} ${j.n}` });
  for (const e of j.extent) s.area(stretch(l, e, j.at, breadth), "timber", "timberline", { width: 0.7 });
  const p = pen({ layer: "WINDOWS" });
  if (l.deck.kind === "solid-joists")
    for (const span of j.spans)
      for (const [a, b] of joistWindows(joistFor(l, span), school).hole.zones)
        p.area(stretch(l, [span[0] + a, span[0] + b], j.at, breadth), "window", "none");
  const name = { layer: "LABELS", size: 10.5, type: "figures" } as const;
  if (l.along === "x")
    p.text(...put(l, l.origin, j.at), String(j.n), { ...name, anchor: "start", shift: 3, drop: 0.3 });
  else p.text(...put(l, l.origin, j.at), String(j.n), { ...name, drop: 1.1 });
  return { stretches: s.shapes, marks: p.shapes };
}

/** Lines to snap across the joists, with their distance from the bearing face. */
function chalkShapes(l: LaidDeck, holes: readonly Hole[]): Shape[] {
  const p = pen({ layer: "CHALK" });
  for (const c of chalkLines(l, { holes: [...holes] })) {
    if (c.joists.length < 2) continue;
    const id = String(Math.round(c.at));
    const [a, z] = c.marks.map((m) => put(l, c.along, l.joists[m.joist - 1]!.at)) as [XY, XY];
    p.line([a, z], "accent", { id, width: 1.1, dash: [1.5, 3] });
    p.text(...z, mm(c.at), { anchor: "start", shift: 6, drop: -0.4, size: 10.5, type: "figures" });
  }
  return p.shapes;
}

/** A hole or notch that is there already, to scale through the joist, and crossed. */
function oldCutShapes(l: LaidDeck, c: ExistingCut): Shape[] {
  const j = l.joists[c.joist - 1];
  const s = j?.spans[c.span - 1];
  if (!j || !s) return [];
  const wide = c.kind === "hole" ? c.diameter : c.width;
  const at = s[0] + c.at;
  const p = pen({ layer: "OLD-CUTS", id: c.id });
  p.area(
    stretch(l, [at - wide / 2, at + wide / 2], j.at, l.deck.joists.breadth),
    c.kind === "notch" ? "stop" : "paper",
    "stop",
    { cover: 0.7, width: 1.2 },
  );
  p.text(...put(l, at, j.at), "×", { ink: "stop", size: 22, drop: 0.55, type: "bold" });
  return p.shapes;
}

/** What lies over the joists of a deck: noggins, chalk lines, parts kept free, obstacles and old cuts. */
export function overJoists(l: LaidDeck, forbidden: Job["forbidden"], holes: readonly Hole[]): Shape[] {
  const p = pen({ layer: "OBSTACLES" });
  for (const n of l.deck.noggins)
    p.area(
      stretch(l, [l.origin + n.at - NOGGIN / 2, l.origin + n.at + NOGGIN / 2], (l.low + l.high) / 2, l.high - l.low),
      undefined,
      "timberline",
      {
        layer: "JOISTS",
        width: 0.8,
        // Those that come later are only hinted at.
        dash: n.later ? [1, 5] : [3, 3],
      },
    );
  p.shapes.push(...chalkShapes(l, holes));
  for (const x of forbidden)
    if (x.place.on === "deck" && x.place.deck === l.deck.id)
      p.area(outlineOf(x.place.outline), "stop", "stop", {
        layer: "KEPT-FREE",
        id: x.id,
        width: 1.2,
        dash: [4, 3],
        cover: 0.15,
      });
  const edge = bounds(l.deck.outline);
  if (l.deck.access === "closed")
    for (const o of l.deck.opened) {
      const [x, y] = [edge.x0 + o.x, edge.y0 + o.y];
      p.area(
        [
          [x, -y],
          [x + o.width, -y],
          [x + o.width, -(y + o.depth)],
          [x, -(y + o.depth)],
        ],
        "paper",
        "good",
        { id: o.id, width: 1.4, dash: [6, 3], cover: 0.5 },
      );
      p.text(x, -(y + o.depth), "opened", { anchor: "start", shift: 4, drop: 1.1, size: 10.5, ink: "good" });
    }
  for (const o of l.deck.obstacles) {
    p.area(outlineOf(o.outline), "soft", "ink", { id: o.id, width: 1 });
    const b = bounds(o.outline);
    p.text(b.x1, -(b.y0 + b.y1) / 2, o.name || o.kind, { anchor: "start", shift: 5, size: 11 });
  }
  return [...p.shapes, ...l.deck.existingCuts.flatMap((c) => oldCutShapes(l, c))];
}

/** The edge of a deck. */
export function deckEdge(l: LaidDeck): Shape[] {
  const p = pen({ layer: "DECKS", id: l.deck.id });
  p.area(outlineOf(l.deck.outline), undefined, "timberline", { width: 1, dash: [6, 4] });
  return p.shapes;
}

/** One deck from above, whole: x east, y down (south), mm of the house. */
export function deckScene(l: LaidDeck, job: Job, holes: readonly Hole[]): Shape[] {
  const joists = l.joists.map((j) => joistShapes(l, j, job.settings.schools.notch));
  return [
    ...deckEdge(l),
    ...joists.flatMap((j) => [...j.stretches, ...j.marks]),
    ...overJoists(l, job.forbidden, holes),
  ];
}

/** Holes in the joists, from above. */
export function holeShapes(holes: readonly Hole[]): Shape[] {
  const p = pen({ layer: "BORES" });
  for (const o of holes)
    if (o.in.kind === "joist" || o.in.kind === "noggin")
      // A notch is filled: its timber is gone from the top down.
      p.circle(o.centre[0], -o.centre[1], o.diameter / 2, o.notch ? "stop" : "paper", "ink", {
        id: o.id,
        least: 3.6,
        width: 1.5,
      });
  return p.shapes;
}
