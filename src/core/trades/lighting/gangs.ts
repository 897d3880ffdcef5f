import type { Job, Point } from "../../job/model";
import { isLight, isSwitch } from "../../rules/accessories";
import type { LightingInput } from "./wire";

/**
 * Lights that each gang of a switch works. What the user says of a light stands; of the others the first goes to the first gang, and
 * on a plate of two gangs the rest to the second. Ids that are no lights are left out.
 */
export function gangsOf(p: Pick<Point, "controls" | "gangOf" | "gang">, isALight: (id: string) => boolean): string[][] {
  const lights = p.controls.filter(isALight);
  const usual = (n: number): number => (p.gang === 2 && n > 0 ? 2 : 1);
  const gang = lights.map((id, n) => (Object.hasOwn(p.gangOf, id) ? p.gangOf[id]! : usual(n)));
  return Array.from({ length: Math.max(p.gang, ...gang) }, (_, g) => lights.filter((_l, n) => gang[n] === g + 1));
}

/** Lights and switches of some points of a job, as they are wired to each other. */
export function lightingOf(
  job: Pick<Job, "points">,
  ids: readonly string[],
): Pick<LightingInput, "lights" | "switches"> {
  const kindOf = new Map(job.points.map((p) => [p.id, p.kind]));
  const light = (id: string): boolean => kindOf.has(id) && isLight(kindOf.get(id)!);
  const wanted = new Set(ids);
  const own = job.points.filter((p) => wanted.has(p.id));
  return {
    lights: own.filter((p) => isLight(p.kind)).map((p) => p.id),
    switches: own
      .filter((p) => isSwitch(p.kind))
      .map((p) => ({ id: p.id, gangs: gangsOf(p, light).map((works) => ({ works })) })),
  };
}
