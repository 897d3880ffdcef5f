import { describe, expect, it } from "vitest";
import { packSchema } from "../job/supplies";
import { costWords } from "../words/supplies";
import { costOf, unitPrice } from "./prices";

const pack = (item: string, size: string, holds: number, price: number | null) =>
  packSchema.parse({ id: `${item}-${holds}`, item, size, holds, price });
const packs = [pack("Cable", "2.5", 50, 3500), pack("Cable", "2.5", 100, 6000), pack("Clip", "", 100, null)];
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
});
