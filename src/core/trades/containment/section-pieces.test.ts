import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { corners, house } from "../../book/limits/by-hand.fixture";
import { layHouse } from "../../house/house";
import { laySection, sectionOfLeg, sectionsOf } from "../../house/sections";
import { checkInvariants } from "../../job/invariants";
import { cableOf } from "../../rules/catalogue";
import { type SectionKind, sectionKinds } from "../../rules/sections";
import { sectionFacts } from "./section-facts";
import { roomFor } from "./section-fill";
import { foldedBack, foldedMiddle, sectionPieces } from "./section-pieces";
import { madeByHand, makingOf, pipeSets, sectionCorners } from "./section-turns";
import { sectionFixings } from "./section-supports";
import { roomWithNook, section, wall } from "./sections.fixture";

const te = (csa: string) => cableOf(`te-${csa}`)!;

describe("what a section is made of", () => {
  const laid = (kind: SectionKind, size: string, path: object[], more: object = {}) => {
    const job = house({ sections: [section(kind, size, path, more)] });
    expect(checkInvariants(job)).toEqual([]);
    const h = layHouse(job);
    return { h, s: laySection(h, job.sections[0]!)! };
  };
  it("a corner in the plane folds by its width: 90° of 50 wide takes a notch of 50 either side, 25 further out than its middle", () => {
    const { h, s } = laid(
      "trunking-plastic",
      "50x50",
      [wall("w1", 300, 700), wall("w1", 1300, 700), wall("w1", 1300, 1500)],
      {
        corners: "folded",
      },
    );
    expect(sectionCorners(h, s)).toMatchObject([{ after: 0, turn: "left", angle: 90 }]);
    const [piece, ...more] = sectionPieces(h, s);
    expect(more).toEqual([]);
    // 1 000 + 800, and half the width to the hinge on both sides of the corner.
    expect(piece!.length).toBeCloseTo(1850, 6);
    expect(piece!.folds).toMatchObject([{ at: 1025, turn: "left" }]);
    expect(piece!.folds[0]!.half).toBeCloseTo(50, 6);
  });
  it("an inside corner folds by its depth, an outside one is only slit, and neither changes the length along the back", () => {
    const inside = laid(
      "trunking-plastic",
      "75x50",
      [wall("w1", 3000, 700), wall("w1", 4000, 700), wall("w2", 0, 700), wall("w2", 400, 700)],
      {
        corners: "folded",
      },
    );
    const [piece] = sectionPieces(inside.h, inside.s);
    expect(piece).toMatchObject({ length: 1400, folds: [{ turn: "inside", at: 1000 }] });
    expect(piece!.folds[0]!.half).toBeCloseTo(50, 6);
  });
  it("round a corner that juts into the room: outside", () => {
    const job = house({
      ...roomWithNook,
      sections: [
        section(
          "trunking-plastic",
          "50x50",
          [wall("w2", 500, 700), wall("w2", 1500, 700), wall("w3", 0, 700), wall("w3", 900, 700)],
          {
            corners: "folded",
          },
        ),
      ],
    });
    const h = layHouse(job);
    const s = sectionsOf(h)[0]!;
    expect(sectionCorners(h, s)).toMatchObject([{ turn: "outside", angle: 90 }]);
    expect(sectionPieces(h, s)).toMatchObject([{ length: 1900, folds: [{ turn: "outside", at: 1000, half: 0 }] }]);
  });
  it("property: the pieces folded in the plane give the corners as drawn, to a thousandth", () => {
    const step = fc.integer({ min: 120, max: 500 });
    fc.assert(
      fc.property(
        fc.constantFrom(["trunking-plastic", "38x16"], ["trunking-plastic", "100x50"], ["tray", "100"] as const),
        fc.array(step, { minLength: 2, maxLength: 5 }),
        ([kind, size], steps) => {
          let [u, v] = [200, 200];
          const path = [wall("w1", u, v)];
          steps.forEach((d, i) => {
            if (i % 2) v += d;
            else u += d;
            path.push(wall("w1", u, v));
          });
          const { h, s } = laid(kind as SectionKind, size!, path, { corners: "folded" });
          const pieces = sectionPieces(h, s);
          expect(pieces).toHaveLength(1);
          const folded = foldedMiddle(pieces[0]!, s.size.width);
          expect(folded).toHaveLength(path.length);
          folded.forEach(([x, y], i) => {
            expect(x).toBeCloseTo(path[i]!.u - 200, 3);
            expect(y).toBeCloseTo(path[i]!.v - 200, 3);
          });
        },
      ),
      { numRuns: 60 },
    );
  });
  it("property: pieces are no longer than the stock, a joint never cuts a notch, and together they are as long as the whole", () => {
    fc.assert(
      fc.property(fc.integer({ min: 400, max: 3900 }), fc.integer({ min: 200, max: 2000 }), (along, up) => {
        const { h, s } = laid(
          "trunking-metal",
          "75x50",
          [wall("w1", 50, 100), wall("w1", along, 100), wall("w1", along, 100 + up)],
          { corners: "folded" },
        );
        const pieces = sectionPieces(h, s);
        expect(pieces.reduce((sum, p) => sum + p.length, 0)).toBeCloseTo(along - 50 + up + 75, 6);
        for (const p of pieces) {
          expect(p.length).toBeLessThanOrEqual(3000 + 1e-6);
          for (const f of p.folds) {
            expect(f.at - f.half).toBeGreaterThanOrEqual(-1e-6);
            expect(f.at + f.half).toBeLessThanOrEqual(p.length + 1e-6);
          }
        }
        expect(pieces.flatMap((p) => p.folds)).toHaveLength(1);
      }),
      { numRuns: 60 },
    );
  });
  const pipe = {
    id: "p1",
    wall: "w1",
    kind: "pipe",
    name: "heating",
    u: 1000,
    v: 0,
    width: 22,
    height: 2400,
    depth: 35,
  };
  const overPipe = (path: object[], pipes: object[] = [pipe], size = "50x50", corners = "folded") => {
    const job = house({ sections: [section("trunking-plastic", size, path, { corners })], fixtures: pipes });
    const h = layHouse(job);
    return { h, s: laySection(h, job.sections[0]!)! };
  };
  it("over a pipe it gets a set of four shallow folds: the back lies 2 mm off the pipe, level 10 mm beyond it on both sides", () => {
    const { h, s } = overPipe([wall("w1", 300, 700), wall("w1", 2300, 700)]);
    const [set] = pipeSets(h, s);
    expect(set).toMatchObject({ pipe: "p1", offset: 37, top: [690, 732] });
    const [piece] = sectionPieces(h, s);
    expect(piece!.folds.map((f) => f.turn)).toEqual(["inside", "over", "over", "inside"]);
    const back = foldedBack(piece!, 50);
    expect(back[1]![0]).toBeCloseTo(set!.from, 6);
    expect(back[2]![0]).toBeCloseTo(690, 6);
    expect(back[3]![0]).toBeCloseTo(732, 6);
    expect([back[2]![1], back[3]![1]].map((y) => Math.round(y * 1e6) / 1e6)).toEqual([37, 37]);
    expect(back[4]![0]).toBeCloseTo(set!.to, 6);
    expect(back[4]![1]).toBeCloseTo(0, 6);
    // Its end is where the section ends on the wall: the piece is longer by just what the set takes.
    expect(back[5]![0]).toBeCloseTo(2000, 6);
    expect(back[5]![1]).toBeCloseTo(0, 6);
  });
  it("property: whatever the pipe and whichever way the section runs, folded it clears the pipe and ends where it is drawn", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 110 }),
        fc.integer({ min: 15, max: 80 }),
        fc.boolean(),
        fc.constantFrom("38x16", "50x50", "100x50"),
        (width, depth, back, size) => {
          const ends = [wall("w1", 300, 700), wall("w1", 2300, 700)];
          const { h, s } = overPipe(back ? ends.reverse() : ends, [{ ...pipe, width, depth }], size);
          const [set] = pipeSets(h, s);
          const folded = foldedBack(sectionPieces(h, s)[0]!, s.size.depth);
          expect(folded[2]![1]).toBeCloseTo(depth + 2, 4);
          expect(folded[3]![0] - folded[2]![0]).toBeCloseTo(width + 20, 4);
          const middle = back ? 2300 - (1000 + width / 2) : 700 + width / 2;
          expect((folded[2]![0] + folded[3]![0]) / 2).toBeCloseTo(middle, 4);
          expect(folded[5]![0]).toBeCloseTo(2000, 4);
          expect(set!.to - set!.from).toBeGreaterThan(width + 20);
        },
      ),
      { numRuns: 60 },
    );
  });
  it("tube over a pipe with bought corners is longer by what its two slopes take", () => {
    const job = house({
      sections: [
        section("conduit-plastic", "20", [wall("w1", 300, 700), wall("w1", 2300, 700)], { corners: "fitted" }),
      ],
      fixtures: [pipe],
    });
    const h = layHouse(job);
    const s = laySection(h, job.sections[0]!)!;
    expect(pipeSets(h, s)).toMatchObject([{ offset: 37 }]);
    const [piece] = sectionPieces(h, s);
    expect(piece!.folds).toEqual([]);
    // Each slope is 37 / sin 22.5° where the wall under it is 37 / tan 22.5°.
    const a = (22.5 * Math.PI) / 180;
    expect(piece!.length).toBeCloseTo(2000 + 2 * (37 / Math.sin(a) - 37 / Math.tan(a)), 6);
  });
  it("a pipe beside it needs no set; one too near a corner leaves no room for the folds, which is told", () => {
    const beside = overPipe([wall("w1", 300, 700), wall("w1", 900, 700)]);
    expect(pipeSets(beside.h, beside.s)).toEqual([]);
    const low = overPipe([wall("w1", 300, 700), wall("w1", 2300, 700)], [{ ...pipe, height: 600 }]);
    expect(pipeSets(low.h, low.s)).toEqual([]);
    const told = (u: number) => {
      const { h } = overPipe([wall("w1", 950, 700), wall("w1", 2300, 700)], [{ ...pipe, u }]);
      return sectionFacts(h, []).filter((f) => f.rule === "fold.room");
    };
    // The set begins 10 and 37 / tan 22.5° before the pipe, 99.3: its first notch reaches 9.9 farther.
    expect(told(1060)).toEqual([]);
    expect(told(1055)).toMatchObject([{ subject: { kind: "section", id: "t1" }, severity: "stop" }]);
  });
  it("tray turns flat by two cuts as far as its outer lip: 150 wide, 106.1 either side of the line, 31.1 further out", () => {
    const { h, s } = laid("tray", "150", [wall("w1", 300, 700), wall("w1", 1300, 700), wall("w1", 1300, 1500)], {
      corners: "folded",
    });
    const [piece] = sectionPieces(h, s);
    const cut = 150 * Math.sin(Math.PI / 4);
    expect(piece!.folds).toMatchObject([{ turn: "left", way: "cuts", angle: 90 }]);
    expect(piece!.folds[0]!.half).toBeCloseTo(cut, 6);
    expect(piece!.folds[0]!.at).toBeCloseTo(1000 + cut - 75, 6);
    expect(piece!.length).toBeCloseTo(1800 + 2 * (cut - 75), 6);
  });
  it("tray into a corner is notched in its lips, as trunking is", () => {
    const { h, s } = laid(
      "tray",
      "150",
      [wall("w1", 3000, 700), wall("w1", 4000, 700), wall("w2", 0, 700), wall("w2", 400, 700)],
      {
        corners: "folded",
      },
    );
    expect(sectionPieces(h, s)).toMatchObject([{ length: 1400, folds: [{ turn: "inside", way: "notch", at: 1000 }] }]);
    expect(sectionPieces(h, s)[0]!.folds[0]!.half).toBeCloseTo(s.size.depth, 6);
  });
  it("what no hand makes has bought fittings whatever it says: capping, oval tube, basket, ladder, cleats", () => {
    expect(sectionKinds.filter((k) => madeByHand(k) === null)).toEqual([
      "capping",
      "oval",
      "basket",
      "ladder",
      "cleats",
    ]);
    const { h, s } = laid("ladder", "300", [wall("w1", 300, 700), wall("w1", 1300, 700), wall("w1", 1300, 1500)], {
      corners: "folded",
    });
    expect(makingOf(s)).toBe("fitted");
    expect(sectionPieces(h, s).map((p) => p.folds)).toEqual([[], []]);
  });
  it("with bought corners each stretch is a straight piece less what the fitting takes", () => {
    const { h, s } = laid("trunking-plastic", "50x50", [
      wall("w1", 300, 700),
      wall("w1", 1300, 700),
      wall("w1", 1300, 1500),
    ]);
    expect(sectionPieces(h, s).map((p) => p.length)).toEqual([975, 775]);
    const long = laid("mini-trunking", "25x16", [wall("w1", 0, 700), wall("w1", 3900, 700)]);
    expect(sectionPieces(long.h, long.s).map((p) => p.length)).toEqual([3000, 900]);
  });
  it("fixings are no farther apart than the table: trunking of 50 at 1 500 level, 2 000 plumb; tube of 20 at 1 500, 1 750", () => {
    const path = [wall("w1", 300, 100), wall("w1", 3700, 100), wall("w1", 3700, 2300)];
    const most = (kind: SectionKind, size: string): number[] =>
      sectionFixings(laid(kind, size, path).s).map((f) => f.max);
    // 50 × 50 is 2 500 mm²: over 1 500 up to 2 500.
    expect(most("trunking-plastic", "50x50")).toEqual([1250, 1250]);
    expect(most("trunking-metal", "75x50")).toEqual([3000, 3000]);
    expect(most("conduit-plastic", "20")).toEqual([1500, 1750]);
    expect(most("conduit-metal", "20")).toEqual([1750, 2000]);
    for (const f of sectionFixings(laid("trunking-plastic", "50x50", path).s)) {
      expect(f.pitch).toBeLessThanOrEqual(f.max);
      expect(f.marks[0]).toBe(75);
    }
  });
  it("says how many more go in: of an empty 50 × 50, sixteen of 2.5 mm², by the 45 %", () => {
    const { s } = laid("trunking-plastic", "50x50", [wall("w1", 300, 100), wall("w1", 300, 900)]);
    // 47 × 47 inside: 45 % is 994 mm², and 58.58 goes into it 16 times.
    expect(roomFor(s, [], te("2.5"))).toBe(16);
    expect(roomFor(s, [te("10"), te("10")], te("2.5"))).toBe(11);
  });
  it("a leg given by hand lies in it where it keeps to its width for 100 mm, and a chase behind it does not", () => {
    const { h } = laid("trunking-plastic", "50x50", [wall("w1", 1000, 100), wall("w1", 1000, 900)]);
    const leg = (u: number, v: number, method: "surface" | "chase") => ({
      surface: { kind: "wall" as const, id: "w1" },
      method,
      path: [[corners[1]!.x + u, 3000, v] as const, [corners[1]!.x + u, 3000, v + 300] as const].map(
        (p) => [...p] as [number, number, number],
      ),
      depth: 0,
      protected: false,
    });
    expect(sectionOfLeg(h, leg(1020, 300, "surface"))?.section.id).toBe("t1");
    expect(sectionOfLeg(h, leg(1030, 300, "surface"))).toBeNull();
    expect(sectionOfLeg(h, leg(1000, 850, "surface"))).toBeNull();
    expect(sectionOfLeg(h, leg(1000, 300, "chase"))).toBeNull();
  });
});
