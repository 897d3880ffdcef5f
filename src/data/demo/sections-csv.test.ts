import Papa from "papaparse";
import { describe, expect, it } from "vitest";
import { ternCottage } from "./tern-cottage";
import { makePlan } from "../../core/plan/plan";
import { fixingsCsv, piecesCsv } from "../../core/formats/sections-csv";

const job = ternCottage();
const plan = makePlan(job);
const read = (csv: string): Record<string, string>[] =>
  Papa.parse<Record<string, string>>(csv.replace(/^\uFEFF/, ""), { header: true, skipEmptyLines: true }).data;

describe("containment as tables", () => {
  it("a line for each piece, with its folds along it", () => {
    const rows = read(piecesCsv(job, plan));
    const t1 = rows.filter((r) => r.section === "T1");
    expect(t1).toHaveLength(1);
    // 450, 425 and 450 along its middle, 25 more on each side of its two corners, and 9.5 for the set over the pipe.
    expect(Number(t1[0]!["length mm"])).toBeCloseTo(1325 + 100 + 54.5, 0);
    expect(t1[0]!.folds).toMatch(/^left 90 deg at 475, notch 100; inside 22.5 deg at /);
    expect(new Set(rows.map((r) => r.section))).toEqual(new Set(["T1", "T2", "T3", "T4"]));
    for (const r of rows) expect(Number(r["length mm"])).toBeLessThanOrEqual(Number(r["stock mm"]));
  });
  it("a line for each fixing on a wall, by the name of its wall", () => {
    const rows = read(fixingsCsv(job, plan));
    expect(
      rows.filter((r) => r.section === "T1").map((r) => [r.wall, r["from left mm"], r["from floor mm"]])[0],
    ).toEqual(["wall 3 of Hall", "2775", "2325"]);
    // What lies on a deck has no wall to be marked on.
    expect(rows.some((r) => r.section === "T4")).toBe(false);
  });
});
