import { EPS } from "../base/tolerance";
import type { House } from "../house/house";
import { type LaidSection, type Stretch, sectionsOf } from "../house/sections";
import { conduitEnd } from "../rules/containers";
import { type Fact, fact } from "../rules/fact";
import { EDGE_ROOM } from "../trades/ends/gland-row";
import { HAND_ROOM } from "./gland-faces";

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

/** How far a tube's end may stand off the plate that it is joined to, mm. */
const OFF = 60;

const isTrunking = (s: LaidSection): boolean =>
  s.section.kind === "trunking-plastic" || s.section.kind === "trunking-metal";

interface Tip {
  stretch: Stretch;
  at: { u: number; v: number };
  /** Which way the section goes on from here, off its end: 1 or −1 along the stretch. */
  out: 1 | -1;
}

function tipsOf(s: LaidSection): { first: Tip; last: Tip } | null {
  const [first, last] = [s.stretches[0], s.stretches[s.stretches.length - 1]];
  if (!first || !last) return null;
  const along = (x: Stretch): number => (x.plumb ? x.b.v - x.a.v : x.b.u - x.a.u);
  return {
    first: { stretch: first, at: first.a, out: along(first) > 0 ? -1 : 1 },
    last: { stretch: last, at: last.b, out: along(last) > 0 ? 1 : -1 },
  };
}

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
  return off < -EPS || off > OFF || Math.abs(beside) > width / 2 ? null : width / 2 + beside;
}

function factsOf(t: LaidSection, width: number, holes: readonly EndHole[]): Fact[] {
  const told = (what: string, measured: number, limit: number): Fact =>
    fact("gland.place", "section", t.section.id, {
      case: what,
      measured,
      limit,
      sense: "least",
      unit: "mm",
      of: { label: t.section.label },
    });
  return holes.flatMap((o, i) => {
    const out: Fact[] = [];
    const next = holes[i + 1];
    const apart = next ? (o.across + next.across) / 2 + HAND_ROOM : 0;
    if (next && next.x - o.x < apart - EPS) out.push(told("neighbour", next.x - o.x, apart));
    const edge = Math.min(o.x, width - o.x);
    if (edge < o.across / 2 + EDGE_ROOM - EPS) out.push(told("edge", edge, o.across / 2 + EDGE_ROOM));
    return out;
  });
}

/** What is wrong with the ends of all trunkings. */
export const trunkingEndFacts = (h: House): Fact[] => trunkingEnds(h).flatMap((e) => e.facts);
