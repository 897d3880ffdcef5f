import { stringPaths } from "../trades/kitchen/string-path";
import { zoneOfPoint } from "../trades/bath/bath-facts";
import type { House } from "../house/house";
import { roomServed } from "../house/rooms-of";
import { wiredTo } from "../job/wired";

/** Why a part of the work is to be notified before it begins, or is not. */
export type NotifyReason = "new-circuit" | "board" | "special" | "kitchen" | "outdoors" | "addition" | "ask";
/** A part of the work: a circuit, a point or the job as a whole, and whether it is notifiable; null where no rule is held for the country. */
export interface NotifyLine {
  kind: "circuit" | "point" | "job";
  id: string;
  notify: boolean | null;
  reason: NotifyReason;
}

/**
 * Which parts of the work are notifiable where the house stands. England: a new circuit, a new consumer unit, an addition in the zones
 * of a bath or shower. Wales: also anything new in a kitchen within 3 m of the sink, in a room with a bath, or out of doors. Elsewhere
 * no rule is held. A working aid: the local authority and licensed practice decide.
 * Source: Approved Document P, England 2013; Wales 2006.
 */
export function notifiable(h: House): NotifyLine[] {
  const { job } = h;
  const { country } = job.dwelling;
  if (country !== "england" && country !== "wales") return [{ kind: "job", id: job.id, notify: null, reason: "ask" }];
  const wales = country === "wales";
  const pointOf = new Map(job.points.map((p) => [p.id, p]));
  const out: NotifyLine[] = [];
  for (const p of job.points)
    if (p.kind === "board" && !p.existing) out.push({ kind: "point", id: p.id, notify: true, reason: "board" });
  const kitchen = new Set(wales ? stringPaths(h).map((s) => s.point) : []);
  const roomKind = new Map(job.rooms.map((r) => [r.id, r.kind]));
  for (const c of job.circuits) {
    if (c.state === "keep") continue;
    if (c.state === "new") {
      if (c.points.length) out.push({ kind: "circuit", id: c.id, notify: true, reason: "new-circuit" });
      continue;
    }
    const added = wiredTo(c).filter((id) => pointOf.has(id) && !pointOf.get(id)!.existing);
    const reasons = added.map((id): [string, NotifyReason] => {
      const room = roomServed(h, id) ?? "";
      const kind = roomKind.get(room);
      const placed = h.points[h.pointOfId.get(id)!]!;
      if (kind === "bathroom" && (wales || zoneOfPoint(h, placed, room).zone !== null)) return [id, "special"];
      if (kitchen.has(id)) return [id, "kitchen"];
      return [id, wales && kind === "yard" ? "outdoors" : "addition"];
    });
    for (const [id, reason] of reasons)
      if (reason !== "addition") out.push({ kind: "point", id, notify: true, reason });
    if (reasons.some(([, r]) => r === "addition"))
      out.push({ kind: "circuit", id: c.id, notify: false, reason: "addition" });
  }
  return out;
}
