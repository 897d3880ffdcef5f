import { distanceToOutline, insidePolygon } from "../base/polygon";
import type { UV } from "../base/rect";
import { EPS, same } from "../base/tolerance";
import { type XYZ, distance, toFace } from "../base/wall-frame";
import type { PinnedLeg, Section, SectionPlace } from "../job/model";
import { isJunction } from "../job/section-junctions";
import { type SectionRow, type SectionSize, cutIn, sectionRows, sectionSizes } from "../rules/sections";
import type { Face, House } from "./house";

/** A straight stretch of a section on one wall or deck: from, to in the measures of the wall, and in space. */
export interface Stretch {
  /** Number of the face, or −1 on a deck. */
  face: number;
  /** Number of the deck, or −1 on a wall. */
  deck: number;
  a: UV;
  b: UV;
  from: XYZ;
  to: XYZ;
  length: number;
  plumb: boolean;
  /** Straight up or down through a deck: number of the face that it goes on from, at the foot where it has one at both ends. */
  beside?: number;
}

/** True for a stretch straight up or down through a deck: from the wall below it on to its joists, or to the wall above. */
export const isRise = (x: Pick<Stretch, "deck" | "plumb">): boolean => x.deck >= 0 && x.plumb;

/** A section as it lies in the house. */
export interface LaidSection {
  section: Section;
  row: SectionRow;
  size: SectionSize;
  stretches: Stretch[];
  /** mm along its middle. */
  length: number;
}

type On = Pick<House, "job" | "catalogue" | "faces" | "faceOfWall" | "decks" | "deckOfId">;

/** Where a place of a section lies in space; null where its wall or deck is not there. On a deck it lies on top of the joists. */
export function sectionPlace(h: On, p: SectionPlace): XYZ | null {
  if (p.on === "wall") {
    const f = h.faces[h.faceOfWall.get(p.wall) ?? -1];
    if (!f) return null;
    const { origin, along } = f.frame;
    return [origin[0] + along.x * p.u, origin[1] + along.y * p.u, origin[2] + p.v];
  }
  const d = h.decks[h.deckOfId.get(p.deck) ?? -1];
  return d ? [p.x, p.y, d.top] : null;
}

/** A trunking found in the house, as a section. */
const foundSections = (h: On): Section[] =>
  h.job.foundTrunkings.map((t) => ({
    id: t.id,
    label: "old",
    kind: "trunking-plastic",
    size: t.size,
    path: [t.from, t.to].map((p) => ({ on: "wall" as const, wall: t.wall, ...p })),
    corners: "fitted",
    innerRadius: null,
    intoWall: "none",
    state: "found",
    holds: t.holds,
    out: [],
  }));

const laid = new WeakMap<House, LaidSection[]>();

/** Every section of a house as it lies, those found in it among them; one whose size or wall is not there is left out. */
export function sectionsOf(h: House): readonly LaidSection[] {
  let out = laid.get(h);
  if (!out) laid.set(h, (out = [...h.job.sections, ...foundSections(h)].flatMap((s) => laySection(h, s) ?? [])));
  return out;
}

/** How far from a deck's edge a wall may stand that a section goes up through it from, mm: the wall carries it. */
const AT_WALL = 260;

/** Number of the deck that a section goes through from one place to another right over or under it; −1 where there is none. */
function deckBetween(h: On, p: SectionPlace, q: SectionPlace, from: XYZ, to: XYZ): number {
  for (const x of [p, q]) if (x.on === "deck") return h.deckOfId.get(x.deck) ?? -1;
  const [lo, hi] = [Math.min(from[2], to[2]), Math.max(from[2], to[2])];
  const at = { x: to[0], y: to[1] };
  return h.decks.findIndex(
    (d) =>
      d.underside >= lo - 1 &&
      d.top <= hi + 1 &&
      (insidePolygon(d.deck.outline, at) || distanceToOutline(d.deck.outline, at) <= AT_WALL),
  );
}

/** A section as it lies in the house; null where its size, its walls or decks are not there. */
export function laySection(h: On, section: Section): LaidSection | null {
  const size = sectionSizes(section.kind, h.catalogue).find((x) => x.id === section.size);
  if (!size) return null;
  const stretches: Stretch[] = [];
  for (let i = 1; i < section.path.length; i++) {
    const [p, q] = [section.path[i - 1]!, section.path[i]!];
    const [from, to] = [sectionPlace(h, p), sectionPlace(h, q)];
    if (!from || !to) return null;
    const length = distance(from, to);
    if (length <= EPS) continue;
    if (p.on === "wall" && q.on === "wall" && p.wall === q.wall)
      stretches.push({
        face: h.faceOfWall.get(p.wall)!,
        deck: -1,
        a: { u: p.u, v: p.v },
        b: { u: q.u, v: q.v },
        from,
        to,
        length,
        plumb: same(p.u, q.u),
      });
    else if (p.on === "deck" && q.on === "deck" && p.deck === q.deck)
      stretches.push({
        face: -1,
        deck: h.deckOfId.get(p.deck)!,
        a: { u: p.x, v: p.y },
        b: { u: q.x, v: q.y },
        from,
        to,
        length,
        plumb: false,
      });
    else if (isJunction(h.job, p, q)) {
      const deck = deckBetween(h, p, q, from, to);
      const at = { u: to[0], v: to[1] };
      const beside = [p, q].flatMap((y) => (y.on === "wall" ? (h.faceOfWall.get(y.wall) ?? []) : []));
      const foot = from[2] <= to[2] ? beside[0] : beside[beside.length - 1];
      if (deck >= 0 && foot !== undefined)
        stretches.push({ face: -1, deck, a: at, b: at, from, to, length, plumb: true, beside: foot });
    }
  }
  if (!stretches.length) return null;
  return {
    section,
    row: sectionRows[section.kind],
    size,
    stretches,
    length: stretches.reduce((s, x) => s + x.length, 0),
  };
}

/** Sections with a stretch on a face. */
export const sectionsOnFace = (h: House, face: number): LaidSection[] =>
  sectionsOf(h).filter((s) => s.stretches.some((x) => x.face === face));

/** True when the line from a to b lies on the middle of a stretch, at most `off` beside it and nowhere beyond its ends. */
export function liesOn(x: Pick<Stretch, "a" | "b" | "plumb">, a: UV, b: UV, off = EPS): boolean {
  const [k, m] = x.plumb ? (["u", "v"] as const) : (["v", "u"] as const);
  if (Math.abs(a[k] - x.a[k]) > off || Math.abs(b[k] - x.a[k]) > off) return false;
  const [lo, hi] = [Math.min(x.a[m], x.b[m]), Math.max(x.a[m], x.b[m])];
  return Math.min(a[m], b[m]) >= lo - EPS && Math.max(a[m], b[m]) <= hi + EPS;
}

/** A leg lies in a section when at least this much of it does, mm. */
const SHARE_LEAST = 100;

/**
 * The section that a leg lies in. What the leg itself says goes first; a leg given by hand lies in the section whose width it keeps
 * to for 100 mm or more, but one that its circuit is kept out of.
 */
export function sectionOfLeg(h: House, leg: PinnedLeg, circuit = ""): LaidSection | null {
  const all = sectionsOf(h);
  if (leg.section !== undefined) return all.find((s) => s.section.id === leg.section) ?? null;
  const f = leg.surface.kind === "wall" ? h.faces[h.faceOfWall.get(leg.surface.id) ?? -1] : undefined;
  if (!f || !all.length) return null;
  const path = leg.path.map((p) => toFace(f.frame, p));
  return (
    all.find(
      (s) => !s.section.out.includes(circuit) && s.row.hidden === cutIn.has(leg.method) && sharesWith(s, f, path),
    ) ?? null
  );
}

function sharesWith(s: LaidSection, f: Face, path: readonly UV[]): boolean {
  const half = s.size.width / 2 + 1;
  return s.stretches.some((x) => {
    if (x.face !== f.n) return false;
    const [k, m] = x.plumb ? (["u", "v"] as const) : (["v", "u"] as const);
    const [lo, hi] = [Math.min(x.a[m], x.b[m]), Math.max(x.a[m], x.b[m])];
    return path.some((b, i) => {
      const a = path[i - 1];
      if (!a || Math.max(Math.abs(a[k] - x.a[k]), Math.abs(b[k] - x.a[k])) > half) return false;
      return Math.min(Math.max(a[m], b[m]), hi) - Math.max(Math.min(a[m], b[m]), lo) >= SHARE_LEAST;
    });
  });
}
