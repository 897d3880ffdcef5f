import { describe, expect, it } from "vitest";
import { house } from "../../book/limits/by-hand.fixture";
import { layHouse } from "../../house/house";
import { findingOf, namesOf } from "../../words/findings";
import { supplyFacts } from "./supply-facts";

describe("main bonding", () => {
  const job = (earthing: string | null, ...bonding: object[]) => house({ supply: { earthing, bonding } });
  const told = (j: ReturnType<typeof job>) => supplyFacts(j).map((f) => [f.case, f.severity, f.limit]);
  const gas = (csa: number, seen = true) => ({ service: "gas", csa, seen });
  it("takes 10 mm² where the earth is the neutral or not known, else 6", () => {
    expect([told(job("TN-S", gas(6))), told(job("TT", gas(6))), told(job(null, gas(10)))]).toEqual([[], [], []]);
    expect(told(job("TN-S", gas(5.9)))).toEqual([[undefined, "warn", 6]]);
    expect(told(job(null, gas(6)))).toEqual([[undefined, "warn", 10]]);
  });
  it("that was only said to be there is told, each service by itself, in words that name it", () => {
    const j = job("TN-C-S", gas(10, false), { service: "water", csa: 4, seen: false });
    const words = supplyFacts(j).map((f) => findingOf(f, namesOf(layHouse(j))).message);
    expect(words).toEqual([
      "The bond of the gas service was not seen at both ends.",
      "The water service is bonded with 4 mm²; with TN-C-S it takes 10 or more.",
    ]);
  });
});
