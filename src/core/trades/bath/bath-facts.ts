import { mainsOf } from "../../job/mains";
import { atLeast } from "../../base/tolerance";
import { toFace } from "../../base/wall-frame";
import type { House, PlacedPoint } from "../../house/house";
import { roomServed } from "../../house/rooms-of";
import { wiredTo } from "../../job/wired";
import type { Run } from "../../laid/laid";
import { type PointKind, accessories, isSignal, isSocket } from "../../rules/accessories";
import { BATH, waterLeast } from "../../rules/bath";
import { type Fact, type SubjectKind, fact } from "../../rules/fact";
import { needsRcd } from "../circuits/needs-rcd";
import { type BathZone, bathZone, bathsOf, zonesOnWall } from "./zones";

/** Zone of a point in its room and how far on plan it is from zone 1; infinitely far where no bath is drawn there. */
export function zoneOfPoint(h: House, p: PlacedPoint, room: string): { zone: BathZone; toZone1: number } {
  return bathsOf(h, room)
    .map(({ face, plan }) => {
      const at = toFace(face.frame, p.space);
      return bathZone(plan, { x: at.u, y: at.into, z: at.v });
    })
    .reduce(
      (a, b) => ({
        zone: a.zone === null ? b.zone : b.zone === null ? a.zone : (Math.min(a.zone, b.zone) as BathZone),
        toZone1: Math.min(a.toZone1, b.toZone1),
      }),
      { zone: null as BathZone, toZone1: Infinity },
    );
}

/**
 * Rooms with a bath or shower: every circuit that serves a point there or lies in the walls of zones 1 and 2 has 30 mA protection; no
 * socket outlet stands within 2.5 m of zone 1; in the zones there are no switches but cords, and what is there stands water as its
 * zone asks. Where no bath is drawn the distance of a socket is not known, and that is told.
 * Source: BS 7671:2018+A2:2022 701.411.3.3, 701.512.
 */
export function bathFacts(h: House, runs: readonly Pick<Run, "circuit" | "legs">[] = []): Fact[] {
  const { job } = h;
  const baths = new Set(job.rooms.filter((r) => r.kind === "bathroom").map((r) => r.id));
  if (!baths.size) return [];
  const inBath = new Map(
    job.points.flatMap((p) => {
      const room = roomServed(h, p.id);
      return room !== null && baths.has(room) ? [[p.id, room] as const] : [];
    }),
  );
  const out: Fact[] = [];
  for (const c of mainsOf(job)) {
    const first = wiredTo(c).find((id) => inBath.has(id));
    if (first !== undefined) out.push(...needsRcd("bath.rcd", job, c, { room: inBath.get(first)! }));
    else {
      const wall = wallPassed(h, runs, c.id, baths);
      if (wall !== null) out.push(...needsRcd("bath.rcd", job, c, { wall }).map((f) => ({ ...f, case: "passing" })));
    }
  }
  for (const [id, room] of inBath) out.push(...pointFactsIn(h, id, room));
  return out;
}

/** Wall of a bathroom in whose zones a circuit lies less than 50 deep; null when it lies in none. */
function wallPassed(
  h: House,
  runs: readonly Pick<Run, "circuit" | "legs">[],
  circuit: string,
  baths: ReadonlySet<string>,
): string | null {
  for (const r of runs) {
    if (r.circuit !== circuit) continue;
    for (const l of r.legs) {
      const face = l.surface.kind === "wall" ? h.faces[h.faceOfWall.get(l.surface.id) ?? -1] : undefined;
      if (!face || !baths.has(face.room.id) || !(l.depth < BATH.hidden)) continue;
      const path = l.path.map((q) => toFace(face.frame, q));
      for (const z of zonesOnWall(h, face))
        for (let i = 1; i < path.length; i++) {
          const [a, b] = [path[i - 1]!, path[i]!];
          const meets = (p: number, q: number, lo: number, hi: number): boolean =>
            Math.min(p, q) < hi && Math.max(p, q) > lo;
          if (meets(a.u, b.u, z.u0, z.u1) && meets(a.v, b.v, z.v0, z.v1)) return face.wall.id;
        }
    }
  }
  return null;
}

function pointFactsIn(h: House, id: string, room: string): Fact[] {
  const p = h.points[h.pointOfId.get(id)!]!;
  const at = zoneOfPoint(h, p, room);
  if (isSocket(p.point.kind) && at.toZone1 === Infinity)
    return [fact("bath.socket", "point", id, { case: "not-drawn", severity: "warn", of: { room } })];
  return judgeInBath("point", id, p.point.kind, p.point.water, at, { room });
}

/**
 * Judges a point of a room with a bath by its zone: `water` the second figure of its IP code, null when not known. A socket outlet goes
 * by its distance, all else by its zone.
 */
export function judgeInBath(
  subject: SubjectKind,
  id: string,
  kind: PointKind,
  water: number | null,
  { zone, toZone1 }: { zone: BathZone; toZone1: number },
  of: NonNullable<Fact["of"]>,
): Fact[] {
  if (isSocket(kind))
    return atLeast(toZone1, BATH.sockets)
      ? []
      : [fact("bath.socket", subject, id, { measured: toZone1, limit: BATH.sockets, sense: "least", unit: "mm", of })];
  if (zone === null || isSignal(kind)) return [];
  const { use } = accessories[kind];
  const cord = kind === "pull-cord" || kind === "shower-pull-cord";
  if ((use === "switch" || use === "control" || use === "board") && !cord)
    return [fact("bath.ip", subject, id, { case: "switch", of: { ...of, zone } })];
  const least = waterLeast[zone];
  if (water !== null && water >= least) return [];
  return [
    fact("bath.ip", subject, id, {
      ...(water === null ? { case: "unknown", severity: "warn" as const } : { measured: water }),
      limit: least,
      sense: "least",
      of: { ...of, zone },
    }),
  ];
}
