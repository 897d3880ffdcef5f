import type { Circuit, Job, Point } from "../../job/model";
import { boardsFedBy } from "../../job/boards";
import { asWired, behindFuse, pointsById, wiredTo } from "../../job/wired";
import { accessories, isSocket } from "../../rules/accessories";
import { NOMINAL } from "../../rules/supply";
import { type CookerSchool, cookerDemand } from "./cooker";

/** Load of a point, W: as given, else the usual one of its kind; 0 where that is whatever is plugged in. */
export const pointWatts = (p: Pick<Point, "kind" | "watts">): number => p.watts ?? accessories[p.kind].watts ?? 0;

/**
 * What a circuit is designed for, A, and where that comes from: a load given for it as a whole; for sockets, and for
 * a board that it feeds, all that its device lets through; else the loads of its points, what lies behind a fused unit no more than its fuse. None: nothing on it draws anything known.
 */
export interface Load {
  amps: number;
  from: "given" | "sockets" | "board" | "points" | "none";
  /** Before diversity, A. */
  full: number;
}

/** Load of a circuit of a job; of a cooker by the school of its current. Source: on-site working practice to BS 7671:2018+A2:2022. */
export function circuitLoad(job: Pick<Job, "points" | "settings">, listed: Circuit): Load {
  const c = asWired(listed, job.points);
  const pointOf = pointsById(job.points);
  const own = wiredTo(c).flatMap((id) => pointOf.get(id) ?? []);
  const outlet = own.some((p) => p.kind === "cooker-control" && p.gang === 2);
  const school: CookerSchool = c.kind === "cooker" ? job.settings.schools.cookerCurrent : "full";
  const cooker = (watts: number, from: Load["from"]): Load => {
    const { full, design } = cookerDemand(watts, NOMINAL, outlet, school);
    return { amps: design, from, full };
  };
  if (c.watts > 0) return cooker(c.watts, "given");
  if ((c.kind === "ring" || c.kind === "radial") && own.some((p) => isSocket(p.kind)))
    return { amps: c.device.rating, from: "sockets", full: c.device.rating };
  if (boardsFedBy(job, listed).length) return { amps: c.device.rating, from: "board", full: c.device.rating };
  const behind = behindFuse(c, (id) => pointOf.get(id)?.kind);
  const byUnit = new Map<string, number>();
  let watts = 0;
  for (const p of own) {
    const unit = behind.get(p.id);
    if (unit === undefined) watts += pointWatts(p);
    else byUnit.set(unit, (byUnit.get(unit) ?? 0) + pointWatts(p));
  }
  for (const [unit, load] of byUnit) watts += Math.min(load, pointOf.get(unit)!.fuse * NOMINAL);
  return watts > 0 ? cooker(watts, "points") : { amps: 0, from: "none", full: 0 };
}
