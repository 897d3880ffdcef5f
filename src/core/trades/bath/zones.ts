import { EPS, atMost } from "../../base/tolerance";
import { toFace, toSpace } from "../../base/wall-frame";
import type { House } from "../../house/house";
import type { Face } from "../../house/face";
import { BATH } from "../../rules/bath";

/** Zone of a place in a room with a bath or shower; null outside them. */
export type BathZone = 0 | 1 | 2 | null;
/** A bath or tray on plan, mm, and how high its rim stands. */
export interface BathPlan {
  x: number;
  y: number;
  width: number;
  depth: number;
  rim: number;
}

/** Distance on plan from the edge of a bath, mm; 0 within it. */
const offBath = (b: BathPlan, x: number, y: number): number =>
  Math.hypot(Math.max(b.x - x, x - b.x - b.width, 0), Math.max(b.y - y, y - b.y - b.depth, 0));

/**
 * Zone of a place: 0 in the bath below its rim, 1 over it up to 2 250 above the floor, 2 within a further 600 and as high. On the
 * boundary the inner one counts. Source: BS 7671:2018+A2:2022 701.32.
 */
export function bathZone(b: BathPlan, p: { x: number; y: number; z: number }): { zone: BathZone; toZone1: number } {
  const far = offBath(b, p.x, p.y);
  if (!atMost(p.z, BATH.top)) return { zone: null, toZone1: far };
  const zone = far <= EPS ? (p.z < b.rim ? 0 : 1) : atMost(far, BATH.beyond) ? 2 : null;
  return { zone, toZone1: far };
}

/** Baths and trays of a room, each in the frame of the wall it stands on: x along it, y into the room. */
export function bathsOf(h: House, room: string): { id: string; face: Face; plan: BathPlan }[] {
  return h.job.fixtures.flatMap((x) => {
    const face = h.faces[h.faceOfWall.get(x.wall) ?? -1];
    return x.kind === "bath" && face?.room.id === room
      ? [{ id: x.id, face, plan: { x: x.u, y: 0, width: x.width, depth: x.depth, rim: x.v + x.height } }]
      : [];
  });
}

/** Zones 1 and 2 as they show on a wall of the room, in its u and v. */
export interface ZoneOnWall {
  zone: 1 | 2;
  u0: number;
  u1: number;
  v0: number;
  v1: number;
}

/** What of the zones of a room's baths lies on one of its walls. A wall that stands askew is taken by the box round the bath on it. */
export function zonesOnWall(h: House, face: Face): ZoneOnWall[] {
  const top = Math.min(BATH.top, face.shape.height);
  return bathsOf(h, face.room.id).flatMap(({ face: own, plan }): ZoneOnWall[] => {
    const corners = [
      [plan.x, 0],
      [plan.x + plan.width, 0],
      [plan.x, plan.depth],
      [plan.x + plan.width, plan.depth],
    ].map(([u, into]) => toFace(face.frame, toSpace(own.frame, { u: u!, v: 0 }, into)));
    const gap = Math.min(...corners.map((c) => c.into));
    const [a, b] = [Math.min(...corners.map((c) => c.u)), Math.max(...corners.map((c) => c.u))];
    const cut = (zone: 1 | 2, u0: number, u1: number): ZoneOnWall[] => {
      const [from, to] = [Math.max(0, u0), Math.min(face.shape.length, u1)];
      return to - from > EPS ? [{ zone, u0: from, u1: to, v0: 0, v1: top }] : [];
    };
    if (gap > EPS) {
      if (gap > BATH.beyond) return [];
      const half = Math.sqrt(BATH.beyond ** 2 - gap ** 2);
      return cut(2, a - half, b + half);
    }
    return [...cut(1, a, b), ...cut(2, a - BATH.beyond, a), ...cut(2, b, b + BATH.beyond)];
  });
}
