import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { house } from "../../book/limits/by-hand.fixture";
import { layHouse } from "../../house/house";
import { laySection } from "../../house/sections";
import type { SectionKind } from "../../rules/sections";
import { TAB, acrossFolded, notchTab } from "./flat-cuts";
import { halfNotch } from "./fold";
import { sectionPieces } from "./section-pieces";
import { section, wall } from "./sections.fixture";

type XY = readonly [number, number];
/** Which side of the line from the tip to a place on the mouth, and how far off it. */
const off = ([x, y]: XY, mouth: XY): number => (x * mouth[1] - y * mouth[0]) / Math.hypot(...mouth);

describe("the tab of a notch", () => {
  it("of 90° in trunking 50 deep: 15 wide along the cut, two holes in its middle line", () => {
    const tab = notchTab(50, 50)!;
    const [tip, near, far, corner] = tab.outline;
    expect([tip, corner]).toEqual([
      [0, 0],
      [-50, 50],
    ]);
    expect(off(near!, [-50, 50])).toBeCloseTo(TAB, 9);
    expect(off(far!, [-50, 50])).toBeCloseTo(TAB, 9);
    expect(far![1]).toBeCloseTo(50, 9);
    expect(tab.holes).toHaveLength(2);
    for (const o of tab.holes) expect(off(o, [-50, 50])).toBeCloseTo(TAB / 2, 9);
  });
  it("property: lies in what the notch takes out, and closed on the other side within its depth", () => {
    fc.assert(
      fc.property(fc.integer({ min: 16, max: 150 }), fc.integer({ min: 5, max: 90 }), (reach, angle) => {
        const half = halfNotch(reach, angle);
        const tab = notchTab(half, reach);
        if (!tab) return;
        for (const p of [...tab.outline, ...tab.holes]) {
          expect(off(p, [-half, reach])).toBeGreaterThan(-1e-9);
          expect(off(p, [half, reach])).toBeLessThan(1e-9);
          expect(p[1]).toBeLessThan(reach + 1e-9);
        }
        // Closed: turned about the tip until the two edges of the notch meet, it lies on the other side's skin.
        const t = -2 * Math.atan(half / reach);
        for (const [x, y] of tab.outline) {
          const turned: XY = [x * Math.cos(t) - y * Math.sin(t), x * Math.sin(t) + y * Math.cos(t)];
          expect(off(turned, [half, reach])).toBeGreaterThan(-1e-9);
          expect(turned[1]).toBeGreaterThan(-1e-9);
          expect(turned[1]).toBeLessThan(reach + 1e-9);
        }
      }),
      { numRuns: 300 },
    );
  });
  it("there is none where the notch is too narrow or wider than a right angle, one hole where it is short", () => {
    expect(notchTab(halfNotch(16, 22.5), 16)).toBe(null);
    expect(notchTab(halfNotch(50, 100), 50)).toBe(null);
    expect(notchTab(0, 50)).toBe(null);
    expect(notchTab(halfNotch(60, 22.5), 60)!.holes).toHaveLength(1);
  });
});

describe("across a piece with one corner", () => {
  const across = (kind: SectionKind, size: string, path: object[]): number | null => {
    const job = house({ sections: [section(kind, size, path, { corners: "folded" })] });
    const h = layHouse(job);
    const s = laySection(h, job.sections[0]!)!;
    return acrossFolded(sectionPieces(h, s)[0]!, s.size.width);
  };
  const flat = [wall("w1", 300, 700), wall("w1", 1200, 700), wall("w1", 1200, 1900)];
  const round = [wall("w1", 3100, 700), wall("w1", 4000, 700), wall("w2", 0, 700), wall("w2", 1200, 700)];
  it("is what a tape shows from end to end: of 900 and 1 200 at a right angle 1 500, folded flat, by two cuts or bent", () => {
    expect(across("trunking-plastic", "50x50", flat)).toBeCloseTo(1500, 6);
    expect(across("tray", "150", flat)).toBeCloseTo(1500, 6);
    expect(across("conduit-metal", "20", flat)).toBeCloseTo(1500, 6);
    expect(across("trunking-plastic", "50x50", round)).toBeCloseTo(1500, 6);
    // The middle of a tube lies 10 off both walls of a corner.
    expect(across("conduit-metal", "20", round)).toBeCloseTo(Math.hypot(890, 1190), 6);
  });
  it("there is none for a straight piece or one with more corners", () => {
    expect(across("trunking-plastic", "50x50", flat.slice(0, 2))).toBe(null);
    expect(across("trunking-plastic", "50x50", [...flat, wall("w1", 1700, 1900)])).toBe(null);
  });
});
