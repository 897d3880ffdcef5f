import { mainsOf } from "../job/mains";
import { within } from "../base/interval";
import { EPS, tidy } from "../base/tolerance";
import { type XYZ, toFace, toSpace } from "../base/wall-frame";
import type { House } from "../house/house";
import { bitFor, bits, wallDrills } from "../rules/bits";
import { cableOf } from "../rules/catalogue";
import { type LaidDeck, placeOn, takenOffEdges } from "../house/deck";
import { deckWalls, onWallBelow, wallsPassed } from "../house/deck-walls";
import { nogginCrossings } from "../house/noggin-crossings";
import { studCrossings } from "../house/stud-crossings";
import { type Cable, isMetalClad } from "../rules/cables";
import { NOTCH_AT, notchFor } from "../rules/notches";
import type { LaidRun } from "../routing/lay";
import { type Care, NO_CARE, tooMany } from "../routing/care";
import { timberRules } from "../rules/timber";
import { warmCircuits } from "../trades/circuits/lying-together";
import type { PinnedLeg } from "../job/model";
import type { Hole } from "../laid/laid";

/** Two runs share a hole when their crossings are this near, mm. */
const SHARED = 1;

/**
 * Every hole that the runs need: where their legs cross joists, and where they go through walls. Runs at one place share a hole. A
 * hole drilled for a run that is done stays as it was drilled, and others may share it.
 * @param care circuits kept apart share a hole of a stud with no more others than they may; mains and what carries none never do
 */
export function holesOf(h: House, runs: readonly LaidRun[], care: Care = NO_CARE): Hole[] {
  const bored = new Crossings();
  for (const run of runs) for (const o of run.held?.holes ?? []) bored.keep(o, run.id);
  for (const run of runs)
    if (!run.held)
      for (const leg of run.legs)
        for (let i = 1; i < leg.path.length; i++) addCrossings(h, leg, leg.path[i - 1]!, leg.path[i]!, run.id, bored);
  const { found } = bored;
  shareStuds(h, found);
  const cableOfRun = new Map(runs.map((r) => [r.id, cableOf(r.cable, h.catalogue)!]));
  const circuitOfRun = new Map(runs.map((r) => [r.id, r.circuit]));
  const warm = care.apart.size ? warmCircuits(h) : new Set<string>();
  const mains = new Set(mainsOf(h.job).map((c) => c.id));
  const mayShare = (of: readonly string[]): boolean => {
    const circuits = of.map((r) => circuitOfRun.get(r)!);
    return new Set(circuits.map((c) => mains.has(c))).size < 2 && !tooMany(care, warm, circuits, "bunched");
  };
  const fits = (of: readonly string[], most: number): boolean =>
    bitFor(
      of.map((r) => cableOfRun.get(r)!),
      most,
      wallDrills,
    ) !== null && mayShare(of);
  return found
    .flatMap((f) => (f.hole.in.kind === "stud" && !f.done ? besideEachOther(h, f, fits) : [f]))
    .map((f) => madeHole(h, f, cableOfRun))
    .sort((p, q) => (p.id < q.id ? -1 : p.id > q.id ? 1 : 0));
}

/** A hole before it is known how wide it is. */
type Crossing = Omit<Hole, "diameter" | "plated" | "id" | "notch">;

/** Crossings of runs with timber and walls, those at one place taken as one. */
class Crossings {
  readonly found: Found[] = [];
  /** By timber or wall: the holes found in it. */
  private readonly parts = new Map<string, Found[]>();

  private inPart(at: Hole["in"]): Found[] {
    const key = `${at.kind} ${at.deck} ${at.joist} ${at.span} ${at.wall} ${at.part} ${at.row}`;
    let list = this.parts.get(key);
    if (!list) this.parts.set(key, (list = []));
    return list;
  }

  /** A hole that was drilled for a run. */
  keep(o: Hole, run: string): void {
    const there = this.found.find((f) => f.done?.id === o.id);
    if (there) {
      there.hole.runs.push(run);
      return;
    }
    const hole = { in: o.in, at: o.at, fromTop: o.fromTop, centre: o.centre, runs: [run] };
    const f: Found = { hole, most: 0, done: o };
    this.found.push(f);
    this.inPart(hole.in).push(f);
  }

  add(hole: Crossing, most: number): void {
    const part = this.inPart(hole.in);
    for (const f of part) {
      if (Math.abs(f.hole.at - hole.at) > SHARED || Math.abs(f.hole.fromTop - hole.fromTop) > SHARED) continue;
      for (const r of hole.runs) if (!f.hole.runs.includes(r)) f.hole.runs.push(r);
      return;
    }
    const f: Found = { hole, most, done: null };
    this.found.push(f);
    part.push(f);
  }
}

/** What a stretch of a leg goes through. */
function addCrossings(h: House, leg: PinnedLeg, a: XYZ, b: XYZ, run: string, into: Crossings): void {
  const { kind, id } = leg.surface;
  if (kind === "deck") {
    joistCrossings(h, id, a, b, run, into);
    noggins(h, id, a, b, run, into);
    wallsInDeck(h, id, a, b, run, into);
  } else if (kind === "wall") {
    if (leg.method === "stud-void") wallCrossings(h, id, a, b, run, into);
  } else if (kind === "through") {
    const face = h.faces[h.faceOfWall.get(id) ?? -1];
    if (!face) return;
    const p = toFace(face.frame, a);
    const at = { at: tidy(p.u), fromTop: tidy(face.shape.height - p.v) };
    into.add(
      { in: { kind: "wall", wall: id }, ...at, centre: [...a], runs: [run] },
      wallDrills[wallDrills.length - 1]!,
    );
  }
}

/** What is drilled at a crossing, or was. */
function madeHole(h: House, { hole, most, done }: Found, cableOfRun: ReadonlyMap<string, Cable>): Hole {
  if (done) return { ...done, runs: hole.runs };
  if (hole.in.kind === "noggin") {
    const id = `${hole.in.deck}.N${hole.in.row}.J${hole.in.joist}${hole.at < 0 ? "a" : "b"}.${figure(hole.fromTop)}`;
    return { id, ...hole, diameter: bitThrough(hole.runs, most, cableOfRun), plated: false };
  }
  if (hole.in.kind === "stud")
    return { id: studHoleId(hole), ...hole, diameter: bitThrough(hole.runs, most, cableOfRun), plated: false };
  const notched = notchHole(h, hole, cableOfRun);
  if (notched) return notched;
  const diameter =
    bitFor(
      hole.runs.map((r) => cableOfRun.get(r)!),
      most,
      hole.in.kind === "wall" ? wallDrills : bits,
    ) ?? Math.max(...bits.filter((d) => d <= most + EPS), bits[0]!);
  const deck = hole.in.kind !== "joist" || hole.in.deck === undefined ? null : h.decks[h.deckOfId.get(hole.in.deck)!]!;
  const plated = deck !== null && needsPlate(deck, hole, diameter);
  const id =
    hole.in.kind === "joist"
      ? `${hole.in.deck}.J${hole.in.joist}.${hole.in.span}.${figure(hole.at)}`
      : `${hole.in.wall}.${figure(hole.at)}.${Math.round(hole.fromTop)}`;
  return { id, ...hole, diameter, plated };
}

/**
 * The notch at a place where cables cross a joist right under its top: as wide and deep as they need, under a steel plate but where all of
 * them are clad in earthed metal. Null for a crossing that is bored.
 */
function notchHole(h: House, hole: Found["hole"], cableOfRun: ReadonlyMap<string, Cable>): Hole | null {
  const deck = h.decks[h.deckOfId.get(hole.in.deck ?? "") ?? -1];
  if (hole.in.kind !== "joist" || deck?.deck.kind !== "solid-joists" || hole.fromTop > NOTCH_AT + SHARED) return null;
  const cables = hole.runs.map((r) => cableOfRun.get(r)!);
  const notch = notchFor(cables);
  return {
    id: `${hole.in.deck}.J${hole.in.joist}.${hole.in.span}.${figure(hole.at)}.notch`,
    ...hole,
    diameter: notch.width,
    notch,
    plated: !cables.every(isMetalClad),
  };
}

/** Whether a hole in a joist keeps less than 50 mm to the edge of the timber, or of a noggin fixed there later: then it is plated. */
function needsPlate(l: LaidDeck, hole: Found["hole"], diameter: number): boolean {
  const taken = takenOffEdges(l, l.along === "x" ? hole.centre[0] : hole.centre[1], diameter);
  const edge = Math.min(hole.fromTop - taken.top, l.deck.joists.depth - hole.fromTop - taken.bottom) - diameter / 2;
  return edge < timberRules.cableEdge - EPS;
}

/** Cables that come to one timber from both faces of a wall take one hole when they are this near in height or along a plate, mm. */
const ONE_HOLE = 40;

/** Makes one hole of two in the same timber of a stud wall, where cables lie in it from both of its faces: as the first of them has it. */
function shareStuds(h: House, found: Found[]): void {
  for (let i = 0; i < found.length; i++) {
    const a = found[i]!;
    if (a.hole.in.kind !== "stud" || a.done) continue;
    const f = h.faces[h.faceOfWall.get(a.hole.in.wall!)!]!;
    for (let j = found.length - 1; j > i; j--) {
      const b = found[j]!;
      if (b.hole.in.kind !== "stud" || b.done || b.hole.in.part !== a.hole.in.part) continue;
      if (!f.opposite.includes(h.faceOfWall.get(b.hole.in.wall!)!)) continue;
      const p = toFace(f.frame, b.hole.centre);
      const [du, dv] = a.hole.in.part === "stud" ? [SHARED, ONE_HOLE] : [ONE_HOLE, SHARED];
      if (Math.abs(p.u - a.hole.at) > du || Math.abs(f.shape.height - a.hole.fromTop - p.v) > dv) continue;
      for (const r of b.hole.runs) if (!a.hole.runs.includes(r)) a.hole.runs.push(r);
      found.splice(j, 1);
    }
  }
}

type Found = { hole: Crossing; most: number; done: Hole | null };

const figure = (x: number): string => String(Math.round(x * 10) / 10).replace(".", "_");
const studHoleId = (o: Found["hole"]): string =>
  `${o.in.wall}.${o.in.part}${o.in.stud ?? ""}.${figure(o.at)}.${figure(o.fromTop)}`;

/** Bit for cables in one hole of a stud or plate; where the timber takes none that large, the one they need: the checker stops it. */
function bitThrough(runs: readonly string[], most: number, cableOfRun: ReadonlyMap<string, Cable>): number {
  const cables = runs.map((r) => cableOfRun.get(r)!);
  return bitFor(cables, most, wallDrills) ?? bitFor(cables, Infinity, wallDrills) ?? wallDrills[wallDrills.length - 1]!;
}

/** Holes of one stud or plate stand this many times the largest bit that it takes apart, as in a joist. */
const ASIDE = 3;

/**
 * Where the cables at one place do not all go into one hole, for its size or to keep circuits apart, they go through several, evenly about the line they
 * lie on, so that two of them stay within a strip: in a stud one above the other, in a plate or noggin side by side.
 */
function besideEachOther(h: House, f: Found, fits: (runs: readonly string[], most: number) => boolean): Found[] {
  const groups: string[][] = [];
  for (const r of f.hole.runs) {
    const there = groups.find((g) => fits([...g, r], f.most));
    if (there) there.push(r);
    else groups.push([r]);
  }
  if (groups.length === 1) return [f];
  const face = h.faces[h.faceOfWall.get(f.hole.in.wall!)!]!;
  const step = ASIDE * Math.min(f.most, bits[bits.length - 1]!);
  return groups.map((runs, k) => {
    const by = (k - (groups.length - 1) / 2) * step;
    const upright = f.hole.in.part === "stud";
    const at = tidy(f.hole.at + (upright ? 0 : by));
    const fromTop = tidy(f.hole.fromTop + (upright ? by : 0));
    const [x, y, z] = toSpace(face.frame, { u: at, v: face.shape.height - fromTop });
    return { ...f, hole: { ...f.hole, runs, at, fromTop, centre: [x, y, z] } };
  });
}

/** The studs, noggins and plates that a stretch in the void of a stud wall goes through. */
function wallCrossings(h: House, wall: string, a: XYZ, b: XYZ, run: string, into: Crossings): void {
  const f = h.faces[h.faceOfWall.get(wall) ?? -1];
  if (!f?.studs) return;
  for (const c of studCrossings(f, toFace(f.frame, a), toFace(f.frame, b)))
    into.add(
      {
        in: { kind: "stud", wall, part: c.part, ...(c.stud === undefined ? {} : { stud: c.stud }) },
        at: tidy(c.u),
        fromTop: tidy(f.shape.height - c.v),
        centre: [...toSpace(f.frame, c)],
        runs: [run],
      },
      timberRules.hole.size * f.studs.depth,
    );
}

/** Masonry that goes on from the wall below to the wall above: it is drilled between the joists, from the room below. */
function wallsInDeck(h: House, deck: string, a: XYZ, b: XYZ, run: string, into: Crossings): void {
  for (const { wall, at } of wallsPassed(deckWalls(h)[h.deckOfId.get(deck) ?? -1] ?? [], a, b)) {
    const f = h.faces[h.faceOfWall.get(wall.wall)!]!;
    const p = onWallBelow(h, wall.wall, at)!;
    into.add(
      {
        in: { kind: "wall", wall: wall.wall, deck },
        at: tidy(p.u),
        fromTop: tidy(f.shape.height - p.v),
        centre: [...at],
        runs: [run],
      },
      wallDrills[wallDrills.length - 1]!,
    );
  }
}

/** How far from the joist's side a noggin is drilled, mm: room for the bit beside it. */
const FROM_JOIST = 30;

/** The noggins that a stretch along the joists goes through, drilled beside the joist the cable is clipped to. */
function noggins(h: House, deckId: string, a: XYZ, b: XYZ, run: string, into: Crossings): void {
  const l = h.decks[h.deckOfId.get(deckId) ?? -1];
  if (!l) return;
  const half = l.deck.joists.breadth / 2;
  for (const c of nogginCrossings(l, a, b)) {
    const j = l.joists[c.joist - 1]!;
    const side = c.across < j.at ? -1 : 1;
    const p = placeOn(l, c.along, j.at + side * (half + FROM_JOIST));
    into.add(
      {
        in: { kind: "noggin", deck: deckId, joist: c.joist, row: c.row },
        at: side * FROM_JOIST,
        fromTop: tidy(l.top - c.z),
        centre: [p.x, p.y, c.z],
        runs: [run],
      },
      wallDrills[wallDrills.length - 1]!,
    );
  }
}

function joistCrossings(h: House, deckId: string, a: XYZ, b: XYZ, run: string, into: Crossings): void {
  const l = h.decks[h.deckOfId.get(deckId) ?? -1];
  if (!l) return;
  const [al, ac] = l.along === "x" ? [0, 1] : [1, 0];
  const lo = Math.min(a[ac]!, b[ac]!);
  const hi = Math.max(a[ac]!, b[ac]!);
  if (hi - lo < EPS) return;
  for (const j of l.joists) {
    if (j.at < lo - EPS || j.at > hi + EPS) continue;
    const t = (j.at - a[ac]!) / (b[ac]! - a[ac]!);
    const along = a[al]! + t * (b[al]! - a[al]!);
    const z = a[2] + t * (b[2] - a[2]);
    // Along the face of a joist, as a light's tail lies, nothing is bored.
    if (z <= l.underside + EPS || z >= l.top - EPS) continue;
    if (!j.extent.some((e) => within(along, e))) continue;
    const s = j.spans.findIndex((span) => within(along, span));
    const span = j.spans[s] ?? j.spans[0];
    if (!span) continue;
    const centre: XYZ = l.along === "x" ? [along, j.at, z] : [j.at, along, z];
    into.add(
      {
        in: { kind: "joist", deck: deckId, joist: j.n, span: Math.max(s, 0) + 1 },
        at: tidy(along - span[0]),
        fromTop: tidy(l.top - z),
        centre: [...centre],
        runs: [run],
      },
      Math.min(bits[bits.length - 1]!, timberRules.hole.size * l.deck.joists.depth),
    );
  }
}
