import { cableFlag } from "../drawings/board-drawing";
import type { House } from "../house/house";
import { pointLabels } from "../job/labels";
import type { Plan } from "../laid/laid";
import { boardFigures } from "../plan/board-figures";
import { cableOf } from "../rules/catalogue";
import { roomName } from "../words/at-end";

export const labelKinds = ["flags", "ways", "points"] as const;
export type LabelKind = (typeof labelKinds)[number];
export const labelNames: Record<LabelKind, string> = {
  flags: "Flags for both ends of every cable",
  ways: "Ways of the boards",
  points: "Points: circuit and way",
};

/** One label: its first line is set larger than the rest. */
export interface Label {
  kind: LabelKind;
  lines: readonly [string, ...string[]];
}

/** Sheets of labels by their measures, mm, upright on A4: `gap` lies between two of a row or column. */
export interface LabelSheet {
  id: string;
  name: string;
  columns: number;
  rows: number;
  width: number;
  height: number;
  left: number;
  top: number;
  gap: readonly [across: number, down: number];
}

const sheet = (columns: number, rows: number, width: number, height: number, across: number): LabelSheet => ({
  id: String(columns * rows),
  name: `${columns * rows} a sheet, ${width} × ${height} mm`,
  columns,
  rows,
  width,
  height,
  gap: [across, 0],
  left: (210 - columns * width - (columns - 1) * across) / 2,
  top: (297 - rows * height) / 2,
});

/** What labels are printed on. */
export const labelSheets: readonly LabelSheet[] = [
  sheet(5, 13, 38, 21, 2.5),
  sheet(3, 8, 70, 37, 0),
  sheet(2, 7, 99, 38, 2.5),
];

/** Labels of a job, in the order they are used: board by board, run by run, point by point. */
export function labelsOf(h: House, plan: Plan, kinds: readonly LabelKind[]): Label[] {
  const label = pointLabels(h.job);
  const circuits = [...h.job.circuits].sort((a, b) => (a.way ?? 99) - (b.way ?? 99) || (a.label < b.label ? -1 : 1));
  const atBoard = new Map(
    h.job.points
      .filter((p) => p.kind === "board")
      .flatMap((p) => boardFigures(h, plan, p.id)?.cables ?? [])
      .map((c) => [c.run.id, cableFlag(c)]),
  );
  const make: Record<LabelKind, () => Label[]> = {
    flags: () =>
      plan.runs.flatMap((r): Label[] => {
        const circuit = h.job.circuits.find((c) => c.id === r.circuit)?.label ?? "";
        const name = atBoard.get(r.id) ?? circuit;
        const cable = cableOf(r.cable, h.catalogue)?.name ?? r.cable;
        const end = (here: string, there: string): Label => ({
          kind: "flags",
          lines: [name, `${label(here)} to ${label(there)}`, cable],
        });
        return [end(r.from, r.to), end(r.to, r.from)];
      }),
    ways: () =>
      circuits
        .filter((c) => c.way !== null)
        .map((c) => ({
          kind: "ways",
          lines: [
            `${c.way} · ${c.label}`,
            c.name,
            `${c.device.curve}${c.device.rating}${c.rcd === null ? "" : `, ${c.rcd} mA`}`,
          ],
        })),
    points: () =>
      circuits.flatMap((c) =>
        [...c.points, ...c.spurs.map((s) => s.point)].map((p): Label => ({
          kind: "points",
          lines: [`${label(p)} · ${c.label}`, c.way === null ? "way not given" : `way ${c.way}`, roomName(h, p)],
        })),
      ),
  };
  return labelKinds.filter((k) => kinds.includes(k)).flatMap((k) => make[k]());
}

/** Where each label lies: its sheet from 0 and its left top corner on it, mm; the first sheet begins at a label that is not yet used. */
export function placesOnSheets(count: number, s: LabelSheet, firstFree = 1): { sheet: number; x: number; y: number }[] {
  const each = s.columns * s.rows;
  return Array.from({ length: count }, (_, i) => {
    const n = i + firstFree - 1;
    const at = n % each;
    return {
      sheet: Math.floor(n / each),
      x: s.left + (at % s.columns) * (s.width + s.gap[0]),
      y: s.top + Math.floor(at / s.columns) * (s.height + s.gap[1]),
    };
  });
}
