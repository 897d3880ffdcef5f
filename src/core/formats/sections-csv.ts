import { type House, layHouse } from "../house/house";
import type { Job } from "../job/model";
import type { Plan } from "../laid/laid";
import { fixingMarks, sectionFigures } from "../plan/section-figures";
import type { Fold } from "../trades/containment/section-turns";
import { wallName } from "../words/ways";
import { toCsv } from "./csv";

/** What lies either side of a fold line. */
const taken: Record<Fold["way"], string> = { notch: "notch", cuts: "cuts apart", bend: "bend over" };

const tenth = (x: number): number => Math.round(x * 10) / 10;

/** Pieces of every section, cut from stock: section, kind, size, piece, length and its folds. Lengths mm, from the start of the piece. */
export function piecesCsv(job: Job, plan: Plan, h: House = layHouse(job)): string {
  return toCsv(
    ["section", "kind", "size", "piece", "length mm", "stock mm", "folds"],
    sectionFigures(h, plan).flatMap((f) =>
      f.pieces.map((p) => [
        f.laid.section.label,
        f.laid.row.name,
        f.laid.section.size,
        p.number,
        tenth(p.length),
        f.laid.row.stock,
        p.folds
          .map((x) => `${x.turn} ${tenth(x.angle)} deg at ${tenth(x.at)}, ${taken[x.way]} ${tenth(2 * x.half)}`)
          .join("; "),
      ]),
    ),
  );
}

/** Fixings of every section on walls, each from the left end and the floor of its own wall, mm. */
export function fixingsCsv(job: Job, plan: Plan, h: House = layHouse(job)): string {
  return toCsv(
    ["section", "kind", "wall", "from left mm", "from floor mm"],
    sectionFigures(h, plan).flatMap((f) =>
      fixingMarks(h, f.laid, f.fixings).map((m) => [
        f.laid.section.label,
        f.laid.row.name,
        wallName(h, m.wall),
        tenth(m.u),
        tenth(m.v),
      ]),
    ),
  );
}
