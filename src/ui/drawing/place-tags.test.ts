import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Tag, boxRound, placeLabels, placeTags } from "./place-tags";

const apart = (a: { x0: number; y0: number; x1: number; y1: number }, b: typeof a): boolean =>
  a.x1 <= b.x0 || b.x1 <= a.x0 || a.y1 <= b.y0 || b.y1 <= a.y0;

describe("tags of points", () => {
  it("stay where they are as long as none lies on another", () => {
    const tags: Tag[] = [0, 40, 80].map((x, i) => ({ id: `S${i}`, x, y: 0, w: 24, h: 17 }));
    for (const [dx, dy] of placeTags(tags).moved.values()) expect([dx, dy]).toEqual([0, 0]);
  });
  it("two at one place: the second goes just over or under the first", () => {
    const two: Tag[] = [0, 1].map((n) => ({ id: `S${n}`, x: 100, y: 100, w: 24, h: 17 }));
    const { moved } = placeTags(two);
    expect(moved.get("S0")).toEqual([0, 0]);
    expect(Math.abs(moved.get("S1")![1])).toBe(19);
    expect(moved.get("S1")![0]).toBe(0);
  });
  it("leave a hole in sight, and a label keeps off it too", () => {
    const hole = boxRound(100, 100, 5);
    const { moved, taken } = placeTags([{ id: "S1", x: 100, y: 100, w: 24, h: 17 }], [hole]);
    expect(moved.get("S1")).not.toEqual([0, 0]);
    expect(taken).toHaveLength(2);
    expect(apart(taken[0]!, taken[1]!)).toBe(true);
    expect(placeLabels([{ id: "a", w: 20, h: 15, at: [{ x: 100, y: 100 }] }], [hole]).get("a")).toBeNull();
  });
  it("stay within their row: one that would be pushed past its end goes the other way", () => {
    const crowd: Tag[] = [0, 1, 2, 3, 4, 5, 6].map((n) => ({
      id: `S${n}`,
      x: 195,
      y: 100,
      w: 24,
      h: 17,
      between: [0, 200],
    }));
    for (const t of crowd) {
      const [dx] = placeTags(crowd).moved.get(t.id)!;
      expect(t.x + dx + 12).toBeLessThanOrEqual(207);
    }
    expect(new Set([...placeTags(crowd).moved.values()].map(String)).size).toBe(7);
  });
  it("never lie on one another where a few crowd, whatever their places (property)", () => {
    const tag = fc.record({
      x: fc.integer({ min: 0, max: 120 }),
      y: fc.integer({ min: 0, max: 60 }),
      w: fc.integer({ min: 20, max: 40 }),
    });
    fc.assert(
      fc.property(fc.array(tag, { maxLength: 10 }), (list) => {
        const { taken } = placeTags(list.map((t, i) => ({ ...t, id: String(i), h: 17 })));
        taken.forEach((a, i) => taken.slice(i + 1).forEach((b) => expect(apart(a, b)).toBe(true)));
      }),
    );
  });
});

describe("labels of runs", () => {
  it("stand at their first free place, off tags and one another, or are left out", () => {
    const { taken } = placeTags([{ id: "S1", x: 0, y: 0, w: 24, h: 17 }]);
    const at = placeLabels(
      [
        {
          id: "a",
          w: 20,
          h: 15,
          at: [
            { x: 4, y: 4 },
            { x: 50, y: 0 },
          ],
        },
        { id: "b", w: 20, h: 15, at: [{ x: 52, y: 2 }] },
        { id: "c", w: 20, h: 15, at: [] },
      ],
      taken,
    );
    expect(at.get("a")).toEqual({ x: 50, y: 0 });
    expect(at.get("b")).toBeNull();
    expect(at.get("c")).toBeNull();
  });
});
