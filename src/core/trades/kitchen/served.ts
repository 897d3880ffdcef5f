import { NOMINAL } from "../../rules/supply";
import { atMost } from "../../base/tolerance";
import { type Fact, fact } from "../../rules/fact";
import { type Along, type KitchenPoint, checkClearances, kitchenRules } from "./clearances";

export interface ServingPoint extends KitchenPoint {
  /** Ids of the appliances, or of the outlets, that it feeds or switches. */
  serves?: string | readonly string[] | undefined;
}
export interface Appliance {
  id: string;
  u: number;
  v: number;
  watts?: number | undefined;
}

const served = (p: ServingPoint): readonly string[] =>
  p.serves === undefined ? [] : typeof p.serves === "string" ? [p.serves] : p.serves;

/**
 * One kitchen wall: clearances of every point, reach and load of every cooker control, and a switch above the worktop for every
 * appliance outlet below it. Reach is the straight line between control and appliance, mm. Source: kitchen working practice.
 */
export function checkKitchen(i: {
  worktopHeight: number;
  sinks: readonly Along[];
  hobs: readonly Along[];
  points: readonly ServingPoint[];
  appliances: readonly Appliance[];
}): Fact[] {
  const out = checkClearances(i);
  const appliance = new Map(i.appliances.map((a) => [a.id, a]));
  for (const p of i.points) {
    if (p.kind === "control") {
      const mine = served(p).flatMap((id) => appliance.get(id) ?? []);
      for (const a of mine) {
        const reach = Math.hypot(a.u - p.u, a.v - p.v);
        if (!atMost(reach, kitchenRules.control))
          out.push(
            fact("kitchen.control-reach", "point", p.id, {
              measured: reach,
              limit: kitchenRules.control,
              sense: "most",
              unit: "mm",
              of: { fixture: a.id },
            }),
          );
      }
      const amps = mine.reduce((s, a) => s + (a.watts ?? 0), 0) / NOMINAL;
      if (!atMost(amps, kitchenRules.combined))
        out.push(
          fact("kitchen.control-reach", "point", p.id, {
            case: "load",
            measured: amps,
            limit: kitchenRules.combined,
            sense: "most",
            unit: "A",
          }),
        );
    }
    const feeds = p.kind === "appliance-outlet" || (p.kind === "outlet" && served(p).length > 0);
    if (!feeds || p.v > i.worktopHeight) continue;
    const names = new Set([p.id, ...served(p)]);
    const switched = i.points.some((q) => q !== p && q.v > i.worktopHeight && served(q).some((id) => names.has(id)));
    if (!switched) out.push(fact("kitchen.appliance-switch", "point", p.id));
  }
  return out;
}
