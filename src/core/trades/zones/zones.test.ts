import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { rectUnion, unionCovers } from "../../base/rect-union";
import { checkPath } from "./check-path";
import { type WallFaceShape, wallZones } from "../../house/wall-zones";

const plain: WallFaceShape = {
  length: 4000,
  height: 2400,
  thickness: 100,
  openings: [],
  cornerLeft: true,
  cornerRight: true,
};
const twin = { id: "a", u: 1000, v: 450, width: 146, height: 86 };

describe("zones of a wall (BS 7671:2018+A2:2022 522.6.202)", () => {
  it("has the band under the ceiling, both corner bands and the strips of a point", () => {
    expect(wallZones(plain, [twin])).toEqual([
      { kind: "top-band", u0: 0, v0: 2250, u1: 4000, v1: 2400 },
      { kind: "corner-band", u0: 0, v0: 0, u1: 150, v1: 2400 },
      { kind: "corner-band", u0: 3850, v0: 0, u1: 4000, v1: 2400 },
      { kind: "point-vertical", pointId: "a", u0: 927, u1: 1073, v0: 0, v1: 2400 },
      { kind: "point-horizontal", pointId: "a", u0: 0, u1: 4000, v0: 407, v1: 493 },
    ]);
  });

  it("ends a strip at an opening, as seen from the point", () => {
    const door = { u: 2000, v: 0, width: 838, height: 2040 };
    const level = wallZones({ ...plain, openings: [door] }, [twin]).find((z) => z.kind === "point-horizontal");
    expect(level).toMatchObject({ u0: 0, u1: 2000 });
  });

  it("lets the part of a strip beside an opening go on", () => {
    const window = { u: 1000, v: 900, width: 1200, height: 1000 };
    const strips = wallZones({ ...plain, openings: [window] }, [twin]).filter((z) => z.kind === "point-vertical");
    expect(strips).toHaveLength(2);
    expect(strips[0]).toMatchObject({ u0: 927, u1: 1000, v1: 2400 });
    expect(strips[1]).toMatchObject({ u0: 1000, u1: 1073, v1: 900 });
  });

  it("counts the other face's strips at 100 thick and not at 100.1", () => {
    const reverse = (thickness: number): number =>
      wallZones({ ...plain, thickness }, [], [twin]).filter((z) => z.kind.startsWith("reverse")).length;
    expect(reverse(100)).toBe(2);
    expect(reverse(100.1)).toBe(0);
  });

  it("makes no zone for a point inside a door", () => {
    const zones = wallZones({ ...plain, openings: [{ u: 800, v: 0, width: 838, height: 2040 }] }, [twin]);
    expect(zones.some((z) => z.pointId === "a")).toBe(false);
  });
});

describe("a path judged against the zones", () => {
  const zones = wallZones(plain, [twin]);
  const judge = (path: { u: number; v: number }[], depth = 15, safe = false) =>
    checkPath(plain, zones, path, { depth, protected: safe });

  it("passes a plumb drop with half the accessory's width to spare", () => {
    const { legs, facts } = judge([
      { u: 1000, v: 450 },
      { u: 1000, v: 2400 },
    ]);
    expect(legs[0]).toMatchObject({ inside: true, margin: 73 });
    expect(facts).toEqual([]);
  });
  it("takes a leg exactly on the edge of a zone as inside, and 1 mm beyond as outside", () => {
    expect(
      judge([
        { u: 1073, v: 600 },
        { u: 1073, v: 2000 },
      ]).legs[0]!.inside,
    ).toBe(true);
    const out = judge([
      { u: 1074, v: 600 },
      { u: 1074, v: 2000 },
    ]);
    expect(out.legs[0]!.margin).toBeCloseTo(-1, 6);
    expect(out.facts.map((f) => f.rule)).toEqual(["zone.outside"]);
  });
  it("stops a slope, but lets protected cable go anywhere", () => {
    const slope = [
      { u: 1000, v: 450 },
      { u: 2000, v: 2300 },
    ];
    expect(judge(slope).facts.map((f) => f.rule)).toContain("zone.diagonal");
    expect(judge(slope, 15, true).facts).toEqual([]);
  });
  it("asks no zone at 50 from both faces of a thick wall, and one at 49", () => {
    const thick = { ...plain, thickness: 250 };
    const path = [
      { u: 2000, v: 600 },
      { u: 2000, v: 2000 },
    ];
    expect(checkPath(thick, zones, path, { depth: 50, protected: false }).facts.map((f) => f.rule)).toEqual([
      "zone.deep",
    ]);
    expect(checkPath(thick, zones, path, { depth: 49, protected: false }).facts.map((f) => f.rule)).toEqual([
      "zone.outside",
    ]);
    expect(checkPath(thick, zones, path, { depth: 201, protected: false }).facts.map((f) => f.rule)).toEqual([
      "zone.outside",
    ]);
  });
  it("counts a leg covered by two zones together as inside", () => {
    expect(
      judge([
        { u: 1000, v: 2300 },
        { u: 100, v: 2300 },
      ]).legs[0]!.inside,
    ).toBe(true);
    expect(
      judge([
        { u: 100, v: 450 },
        { u: 100, v: 2400 },
      ]).legs[0]!.inside,
    ).toBe(true);
  });
});

describe("property: zones agree with a brute-force grid", () => {
  const cell = 50;
  const snapped = (max: number) => fc.integer({ min: 1, max: max / cell - 1 }).map((n) => n * cell);
  it("covers a level or plumb stretch exactly when every cell along it is covered", () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ u0: snapped(2000), v0: snapped(2000), w: snapped(1000), h: snapped(1000) }), {
          minLength: 1,
          maxLength: 8,
        }),
        snapped(2000),
        snapped(2000),
        fc.integer({ min: 1, max: 20 }),
        fc.boolean(),
        (rs, u, v, steps, level) => {
          const rects = rs.map((r) => ({ u0: r.u0, v0: r.v0, u1: r.u0 + r.w, v1: r.v0 + r.h }));
          const a = { u: u + cell / 2, v: v + cell / 2 };
          const b = level ? { u: a.u + steps * cell, v: a.v } : { u: a.u, v: a.v + steps * cell };
          let all = true;
          for (let t = 0; t <= steps * 10; t++) {
            const p = { u: a.u + ((b.u - a.u) * t) / (steps * 10), v: a.v + ((b.v - a.v) * t) / (steps * 10) };
            if (!rects.some((r) => p.u >= r.u0 && p.u <= r.u1 && p.v >= r.v0 && p.v <= r.v1)) all = false;
          }
          expect(unionCovers(rectUnion(rects), a, b)).toBe(all);
        },
      ),
      { numRuns: 300 },
    );
  });
});
