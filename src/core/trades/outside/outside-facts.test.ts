import { describe, expect, it } from "vitest";
import { layHouse } from "../../house/house";
import { outsideOf } from "../../house/outside";
import { across, yardJob } from "../../house/yard.fixture";
import { makePlan } from "../../plan/plan";
import { findingOf, namesOf } from "../../words/findings";
import { loadedSpans, outsideFacts } from "./outside-facts";

describe("a wire with cables on it", () => {
  const h = layHouse(yardJob({ outsideWays: [across("catenary")] }));
  const [w] = outsideOf(h);
  const on = (...cables: string[]) =>
    loadedSpans(
      h,
      w!,
      cables.map((cable, i) => ({ id: `r${i}`, circuit: "c", cable, legs: [] })),
    )[0]!.weight / 9.81;
  it("carries what hangs on it and itself: .68 and .1; two of them 1.36 and .1; what is in no table as it was made for", () => {
    expect(on("swa-3x6")).toBeCloseTo(0.78, 9);
    expect(on("swa-3x6", "swa-3x6")).toBeCloseTo(1.46, 9);
    expect(on("swa-3x1.5")).toBeCloseTo(0.47, 9);
    expect(on("te-6")).toBeCloseTo(0.78, 9);
    expect(on()).toBeCloseTo(0.78, 9);
  });
});

describe("who earths an outbuilding", () => {
  const told = (circuit: Record<string, unknown>, earthing: string | null = "TN-S") => {
    const job = yardJob({ outsideWays: [across("trench")], supply: { earthing } }, circuit);
    const h = layHouse(job);
    return outsideFacts(h, makePlan(job).runs)
      .filter((f) => f.rule === "outside.earth")
      .map((f) => [f.case, f.severity, findingOf(f, namesOf(h)).remedy!.length > 20]);
  };
  it.each([
    [{ farEarth: null }, "TN-S", "unsaid", "warn"],
    [{ farEarth: "house" }, null, "supply-unknown", "warn"],
    [{ farEarth: "house" }, "TN-C-S", "combined", "note"],
    [{ farEarth: "house" }, "TN-S", "separate", "note"],
    [{ farEarth: "house" }, "TT", "house-electrode", "note"],
    [{ farEarth: "electrode" }, "TN-C-S", "electrode", "note"],
    [{ farEarth: "electrode", rcd: null }, "TN-C-S", "electrode-no-rcd", "warn"],
  ])("%j on %s: %s", (circuit, earthing, of, severity) =>
    expect(told(circuit, earthing)).toEqual([[of, severity, true]]),
  );
  it("a circuit found and kept, or of another kind, is not asked", () => {
    expect(told({ farEarth: null, kind: "fixed" })).toEqual([]);
    expect(told({ farEarth: null, state: "keep" })).toEqual([]);
  });
});
