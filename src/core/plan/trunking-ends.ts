import { EPS } from "../base/tolerance";
import type { House } from "../house/house";
import { TUBE_OFF, type Tip, tipsOf } from "../house/section-tips";
import { type LaidSection, sectionsOf } from "../house/sections";
import { conduitEnd } from "../rules/containers";
import { type Fact, fact } from "../rules/fact";
import { tooNear } from "../trades/ends/gland-row";

/** A tube in the end plate of a trunking, mm. */
export interface EndHole {
  /** Middle, across the wall: from the left, or from the top where the trunking lies level. */
  x: number;
  name: string;
  hole: number;
  across: number;
  section: string;
}
/** The plate at one end of a trunking, with the tubes that go on from it. Lengths mm. */
export interface TrunkingEnd {
  trunking: LaidSection;
  /** Its first end or its last, as it was drawn. */
  end: "first" | "last";
  width: number;
  depth: number;
  holes: EndHole[];
  facts: Fact[];
}

const isTrunking = (s: LaidSection): boolean =>
  s.section.kind === "trunking-plastic" || s.section.kind === "trunking-metal";

/** The ends of trunkings that tubes go on from, in line with them on the same wall: each with its holes, dimensioned. */
export function trunkingEnds(h: House): TrunkingEnd[] {
  const tubes = sectionsOf(h).flatMap((s) => {
    const end = s.row.method === "tube" ? conduitEnd(s.section.size) : null;
    const tips = end && tipsOf(s);
    return tips ? [tips.first, tips.last].map((tip) => ({ s, end, tip })) : [];
  });
  return sectionsOf(h)
    .filter(isTrunking)
    .flatMap((trunking) => {
      const tips = tipsOf(trunking);
      if (!tips) return [];
      return (["first", "last"] as const).flatMap((end): TrunkingEnd[] => {
        const tip = tips[end];
        const { width, depth } = trunking.size;
        const holes = tubes
          .flatMap((t): EndHole[] => {
            const x = meets(tip, t.tip, width);
            const { hole, across, size } = t.end;
            return x === null ? [] : [{ x, name: `tube ${size}`, hole, across, section: t.s.section.id }];
          })
          .sort((a, b) => a.x - b.x);
        return holes.length ? [{ trunking, end, width, depth, holes, facts: factsOf(trunking, width, holes) }] : [];
      });
    });
}

/** Where a tube's tip comes to the plate of a trunking's end; null where it does not. */
function meets(end: Tip, tube: Tip, width: number): number | null {
  const { face, plumb } = end.stretch;
  if (face < 0 || tube.stretch.face !== face || tube.stretch.plumb !== plumb || tube.out === end.out) return null;
  const off = (plumb ? tube.at.v - end.at.v : tube.at.u - end.at.u) * end.out;
  const beside = plumb ? tube.at.u - end.at.u : end.at.v - tube.at.v;
  return off < -EPS || off > TUBE_OFF || Math.abs(beside) > width / 2 ? null : width / 2 + beside;
}

const factsOf = (t: LaidSection, width: number, holes: readonly EndHole[]): Fact[] =>
  tooNear(width, holes).map(({ what, measured, limit }) =>
    fact("gland.place", "section", t.section.id, {
      case: what,
      measured,
      limit,
      sense: "least",
      unit: "mm",
      of: { label: t.section.label },
    }),
  );

/** What is wrong with the ends of all trunkings. */
export const trunkingEndFacts = (h: House): Fact[] => trunkingEnds(h).flatMap((e) => e.facts);
