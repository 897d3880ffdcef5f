import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { house } from "../../book/limits/by-hand.fixture";
import { layHouse } from "../../house/house";
import { laySection } from "../../house/sections";
import { checkInvariants } from "../../job/invariants";
import { findingOf, namesOf } from "../../words/findings";
import { bentMiddle } from "./bent-pieces";
import { BOX_TAKES } from "./draw-boxes";
import { conduitSet, rightAngle } from "./conduit-bends";
import { sectionFacts } from "./section-facts";
import { sectionPieces } from "./section-pieces";
import { sectionFixings } from "./section-supports";
import { roomWithNook, section, wall } from "./sections.fixture";

const bent = (path: object[], more: object = {}, rest: object = {}, size = "20") => {
  const job = house({ sections: [section("conduit-metal", size, path, { corners: "folded", ...more })], ...rest });
  expect(checkInvariants(job)).toEqual([]);
  const h = layHouse(job);
  return { h, s: laySection(h, job.sections[0]!)! };
};
const corner = [wall("w1", 300, 700), wall("w1", 1300, 700), wall("w1", 1300, 1500)];
/** A bend of 90° to the least radius of 20 conduit: 50 inside, 60 in the middle. */
const arc = (60 * Math.PI) / 2;

describe("conduit bent by hand", () => {
  it("a corner on the wall: the bend begins its tangent before the corner and takes its arc, as the calculator has it", () => {
    const { h, s } = bent(corner);
    const [piece, ...more] = sectionPieces(h, s);
    expect(more).toEqual([]);
    expect(piece!.folds).toMatchObject([{ turn: "left", way: "bend", angle: 90 }]);
    const [bend] = piece!.folds;
    expect(2 * bend!.half).toBeCloseTo(arc, 6);
    // To the back of the bend it is half a diameter more than to the middle.
    expect(bend!.at - bend!.half).toBeCloseTo(rightAngle(20, 50, 1010).start, 6);
    expect(bend!.at - bend!.half).toBeCloseTo(940, 6);
    expect(piece!.length).toBeCloseTo(1000 + 800 - 2 * 60 + arc, 6);
  });
  it("into a corner of the room its middle is half a diameter shorter either side", () => {
    const { h, s } = bent([wall("w1", 3000, 700), wall("w1", 4000, 700), wall("w2", 0, 700), wall("w2", 400, 700)]);
    const [piece] = sectionPieces(h, s);
    expect(piece!.folds).toMatchObject([{ turn: "inside" }]);
    expect(piece!.length).toBeCloseTo(990 + 390 - 120 + arc, 6);
    expect(piece!.folds[0]!.at).toBeCloseTo(990 - 60 + arc / 2, 6);
  });
  it("round a corner that juts into the room it is half a diameter longer either side", () => {
    const { h, s } = bent(
      [wall("w2", 500, 700), wall("w2", 1500, 700), wall("w3", 0, 700), wall("w3", 900, 700)],
      {},
      roomWithNook,
    );
    const [piece] = sectionPieces(h, s);
    expect(piece!.folds).toMatchObject([{ turn: "outside", angle: 90 }]);
    expect(piece!.length).toBeCloseTo(1010 + 910 - 120 + arc, 6);
    expect(piece!.folds[0]!.at).toBeCloseTo(1010 - 60 + arc / 2, 6);
  });
  it("over a pipe: four bends of 22.5°, the first two as far apart as a set has them", () => {
    const pipe = { id: "p", wall: "w1", kind: "pipe", name: "pipe", u: 1000, v: 0, width: 35, height: 2400, depth: 58 };
    const { h, s } = bent([wall("w1", 300, 700), wall("w1", 2300, 700)], {}, { fixtures: [pipe] });
    const { folds, length } = sectionPieces(h, s)[0]!;
    expect(folds.map((f) => [f.turn, f.angle, f.pipe])).toEqual(
      ["inside", "over", "over", "inside"].map((turn) => [turn, 22.5, "p"]),
    );
    const { centreToCentre, arc: one } = conduitSet(20, 50, 60, 22.5);
    expect(folds[1]!.at - folds[0]!.at).toBeCloseTo(centreToCentre, 6);
    expect(folds[3]!.at - folds[2]!.at).toBeCloseTo(centreToCentre, 6);
    expect(2 * folds[0]!.half).toBeCloseTo(one, 6);
    // Each slope is 60 / sin 22.5° where the wall under it is 60 / tan 22.5°, and each bend cuts its corner.
    const a = (22.5 * Math.PI) / 180;
    const cut = 2 * 60 * Math.tan(a / 2) - one;
    expect(length).toBeCloseTo(2000 + 2 * (60 / Math.sin(a) - 60 / Math.tan(a)) - 4 * cut, 6);
    // The first bend is in the middle where the back leaves the wall, less what bends cut before it.
    expect(folds[0]!.at - folds[0]!.half + 60 * Math.tan(a / 2)).toBeCloseTo(700 - 10 - 60 / Math.tan(a), 6);
  });
  it("turns into its wall where it ends: flush, through the wall's thickness to its far face", () => {
    const straight = [wall("w1", 300, 700), wall("w1", 1300, 700)];
    const pieceOf = (intoWall: string) => {
      const { h, s } = bent(straight, { intoWall });
      return { piece: sectionPieces(h, s)[0]!, thickness: h.faces[s.stretches[0]!.face]!.shape.thickness };
    };
    const end = pieceOf("end");
    expect(end.piece.folds).toMatchObject([{ turn: "into", angle: 90 }]);
    expect(end.piece.folds[0]!.at).toBeCloseTo(1000 - 60 + arc / 2, 6);
    expect(end.piece.length).toBeCloseTo(1000 + end.thickness + 10 - 120 + arc, 6);
    const both = pieceOf("both");
    expect(both.piece.folds).toHaveLength(2);
    expect(both.piece.length).toBeCloseTo(1000 + 2 * (end.thickness + 10) - 240 + 2 * arc, 6);
    expect(both.piece.folds[0]!.at).toBeCloseTo(end.thickness + 10 - 60 + arc / 2, 6);
    expect(pieceOf("none").piece.folds).toEqual([]);
  });
  it("property: bent again on the flat it gives the corners as drawn, whatever the former, to a thousandth", () => {
    fc.assert(
      fc.property(
        fc.constantFrom("16", "20", "25"),
        fc.integer({ min: 63, max: 90 }),
        fc.array(fc.integer({ min: 250, max: 480 }), { minLength: 2, maxLength: 5 }),
        (size, innerRadius, steps) => {
          let [u, v] = [200, 200];
          const path = [wall("w1", u, v)];
          steps.forEach((d, i) => {
            if (i % 2) v += d;
            else u += d;
            path.push(wall("w1", u, v));
          });
          const { h, s } = bent(path, { innerRadius }, {}, size);
          // As one tube again, with what its boxes to draw from take between the pieces.
          let length = -BOX_TAKES;
          const folds = sectionPieces(h, s).flatMap((p) => {
            const from = length + BOX_TAKES;
            length = from + p.length;
            return p.folds.map((f) => ({ ...f, at: f.at + from }));
          });
          const again = bentMiddle({ length, folds });
          expect(again).toHaveLength(path.length);
          again.forEach(([x, y], i) => {
            expect(x).toBeCloseTo(path[i]!.u - 200, 3);
            expect(y).toBeCloseTo(path[i]!.v - 200, 3);
          });
        },
      ),
      { numRuns: 40 },
    );
  });
  it("is joined clear of its bends, in lengths no longer than the stock", () => {
    // 3 750 from the start comes to lie in the bend.
    const { h, s } = bent([wall("w1", 100, 200), wall("w1", 3830, 200), wall("w1", 3830, 2000)]);
    const pieces = sectionPieces(h, s);
    expect(pieces).toHaveLength(2);
    const [first, second] = pieces;
    expect(first!.folds).toEqual([]);
    expect(second!.folds).toHaveLength(1);
    expect(second!.folds[0]!.at - second!.folds[0]!.half).toBeCloseTo(20, 6);
    expect(first!.length + second!.length).toBeCloseTo(3730 + 1800 - 120 + arc, 6);
  });
  it("tells a former that bends it too tight, and bends that meet", () => {
    const told = (path: object[], more: object = {}) => {
      const { h } = bent(path, more);
      return sectionFacts(h, [])
        .filter((f) => f.rule === "bend.conduit" || f.rule === "fold.room")
        .map((f) => ({ fact: f, words: findingOf(f, namesOf(h)).message }));
    };
    expect(told(corner)).toEqual([]);
    expect(told(corner, { innerRadius: 50 })).toEqual([]);
    const [tight, ...no] = told(corner, { innerRadius: 49 });
    expect(no).toEqual([]);
    expect(tight!.fact).toMatchObject({ rule: "bend.conduit", subject: { kind: "section" }, measured: 49, limit: 50 });
    expect(tight!.words).toMatch(/^\S+: inner radius 49 for conduit of 20; at least 50\.$/);
    // Two corners 120 apart: their bends just meet; at 119 there is no room.
    const step = (d: number): object[] => [
      wall("w1", 300, 700),
      wall("w1", 1300, 700),
      wall("w1", 1300, 700 + d),
      wall("w1", 2000, 700 + d),
    ];
    expect(told(step(120))).toEqual([]);
    const [meets] = told(step(119));
    expect(meets!.fact).toMatchObject({ rule: "fold.room", of: { way: "bend" } });
    expect(meets!.words).toMatch(
      /the bend at 1.080 of piece 1 has no room: it would meet the end or the next bend by 1\.$/,
    );
  });
  it("has its saddles on the straight: clear of the bends, 75 from its ends, one alone where there is no room for two", () => {
    const marks = (path: object[], more: object = {}): number[][] =>
      sectionFixings(bent(path, more).s).map((f) => [f.marks[0]!, f.marks[f.marks.length - 1]!]);
    const [first, second] = marks(corner, { innerRadius: 120 });
    expect(first).toEqual([75, 1000 - 145]);
    expect(second).toEqual([145, 800 - 75]);
    // Of 190 with a bend of 60 at its start: in the middle of what is straight.
    const short = [wall("w1", 300, 700), wall("w1", 1300, 700), wall("w1", 1300, 890)];
    expect(marks(short)[1]).toEqual([125, 125]);
    // With bought corners a short stretch has one in its middle too, and from 225 on two.
    expect(marks(short, { corners: "fitted" })[1]).toEqual([95, 95]);
    const longer = (d: number): object[] => [wall("w1", 300, 700), wall("w1", 1300, 700), wall("w1", 1300, 700 + d)];
    expect(marks(longer(224), { corners: "fitted" })[1]).toEqual([112, 112]);
    expect(marks(longer(225), { corners: "fitted" })[1]).toEqual([75, 150]);
  });
});
