import { distinct } from "../base/distinct";
import type { Interval } from "../base/interval";
import { type XY, bounds } from "../base/polygon";
import { EPS } from "../base/tolerance";
import type { LaidDeck } from "../house/deck";
import type { House } from "../house/house";
import { boreLinesOf } from "./bore-lines";
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

/** True when a cable can lie at a place of a deck beside its joists. */
const liesFree = (l: LaidDeck, p: XY): boolean => clearOfJoists(l, p[l.across]).gap >= CLEAR - EPS;

/**
 * Joins decks that meet side to side and at one height: a cable that comes along the joists of one goes straight on into the other.
 * Adds the nodes they share, and gives them as entries of both, by deck.
 */
export function joinMeetingDecks(g: GraphDraft, h: House): Entry[][] {
  const out: Entry[][] = h.decks.map(() => []);
  const boxes = h.decks.map((l) => bounds(l.deck.outline));
  const open = (l: LaidDeck): boolean => l.deck.kind !== "concrete" && l.joists.length > 0;
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
          for (const x of distinct(places)) {
            const [atA, atB] = [s.at, t.at].map((c): XY => (s.axis === "x" ? { x: c, y: x } : { x, y: c }));
            if (!liesFree(a, atA!) || !liesFree(b, atB!)) continue;
            const na = addNode(g, [atA!.x, atA!.y, a.mid]);
            const nb = addNode(g, [atB!.x, atB!.y, b.mid]);
            if (Math.abs(a.mid - b.mid) <= EPS) addEdge(g, na, nb, EDGE.bay, i);
            else {
              // One lies higher: the cable steps up where they meet.
              const foot = addNode(g, [atA!.x, atA!.y, b.mid]);
              addEdge(g, na, foot, EDGE.drop, i);
              addEdge(g, foot, nb, EDGE.bay, j);
            }
            out[i]!.push({ node: na, along: atA![a.along], across: atA![a.across] });
            out[j]!.push({ node: nb, along: atB![b.along], across: atB![b.across] });
          }
        }
    }
  });
  return out;
}
