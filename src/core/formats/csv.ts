import Papa from "papaparse";

/**
 * Rows as CSV text: comma separated, quoted where needed, CRLF ends, a header line. A cell that a spreadsheet would run
 * as a formula is written with a leading apostrophe.
 */
export function toCsv(header: readonly string[], rows: readonly (readonly (string | number)[])[]): string {
  return (
    Papa.unparse({ fields: [...header], data: rows.map((r) => [...r]) }, { escapeFormulae: true, newline: "\r\n" }) +
    "\r\n"
  );
}
