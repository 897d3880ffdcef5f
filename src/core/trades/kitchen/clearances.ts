import { type Fact, fact } from "../../rules/fact";
import { atLeast, below } from "../../base/tolerance";

/** Working clearances in kitchens, mm. Source: kitchen working practice to BS 7671:2018+A2:2022. */
export const kitchenRules = { sink: 300, hob: 150, worktop: 150, control: 2000, combined: 50, notify: 3000 } as const;

export interface KitchenPoint {
  id: string;
  kind: "outlet" | "control" | "fused-unit" | "appliance-outlet";
  u: number;
  v: number;
  width: number;
  height: number;
}
export interface Along {
  u0: number;
  u1: number;
}

/** Gap along the wall between two stretches, 0 when they overlap. */
const gap = (a: Along, b: Along): number => Math.max(b.u0 - a.u1, a.u0 - b.u1, 0);

/** Nearest centre u at which a point keeps `least` from a stretch, on the side it is on; null when that side has no room. */
function clearOf(p: KitchenPoint, s: Along, least: number, wallLength: number): number | null {
  const left = s.u0 - least - p.width / 2;
  const right = s.u1 + least + p.width / 2;
  const sides = p.u < (s.u0 + s.u1) / 2 ? [left, right] : [right, left];
  return sides.find((u) => u >= p.width / 2 && u <= wallLength - p.width / 2) ?? null;
}

/**
 * Clearances of points along one wall run. Heights and positions mm from the left and the floor; the worktop's height
 * parts what is above it from what is below.
 */
export function checkClearances(
  input: { worktopHeight: number; sinks: readonly Along[]; hobs: readonly Along[]; points: readonly KitchenPoint[] },
  wallLength = Infinity,
): Fact[] {
  const out: Fact[] = [];
  for (const p of input.points) {
    const own: Along = { u0: p.u - p.width / 2, u1: p.u + p.width / 2 };
    const aboveTop = p.v > input.worktopHeight;
    const move = (u: number | null): Pick<Fact, "of" | "fix"> =>
      u === null ? {} : { of: { u }, fix: [{ collection: "points", id: p.id, set: { u } }] };
    for (const s of input.sinks) {
      if (!aboveTop) {
        // Beside the bowl, edge to edge, is not under it.
        if (below(own.u0, s.u1) && below(s.u0, own.u1) && p.kind !== "control")
          out.push(fact("kitchen.under-sink", "point", p.id, move(clearOf(p, s, 0, wallLength))));
        continue;
      }
      const measured = gap(own, s);
      if (p.kind !== "fused-unit" && !atLeast(measured, kitchenRules.sink))
        out.push(
          fact("kitchen.sink", "point", p.id, {
            measured,
            limit: kitchenRules.sink,
            sense: "least",
            unit: "mm",
            ...move(clearOf(p, s, kitchenRules.sink, wallLength)),
          }),
        );
    }
    if (!aboveTop) continue;
    const over = p.v - input.worktopHeight;
    if (!atLeast(over, kitchenRules.worktop)) {
      const v = input.worktopHeight + kitchenRules.worktop;
      out.push(
        fact("kitchen.worktop", "point", p.id, {
          measured: over,
          limit: kitchenRules.worktop,
          sense: "least",
          unit: "mm",
          of: { v },
          fix: [{ collection: "points", id: p.id, set: { v } }],
        }),
      );
    }
    for (const h of input.hobs) {
      const measured = gap(own, h);
      if (measured === 0 && below(own.u0, h.u1) && below(h.u0, own.u1))
        out.push(fact("kitchen.behind-hob", "point", p.id, move(clearOf(p, h, kitchenRules.hob, wallLength))));
      else if (!atLeast(measured, kitchenRules.hob))
        out.push(
          fact("kitchen.hob", "point", p.id, {
            measured,
            limit: kitchenRules.hob,
            sense: "least",
            unit: "mm",
            ...move(clearOf(p, h, kitchenRules.hob, wallLength)),
          }),
        );
    }
  }
  return out;
}
