import { atMost } from "../base/tolerance";
import type { House } from "../house/house";
import type { Run } from "../laid/laid";
import { longLevelChases } from "../laid/level-chases";
import { LEVEL_CHASE } from "../rules/chases";
import { type Fact, fact } from "../rules/fact";
import { again } from "./again";

/** Level chases that go on too long. One that the planner kept has no other way at less than three times the cable: it explains. */
export function checkLevelChases(h: House, run: Run): Fact[] {
  return longLevelChases(h, run).map((c) => {
    const wide = !atMost(c.length, LEVEL_CHASE.most);
    return fact("chase.level", "run", run.id, {
      ...(run.pin === null ? { severity: "note" as const } : {}),
      case: wide ? "long" : "elsewhere",
      where: { run: run.id, leg: c.leg, wall: run.legs[c.leg]!.surface.id },
      measured: wide ? c.length : c.elsewhere,
      limit: wide ? LEVEL_CHASE.most : LEVEL_CHASE.elsewhere,
      sense: "most",
      unit: "mm",
      of: { kept: run.pin === null ? "yes" : "no" },
      ...again(run),
    });
  });
}
