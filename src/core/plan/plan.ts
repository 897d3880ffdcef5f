import { circuitFindings } from "../circuits/circuit-findings";
import { laidRatings } from "../circuits/laid-rating";
import { drawFindings, foundFindings } from "../circuits/found";
import { type House, layHouse } from "../job/house";
import type { Job } from "../job/model";
import { trunkingFindings } from "../containment/found-trunking";
import { servingFindings } from "../kitchen/room-kitchen";
import { notifyFindings } from "../kitchen/string-path";
import { cutDrums } from "../materials/drums";
import { takeOff } from "../materials/take-off";
import { buildGraph } from "../routing/build";
import { checkPlan } from "../routing/checker";
import { type LaidRun, type OnProgress, layRuns } from "../routing/lay";
import { type Catalogue, cableOf } from "../rules/catalogue";
import { type Finding, finding, inOrder, mm } from "../rules/findings";
import { pathLength } from "../geometry/wall-frame";
import { clipsOf } from "./clips";
import { endOf, lengthsOf } from "./ends";
import { holesOf } from "./holes";
import type { Clips, End, Hole, Plan, Run } from "./plan-model";
import { pointFindings } from "./point-findings";

export interface PlanOptions {
  /** A clock in ms, to fill `elapsed`; the core has none of its own. */
  clock?: () => number;
  /** Sizes of cables and parts; the standard ones when left out. */
  catalogue?: Catalogue;
  /** Told how many runs have been laid; returning true stops the work with `Stopped`. */
  progress?: OnProgress;
  /** A plan of the job a moment ago: then the runs join the same points and are laid once, for a quick look; its bound stands. */
  before?: Plan | null;
}

/** Job in, whole plan out: the one function that screens, worker, exports and the command line call. Pure and deterministic but for `elapsed`. */
export function makePlan(job: Job, options: PlanOptions = {}): Plan {
  return planHouse(layHouse(job, options.catalogue), options);
}

/** The same for a house already laid out. */
export function planHouse(h: House, options: PlanOptions = {}): Plan {
  const started = options.clock?.() ?? 0;
  const laid = layRuns(h, buildGraph(h), options.progress, options.before ?? null);
  const holes = holesOf(h, laid.runs);
  const ends: End[] = [];
  const clips: Clips[] = [];
  const runs = laid.runs.map((r): Run => {
    const own = [endOf(h, r, r.from, true), endOf(h, r, r.to, false)];
    ends.push(...own);
    const cable = cableOf(r.cable, h.catalogue)!;
    r.legs.forEach((l, i) => {
      const c = clipsOf(h, cable, r.id, i, l);
      if (c) clips.push(c);
    });
    const { path, cut } = lengthsOf(h, r, own);
    return {
      id: r.id,
      circuit: r.circuit,
      from: r.from,
      to: r.to,
      cable: r.cable,
      legs: r.legs,
      pathLength: path,
      cutLength: cut,
      method: mainMethod(r),
      grouped: groupedWith(r, holes, laid.runs),
      pinned: r.pinned,
    };
  });
  const total = runs.reduce((s, r) => s + r.pathLength, 0);
  // The bound is on ways from middle to middle; what paths leave out behind plates is taken off it alike.
  const whole = laid.runs.reduce((s, r) => s + r.whole, 0);
  const bound = options.before
    ? Math.min(total, options.before.cable.bound)
    : Math.max(0, [...laid.bounds.values()].reduce((s, b) => s + b, 0) - Math.max(0, whole - total));
  const findings: Finding[] = [
    ...laid.findings,
    ...checkPlan(h, { runs, holes, clips }),
    ...pointFindings(h),
    ...servingFindings(h),
    ...notifyFindings(h),
    ...circuitFindings(h.job, h.catalogue),
    ...laidRatings(h, runs, holes),
    ...foundFindings(h.job),
    ...drawFindings(h.job, runs),
    ...trunkingFindings(h, runs),
    ...stockFindings(h.job, runs),
  ];
  return {
    runs,
    holes,
    clips,
    ends,
    takeoff: takeOff(h, runs, holes, clips, ends),
    cable: { total, bound, ratio: bound > 0 ? total / bound : 1 },
    findings: inOrder(findings),
    elapsed: options.clock ? options.clock() - started : 0,
  };
}

/** Method by which the longest part of the run is taken. */
function mainMethod(r: LaidRun): string {
  const by = new Map<string, number>();
  for (const l of r.legs) by.set(l.method, (by.get(l.method) ?? 0) + pathLength(l.path));
  let best = "";
  for (const [m, len] of by) if (best === "" || len > by.get(best)! + 1e-6) best = m;
  return best;
}

function groupedWith(r: LaidRun, holes: readonly Hole[], runs: readonly LaidRun[]): number {
  const circuit = new Map(runs.map((x) => [x.id, x.circuit]));
  let most = 1;
  for (const h of holes)
    if (h.runs.includes(r.id)) most = Math.max(most, new Set(h.runs.map((x) => circuit.get(x))).size);
  return most;
}

/** Cables for which the drums named in the job do not hold the runs. A cable with no drum listed is simply to be bought. */
function stockFindings(job: Job, runs: readonly Run[]): Finding[] {
  const out: Finding[] = [];
  for (const cable of [...new Set(job.drums.map((d) => d.cable))].sort()) {
    const pieces = runs.filter((r) => r.cable === cable).map((r) => ({ run: r.id, length: r.cutLength }));
    const cut = cutDrums(cable, pieces, job.drums);
    if (!cut.unmet.length) continue;
    const name = cableOf(cable)?.name ?? cable;
    const have = cut.drums.reduce((s, d) => s + d.length, 0);
    const need = pieces.reduce((s, p) => s + p.length, 0);
    const longest = Math.max(...cut.unmet.map((p) => p.length));
    out.push(
      finding("stock.short", {
        subject: cable,
        message: `${name}: ${cut.unmet.length} of ${pieces.length} lengths do not fit on the drums, ${mm(cut.short / 1000)} m in all; the longest is ${mm(longest / 1000)} m.`,
        measured: have / 1000,
        limit: need / 1000,
        sense: "least",
        unit: "m",
        remedy: `Bring another ${Math.ceil(cut.short / 1000)} m or more.`,
      }),
    );
  }
  return out;
}
