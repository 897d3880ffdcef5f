import { describe, expect, it } from "vitest";
import { type SiteEntry, siteEntrySchema } from "../job/site-entry";
import { onTheJob, sinceLooked } from "./looked";

const line = (id: string, by: string, at: string): SiteEntry =>
  siteEntrySchema.parse({ id, by, at: `2026-11-30T${at}:00Z`, run: "r", kind: "note", step: null, text: "x" });
const lines = [
  line("a", "Pat", "08:00"),
  line("c", "Sam", "09:30"),
  line("b", "Pat", "09:00"),
  line("d", "Ona", "07:00"),
];

describe("two people on a job", () => {
  it("are all who wrote since, the latest first, each with the last of theirs", () => {
    const on = onTheJob(lines, Date.parse("2026-11-30T07:30:00Z"));
    expect(on.map((x) => [x.by, x.last.id, x.lines])).toEqual([
      ["Sam", "c", 1],
      ["Pat", "b", 2],
    ]);
  });
  it("are told what the other did since they looked, not their own, and a late line though its time is long past", () => {
    expect(sinceLooked(lines, new Set(["a", "b", "c"]), "Pat").map((e) => e.id)).toEqual(["d"]);
    expect(sinceLooked(lines, new Set(), "Pat").map((e) => e.id)).toEqual(["d", "c"]);
    expect(sinceLooked(lines, new Set(["c", "d"]), "Pat")).toEqual([]);
  });
});
