import { cookerControl, fusedUnit, gangSwitch, lightSwitch, outlet, twoWaySwitch } from "./accessories";
import { armourIndoor, armourOutdoor, armourPlastic, armourPlasticIndoor } from "./armour";
import type { Making } from "./card";
import { conduitWork, trayWork, trunkingWork } from "./containment-work";
import { boxFixing, chase, coil, firstTest } from "./first-fix";
import { boardEnd, feedEnd, isolator, jointBox, mainSwitch } from "./joints";
import { appliance, rose, wallLight } from "./lights";
import { breakIn, catenaryWork, findShape, mendOld, oldDraws, softPlaster, trenchWork, underBoards } from "./retrofit";
import { mineralFirst, mineralSecond } from "./mineral";

/** Everything that is guided step by step, in the order it is met on a job. */
export const makings: readonly Making[] = [
  findShape,
  breakIn,
  underBoards,
  oldDraws,
  mendOld,
  boxFixing,
  softPlaster,
  chase,
  trunkingWork,
  trayWork,
  conduitWork,
  trenchWork,
  catenaryWork,
  coil,
  jointBox,
  firstTest,
  outlet,
  lightSwitch,
  twoWaySwitch,
  gangSwitch,
  rose,
  wallLight,
  appliance,
  fusedUnit,
  cookerControl,
  isolator,
  armourIndoor,
  armourOutdoor,
  armourPlastic,
  armourPlasticIndoor,
  mineralFirst,
  mineralSecond,
  boardEnd,
  feedEnd,
  mainSwitch,
];

/** The work of that kind, or null. */
export const makingOf = (kind: string): Making | null => makings.find((m) => m.kind === kind) ?? null;

/** Measures to start from: what is given, within each field's limits; else the usual. */
export const startMeasures = (m: Making, given: Readonly<Record<string, number>> = {}): Record<string, number> =>
  Object.fromEntries(
    m.measures.map((f) => [
      f.key,
      f.key in given && given[f.key]! >= f.min && given[f.key]! <= f.max ? given[f.key]! : f.first,
    ]),
  );
