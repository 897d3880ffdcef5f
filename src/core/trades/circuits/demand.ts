import { mainsOf } from "../../job/mains";
import type { Circuit, Job } from "../../job/model";
import { DIVERSITY } from "../../rules/diversity";
import { atMost } from "../../base/tolerance";
import { type Fact, fact } from "../../rules/fact";
import { circuitLoad } from "./load";

/** A circuit's part of the demand of the whole installation: its current, the share that counts, and what comes of it, A. */
export interface DemandLine {
  circuit: string;
  amps: number;
  share: number;
  counts: number;
}
export interface Demand {
  lines: DemandLine[];
  amps: number;
  /** Circuits of which nothing is known: they are not in the sum. */
  unknown: string[];
}

type Family = keyof typeof DIVERSITY | "other";

const familyOf = (c: Circuit, sockets: boolean): Family =>
  c.kind === "lighting" ? "lighting" : c.kind === "shower" ? "shower" : sockets ? "sockets" : "other";

/**
 * Greatest current that the whole installation is taken to draw, A. By the school "dwelling" lights count 66 %, the largest circuit of
 * sockets in full and 40 % of the others, two showers in full and a quarter of more; cookers come with their own diversity; all else
 * counts in full. By the school "full" everything does. Typical. Source: on-site working practice to BS 7671:2018+A2:2022 311.1.
 */
export function maximumDemand(job: Job): Demand {
  // What feeds a board draws what that board's circuits do, which are counted.
  const loads = mainsOf(job)
    .map((c) => ({ c, load: circuitLoad(job, c) }))
    .filter((x) => x.load.from !== "board");
  const full = job.settings.schools.diversity === "full";
  const seen = new Map<Family, number>();
  const lines = loads
    .filter((x) => x.load.amps > 0)
    .sort((a, b) => b.load.amps - a.load.amps || (a.c.id < b.c.id ? -1 : 1))
    .map(({ c, load }): DemandLine => {
      const family = familyOf(c, load.from === "sockets");
      const n = seen.get(family) ?? 0;
      seen.set(family, n + 1);
      const row = family === "other" || full ? null : DIVERSITY[family];
      const share = row === null || n < row.first ? (row?.each ?? 1) : row.rest;
      return { circuit: c.id, amps: load.amps, share, counts: load.amps * share };
    });
  return {
    lines,
    amps: lines.reduce((s, l) => s + l.counts, 0),
    unknown: loads.filter((x) => x.load.amps <= 0 && x.c.points.length > 0).map((x) => x.c.id),
  };
}

/** The demand of the installation against its main switch, where that is known. */
export function demandFacts(job: Job): Fact[] {
  const { mainSwitch } = job.supply;
  if (mainSwitch === null) return [];
  const { amps, unknown } = maximumDemand(job);
  if (atMost(amps, mainSwitch)) return [];
  return [
    fact("supply.demand", "job", job.id, {
      measured: amps,
      limit: mainSwitch,
      sense: "most",
      unit: "A",
      of: { unknown: unknown.length },
    }),
  ];
}
