import { type House, layHouse } from "../house/house";
import { roomServed } from "../house/rooms-of";
import { pointLabels } from "../job/labels";
import type { Job } from "../job/model";
import type { Plan } from "../laid/laid";
import { boardFigures } from "../plan/board-figures";
import { clipMarks } from "../plan/clip-marks";
import { endFigures } from "../plan/end-figures";
import { wallName } from "../words/ways";
import { toCsv } from "./csv";

const tenth = (x: number): number => Math.round(x * 10) / 10;
const labelOf = (job: Job, circuit: string): string => job.circuits.find((c) => c.id === circuit)?.label ?? circuit;

/** Clips of every leg with their marks, each from what its wall or joist is measured from, mm. */
export function clipsCsv(job: Job, plan: Plan, h: House = layHouse(job)): string {
  const label = pointLabels(job);
  const runs = new Map(plan.runs.map((r) => [r.id, r]));
  return toCsv(
    ["circuit", "from", "to", "leg", "on", "measured from", "metal", "marks mm"],
    plan.clips.flatMap((c) =>
      clipMarks(h, runs.get(c.run)!, c).map((m) => {
        const run = runs.get(c.run)!;
        const on =
          m.on === null
            ? ""
            : "wall" in m.on
              ? wallName(h, m.on.wall)
              : `${job.decks.find((d) => d.id === (m.on as { deck: string }).deck)?.name ?? ""}, joist ${m.on.joist}`;
        const marks = m.marks.map(tenth).join("; ");
        return [
          labelOf(job, run.circuit),
          label(run.from),
          label(run.to),
          c.leg + 1,
          on,
          m.from,
          c.metal ? "yes" : "no",
          marks,
        ];
      }),
    ),
  );
}

/** Every cable at every point: where it comes in, what to leave, and the marks of armour and mineral insulation. Lengths mm. */
export function endsCsv(job: Job, plan: Plan, h: House = layHouse(job)): string {
  const label = pointLabels(job);
  const rows = job.points.flatMap((p) => {
    const f = endFigures(h, plan, p.id);
    return (f?.cables ?? []).map((c) => {
      const a = c.armour;
      return [
        p.label,
        job.rooms.find((r) => r.id === roomServed(h, p.id))?.name ?? "",
        labelOf(job, c.run.circuit),
        label(c.other),
        c.cable.name,
        c.end.entry,
        tenth(c.end.measures.tail ?? 0),
        tenth(c.end.measures.sheath ?? 0),
        tenth(c.end.measures.conductor ?? c.end.measures.tail ?? 0),
        f!.room ? `${tenth(f!.room.needs)} of ${tenth(f!.room.has)}` : "",
        a?.gland ? `${a.gland.id} ${a.outdoors ? "outdoor" : "indoor"}` : "",
        a ? tenth(a.marks.ring) : "",
        a ? tenth(a.marks.wires) : "",
        a ? tenth(a.marks.cut) : "",
      ];
    });
  });
  return toCsv(
    [
      ...["point", "room", "circuit", "to", "cable", "comes in", "leave mm", "sheath inside mm", "conductors mm"],
      ...["box needs of has mm", "gland", "ring sheath mm", "wires stop mm", "cut mm"],
    ],
    rows,
  );
}

/** Every cable at every board in the order it is tied: its way, its seat and its conductors. Lengths mm. */
export function boardCsv(job: Job, plan: Plan, h: House = layHouse(job)): string {
  const label = pointLabels(job);
  return toCsv(
    [
      ...["board", "order", "circuit", "leg", "to", "way", "comes in", "seat mm", "row", "brown side"],
      ...["line mm", "neutral mm", "earth mm", "spare mm"],
    ],
    job.points.flatMap((p) =>
      (boardFigures(h, plan, p.id)?.cables ?? []).map((c, i) => [
        p.label,
        i + 1,
        c.circuit.label,
        c.leg ?? "",
        label(c.other),
        c.feed ? "main switch" : (c.way ?? ""),
        c.edge,
        c.seat ? tenth(c.seat.at) : "",
        c.seat ? c.seat.row + 1 : "",
        c.brown ?? "",
        c.tails?.line ?? "",
        c.tails?.neutral ?? "",
        c.tails?.earth ?? "",
        c.spare === null ? "" : Math.floor(c.spare),
      ]),
    ),
  );
}
