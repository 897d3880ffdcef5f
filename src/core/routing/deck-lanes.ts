import { indexNear } from "../base/distinct";
import { toSpace } from "../base/wall-frame";
import type { House } from "../house/house";
import { type LaidDeck, placeOn } from "../house/deck";
import { freeOf, lanesOf } from "./deck-bays";
import type { Entry } from "./meeting-decks";
import { addDeckSections } from "./section-lanes";
import { EDGE, type GraphDraft, addEdge, addNode, append } from "./graph";
import { CLEAR, type FaceLines, risesAt } from "./wall-lines";

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
  const outer: number[] = [];
  for (const e of entries) outer.push(e.node);
  append(g, lanesOf(h, n, entries), outer);
}

/** Rises from the top of walls below the deck, and falls from the foot of walls above it. */
function wallEntries(g: GraphDraft, h: House, n: number, lines: FaceLines[]): Entry[] {
  const l = h.decks[n]!;
  const out: Entry[] = [];
  if (l.deck.kind === "concrete") return out;
  for (const f of lines) {
    if (f.over.includes(n)) addRises(g, f, f.face.shape.height, l, n, out);
    if (f.under.includes(n)) addRises(g, f, 0, l, n, out);
  }
  return out;
}

/** Rises into a deck from the line of a face at a height. */
function addRises(g: GraphDraft, f: FaceLines, v: number, l: LaidDeck, n: number, out: Entry[]): void {
  const j = indexNear(f.vs, v);
  if (j < 0) return;
  for (const { i, x, y } of risesOf(f, l)) {
    const wallNode = f.node[i + j * f.us.length]!;
    if (wallNode < 0) continue;
    const node = addNode(g, [x, y, l.mid]);
    addEdge(g, wallNode, node, EDGE.rise, n, { ref2: f.face.n });
    out.push({ node, along: l.along === "x" ? x : y, across: l.across === "x" ? x : y });
  }
}

/** A line of a face, by its number, along which a cable can rise into a deck or fall out of one, and where. */
interface Rise {
  i: number;
  x: number;
  y: number;
}

const rises = new WeakMap<readonly number[], Map<LaidDeck, Rise[]>>();

/**
 * The lines of a face along which a cable can rise past the joists of a deck; kept with the list of its lines, which is that of this face
 * alone and stays as they do.
 */
function risesOf({ face, us }: FaceLines, l: LaidDeck): readonly Rise[] {
  let known = rises.get(us);
  if (!known) rises.set(us, (known = new Map()));
  let there = known.get(l);
  if (!there) {
    there = [];
    for (let i = 0; i < us.length; i++) {
      if (!risesAt(face, us[i]!, l)) continue;
      const [x, y] = toSpace(face.frame, { u: us[i]!, v: 0 });
      there.push({ i, x, y });
    }
    known.set(l, there);
  }
  return there;
}

/**
 * Points on the deck itself. The drop to one that hangs right under a joist comes up beside it: on the nearer side, or on the other
 * where something stands in the way there.
 */
function deckPoints(g: GraphDraft, h: House, n: number, terminal: Int32Array): Entry[] {
  const l = h.decks[n]!;
  const free = freeOf(h, l);
  const out: Entry[] = [];
  for (let i = 0; i < h.points.length; i++) {
    const p = h.points[i]!;
    if (p.deck !== n) continue;
    const own = addNode(g, p.space);
    terminal[i] = own;
    if (l.deck.kind === "concrete") continue;
    const along = l.along === "x" ? p.space[0] : p.space[1];
    let across = l.across === "x" ? p.space[0] : p.space[1];
    const side = l.deck.joists.breadth / 2 + CLEAR;
    const under = l.joists.find((j) => Math.abs(across - j.at) < side);
    if (under) {
      const sides = across < under.at ? [under.at - side, under.at + side] : [under.at + side, under.at - side];
      const p = across;
      across = sides.find((c) => free(along, p, along, c)) ?? sides[0]!;
    }
    let foot = own;
    if (under) {
      const at = placeOn(l, along, across);
      foot = addNode(g, [at.x, at.y, p.space[2]]);
      addEdge(g, own, foot, EDGE.drop, n);
    }
    const at = placeOn(l, along, across);
    const node = addNode(g, [at.x, at.y, l.mid]);
    addEdge(g, foot, node, EDGE.drop, n);
    out.push({ node, along, across });
  }
  return out;
}
