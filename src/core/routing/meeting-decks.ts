import { distinct } from "../base/distinct";
import type { Interval } from "../base/interval";
import { type XY, bounds } from "../base/polygon";
import { EPS } from "../base/tolerance";
import type { XYZ } from "../base/wall-frame";
import { type DeckJoist, type LaidDeck, canReach, placeOn } from "../house/deck";
import type { House } from "../house/house";
import { type BoreLine, boreLinesOf } from "./bore-lines";
import { EDGE, type GraphDraft, addEdge, addNode } from "./graph";
import { CLEAR, clearOfJoists } from "./wall-lines";

/** Edges of two decks nearer than this are one line: a survey's slip, mm. */
const MEET = 20;
/** Decks join where at least this much of their joists lies at one height: room for a cable and the hand that passes it, mm. */
const SHARED_DEPTH = 50;

/** A place where a cable comes into a deck, at mid-depth: node and coordinates along and across the joists. */
export interface Entry {
  node: number;
  along: number;
  across: number;
}

/** An edge of an outline that runs along an axis: the coordinate it holds, and from where to where it runs along the other. */
interface Side {
  axis: "x" | "y";
  at: number;
  run: Interval;
}
const sidesOf = (outline: readonly XY[]): Side[] =>
  outline.flatMap((p, i): Side[] => {
    const q = outline[(i + 1) % outline.length]!;
    if (Math.abs(p.x - q.x) <= EPS) return [{ axis: "x", at: p.x, run: [Math.min(p.y, q.y), Math.max(p.y, q.y)] }];
    if (Math.abs(p.y - q.y) <= EPS) return [{ axis: "y", at: p.y, run: [Math.min(p.x, q.x), Math.max(p.x, q.x)] }];
    return [];
  });

/** Where cables of a deck come to one of its sides: beside every joist that ends there; else where the last joist may be bored. */
function placesAlong(h: House, l: LaidDeck, side: Side): number[] {
  if (side.axis === l.along)
    return l.joists.flatMap((j) => {
      const off = l.deck.joists.breadth / 2 + CLEAR;
      return [j.at - off, j.at + off];
    });
  const nearest = [...l.joists].sort((a, b) => Math.abs(a.at - side.at) - Math.abs(b.at - side.at))[0];
  return nearest ? boreLinesOf(l, h.job.settings.schools)[nearest.n - 1]!.map((x) => x.along) : [];
}

/** A joist that lies along a side where decks meet, at a place where it may be bored. */
interface Edge {
  joist: DeckJoist;
  line: BoreLine;
  /** Where the cable lies free across the side: in the bay of its own deck, and beyond the joist. */
  inner: number;
  outer: number;
  /** The face of the joist that looks out of its deck. */
  face: number;
}

/**
 * The joist of a deck that lies in the way at a place along one of its sides; "free" where none does, null where it may not be bored.
 * @param inward +1 or −1: which way the deck lies from the side
 */
function edgeJoist(h: House, l: LaidDeck, side: Side, along: number, inward: 1 | -1): Edge | "free" | null {
  const { gap, joist } = clearOfJoists(l, side.axis === l.across ? side.at : along);
  if (gap >= CLEAR - EPS) return "free";
  if (side.axis !== l.across) return null;
  const j = l.joists[joist]!;
  const line = boreLinesOf(l, h.job.settings.schools)[joist]!.find(
    (x) => x.notch === undefined && Math.abs(x.along - along) <= EPS,
  );
  if (!line || !canReach(l, placeOn(l, along, j.at))) return null;
  const half = l.deck.joists.breadth / 2;
  const off = inward * (half + CLEAR);
  return { joist: j, line, inner: j.at + off, outer: j.at - off, face: j.at - inward * half };
}

/** True when a cable lies free beside the joists of a deck at a place across one of its sides. */
const freeAt = (l: LaidDeck, side: Side, across: number, along: number): boolean =>
  clearOfJoists(l, side.axis === l.across ? across : along).gap >= CLEAR - EPS;

/**
 * Between two joists, one of each deck, that stand so close that no cable lies free there: one hole goes straight through both. Null
 * where they lie at two heights or, after a survey's slip, in each other.
 */
function betweenPair(a: LaidDeck, ea: Edge, b: LaidDeck, eb: Edge): number | null {
  if (Math.abs(a.mid - b.mid) > EPS) return null;
  const gap = (eb.face - ea.face) * Math.sign(ea.outer - ea.inner);
  return gap < -EPS ? null : (ea.face + eb.face) / 2;
}

/**
 * Joins decks that meet side to side and at one height: a cable that comes along the joists of one goes straight on into the other, by a
 * bore through the joist that lies along the side of one of them, or through one of each that lie side by side. Adds the nodes they share, and gives them as entries of both, by deck.
 */
export function joinMeetingDecks(g: GraphDraft, h: House): Entry[][] {
  const out: Entry[][] = h.decks.map(() => []);
  const boxes = h.decks.map((l) => bounds(l.deck.outline));
  const open = (l: LaidDeck): boolean => l.deck.kind !== "concrete" && l.joists.length > 0;
  const at3 = (s: Side, across: number, along: number, z: number): XYZ =>
    s.axis === "x" ? [across, along, z] : [along, across, z];
  /** From the bay of a deck through its joist to where the other deck's begins; the nodes at both ends, one where no joist is. */
  const bored = (n: number, s: Side, x: number, edge: Edge | null, at: number): { free: number; side: number } => {
    const { mid } = h.decks[n]!;
    const side = addNode(g, at3(s, at, x, mid));
    if (!edge) return { free: side, side };
    const free = addNode(g, at3(s, edge.inner, x, mid));
    const { span, at: place, most, asked } = edge.line;
    const centre = at3(s, edge.joist.at, x, mid);
    g.bores.push({ deck: n, joist: edge.joist.n - 1, span, at: place, centre, most, asked });
    addEdge(g, free, side, EDGE.bore, g.bores.length - 1);
    return { free, side };
  };
  h.decks.forEach((a, i) => {
    for (let j = i + 1; j < h.decks.length; j++) {
      const b = h.decks[j]!;
      if (!open(a) || !open(b)) continue;
      if (Math.min(a.top, b.top) - Math.max(a.underside, b.underside) < SHARED_DEPTH - EPS) continue;
      const [p, q] = [boxes[i]!, boxes[j]!];
      if (p.x0 > q.x1 + MEET || q.x0 > p.x1 + MEET || p.y0 > q.y1 + MEET || q.y0 > p.y1 + MEET) continue;
      for (const s of sidesOf(a.deck.outline))
        for (const t of sidesOf(b.deck.outline)) {
          if (s.axis !== t.axis || Math.abs(s.at - t.at) > MEET) continue;
          const [lo, hi] = [Math.max(s.run[0], t.run[0]), Math.min(s.run[1], t.run[1])];
          const places = [...placesAlong(h, a, s), ...placesAlong(h, b, t)].filter((x) => x > lo + EPS && x < hi - EPS);
          const inward = (box: typeof p): 1 | -1 =>
            (s.axis === "x" ? box.x0 + box.x1 : box.y0 + box.y1) / 2 > s.at ? 1 : -1;
          for (const x of distinct(places)) {
            const [ea, eb] = [edgeJoist(h, a, s, x, inward(p)), edgeJoist(h, b, t, x, inward(q))];
            if (!ea || !eb) continue;
            const [edgeA, edgeB] = [ea === "free" ? null : ea, eb === "free" ? null : eb];
            let meet = (edgeA ?? edgeB)?.outer ?? null;
            if (meet !== null && !freeAt(edgeA ? b : a, s, meet, x)) {
              meet = edgeA && edgeB ? betweenPair(a, edgeA, b, edgeB) : null;
              if (meet === null) continue;
            }
            const [atA, atB] = [meet ?? s.at, meet ?? t.at];
            const [na, nb] = [bored(i, s, x, edgeA, atA), bored(j, t, x, edgeB, atB)];
            if (Math.abs(a.mid - b.mid) <= EPS) addEdge(g, na.side, nb.side, EDGE.bay, i);
            else {
              // One lies higher: the cable steps up where they meet.
              const foot = addNode(g, at3(s, atA, x, b.mid));
              addEdge(g, na.side, foot, EDGE.drop, i);
              addEdge(g, foot, nb.side, EDGE.bay, j);
            }
            const entry = (l: LaidDeck, node: number, across: number): Entry =>
              s.axis === l.along ? { node, along: across, across: x } : { node, along: x, across };
            out[i]!.push(entry(a, na.free, edgeA?.inner ?? atA));
            out[j]!.push(entry(b, nb.free, edgeB?.inner ?? atB));
          }
        }
    }
  });
  return out;
}
