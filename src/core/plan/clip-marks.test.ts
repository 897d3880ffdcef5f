import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { deck, house, onW1, run } from "../book/limits/by-hand.fixture";
import { layHouse } from "../house/house";
import type { Clips, Run } from "../laid/laid";
import { clipMarks } from "./clip-marks";

const h = layHouse(house({ decks: [deck()] }));
const clips = (marks: number[]): Clips => ({
  ...{ run: "c.db.s1", leg: 0, marks, pitch: 0, max: 300, reachable: true, metal: false },
});
const on = (legs: Parameters<typeof run>[0]): Run => run(legs);

describe("marks of clips", () => {
  it("a level leg from the nearer corner of its wall, whichever way it was laid", () => {
    const left = on([{ method: "surface", path: onW1([1500, 450], [500, 450]) }]);
    expect(clipMarks(h, left, clips([100, 500, 900]))[0]).toMatchObject({
      from: "left corner",
      on: { wall: "w1" },
      marks: [600, 1000, 1400],
    });
    const right = on([{ method: "surface", path: onW1([2500, 450], [3500, 450]) }]);
    expect(clipMarks(h, right, clips([100, 900]))[0]).toMatchObject({ from: "right corner", marks: [600, 1400] });
  });
  it("a plumb leg from the floor, or from the ceiling where that is nearer", () => {
    const low = on([{ path: onW1([1000, 1000], [1000, 300]) }]);
    expect(clipMarks(h, low, clips([100, 600]))[0]).toMatchObject({ from: "floor", marks: [400, 900] });
    const high = on([{ path: onW1([1000, 1500], [1000, 2400]) }]);
    expect(clipMarks(h, high, clips([100, 800]))[0]).toMatchObject({ from: "ceiling", marks: [100, 800] });
  });
  it("along a joist from the left bearing of its span, the joist named", () => {
    // Joists run east and west, the first 300 from the south; beside the second.
    const beside = on([
      {
        surface: { kind: "deck", id: "d" },
        method: "along-joist",
        path: [
          [3000, 730, 2500],
          [1000, 730, 2500],
        ],
      },
    ]);
    const from = h.decks[0]!.joists[1]!.spans[0]![0];
    expect(clipMarks(h, beside, clips([100, 1900]))).toEqual([
      {
        run: "c.db.s1",
        leg: 0,
        from: "left bearing",
        on: { deck: "d", joist: 2, span: 1 },
        marks: [1100 - from, 2900 - from],
      },
    ]);
    // Over a wall that carries the joists in their middle, from 1 950 to 2 050, each span has its own.
    const two = layHouse(house({ decks: [deck({ joists: { ...deck().joists, bearings: [[1950, 2050]] } })] }));
    const spans = two.decks[0]!.joists[1]!.spans;
    expect(clipMarks(two, beside, clips([100, 700, 960, 1900])).map((m) => [m.on, m.marks])).toEqual([
      [{ deck: "d", joist: 2, span: 2 }, [250, 850]],
      // 2 040 lies in the wall itself.
      [{ deck: "d", joist: 2, span: 1 }, [1100 - spans[0]![0], 2040 - spans[0]![0]]],
    ]);
  });
  it("elsewhere along the leg itself", () => {
    const gone = on([{ surface: { kind: "wall", id: "gone" }, path: onW1([0, 0], [1000, 0]) }]);
    expect(clipMarks(h, gone, clips([100, 900]))[0]).toMatchObject({
      from: "start of the leg",
      on: null,
      marks: [100, 900],
    });
  });
  it("keeps the gaps of the clips, lies on the wall, and never measures past its middle for both ends", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 2000 }),
        fc.integer({ min: 400, max: 1900 }),
        fc.boolean(),
        (u, length, back) => {
          const ends: [number, number][] = [
            [u, 450],
            [u + length, 450],
          ];
          const r = on([{ method: "surface", path: onW1(...(back ? ends.reverse() : ends)) }]);
          const marks = [100, length / 2, length - 100];
          const m = clipMarks(h, r, clips(marks))[0]!;
          expect(m.marks[2]! - m.marks[0]!).toBeCloseTo(length - 200, 6);
          expect(m.marks.every((x) => x >= 0 && x <= 4000)).toBe(true);
          expect((m.marks[0]! + m.marks[2]!) / 2).toBeLessThanOrEqual(2000 + 1e-6);
        },
      ),
    );
  });
});
