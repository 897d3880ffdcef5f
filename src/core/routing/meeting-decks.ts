import { distinct } from "../base/distinct";
import type { Interval } from "../base/interval";
import { Kept } from "../base/kept";
import { type XY, bounds } from "../base/polygon";
import { EPS } from "../base/tolerance";
import type { XYZ } from "../base/wall-frame";
import { type DeckJoist, type LaidDeck, canReach, placeOn } from "../house/deck";
import type { House } from "../house/house";
import { type BoreLine, boreLinesOf } from "./bore-lines";
import { EDGE, type GraphDraft, addEdge, addNode, append, draft } from "./graph";
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

/** What decks that meet share, as a part of the graph; what comes into each deck, by deck. */
interface Meeting {
  part: GraphDraft;
  entries: readonly (readonly Entry[])[];
}

const kept = new Kept<readonly LaidDeck[], Meeting>();

/**
 * Joins decks that meet side to side and at one height: a cable that comes along the joists of one goes straight on into the other, by a
 * bore through the joist that lies along the side of one of them, or through one of each that lie side by side. Adds the nodes they share, and gives them as entries of both, by deck.
 */
export function joinMeetingDecks(g: GraphDraft, h: House): Entry[][] {
  const { notch, notchEdge } = h.job.settings.schools;
  const { part, entries } = kept.of(h.decks, [notch, notchEdge], () => new Meetings(h).joined());
  const shift = append(g, part);
  return entries.map((of) => of.map((e) => ({ ...e, node: e.node + shift })));
}

const isOpen = (l: LaidDeck): boolean => l.deck.kind !== "concrete" && l.joists.length > 0;

const at3 = (s: Side, across: number, along: number, z: number): XYZ =>
  s.axis === "x" ? [across, along, z] : [along, across, z];

const entryOf = (l: LaidDeck, s: Side, node: number, along: number, across: number): Entry =>
  s.axis === l.along ? { node, along: across, across: along } : { node, along, across };

/** Which way a deck lies from one of its sides. */
const inwardOf = (l: LaidDeck, s: Side): 1 | -1 => {
  const { x0, x1, y0, y1 } = bounds(l.deck.outline);
  return (s.axis === "x" ? x0 + x1 : y0 + y1) / 2 > s.at ? 1 : -1;
};

/** True where two decks lie near each other and at one height for as much as a cable needs. */
function mayMeet(a: LaidDeck, b: LaidDeck): boolean {
  if (!isOpen(a) || !isOpen(b)) return false;
  if (Math.min(a.top, b.top) - Math.max(a.underside, b.underside) < SHARED_DEPTH - EPS) return false;
  const [p, q] = [bounds(a.deck.outline), bounds(b.deck.outline)];
  return p.x0 <= q.x1 + MEET && q.x0 <= p.x1 + MEET && p.y0 <= q.y1 + MEET && q.y0 <= p.y1 + MEET;
}

/** Joins the decks of a house where they meet. */
class Meetings {
  private readonly g = draft();
  private readonly entries: Entry[][];

  constructor(private readonly h: House) {
    this.entries = h.decks.map(() => []);
  }

  joined(): Meeting {
    const { decks } = this.h;
    for (let i = 0; i < decks.length; i++)
      for (let j = i + 1; j < decks.length; j++) {
        const [a, b] = [decks[i]!, decks[j]!];
        if (!mayMeet(a, b)) continue;
        for (const s of sidesOf(a.deck.outline))
          for (const t of sidesOf(b.deck.outline))
            if (s.axis === t.axis && Math.abs(s.at - t.at) <= MEET) this.alongSides(i, s, j, t);
      }
    return { part: this.g, entries: this.entries };
  }

  private alongSides(i: number, s: Side, j: number, t: Side): void {
    const { h } = this;
    const [a, b] = [h.decks[i]!, h.decks[j]!];
    const [lo, hi] = [Math.max(s.run[0], t.run[0]), Math.min(s.run[1], t.run[1])];
    const places = [...placesAlong(h, a, s), ...placesAlong(h, b, t)].filter((x) => x > lo + EPS && x < hi - EPS);
    for (const x of distinct(places)) this.meet(i, s, j, t, x);
  }

  private meet(i: number, s: Side, j: number, t: Side, x: number): void {
    const { h, g } = this;
    const [a, b] = [h.decks[i]!, h.decks[j]!];
    const [ea, eb] = [edgeJoist(h, a, s, x, inwardOf(a, s)), edgeJoist(h, b, t, x, inwardOf(b, s))];
    if (!ea || !eb) return;
    const [edgeA, edgeB] = [ea === "free" ? null : ea, eb === "free" ? null : eb];
    let meet = (edgeA ?? edgeB)?.outer ?? null;
    if (meet !== null && !freeAt(edgeA ? b : a, s, meet, x)) {
      meet = edgeA && edgeB ? betweenPair(a, edgeA, b, edgeB) : null;
      if (meet === null) return;
    }
    const [atA, atB] = [meet ?? s.at, meet ?? t.at];
    const [na, nb] = [this.bored(i, s, x, edgeA, atA), this.bored(j, t, x, edgeB, atB)];
    if (Math.abs(a.mid - b.mid) <= EPS) addEdge(g, na.side, nb.side, EDGE.bay, i);
    else {
      // One lies higher: the cable steps up where they meet.
      const foot = addNode(g, at3(s, atA, x, b.mid));
      addEdge(g, na.side, foot, EDGE.drop, i);
      addEdge(g, foot, nb.side, EDGE.bay, j);
    }
    this.entries[i]!.push(entryOf(a, s, na.free, x, edgeA?.inner ?? atA));
    this.entries[j]!.push(entryOf(b, s, nb.free, x, edgeB?.inner ?? atB));
  }

  /** From the bay of a deck through its joist to where the other deck's begins; the nodes at both ends, one where no joist is. */
  private bored(n: number, s: Side, x: number, edge: Edge | null, at: number): { free: number; side: number } {
    const { g } = this;
    const { mid } = this.h.decks[n]!;
    const side = addNode(g, at3(s, at, x, mid));
    if (!edge) return { free: side, side };
    const free = addNode(g, at3(s, edge.inner, x, mid));
    const { span, at: place, most, asked } = edge.line;
    const centre = at3(s, edge.joist.at, x, mid);
    g.bores.push({ deck: n, joist: edge.joist.n - 1, span, at: place, centre, most, asked });
    addEdge(g, free, side, EDGE.bore, g.bores.length - 1);
    return { free, side };
  }
}
