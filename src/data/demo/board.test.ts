import { describe, expect, it } from "vitest";
import { drawBoardEntry, drawSlot } from "../../core/drawings/board-drawing";
import { drawDrop } from "../../core/drawings/drop-drawing";
import { boardDrops } from "../../core/plan/board-drop";
import { fixingMarks, sectionFigures } from "../../core/plan/section-figures";
import { runStyles } from "../../core/drawings/run-lines";
import { boardFigures } from "../../core/plan/board-figures";
import { boardNotes } from "../../core/plan/board-notes";
import { job, laid, h, plan, at } from "./laid-cottage.fixture";

describe("the board of the cottage", () => {
  const b = boardFigures(h, plan, "board")!;
  it("ties its six flat cables so that none crosses, in the trunking's two rows of three", () => {
    const flat = b.cables.filter((c) => c.seat);
    expect(flat.map((c) => [c.circuit.label, c.leg])).toEqual([
      ["R1", "out"],
      ["R1", "back"],
      ["LI1", null],
      ["LI2", null],
      ["R2", null],
      ["AL", null],
    ]);
    expect([b.crossings, b.least]).toEqual([0, 0]);
    // Listed R1, R1, R2, AL, LI1, LI2 on ways 2, 2, 5, 7, 3, 4: four pairs stand the wrong way round.
    expect(b.asListed).toBe(4);
    expect(b.blocks.map((x) => [x.edge, x.section, x.rows])).toEqual([
      ["left", null, 0],
      ["top", "t1", 2],
    ]);
    expect(new Set(flat.map((c) => `${c.seat!.at} ${c.seat!.row}`)).size).toBe(6);
    expect(drawSlot(b, 1).shapes.length).toBeGreaterThan(6);
  });
  it("lengths reach from the entry to each terminal, and the rest of the 800 and the half height is spare", () => {
    for (const c of b.cables.filter((x) => x.tails)) {
      const way = b.layout.ways[c.way! - 1]!;
      expect(c.tails!.line).toBe(Math.ceil((Math.abs(way.x - c.entry.x) + way.y + 60) / 10 - 1e-9) * 10);
      expect(c.has).toBe(800 + 120);
      expect(c.spare).toBe(920 - Math.max(c.tails!.line, c.tails!.neutral, c.tails!.earth));
      expect(c.brown).toBe(way.x < c.entry.x ? "left" : "right");
    }
  });
  it("heaviest by the main switch costs nothing; by room the kiln's cable crosses those before it", () => {
    const { heaviest, "by-room": room } = b.orders;
    expect([...heaviest.ways].sort((x, y) => x[1] - y[1]).map(([id]) => id)).toEqual([
      "k",
      "r1",
      "r2",
      "al",
      "li1",
      "old",
      "li2",
    ]);
    expect(heaviest.crossings).toBe(0);
    expect(room.ways.get("r1")).toBe(1);
    expect(room.crossings).toBe(4);
    expect([heaviest.ways.get("old"), room.ways.get("old")]).toEqual([6, 6]);
  });
  it("tied otherwise it says so, with the press that puts it right; the drawing follows", () => {
    const ids = b.cables
      .filter((c) => c.seat)
      .map((c) => c.run.id)
      .reverse();
    const j = at("board", { tied: ids })(job);
    const wrong = laid(() => j);
    const fact = wrong.plan.facts.find((f) => f.rule === "board.crossing")!;
    expect(fact).toMatchObject({ limit: 0, fix: [{ id: "board", set: { tied: [] } }] });
    // Fifteen pairs but for the two of the ring.
    expect(fact.measured).toBe(14);
    const f = boardFigures(wrong.h, wrong.plan, "board")!;
    expect(f.cables.filter((c) => c.seat).map((c) => c.run.id)).toEqual(ids);
    const words = (x: typeof f): string[] =>
      drawBoardEntry(x, runStyles(job)).shapes.flatMap((s) => (s.kind === "text" ? s.text : []));
    expect(words(f)).toContain("R1 back");
    expect(words(f)).toContain("K, no way yet");
  });
  it("the trunking's drop: a plumb line, fixings up from the floor, a retainer between each two, a slot over the seats", () => {
    const [d, ...more] = boardDrops(h, b);
    expect(more).toEqual([]);
    const place = b.board.place as { u: number; v: number };
    const t1 = sectionFigures(h, plan).find((x) => x.laid.section.id === "t1")!;
    // It comes down at 2 775, goes along at 1 950, and down again to the board.
    expect([d!.line, d!.off]).toEqual([3200, -100]);
    expect(d!.others.map((o) => [o.plumb, o.at])).toEqual([
      [true, 2775],
      [false, 1950],
    ]);
    expect(d!.off).toBeCloseTo(d!.line - place.u, 9);
    const here = fixingMarks(h, t1.laid, t1.fixings).filter((m) => m.wall === "hall-w3");
    expect([...d!.plumb, ...d!.others.flatMap((o) => o.marks)]).toHaveLength(here.length);
    expect(d!.plumb.every((v) => v > d!.edge)).toBe(true);
    expect(d!.retainers).toHaveLength(d!.plumb.length - 1);
    d!.retainers.forEach((v, i) => expect(v).toBeCloseTo((d!.plumb[i]! + d!.plumb[i + 1]!) / 2, 9));
    expect(d!.pieces).toEqual(t1.pieces);
    // Three seats of 13 with 1 between stand over 41.
    expect(d!.slot.to - d!.slot.from).toBeCloseTo(41, 9);
    expect((d!.slot.from + d!.slot.to) / 2).toBeGreaterThan(place.u - 180);
    expect(drawDrop(d!, b).label).toBe(`T1 down to DB1: ${d!.plumb.length} fixings on the plumb line`);
    // From below it is the bottom edge that is slotted, and the line goes down.
    const up = { ...b, blocks: b.blocks.map((x) => (x.section === "t1" ? { ...x, edge: "bottom" as const } : x)) };
    expect(boardDrops(h, up)[0]).toMatchObject({ above: false, edge: place.v - 120 });
    const bare = laid((j) => ({ ...j, sections: [] }));
    expect(boardDrops(bare.h, boardFigures(bare.h, bare.plan, "board")!)).toEqual([]);
  });
  it("asks for what the rules ask: two colour codes and lights on sockets are due here", () => {
    const due = boardNotes(h, b)
      .filter((n) => n.due)
      .map((n) => n.source.replace("BS 7671:2018+A2:2022 ", ""));
    expect(due).toEqual([
      "531.3.3",
      "443.4.1",
      "514.9.1",
      "514.12.1",
      "514.12.2",
      "514.13.1",
      "514.14.1",
      "Trade practice",
    ]);
    expect(boardNotes(h, b).every((n) => /BS 7671|Trade practice/.test(n.source))).toBe(true);
  });
});
