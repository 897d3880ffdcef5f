import { describe, expect, it } from "vitest";
import { fitsNotch, notchFor } from "./notches";

const flat25 = { width: 10.1, thickness: 5.8 };
const flat10 = { width: 16.9, thickness: 9.2 };

describe("a notch for cables", () => {
  it("is as wide as they lie side by side with 2 mm about each, to the next 5, and as deep as their lower side", () => {
    // 2 + 10.1 + 2 = 14.1 → 15; middle at 8, half of 5.8 below it: 10.9 → 11.
    expect(notchFor([flat25])).toEqual({ width: 15, depth: 11 });
    // 2 + 12.1 + 12.1 + 12.1 = 38.3 → 40.
    expect(notchFor([flat25, flat25, flat25])).toEqual({ width: 40, depth: 11 });
    expect(notchFor([flat25, flat10])).toEqual({ width: 35, depth: 13 });
  });
  it("takes what one plate of 40 covers, no deeper than the joist may be cut, and nothing that would lie against the plate", () => {
    expect(fitsNotch([flat25, flat25, flat25], 20)).toBe(true);
    expect(fitsNotch([flat25, flat25, flat25, flat25], 20)).toBe(false);
    expect(fitsNotch([flat25], 11)).toBe(true);
    expect(fitsNotch([flat25], 10.9)).toBe(false);
    // 12 thick leaves the 2 to the plate, 12.1 does not.
    expect(fitsNotch([{ width: 12, thickness: 12 }], 20)).toBe(true);
    expect(fitsNotch([{ width: 12.1, thickness: 12.1 }], 20)).toBe(false);
  });
});
