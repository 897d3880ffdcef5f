import { layHouse } from "../house/house";
import type { Job } from "../job/model";
import { boringOrder } from "../trades/timber/boring";
import { totals } from "../plan/take-off";
import type { Plan } from "../laid/laid";
import { toCsv } from "./csv";

const round = (x: number, places = 1): number => Number(x.toFixed(places));

/** Take-off by circuit, then in all: circuit, item, size, quantity, unit. Lengths in metres to the centimetre. */
export function takeOffCsv(job: Job, plan: Plan): string {
  const label = new Map(job.circuits.map((c) => [c.id, c.label]));
  const row = (circuit: string, l: Plan["takeoff"][number]): (string | number)[] => [
    circuit,
    l.item,
    l.size,
    round(l.quantity, 2),
    l.unit,
  ];
  return toCsv(
    ["circuit", "item", "size", "quantity", "unit"],
    [
      ...plan.takeoff.map((l) => row(l.circuit === null ? "" : (label.get(l.circuit) ?? l.circuit), l)),
      ...totals(plan.takeoff).map((l) => row("all", l)),
    ],
  );
}

/** Cut list: one line a run, lengths in mm. */
export function cutListCsv(job: Job, plan: Plan): string {
  const circuit = new Map(job.circuits.map((c) => [c.id, c.label]));
  const point = new Map(job.points.map((p) => [p.id, p.label]));
  return toCsv(
    ["circuit", "from", "to", "cable", "path mm", "cut mm", "method"],
    plan.runs.map((r) => [
      circuit.get(r.circuit) ?? r.circuit,
      point.get(r.from) ?? r.from,
      point.get(r.to) ?? r.to,
      r.cable,
      round(r.pathLength),
      round(r.cutLength),
      r.method,
    ]),
  );
}

/** Boring schedule: bores in joists in the order a person walks, chalk line by chalk line, then holes in walls; lengths in mm. */
export function boringCsv(job: Job, plan: Plan): string {
  const h = layHouse(job);
  const deck = new Map(job.decks.map((d) => [d.id, d.name]));
  const wall = new Map(
    job.walls.map((w) => [w.id, `wall ${w.index + 1} of ${job.rooms.find((r) => r.id === w.room)?.name ?? w.room}`]),
  );
  return toCsv(
    ["in", "line", "joist", "span", "from bearing mm", "from top mm", "diameter mm", "cables", "plate"],
    [
      ...boringOrder(h, plan).map((s): (string | number)[] => [
        deck.get(s.deck) ?? s.deck,
        s.line,
        s.joist,
        s.hole.in.span ?? 1,
        round(s.hole.at),
        round(s.hole.fromTop),
        s.hole.diameter,
        s.hole.runs.length,
        s.hole.plated ? "yes" : "no",
      ]),
      ...plan.holes
        .filter((o) => o.in.kind !== "joist")
        .map((o): (string | number)[] => [
          wall.get(o.in.wall ?? "") ?? "",
          "",
          "",
          "",
          round(o.at),
          round(o.fromTop),
          o.diameter,
          o.runs.length,
          "no",
        ]),
    ],
  );
}
