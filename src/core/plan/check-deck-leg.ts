import { distanceToOutline, insidePolygon } from "../base/polygon";
import { type XYZ, distance } from "../base/wall-frame";
import { type LaidDeck, makerAllows, meetsPolygon } from "../house/deck";
import { deckWalls, wallsPassed } from "../house/deck-walls";
import type { House } from "../house/house";
import { LEVEL_GAP, VOID_MOST } from "../house/over-ceiling";
import { nogginCrossings } from "../house/noggin-crossings";
import type { PinnedLeg } from "../job/model";
import type { Hole, Run } from "../laid/laid";
import { type Fact, type Where, fact } from "../rules/fact";
import { again } from "./again";

/** Places nearer than this are the same place on a wall: a pencil line, mm. */
export const PENCIL = 1;

/** How far beyond its outline a deck's cables may reach into the wall, mm. */
const INTO_WALL = 300;

/** How far a floor may lie above the boards of the deck it stands on, mm: screed, battens, a survey's slip; and a pencil line more. */
const FLOOR_GAP = LEVEL_GAP + 1;

/** How far from its line beside a joist a cable is drawn aside to pass through a noggin, mm. */
const BESIDE_JOIST = 30;

/** Places where a straight line crosses the body of a joist, and whether it lies lengthwise inside one. */
function bodies(l: LaidDeck, a: XYZ, b: XYZ): { crossed: { joist: number; at: number }[]; inside: number | null } {
  const [al, ac] = l.along === "x" ? ([0, 1] as const) : ([1, 0] as const);
  const half = l.deck.joists.breadth / 2;
  const crossed: { joist: number; at: number }[] = [];
  for (const j of l.joists) {
    const p = a[ac] - j.at;
    const q = b[ac] - j.at;
    if (Math.max(p, q) <= -half || Math.min(p, q) >= half) continue;
    const [lo, hi] = [Math.min(a[al], b[al]), Math.max(a[al], b[al])];
    const beside = !j.extent.some(([s, e]) => hi > s + PENCIL && lo < e - PENCIL);
    if (Math.abs(p) < half && Math.abs(q) < half && Math.abs(a[al] - b[al]) > PENCIL && !beside)
      return { crossed, inside: j.n };
    if ((p <= -half + 1e-6 && q >= half - 1e-6) || (q <= -half + 1e-6 && p >= half - 1e-6)) {
      const t = p / (p - q);
      const at = a[al] + t * (b[al] - a[al]);
      if (j.extent.some(([s, e]) => at >= s - 1e-6 && at <= e + 1e-6)) crossed.push({ joist: j.n, at });
    } else if (Math.min(p, q) < half - 1e-6 && Math.max(p, q) > -half + 1e-6 && !beside) {
      // One end lies within the timber.
      if (Math.abs(p) < half - 1e-6 || Math.abs(q) < half - 1e-6) return { crossed, inside: j.n };
    }
  }
  return { crossed, inside: null };
}

/** What there is to say of a leg in a deck, given the holes of its run: every joist, noggin and wall on its way has one. */
export function checkDeckLeg(h: House, run: Run, leg: PinnedLeg, where: Where, holes: readonly Hole[]): Fact[] {
  const l = h.decks[h.deckOfId.get(leg.surface.id) ?? -1];
  const out: Fact[] = [];
  if (!l) return [fact("route.off-surface", "run", run.id, { case: "deck-gone", where, ...again(run) })];
  for (let i = 1; i < leg.path.length; i++) {
    const [a, b] = [leg.path[i - 1]!, leg.path[i]!];
    for (const s of [a, b]) {
      const xy = { x: s[0], y: s[1] };
      const outside = !insidePolygon(l.deck.outline, xy) && distanceToOutline(l.deck.outline, xy) > INTO_WALL;
      // Only rises and drops go down through the void over a ceiling that hangs lower.
      const low = l.underside - (leg.method === "rise" ? VOID_MOST : LEVEL_GAP);
      const offLevel = s[2] > l.top + l.deck.boards.thickness + FLOOR_GAP || s[2] < low;
      if (outside || offLevel)
        out.push(fact("route.off-surface", "run", run.id, { case: "leaves-deck", where, ...again(run) }));
    }
    if (Math.abs(a[0] - b[0]) > PENCIL && Math.abs(a[1] - b[1]) > PENCIL)
      out.push(fact("route.off-surface", "run", run.id, { case: "askew", where }));
    for (const x of h.job.forbidden)
      if (
        x.place.on === "deck" &&
        x.place.deck === l.deck.id &&
        meetsPolygon({ x: a[0], y: a[1] }, { x: b[0], y: b[1] }, x.place.outline)
      )
        out.push(fact("route.forbidden", "run", run.id, { where, of: { name: x.name }, ...again(run) }));
    for (const x of wallsPassed(deckWalls(h)[h.deckOfId.get(l.deck.id)!]!, a, b)) {
      const there = holes.some((o) => o.in.kind === "wall" && distance(x.at, o.centre) <= 1.5 * PENCIL);
      if (!there)
        out.push(fact("hole.missing", "run", run.id, { case: "wall", where: { ...where, wall: x.wall.wall } }));
    }
    const al = l.along === "x" ? 0 : 1;
    /** True for a hole in this deck, so far along the joists and so high. */
    const lies = (o: Hole, along: number, z: number): boolean =>
      o.in.deck === l.deck.id &&
      Math.abs(o.centre[al]! - along) <= 1.5 * PENCIL &&
      Math.abs(o.centre[2] - z) <= 1.5 * PENCIL;
    for (const c of nogginCrossings(l, a, b)) {
      const there = holes.some(
        (o) =>
          o.in.kind === "noggin" &&
          o.in.row === c.row &&
          lies(o, c.along, c.z) &&
          Math.abs(o.centre[1 - al]! - c.across) <= BESIDE_JOIST,
      );
      if (!there)
        out.push(
          fact("hole.missing", "run", run.id, {
            case: "deck-noggin",
            where: { ...where, joist: c.joist, at: c.along - l.origin },
          }),
        );
    }
    const { crossed, inside } = bodies(l, a, b);
    // Right under or over a joist a light's tail lies on its face, not in it.
    const within =
      a[2] > l.underside + PENCIL && b[2] > l.underside + PENCIL && a[2] < l.top - PENCIL && b[2] < l.top - PENCIL;
    if (inside !== null && (within || Math.abs(a[2] - b[2]) > PENCIL))
      out.push(fact("timber.in-joist", "run", run.id, { where: { ...where, joist: inside } }));
    if (!within) continue;
    const allowed = (x: { joist: number; at: number }): boolean => {
      const hole = holes.find((o) => o.in.deck === l.deck.id && o.in.joist === x.joist);
      return hole !== undefined && makerAllows(l, hole.at, hole.diameter);
    };
    if (l.deck.kind === "engineered" && crossed.some((x) => !allowed(x)))
      out.push(fact("timber.engineered", "run", run.id, { where }));
    for (const x of crossed) {
      const hole = holes.find(
        (o) => o.in.kind === "joist" && o.in.joist === x.joist && lies(o, x.at, (a[2] + b[2]) / 2),
      );
      if (!hole)
        out.push(fact("hole.missing", "run", run.id, { case: "joist", where: { ...where, joist: x.joist, at: x.at } }));
    }
  }
  return out;
}
