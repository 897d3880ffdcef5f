import Papa from "papaparse";

/** How a cell begins that a spreadsheet would run, the full-width signs of some keyboards among them. */
const FORMULA = /^[=+\-@\t\r\uff1d\uff0b\uff0d\uff20]/;

/**
 * Rows as CSV text: comma separated, quoted where needed, CRLF ends, a header line. A cell that a spreadsheet would run
 * as a formula is written with a leading apostrophe.
 */
export function toCsv(header: readonly string[], rows: readonly (readonly (string | number)[])[]): string {
  return (
    Papa.unparse({ fields: [...header], data: rows.map((r) => [...r]) }, { escapeFormulae: FORMULA, newline: "\r\n" }) +
    "\r\n"
  );
}
