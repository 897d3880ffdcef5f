import type { Cable } from "../../rules/cables";
import { type Fact, fact } from "../../rules/fact";
import { EPS, atMost } from "../../base/tolerance";

export type ClipFamily = "sheathed" | "armoured" | "mi";
/** How a cable is clipped and bent: what carries no mains like sheathed cable of its size. Typical. */
export const heldAs = (c: Pick<Cable, "family">): ClipFamily => (c.family === "signal" ? "sheathed" : c.family);
export type Orientation = "horizontal" | "vertical";

/** A row of the table: diameters above `over` up to and including `upTo`, spacing horizontal / vertical, null where not made or not published. */
interface ClipRow {
  over: number;
  upTo: number;
  spacing: Record<ClipFamily, readonly [horizontal: number, vertical: number] | null>;
}

/** Support of reachable cable, mm, by diameter across the widest axis. Source: on-site working practice to BS 7671:2018+A2:2022. */
export const clipTable: readonly ClipRow[] = [
  { over: 0, upTo: 9, spacing: { sheathed: [250, 400], armoured: null, mi: [600, 800] } },
  { over: 9, upTo: 15, spacing: { sheathed: [300, 400], armoured: [350, 450], mi: [900, 1200] } },
  { over: 15, upTo: 20, spacing: { sheathed: [350, 450], armoured: [400, 550], mi: [1500, 2000] } },
  { over: 20, upTo: 40, spacing: { sheathed: [400, 550], armoured: [450, 600], mi: null } },
];

/** Spacing by judgement where the cable cannot be reached, mm. */
export const OUT_OF_REACH = 450;
/** A slope up to this many degrees from level counts as horizontal. */
export const LEVEL_UP_TO = 60;
/** Farthest that the first and last clip may sit from a box, bend or gland, mm. */
export const END_MOST = 150;
/** Usual distance of the first and last clip from the end, mm. */
export const END_USUAL = 100;

export interface ClipSpacing {
  /** Largest spacing, mm; null when only the maker can say. */
  max: number | null;
  /** True when the table binds: the cable stays reachable and the table has a value. */
  binding: boolean;
  band: string;
  facts: Fact[];
}

/**
 * Largest clip spacing for a cable. Inclusive at 9, 15, 20 and 40 mm.
 * @param overall diameter across the widest axis, mm
 * @param outOfReach spacing used where the cable cannot be reached; `"table"` keeps to the table there too
 */
export function clipSpacing(
  family: ClipFamily,
  overall: number,
  orientation: Orientation,
  reachable: boolean,
  outOfReach: number | "table" = OUT_OF_REACH,
): ClipSpacing {
  const row = clipTable.find((r) => atMost(overall, r.upTo));
  const band = row ? (row.over === 0 ? `≤ ${row.upTo}` : `> ${row.over} ≤ ${row.upTo}`) : "> 40";
  const pair = row?.spacing[family] ?? null;
  const table = pair ? pair[orientation === "horizontal" ? 0 : 1] : null;
  const facts: Fact[] = [];
  if (table === null)
    facts.push(fact("clip.maker", "input", family, { measured: overall, unit: "mm", of: { family, band } }));
  if (reachable) return { max: table, binding: table !== null, band, facts };
  const max = outOfReach === "table" ? table : outOfReach;
  facts.push(fact("clip.out-of-reach", "input", family, max === null ? {} : { limit: max, unit: "mm" }));
  return { max, binding: false, band, facts };
}

export interface ClipLayout {
  count: number;
  /** Gap between neighbours, mm; 0 for a single clip. */
  pitch: number;
  /** Distances from the start of the stretch, mm. */
  marks: number[];
}

/**
 * Spacing at the fixed pitch of the clipping tool, or of a tie used as a gauge: first and last clip `end` from the ends, the rest one
 * pitch apart from the start, so that the last gap is the shorter one; where it would be less than half a pitch it is shared with the
 * one before.
 */
export function clipAtPitch(length: number, pitch: number, end = END_USUAL): ClipLayout {
  const last = length - end;
  if (last - end <= EPS) return { count: 1, pitch: 0, marks: [length / 2] };
  const marks: number[] = [];
  for (let at = end; at < last - EPS; at += pitch) marks.push(at);
  marks.push(last);
  const n = marks.length;
  if (n > 2 && last - marks[n - 2]! < pitch / 2 - EPS) marks[n - 2] = (marks[n - 3]! + last) / 2;
  return { count: marks.length, pitch, marks };
}

/**
 * Equal spacing along a straight stretch that does not exceed `max`: first and last clip `end` from the ends,
 * the rest evenly between. A stretch shorter than two ends takes one clip in the middle; one exactly two ends long also takes one.
 */
export function clipLayout(length: number, max: number, end = END_USUAL): ClipLayout {
  const between = length - 2 * end;
  if (between <= EPS) return { count: 1, pitch: 0, marks: [length / 2] };
  const n = Math.max(1, Math.ceil(between / max - 1e-9));
  const pitch = between / n;
  return { count: n + 1, pitch, marks: Array.from({ length: n + 1 }, (_, i) => end + i * pitch) };
}
