import Papa from "papaparse";
import { z } from "zod";
import { type Catalogue, type CatalogueRow, type CatalogueTable, rowSchemas } from "../rules/catalogue";
import { readNumber } from "../base/numbers";
import { toCsv } from "./csv";

/** Columns of a table in order, with the kind of each. */
function columnsOf(table: CatalogueTable): { name: string; kind: "number" | "boolean" | "text"; optional: boolean }[] {
  const schema = z.toJSONSchema(rowSchemas[table]) as {
    properties: Record<string, { type?: string; anyOf?: { type?: string }[] }>;
    required?: string[];
  };
  return Object.entries(schema.properties).map(([name, p]) => {
    const type = p.type ?? p.anyOf?.[0]?.type;
    return {
      name,
      kind: type === "number" || type === "integer" ? "number" : type === "boolean" ? "boolean" : "text",
      optional: !schema.required?.includes(name),
    };
  });
}

/** The number in a cell, or the cell itself for the schema to refuse. */
const numberOr = (cell: string): number | string => {
  const r = readNumber(cell);
  return r.ok ? r.value : cell;
};

/** A table of the catalogue as CSV. */
export function catalogueCsv(catalogue: Catalogue, table: CatalogueTable): string {
  const columns = columnsOf(table);
  return toCsv(
    columns.map((c) => c.name),
    (catalogue[table] as readonly object[]).map((r) =>
      columns
        .map((c) => (r as Record<string, unknown>)[c.name])
        .map((x) => (x === undefined ? "" : typeof x === "number" ? x : String(x))),
    ),
  );
}

/**
 * Reads a maker's sheet in CSV: columns by their names, one row an item. All or nothing: every fault is told with its line,
 * column, value and what is allowed, and then no row comes back.
 */
export function readCatalogueCsv(
  table: CatalogueTable,
  text: string,
): { ok: true; rows: CatalogueRow[] } | { ok: false; refusals: { path: string; message: string }[] } {
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, "").trim(), { skipEmptyLines: true });
  const [header, ...lines] = parsed.data;
  const columns = columnsOf(table);
  const refuse = (path: string, message: string) => ({ ok: false as const, refusals: [{ path, message }] });
  if (!header?.some((h) => h.trim()))
    return refuse("", `the sheet is empty; its first line names the columns ${columns.map((c) => c.name).join(", ")}`);
  const names = header.map((h) => h.trim());
  const unknown = names.filter((n) => !columns.some((c) => c.name === n));
  if (unknown.length)
    return refuse(
      "line 1",
      `has no column ${unknown.map((n) => `"${n}"`).join(", ")}; the columns are ${columns.map((c) => c.name).join(", ")}`,
    );
  const missing = columns.filter((c) => !c.optional && !names.includes(c.name));
  if (missing.length) return refuse("line 1", `lacks the column ${missing.map((c) => c.name).join(", ")}`);
  if (!lines.length) return refuse("line 2", "there are no rows under the heading");
  if (lines.length > 1000) return refuse("", `has ${lines.length} rows; at most 1000 are read`);
  const refusals: { path: string; message: string }[] = [];
  const ids = new Map<string, number>();
  const rows: CatalogueRow[] = [];
  lines.forEach((line, i) => {
    const at = `line ${i + 2}`;
    const row: Record<string, unknown> = {};
    names.forEach((n, k) => {
      const cell = (line[k] ?? "").trim();
      const column = columns.find((c) => c.name === n)!;
      if (cell === "") return;
      row[n] =
        column.kind === "number"
          ? numberOr(cell)
          : column.kind === "boolean"
            ? /^(true|yes|1)$/i.test(cell)
              ? true
              : /^(false|no|0)$/i.test(cell)
                ? false
                : cell
            : cell;
    });
    const checked = rowSchemas[table].safeParse(row);
    if (!checked.success)
      for (const issue of checked.error.issues.slice(0, 3))
        refusals.push({
          path: `${at}, ${issue.path.join(".") || "row"}`,
          message: `got ${JSON.stringify(row[String(issue.path[0])]) ?? "nothing"}; ${issue.message}`,
        });
    else {
      const id = (checked.data as { id: string }).id;
      if (ids.has(id))
        refusals.push({ path: `${at}, id`, message: `got "${id}"; it stands in line ${ids.get(id)} already` });
      ids.set(id, i + 2);
      rows.push({ table, row: checked.data as CatalogueRow["row"] });
    }
  });
  return refusals.length ? { ok: false, refusals } : { ok: true, rows };
}
