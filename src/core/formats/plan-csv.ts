import { type House, layHouse } from "../house/house";
import { pointLabels } from "../job/labels";
import { cableOf } from "../rules/catalogue";
import type { Job } from "../job/model";
import { boringOrder, nogginHoles, wallHoles } from "../trades/timber/boring";
import { holeSize, holeWords } from "../words/holes";
import { totals } from "../plan/take-off";
import type { Hole, Plan } from "../laid/laid";
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
export function cutListCsv(job: Job, plan: Plan, h: House = layHouse(job)): string {
  const circuit = new Map(job.circuits.map((c) => [c.id, c.label]));
  const label = pointLabels(job);
  return toCsv(
    ["circuit", "from", "to", "cable", "path mm", "cut mm", "reference method"],
    plan.runs.map((r) => [
      circuit.get(r.circuit) ?? r.circuit,
      label(r.from),
      label(r.to),
      cableOf(r.cable, h.catalogue)?.name ?? r.cable,
      round(r.pathLength),
      round(r.cutLength),
      r.method,
    ]),
  );
}

/** Boring schedule: bores in joists in the order a person walks, chalk line by chalk line, then those in studs and walls, wall by wall. */
export function boringCsv(job: Job, plan: Plan): string {
  const h = layHouse(job);
  const row = (o: Hole, line: number | ""): (string | number)[] => {
    const w = holeWords(h, o);
    return [
      w.of,
      line,
      o.in.joist ?? "",
      o.in.span ?? "",
      w.timber,
      w.room,
      round(o.at),
      w.from,
      round(o.fromTop),
      w.height,
      o.notch ? holeSize(o) : o.diameter,
      o.runs.length,
      o.plated ? "yes" : "no",
    ];
  };
  return toCsv(
    [
      "in",
      "line",
      "joist",
      "span",
      "timber",
      "room",
      "at mm",
      "from",
      "from top mm",
      "height",
      "diameter mm",
      "cables",
      "plate",
    ],
    [
      ...boringOrder(h, plan).map((s) => row(s.hole, s.line)),
      ...[...h.decks.flatMap((l) => nogginHoles(l, plan)), ...wallHoles(h, plan)].map((o) => row(o, "")),
    ],
  );
}
