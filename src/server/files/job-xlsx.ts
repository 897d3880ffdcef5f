import ExcelJS from "exceljs";
import { pointLabels } from "../../core/job/labels";
import type { House } from "../../core/house/house";
import type { Plan } from "../../core/laid/laid";
import { totals } from "../../core/plan/take-off";
import type { SiteEntry } from "../../core/job/site-entry";
import { type TestCell, testLines } from "../../core/papers/test-lines";
import { buyingList } from "../../core/record/buying";
import { boringOrder, nogginHoles, wallHoles } from "../../core/trades/timber/boring";
import { holeSize, holeWords } from "../../core/words/holes";
import { cableOf } from "../../core/rules/catalogue";

/**
 * Take-off, buying list, cut list, test sheet and holes as one spreadsheet (Office Open XML); lengths in metres, cuts and places in mm,
 * prices in pounds, readings in Ω.
 */
export async function jobXlsx(h: House, plan: Plan, siteBook: readonly SiteEntry[]): Promise<Uint8Array> {
  const buying = buyingList(h, plan, siteBook);
  const book = new ExcelJS.Workbook();
  book.title = `${h.job.name}: lists`;
  const circuit = new Map(h.job.circuits.map((c) => [c.id, c.label]));
  const label = pointLabels(h.job);
  const sheet = (name: string, columns: [head: string, width: number][], rows: (string | number | null)[][]): void => {
    const s = book.addWorksheet(name, { views: [{ state: "frozen", ySplit: 1 }] });
    s.columns = columns.map(([header, width]) => ({ header, width }));
    s.getRow(1).font = { bold: true };
    s.headerFooter.oddHeader = `&L${plainHead(`${h.job.name}, ${h.job.address}`)}&R${name}`;
    s.headerFooter.oddFooter = "&L&D&RPage &P of &N";
    s.pageSetup = { paperSize: 9, orientation: "landscape", fitToPage: true, fitToWidth: 1, fitToHeight: 0 };
    s.pageSetup.printTitlesRow = "1:1";
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
  const tests = testLines(h, plan, siteBook);
  const two = (c: TestCell): [number | null, string] => [c.expect === null ? null : round(c.expect), c.read];
  sheet(
    "Tests of runs",
    [
      ["Run", 20],
      ["Line to earth, expect Ω", 22],
      ["read", 14],
      ["Line to neutral, expect Ω", 24],
      ["read", 14],
      ["Insulation", 16],
      ["Tested by", 24],
    ],
    tests.runs.map((r) => [r.name, ...two(r.lineEarth), ...two(r.lineNeutral), r.insulation, r.testedBy]),
  );
  sheet(
    "Tests of rings",
    [
      ["Ring", 30],
      ["r1, expect Ω", 14],
      ["read", 12],
      ["rn, expect Ω", 14],
      ["read", 12],
      ["r2, expect Ω", 14],
      ["read", 12],
    ],
    tests.rings.map((r) => [r.name, ...two(r.r1), ...two(r.rn), ...two(r.r2)]),
  );
  sheet(
    "Holes",
    [
      ["Timber", 24],
      ["In", 26],
      ["Room", 20],
      ["Measured from", 26],
      ["At, mm", 10],
      ["Height or depth", 22],
      ["Bit", 8],
      ["Plate", 8],
    ],
    [
      ...boringOrder(h, plan).map((s) => s.hole),
      ...h.decks.flatMap((l) => nogginHoles(l, plan)),
      ...wallHoles(h, plan),
    ].map((o) => {
      const w = holeWords(h, o);
      return [
        w.timber,
        w.of,
        w.room,
        w.from,
        Math.round(Math.abs(o.at)),
        w.height,
        o.notch ? holeSize(o) : o.diameter,
        o.plated ? "yes" : "",
      ];
    }),
  );
  return new Uint8Array(await book.xlsx.writeBuffer());
}

/** In a page's heading an ampersand begins a code. */
const plainHead = (s: string): string => s.replace(/&/g, "&&");

const round = (x: number): number => Number(x.toFixed(2));
