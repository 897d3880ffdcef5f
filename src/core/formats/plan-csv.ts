import type { Job } from "../job/model";
import { totals } from "../materials/take-off";
import type { Plan } from "../plan/plan-model";
import { toCsv } from "./csv";

const round = (x: number, places = 1): number => Number(x.toFixed(places));

/** Take-off by circuit, then in all: circuit, item, size, quantity, unit. Lengths in metres to the centimetre. */
export function takeOffCsv(job: Job, plan: Plan): string {
  const label = new Map(job.circuits.map((c) => [c.id, c.label]));
  const row = (circuit: string, l: Plan["takeoff"][number]): (string | number)[] => [circuit, l.item, l.size, round(l.quantity, 2), l.unit];
  return toCsv(
    ["circuit", "item", "size", "quantity", "unit"],
    [...plan.takeoff.map((l) => row(l.circuit === null ? "" : (label.get(l.circuit) ?? l.circuit), l)), ...totals(plan.takeoff).map((l) => row("all", l))],
  );
}

/** Cut list: one line a run, lengths in mm. */
export function cutListCsv(job: Job, plan: Plan): string {
  const circuit = new Map(job.circuits.map((c) => [c.id, c.label]));
  const point = new Map(job.points.map((p) => [p.id, p.label]));
  return toCsv(
    ["circuit", "from", "to", "cable", "path mm", "cut mm", "method"],
    plan.runs.map((r) => [circuit.get(r.circuit) ?? r.circuit, point.get(r.from) ?? r.from, point.get(r.to) ?? r.to, r.cable, round(r.pathLength), round(r.cutLength), r.method]),
  );
}

/** Boring schedule: one line a hole, in walking order along each deck, lengths in mm. */
export function boringCsv(job: Job, plan: Plan): string {
  const deck = new Map(job.decks.map((d) => [d.id, d.name]));
  return toCsv(
    ["in", "joist", "from bearing mm", "from top mm", "diameter mm", "cables", "plate"],
    plan.holes.map((h) => [h.in.kind === "joist" ? (deck.get(h.in.deck ?? "") ?? "") : `wall ${h.in.wall ?? ""}`, h.in.joist ?? "", round(h.at), round(h.fromTop), h.diameter, h.runs.length, h.plated ? "yes" : "no"]),
  );
}
