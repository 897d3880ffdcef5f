import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { isClockwise, selfCrossing } from "../base/polygon";
import { type ClosedWalk, type Diagonal, closeWalk, gapWords } from "./close-walk";
import { readWalk } from "./walk";

const room = (text: string, diagonals: Diagonal[] = []): ClosedWalk => {
  const read = readWalk(text);
  if (!("walk" in read)) throw new Error(read.refusals[0]!.message);
  const closed = closeWalk(read.walk, diagonals);
  if (!("room" in closed)) throw new Error(closed.refusals[0]!.message);
  return closed.room;
};
const refusal = (text: string): string => {
  const read = readWalk(text);
  if (!("walk" in read)) return read.refusals[0]!.message;
  const closed = closeWalk(read.walk);
  return "room" in closed ? "closed" : closed.refusals[0]!.message;
};
const sides = (r: ClosedWalk): number[] =>
  r.outline.map((a, i) =>
    Math.hypot(r.outline[(i + 1) % r.outline.length]!.x - a.x, r.outline[(i + 1) % r.outline.length]!.y - a.y),
  );

describe("walking a room", () => {
  const square = [
    { x: 0, y: 0 },
    { x: 0, y: 4200 },
    { x: 3600, y: 4200 },
    { x: 3600, y: 0 },
  ];
  it("two sides are no room yet, however they are turned", () => {
    for (const text of ["3600 r 2800 r", "3600 r 2800", "3600"])
      expect(refusal(text)).toBe("a room has at least three sides");
  });
  it("closes a rectangle however its end is written", () => {
    for (const text of [
      "4200 r 3600 r 4200 r 3600",
      "4200 r 3600 r 4200 r 3600 r",
      "4.2m r 3.6m r 4200mm r 3600",
      "4200 r 3600 r 4200",
      "4200 r 3600 r 4200 r",
      "4200 r ? r 4200 r 3600",
      "? r ? r 4200 r 3600",
      "4200, r, 3600, r, 4200, r, 3600",
    ]) {
      const r = room(text);
      expect(r.outline, text).toEqual(square);
      expect(r.gap).toBeCloseTo(0, 6);
    }
  });
  it("walked the other way round, gives the corners clockwise all the same", () => {
    const r = room("4200 l 3600 l 4200 l 3600 l");
    expect(isClockwise(r.outline)).toBe(true);
    expect(sides(r).sort()).toEqual([3600, 3600, 4200, 4200]);
  });
  it("turns left round what juts in", () => {
    const r = room("4000 r 3000 r 1500 l 1000 r 2500 r 4000");
    expect(r.outline).toEqual([
      { x: 0, y: 0 },
      { x: 0, y: 4000 },
      { x: 3000, y: 4000 },
      { x: 3000, y: 2500 },
      { x: 4000, y: 2500 },
      { x: 4000, y: 0 },
    ]);
  });
  it("takes other angles: a bay of two 45s", () => {
    // Worked by hand: 1 000 at 45° is 707.1 along and across.
    const r = room("3000 r45 1000 r45 2000 r 3707.1 r 2707.1");
    expect(r.outline[2]!.x).toBeCloseTo(707.1, 1);
    expect(r.outline[2]!.y).toBeCloseTo(3707.1, 1);
    expect(r.gap).toBeLessThan(0.1);
  });
  it("shows the closing error and shares it out: half of 10 mm each on the two long sides", () => {
    const r = room("4200 r 3600 r 4210 r 3600");
    expect(r.gap).toBeCloseTo(10, 6);
    expect(gapWords(r)).toMatch(/^Ends 10 from where it began, 0\.1 %/);
    expect(r.sides[0]!.used).toBeGreaterThan(4202);
    expect(r.sides[2]!.used).toBeLessThan(4208);
    // Opposite errors: what one side gains the other loses.
    expect(r.sides[0]!.used - 4200).toBeCloseTo(4210 - r.sides[2]!.used, 3);
    expect(gapWords(room("4200 r 3600 r 4300 r 3600"))).toContain("measure again");
  });
  it("says of the closing error what a tape explains: nothing under half a millimetre, a slip past one in two hundred", () => {
    expect(gapWords({ gap: 0.49, share: 0.02 })).toBe("Closes.");
    expect(gapWords({ gap: 0.5, share: 0.005 })).toBe(
      "Ends 0.5 from where it began, 0.5 % of the way round; shared out over the sides.",
    );
    expect(gapWords({ gap: 80, share: 0.0051 })).toBe(
      "Ends 80 from where it began, 0.5 % of the way round; shared out over the sides. That is more than a tape's slip: measure again, or take a diagonal.",
    );
  });
  it("a diagonal pins a crooked room that four sides cannot", () => {
    // A parallelogram leaning 100 mm in 4 000: sides 4001.2, diagonal 5 455.1 from corner 1 to 3 (worked with Pythagoras).
    const lean = Math.hypot(100, 4000);
    const diagonal = Math.hypot(3600 + 100, 4000);
    const r = room(`${lean} r 3600 r ${lean} r 3600`, [{ from: 0, to: 2, length: diagonal }]);
    expect(r.diagonals[0]!.used).toBeCloseTo(diagonal, 1);
    expect(r.sides[0]!.usedTurn).toBeCloseTo(90 - (Math.atan2(100, 4000) * 180) / Math.PI, 1);
    expect(room(`${lean} r 3600 r ${lean} r 3600`).sides[0]!.usedTurn).toBeCloseTo(90, 6);
  });
  it("refuses in words what cannot be read or closed", () => {
    expect(refusal("")).toMatch(/empty/);
    expect(refusal("3600 x 2800")).toMatch(/word 2 is “x”; a turn is wanted/);
    expect(refusal("r 3600")).toMatch(/word 1 is the turn r/);
    expect(refusal("5 r 3600")).toMatch(/side 1 is 5; a side is 10 to 50000/);
    expect(refusal("3600 r200 2800")).toMatch(/less than 180/);
    expect(refusal("? r ? r ? r 3600")).toMatch(/3 sides have no length/);
    expect(refusal("3600 r ? r 3600 r ?")).toMatch(/run the same way/);
    expect(refusal("3600 r 2800")).not.toBe("closed".repeat(2));
  });
  it("an L of any size comes back from its own measures, and small slips stay small", () => {
    const cm = (lo: number, hi: number) => fc.integer({ min: lo, max: hi }).map((x) => x * 10);
    fc.assert(
      fc.property(
        cm(200, 500),
        cm(150, 400),
        cm(50, 120),
        cm(40, 140),
        fc.array(fc.integer({ min: -3, max: 3 }), { minLength: 6, maxLength: 6 }),
        (a, b, c, d, slip) => {
          const true6 = [a, b, c, d, a - c, b + d];
          const turns = ["r", "r", "l", "r", "r", "r"];
          const text = (s: number[]): string => s.map((x, i) => `${x} ${turns[i]}`).join(" ");
          const exact = room(text(true6));
          expect(exact.gap).toBeLessThan(1e-6);
          expect(sides(exact).map((x) => Math.round(x * 10) / 10)).toEqual(true6);
          const off = room(text(true6.map((x, i) => x + slip[i]!)));
          expect(selfCrossing(off.outline)).toBeNull();
          for (const [i, x] of sides(off).entries()) expect(Math.abs(x - true6[i]!)).toBeLessThan(12);
        },
      ),
      { numRuns: 60 },
    );
  });
});
