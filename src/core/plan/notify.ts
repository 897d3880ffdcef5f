import { mainsOf } from "../job/mains";
import { stringPaths } from "../trades/kitchen/string-path";
import { zoneOfPoint } from "../trades/bath/bath-facts";
import type { House } from "../house/house";
import { roomServed } from "../house/rooms-of";
import { wiredTo } from "../job/wired";
import { type NotifyReason, notifyRules } from "../rules/notify";

/** A part of the work, and whether it is notifiable; null, and no reason, where no rule is held for the country. */
export interface NotifyLine {
  kind: "circuit" | "point" | "job";
  id: string;
  notify: boolean | null;
  reason: NotifyReason | null;
}

/**
 * Which parts of the work are notifiable where the house stands, by the row of its country: new circuits and consumer units; of what is
 * added to old circuits each point in a place that is named, and else the circuit with its additions.
 */
export function notifiable(h: House): NotifyLine[] {
  const { job } = h;
  const rule = notifyRules[job.dwelling.country];
  if (!rule) return [{ kind: "job", id: job.id, notify: null, reason: null }];
  const line = (kind: NotifyLine["kind"], id: string, reason: NotifyReason): NotifyLine => ({
    ...{ kind, id, reason, notify: rule.reasons.includes(reason) },
  });
  const kitchen = new Set(rule.reasons.includes("kitchen") ? stringPaths(h).map((s) => s.point) : []);
  const roomKind = new Map(job.rooms.map((r) => [r.id, r.kind]));
  /** Where an added point stands, as the rules name places. */
  const placeOf = (id: string): NotifyReason => {
    const room = roomServed(h, id) ?? "";
    const kind = roomKind.get(room);
    const placed = h.points[h.pointOfId.get(id)!]!;
    if (kind === "bathroom" && (rule.room || zoneOfPoint(h, placed, room).zone !== null)) return "special";
    if (kitchen.has(id)) return "kitchen";
    return kind === "yard" && rule.reasons.includes("outdoors") ? "outdoors" : "addition";
  };
  return [
    ...job.points.filter((p) => p.kind === "board" && !p.existing).map((p) => line("point", p.id, "board")),
    ...mainsOf(job).flatMap((c): NotifyLine[] => {
      if (c.state === "keep" || !wiredTo(c).length) return [];
      if (c.state === "new") return [line("circuit", c.id, "new-circuit")];
      const added = wiredTo(c).filter((id) => h.points[h.pointOfId.get(id) ?? -1]?.point.existing === false);
      const places = added.map((id) => [id, placeOf(id)] as const);
      return [
        ...places.filter(([, x]) => x !== "addition").map(([id, x]) => line("point", id, x)),
        ...(places.some(([, x]) => x === "addition") ? [line("circuit", c.id, "addition")] : []),
      ];
    }),
  ];
}
