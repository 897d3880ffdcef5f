import { describe, expect, it } from "vitest";
import { readCatalogueCsv, catalogueCsv } from "../formats/catalogue-csv";
import { book } from "../rules/book";
import { catalogueTables, standardCatalogue } from "../rules/catalogue";
import { rulesDocument } from "./rules-document";
import { schoolQuestions, schoolsSchema } from "../rules/schools";
import { bookTables } from "./tables";

describe("the rule book", () => {
  const text = rulesDocument();
  it("holds every rule with a source, every table with rows, every school with reasons", () => {
    for (const [id, r] of Object.entries(book)) {
      expect(text).toContain(`| \`${id}\` | **${r.title}.**`);
      expect(r.source.length).toBeGreaterThan(3);
    }
    for (const t of bookTables(standardCatalogue)) {
      expect(t.rows.length, t.title).toBeGreaterThan(0);
      for (const row of t.rows) expect(row.length, t.title).toBe(t.columns.length);
    }
    expect(schoolQuestions.map((q) => q.key).sort()).toEqual(Object.keys(schoolsSchema.shape).sort());
    for (const q of schoolQuestions) for (const o of q.options) expect(o.reason.length, q.question).toBeGreaterThan(20);
  });
  it("names no firm: sources are designations, practice, or ours", () => {
    for (const r of Object.values(book))
      expect(r.source).toMatch(
        /^(BS|Approved Document|On-site|Trade habit|Kitchen|Maker's|Lumbet|Custom|Geometry|New-home|Our)/,
      );
  });
});

describe("the catalogue as sheets", () => {
  it.each(catalogueTables)("%s comes back as it went out", (table) => {
    const back = readCatalogueCsv(table, catalogueCsv(standardCatalogue, table));
    expect(back.ok).toBe(true);
    if (back.ok) expect(back.rows.map((r) => r.row)).toEqual(standardCatalogue[table]);
  });
  it("refuses unknown and missing columns, doubled ids and words for numbers, by line and column", () => {
    const sheet = catalogueCsv(standardCatalogue, "glands");
    const [head, first] = sheet.split("\r\n") as [string, string];
    const why = (t: string): string => {
      const r = readCatalogueCsv("glands", t);
      return r.ok ? "taken" : r.refusals.map((x) => `${x.path}: ${x.message}`).join("\n");
    };
    expect(why("")).toMatch(/the sheet is empty/);
    expect(why(`${head},colour\r\n${first},red`)).toMatch(/line 1: has no column "colour"; the columns are id,/);
    expect(why(`${head.split(",").slice(0, -1).join(",")}\r\nx`)).toMatch(/line 1: lacks the column/);
    expect(why(`${head}\r\n${first}\r\n${first}`)).toMatch(/line 3, id: got "20S"; it stands in line 2 already/);
    expect(why(head)).toMatch(/no rows under the heading/);
  });
});
