"use client";
import { useMemo } from "react";
import { type LaidOutside, outsideOf } from "../../../core/house/outside";
import { type LightRowFigures, lightRows } from "../../../core/plan/light-row";
import { type LaidCircuit, laidCircuits } from "../../../core/trades/circuits/laid-circuit";
import { loadedSpans, runsIn } from "../../../core/trades/outside/outside-facts";
import { useSnapshot } from "../../job/store";

/** A way out of doors with the runs that lie in it and its wire as it hangs with them. */
export interface OutsideFigures {
  laid: LaidOutside;
  runs: ReturnType<typeof runsIn>;
  spans: LaidOutside["spans"];
  /** Circuits in it as they are laid, for volts and loop at their far ends. */
  circuits: LaidCircuit[];
}

/** All ways out of doors and rows of lights with their figures, of the house the plan was made for. */
export function useOutside(): { ways: OutsideFigures[]; rows: LightRowFigures[] } {
  const { house, plan } = useSnapshot();
  return useMemo(() => {
    const runs = plan?.runs ?? [];
    const laidAll = plan ? laidCircuits(house, plan.runs, plan.holes, plan.found) : [];
    return {
      ways: outsideOf(house).map((laid) => {
        const mine = runsIn(laid.way.id, runs);
        return {
          laid,
          runs: mine,
          spans: loadedSpans(house, laid, mine),
          circuits: laidAll.filter((c) => mine.some((r) => r.circuit === c.circuit.id)),
        };
      }),
      rows: lightRows(house, laidAll),
    };
  }, [house, plan]);
}
