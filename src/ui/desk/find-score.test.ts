import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { findScore } from "./find-score";

const things = [
  "command Undo",
  "command Redo",
  "command Walk a room",
  "point S1 Twin socket",
  "point L1 Ceiling light",
  "point L12 Ceiling light under the stair",
  "room Kitchen",
  "room First floor landing",
  "wall 2 Kitchen",
  "wall 12 Kitchen",
  "circuit R1 Ring ground floor",
  "run DB1 to S1 R1",
  "command Dark or light theme",
  "command Papers print pdf",
];
const best = (typed: string): string | undefined =>
  things
    .map((t) => ({ t, s: findScore(t, typed) }))
    .filter((x) => x.s > 0)
    .sort((a, b) => b.s - a.s)[0]?.t;

describe("the find box", () => {
  it("answers with what was meant", () => {
    expect(best("undo")).toBe("command Undo");
    expect(best("walk")).toBe("command Walk a room");
    expect(best("R1 circuit")).toBe("circuit R1 Ring ground floor");
    expect(findScore("room First floor landing", "R1")).toBe(0);
    // A figure is the whole of it.
    expect(findScore("wall 20 Kitchen", "wall 2")).toBe(0);
    expect(best("kitchen wall 2")).toBe("wall 2 Kitchen");
    expect(best("wall 2 kitchen")).toBe("wall 2 Kitchen");
    expect(best("kitchen")).toBe("room Kitchen");
    expect(best("L1")).toBe("point L1 Ceiling light");
    expect(best("dark")).toBe("command Dark or light theme");
    expect(best("print")).toBe("command Papers print pdf");
    expect(best("xyzzy")).toBeUndefined();
  });
  it("is 1 for a thing typed in full and never more (property)", () => {
    fc.assert(
      fc.property(fc.constantFrom(...things), fc.string({ maxLength: 12 }), (thing, typed) => {
        expect(findScore(thing, thing)).toBeCloseTo(1, 9);
        expect(findScore(thing, typed)).toBeLessThanOrEqual(1 + 1e-9);
      }),
    );
  });
});
