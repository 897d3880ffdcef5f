import Papa from "papaparse";
import { readNumber } from "../base/numbers";
import type { BuyingLine, OrderLine } from "../record/buying";
import { toCsv } from "./csv";

/** A fault of a sheet: the line and column, and what is allowed. */
export interface SheetFault {
  path: string;
  message: string;
}
type Read<T> = { ok: true; rows: T[] } | { ok: false; faults: SheetFault[] };

/** A row of the user's own price list; price in pence. */
export interface PackRow {
  item: string;
  size: string;
  holds: number;
  price: number | null;
  code: string;
}

/** Most lines of a sheet. */
const LINES = 3000;

/** Rows of a sheet by the names of its columns; a column that must be there and is not is told. */
function sheet(text: string, must: readonly string[], may: readonly string[]): Read<Record<string, string>> {
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, "").trim(), { skipEmptyLines: true });
  const [header, ...lines] = parsed.data;
  const names = (header ?? []).map((x) => x.trim().toLowerCase());
  const lacking = must.filter((m) => !names.includes(m));
  const fault = (path: string, message: string): Read<never> => ({ ok: false, faults: [{ path, message }] });
  if (lacking.length)
    return fault("line 1", `has no column ${lacking.join(", ")}; the columns are ${[...must, ...may].join(", ")}`);
  if (lines.length > LINES) return fault("", `has ${lines.length} lines; at most ${LINES} are read`);
  return {
    ok: true,
    rows: lines.map((l) => Object.fromEntries(names.map((n, i) => [n, (l[i] ?? "").trim()]))),
  };
}

/** A number of a sheet that must lie in a range; the sentence where it does not. */
function number(cell: string, least: number, most: number): number | string {
  const r = readNumber(cell.replace(/^£\s*/, ""));
  if (!r.ok) return `is “${cell}”; it must be a number from ${least} to ${most}`;
  return r.value < least || r.value > most ? `is ${r.value}; it must be from ${least} to ${most}` : r.value;
}

function rowsOf<T>(
  read: Read<Record<string, string>>,
  row: (r: Record<string, string>, say: (column: string, message: string) => void) => T | null,
): Read<T> {
  if (!read.ok) return read;
  const faults: SheetFault[] = [];
  const rows: T[] = [];
  read.rows.forEach((r, i) => {
    const made = row(r, (column, message) => void faults.push({ path: `line ${i + 2}, ${column}`, message }));
    if (made !== null) rows.push(made);
  });
  return faults.length ? { ok: false, faults: faults.slice(0, 20) } : { ok: true, rows };
}

function itemOf(
  r: Record<string, string>,
  say: (column: string, message: string) => void,
): { item: string; size: string } | null {
  const item = r.item ?? "";
  const size = r.size ?? "";
  if (!item || item.length > 80) say("item", `has ${item.length} characters; give it 1 to 80`);
  else if (size.length > 80) say("size", `has ${size.length} characters; at most 80`);
  else return { item, size };
  return null;
}

/** Reads a price list: item, size, holds (so much of the unit of the take-off in a pack), price in pounds, code. All or nothing. */
export const readPacksCsv = (text: string): Read<PackRow> =>
  rowsOf(sheet(text, ["item", "holds"], ["size", "price", "code"]), (r, say) => {
    // A line of the list that was not filled in.
    if (!r.holds && !r.price) return null;
    const named = itemOf(r, say);
    const holds = number(r.holds ?? "", 0.01, 100_000);
    const price = r.price ? number(r.price, 0, 1_000_000) : null;
    if (typeof holds === "string") say("holds", holds);
    if (typeof price === "string") say("price", price);
    const code = r.code ?? "";
    if (code.length > 60) say("code", `has ${code.length} characters; at most 60`);
    return named && typeof holds === "number" && typeof price !== "string" && code.length <= 60
      ? { ...named, holds, price: price === null ? null : Math.round(price * 100), code }
      : null;
  });

/** Reads an order or a delivery note: item, size, quantity in the unit of the take-off. All or nothing. */
export const readOrderCsv = (text: string): Read<OrderLine> =>
  rowsOf(sheet(text, ["item", "quantity"], ["size"]), (r, say) => {
    const named = itemOf(r, say);
    const quantity = number(r.quantity ?? "", 0, 1_000_000);
    if (typeof quantity === "string") say("quantity", quantity);
    return named && typeof quantity === "number" ? { ...named, quantity } : null;
  });

/** A price list as CSV, with a line for every item that has no pack yet, to be filled in. */
export const packsCsv = (packs: readonly PackRow[], without: readonly { item: string; size: string }[]): string =>
  toCsv(
    ["item", "size", "holds", "price", "code"],
    [
      ...packs.map((p) => [p.item, p.size, p.holds, p.price === null ? "" : (p.price / 100).toFixed(2), p.code]),
      ...without.map((w) => [w.item, w.size, "", "", ""]),
    ],
  );

/** The buying list: item, size, needed, there, to buy, unit, packs in words, price in pounds. */
export const buyingCsv = (lines: readonly BuyingLine[]): string =>
  toCsv(
    ["item", "size", "needed", "there", "to buy", "unit", "packs", "price"],
    lines.map((l) => [
      l.item,
      l.size,
      round(l.needed),
      round(l.there),
      round(l.toBuy),
      l.unit,
      l.bought?.packs.map((p) => `${p.count} x ${p.pack.holds}`).join(" + ") ?? "",
      l.bought?.price == null ? "" : (l.bought.price / 100).toFixed(2),
    ]),
  );
const round = (x: number): number => Number(x.toFixed(2));
