import { describe, expect, it } from "vitest";
import { drawBoardEntry } from "../../core/drawings/board-drawing";
import { boardCsv } from "../../core/formats/ends-csv";
import { boardPaper } from "../../core/papers/end-papers";
import { boardFigures } from "../../core/plan/board-figures";
import { endFigures } from "../../core/plan/end-figures";
import { endSteps } from "../../core/plan/end-steps";
import { KILN, laid } from "./laid-cottage.fixture";

describe("a second board in the shed, fed from way 8 of the first", () => {
  const { h, plan } = laid((j) => ({
    ...j,
    circuits: j.circuits.map((c) => (c.id === "k" ? { ...c, way: 8 } : c)),
    points: j.points.map((p) => (p.id === "k1" ? { ...p, kind: "board", ways: 2, glandAt: {}, faceHoles: [] } : p)),
  }));
  const f = boardFigures(h, plan, "k1")!;
  const cable = f.cables.find((c) => c.run.id === KILN)!;
  const first = boardFigures(h, plan, "board")!.cables.find((c) => c.run.id === KILN)!;

  it("the cable goes to its main switch, and takes none of its two ways; in the first board to way 8", () => {
    expect(f.layout.ways).toHaveLength(2);
    expect([cable.feed, cable.way, f.spareWays]).toEqual([true, null, 2]);
    expect(cable.terminal).toEqual({ x: f.layout.mainSwitch.x, y: f.layout.mainSwitch.y - 42 });
    expect([first.feed, first.way]).toEqual([false, 8]);
    const across = Math.abs(cable.terminal!.x - cable.entry.x) + Math.abs(cable.terminal!.y - cable.entry.y);
    expect(cable.tails!.line).toBe(Math.ceil((across + 60) / 10) * 10);
    expect(cable.tails!.neutral).toBe(cable.tails!.line);
  });
  it("says so on paper, in the table and in the drawing, and is guided as a feed", () => {
    const rows = boardPaper(h, plan, "k1")!.blocks.flatMap((b) => (b.kind === "table" ? b.rows : []));
    expect(rows.map((r) => r[2])).toEqual(["main"]);
    expect(
      boardCsv(h.job, plan, h)
        .split("\r\n")
        .filter((l) => l.includes("main switch")),
    ).toHaveLength(1);
    const said = JSON.stringify(drawBoardEntry(f, new Map()));
    expect(said).not.toContain("no way yet");
    expect(said).toContain(JSON.stringify([cable.terminal!.x, cable.entry.y]));
    const kinds = (point: string) => {
      const e = endFigures(h, plan, point)!;
      return endSteps(
        h,
        plan,
        e,
        e.cables.find((c) => c.run.id === KILN)!,
      ).at(-1);
    };
    expect(kinds("k1")).toEqual({ kind: "feed-end", measures: { sheath: 40, ...cable.tails } });
    expect(kinds("board")!.kind).toBe("board-end");
  });
});
