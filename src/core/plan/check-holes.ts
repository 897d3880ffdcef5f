import { atMost } from "../base/tolerance";
import {
  type DeckJoist,
  type LaidDeck,
  canReach,
  cutsOf,
  isHeavy,
  joistFor,
  makerAllows,
  takenOffEdges,
} from "../house/deck";
import type { House } from "../house/house";
import type { Cut } from "../house/joist";
import type { Hole, Run } from "../laid/laid";
import { HOLE_FILL } from "../rules/bits";
import { type Cable, isMetalClad, overall, section } from "../rules/cables";
import { cableOf } from "../rules/catalogue";
import { type Fact, type Where, fact } from "../rules/fact";
import { NOTCH_MOST, fitsNotch, notchFor } from "../rules/notches";
import { checkJoist } from "../trades/timber/check-joist";
import { overCut } from "../trades/timber/over-cut";
import { checkStud } from "../trades/timber/stud";

/** Where a hole is. */
const placeOfHole = (o: Hole): Where => ({
  ...(o.in.deck === undefined ? {} : { deck: o.in.deck }),
  ...(o.in.joist === undefined ? {} : { joist: o.in.joist }),
  ...(o.in.span === undefined ? {} : { span: o.in.span }),
  ...(o.in.wall === undefined ? {} : { wall: o.in.wall }),
  at: o.at,
});

/** Old cuts noted where there is no timber: on a joist or span that is not there, or past its end. */
function misplacedCuts(l: LaidDeck): Fact[] {
  return l.deck.existingCuts.flatMap((c): Fact[] => {
    const where = { deck: l.deck.id, joist: c.joist, span: c.span, at: c.at };
    const j = l.joists.find((x) => x.n === c.joist);
    if (!j) return [fact("timber.cut-place", "cut", c.id, { case: "joist", where, of: { joists: l.joists.length } })];
    const span = j.spans[c.span - 1];
    if (!span) return [fact("timber.cut-place", "cut", c.id, { case: "span", where, of: { spans: j.spans.length } })];
    const long = span[1] - span[0];
    if (atMost(c.at, long)) return [];
    return [
      fact("timber.cut-place", "cut", c.id, {
        case: "beyond",
        where,
        measured: c.at,
        limit: long,
        sense: "most",
        unit: "mm",
      }),
    ];
  });
}

const cutOf = (o: Hole): Cut =>
  o.notch
    ? { id: o.id, kind: "notch", at: o.at, ...o.notch, edge: "top" }
    : { id: o.id, kind: "hole", at: o.at, diameter: o.diameter, fromTop: o.fromTop };

/** A notch that the cables in it fill beyond what one plate covers, or whose cables lie too near its plate. */
function tooWide(o: Hole, through: readonly Cable[]): Fact[] {
  if (fitsNotch(through, Infinity)) return [];
  const needs = notchFor(through).width;
  return [
    fact("hole.too-small", "hole", o.id, {
      case: "notch",
      where: placeOfHole(o),
      measured: needs,
      limit: NOTCH_MOST,
      sense: "most",
      unit: "mm",
      of: { cables: through.length, thickest: Math.max(...through.map((c) => c.thickness)) },
    }),
  ];
}

/**
 * Judges what is bored and cut in one span of a joist.
 * @param inJoist holes of the joist
 * @param old cuts found in the span
 */
function spanFacts(
  h: House,
  l: LaidDeck,
  j: DeckJoist,
  span: number,
  inJoist: readonly Hole[],
  old: readonly Cut[],
): Fact[] {
  const mine = inJoist.filter((o) => o.in.span === span);
  const out: Fact[] = [];
  const id = `${l.deck.id}.J${j.n}`;
  const place = { deck: l.deck.id, joist: j.n, span };
  if (mine.length && overCut(l, j, span, h.job.settings.schools))
    out.push(fact("timber.over-cut", "joist", id, { where: place }));
  if (l.deck.kind === "engineered" && !old.length && mine.every((o) => makerAllows(l, o.at, o.diameter))) return out;
  const cuts: Cut[] = [...old, ...mine.map((o): Cut => cutOf(o))];
  if (!cuts.length) return out;
  const { schools, axisTolerance } = h.job.settings;
  const [from] = j.spans[span - 1]!;
  const found = checkJoist(
    joistFor(l, j.spans[span - 1]!),
    cuts,
    {
      notchSchool: schools.notch,
      notchEdge: schools.notchEdge,
      axisTolerance,
      heavyLoad: isHeavy(l, j, span),
      takenOff: (c) => takenOffEdges(l, from + c.at, c.diameter),
      plated: new Set([...mine.filter((o) => o.plated).map((o) => o.id), ...old.map((c) => c.id)]),
    },
    id,
  );
  for (const f of found) {
    const there = old.some((c) => c.id === f.subject.id) ? 1 : 0;
    out.push({
      ...f,
      ...(f.subject.kind === "cut" && !there ? { subject: { kind: "hole" as const, id: f.subject.id } } : {}),
      where: { ...place, ...f.where },
      of: { ...f.of, there },
    });
  }
  return out;
}

/** Judges every hole: in its joist or stud, against its neighbours and old cuts, and for the cables that pass it. */
export function checkHoles(h: House, holes: readonly Hole[], runs: readonly Run[]): Fact[] {
  const out: Fact[] = [];
  const inJoists = holes.filter((o) => o.in.kind === "joist");
  const runOf = new Map(runs.map((r) => [r.id, r]));
  for (const l of h.decks) {
    if (l.deck.kind === "concrete") continue;
    const misplaced = misplacedCuts(l);
    out.push(...misplaced);
    const lost = new Set(misplaced.map((f) => f.subject.id));
    const inDeck = inJoists.filter((o) => o.in.deck === l.deck.id);
    for (const j of l.joists) {
      const inJoist = inDeck.filter((o) => o.in.joist === j.n);
      for (let s = 1; s <= j.spans.length; s++) {
        const old = cutsOf(l, j.n, s).filter((c) => !lost.has(c.id));
        if (inJoist.length || old.length) out.push(...spanFacts(h, l, j, s, inJoist, old));
      }
    }
  }
  for (const o of holes) {
    const l = o.in.kind === "wall" ? undefined : h.decks[h.deckOfId.get(o.in.deck ?? "") ?? -1];
    if (l && !canReach(l, { x: o.centre[0], y: o.centre[1] }))
      out.push(fact("route.closed", "hole", o.id, { where: placeOfHole(o) }));
    const timber = o.in.kind === "stud" ? h.faces[h.faceOfWall.get(o.in.wall ?? "") ?? -1]?.studs : null;
    if (timber)
      for (const f of checkStud(timber.depth, o.diameter, timber.depth / 2, true).facts)
        out.push({ ...f, subject: { kind: "hole", id: o.id }, where: placeOfHole(o) });
    if (o.notch && !o.plated)
      for (const r of o.runs)
        if (!isMetalClad(cableOf(runOf.get(r)?.cable ?? "", h.catalogue)))
          out.push(fact("timber.cable-edge", "hole", o.id, { case: "notch", where: placeOfHole(o) }));
    const through = o.runs.flatMap((r) => cableOf(runOf.get(r)?.cable ?? "", h.catalogue) ?? []);
    if (o.notch) {
      out.push(...tooWide(o, through));
      continue;
    }
    const area = through.reduce((sum, c) => sum + section(c), 0);
    const fill = area / ((Math.PI * o.diameter ** 2) / 4);
    const widest = Math.max(0, ...through.map((c) => overall(c)));
    if (!atMost(fill, HOLE_FILL) || !atMost(widest, o.diameter))
      out.push(
        fact("hole.too-small", "hole", o.id, {
          where: placeOfHole(o),
          measured: fill * 100,
          limit: HOLE_FILL * 100,
          sense: "most",
          unit: "%",
          of: { diameter: o.diameter, cables: through.length, widest },
        }),
      );
  }
  return out;
}
