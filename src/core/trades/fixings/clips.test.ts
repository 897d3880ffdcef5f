import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { tailLength } from "../ends/tails";
import { bendRadius } from "./bends";
import { clipLayout, clipSpacing } from "./clips";

describe("clip spacing (on-site practice to BS 7671:2018+A2:2022)", () => {
  it("gives the worked examples", () => {
    expect(clipSpacing("sheathed", 10.1, "horizontal", true)).toMatchObject({ max: 300, binding: true });
    expect(clipSpacing("armoured", 18.4, "horizontal", true)).toMatchObject({ max: 400 });
  });
  it.each([
    [9, 250],
    [9.01, 300],
    [15, 300],
    [15.01, 350],
    [20, 350],
    [20.01, 400],
    [40, 400],
  ])("takes a sheathed cable of %s across as %s", (d, max) => {
    expect(clipSpacing("sheathed", d, "horizontal", true).max).toBe(max);
  });
  it("leaves to the maker what no table holds", () => {
    for (const [family, d] of [
      ["sheathed", 40.1],
      ["armoured", 8],
      ["mi", 21],
    ] as const) {
      const s = clipSpacing(family, d, "vertical", true);
      expect(s.max).toBeNull();
      expect(s.facts.map((f) => f.rule)).toEqual(["clip.maker"]);
    }
  });
  it("does not bind out of reach, and keeps to the table where that school is chosen", () => {
    expect(clipSpacing("sheathed", 10.1, "horizontal", false)).toMatchObject({ max: 450, binding: false });
    expect(clipSpacing("sheathed", 10.1, "horizontal", false, "table")).toMatchObject({ max: 300, binding: false });
  });
});

describe("clip layout", () => {
  it("spaces 2000 at most 300 as seven clips from 100 to 1900", () => {
    expect(clipLayout(2000, 300)).toEqual({ count: 7, pitch: 300, marks: [100, 400, 700, 1000, 1300, 1600, 1900] });
  });
  it("puts one clip in the middle of a short stretch", () => {
    expect(clipLayout(150, 300)).toEqual({ count: 1, pitch: 0, marks: [75] });
    expect(clipLayout(200, 300)).toEqual({ count: 1, pitch: 0, marks: [100] });
  });
  it("property: never wider than allowed, evenly, inside the stretch, with no clip to spare", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 201, max: 20_000, noNaN: true }),
        fc.double({ min: 50, max: 2000, noNaN: true }),
        (length, max) => {
          const { marks, pitch, count } = clipLayout(length, max);
          expect(marks).toHaveLength(count);
          expect(pitch).toBeLessThanOrEqual(max + 1e-6);
          expect(marks[0]).toBeCloseTo(100, 6);
          expect(marks[count - 1]).toBeCloseTo(length - 100, 6);
          if (count > 2) expect((length - 200) / (count - 2)).toBeGreaterThan(max - 1e-3);
        },
      ),
    );
  });
});

describe("tails and bends", () => {
  it("leaves the box and 60 from a side, 70 from above", () => {
    expect(tailLength({ width: 130, height: 70 }, "left")).toEqual({ length: 190, facts: [] });
    expect(tailLength({ width: 130, height: 70 }, "top").length).toBe(140);
    expect(tailLength({ width: 70, height: 70 }, "top", 49).facts.map((f) => f.rule)).toEqual(["end.tail"]);
    expect(tailLength({ width: 70, height: 70 }, "top", 50).facts).toEqual([]);
  });
  it("takes the wider axis of a flat cable, inclusive at 10 and 25", () => {
    expect(bendRadius("sheathed", 10, 5).factor).toBe(3);
    expect(bendRadius("sheathed", 10.1, 5.8)).toEqual({ factor: 4, radius: 40.4 });
    expect(bendRadius("sheathed", 10.1, 5.8, "thickness").factor).toBe(3);
    expect(bendRadius("sheathed", 25.1, 25.1).factor).toBe(6);
    expect(bendRadius("armoured", 18, 18).radius).toBe(108);
  });
});
