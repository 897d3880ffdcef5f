import { mainsOf } from "../../job/mains";
import { atMost } from "../../base/tolerance";
import type { Circuit, Job } from "../../job/model";
import { wiredTo } from "../../job/wired";
import type { PointKind } from "../../rules/accessories";
import { type Fact, fact } from "../../rules/fact";

/** What one of a kind, or what is plugged into one gang of it, leaks to earth in ordinary use, mA. Typical. */
const leaks: Partial<Record<PointKind, number>> = {
  socket: 0.3,
  "outdoor-socket": 0.3,
  "appliance-outlet": 0.75,
  light: 0.1,
  "wall-light": 0.1,
  downlights: 0.4,
  "smoke-alarm": 0.05,
  "heat-alarm": 0.05,
  "co-alarm": 0.05,
  "shower-pull-cord": 0.5,
  fan: 0.2,
  shaver: 0.1,
  heater: 0.75,
  immersion: 0.75,
  boiler: 0.5,
  hob: 1.5,
  oven: 1,
  extractor: 0.3,
  "charging-point": 2,
  isolator: 1,
};
/** Share of an RCD's trip current that may leak all the time. Source: BS 7671:2018+A2:2022 531.3.2. */
export const LEAKAGE_SHARE = 0.3;

/** What a circuit leaks in ordinary use, mA. Typical. */
export function circuitLeakage(job: Pick<Job, "points">, c: Circuit): number {
  const on = new Set(wiredTo(c));
  return job.points
    .filter((p) => on.has(p.id))
    .reduce((sum, p) => sum + (leaks[p.kind] ?? 0) * (p.kind === "socket" ? p.gang : 1), 0);
}

/** RCDs behind which more leaks than they stand: those of circuits, and one for the whole installation. */
export function leakageFacts(job: Job): Fact[] {
  const told = (kind: "circuit" | "job", id: string, mA: number, rcd: number): Fact[] =>
    atMost(mA, rcd * LEAKAGE_SHARE)
      ? []
      : [
          fact("board.leakage", kind, id, {
            measured: mA,
            limit: rcd * LEAKAGE_SHARE,
            sense: "most",
            unit: "mA",
            of: { rcd },
          }),
        ];
  const each = mainsOf(job).map((c) => ({ c, mA: circuitLeakage(job, c) }));
  const out = each.flatMap(({ c, mA }) => (c.rcd === null ? [] : told("circuit", c.id, mA, c.rcd)));
  const origin = job.supply.rcd;
  const all = each.reduce((sum, x) => sum + x.mA, 0);
  return origin === null ? out : [...out, ...told("job", job.id, all, origin)];
}
