import { bounds } from "../base/polygon";
import { toSpace } from "../base/wall-frame";
import { type Face, type House, pointsOfStorey } from "../house/house";
import { ALARM_COVER, isCovering } from "../rules/alarms";
import { BATH } from "../rules/bath";
import { bathsOf, zonesOnWall } from "../trades/bath/zones";
import { type Shape, type XY, arc, pen } from "./scene";

/** Zones 1 and 2 of a room's bath as they lie on one of its walls: x along it, y down, the floor at 0, mm. */
export function bathZoneShapes(h: House, face: Face): Shape[] {
  if (face.room.kind !== "bathroom") return [];
  const p = pen({ layer: "ZONES" });
  for (const z of zonesOnWall(h, face)) {
    p.rect(z.u0, -z.v1, z.u1 - z.u0, z.v1 - z.v0, undefined, "accent", {
      id: `bath zone ${z.zone}`,
      width: 1.2,
      dash: z.zone === 1 ? [7, 3] : [2, 4],
    });
    p.text((z.u0 + z.u1) / 2, -z.v1, `bath zone ${z.zone}`, {
      layer: "NAMES",
      ink: "accent",
      size: 11,
      drop: 1.1,
      room: { width: z.u1 - z.u0 },
    });
  }
  return p.shapes;
}

/** Zones of the baths of a storey from above, and how far its alarms reach: x east, y down (south), mm of the house. */
export function planZoneShapes(h: House, storey: string, alarms: (id: string) => boolean): Shape[] {
  const p = pen({ layer: "ZONES" });
  for (const r of h.job.rooms) {
    if (r.storey !== storey || r.kind !== "bathroom") continue;
    for (const { face, plan } of bathsOf(h, r.id)) {
      const on = (u: number, into: number): XY => {
        const q = toSpace(face.frame, { u, v: 0 }, into);
        return [q[0], -q[1]];
      };
      // Zone 2 goes 600 on from the edge, round its corners too, and ends at the walls of the room.
      const b = bounds(r.outline);
      const inRoom = ([px, py]: XY): XY => [Math.min(Math.max(px, b.x0), b.x1), Math.min(Math.max(py, -b.y1), -b.y0)];
      const { x, width, depth } = plan;
      const round = (u: number, into: number, from: number, to: number): XY[] =>
        arc(u, into, BATH.beyond, from, to, 8).map(([a, b]) => on(a, b));
      p.area([on(x, 0), on(x, depth), on(x + width, depth), on(x + width, 0)], undefined, "accent", {
        width: 1.2,
        dash: [7, 3],
      });
      p.line(
        [
          on(x - BATH.beyond, 0),
          ...round(x, depth, 180, 90),
          ...round(x + width, depth, 90, 0),
          on(x + width + BATH.beyond, 0),
        ].map(inRoom),
        "accent",
        { width: 1, dash: [2, 4] },
      );
    }
  }
  for (const { point, space } of pointsOfStorey(h, storey))
    if (isCovering(point.kind) && alarms(point.id))
      p.circle(space[0], -space[1], ALARM_COVER[point.kind], undefined, "accent", {
        id: `reach of ${point.id}`,
        width: 1.2,
        dash: [6, 5],
      });
  return p.shapes;
}
