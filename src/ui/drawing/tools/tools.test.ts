import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type ScaleTool, measuredBy, pressScale, scaleTrace } from "./known-length";
import { type OutlineTool, closeOutline, lastSide, nextCorner, pressOutline } from "./outline";

const at = (x: number, y: number) => ({ x, y });
const outline = (...corners: { x: number; y: number }[]): OutlineTool => ({ kind: "outline", corners });

describe("an outline drawn corner by corner", () => {
  it("comes to the centimetre, square where it is nearly so, and to the millimetre with Alt", () => {
    expect(nextCorner([], at(1234, 567), false)).toEqual(at(1230, 570));
    expect(nextCorner([], at(1234.4, 567.6), true)).toEqual(at(1234, 568));
    // 1 000 along and 119 up is drawn level; 121 up is not.
    expect(nextCorner([at(3, 7)], at(1003, 126), false)).toEqual(at(1000, 7));
    expect(nextCorner([at(3, 7)], at(1003, 128), false)).toEqual(at(1000, 130));
    expect(nextCorner([at(3, 7)], at(122, 1007), false)).toEqual(at(3, 1010));
    expect(nextCorner([at(3, 7)], at(124, 1007), false)).toEqual(at(120, 1010));
    expect(nextCorner([at(3, 7)], at(1003.4, 10.2), true)).toEqual(at(1003, 10));
  });
  it("a press adds a corner; on the first one, once there are three, it adds none", () => {
    const two = outline(at(0, 0), at(0, 2000));
    expect(pressOutline(two, at(5, 5), 0.1, false).corners).toHaveLength(3);
    const three = outline(...two.corners, at(3000, 2000));
    // At a tenth of a px to the mm, 12 px are 120 mm.
    expect(pressOutline(three, at(119, 0), 0.1, false)).toBe(three);
    expect(pressOutline(three, at(121, 0), 0.1, false).corners).toHaveLength(4);
    expect(pressOutline(outline(), at(4, 4), 1, false).corners).toEqual([at(0, 0)]);
  });
  it("the last side takes the length typed, the way it runs", () => {
    expect(lastSide(outline(at(0, 0), at(0, 2000)), "2,345")).toEqual(outline(at(0, 0), at(0, 2345)));
    expect(lastSide(outline(at(0, 0), at(300, 400)), "1 m")).toEqual(outline(at(0, 0), at(600, 800)));
    expect(lastSide(outline(at(0, 0)), "900")).toBe("Draw a side first, then type its length.");
    expect(lastSide(outline(at(0, 0), at(0, 9)), "9")).toMatch(
      /The length of the last side is 9; it must be between 10/,
    );
    expect(lastSide(outline(at(0, 0), at(0, 9)), "x")).toMatch(/“x”/);
    const before = outline(at(0, 0), at(0, 2000));
    lastSide(before, "2345");
    expect(before.corners[1]).toEqual(at(0, 2000));
  });
  it("closes clockwise whichever way it was drawn, and says what keeps it open", () => {
    const clockwise = [at(0, 0), at(0, 2000), at(3000, 2000), at(3000, 0)];
    expect(closeOutline(outline(...clockwise))).toEqual(clockwise);
    expect(closeOutline(outline(...[...clockwise].reverse()))).toEqual(clockwise);
    expect(closeOutline(outline(at(0, 0), at(0, 9)))).toBe("The outline has 2 corners; a room has at least 3.");
    expect(closeOutline(outline(at(0, 0), at(2000, 2000), at(2000, 0), at(0, 2000)))).toMatch(
      /^Side \d crosses side \d\.$/,
    );
  });
});

describe("a drawing scaled by a known length", () => {
  const trace = {
    id: "t",
    storey: "g",
    picture: "p",
    name: "Plan",
    x: 100,
    y: 5000,
    scale: 10,
    width: 800,
    height: 600,
    shown: true,
  };
  const tool: ScaleTool = { kind: "scale", trace: "t", a: null, b: null };
  it("takes the first place, then the second, and then only moves the second", () => {
    const one = pressScale(tool, at(100, 0));
    const two = pressScale(one, at(2100, 0));
    expect([measuredBy(tool), measuredBy(one), measuredBy(two)]).toEqual([null, null, 2000]);
    expect(pressScale(two, at(1100, 0))).toEqual({ ...two, b: at(1100, 0) });
  });
  it("half as long is half the scale, the first place where it was", () => {
    const two: ScaleTool = { ...tool, a: at(1100, 3000), b: at(3100, 3000) };
    expect(scaleTrace(two, trace, "1000")).toEqual({ ...trace, scale: 5, x: 600, y: 4000 });
    expect(scaleTrace(two, trace, "49")).toMatch(/The known length is 49; it must be between 50 and 100.000 mm/);
    expect(scaleTrace(tool, trace, "1000")).toBe("Press two different places first.");
    expect(scaleTrace({ ...two, b: two.a }, trace, "1000")).toBe("Press two different places first.");
  });
  it("afterwards the two places on the paper lie as far apart as was said", () => {
    const place = fc.record({ x: fc.integer({ min: -9000, max: 9000 }), y: fc.integer({ min: -9000, max: 9000 }) });
    fc.assert(
      fc.property(place, place, fc.integer({ min: 50, max: 100_000 }), (a, b, n) => {
        fc.pre(Math.hypot(a.x - b.x, a.y - b.y) > 10);
        const next = scaleTrace({ ...tool, a, b }, trace, String(n));
        if (typeof next === "string") throw new Error(next);
        // The pixel under a place: right and down from the drawing's corner.
        const pixel = (p: { x: number; y: number }) => ({
          x: (p.x - trace.x) / trace.scale,
          y: (trace.y - p.y) / trace.scale,
        });
        const now = (q: { x: number; y: number }) => ({ x: next.x + q.x * next.scale, y: next.y - q.y * next.scale });
        const [p, q] = [now(pixel(a)), now(pixel(b))];
        expect(Math.hypot(p.x - q.x, p.y - q.y)).toBeCloseTo(n, 3);
        expect([p.x, p.y]).toEqual([expect.closeTo(a.x, 6), expect.closeTo(a.y, 6)]);
      }),
    );
  });
});
