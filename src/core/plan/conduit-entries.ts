import type { House, PlacedPoint } from "../house/house";
import { type LaidSection, sectionsOf } from "../house/sections";
import { TUBE_OFF, tipsOf } from "../house/section-tips";
import type { Edge } from "../job/model";
import { type ConduitEnd, conduitEnd } from "../rules/containers";

/** A tube that ends at a box: where its hole is made. Lengths mm. */
export interface ConduitEntry {
  section: LaidSection;
  edge: Edge;
  /** Middle, from the left of the box, or from its top at the sides. */
  at: number;
  end: ConduitEnd;
}

const of = new WeakMap<House, Map<string, ConduitEntry[]>>();

/** The tubes that end at each point's box, by the point. */
export function conduitEntries(h: House): ReadonlyMap<string, readonly ConduitEntry[]> {
  const known = of.get(h);
  if (known) return known;
  const out = new Map<string, ConduitEntry[]>();
  of.set(h, out);
  for (const s of sectionsOf(h)) {
    const end = s.row.method === "tube" ? conduitEnd(s.section.size) : null;
    const tips = end && tipsOf(s);
    if (!tips) continue;
    for (const { stretch, at } of [tips.first, tips.last])
      for (const p of h.points) {
        if (stretch.face < 0 || p.face !== stretch.face || p.point.place.on !== "wall") continue;
        const met = meets(p, at, stretch.plumb);
        if (met) out.set(p.point.id, [...(out.get(p.point.id) ?? []), { section: s, ...met, end }]);
      }
  }
  return out;
}

/** The edge of a box that a tube whose tip is here ends at; null where it ends elsewhere. */
function meets(
  p: PlacedPoint,
  tip: { u: number; v: number },
  plumb: boolean,
): Pick<ConduitEntry, "edge" | "at"> | null {
  if (p.point.place.on !== "wall") return null;
  const { u, v } = p.point.place;
  const { width, height } = p.box;
  const [right, up] = [tip.u - u, tip.v - v];
  if (plumb) {
    if (Math.abs(right) > width / 2 || Math.abs(up) > height / 2 + TUBE_OFF) return null;
    return { edge: up > 0 ? "top" : "bottom", at: right + width / 2 };
  }
  if (Math.abs(up) > height / 2 || Math.abs(right) > width / 2 + TUBE_OFF) return null;
  return { edge: right > 0 ? "right" : "left", at: height / 2 - up };
}
