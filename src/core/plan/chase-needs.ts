import type { House } from "../house/house";
import type { Plan } from "../laid/laid";
import { atLeast } from "../base/tolerance";
import { cableOf } from "../rules/catalogue";
import { type Fact, fact } from "../rules/fact";

/** How deep a wall's chases must be, mm: the cable's depth behind the face and the cable itself, at the deepest of them. */
export function chaseNeeds(h: House, plan: Pick<Plan, "runs">, wall: string): number {
  const needs = plan.runs.flatMap((r) => {
    const thick = cableOf(r.cable, h.catalogue)?.thickness ?? 0;
    return r.legs.flatMap((l) => (l.method === "chase" && l.surface.id === wall ? [l.depth + thick] : []));
  });
  return Math.ceil(Math.max(0, ...needs));
}

/** A chase measured where it is shallowest, mm, held against what its cables need. */
export function checkChase(h: House, plan: Pick<Plan, "runs">, wall: string, depth: number): Fact[] {
  const limit = chaseNeeds(h, plan, wall);
  return atLeast(depth, limit)
    ? []
    : [
        fact("chase.shallow", "input", wall, {
          where: { wall },
          measured: depth,
          limit,
          sense: "least",
          unit: "mm",
        }),
      ];
}
