import { type XYZ, toFace } from "../../base/wall-frame";
import type { House } from "../../house/house";
import type { LaidSection } from "../../house/sections";
import { type Fact, fact } from "../../rules/fact";
import { type PipeSet, type SectionCorner, makingOf, pipeSets, sectionCorners } from "./section-turns";

/** Most right angles between two places that cable is drawn in from; a double set counts as one. Source: on-site working practice. */
export const BENDS_MOST = 2;
/** What a box to draw from takes of the tube, mm. Typical. */
export const BOX_TAKES = 60;

/** A box that cable is drawn in from on the way, where a conduit turns too often for one pull. */
export interface DrawBox {
  /** How far along the section as drawn, mm, and where that is. */
  along: number;
  at: XYZ;
  stretch: number;
  /** How many bends the tube has before it, four to each set over a pipe. */
  bendsBefore: number;
}

/** Where a tube turns: over which part of it, as how many right angles, in how many bends. */
interface Turning {
  from: number;
  to: number;
  angles: number;
  bends: number;
}

function turningsOf(s: LaidSection, corners: readonly SectionCorner[], sets: readonly PipeSet[]): Turning[] {
  const after = new Map(corners.map((c) => [c.after, c]));
  const bent = makingOf(s) === "bent";
  const into = (end: "start" | "end", at: number): Turning[] =>
    bent && (s.section.intoWall === end || s.section.intoWall === "both")
      ? [{ from: at, to: at, angles: 1, bends: 1 }]
      : [];
  const out = into("start", 0);
  let base = 0;
  s.stretches.forEach((x, i) => {
    // Up over a pipe and down again: two double sets.
    for (const set of sets.filter((p) => p.stretch === i))
      out.push({ from: base + set.from, to: base + set.to, angles: 2, bends: 4 });
    base += x.length;
    const c = after.get(i);
    if (c) out.push({ from: base, to: base, angles: c.angle / 90, bends: 1 });
  });
  return [...out, ...into("end", base)];
}

/** Right angles that a section turns by from end to end. */
export const rightAngles = (h: Pick<House, "faces" | "job">, s: LaidSection): number =>
  turningsOf(s, sectionCorners(h, s), pipeSets(h, s)).reduce((sum, t) => sum + t.angles, 0);

/** The boxes to draw from that round conduit wants, so that nowhere more than two right angles lie in one pull: midway between bends. */
export function drawBoxes(h: Pick<House, "faces" | "job">, s: LaidSection): DrawBox[] {
  if (s.row.method !== "tube" || s.section.state === "found") return [];
  const out: DrawBox[] = [];
  let [angles, bends, last] = [0, 0, 0];
  for (const t of turningsOf(s, sectionCorners(h, s), pipeSets(h, s))) {
    if (angles > 0 && angles + t.angles > BENDS_MOST + 1e-6) {
      out.push({ ...placeAlong(s, (last + t.from) / 2), bendsBefore: bends });
      angles = 0;
    }
    angles += t.angles;
    bends += t.bends;
    last = t.to;
  }
  return out;
}

function placeAlong(s: LaidSection, along: number): Omit<DrawBox, "bendsBefore"> {
  let left = along;
  const stretch = s.stretches.findIndex((x) => (left <= x.length + 1e-9 ? true : ((left -= x.length), false)));
  const x = s.stretches[stretch]!;
  const t = left / x.length;
  const at = ([0, 1, 2] as const).map((k) => x.from[k] + t * (x.to[k] - x.from[k])) as unknown as XYZ;
  return { along, at, stretch };
}

/** A note for every box to draw from: where it goes on its wall, or along a deck. */
export const drawBoxFacts = (h: House, s: LaidSection): Fact[] =>
  drawBoxes(h, s).map((b, i, all) => {
    const x = s.stretches[b.stretch]!;
    const face = h.faces[x.face];
    const on = face ? { wall: face.wall.id } : { deck: h.decks[x.deck]!.deck.id };
    const place = face ? toFace(face.frame, b.at) : { u: b.at[0], v: b.at[1] };
    return fact("fill.draw-in", "section", s.section.id, {
      case: "section",
      severity: "note",
      where: on,
      measured: rightAngles(h, s),
      limit: BENDS_MOST,
      sense: "most",
      unit: "bends",
      of: { label: s.section.label, box: i + 1, boxes: all.length, u: place.u, v: place.v },
    });
  });
