import { same } from "../base/tolerance";
import type { House } from "../house/house";
import { type LaidDeck, placeOn } from "../house/deck";
import { type XYZ, toFace } from "../base/wall-frame";
import { isRise, sectionsOf } from "../house/sections";
import { risesClear } from "../trades/containment/section-rises";
import { EDGE, type GraphDraft, addEdge, addNode } from "./graph";
import type { Entry } from "./meeting-decks";
import type { FaceLines } from "./wall-lines";

/** How far off a wall's face a place still counts as on it, mm. */
const ON_WALL = 1;

/** Middles of the bays between two places across the joists. */
function baysBetween(l: LaidDeck, from: number, to: number): number[] {
  const [lo, hi] = [Math.min(from, to), Math.max(from, to)];
  const sides = [l.low, ...l.joists.map((j) => j.at), l.high];
  const out: number[] = [];
  for (let i = 1; i < sides.length; i++) {
    const mid = (sides[i - 1]! + sides[i]!) / 2;
    if (mid > lo && mid < hi) out.push(mid);
  }
  return from <= to ? out : out.reverse();
}

/** True for a place over the body of a joist: from there nothing drops into a bay. */
const overJoist = (l: LaidDeck, across: number): boolean =>
  l.joists.some((j) => Math.abs(across - j.at) < l.deck.joists.breadth / 2 + 8);

/**
 * Sections that lie on the joists of a deck: lines over the joists, which nothing is bored for, with a drop into every bay they pass.
 * Only where the deck lies open: under boards there is no room. And those that go up through a deck between its joists, from a wall
 * on to them or to the wall above.
 */
export function addDeckSections(g: GraphDraft, h: House, n: number, lines: readonly FaceLines[]): Entry[] {
  const l = h.decks[n]!;
  const k = l.along === "x" ? 0 : 1;
  const out: Entry[] = [];
  /** Node on a wall at a place where a section leaves it. */
  const onWall = ([x, y, z]: XYZ): number => {
    for (const f of lines) {
      const p = toFace(f.face.frame, [x, y, z]);
      if (Math.abs(p.into) > ON_WALL || p.u < -ON_WALL || p.u > f.face.shape.length + ON_WALL) continue;
      const [i, j] = [f.us.findIndex((u) => same(u, p.u)), f.vs.findIndex((v) => same(v, p.v))];
      if (i >= 0 && j >= 0 && f.node[i + j * f.us.length]! >= 0) return f.node[i + j * f.us.length]!;
    }
    return -1;
  };
  const open = l.deck.access === "open" && l.deck.kind !== "concrete";
  sectionsOf(h).forEach((s, i) => {
    const top = new Map<string, number>();
    /** Node on the section at a place of the deck, and the drop below it. */
    const nodeAt = (along: number, across: number): number => {
      const at = placeOn(l, along, across);
      const key = `${at.x.toFixed(2)} ${at.y.toFixed(2)}`;
      let node = top.get(key);
      if (node === undefined) {
        top.set(key, (node = addNode(g, [at.x, at.y, l.top])));
        if (!overJoist(l, across)) {
          const below = addNode(g, [at.x, at.y, l.mid]);
          addEdge(g, node, below, EDGE.drop, n);
          out.push({ node: below, along, across });
        }
      }
      return node;
    };
    for (const x of s.stretches) {
      if (x.deck !== n) continue;
      if (isRise(x)) {
        if (!risesClear(h, s, x)) continue;
        const at = (p: XYZ): number => (same(p[2], l.top) ? (open ? nodeAt(p[k], p[1 - k]!) : -1) : onWall(p));
        const [from, to] = [at(x.from), at(x.to)];
        if (from >= 0 && to >= 0) addEdge(g, from, to, EDGE.rise, n, { section: i + 1 });
        continue;
      }
      if (!open) continue;
      const [al, ac] = l.along === "x" ? (["u", "v"] as const) : (["v", "u"] as const);
      const places: [number, number][] = [
        [x.a[al], x.a[ac]],
        ...(same(x.a[al], x.b[al]) ? baysBetween(l, x.a[ac], x.b[ac]).map((c): [number, number] => [x.a[al], c]) : []),
        [x.b[al], x.b[ac]],
      ];
      for (let k = 1; k < places.length; k++) {
        const [a, b] = [nodeAt(...places[k - 1]!), nodeAt(...places[k]!)];
        if (a !== b) addEdge(g, a, b, EDGE.lane, n, { section: i + 1 });
      }
    }
  });
  return out;
}
