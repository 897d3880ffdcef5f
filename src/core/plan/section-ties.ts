import type { House } from "../house/house";
import type { LaidSection } from "../house/sections";
import { type Cable, overall } from "../rules/cables";
import { clipLayout, clipSpacing, heldAs } from "../trades/fixings/clips";
import { isRise } from "../house/sections";
import { isWayOut, nearDoorway } from "./escape";

/** Height from which what hangs on a wall stands over heads, mm. Typical. */
export const OVER_HEADS = 2000;

/** Kinds in which cables lie open and are tied. */
const tied: ReadonlySet<string> = new Set(["tray", "basket", "ladder"]);

/** Ties of the cables on one stretch of tray, basket or ladder. */
export interface StretchTies {
  stretch: number;
  /** Most between two of them, mm, by the cable that wants them closest; each cable has its own. */
  max: number;
  count: number;
  /** True where the cables would come down if plastic melted: over heads, or on the way out by that school. */
  metal: boolean;
}

/**
 * Ties of the cables that lie in a section, stretch by stretch: at the spacing of their clips, each cable by itself. On top of the joists
 * of a deck the tray itself holds them; on a wall nothing but the ties does. Source: on-site working practice; BS 7671:2018+A2:2022
 * 521.10.202.
 */
export function sectionTies(h: House, s: LaidSection, cables: readonly Cable[]): StretchTies[] {
  if (!tied.has(s.section.kind) || !cables.length) return [];
  return s.stretches.flatMap((x, stretch): StretchTies[] => {
    if (isRise(x)) return [];
    const spacing = cables.map(
      (c) => clipSpacing(heldAs(c), overall(c), x.plumb ? "vertical" : "horizontal", true).max ?? Infinity,
    );
    const max = Math.min(...spacing);
    if (max === Infinity) return [];
    const count = spacing.reduce((n, m) => n + (m === Infinity ? 0 : clipLayout(x.length, m).count), 0);
    const room = h.faces[x.face]?.room;
    const escape = h.job.settings.schools.hallCeiling === "escape";
    const onWay = escape && room !== undefined && (isWayOut(room) || nearDoorway(h, x.face, x.a, x.b) > 0);
    return [{ stretch, max, count, metal: room !== undefined && (onWay || Math.max(x.a.v, x.b.v) >= OVER_HEADS) }];
  });
}
