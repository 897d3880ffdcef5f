import { describe, expect, it } from "vitest";
import { packSchema } from "../job/supplies";
import { ternCottage } from "../../data/demo/tern-cottage";
import { costWords } from "../words/supplies";
import { ringAgainstRadials } from "./compare-plans";
import { makePlan } from "./plan";
import { costOf, unitPrice } from "./prices";

const pack = (item: string, size: string, holds: number, price: number | null) =>
  packSchema.parse({ id: `${item}-${holds}`, item, size, holds, price });
const packs = [pack("Cable", "2.5", 100, 6000), pack("Cable", "2.5", 50, 3500), pack("Clip", "", 100, null)];
const line = (item: string, size: string, quantity: number) => ({
  item,
  size,
  quantity,
  unit: "m" as const,
  circuit: "c",
});

describe("what a circuit costs", () => {
  it("goes by the pack that is cheapest for what it holds, whatever the case of its name", () => {
    expect(unitPrice({ item: "cable", size: "2.5" }, packs)).toBe(60);
    expect(unitPrice({ item: "Cable", size: "1.5" }, packs)).toBeNull();
    expect(unitPrice({ item: "Clip", size: "" }, packs)).toBeNull();
  });
  it("adds up what is used, and names once what has no price", () => {
    const lines = [line("Cable", "2.5", 10), line("Cable", "2.5", 2.5), line("Clip", "", 4), line("Clip", "", 9)];
    expect(costOf(lines, packs)).toEqual({ price: 750, unpriced: ["Clip"] });
    expect(costWords(costOf(lines, packs))).toBe("£7.50, without Clip that the price list has no price of");
    expect(costWords(costOf([], packs))).toBe("£0.00");
    expect(costWords({ price: 0, unpriced: ["Clip", "Cable"] })).toBe(
      "no price known: the price list has none of its 2 items",
    );
  });
  it("stands beside ring and radials, each by its own take-off", () => {
    const job = ternCottage();
    const r1 = job.circuits.find((c) => c.id === "r1")!;
    const both = ringAgainstRadials(job, r1)!;
    const own = makePlan(job).takeoff.filter((l) => l.circuit === "r1");
    expect(both.ring.cost.price).toBeCloseTo(costOf(own, job.packs).price, 6);
    expect(both.ring.cost.price).toBeGreaterThan(0);
    // What differs is cable and what goes with it: the dearer is the one that takes more of it.
    expect(both.radials.cost.price > both.ring.cost.price).toBe(both.radials.cable > both.ring.cable);
  });
});
