import { getDocument } from "pdfjs-dist/legacy/build/pdf.mjs";
import { describe, expect, it } from "vitest";
import { papersOf } from "../../core/papers/pack";
import type { Paper, PaperKind } from "../../core/papers/paper";
import { layHouse } from "../../core/house/house";
import { makePlan } from "../../core/plan/plan";
import { ternCottage } from "../../data/demo/tern-cottage";
import { papersPdf } from "./papers-pdf";

const job = ternCottage();
const [h, plan] = [layHouse(job), makePlan(job)];
const heading = { job: job.name, address: job.address, date: "27 November 2026", version: 3 };
const papers = (kinds: readonly PaperKind[], room: string | null = null): Paper[] =>
  papersOf(h, plan, [], { kinds, room, wall: null, wallLink: null });

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

describe("papers as PDF", () => {
  it("have on every page its title, the job, the day, the version and its number; nothing lies off the paper", async () => {
    const kitchen = job.rooms.find((r) => r.name === "Kitchen")!.id;
    const list = papers(["plan", "room", "wall", "bores", "circuits", "cuts", "tests", "notify"], kitchen);
    const pages = await read(await papersPdf(list, heading, "A4"));
    expect(pages.length).toBeGreaterThan(list.length);
    const titles = ["papers", ...list.map((p) => p.title)];
    pages.forEach((p, i) => {
      expect(p.text).toContain(`page ${i + 1} of ${pages.length}`);
      expect(p.text).toContain("Tern Cottage");
      expect(p.text).toContain("27 November 2026 · version 3");
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
    const pdf = await papersPdf([stick], heading, "A4", false);
    const [page] = await read(pdf);
    const left = (72 / 25.4) * 12;
    for (const [name, at] of [
      ["mark A", 123],
      ["mark B", 200.5],
    ] as const) {
      const w = page!.words.find((x) => x.text === name)!;
      expect(Math.abs(((w.x - 2 - left) * 25.4) / 72 - at)).toBeLessThan(0.2);
    }
    const lines = [...pdf.toString("latin1").matchAll(/([\d.]+) ([\d.]+) m\s+([\d.]+) ([\d.]+) l/g)].map((m) =>
      m.slice(1, 5).map(Number),
    );
    const bars = lines.filter(([ax, ay, bx, by]) => ay === by && Math.abs(((bx! - ax!) * 25.4) / 72 - 100) < 0.05);
    expect(bars).toHaveLength(3);
    // The three strips of 273 overlap by 10 mm: the second begins at 263.
    expect(page!.text).toContain("along, strip 2 of 3");
  });
  it("sets signs that its letters lack", async () => {
    const [page] = await read(await papersPdf(papers(["tests"]), heading, "A4"));
    expect(page!.text).toMatch(/0\.\d\d\s+Ω/);
  });
});
