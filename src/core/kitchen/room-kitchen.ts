import { distance, toSpace } from "../geometry/wall-frame";
import { atMost } from "../geometry/tolerance";
import type { House } from "../job/house";
import { type Finding, finding, mm } from "../rules/findings";
import { kitchenRules } from "./clearances";

/** What of the house a cooker control switches off. */
const cookers = ["hob", "oven"];
/** Kinds of point that switch an outlet below the worktop off. */
const switching = ["fused-unit", "switch", "isolator", "cooker-control"];

/**
 * What serves what in every room: each hob and oven within reach of the nearest cooker control of its room, in a straight line, and a
 * switch above the worktop for every appliance outlet below it. Source: kitchen working practice.
 */
export function servingFindings(h: House): Finding[] {
  const out: Finding[] = [];
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
        finding("kitchen.control-reach", {
          subject: near.c.point.id,
          message: `${near.c.point.label} is ${mm(near.reach)} from the middle of the ${x.name || x.kind}, the nearest control to it.`,
          measured: near.reach,
          limit: kitchenRules.control,
          sense: "most",
          unit: "mm",
          remedy: `Move ${near.c.point.label} nearer, or fit another control.`,
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
      out.push(
        finding("kitchen.appliance-switch", {
          subject: p.point.id,
          message: `${p.point.label} is below the worktop and nothing above it switches it off.`,
          remedy: "Put a fused unit or a switch above the worktop and let it work this outlet.",
        }),
      );
    }
  }
  return out;
}
