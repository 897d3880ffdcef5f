import { atLeast } from "../../base/tolerance";
import { toFace } from "../../base/wall-frame";
import { wiredTo } from "../../job/wired";
import { roomsOf } from "../../house/rooms-of";
import type { House } from "../../house/house";
import { type Fact, fact } from "../../rules/fact";
import { SOCKET_FROM_BATH } from "../../rules/supply";
import { needsRcd } from "./needs-rcd";

/**
 * Rooms with a bath or shower: every circuit that serves a point there has 30 mA protection, and no socket outlet stands within 2.5 m
 * of zone 1, measured on plan from the bath. Where no bath is drawn the distance of a socket is not known, and that is told.
 * Source: BS 7671:2018+A2:2022 701.411.3.3, 701.512.3.
 */
export function bathFacts(h: House): Fact[] {
  const { job } = h;
  const baths = new Set(job.rooms.filter((r) => r.kind === "bathroom").map((r) => r.id));
  if (!baths.size) return [];
  const inBath = new Map(
    job.points.flatMap((p) => {
      const room = roomsOf(h, p.id).find((id) => baths.has(id));
      return room === undefined ? [] : [[p.id, room] as const];
    }),
  );
  const out: Fact[] = [];
  for (const c of job.circuits) {
    const first = wiredTo(c).find((id) => inBath.has(id));
    if (first !== undefined) out.push(...needsRcd("bath.rcd", job, c, { room: inBath.get(first)! }));
  }
  for (const [id, room] of inBath) {
    const p = h.points[h.pointOfId.get(id)!]!;
    if (p.point.kind !== "socket") continue;
    const far = Math.min(
      Infinity,
      ...job.fixtures.flatMap((x) => {
        const face = h.faces[h.faceOfWall.get(x.wall) ?? -1];
        if (x.kind !== "bath" || face?.room.id !== room) return [];
        const at = toFace(face.frame, p.space);
        return [Math.hypot(Math.max(x.u - at.u, at.u - x.u - x.width, 0), Math.max(at.into - x.depth, -at.into, 0))];
      }),
    );
    if (far === Infinity)
      out.push(fact("bath.socket", "point", id, { case: "not-drawn", severity: "warn", of: { room } }));
    else if (!atLeast(far, SOCKET_FROM_BATH))
      out.push(
        fact("bath.socket", "point", id, {
          measured: far,
          limit: SOCKET_FROM_BATH,
          sense: "least",
          unit: "mm",
          of: { room },
        }),
      );
  }
  return out;
}
