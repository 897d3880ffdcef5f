import { toFace } from "../../base/wall-frame";
import type { House } from "../../house/house";
import { type LaidSection, type Stretch, isRise } from "../../house/sections";
import { type Fact, fact } from "../../rules/fact";

/** The joist nearest to where a section goes up through a deck, and the room between them, mm; below 0 it would go through the joist. */
export interface RiseRoom {
  deck: number;
  joist: number;
  room: number;
}

/** Room between a section that goes straight up through a deck and the nearest joist; null where there is no joist to meet. */
export function riseRoom(h: House, s: LaidSection, x: Stretch): RiseRoom | null {
  const l = h.decks[x.deck];
  const face = h.faces[x.beside ?? -1];
  if (!l || !face || !isRise(x)) return null;
  // Under the plaster it stands in the wall itself.
  const { width, depth } = s.row.hidden ? { ...s.size, depth: 0 } : s.size;
  const { along, inward } = face.frame;
  const k = l.across === "x" ? 0 : 1;
  // Its back to the wall: half its width to either side, all its depth into the room.
  const reach = [-width / 2, width / 2].flatMap((w) =>
    [0, depth].map((into) => x.from[k] + (k ? along.y : along.x) * w + (k ? inward.y : inward.x) * into),
  );
  const [lo, hi] = [Math.min(...reach), Math.max(...reach)];
  const half = l.deck.joists.breadth / 2;
  return l.joists.reduce<RiseRoom | null>((least, j) => {
    const room = Math.max(lo - (j.at + half), j.at - half - hi);
    return !least || room < least.room ? { deck: x.deck, joist: j.n, room } : least;
  }, null);
}

/** True where a section goes up between the joists. */
export const risesClear = (h: House, s: LaidSection, x: Stretch): boolean => (riseRoom(h, s, x)?.room ?? 0) > -1e-6;

/** Sections that would go up through a joist. */
export const riseFacts = (h: House, s: LaidSection): Fact[] =>
  s.section.state === "found"
    ? []
    : s.stretches.flatMap((x): Fact[] => {
        const r = riseRoom(h, s, x);
        if (!r || risesClear(h, s, x)) return [];
        const face = h.faces[x.beside!]!;
        const { u } = toFace(face.frame, x.from);
        return [
          fact("section.joist", "section", s.section.id, {
            where: { wall: face.wall.id, deck: h.decks[r.deck]!.deck.id, joist: r.joist },
            measured: r.room,
            limit: 0,
            sense: "least",
            unit: "mm",
            of: { label: s.section.label, u },
          }),
        ];
      });
