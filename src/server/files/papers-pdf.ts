import PDFDocument from "pdfkit";
import QRCode from "qrcode";
import type { Paper } from "../../core/papers/paper";
import { drawBlocks } from "./pdf-blocks";
import { type Flow, INK, SOFT } from "./pdf-flow";
import { STRIP } from "./pdf-stick";
import { bytesOf, type Pdf, linesOf, pt, setLine, takeLetters } from "./pdf-words";

/** What stands on every page beside its paper. */
export interface Heading {
  job: string;
  address: string;
  /** The day it was made, as it is printed. */
  date: string;
  version: number;
  /** "as built" or "as planned". */
  built: string;
}
/** Paper by the sheet; or a roll, for sticks alone: each in one piece. */
export const sheetSizes = ["A4", "A3", "roll"] as const;
export type SheetSize = (typeof sheetSizes)[number];

/** Sizes of paper, mm, upright; a roll is as long as what is printed, to the longest page that a PDF has. */
const sizes: Record<Exclude<SheetSize, "roll">, readonly [number, number]> = { A4: [210, 297], A3: [297, 420] };
const ROLL_MOST = 5000;
/** Height on a roll for a stick with the words over it, mm. */
const ON_ROLL = STRIP + 12;
const MARGIN = 12;
const HEAD = 17;
const FOOT = 8;

/** All papers as one PDF; several begin with their contents. Sizes of things at true scale are true at 100 %. */
export async function papersPdf(
  papers: readonly Paper[],
  heading: Heading,
  size: SheetSize,
  { photos = new Map<string, Buffer>(), compress = true } = {},
): Promise<Buffer> {
  const doc = new PDFDocument({
    autoFirstPage: false,
    bufferPages: true,
    compress,
    margin: 0,
    info: { Title: `${heading.job}, papers`, CreationDate: new Date(0) },
  });
  takeLetters(doc);
  const done = bytesOf(doc);
  const pages: { title: string }[] = [];
  const contents = size === "roll" || papers.length < 2 ? null : size;
  const first = contents ? contentsPages(papers.length, contents) : 0;
  for (let i = 0; i < first; i++) {
    doc.addPage({ size, layout: "portrait", margin: 0 });
    pages.push({ title: "Contents" });
  }
  const begins: number[] = [];
  for (const p of papers) {
    begins.push(pages.length + 1);
    drawPaper(doc, p, size, photos, () => pages.push({ title: p.title }));
    // Others are served between two papers of a thick pack.
    await new Promise(setImmediate);
  }
  if (contents) drawContents(doc, papers, begins, heading, contents);
  pages.forEach((_, i) => {
    doc.switchToPage(i);
    foot(doc, heading, i + 1, pages.length);
  });
  doc.end();
  return done;
}

const LINE = 12;
type Sheet = Exclude<SheetSize, "roll">;
const perPage = (size: Sheet): number => Math.floor((pt(sizes[size][1] - 2 * MARGIN - HEAD - FOOT) - 40) / LINE);
const contentsPages = (n: number, size: Sheet): number => Math.ceil(n / perPage(size));

function drawContents(
  doc: Pdf,
  papers: readonly Paper[],
  begins: readonly number[],
  heading: Heading,
  size: Sheet,
): void {
  const each = perPage(size);
  papers.forEach((p, i) => {
    doc.switchToPage(Math.floor(i / each));
    const f = { x: pt(MARGIN), wide: doc.page.width - 2 * pt(MARGIN) };
    if (i % each === 0) {
      head(doc, `${heading.job} · papers`, `${heading.address} · ${papers.length} papers`);
      setLine(doc, "Contents", f.x, pt(MARGIN + HEAD) + 16, "bold", 11, { ink: INK });
    }
    const y = pt(MARGIN + HEAD) + 36 + (i % each) * LINE;
    setLine(doc, p.title, f.x, y, "plain", 9);
    setLine(doc, String(begins[i]), f.x + f.wide, y, "figures", 9, { align: "end" });
  });
}

function head(doc: Pdf, title: string, about: string, qr?: string): void {
  const [x, top] = [pt(MARGIN), pt(MARGIN)];
  setLine(doc, title, x, top + 15, "head", 17);
  setLine(doc, about, x, top + 29, "plain", 9, { ink: SOFT });
  const y = pt(MARGIN + HEAD);
  if (qr) drawCode(doc, qr, doc.page.width - pt(MARGIN) - pt(HEAD - 1), top - pt(1), pt(HEAD - 1));
  doc
    .undash()
    .moveTo(x, y)
    .lineTo(doc.page.width - x, y)
    .lineWidth(1.2)
    .stroke(INK);
}

/** A QR code as squares, so that it is sharp at any size. */
function drawCode(doc: Pdf, text: string, x: number, y: number, side: number): void {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: "L" });
  const each = side / modules.size;
  for (let r = 0; r < modules.size; r++)
    for (let c = 0; c < modules.size; c++)
      if (modules.get(r, c)) doc.rect(x + c * each, y + r * each, each + 0.02, each + 0.02);
  doc.fill(INK);
}

function foot(doc: Pdf, h: Heading, page: number, of: number): void {
  const y = doc.page.height - pt(MARGIN) + 2;
  const x = pt(MARGIN);
  doc
    .undash()
    .moveTo(x, y - 10)
    .lineTo(doc.page.width - x, y - 10)
    .lineWidth(0.4)
    .stroke(SOFT);
  const words = [
    h.job,
    h.date,
    `version ${h.version}`,
    h.built,
    "a working aid: local codes and licensed practice decide",
    h.address,
  ];
  // The address is the last, and gives way where the page is narrow.
  const [line] = linesOf(doc, words.filter(Boolean).join(" · "), "plain", 7.5, doc.page.width - 2 * x - 60);
  setLine(doc, line!, x, y, "plain", 7.5, { ink: SOFT });
  setLine(doc, `page ${page} of ${of}`, doc.page.width - x, y, "plain", 7.5, { align: "end", ink: SOFT });
}

/** Size of a page of a paper, as the library takes it. */
function pageOf(p: Paper, size: SheetSize): { size: string | [number, number]; layout: "landscape" | "portrait" } {
  if (size !== "roll") return { size, layout: p.landscape ? "landscape" : "portrait" };
  const sticks = p.blocks.flatMap((b) => (b.kind === "stick" ? [b.length] : []));
  const long = Math.min(Math.max(150, ...sticks) + 2 * MARGIN + 1, ROLL_MOST);
  return { size: [pt(long), pt(2 * MARGIN + HEAD + FOOT + sticks.length * ON_ROLL)], layout: "portrait" };
}

function drawPaper(doc: Pdf, p: Paper, size: SheetSize, photos: ReadonlyMap<string, Buffer>, onPage: () => void): void {
  const f: Flow = {
    doc,
    x: pt(MARGIN),
    y: 0,
    wide: 0,
    bottom: 0,
    top: 0,
    photos,
    newPage: () => {
      doc.addPage({ ...pageOf(p, size), margin: 0 });
      onPage();
      head(doc, p.title, p.about, p.qr);
      f.top = pt(MARGIN + HEAD + 3);
      f.y = f.top;
      f.wide = doc.page.width - 2 * pt(MARGIN);
      f.bottom = doc.page.height - pt(MARGIN + FOOT - 3);
    },
  };
  f.newPage();
  drawBlocks(f, p.blocks);
}
