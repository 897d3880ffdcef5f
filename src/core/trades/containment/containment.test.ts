import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { standardCatalogue } from "../../rules/catalogue";
import { conduitSet, rightAngle } from "./conduit-bends";
import { foldAngle, foldedSet, halfNotch, setMarks } from "./fold";
import { type Packed, pack } from "./pack";
import { pickForCables, pickForCores } from "./pick";
import { type Filling, type Inside, spaceFill } from "./space-fill";
import { sizeName, termFill } from "./term-fill";
import { longConduit, shortConduit, trunkingFactor } from "../../rules/term-tables";

const fill = (c: Parameters<typeof termFill>[0], cores: Parameters<typeof termFill>[1]) => {
  const f = termFill(c, cores);
  if ("message" in f) throw new Error(f.message);
  return f;
};
const conduit = (size: string, length: number, bends: number) => ({ kind: "conduit" as const, size, length, bends });

describe("cable factors (on-site working practice, conduit and trunking capacities)", () => {
  it("takes straight conduit up to 3 m by the short table: six stranded 2.5 at 43 are 258 of 460", () => {
    expect(fill(conduit("20", 3000, 0), [{ csa: 2.5, construction: "stranded", qty: 6 }])).toMatchObject({
      sum: 258,
      limit: 460,
      ok: true,
      facts: [],
    });
  });
  it("goes over to the long table beyond 3 m, and takes the next longer row between rows", () => {
    const six = [{ csa: 2.5, construction: "stranded" as const, qty: 6 }];
    expect(fill(conduit("20", 3001, 0), six)).toMatchObject({ sum: 180, limit: 290 });
    expect(fill(conduit("20", 5001, 0), six).limit).toBe(270);
    expect(fill(conduit("20", 5000, 1), six).limit).toBe(244);
    expect(fill(conduit("20", 500, 1), six).limit).toBe(303);
  });
  it("needs a draw-in point beyond the table, and warns from the third bend", () => {
    const one = [{ csa: 1, construction: "solid" as const, qty: 1 }];
    expect(fill(conduit("20", 3000, 4), one)).toMatchObject({
      limit: null,
      ok: false,
      facts: [{ rule: "fill.draw-in", severity: "stop" }],
    });
    expect(fill(conduit("20", 10_001, 0), one).limit).toBeNull();
    expect(fill(conduit("20", 3000, 3), one).facts).toMatchObject([{ rule: "fill.draw-in", severity: "warn" }]);
    expect(fill(conduit("20", 3000, 2), one).facts).toEqual([]);
  });
  it("allows a sum equal to the factor and no more", () => {
    expect(
      fill(conduit("16", 1000, 0), [
        { csa: 16, construction: "stranded", qty: 1 },
        { csa: 6, construction: "stranded", qty: 1 },
      ]),
    ).toMatchObject({ sum: 290, limit: 290, ok: true });
    expect(
      fill(conduit("16", 1000, 0), [
        { csa: 16, construction: "stranded", qty: 1 },
        { csa: 6, construction: "stranded", qty: 1 },
        { csa: 1, construction: "solid", qty: 1 },
      ]),
    ).toMatchObject({ ok: false, facts: [{ rule: "fill.term" }] });
  });
  it("reads sizes however they are written and says which it knows", () => {
    expect([sizeName("50 × 38"), sizeName("38x50"), sizeName(20)]).toEqual(["50x38", "50x38", "20"]);
    expect(termFill({ kind: "trunking", size: "60x60", length: 0, bends: 0 }, [])).toMatchObject({
      path: "container.size",
      message: expect.stringMatching(/got "60x60"/),
    });
    expect(termFill(conduit("20", 0, 0), [{ csa: 4, construction: "solid", qty: 1 }])).toMatchObject({
      path: "cores.0.csa",
    });
    expect(termFill(conduit("50", 4000, 0), [])).toMatchObject({ path: "container.size" });
  });
  it("falls with length, with bends, and grows with size, everywhere in the table", () => {
    for (const [i, row] of longConduit.entries())
      for (let b = 0; b < 5; b++) {
        const here = row.bends[b];
        if (!here) continue;
        expect([...here].sort((x, y) => x - y)).toEqual(here);
        const longer = longConduit[i + 1]?.bends[b];
        const bent = row.bends[b + 1];
        here.forEach((x, k) => {
          if (longer) expect(longer[k]).toBeLessThan(x);
          if (bent) expect(bent[k]).toBeLessThan(x);
        });
      }
    expect(Object.values(shortConduit)).toEqual([...Object.values(shortConduit)].sort((a, b) => a - b));
    expect(trunkingFactor["50x50"]).toBe(1037);
  });
});

describe("the share of space", () => {
  const tube = (d: number): Inside => ({ diameter: d });
  it("counts flat cable by width × thickness and round by its circle", () => {
    expect(spaceFill({ width: 50, height: 50 }, [{ width: 10, thickness: 5, qty: 4 }])).toMatchObject({
      usedArea: 200,
      insideArea: 2500,
      percent: 8,
    });
    expect(spaceFill(tube(20), [{ diameter: 10, qty: 1 }]).percent).toBeCloseTo(25, 9);
  });
  it("warns from 38 % and stops above 45 %, edges inclusive", () => {
    const at = (share: number) => spaceFill({ width: 100, height: 100 }, [{ width: 10, thickness: share, qty: 10 }]);
    expect(at(37.9)).toMatchObject({ ok: true, facts: [] });
    expect(at(38)).toMatchObject({ ok: true, facts: [{ rule: "fill.spare", severity: "warn" }] });
    expect(at(45)).toMatchObject({ ok: true, facts: [{ rule: "fill.spare" }] });
    expect(at(45.01)).toMatchObject({ ok: false, facts: [{ rule: "fill.space", severity: "stop" }] });
  });
  it("refuses a cable that does not go in at all, however little of the space it takes", () =>
    expect(spaceFill({ width: 100, height: 5 }, [{ diameter: 6, qty: 1 }])).toMatchObject({
      ok: false,
      facts: [{ rule: "fill.space" }],
    }));
  it("picks the smallest that takes them, and larger ones as alternatives", () => {
    const p = pickForCables("trunking", [{ width: 10.1, thickness: 5.8, qty: 6 }], standardCatalogue);
    expect(p.percent).toBeLessThanOrEqual(45);
    expect(p.alternatives.every((a) => a.percent! <= p.percent!)).toBe(true);
    expect(pickForCables("conduit", [{ diameter: 60, qty: 1 }], standardCatalogue)).toMatchObject({
      size: null,
      facts: [{ rule: "fill.space" }],
    });
    expect(pickForCores("conduit", 5000, 1, [{ csa: 2.5, construction: "stranded", qty: 6 }])).toMatchObject({
      size: "20",
      sum: 180,
      limit: 244,
    });
    expect(pickForCores("conduit", 5000, 4, [{ csa: 2.5, construction: "stranded", qty: 6 }])).toMatchObject({
      size: null,
      limit: null,
      facts: [{ rule: "fill.draw-in" }],
    });
  });
});

const overlap = (a: Packed, b: Packed): boolean => {
  if (a.shape === "round" && b.shape === "round") return Math.hypot(a.x - b.x, a.y - b.y) < a.r + b.r - 1e-4;
  if (a.shape === "flat" && b.shape === "flat")
    return Math.abs(a.x - b.x) < (a.w + b.w) / 2 - 1e-4 && Math.abs(a.y - b.y) < (a.h + b.h) / 2 - 1e-4;
  const [f, r] = a.shape === "flat" ? [a, b] : [b, a];
  if (f.shape !== "flat" || r.shape !== "round") return false;
  return (
    Math.hypot(Math.max(0, Math.abs(r.x - f.x) - f.w / 2), Math.max(0, Math.abs(r.y - f.y) - f.h / 2)) < r.r - 1e-4
  );
};
const inside = (p: Packed, i: Inside): boolean => {
  const [hw, hh] = p.shape === "round" ? [p.r, p.r] : [p.w / 2, p.h / 2];
  if (!("diameter" in i))
    return p.x >= hw - 1e-4 && p.x <= i.width - hw + 1e-4 && p.y >= hh - 1e-4 && p.y <= i.height - hh + 1e-4;
  const R = i.diameter / 2;
  return p.shape === "round"
    ? Math.hypot(p.x - R, p.y - R) <= R - p.r + 1e-4
    : Math.hypot(Math.abs(p.x - R) + hw, Math.abs(p.y - R) + hh) <= R + 1e-4;
};

describe("the picture of a fill", () => {
  const cable: fc.Arbitrary<Filling> = fc.oneof(
    fc.record({
      width: fc.integer({ min: 5, max: 20 }),
      thickness: fc.integer({ min: 3, max: 10 }),
      qty: fc.integer({ min: 1, max: 6 }),
    }),
    fc.record({ diameter: fc.integer({ min: 2, max: 16 }), qty: fc.integer({ min: 1, max: 8 }) }),
  );
  const section: fc.Arbitrary<Inside> = fc.oneof(
    fc.record({ width: fc.integer({ min: 20, max: 100 }), height: fc.integer({ min: 20, max: 100 }) }),
    fc.record({ diameter: fc.integer({ min: 16, max: 90 }) }),
  );
  it("never lets two cables overlap or leave the section, and loses none", () =>
    fc.assert(
      fc.property(section, fc.array(cable, { minLength: 1, maxLength: 4 }), (s, cables) => {
        const { placed, left } = pack(s, cables);
        expect(placed.length + left).toBe(cables.reduce((n, c) => n + c.qty, 0));
        placed.forEach((p, k) => {
          expect(inside(p, s)).toBe(true);
          for (const q of placed.slice(k + 1)) expect(overlap(p, q)).toBe(false);
        });
      }),
      { numRuns: 60 },
    ));
  it("is the same picture every time", () =>
    expect(pack({ diameter: 40 }, [{ diameter: 7, qty: 9 }])).toEqual(
      pack({ diameter: 40 }, [{ diameter: 7, qty: 9 }]),
    ));
});

describe("folding in the plane", () => {
  const sizes = {
    depth: fc.double({ min: 10, max: 200, noNaN: true }),
    offset: fc.double({ min: 5, max: 500, noNaN: true }),
    angle: fc.double({ min: 3, max: 90, noNaN: true }),
  };
  it("a computed set gives its offset, and both faces stay parallel", () =>
    fc.assert(
      fc.property(sizes.depth, sizes.offset, sizes.angle, (depth, offset, angle) => {
        const s = setMarks(depth, offset, angle);
        const { lower, upper } = foldedSet(depth, s, 100, 100);
        expect(lower[3]![1]).toBeCloseTo(offset, 6);
        expect(upper[3]![1] - lower[3]![1]).toBeCloseTo(depth, 6);
        // Both edges of the second notch meet on the lower face.
        expect(
          Math.hypot(lower[2]![0] - (upper[3]![0] + halfNotch(depth, angle)), lower[2]![1] - (upper[3]![1] - depth)),
        ).toBeCloseTo(0, 6);
        // The closed notch brings its two edges together on the upper face at the first fold.
        expect(Math.hypot(upper[1]![0] + halfNotch(depth, angle), upper[1]![1] - depth)).toBeCloseTo(0, 9);
      }),
    ));
  it("half notch and angle are two ways to say one thing", () =>
    fc.assert(
      fc.property(sizes.depth, sizes.angle, (depth, angle) => {
        expect(foldAngle(depth, halfNotch(depth, angle))).toBeCloseTo(angle, 6);
      }),
    ));
  it("a conduit set rebuilt from its arcs and its straight gives the offset", () =>
    fc.assert(
      fc.property(
        fc.double({ min: 100, max: 400, noNaN: true }),
        fc.double({ min: 10, max: 60, noNaN: true }),
        (offset, angle) => {
          const { straight, arc, centreToCentre } = conduitSet(20, 50, offset, angle);
          fc.pre(straight > 0);
          const t = (angle * Math.PI) / 180;
          expect(2 * 60 * (1 - Math.cos(t)) + straight * Math.sin(t)).toBeCloseTo(offset, 6);
          expect(centreToCentre).toBeCloseTo(straight + arc, 9);
        },
      ),
    ));
  it("a right angle ends a leg's length away from the end of the tube", () =>
    fc.assert(
      fc.property(fc.double({ min: 200, max: 2000, noNaN: true }), (leg) => {
        const b = rightAngle(25, 63, leg);
        expect(b.start + (63 + 12.5) + 12.5).toBeCloseTo(leg, 9);
        expect(b.end).toBeGreaterThan(b.start);
      }),
    ));
});
