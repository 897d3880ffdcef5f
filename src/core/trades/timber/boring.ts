import type { House } from "../../house/house";
import type { Hole, Plan } from "../../laid/laid";
import { mm } from "../../base/figures";
import { type LaidDeck, cutsOf, takenOffEdges } from "../../house/deck";
import type { NotchSize } from "../../rules/notches";
import type { Schools } from "../../rules/schools";
import { timberRules } from "../../rules/timber";

/** Bores nearer to one line than this are on it: a chalk line, mm. */
const CHALK = 1;

/** Bores of a deck in one straight line across its joists: snapped once with a chalk line between two marks. */
export interface ChalkLine {
  deck: string;
  /** Where the line lies along the joists: from the deck's west (or south) edge, and its coordinate in the house, mm. */
  from: number;
  along: number;
  /** Distance from the left bearing face of the span, the same on every joist of the line. */
  at: number;
  span: number;
  /** Joists bored, in order, with the hole of each. */
  joists: { joist: number; hole: Hole }[];
  /** The two end marks: first and last joist, measured from the bearing. */
  marks: [{ joist: number; at: number }, { joist: number; at: number }];
}

/** Chalk lines of a deck: bores at one place along the joists, without a joist between them that is left whole by more than two. */
export function chalkLines(l: LaidDeck, plan: Pick<Plan, "holes">): ChalkLine[] {
  const mine = plan.holes.filter((o) => o.in.kind === "joist" && o.in.deck === l.deck.id);
  const along = (o: Hole): number => (l.along === "x" ? o.centre[0]! : o.centre[1]!);
  const sorted = [...mine].sort((p, q) => along(p) - along(q) || p.in.joist! - q.in.joist!);
  const spanOf = (o: Hole): number => o.in.span ?? 1;
  // Holes at one place along the joists, in one span, in order of their joists.
  const groups: Hole[][] = [];
  for (const o of sorted) {
    const last = groups[groups.length - 1];
    if (last && Math.abs(along(last[0]!) - along(o)) <= CHALK && spanOf(last[0]!) === spanOf(o)) last.push(o);
    else groups.push([o]);
  }
  return groups.map((group): ChalkLine => {
    const first = group[0]!;
    const joists = group.map((hole) => ({ joist: hole.in.joist!, hole })).sort((a, b) => a.joist - b.joist);
    const mark = (x: (typeof joists)[number]): { joist: number; at: number } => ({ joist: x.joist, at: x.hole.at });
    return {
      deck: l.deck.id,
      from: along(first) - l.origin,
      along: along(first),
      at: first.at,
      span: spanOf(first),
      joists,
      marks: [mark(joists[0]!), mark(joists[joists.length - 1]!)],
    };
  });
}

/** One line of the boring schedule. */
export interface BoringStep {
  deck: string;
  joist: number;
  hole: Hole;
  /** Number of the chalk line in its deck, from 1. */
  line: number;
}

/**
 * All bores in the order a person walks: deck by deck from below, chalk line by chalk line, out on one line and back on the next.
 */
export function boringOrder(h: House, plan: Pick<Plan, "holes">): BoringStep[] {
  const decks = [...h.decks].sort((a, b) => a.underside - b.underside || (a.deck.id < b.deck.id ? -1 : 1));
  return decks.flatMap((l) =>
    chalkLines(l, plan).flatMap((c, i) =>
      (i % 2 ? [...c.joists].reverse() : c.joists).map((j): BoringStep => ({
        deck: l.deck.id,
        joist: j.joist,
        hole: j.hole,
        line: i + 1,
      })),
    ),
  );
}

/** Holes in the timbers of stud walls and through walls, in the order a person walks: room by room, wall by wall, from the left. */
export function wallHoles(h: House, plan: Pick<Plan, "holes">): Hole[] {
  const face = (o: Hole): number => h.faceOfWall.get(o.in.wall ?? "") ?? -1;
  return plan.holes
    .filter((o) => o.in.kind === "stud" || o.in.kind === "wall")
    .sort((a, b) => face(a) - face(b) || a.at - b.at || a.fromTop - b.fromTop || (a.id < b.id ? -1 : 1));
}

/** Holes in the noggins of a deck, row by row, from the first joist on. */
export const nogginHoles = (l: LaidDeck, plan: Pick<Plan, "holes">): Hole[] =>
  plan.holes
    .filter((o) => o.in.kind === "noggin" && o.in.deck === l.deck.id)
    .sort((a, b) => a.in.row! - b.in.row! || a.in.joist! - b.in.joist! || a.at - b.at);

/** How many bores of each bit, and how many steel plates. */
export function boringTotals(
  plan: Pick<Plan, "holes">,
): { diameter: number; joists: number; studs: number; walls: number }[] {
  const by = new Map<number, { diameter: number; joists: number; studs: number; walls: number }>();
  for (const o of plan.holes) {
    if (o.notch) continue;
    const t = by.get(o.diameter) ?? { diameter: o.diameter, joists: 0, studs: 0, walls: 0 };
    if (o.in.kind === "joist") t.joists++;
    else if (o.in.kind !== "wall") t.studs++;
    else t.walls++;
    by.set(o.diameter, t);
  }
  return [...by.values()].sort((a, b) => a.diameter - b.diameter);
}

/** How many notches are sawn. */
export const notchesIn = (plan: Pick<Plan, "holes">): number => plan.holes.filter((o) => o.notch).length;

/** Room a bore keeps to each of its limits: measured and limit, mm, as a gauge shows them. */
export interface Margin {
  name: string;
  measured: number;
  limit: number;
  sense: "least" | "most";
}

/** Distances of a bore in a solid joist to every limit that binds it: window, size, edges of the timber, neighbours and old cuts. */
export function boreMargins(l: LaidDeck, plan: Pick<Plan, "holes">, o: Hole, school: Schools["notch"]): Margin[] {
  const j = l.joists[(o.in.joist ?? 0) - 1];
  const span = j?.spans[(o.in.span ?? 1) - 1];
  if (!j || !span || l.deck.kind !== "solid-joists") return [];
  const length = span[1] - span[0];
  const near = Math.min(o.at, length - o.at);
  if (o.notch) return notchMargins(l, plan, o, o.notch, length, school);
  const taken = takenOffEdges(l, span[0] + o.at, o.diameter);
  const edge = Math.min(o.fromTop - taken.top, l.deck.joists.depth - o.fromTop - taken.bottom) - o.diameter / 2;
  const out: Margin[] = [
    { name: "From the nearer bearing, least", measured: near, limit: timberRules.hole.from * length, sense: "least" },
    { name: "From the nearer bearing, most", measured: near, limit: timberRules.hole.to * length, sense: "most" },
    { name: "Bit", measured: o.diameter, limit: timberRules.hole.size * l.deck.joists.depth, sense: "most" },
    {
      name: o.plated ? "To the edge of the timber, plated" : "To the edge of the timber",
      measured: edge,
      limit: o.plated ? 0 : timberRules.cableEdge,
      sense: "least",
    },
  ];
  const others = plan.holes.filter(
    (x) => x !== o && !x.notch && x.in.deck === o.in.deck && x.in.joist === o.in.joist && x.in.span === o.in.span,
  );
  const gap = (at: number): number => Math.abs(at - o.at);
  const next = others.sort((a, b) => gap(a.at) - gap(b.at))[0];
  if (next)
    out.push({
      name: `To the hole at ${mm(next.at)}, centres`,
      measured: gap(next.at),
      limit: timberRules.hole.spacing * Math.max(o.diameter, next.diameter),
      sense: "least",
    });
  for (const c of cutsOf(l, o.in.joist!, o.in.span ?? 1)) {
    if (c.kind === "hole")
      out.push({
        name: `To the old hole at ${mm(c.at)}, centres`,
        measured: gap(c.at),
        limit: timberRules.hole.spacing * Math.max(o.diameter, c.diameter),
        sense: "least",
      });
    else
      out.push({
        name: `To the old notch at ${mm(c.at)}`,
        measured: Math.abs(c.at - o.at) - c.width / 2 - o.diameter / 2,
        limit: timberRules.apart,
        sense: "least",
      });
  }
  return out;
}

/** Distances of a notch to the window and depth of its school, and to the nearest hole of its span. */
function notchMargins(
  l: LaidDeck,
  plan: Pick<Plan, "holes">,
  o: Hole,
  notch: NotchSize,
  length: number,
  school: Schools["notch"],
): Margin[] {
  const rule = timberRules.notch[school];
  const [a, b] = [o.at - notch.width / 2, o.at + notch.width / 2];
  const mirrored = o.at > length / 2;
  const [near, far] = mirrored ? [length - b, length - a] : [a, b];
  const out: Margin[] = [
    { name: "Nearer side, from the bearing, least", measured: near, limit: rule.from * length, sense: "least" },
    { name: "Farther side, from the bearing, most", measured: far, limit: rule.to * length, sense: "most" },
    { name: "Depth", measured: notch.depth, limit: rule.depth * l.deck.joists.depth, sense: "most" },
  ];
  const gaps = plan.holes
    .filter((x) => !x.notch && x.in.deck === o.in.deck && x.in.joist === o.in.joist && x.in.span === o.in.span)
    .map((x) => ({ x, gap: Math.abs(x.at - o.at) - (x.diameter + notch.width) / 2 }))
    .sort((p, q) => p.gap - q.gap);
  if (gaps[0])
    out.push({
      name: `To the hole at ${mm(gaps[0].x.at)}`,
      measured: gaps[0].gap,
      limit: timberRules.apart,
      sense: "least",
    });
  return out;
}
