import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readNumber } from "./numbers";

const value = (text: string, unit = "mm"): number | string => {
  const r = readNumber(text, unit);
  return r.ok ? r.value : r.why;
};

describe("a number as people write it", () => {
  it.each([
    "1200",
    "1,200",
    "1 200",
    "1\u2009200",
    "1200 mm",
    "1200mm",
    "1200MM",
    "1.2 m",
    "1.2m",
    "1,2 m",
    "120 cm",
    "+1200",
    " 1200.0 ",
    "1,200.00",
  ])("reads %j as 1200 mm", (text) => expect(value(text)).toBe(1200));

  it.each([
    ["10,000", "W", 10_000],
    ["10 kW", "W", 10_000],
    ["30 mA", "mA", 30],
    ["0.03 A", "mA", 30],
    ["1.44 Ω", "Ω", 1.44],
    ["200 MΩ", "MΩ", 200],
    ["1,234,567", "", 1_234_567],
    ["-5", "°", -5],
    ["12,5", "%", 12.5],
    ["0,125", "Ω", 0.125],
    [".5", "mm", 0.5],
    ["1 234 567,5", "", 1_234_567.5],
    ["30 °C", "°C", 30],
    ["2.2 m", "mm", 2200],
  ])("reads %j in %s as %d", (text, unit, n) => expect(value(text, unit)).toBe(n));

  it.each([
    ["3/4", /decimal/],
    ["½", /decimal/],
    ["1,2000", /two ways/],
    ["1.200,5", /two ways/],
    ["1.2.3", /two ways/],
    ["1,20,000", /two ways/],
    ["1 20", /spaces/],
    ["12 00 0", /spaces/],
    ["", /empty/],
    ["   ", /empty/],
    ["twelve", /not a number/],
    ["-", /not a number/],
    ["--3", /not a number/],
    ["Infinity", /not a number/],
    ["NaN", /not a number/],
    ["12 A", /it is in A; write mm, cm or m/],
    ["12 furlongs", /furlongs is not a unit/],
    ["1e3", /not a number/],
    ["1".repeat(41), /too long/],
  ])("refuses %j in words", (text, why) => expect(value(text)).toMatch(why));

  it("takes a unit only of its own dimension, and none for a bare number", () => {
    expect(value("5 m", "A")).toMatch(/it is in m; write A or mA/);
    expect(value("5 m", "")).toMatch(/without a unit/);
    expect(value("5 mm", "m")).toBe(0.005);
  });

  it("reads every number back however its thousands are parted", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 99_999_999 }), fc.constantFrom(",", " ", "\u2009", ""), (n, mark) => {
        const text = String(n).replace(/\B(?=(\d{3})+(?!\d))/g, mark);
        expect(value(text)).toBe(n);
      }),
    );
  });

  it("gives a finite number or words, whatever is typed", () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const r = readNumber(text, "mm");
        if (r.ok) expect(Number.isFinite(r.value)).toBe(true);
        else expect(r.why.length).toBeGreaterThan(5);
      }),
    );
  });
});
