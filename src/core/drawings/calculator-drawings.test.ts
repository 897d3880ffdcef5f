import { describe, expect, it } from "vitest";
import { drawBathRoom, drawLightingWires } from "./calculator-drawings";
import type { Shape } from "./scene";

const texts = (shapes: readonly Shape[]): string[] => shapes.flatMap((s) => (s.kind === "text" ? [s.text] : []));

describe("drawings beside answers", () => {
  it("a bath in its corner: zone 2 ends 600 from the edge, rounded, and not beyond the walls", () => {
    const room = { width: 2500, depth: 2000 };
    const points = [
      { id: "p1", x: 1700, y: 300, zone: null },
      { id: "p2", x: 1000, y: 1000, zone: 2 as const },
    ];
    const { shapes } = drawBathRoom({ x: 0, y: 0, width: 900, depth: 900 }, room, points);
    const edge = shapes.find((s) => s.kind === "line" && s.closed && JSON.stringify(s.dash) === "[2,4]")!;
    const at = edge.kind === "line" ? edge.points.map(([x, y]) => [x, room.depth - y] as const) : [];
    expect(Math.max(...at.map((q) => q[0]))).toBeCloseTo(1500, 6);
    expect(Math.max(...at.map((q) => q[1]))).toBeCloseTo(1500, 6);
    expect(Math.min(...at.flat())).toBe(0);
    // The round corner: every place of it beyond both edges is 600 from the corner of the bath.
    const corner = at.filter(([x, y]) => x > 900.001 && y > 900.001);
    expect(corner.length).toBeGreaterThan(3);
    for (const [x, y] of corner) expect(Math.hypot(x - 900, y - 900)).toBeCloseTo(600, 6);
    expect(texts(shapes)).toEqual(expect.arrayContaining(["p1", "p2, zone 2"]));
  });
  it("cables between lights and switches: one line each with its cores, a second between the same two beside the first", () => {
    const cables = [
      { from: "W1", to: "W2", cores: 3 as const },
      { from: "L1", to: "W1", cores: 2 as const },
      { from: "W1", to: "L1", cores: 2 as const },
    ];
    const { shapes } = drawLightingWires(["L1"], ["W1", "W2"], ["L1"], cables);
    expect(texts(shapes).filter((t) => t.endsWith("cores"))).toEqual(["3 cores", "2 cores", "2 cores"]);
    const ways = shapes.flatMap((s) =>
      s.kind === "line" && s.points.length === 3 ? [JSON.stringify(s.points[1])] : [],
    );
    expect(new Set(ways).size).toBe(3);
    expect(shapes.filter((s) => s.kind === "circle" && s.dash).length).toBe(1);
    expect(texts(shapes)).toEqual(expect.arrayContaining(["L1", "W1", "W2"]));
  });
});
