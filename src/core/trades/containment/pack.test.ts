import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Packed, pack } from "./pack";

const halfHeight = (p: Packed): number => (p.shape === "round" ? p.r : p.h / 2);
const halfWidth = (p: Packed): number => (p.shape === "round" ? p.r : p.w / 2);

/** How far two cables reach into each other, mm; 0 when they only touch. */
function into(a: Packed, b: Packed): number {
  const [dx, dy] = [Math.abs(a.x - b.x), Math.abs(a.y - b.y)];
  if (a.shape === "round" && b.shape === "round") return Math.max(0, a.r + b.r - Math.hypot(dx, dy));
  if (a.shape === "flat" && b.shape === "flat")
    return Math.max(0, Math.min((a.w + b.w) / 2 - dx, (a.h + b.h) / 2 - dy));
  const [flat, round] = a.shape === "flat" ? [a, b] : [b, a];
  if (flat.shape !== "flat" || round.shape !== "round") return 0;
  return Math.max(0, round.r - Math.hypot(Math.max(0, dx - flat.w / 2), Math.max(0, dy - flat.h / 2)));
}

describe("cables dropped into a section", () => {
  it("one round lies on the bottom, at the left side of a trunking and in the middle of a conduit", () => {
    expect(pack({ width: 38, height: 16 }, [{ diameter: 10, qty: 1 }]).placed).toMatchObject([{ x: 5, y: 5, r: 5 }]);
    const [c] = pack({ diameter: 20 }, [{ diameter: 10, qty: 1 }]).placed;
    expect(c!.x).toBeCloseTo(10, 0);
    expect(c!.y).toBeCloseTo(5, 2);
  });
  it("a flat lies flat however it was measured: 10.1 across, 5.7 high", () => {
    for (const [width, thickness] of [
      [10.1, 5.7],
      [5.7, 10.1],
    ] as const)
      expect(pack({ width: 38, height: 16 }, [{ width, thickness, qty: 1 }]).placed).toEqual([
        { shape: "flat", x: 5.05, y: 2.85, w: 10.1, h: 5.7, size: 0 },
      ]);
  });
  it("three of 10 fill a bottom of 30, and the fourth lies in the hollow of two: 5 + 10 sin 60°", () => {
    const { placed, left } = pack({ width: 30, height: 40 }, [{ diameter: 10, qty: 4 }]);
    expect(left).toBe(0);
    expect(placed.slice(0, 3).map((p) => [p.x, p.y])).toEqual([
      [5, 5],
      [15, 5],
      [25, 5],
    ]);
    expect(placed[3]!.x).toBeCloseTo(10, 6);
    expect(placed[3]!.y).toBeCloseTo(5 + 10 * Math.sin(Math.PI / 3), 6);
  });
  it("flats stack square on each other, a round rests on a flat's top", () => {
    const flats = pack({ width: 10.1, height: 12 }, [{ width: 10.1, thickness: 5.7, qty: 3 }]);
    expect(flats.placed.map((p) => p.y)).toEqual([2.85, 8.55]);
    expect(flats.left).toBe(1);
    const mixed = pack({ width: 10, height: 20 }, [
      { width: 10, thickness: 6, qty: 1 },
      { diameter: 5, qty: 1 },
    ]);
    expect(mixed.placed.map((p) => p.y)).toEqual([3, 8.5]);
  });
  it("the largest goes in first, and says which of the sizes it is", () =>
    expect(
      pack({ width: 100, height: 50 }, [
        { diameter: 6, qty: 1 },
        { diameter: 12, qty: 1 },
      ]).placed.map((p) => p.size),
    ).toEqual([1, 0]));
  it("never overlaps, never leaves the section, and everything lies on something", () => {
    const inside = fc.oneof(
      fc.record({ width: fc.integer({ min: 20, max: 100 }), height: fc.integer({ min: 15, max: 60 }) }),
      fc.record({ diameter: fc.integer({ min: 16, max: 60 }) }),
    );
    const cable = fc.oneof(
      fc.record({ diameter: fc.integer({ min: 3, max: 14 }), qty: fc.integer({ min: 1, max: 4 }) }),
      fc.record({
        width: fc.integer({ min: 6, max: 14 }),
        thickness: fc.integer({ min: 4, max: 7 }),
        qty: fc.integer({ min: 1, max: 4 }),
      }),
    );
    fc.assert(
      fc.property(inside, fc.array(cable, { minLength: 1, maxLength: 4 }), (box, cables) => {
        const { placed, left } = pack(box, cables);
        expect(placed.length + left).toBe(cables.reduce((n, c) => n + c.qty, 0));
        placed.forEach((p, i) => {
          for (const q of placed.slice(0, i)) expect(into(p, q)).toBeLessThan(1e-3);
          if ("diameter" in box) {
            const R = box.diameter / 2;
            const reach =
              p.shape === "round"
                ? Math.hypot(p.x - R, p.y - R) + p.r
                : Math.max(...[-1, 1].map((s) => Math.hypot(Math.abs(p.x - R) + p.w / 2, p.y - R + (s * p.h) / 2)));
            expect(reach).toBeLessThanOrEqual(R + 1e-3);
          } else {
            expect(p.x - halfWidth(p)).toBeGreaterThanOrEqual(-1e-6);
            expect(p.x + halfWidth(p)).toBeLessThanOrEqual(box.width + 1e-6);
            expect(p.y + halfHeight(p)).toBeLessThanOrEqual(box.height + 1e-6);
            // Pressed 0.01 down it would reach into the bottom or into another.
            const down = { ...p, y: p.y - 0.01 };
            expect(down.y - halfHeight(down) < 0 || placed.some((q) => q !== p && into(down, q) > 0)).toBe(true);
          }
        });
      }),
      { numRuns: 60 },
    );
  });
});
