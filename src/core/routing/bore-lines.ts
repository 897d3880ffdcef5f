import { EPS } from "../base/tolerance";
import { type DeckJoist, type Drilled, type LaidDeck, cutsOf, isHeavy, joistFor, takenOffEdges } from "../house/deck";
import type { Cut } from "../house/joist";
import { BORE_PITCH, bits } from "../rules/bits";
import { NOTCH_MOST } from "../rules/notches";
import type { Schools } from "../rules/schools";
import { timberRules } from "../rules/timber";
import { checkJoist } from "../trades/timber/check-joist";
import { joistWindows } from "../trades/timber/joist";
import { overCut } from "../trades/timber/over-cut";

/** A place along a joist where it may be bored. */
export interface BoreLine {
  /** Index of the span. */
  span: number;
  /** From the span's left bearing, and along the joists of the house, mm. */
  at: number;
  along: number;
  /** Largest bit. */
  most: number;
  /** Whether it lies on a line the user asked for; null on a deck where none was. */
  asked: boolean | null;
  /** Deepest notch there, mm: the cables cross in a notch and not in a hole. */
  notch?: number;
}

/** Marks are tidy: bore lines start at a whole ten millimetres from the bearing. */
const TIDY = 10;
/** A bore place and a hole drilled already are one when they are this near, mm. */
const SAME_PLACE = 1;

type NotchSchools = Pick<Schools, "notch" | "notchEdge">;

const linesOfDeck = new WeakMap<LaidDeck, { school: string; lines: BoreLine[][] }>();

/**
 * Where every joist of a deck may be bored or notched. Kept with the deck, which a house shares with the one before while nothing of it
 * changes, for the school of notches it was worked out by.
 */
export function boreLinesOf(l: LaidDeck, schools: NotchSchools): BoreLine[][] {
  const school = l.deck.notchLines.length + l.deck.existingCuts.length ? `${schools.notch} ${schools.notchEdge}` : "";
  const kept = linesOfDeck.get(l);
  if (kept?.school === school) return kept.lines;
  const lines = l.joists.map((j) =>
    [...boreLines(l, j, schools), ...notchLines(l, j, schools)].sort((a, b) => a.along - b.along),
  );
  linesOfDeck.set(l, { school, lines });
  return lines;
}

/**
 * Where a joist may be notched on the lines the user asked for: from above, in the window of the school, clear of what is cut there
 * already, and with the boards up. Source of the windows: `joistWindows`.
 */
export function notchLines(l: LaidDeck, joist: DeckJoist, schools: NotchSchools): BoreLine[] {
  if (l.deck.kind !== "solid-joists" || !l.deck.notchLines.length) return [];
  return joist.spans.flatMap((span, s) => {
    if (isHeavy(l, joist, s + 1) || overCut(l, joist, s + 1, schools)) return [];
    const model = joistFor(l, span);
    const deepest = joistWindows(model, schools.notch, 0, schools.notchEdge).notch.maxDepth;
    const there: Cut[] = [
      ...cutsOf(l, joist.n, s + 1),
      ...l.drilled
        .filter((c) => c.joist === joist.n && c.span === s + 1)
        // One sawn right on the line is the notch itself: others may lie in it.
        .filter(
          (c) => !c.notch || !l.deck.notchLines.some((x) => Math.abs(l.origin + x - span[0] - c.at) <= SAME_PLACE),
        )
        .map((c): Cut =>
          c.notch
            ? { id: "sawn", kind: "notch", at: c.at, ...c.notch, edge: "top" }
            : { id: "drilled", kind: "hole", at: c.at, diameter: c.diameter, fromTop: model.depth / 2 },
        ),
    ];
    const settings = { notchSchool: schools.notch, notchEdge: schools.notchEdge };
    const plated = new Set(there.map((c) => c.id));
    const stops = (cuts: readonly Cut[]): number => checkJoist(model, cuts, { ...settings, plated }).length;
    const before = stops(there);
    return l.deck.notchLines
      .map((x) => l.origin + x)
      .filter((x) => x > span[0] && x < span[1])
      .filter((x) => {
        const cut: Cut = {
          id: "notch",
          kind: "notch",
          at: x - span[0],
          width: NOTCH_MOST,
          depth: deepest,
          edge: "top",
        };
        return stops([...there, cut]) === before;
      })
      .map((x) => ({ span: s, at: x - span[0], along: x, most: 0, asked: true as boolean | null, notch: deepest }));
  });
}

/** Positions along a joist where it may be bored: tidy distances from the nearer bearing, clear of existing cuts. Absolute. */
export function boreLines(l: LaidDeck, joist: DeckJoist, schools: NotchSchools): BoreLine[] {
  if (l.deck.kind === "engineered") return makersLines(l, joist);
  const most = Math.min(bits[bits.length - 1]!, timberRules.hole.size * l.deck.joists.depth);
  if (l.deck.kind !== "solid-joists" || l.deck.joists.depth > timberRules.mostDepth + EPS || most < bits[0]!) return [];
  const out: BoreLine[] = [];
  const wanted = l.deck.boreLines.map((x) => l.origin + x);
  const any = wanted.length + l.deck.notchLines.length > 0;
  joist.spans.forEach((span, s) => {
    const length = span[1] - span[0];
    if (isHeavy(l, joist, s + 1) || overCut(l, joist, s + 1, schools)) return;
    const [near] = joistWindows(joistFor(l, span), "warranty").hole.zones;
    const drilled = l.drilled.filter((c) => c.joist === joist.n && c.span === s + 1);
    /** The hole drilled already right at a place: it may be shared, as large as it is. */
    const there = (at: number): Drilled | undefined =>
      drilled.find((c) => !c.notch && Math.abs(c.at - at) <= SAME_PLACE);
    const cuts = [
      ...cutsOf(l, joist.n, s + 1),
      ...drilled.map((c) =>
        c.notch ? { kind: "notch" as const, at: c.at, width: c.notch.width } : { kind: "hole" as const, ...c },
      ),
      // Holes keep clear of the notches that are wanted.
      ...l.deck.notchLines.map((x) => ({ kind: "notch" as const, at: l.origin + x - span[0], width: NOTCH_MOST })),
    ];
    const mostAt = (at: number): number => there(at)?.diameter ?? most;
    // Where a noggin comes later it may not sit on the cables.
    const covered = (at: number): boolean => {
      const taken = takenOffEdges(l, span[0] + at, most);
      return Math.max(taken.top, taken.bottom) > (l.deck.joists.depth - most) / 2 + EPS;
    };
    const clear = (at: number): boolean =>
      !covered(at) &&
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
function makersLines(l: LaidDeck, joist: DeckJoist): BoreLine[] {
  return joist.spans.flatMap((span, s) =>
    (isHeavy(l, joist, s + 1) ? [] : l.deck.makerAllows).flatMap((w) => {
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

/** Where the two joists beside a place across the deck may be bored: lines at which a cable in that bay may leave it. */
export function boreLinesBeside(l: LaidDeck, across: number, schools: NotchSchools): BoreLine[] {
  const above = l.joists.findIndex((j) => j.at > across);
  const i = above < 0 ? l.joists.length : above;
  const lines = boreLinesOf(l, schools);
  return [...(lines[i - 1] ?? []), ...(lines[i] ?? [])];
}
