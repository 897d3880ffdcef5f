import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { topAt, topEdge } from "../../base/ceiling";
import { unionCovers } from "../../base/rect-union";
import { checkPath } from "./check-path";
import { BAND, type WallFaceShape, wallZones } from "../../house/wall-zones";
import { zoneUnion } from "../../house/zone-union";

const outline = [
  { x: 0, y: 0 },
  { x: 0, y: 8000 },
  { x: 5000, y: 8000 },
  { x: 5000, y: 0 },
];
const top = topEdge(
  {
    outline,
    height: 2400,
    slopes: [
      { wall: 0, eaves: 300, pitch: 45 },
      { wall: 2, eaves: 300, pitch: 45 },
    ],
  },
  1,
);
const gable: WallFaceShape = {
  length: 5000,
  height: 2400,
  thickness: 200,
  openings: [],
  cornerLeft: true,
  cornerRight: true,
  top,
};
const socket = { id: "S", u: 1500, v: 450, width: 146, height: 86 };
const zones = wallZones(gable, [socket]);
const judged = (path: { u: number; v: number }[]): string[] =>
  checkPath(gable, zones, path, { depth: 15, protected: false }).facts.map((f) => f.rule);

describe("zones on a wall under a sloping top", () => {
  it("the band under the top follows the slope, 150 below it measured plumb", () => {
    expect(zones.filter((z) => z.kind === "top-band").map((z) => Boolean(z.slope))).toEqual([true, false, true]);
    expect(
      judged([
        { u: 400, v: 700 - 75 },
        { u: 1900, v: 2200 - 75 },
      ]),
    ).toEqual([]);
    expect(
      judged([
        { u: 400, v: 700 - 75 },
        { u: 1900, v: 2200 - 400 },
      ]),
    ).toContain("zone.outside");
  });
  it("a line at another slope than the top is diagonal wherever it lies", () => {
    expect(
      judged([
        { u: 1500, v: 450 },
        { u: 1560, v: 900 },
      ]),
    ).toContain("zone.diagonal");
  });
  it("the strip of a point ends at the slope; a level one goes as far as the slope leaves room", () => {
    const plumb = zones.find((z) => z.kind === "point-vertical")!;
    expect(plumb.v1).toBeCloseTo(topAt(top, plumb.u0), 3);
    const level = zones.find((z) => z.kind === "point-horizontal")!;
    // Its upper edge at 493 meets the 45° slope 193 in from either end.
    expect([level.u0, level.u1].map(Math.round)).toEqual([193, 4807]);
  });
  it("corner bands are as high as the eaves, since the slope starts there", () => {
    const corner = zones.find((z) => z.kind === "corner-band")!;
    expect(corner.v1).toBeCloseTo(300, 3);
  });
  it("the band covers just what lies within 150 of the top: against sampling", () => {
    const union = zoneUnion(wallZones({ ...gable, cornerLeft: false, cornerRight: false }, []));
    const inside = (u: number, v: number): boolean =>
      v <= topAt(top, u) + 1e-9 && v >= Math.max(0, topAt(top, u) - BAND) - 1e-9;
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 5000 }),
        fc.integer({ min: 0, max: 2400 }),
        fc.integer({ min: 1, max: 900 }),
        fc.boolean(),
        (u, v, long, level) => {
          const [a, b] = [{ u, v }, level ? { u: Math.min(5000, u + long), v } : { u, v: Math.min(2400, v + long) }];
          const steps = Array.from({ length: 101 }, (_, i) => ({
            u: a.u + ((b.u - a.u) * i) / 100,
            v: a.v + ((b.v - a.v) * i) / 100,
          }));
          const all = steps.every((p) => inside(p.u, p.v));
          // A sampled line may touch the very edge between samples; what is covered must be inside at every sample, and the other way round.
          if (unionCovers(union, a, b)) expect(all).toBe(true);
          else if (all)
            expect(
              steps.some(
                (p) => Math.abs(p.v - topAt(top, p.u)) < 1e-3 || Math.abs(p.v - topAt(top, p.u) + BAND) < 1e-3,
              ),
            ).toBe(true);
        },
      ),
      { numRuns: 300 },
    );
  });
});
