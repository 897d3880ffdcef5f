import { farthestFrom } from "../../base/cover";
import { distanceToOutline } from "../../base/polygon";
import { atLeast, atMost } from "../../base/tolerance";
import type { House, PlacedPoint } from "../../house/house";
import { roomServed } from "../../house/rooms-of";
import { wiredTo } from "../../job/wired";
import { isLight } from "../../rules/accessories";
import { ALARM_COVER, ALARM_OFF, isCovering } from "../../rules/alarms";
import { type Fact, fact } from "../../rules/fact";

const onPlan = (p: PlacedPoint): { x: number; y: number } => ({ x: p.space[0], y: p.space[1] });

/**
 * Alarms: every place of a room that has one is within its reach, on the ceiling it keeps 300 from walls and lights, and all of a
 * dwelling sound together, so they are on one circuit. Which rooms want one is for the grade of the house to say: it is not judged.
 * Source: BS 5839-6.
 */
export function alarmFacts(h: House): Fact[] {
  const alarms = h.points.filter((p) => isCovering(p.point.kind) && !p.point.existing);
  if (!alarms.length) return [];
  const out: Fact[] = [];
  const rooms = new Map<string, PlacedPoint[]>();
  for (const p of h.points) {
    const room = roomServed(h, p.point.id);
    if (room !== null) rooms.set(room, [...(rooms.get(room) ?? []), p]);
  }
  for (const r of h.job.rooms) {
    const here = rooms.get(r.id) ?? [];
    const own = here.filter((p) => isCovering(p.point.kind));
    // Smoke reaches farther than heat: where there are both, the room is covered by either.
    for (const kind of ["smoke-alarm", "heat-alarm"] as const) {
      const of = own.filter((p) => p.point.kind === kind);
      const first = of[0];
      if (!first || (kind === "heat-alarm" && of.length < own.length)) continue;
      const { far } = farthestFrom(r.outline, of.map(onPlan));
      if (!atMost(far, ALARM_COVER[kind]))
        out.push(
          fact("alarm.cover", "point", first.point.id, {
            measured: far,
            limit: ALARM_COVER[kind],
            sense: "most",
            unit: "mm",
            of: { room: r.name, alarms: of.length },
          }),
        );
    }
    for (const p of own) {
      if (p.face >= 0 || p.point.existing) continue;
      const off = [
        { from: "wall", id: "", far: distanceToOutline(r.outline, onPlan(p)) },
        ...here
          .filter((q) => isLight(q.point.kind))
          .map((q) => ({
            from: "light",
            id: q.point.id,
            far: Math.hypot(p.space[0] - q.space[0], p.space[1] - q.space[1]),
          })),
      ].reduce((a, b) => (b.far < a.far ? b : a));
      if (!atLeast(off.far, ALARM_OFF))
        out.push(
          fact("alarm.off", "point", p.point.id, {
            measured: off.far,
            limit: ALARM_OFF,
            sense: "least",
            unit: "mm",
            of: { from: off.from, light: off.id },
          }),
        );
    }
  }
  const circuitOf = new Map(h.job.circuits.flatMap((c) => wiredTo(c).map((id) => [id, c.id] as const)));
  const circuits = [...new Set(alarms.flatMap((p) => circuitOf.get(p.point.id) ?? []))].sort();
  if (circuits.length > 1) out.push(fact("alarm.interlink", "circuit", circuits[1]!, { of: { circuits } }));
  return out;
}
