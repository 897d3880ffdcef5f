import { describe, expect, it } from "vitest";
import { deck, house } from "../../book/limits/by-hand.fixture";
import { layHouse } from "../../house/house";
import { laySection } from "../../house/sections";
import type { SectionKind } from "../../rules/sections";
import { takeOff } from "../../plan/take-off";
import { findingOf, namesOf } from "../../words/findings";
import { BOX_TAKES, drawBoxes, rightAngles } from "./draw-boxes";
import { sectionFacts } from "./section-facts";
import { sectionPieces } from "./section-pieces";
import { section, wall } from "./sections.fixture";

const laid = (path: object[], more: object = {}, rest: object = {}, kind: SectionKind = "conduit-plastic") => {
  const job = house({
    sections: [section(kind, kind.startsWith("conduit") ? "20" : "50x50", path, { corners: "folded", ...more })],
    ...rest,
  });
  const h = layHouse(job);
  return { h, s: laySection(h, job.sections[0]!)! };
};
/** A stair of 500 level and 400 plumb, with so many corners. */
const stair = (corners: number): object[] => {
  let [u, v] = [200, 300];
  const path = [wall("w1", u, v)];
  for (let i = 0; i <= corners; i++) {
    if (i % 2) v += 400;
    else u += 500;
    path.push(wall("w1", u, v));
  }
  return path;
};
const arc = (60 * Math.PI) / 2;

describe("boxes to draw from", () => {
  it("none up to two right angles; from the third on one midway before it, and one more for every two", () => {
    const at = (corners: number): number[] => {
      const { h, s } = laid(stair(corners));
      expect(rightAngles(h, s)).toBeCloseTo(corners, 9);
      return drawBoxes(h, s).map((b) => b.along);
    };
    expect(at(2)).toEqual([]);
    // Corners at 500, 900, 1 400, 1 800 and 2 300 along it.
    expect(at(3)).toEqual([1150]);
    expect(at(4)).toEqual([1150]);
    expect(at(5)).toEqual([1150, 2050]);
  });
  it("a set over a pipe counts as two, turning into the wall as one, and a box never stands within a set", () => {
    const pipe = { id: "p", wall: "w1", kind: "pipe", name: "pipe", u: 1000, v: 0, width: 35, height: 2400, depth: 58 };
    const level = [wall("w1", 300, 700), wall("w1", 2300, 700)];
    const over = laid(level, {}, { fixtures: [pipe] });
    expect([rightAngles(over.h, over.s), drawBoxes(over.h, over.s)]).toEqual([2, []]);
    const into = laid(level, { intoWall: "end" }, { fixtures: [pipe] });
    const [box, ...more] = drawBoxes(into.h, into.s);
    expect(more).toEqual([]);
    // Midway from the end of the set to the end of the tube.
    const end = 700 + 35 + 10 + 60 / Math.tan((22.5 * Math.PI) / 180);
    expect(box!.along).toBeCloseTo((end + 2000) / 2, 6);
    expect(box!.bendsBefore).toBe(4);
    // Of bought fittings it does not turn into the wall.
    const fitted = laid(level, { intoWall: "end", corners: "fitted" }, { fixtures: [pipe] });
    expect(drawBoxes(fitted.h, fitted.s)).toEqual([]);
    expect(drawBoxes(...at("trunking-plastic"))).toEqual([]);
  });
  const at = (kind: SectionKind): Parameters<typeof drawBoxes> => {
    const { h, s } = laid(stair(4), {}, {}, kind);
    return [h, s];
  };
  it("the tube is cut there: bent, midway on the straight, with what the box takes left out", () => {
    const { h, s } = laid(stair(3));
    const pieces = sectionPieces(h, s);
    expect(pieces.map((p) => p.folds.length)).toEqual([2, 1]);
    // 500 and 400 with two bends, and half of 500; each bend takes its arc for two tangents of 60.
    expect(pieces[0]!.length).toBeCloseTo(500 + 400 + 250 - 240 + 2 * arc - BOX_TAKES / 2, 6);
    expect(pieces[1]!.length).toBeCloseTo(250 + 400 - 120 + arc - BOX_TAKES / 2, 6);
    expect(pieces[1]!.folds[0]!.at).toBeCloseTo(250 - 60 + arc / 2 - BOX_TAKES / 2, 6);
    expect(pieces.map((p) => p.number)).toEqual([1, 2]);
    const fitted = laid(stair(3), { corners: "fitted" });
    // Corners take half the width at each side.
    expect(sectionPieces(fitted.h, fitted.s).map((p) => p.length)).toEqual([490, 380, 240 - 30, 240 - 30, 390]);
  });
  it("is bought, with no coupler for it, and told with its place on its wall or deck", () => {
    const { h, s } = laid(stair(3));
    const lines = takeOff(h, [], [], [], []).map((l) => `${l.quantity} ${l.item} ${l.size}`);
    expect(lines).toContain("1 Conduit box to draw from 20, 2 ways");
    expect(lines.filter((l) => /coupler/.test(l))).toEqual([]);
    const [f, ...more] = sectionFacts(h, []).filter((x) => x.rule === "fill.draw-in");
    expect(more).toEqual([]);
    expect(f).toMatchObject({ severity: "note", case: "section", measured: 3, limit: 2, of: { u: 950, v: 700 } });
    expect(s.stretches[drawBoxes(h, s)[0]!.stretch]!.a).toEqual({ u: 700, v: 700 });
    expect(findingOf(f!, namesOf(h)).message).toMatch(
      /^T1 turns by 3 right angles: box 1 of 1 to draw from 950 from the left of wall 2 of Room, 700 up\.$/,
    );
    const onDeck = (x: number, y: number) => ({ on: "deck", deck: "d", x, y });
    const path = [onDeck(500, 500), onDeck(1500, 500), onDeck(1500, 1500), onDeck(2500, 1500), onDeck(2500, 2500)];
    const over = laid(path, {}, { decks: [deck({ access: "open" })] });
    const [g] = sectionFacts(over.h, []).filter((x) => x.rule === "fill.draw-in");
    expect(findingOf(g!, namesOf(over.h)).message).toMatch(/on Deck, 2.000 from the west and 1.500 from the south\.$/);
  });
});
