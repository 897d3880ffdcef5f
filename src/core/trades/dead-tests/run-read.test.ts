import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type RunReadings, readRun } from "./run-read";

// 20 m of 2.5/1.5: 7.41 and 12.10 mΩ/m.
const sound = { lineEarth: 0.39, lineNeutral: 0.3 };
const run = { id: "c.s1.s2", from: "s1", to: "s2" };
const faults = (r: RunReadings, expected: typeof sound | null = sound): string[] =>
  readRun(run, expected, { insulation: 999, polarity: "right", ...r }).map((f) => f.case!);

describe("readings on the tails of a run", () => {
  it.each<[string, RunReadings, string[]]>([
    ["as expected", { lineEarth: 0.4, lineNeutral: 0.31 }, []],
    ["nothing on either", { lineEarth: null, lineNeutral: null }, ["line-open"]],
    ["nothing to earth alone", { lineEarth: null, lineNeutral: 0.3 }, ["earth-open"]],
    ["nothing to neutral alone", { lineEarth: 0.39, lineNeutral: null }, ["neutral-open"]],
    ["half as much again on both", { lineEarth: 0.585, lineNeutral: 0.45 }, ["longer"]],
    ["half of both", { lineEarth: 0.195, lineNeutral: 0.15 }, ["shorter"]],
    ["the same more on both", { lineEarth: 0.64, lineNeutral: 0.55 }, ["leads"]],
    ["more to earth alone", { lineEarth: 0.65, lineNeutral: 0.3 }, ["earth-high"]],
    ["more to neutral alone", { lineEarth: 0.39, lineNeutral: 0.5 }, ["neutral-high"]],
    ["less to earth alone: a second path", { lineEarth: 0.2, lineNeutral: 0.3 }, ["earth-low"]],
    ["less to neutral alone", { lineEarth: 0.39, lineNeutral: 0.1 }, ["neutral-low"]],
    ["a nail through it", { lineEarth: 0.39, lineNeutral: 0.3, insulation: 0.02 }, ["failed"]],
    ["just enough insulation", { lineEarth: 0.39, lineNeutral: 0.3, insulation: 1 }, ["low"]],
    ["colours changed over", { lineEarth: 0.39, lineNeutral: 0.3, polarity: "reversed" }, ["reversed"]],
  ])("%s", (_, r, want) => expect(faults(r)).toEqual(want));

  it("names every open conductor a stop, and every fault off by more than a tenth and 0.05 Ω; never calls a bad one sound (property)", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.06, max: 2, noNaN: true }),
        fc.double({ min: 0.06, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 4, noNaN: true }),
        (lineEarth, lineNeutral, e, n) => {
          const said = readRun(
            run,
            { lineEarth, lineNeutral },
            { lineEarth: e, lineNeutral: n, insulation: 500, polarity: "right" },
          );
          const off = (a: number, b: number): boolean => Math.abs(a - b) > Math.max(0.05, 0.1 * b) + 1e-6;
          if (off(e, lineEarth) || off(n, lineNeutral)) expect(said.length).toBeGreaterThan(0);
          if (Math.abs(e - lineEarth) < 0.05 && Math.abs(n - lineNeutral) < 0.05) expect(said).toEqual([]);
        },
      ),
    );
    expect(readRun(run, sound, { lineEarth: null, lineNeutral: 0.3 })[0]!.severity).toBe("stop");
  });
  it("judges no amount where nothing is expected, and still an open conductor, insulation and colours", () => {
    expect(faults({ lineEarth: 9, lineNeutral: 9 }, null)).toEqual([]);
    expect(faults({ lineEarth: null, lineNeutral: 9, insulation: 0.5, polarity: "reversed" }, null)).toEqual([
      "earth-open",
      "failed",
      "reversed",
    ]);
  });
});
