import { atMost } from "../../base/tolerance";
import { type Fact, fact } from "../../rules/fact";

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
export function checkFire(p: FirePlace): Fact[] {
  const subject = "cable";
  if (p.where === "suspended-ceiling") return [fact("fire.suspended", "input", subject)];
  if (p.where === "kept-by-structure" || p.fixings === "metal") return [];
  const beside = p.besideDoor !== null && atMost(p.besideDoor, doorway.beside);
  const above = p.aboveDoor !== null && atMost(p.aboveDoor, doorway.above);
  const near = beside || above;
  return [
    fact("fire.collapse", "input", subject, {
      severity: p.overEscape || near ? "stop" : "warn",
      case: p.overEscape ? "over" : beside ? "beside" : above ? "above" : "here",
      ...(p.overEscape
        ? {}
        : beside
          ? { measured: p.besideDoor!, unit: "mm" }
          : above
            ? { measured: p.aboveDoor!, unit: "mm" }
            : {}),
    }),
  ];
}
