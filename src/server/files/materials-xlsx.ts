import ExcelJS from "exceljs";
import { pointLabels } from "../../core/job/labels";
import type { House } from "../../core/house/house";
import type { Plan } from "../../core/laid/laid";
import { totals } from "../../core/plan/take-off";
import type { BuyingLine } from "../../core/record/buying";
import { cableOf } from "../../core/rules/catalogue";

/** Take-off, buying list and cut list as one spreadsheet (Office Open XML); lengths in metres, cuts in mm, prices in pounds. */
export async function materialsXlsx(h: House, plan: Plan, buying: readonly BuyingLine[]): Promise<Uint8Array> {
  const book = new ExcelJS.Workbook();
  book.title = `${h.job.name}: materials`;
  const circuit = new Map(h.job.circuits.map((c) => [c.id, c.label]));
  const label = pointLabels(h.job);
  const sheet = (name: string, columns: [head: string, width: number][], rows: (string | number | null)[][]): void => {
    const s = book.addWorksheet(name, { views: [{ state: "frozen", ySplit: 1 }] });
    s.columns = columns.map(([header, width]) => ({ header, width }));
    s.getRow(1).font = { bold: true };
    s.headerFooter.oddHeader = `&L${h.job.name}&R${name}`;
    s.addRows(rows);
  };
  sheet(
    "Take-off",
    [
      ["Circuit", 10],
      ["Item", 34],
      ["Size", 30],
      ["Quantity", 12],
      ["Unit", 8],
    ],
    [
      ...totals(plan.takeoff).map((l) => ["all", l.item, l.size, round(l.quantity), l.unit]),
      ...plan.takeoff.map((l) => [
        l.circuit === null ? "shared" : (circuit.get(l.circuit) ?? l.circuit),
        l.item,
        l.size,
        round(l.quantity),
        l.unit,
      ]),
    ],
  );
  sheet(
    "To buy",
    [
      ["Item", 34],
      ["Size", 30],
      ["Needed", 12],
      ["There", 12],
      ["To buy", 12],
      ["Unit", 8],
      ["Packs", 24],
      ["Price", 12],
    ],
    buying.map((l) => [
      l.item,
      l.size,
      round(l.needed),
      round(l.there),
      round(l.toBuy),
      l.unit,
      l.bought?.packs.map((p) => `${p.count} × ${p.pack.holds}`).join(" + ") ?? "",
      l.bought?.price == null ? null : l.bought.price / 100,
    ]),
  );
  sheet(
    "Cuts",
    [
      ["Circuit", 10],
      ["From", 10],
      ["To", 10],
      ["Cable", 34],
      ["Cut, mm", 12],
    ],
    plan.runs.map((r) => [
      circuit.get(r.circuit) ?? r.circuit,
      label(r.from),
      label(r.to),
      cableOf(r.cable, h.catalogue)?.name ?? r.cable,
      Math.ceil(r.cutLength - 1e-6),
    ]),
  );
  return new Uint8Array(await book.xlsx.writeBuffer());
}

const round = (x: number): number => Number(x.toFixed(2));
