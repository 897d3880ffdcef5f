import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { toCut } from "../../core/base/figures";
import { behindWall } from "../../core/plan/behind-wall";
import { papersOf } from "../../core/papers/pack";
import {
  type Paper,
  type PaperKind,
  SCALES,
  STICK_OVERLAP,
  type TableBlock,
  paperKinds,
  scaleFor,
  stripsOf,
} from "../../core/papers/paper";
import { runReadingNames } from "../../core/trades/dead-tests/run-read";
import type { SiteEntry } from "../../core/job/site-entry";
import { h, job, plan } from "./laid-cottage.fixture";

const ask = (kinds: readonly PaperKind[], more: Partial<Parameters<typeof papersOf>[3]> = {}, book: SiteEntry[] = []) =>
  papersOf(h, plan, book, { kinds, room: null, wall: null, wallLink: null, ...more });
const tables = (p: Paper): TableBlock[] =>
  p.blocks.flatMap((b) =>
    b.kind === "table"
      ? [b]
      : b.kind === "columns"
        ? b.columns.flat().filter((x): x is TableBlock => x.kind === "table")
        : [],
  );
const words = (p: Paper): string =>
  p.blocks
    .flatMap((b) => (b.kind === "columns" ? b.columns.flat() : b.kind === "text" ? [b] : []))
    .flatMap((b) => (b.kind === "text" ? [b.text] : []))
    .join(" ");

describe("sticks and scales", () => {
  it("strips are no wider than the paper, begin where the last ends less the overlap, and hold every mark (property)", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20_000 }),
        fc.integer({ min: 50, max: 400 }),
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 20 }),
        (length, wide, at) => {
          const marks = at.map((a, i) => ({ at: a * length, text: String(i) }));
          const strips = stripsOf(length, marks, wide);
          expect(strips[0]!.from).toBe(0);
          expect(strips.at(-1)!.to).toBe(length);
          strips.forEach((s, i) => {
            expect(s.to - s.from).toBeLessThanOrEqual(wide);
            if (i) expect(s.from).toBe(strips[i - 1]!.to - STICK_OVERLAP);
          });
          expect(new Set(strips.flatMap((s) => s.marks.map((m) => m.text))).size).toBe(marks.length);
        },
      ),
    );
  });
  it("a drawing is as large as fits: a wall of 4 200 by 2 400 on 247 by 81 mm is 1 : 30, where 1 : 25 is too high", () => {
    expect(scaleFor(4200, 2400, 247, 81)).toBe(30);
    expect(scaleFor(4200, 2400, 247, 96)).toBe(25);
    expect(scaleFor(1e9, 1, 200, 200)).toBe(SCALES.at(-1));
  });
});

describe("a wall sheet", () => {
  it("names all that is behind the face with place and depth, and the ways to switch off", () => {
    for (const p of ask(["wall"])) {
      const behind = behindWall(h, plan, p.id);
      const table = tables(p).find((t) => t.title === "Behind the face")!;
      expect(table.rows).toHaveLength(behind.length);
      table.rows.forEach((r, i) => expect(r[2]).toBe(String(Math.round(behind[i]!.depth))));
      const circuits = new Set(behind.flatMap((x) => plan.runs.find((r) => r.id === x.run)?.circuit ?? []));
      for (const id of circuits) {
        const c = job.circuits.find((x) => x.id === id)!;
        expect(words(p)).toContain(c.way === null ? `${c.label} (way not given)` : `${c.label} (way ${c.way})`);
        expect(p.qr).toContain(`${c.label} `);
      }
      expect(words(p)).toContain("A detector that stays silent proves nothing");
      expect(words(p)).toContain("Not released: cables may still be moved.");
    }
  });
  it("says who released it and when, and leads to its page where there is one", () => {
    const wall = ask(["wall"])[0]!.id;
    const line: SiteEntry = {
      id: "r",
      run: `wall:${wall}`,
      kind: "released",
      step: null,
      text: "Seen",
      by: "Pat",
      at: "2026-11-26T15:58:00Z",
    };
    const [p] = ask(["wall"], { wall, wallLink: (w) => `https://house.lan/${w}` }, [line]);
    expect(words(p!)).toContain("Released by Pat, 2026-11-26 15:58 UTC.");
    expect(p!.qr).toBe(`https://house.lan/${wall}`);
  });
});

describe("the other papers", () => {
  it("have every hole, run, circuit and expected reading once", () => {
    const [bores, circuits, cuts, tests] = ask(["bores", "circuits", "cuts", "tests"]);
    expect(tables(bores!).reduce((n, t) => n + t.rows.length, 0)).toBe(plan.holes.length);
    expect(tables(circuits!)[0]!.rows).toHaveLength(job.circuits.length);
    expect(
      tables(cuts!)[0]!
        .rows.map((r) => r[2])
        .sort(),
    ).toEqual(plan.runs.map((r) => toCut(r.cutLength)).sort());
    expect(tables(tests!)[0]!.rows).toHaveLength(plan.runs.length);
    expect(tables(tests!)[1]!.rows).toHaveLength(job.circuits.filter((c) => c.kind === "ring").length);
  });
  it("have in the test sheet the reading that stands, whatever order the lines came in, and an open one as open", () => {
    const run = plan.runs[0]!.id;
    const read = (id: string, at: string, value: number): SiteEntry => ({
      id,
      run,
      kind: "reading",
      step: null,
      text: "",
      by: "Pat",
      at,
      reading: { what: runReadingNames.lineEarth, value, unit: "Ω" },
    });
    const cell = (book: SiteEntry[]): string => tables(ask(["tests"], {}, book)[0]!)[0]!.rows[0]![2]!;
    const [late, early] = [read("b", "2026-11-26T11:00:00Z", 0.4), read("a", "2026-11-26T10:00:00Z", 1_000_000)];
    expect(cell([late, early])).toBe("0.4 Ω");
    expect(cell([early])).toBe("open");
  });
  it("come in the order asked for, of one room or wall alone where that is asked", () => {
    const kinds = ask(paperKinds).map((p) => p.kind);
    expect([...new Set(kinds)]).toEqual(paperKinds);
    const room = job.rooms.find((r) => r.name === "Kitchen")!.id;
    const some = ask(["room", "wall", "stick"], { room });
    expect(some.filter((p) => p.kind === "room")).toHaveLength(1);
    for (const p of some) expect(p.title).toMatch(/^Kitchen/);
    const wall = some.find((p) => p.kind === "wall")!.id;
    expect(ask(["wall"], { room, wall })).toHaveLength(1);
  });
});
