import { distance, toSpace } from "../../base/wall-frame";
import { atMost } from "../../base/tolerance";
import type { House } from "../../house/house";
import { type Fact, fact } from "../../rules/fact";
import { kitchenRules } from "./clearances";

/** What of the house a cooker control switches off. */
const cookers = ["hob", "oven"];
/** Kinds of point that switch an outlet below the worktop off. */
const switching = ["fused-unit", "switch", "isolator", "cooker-control"];

/**
 * What serves what in every room: each hob and oven within reach of the nearest cooker control of its room, in a straight line, and a
 * switch above the worktop for every appliance outlet below it. Source: kitchen working practice.
 */
export function servingFacts(h: House): Fact[] {
  const out: Fact[] = [];
  for (const room of h.job.rooms) {
    const walls = new Set(h.job.walls.filter((w) => w.room === room.id).map((w) => w.id));
    const fixtures = h.job.fixtures.filter((x) => walls.has(x.wall));
    const points = h.points.filter((p) => p.face >= 0 && h.faces[p.face]!.room.id === room.id);
    const controls = points.filter((p) => p.point.kind === "cooker-control");
    for (const x of fixtures) {
      if (!cookers.includes(x.kind) || !controls.length) continue;
      const f = h.faces[h.faceOfWall.get(x.wall)!]!;
      const middle = toSpace(f.frame, { u: x.u + x.width / 2, v: x.v + x.height / 2 }, x.depth / 2);
      const near = controls.map((c) => ({ c, reach: distance(c.space, middle) })).sort((a, b) => a.reach - b.reach)[0]!;
      if (atMost(near.reach, kitchenRules.control)) continue;
      out.push(
        fact("kitchen.control-reach", "point", near.c.point.id, {
          measured: near.reach,
          limit: kitchenRules.control,
          sense: "most",
          unit: "mm",
          of: { fixture: x.name || x.kind },
        }),
      );
    }
    const tops = fixtures.filter((x) => x.kind === "worktop");
    if (!tops.length) continue;
    const height = Math.max(...tops.map((t) => t.v + t.height));
    const above = points.filter(
      (p) => switching.includes(p.point.kind) && p.point.place.on === "wall" && p.point.place.v > height,
    );
    for (const p of points) {
      if (p.point.kind !== "appliance-outlet" || p.point.place.on !== "wall" || p.point.place.v > height) continue;
      if (above.some((s) => s.point.controls.includes(p.point.id))) continue;
      out.push(fact("kitchen.appliance-switch", "point", p.point.id));
    }
  }
  return out;
}
