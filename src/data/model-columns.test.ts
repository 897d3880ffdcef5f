import { getTableColumns } from "drizzle-orm";
import { describe, expect, it } from "vitest";
import { collectionNames, collections, jobSchema } from "../core/job/model";
import { siteEntrySchema } from "../core/job/site-entry";
import { tables } from "./job-rows";
import * as schema from "./schema";

/** A field of the model without a column would be dropped in silence, a column without a field never be read. */
const fieldsOf = (s: { shape?: object; options?: { shape: object }[] }): string[] =>
  s.shape ? Object.keys(s.shape) : [...new Set((s.options ?? []).flatMap((o) => Object.keys(o.shape)))];

describe("the model and its tables", () => {
  it.each(collectionNames)("%s: one column for each field", (c) => {
    const columns = Object.keys(getTableColumns(tables[c])).filter((k) => k !== "jobId");
    expect(columns.sort()).toEqual(fieldsOf(collections[c]).sort());
  });
  it("jobs: every head of the model has its column", () => {
    const heads = Object.keys(jobSchema.shape).filter((k) => !(collectionNames as string[]).includes(k));
    const columns = Object.keys(getTableColumns(schema.jobs));
    for (const h of heads) expect(columns).toContain(h);
  });
  it("record lines: one column for each field", () => {
    const own = ["jobId", "storedAt"];
    const columns = Object.keys(getTableColumns(schema.siteEntries)).filter((k) => !own.includes(k));
    expect(columns.sort()).toEqual(fieldsOf(siteEntrySchema).sort());
  });
});
