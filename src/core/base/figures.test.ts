import { describe, expect, it } from "vitest";
import { count, figure, mm, most, quantity, toCut } from "./figures";

describe("figures as people read them", () => {
  it.each([
    [0, "0"],
    [999, "999"],
    [1000, "1\u202f000"],
    [1_234_567.89, "1\u202f234\u202f567.9"],
    [68.5, "68.5"],
    [68.04, "68"],
    [-1200.25, "-1\u202f200.2"],
  ])("%s mm is %s", (x, words) => expect(mm(x)).toBe(words));
  it.each([
    [17_181.4, "17\u202f182"],
    [17_181, "17\u202f181"],
    [17_181.000_000_1, "17\u202f181"],
    [17_181.01, "17\u202f182"],
  ])("%s mm is cut at %s: never short", (x, words) => expect(toCut(x)).toBe(words));
  it.each([
    [48.75, "48.7"],
    [48.7, "48.7"],
    [37.5, "37.5"],
    [22, "22"],
    [0.3 * 3, "0.9"],
  ])("a hole of %s at most is said to be %s: never more", (x, words) => expect(most(x)).toBe(words));
  it("counts one and many, and rounds other units as they are read", () => {
    expect([count(1, "hole"), count(2, "hole"), count(0, "box", "boxes")]).toEqual(["1 hole", "2 holes", "0 boxes"]);
    expect([figure(1.2), figure(1.256), figure(1.256, 1)]).toEqual(["1.2", "1.26", "1.3"]);
    expect([quantity(1200, undefined), quantity(1200, "mm"), quantity(46.25, "%"), quantity(1.2345, "Ω")]).toEqual([
      "1\u202f200",
      "1\u202f200",
      "46.3",
      "1.234",
    ]);
  });
});
