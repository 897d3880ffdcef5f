import { atMost } from "../geometry/tolerance";
import { type Finding, finding, mm } from "../rules/findings";

/** Where cable could fall in a fire. Lengths mm. */
export interface FirePlace {
  /** How the cable lies. */
  where: "surface" | "under-tray" | "plastic-trunking" | "kept-by-structure" | "suspended-ceiling";
  fixings: "metal" | "plastic";
  overEscape: boolean;
  /** Distance beside and above the doorway of an escape route, or null when there is none near. */
  besideDoor: number | null;
  aboveDoor: number | null;
}
export const doorway = { beside: 150, above: 300 } as const;

/** Judges how a cable is held: plastic alone over an escape route, or close to its doorway, stops; elsewhere it warns. Inclusive at 150 and 300. */
export function checkFire(p: FirePlace): Finding[] {
  const subject = "cable";
  if (p.where === "suspended-ceiling")
    return [
      finding("fire.suspended", {
        subject,
        message: "It is fixed to a suspended ceiling.",
        remedy: "Fix it to the structure above, in metal.",
      }),
    ];
  if (p.where === "kept-by-structure" || p.fixings === "metal") return [];
  const near =
    (p.besideDoor !== null && atMost(p.besideDoor, doorway.beside)) ||
    (p.aboveDoor !== null && atMost(p.aboveDoor, doorway.above));
  const place = p.overEscape
    ? "over an escape route"
    : near
      ? `${p.besideDoor !== null && atMost(p.besideDoor, doorway.beside) ? `${mm(p.besideDoor)} beside` : `${mm(p.aboveDoor!)} above`} a doorway of an escape route`
      : "here";
  return [
    finding("fire.collapse", {
      severity: p.overEscape || near ? "stop" : "warn",
      subject,
      message: `Held by plastic alone ${place}.`,
      remedy: "Use metal clips, ties or containment, or run it where the structure keeps it up.",
    }),
  ];
}
