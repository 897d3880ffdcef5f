import { fusedUnit, isolator, jointBox, lightSwitch, outlet } from "./accessories";
import { armourIndoor, armourOutdoor } from "./armour";
import type { PointKind } from "../../../rules/accessories";
import type { Making } from "./card";
import { mineralFirst, mineralSecond } from "./mineral";

/** Every termination that is guided step by step. */
export const makings: readonly Making[] = [
  outlet,
  lightSwitch,
  fusedUnit,
  jointBox,
  isolator,
  armourIndoor,
  armourOutdoor,
  mineralFirst,
  mineralSecond,
];

/** The termination of that kind, or null. */
export const makingOf = (kind: string): Making | null => makings.find((m) => m.kind === kind) ?? null;

/** Measures to start from: what is given, within each field's limits; else the usual. */
export const startMeasures = (m: Making, given: Readonly<Record<string, number>> = {}): Record<string, number> =>
  Object.fromEntries(
    m.measures.map((f) => [
      f.key,
      f.key in given && given[f.key]! >= f.min && given[f.key]! <= f.max ? given[f.key]! : f.first,
    ]),
  );

const byPoint: Partial<Record<PointKind, string>> = {
  socket: "outlet",
  "appliance-outlet": "outlet",
  switch: "switch",
  "fused-unit": "fused-unit",
  "junction-box": "joint-box",
  isolator: "isolator",
  "cooker-control": "isolator",
};

/** Which termination the end of a cable at a point is, by the cable and the point; null where none is guided. */
export const makingForPoint = (point: PointKind, cable: string): string | null =>
  cable.startsWith("swa-") ? "swa-indoor" : (byPoint[point] ?? null);
