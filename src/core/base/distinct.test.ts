import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { distinct, indexNear } from "./distinct";

describe("places in order", () => {
  it("those the same as the one before are left out", () =>
    expect(distinct([30, 10, 10.0000005, 20, 30])).toEqual([10, 20, 30]));
  it("each is found by its place, to a millionth of a mm, and nothing else is", () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -5000, max: 5000 }), { maxLength: 40 }), (xs) => {
        const list = distinct([...xs]);
        list.forEach((x, i) => {
          expect(indexNear(list, x)).toBe(i);
          expect([indexNear(list, x + 5e-7), indexNear(list, x - 5e-7)]).toEqual([i, i]);
          expect([indexNear(list, x + 0.5), indexNear(list, x - 0.5)]).toEqual([-1, -1]);
        });
        expect(indexNear(list, 9000)).toBe(-1);
      }),
    ));
});
