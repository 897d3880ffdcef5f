import sharp from "sharp";
import { getDocument } from "pdfjs-dist/legacy/build/pdf.mjs";
import { describe, expect, it } from "vitest";
import { papersOf } from "../../core/papers/pack";
import { type Paper, type PaperKind, paperKinds } from "../../core/papers/paper";
import { layHouse } from "../../core/house/house";
import { makePlan } from "../../core/plan/plan";
import { ternCottage } from "../../data/demo/tern-cottage";
import { labelSheets, labelsOf, placesOnSheets } from "../../core/papers/labels";
import { pen } from "../../core/drawings/scene";
import { labelsPdf } from "./labels-pdf";
import { papersPdf } from "./papers-pdf";

const job = ternCottage();
const [h, plan] = [layHouse(job), makePlan(job)];
const heading = { job: job.name, address: job.address, date: "27 November 2026", version: 3, built: "as planned" };
const papers = (kinds: readonly PaperKind[], room: string | null = null): Paper[] =>
  papersOf(h, plan, [], {
    kinds,
    room,
    wall: null,
    wallLink: null,
    now: { date: "2026-11-27", minute: 480 },
    zone: "UTC",
  });

/** What an independent reader of PDF sees: the words of each page with their places, points from the lower left corner. */
async function read(pdf: Buffer) {
  const doc = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise;
  const pages = [];
  for (let i = 1; i <= doc.numPages; i++) {
    const page = await doc.getPage(i);
    const { items } = await page.getTextContent();
    const [, , width, height] = page.view as [number, number, number, number];
    const words = items.flatMap((x) =>
      "str" in x && x.str.trim()
        ? [{ text: x.str, x: x.transform[4] as number, y: x.transform[5] as number, wide: x.width }]
        : [],
    );
    pages.push({ width, height, words, text: words.map((w) => w.text).join(" ") });
  }
  return pages;
}

/** Lengths of the straight lines of an unpacked PDF, mm. */
const linesIn = (pdf: Buffer): number[] =>
  [...pdf.toString("latin1").matchAll(/([-\d.]+) ([-\d.]+) m\s+([-\d.]+) ([-\d.]+) l/g)].map((m) => {
    const [ax, ay, bx, by] = m.slice(1, 5).map(Number) as [number, number, number, number];
    return (Math.hypot(bx - ax, by - ay) * 25.4) / 72;
  });

describe("labels as PDF", () => {
  it("have every label wholly within its place, a flag twice", async () => {
    const labels = labelsOf(h, plan, ["flags", "ways"]).slice(0, 30);
    for (const s of labelSheets) {
      const pages = await read(await labelsPdf(labels, s, 2));
      const places = placesOnSheets(labels.length, s, 2);
      const inside = (n: number) => {
        const { sheet, x, y } = places[n]!;
        const page = pages[sheet]!;
        const at = (mm: number): number => (mm * 72) / 25.4;
        return page.words.filter(
          (w) =>
            w.x >= at(x) &&
            w.x + w.wide <= at(x + s.width) &&
            page.height - w.y >= at(y) &&
            page.height - w.y <= at(y + s.height),
        );
      };
      labels.forEach((l, n) => {
        const heads = inside(n).filter((w) => w.text === l.lines[0]);
        expect(heads).toHaveLength(l.kind === "flags" ? 2 : 1);
      });
      const words = labels.map((_, n) => inside(n).length).reduce((a, b) => a + b, 0);
      expect(words).toBe(pages.reduce((n, p) => n + p.words.length, 0));
    }
  });
});

describe("papers as PDF", () => {
  it("have on every page its title, the job, the day, the version and its number; nothing lies off the paper", async () => {
    const kitchen = job.rooms.find((r) => r.name === "Kitchen")!.id;
    const list = papers(
      paperKinds.filter((k) => !["joists", "runs"].includes(k)),
      kitchen,
    );
    const pages = await read(await papersPdf(list, heading, "A4"));
    expect(pages.length).toBeGreaterThan(list.length);
    const titles = ["papers", ...list.map((p) => p.title)];
    pages.forEach((p, i) => {
      expect(p.text).toContain(`page ${i + 1} of ${pages.length}`);
      expect(p.text).toContain("Tern Cottage");
      expect(p.text).toContain("27 November 2026 · version 3 · as planned");
      expect(titles.some((t) => p.text.includes(t))).toBe(true);
      for (const w of p.words) {
        expect(w.x).toBeGreaterThanOrEqual(0);
        expect(w.y).toBeGreaterThan(0);
        expect(w.y).toBeLessThan(p.height);
      }
      expect([p.width, p.height].map(Math.round).sort((a, b) => a - b)).toEqual([595, 842]);
    });
    // The contents name each paper and the page it begins on.
    for (const p of list) expect(pages[0]!.text).toContain(p.title);
    const begins = pages.findIndex((p, i) => i > 0 && p.text.startsWith("Bore schedule"));
    expect(pages[0]!.text).toMatch(new RegExp(`Bore schedule\\s+${begins + 1}\\b`));
  });
  it("goes over the page with its heads where a table is long, and prints A3", async () => {
    const pages = await read(await papersPdf(papers(["cuts"]), heading, "A3"));
    expect([pages[0]!.width, pages[0]!.height].map(Math.round)).toEqual([842, 1191]);
    const long: Paper = {
      ...papers(["cuts"])[0]!,
      blocks: [
        {
          kind: "table",
          heads: ["What", "How"],
          shares: [1, 1],
          none: "",
          rows: Array.from({ length: 120 }, (_, i) => [`row ${i} of it`, "x"]),
        },
      ],
    };
    const over = await read(await papersPdf([long], heading, "A4"));
    expect(over.length).toBeGreaterThan(1);
    for (const p of over) expect(p.text).toContain("What How");
    const rows = over.flatMap((p) => p.text.match(/row \d+ of it/g) ?? []);
    expect(new Set(rows).size).toBe(120);
  });
  it("draws sticks at true scale: every mark at its place, the check bar 100 mm, to 0.2 mm", async () => {
    const stick: Paper = {
      ...papers(["stick"])[0]!,
      blocks: [
        {
          kind: "stick",
          name: "along",
          length: 700,
          marks: [
            { at: 123, text: "mark A" },
            { at: 200.5, text: "mark B" },
          ],
        },
      ],
    };
    const pdf = await papersPdf([stick], heading, "A4", { compress: false });
    const [page] = await read(pdf);
    const left = (72 / 25.4) * 12;
    for (const [name, at] of [
      ["mark A", 123],
      ["mark B", 200.5],
    ] as const) {
      const w = page!.words.find((x) => x.text === name)!;
      expect(Math.abs(((w.x - 2 - left) * 25.4) / 72 - at)).toBeLessThan(0.2);
    }
    expect(linesIn(pdf).filter((l) => Math.abs(l - 100) < 0.05)).toHaveLength(3);
    // The three strips of 273 overlap by 10 mm: the second begins at 263.
    expect(page!.text).toContain("along, strip 2 of 3");
  });
  it("draws a gland template at true scale, and in sheets to tape where it is larger than the paper", async () => {
    const at = async (width: number) => {
      const p = pen();
      p.rect(0, 0, width, 60, "metal");
      p.line(
        [
          [30, 30],
          [width - 30, 30],
        ],
        "cut",
      );
      const paper: Paper = {
        ...papers(["glands"])[0]!,
        blocks: [{ kind: "true", scene: { label: "face", template: true, shapes: p.shapes } }],
      };
      const pdf = await papersPdf([paper], heading, "A4", { compress: false });
      return { text: (await read(pdf)).map((x) => x.text), lines: linesIn(pdf) };
    };
    const one = await at(200);
    expect(one.text).toHaveLength(1);
    expect(one.text[0]).toContain("100 mm: measure it · 1 : 1");
    expect(one.lines.filter((l) => Math.abs(l - 140) < 0.2)).toHaveLength(1);
    const three = await at(600);
    expect(three.text).toHaveLength(3);
    three.text.forEach((t, i) => expect(t).toContain(`sheet ${i + 1} of 3: row 1, place ${i + 1}`));
    // The line is drawn whole on every sheet and cut off by its edges.
    expect(three.lines.filter((l) => Math.abs(l - 540) < 0.2)).toHaveLength(3);
  });
  it("has a stick in one piece on a roll, at true scale", async () => {
    const pages = await read(await papersPdf(papers(["stick"]).slice(0, 2), heading, "roll"));
    expect(pages).toHaveLength(2);
    const stick = papers(["stick"])[0]!.blocks.find((b) => b.kind === "stick");
    if (stick?.kind !== "stick") throw new Error("no stick");
    expect((pages[0]!.width * 25.4) / 72).toBeCloseTo(stick.length + 25, 1);
    expect(pages[0]!.text).toContain("along, strip 1 of 1");
    for (const m of stick.marks) expect(pages[0]!.text).toContain(m.text.split(" ").at(-1)!);
  });
  it("keeps a heading with the drawing under it", async () => {
    const pages = await read(await papersPdf(papers(["opened", "glands"]), heading, "A4"));
    for (const p of pages) {
      const last = p.words.filter((w) => w.y > 40).reduce((a, b) => (b.y < a.y ? b : a), p.words[0]!);
      expect(last.text).not.toMatch(/^(Fold at|Face:|Piece)/);
    }
  });
  it("prints the photos of a wall with their words, and says so of one whose file is not there", async () => {
    const wall = job.walls[0]!.id;
    const photo = (picture: string, text: string) => ({
      id: picture,
      wall,
      deck: null,
      outside: null,
      picture,
      u: 400,
      v: 900,
      text,
      at: "2026-11-26T10:00:00Z",
    });
    const with_ = layHouse({ ...job, photos: [photo("there", "before boarding"), photo("gone", "")] });
    const [sheet] = papersOf(with_, plan, [], {
      kinds: ["wall"],
      room: null,
      wall,
      wallLink: null,
      now: { date: "2026-11-27", minute: 0 },
      zone: "UTC",
    });
    const jpeg = await sharp({ create: { width: 40, height: 30, channels: 3, background: "#888" } })
      .jpeg()
      .toBuffer();
    const pdf = await papersPdf([sheet!], heading, "A4", { photos: new Map([["there", jpeg]]), compress: false });
    const text = (await read(pdf)).map((p) => p.text).join(" ");
    expect(text).toContain("2026-11-26 · 400 from the left · before boarding");
    expect(text).toContain("the photo's file is not there");
    expect(pdf.toString("latin1").match(/\/Subtype \/Image/g)).toHaveLength(1);
  });
  it("sets signs that its letters lack", async () => {
    const [page] = await read(await papersPdf(papers(["tests"]), heading, "A4"));
    expect(page!.text).toMatch(/0\.\d\d\s+Ω/);
  });
});
