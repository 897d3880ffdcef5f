import type { NotifyLine } from "../plan/notify";
import { type NotifyReason } from "../rules/notify";

const reasons: Record<NotifyReason, string> = {
  "new-circuit": "a new circuit",
  board: "a new consumer unit",
  special: "new in a room with a bath or shower",
  kitchen: "new within 3 m of the sink of a kitchen",
  outdoors: "new out of doors",
  addition: "an addition to a circuit that is there, outside the places named",
};

/** What is said of one part of the work, and by which rule. */
export function notifyWords(l: NotifyLine, name: string): string {
  if (l.reason === null) return "No rule is held for this country: ask the local authority before the work begins.";
  return `${name}: ${reasons[l.reason]}; ${l.notify ? "notifiable" : "not notifiable"}.`;
}

/** Said with every list of them. */
export const NOTIFY_CAUTION =
  "Notifiable work is told to building control before it begins, or done and certified by somebody registered for it. All work is to BS 7671, notifiable or not. The local authority decides; this is a working aid.";
