import { type LaidSection, type Stretch, isRise } from "../../house/sections";
import { clipLayout } from "../fixings/clips";
import { innerRadius } from "./bent-pieces";
import { middleRadius } from "./conduit-bends";
import { makingOf } from "./section-turns";
import { conduitSupport, trunkingSupport } from "./supports";

/** First and last fixing from the ends of a stretch, mm. Trade habit. */
const FIXING_END = 75;
/** Room for a saddle past the end of a bend, mm. Trade habit. */
const PAST_BEND = 15;

/** Fixings of one stretch of a section. */
export interface SectionFixings {
  stretch: number;
  /** Most between two of them, mm, and the row of the table it comes from; typical where no table says. */
  max: number;
  band: string | null;
  /** From the start of the stretch, mm. */
  marks: number[];
  pitch: number;
}

/** Most between the fixings of a section on a stretch, mm: by the tables for conduit and trunking, else what is usual. */
export function fixingMost(s: LaidSection, x: Pick<Stretch, "plumb">): { max: number; band: string | null } {
  const { kind } = s.section;
  if (s.row.method === "tube")
    return conduitSupport(kind === "conduit-metal" ? "metal" : "insulating", s.size.width, x.plumb);
  if (s.row.method === "trunking" || s.row.method === "mini-trunking") {
    const t = trunkingSupport(
      s.row.material === "metal" ? "metal" : "insulating",
      s.size.width * s.size.depth,
      x.plumb,
    );
    if (t.max !== null) return { max: t.max, band: t.band };
  }
  return { max: s.row.fixings, band: null };
}

/** True where a section turns from one stretch to the next. */
function turnsAfter(s: LaidSection, stretch: number): boolean {
  const [x, y] = [s.stretches[stretch], s.stretches[stretch + 1]];
  if (!x || !y) return false;
  const along = ([0, 1, 2] as const).reduce<number>((sum, k) => sum + (x.to[k] - x.from[k]) * (y.to[k] - y.from[k]), 0);
  return along < (1 - 1e-9) * x.length * y.length;
}

/**
 * Fixings of a section stretch by stretch, evenly between its ends, of a bent tube on the straight between its bends; one in the middle
 * where two would stand side by side. None for what is found, which hangs there already.
 */
export function sectionFixings(s: LaidSection): SectionFixings[] {
  if (s.section.state === "found") return [];
  const bend = makingOf(s) === "bent" ? middleRadius(s.size.width, innerRadius(s)) : 0;
  return s.stretches.map((x, stretch) => {
    const { max, band } = fixingMost(s, x);
    // Nothing is fixed within a deck.
    if (isRise(x)) return { stretch, max, band, marks: [], pitch: 0 };
    const [bent0, bent1] = [turnsAfter(s, stretch - 1) ? bend : 0, turnsAfter(s, stretch) ? bend : 0];
    const ends = (b: number): number => (b > 0 ? Math.max(FIXING_END, b + PAST_BEND) : FIXING_END);
    const [from, to] = [ends(bent0), x.length - ends(bent1)];
    if (to - from < FIXING_END) return { stretch, max, band, marks: [(bent0 + x.length - bent1) / 2], pitch: 0 };
    const { marks, pitch } = clipLayout(to - from, max, 0);
    return { stretch, max, band, marks: marks.map((m) => from + m), pitch };
  });
}
