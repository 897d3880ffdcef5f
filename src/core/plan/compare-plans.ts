import { cutIn, onSurface } from "../rules/sections";
import { layHouse } from "../house/house";
import { laidCircuits } from "../trades/circuits/laid-circuit";
import { RADIAL_RATING, twoRadials } from "../trades/circuits/two-radials";
import type { Circuit, Costs, Job } from "../job/model";
import { pathLength } from "../base/wall-frame";
import type { Catalogue } from "../rules/catalogue";
import { type Preset, presetNames, presets } from "../routing/weights";
import { makePlan } from "./plan";
import { type Cost, costOf } from "./prices";
import type { Plan } from "../laid/laid";
import { bendsIn } from "../laid/run-measures";

/** What two plans are compared by. Lengths m. */
export interface PlanFigures {
  cable: number;
  /** Shortest tours straight level and plumb, and how many times that is laid. */
  plumb: number;
  ratio: number;
  bores: number;
  wallHoles: number;
  chase: number;
  bends: number;
  faces: number;
  stops: number;
}

/** Figures of a plan, counted from its runs and holes. */
export function figuresOf(plan: Plan): PlanFigures {
  const legs = plan.runs.flatMap((r) => r.legs);
  return {
    cable: plan.cable.total / 1000,
    plumb: plan.cable.plumb / 1000,
    ratio: plan.cable.plumb > 0 ? plan.cable.total / plan.cable.plumb : 1,
    bores: plan.holes.filter((o) => o.in.kind === "joist").length,
    wallHoles: plan.holes.filter((o) => o.in.kind === "wall").length,
    chase: legs.filter((l) => cutIn.has(l.method)).reduce((s, l) => s + pathLength(l.path), 0) / 1000,
    bends: plan.runs.reduce((s, r) => s + bendsIn(r.legs), 0),
    faces: new Set(legs.filter((l) => l.surface.kind === "wall" && !onSurface.has(l.method)).map((l) => l.surface.id))
      .size,
    stops: plan.facts.filter((f) => f.severity === "stop").length,
  };
}

/** A way of laying the whole job, laid for real: its name, the weights it is laid by, and its figures. */
export interface Variant {
  preset: Preset;
  name: string;
  about: string;
  cost: Costs;
  figures: PlanFigures;
}

/** The whole job laid by every preset, for choosing between them. */
export const variantsOf = (job: Job, catalogue?: Catalogue): Variant[] =>
  presetNames.map((preset) => {
    const { name, about, cost } = presets[preset];
    const plan = makePlan({ ...job, settings: { ...job.settings, cost } }, catalogue ? { catalogue } : {});
    return { preset, name, about, cost, figures: figuresOf(plan) };
  });

/** Device of a ring of sockets, A. */
const RING_RATING = 32;

/** A socket circuit laid one way or the other. Cable m; the cost is that of what it takes, but for devices. */
interface LaidAs {
  runs: number;
  cable: number;
  bores: number;
  rating: number;
  ways: number;
  cost: Cost;
}

export interface RingAgainstRadials {
  /** `leg`: what its weakest leg carries, A; null where that is not known. */
  ring: LaidAs & { leg: number | null };
  radials: LaidAs & { points: [string[], string[]] };
}

/**
 * Lays a circuit both ways round in the house as it is: as a ring on its 32 A device, and as two 20 A radials that share its points
 * by the best split of the ring as laid. Cable m. Null for a circuit that is neither, or has fewer than three points.
 */
export function ringAgainstRadials(job: Job, circuit: Circuit, catalogue?: Catalogue): RingAgainstRadials | null {
  if (!["ring", "radial"].includes(circuit.kind) || circuit.points.length < 3 || circuit.state !== "new") return null;
  const options = catalogue ? { catalogue } : {};
  const without = job.circuits.filter((c) => c.id !== circuit.id);
  const pins = job.pins.filter((p) => p.circuit !== circuit.id);
  const laid = (circuits: Circuit[]): Plan => makePlan({ ...job, pins, circuits: [...without, ...circuits] }, options);
  const device = { ...circuit.device, rating: RING_RATING };
  const asRing: Circuit = { ...circuit, kind: "ring", order: "find", device };
  const ringPlan = laid([asRing]);
  const own = ringPlan.runs.filter((r) => r.circuit === circuit.id);
  // The ring in the order laid, from the board.
  const order: string[] = [];
  for (const r of own) if (circuit.points.includes(r.to) && !order.includes(r.to)) order.push(r.to);
  let best: { plan: Plan; points: [string[], string[]]; cable: number } | null = null;
  const cableOf = (plan: Plan, ids: readonly string[]): number =>
    plan.runs.filter((r) => ids.includes(r.circuit)).reduce((s, r) => s + r.cutLength, 0) / 1000;
  // The ring is cut where one of its longest steps between points lies: those are the few splits worth laying.
  const steps = own
    .filter((r) => order.includes(r.from) && order.includes(r.to))
    .sort((a, b) => b.pathLength - a.pathLength)
    .slice(0, 3);
  for (const s of steps) {
    const cut = Math.max(order.indexOf(s.from), order.indexOf(s.to));
    const points: [string[], string[]] = [order.slice(0, cut), order.slice(cut)];
    if (!points[0].length || !points[1].length) continue;
    const both = twoRadials(circuit, points[0], points[1], null);
    const plan = laid(both);
    const cable = cableOf(
      plan,
      both.map((c) => c.id),
    );
    if (!best || cable < best.cable - 1e-9) best = { plan, points, cable };
  }
  if (!best) return null;
  const radialIds = twoRadials(circuit, [], [], null).map((c) => c.id);
  const cost = (plan: Plan, ids: readonly string[]): Cost =>
    costOf(
      plan.takeoff.filter((l) => l.circuit !== null && ids.includes(l.circuit)),
      job.packs,
    );
  const bores = (plan: Plan): number => plan.holes.filter((o) => o.in.kind === "joist").length;
  const house = layHouse({ ...job, pins, circuits: [...without, asRing] }, catalogue);
  const leg = laidCircuits(house, ringPlan.runs, ringPlan.holes).find((x) => x.circuit.id === circuit.id)?.result.iz;
  const ring = {
    runs: own.length,
    cable: cableOf(ringPlan, [circuit.id]),
    bores: bores(ringPlan),
    rating: RING_RATING,
    ways: 1,
    cost: cost(ringPlan, [circuit.id]),
    leg: leg ?? null,
  };
  const radials = {
    runs: best.plan.runs.filter((r) => radialIds.includes(r.circuit)).length,
    cable: best.cable,
    bores: bores(best.plan),
    rating: 2 * RADIAL_RATING,
    ways: 2,
    cost: cost(best.plan, radialIds),
    points: best.points,
  };
  return { ring, radials };
}
