import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { toCut } from "../../core/base/figures";
import { behindWall } from "../../core/plan/behind-wall";
import { mainsOf } from "../../core/job/mains";
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
import { mm } from "../../core/base/figures";
import { builtWords } from "../../core/papers/pack";
import { labelKinds, labelSheets, labelsOf, placesOnSheets } from "../../core/papers/labels";
import { spansOfNumbers } from "../../core/papers/stick-papers";
import { boardFigures } from "../../core/plan/board-figures";
import { endFigures } from "../../core/plan/end-figures";
import { glandFaces } from "../../core/plan/gland-faces";
import { sectionFigures } from "../../core/plan/section-figures";
import { trunkingEnds } from "../../core/plan/trunking-ends";
import { buyingCost, buyingList } from "../../core/record/buying";
import { clockText } from "../../core/record/calendar";
import { byDate, daysOf } from "../../core/record/day";
import { roomName } from "../../core/words/at-end";
import { moneyWords } from "../../core/words/supplies";
import { h, job, plan } from "./laid-cottage.fixture";

const now = { date: "2026-11-30", minute: 480 };
const ask = (kinds: readonly PaperKind[], more: Partial<Parameters<typeof papersOf>[3]> = {}, book: SiteEntry[] = []) =>
  papersOf(h, plan, book, { kinds, room: null, wall: null, wallLink: null, now, zone: "UTC", ...more });
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
    const [there] = ask(["wall"], { wall, zone: "Europe/Berlin" }, [line]);
    expect(words(there!)).toContain("Released by Pat, 2026-11-26 16:58.");
    expect(p!.qr).toBe(`https://house.lan/${wall}`);
  });
});

describe("papers of ends and sections", () => {
  it("have every cable of every box and board once, with what to leave of it", () => {
    const cards = ask(["boxes"]);
    const rows = cards.flatMap((p) => tables(p).flatMap((t) => t.rows.map((r) => ({ card: p.id, r }))));
    const boards = new Set(job.points.filter((p) => p.kind === "board").map((p) => p.id));
    const placed = plan.ends.filter((e) => endFigures(h, plan, e.point)?.cables.length);
    expect(rows.filter((x) => !boards.has(x.card))).toHaveLength(placed.filter((e) => !boards.has(e.point)).length);
    for (const id of boards) {
      const f = boardFigures(h, plan, id)!;
      expect(rows.filter((x) => x.card === id).map((x) => x.r[9])).toEqual(
        f.cables.map((c) => (c.spare === null ? "–" : mm(Math.floor(c.spare)))),
      );
    }
    const s1 = job.points.find((p) => p.kind === "socket")!;
    const f = endFigures(h, plan, s1.id)!;
    const leave = f.cables.map((c) => mm(c.end.measures.tail ?? 0));
    const card = cards.find((p) => p.title.startsWith(roomName(h, s1.id)))!;
    expect(tables(card).some((t) => t.rows.map((r) => r[4]).join() === leave.join())).toBe(true);
  });
  it("have the template of every face that is drilled and every plate, and each piece with its folds", () => {
    const faces = job.points.flatMap((p) => glandFaces(h, plan, p.id).filter((f) => f.holes.length));
    const glands = ask(["glands"]);
    expect(glands.flatMap((p) => p.blocks).filter((b) => b.kind === "true")).toHaveLength(
      faces.length + trunkingEnds(h).length,
    );
    const pieces = sectionFigures(h, plan).flatMap((f) => f.pieces);
    const opened = ask(["opened"]).flatMap((p) => p.blocks);
    expect(opened.filter((b) => b.kind === "scene")).toHaveLength(pieces.length);
    expect(opened.filter((b) => b.kind === "true")).toHaveLength(pieces.reduce((n, p) => n + p.folds.length, 0));
  });
});

describe("sticks of joists and runs", () => {
  it("have every bore of every joist, once for all joists that are bored alike", () => {
    const blocks = ask(["joists"]).flatMap((p) => p.blocks);
    const joists = (words: string): number =>
      words
        .match(/^Joists? (.*), span/)![1]!
        .split(", ")
        .reduce(
          (n, s) => n + (s.includes(" to ") ? Number(s.split(" to ")[1]) - Number(s.split(" to ")[0]) + 1 : 1),
          0,
        );
    let bores = 0;
    blocks.forEach((b, i) => {
      if (b.kind !== "stick") return;
      const head = blocks[i - 1]!;
      bores += b.marks.filter((m) => m.text.includes("drill")).length * joists(head.kind === "text" ? head.text : "");
    });
    // The tape says a hole once where two lie at one place.
    const places = new Set(
      plan.holes
        .filter((o) => o.in.kind === "joist")
        .map((o) => `${o.in.deck} ${o.in.joist} ${o.in.span} ${Math.round(o.at * 100)} ${o.diameter} ${o.runs.length}`),
    );
    expect(bores).toBe(places.size);
  });
  it("name joists that follow one another as a stretch", () => {
    expect(spansOfNumbers([7, 3, 4, 5, 9, 10])).toBe("3 to 5, 7, 9, 10");
    expect(spansOfNumbers([2])).toBe("2");
  });
  it("have every turn and clip of a run", () => {
    const run = plan.runs[0]!;
    const b = ask(["runs"])
      .find((p) => p.id === run.id)!
      .blocks.find((x) => x.kind === "stick");
    expect(b?.kind === "stick" && b.length).toBeCloseTo(run.pathLength, 6);
  });
});

describe("what to buy and the day", () => {
  it("have every item still to buy and its price, and every stretch of work on its day", () => {
    const [buy, day] = ask(["buy", "day"]);
    const open = buyingList(h, plan, []).filter((l) => l.toBuy > 0);
    expect(tables(buy!)[0]!.rows.map((r) => r[0])).toEqual(open.map((l) => l.item));
    expect(words(buy!)).toContain(moneyWords(buyingCost(open).price));
    const days = byDate(daysOf(h, plan, [], now));
    expect(tables(day!).map((t) => t.rows.length)).toEqual(days.map((d) => d.slots.length));
    expect(tables(day!)[0]!.rows[0]![0]).toBe(clockText(days[0]!.slots[0]!.from));
    expect(words(day!)).toContain("Monday 30 November 2026");
  });
  it("say whether this is what was built", () => {
    expect(builtWords(plan)).toBe("as planned");
    const held = plan.runs.map((r, i) => ({ ...r, held: i === 0 }) as (typeof plan.runs)[number]);
    expect(builtWords({ ...plan, runs: held })).toBe(`as built where laid, 1 of ${plan.runs.length} runs`);
    expect(builtWords({ ...plan, runs: held.map((r) => ({ ...r, held: true }) as (typeof held)[number]) })).toBe(
      "as built",
    );
  });
});

describe("labels", () => {
  it("flag both ends of every cable, every way and every point of a circuit", () => {
    expect(labelsOf(h, plan, ["flags"])).toHaveLength(2 * plan.runs.length);
    expect(labelsOf(h, plan, ["ways"]).map((l) => l.lines[0])).toEqual(
      job.circuits
        .filter((c) => c.way !== null)
        .sort((a, b) => a.way! - b.way!)
        .map((c) => `${c.way} · ${c.label}`),
    );
    const points = job.circuits.reduce((n, c) => n + c.points.length + c.spurs.length, 0);
    expect(labelsOf(h, plan, labelKinds).filter((l) => l.kind === "points")).toHaveLength(points);
    // The legs of a ring are told apart at the board.
    expect(labelsOf(h, plan, ["flags"]).map((l) => l.lines[0])).toEqual(expect.arrayContaining(["R1 out", "R1 back"]));
  });
  it("lie wholly on their sheets, none on another, from the first that is free (property)", () => {
    for (const s of labelSheets)
      fc.assert(
        fc.property(fc.integer({ min: 1, max: 200 }), fc.integer({ min: 1, max: s.columns * s.rows }), (n, first) => {
          const places = placesOnSheets(n, s, first);
          expect(places).toHaveLength(n);
          expect(new Set(places.map((p) => `${p.sheet} ${p.x} ${p.y}`)).size).toBe(n);
          for (const p of places) {
            expect(p.x).toBeGreaterThanOrEqual(0);
            expect(p.y).toBeGreaterThanOrEqual(0);
            expect(p.x + s.width).toBeLessThanOrEqual(210 + 1e-9);
            expect(p.y + s.height).toBeLessThanOrEqual(297 + 1e-9);
          }
        }),
      );
    const [a, b] = placesOnSheets(2, labelSheets[1]!, 3);
    expect([a!.x, b!.x]).toEqual([140, 0]);
    expect(b!.y - a!.y).toBeCloseTo(37, 9);
  });
});

describe("the other papers", () => {
  it("have every hole, run, circuit and expected reading once", () => {
    const [bores, circuits, cuts, tests] = ask(["bores", "circuits", "cuts", "tests"]);
    expect(tables(bores!).reduce((n, t) => n + t.rows.length, 0)).toBe(plan.holes.length);
    expect(tables(circuits!)[0]!.rows).toHaveLength(mainsOf(job).length);
    expect(
      tables(cuts!)[0]!
        .rows.map((r) => r[2])
        .sort(),
    ).toEqual(plan.runs.map((r) => toCut(r.cutLength)).sort());
    const mains = new Set(mainsOf(job).map((c) => c.id));
    expect(tables(tests!)[0]!.rows).toHaveLength(plan.runs.filter((r) => mains.has(r.circuit)).length);
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
    const insulated: SiteEntry = {
      ...late,
      id: "i",
      reading: { what: runReadingNames.insulation, value: 299, unit: "MΩ" },
    };
    const row = tables(ask(["tests"], {}, [late, insulated])[0]!)[0]!.rows[0]!;
    expect([row[2], row[4], row[5]]).toEqual(["0.4 Ω", "", expect.stringContaining("299")]);
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
