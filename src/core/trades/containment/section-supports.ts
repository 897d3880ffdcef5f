import type { LaidSection, Stretch } from "../../house/sections";
import { clipLayout } from "../fixings/clips";
import { conduitSupport, trunkingSupport } from "./supports";

/** First and last fixing from the ends of a stretch, mm. Trade habit. */
const FIXING_END = 75;

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

/** Fixings of a section stretch by stretch, evenly between its ends; none for what is found, which hangs there already. */
export function sectionFixings(s: LaidSection): SectionFixings[] {
  if (s.section.state === "found") return [];
  return s.stretches.map((x, stretch) => {
    const { max, band } = fixingMost(s, x);
    const { marks, pitch } = clipLayout(x.length, max, Math.min(FIXING_END, x.length / 3));
    return { stretch, max, band, marks, pitch };
  });
}
