import PDFDocument from "pdfkit";
import QRCode from "qrcode";
import {
  type Block,
  type Paper,
  type Strip,
  type TableBlock,
  type TextBlock,
  STICK_OVERLAP,
  stripsOf,
} from "../../core/papers/paper";
import { drawScene, sceneHeight } from "./pdf-scene";
import { type Face, type Pdf, linesOf, pt, setLine, takeLetters } from "./pdf-words";

/** What stands on every page beside its paper. */
export interface Heading {
  job: string;
  address: string;
  /** The day it was made, as it is printed. */
  date: string;
  version: number;
}
export const sheetSizes = ["A4", "A3"] as const;
export type SheetSize = (typeof sheetSizes)[number];

/** Sizes of paper, mm, upright. */
const sizes: Record<SheetSize, readonly [number, number]> = { A4: [210, 297], A3: [297, 420] };
const MARGIN = 12;
const HEAD = 17;
const FOOT = 8;
const INK = "#1c2725";
const SOFT = "#55625f";
const STOP = "#a8281c";
/** Height of one strip of a stick with its words, mm. */
const STRIP = 27;

/** Where the next thing goes on the page in hand, points; `newPage` begins another of the same paper. */
interface Flow {
  doc: Pdf;
  x: number;
  y: number;
  wide: number;
  bottom: number;
  newPage: () => void;
}
const room = (f: Flow): number => f.bottom - f.y;

/** All papers as one PDF; several begin with their contents. Sizes of things at true scale are true at 100 %. */
export function papersPdf(
  papers: readonly Paper[],
  heading: Heading,
  size: SheetSize,
  compress = true,
): Promise<Buffer> {
  const doc = new PDFDocument({
    autoFirstPage: false,
    bufferPages: true,
    compress,
    size,
    margin: 0,
    info: { Title: `${heading.job}, papers`, CreationDate: new Date(0) },
  });
  takeLetters(doc);
  const chunks: Buffer[] = [];
  doc.on("data", (c: Buffer) => chunks.push(c));
  const done = new Promise<Buffer>((take, fail) => {
    doc.on("end", () => take(Buffer.concat(chunks)));
    doc.on("error", fail);
  });
  const pages: { title: string }[] = [];
  const first = papers.length > 1 ? contentsPages(papers.length, size) : 0;
  for (let i = 0; i < first; i++) {
    doc.addPage({ size, layout: "portrait", margin: 0 });
    pages.push({ title: "Contents" });
  }
  const begins = papers.map((p) => {
    const page = pages.length + 1;
    drawPaper(doc, p, size, () => pages.push({ title: p.title }));
    return page;
  });
  if (first) drawContents(doc, papers, begins, heading, size);
  pages.forEach((_, i) => {
    doc.switchToPage(i);
    foot(doc, heading, i + 1, pages.length);
  });
  doc.end();
  return done;
}

const LINE = 12;
const perPage = (size: SheetSize): number => Math.floor((pt(sizes[size][1] - 2 * MARGIN - HEAD - FOOT) - 40) / LINE);
const contentsPages = (n: number, size: SheetSize): number => Math.ceil(n / perPage(size));

function drawContents(
  doc: Pdf,
  papers: readonly Paper[],
  begins: readonly number[],
  heading: Heading,
  size: SheetSize,
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
    "a working aid: local codes and licensed practice decide",
    h.address,
  ];
  // The address is the last, and gives way where the page is narrow.
  const [line] = linesOf(doc, words.filter(Boolean).join(" · "), "plain", 7.5, doc.page.width - 2 * x - 60);
  setLine(doc, line!, x, y, "plain", 7.5, { ink: SOFT });
  setLine(doc, `page ${page} of ${of}`, doc.page.width - x, y, "plain", 7.5, { align: "end", ink: SOFT });
}

function drawPaper(doc: Pdf, p: Paper, size: SheetSize, onPage: () => void): void {
  const f: Flow = {
    doc,
    x: pt(MARGIN),
    y: 0,
    wide: 0,
    bottom: 0,
    newPage: () => {
      doc.addPage({ size, layout: p.landscape ? "landscape" : "portrait", margin: 0 });
      onPage();
      head(doc, p.title, p.about, p.qr);
      f.y = pt(MARGIN + HEAD + 3);
      f.wide = doc.page.width - 2 * pt(MARGIN);
      f.bottom = doc.page.height - pt(MARGIN + FOOT - 3);
    },
  };
  f.newPage();
  for (const b of p.blocks) drawBlock(f, b);
}

function drawBlock(f: Flow, b: Block): void {
  if (b.kind === "scene") return sceneBlock(f, b);
  if (b.kind === "stick") return stickBlock(f, b);
  if (b.kind === "columns") return columns(f, b.columns);
  return b.kind === "table" ? table(f, b) : text(f, b);
}

const inMm = (points: number): number => (points * 25.4) / 72;

function sceneBlock(f: Flow, b: Extract<Block, { kind: "scene" }>): void {
  const wide = inMm(f.wide);
  let fits = sceneHeight(b.scene, wide, Math.min(b.tall, inMm(room(f))));
  if (pt(fits.high) > room(f) || inMm(room(f)) < b.tall * 0.6) {
    f.newPage();
    fits = sceneHeight(b.scene, wide, Math.min(b.tall * 1.3, inMm(room(f))));
  }
  drawScene(f.doc, b.scene, f.x, f.y, wide, fits.scale);
  f.y += pt(fits.high) + 8;
}

const looks: Record<NonNullable<TextBlock["look"]> | "plain", { face: Face; size: number; ink: string }> = {
  heading: { face: "bold", size: 11, ink: INK },
  caution: { face: "bold", size: 9, ink: STOP },
  soft: { face: "plain", size: 8.5, ink: SOFT },
  plain: { face: "plain", size: 9, ink: INK },
};

function text(f: Flow, b: TextBlock): void {
  const { face, size, ink } = looks[b.look ?? "plain"];
  const lines = linesOf(f.doc, b.text, face, size, f.wide);
  // A heading does not stand alone at the foot of a page.
  if (room(f) < (b.look === "heading" ? 60 : size * 1.4)) f.newPage();
  for (const line of lines) {
    if (room(f) < size * 1.4) f.newPage();
    f.y += size * 1.25;
    setLine(f.doc, line, f.x, f.y, face, size, { ink });
  }
  f.y += b.look === "heading" ? 4 : 6;
}

const CELL = 8.5;

/** About how high words or a table stand in a width, points. */
function heightOf(doc: Pdf, b: TableBlock | TextBlock, wide: number): number {
  if (b.kind === "table") return (b.title ? 20 : 0) + (b.rows.length + 1) * (CELL * 1.25 + 6) + 8;
  const { face, size } = looks[b.look ?? "plain"];
  return linesOf(doc, b.text, face, size, wide).length * size * 1.25 + 6;
}

function table(f: Flow, b: TableBlock): void {
  if (b.title) text(f, { kind: "text", look: "heading", text: b.title });
  if (!b.rows.length) return text(f, { kind: "text", look: "soft", text: b.none });
  const sum = b.shares.reduce((s, x) => s + x, 0);
  const wides = b.shares.map((s) => (f.wide * s) / sum);
  const lefts = wides.map((_, i) => f.x + wides.slice(0, i).reduce((s, x) => s + x, 0));
  const isFigure = (i: number): boolean => b.figures?.includes(i) ?? false;
  const row = (cells: readonly string[], face: Face): void => {
    const set = cells.map((c, i) => {
      const own: Face = face === "plain" && isFigure(i) ? "figures" : face;
      return { own, lines: linesOf(f.doc, c, own, CELL, wides[i]! - 12) };
    });
    const high = Math.max(...set.map((s) => s.lines.length)) * CELL * 1.25 + 4;
    if (room(f) < high) {
      f.newPage();
      if (face === "plain") row(b.heads, "bold");
    }
    set.forEach(({ own, lines }, i) =>
      lines.forEach((line, n) => {
        const y = f.y + CELL * 1.25 * (n + 1) - 1;
        if (isFigure(i)) setLine(f.doc, line, lefts[i]! + wides[i]! - 12, y, own, CELL, { align: "end" });
        else setLine(f.doc, line, lefts[i]!, y, own, CELL);
      }),
    );
    f.y += high;
    f.doc.moveTo(f.x, f.y - 1).lineTo(f.x + f.wide, f.y - 1);
    if (face === "bold") f.doc.undash().lineWidth(0.9).stroke(INK);
    else f.doc.dash(0.8, { space: 1.6 }).lineWidth(0.4).stroke(SOFT).undash();
    f.y += 2;
  };
  if (room(f) < 40) f.newPage();
  row(b.heads, "bold");
  for (const r of b.rows) row(r, "plain");
  f.y += 8;
}

/** Side by side; all of it goes to the next page where it does not fit this one. */
function columns(f: Flow, list: Extract<Block, { kind: "columns" }>["columns"]): void {
  const wide = (f.wide - pt(8) * (list.length - 1)) / list.length;
  const high = Math.max(...list.map((c) => c.reduce((n, b) => n + heightOf(f.doc, b, wide), 0)));
  if (room(f) < Math.min(high, pt(90))) f.newPage();
  const top = f.y;
  let low = top;
  list.forEach((blocks, i) => {
    const own: Flow = { ...f, x: f.x + i * (wide + pt(8)), y: top, wide };
    // A column that goes on over the page takes the others along: what follows begins under the lowest.
    own.newPage = () => {
      f.newPage();
      own.y = f.y;
      own.bottom = f.bottom;
      low = own.y;
    };
    for (const b of blocks) drawBlock(own, b);
    low = Math.max(low, own.y);
  });
  f.y = low;
}

function stickBlock(f: Flow, b: Extract<Block, { kind: "stick" }>): void {
  const strips = stripsOf(b.length, b.marks, Math.floor(inMm(f.wide)));
  strips.forEach((s, i) => {
    if (room(f) < pt(STRIP)) f.newPage();
    drawStrip(f, s, `${b.name}, strip ${i + 1} of ${strips.length}`, i, strips.length);
    f.y += pt(STRIP);
  });
}

/** One strip at true scale: centimetres and decimetres along its upper edge, marks across it, join marks where the next is laid on. */
function drawStrip({ doc, x, y }: Flow, s: Strip, name: string, n: number, of: number): void {
  const at = (mm: number): number => x + pt(mm - s.from);
  doc
    .undash()
    .rect(x, y, pt(s.to - s.from), pt(16))
    .lineWidth(0.8)
    .stroke(INK);
  for (let mm = Math.ceil(s.from / 10) * 10; mm <= s.to; mm += 10) {
    const long = mm % 100 === 0 ? 5 : mm % 50 === 0 ? 3.5 : 2;
    doc
      .moveTo(at(mm), y)
      .lineTo(at(mm), y + pt(long))
      .lineWidth(mm % 100 ? 0.4 : 0.8)
      .stroke(INK);
    if (mm % 100 === 0) setLine(doc, String(mm), at(mm) + 2, y + pt(4.4), "figures", 6.5, { ink: SOFT });
  }
  for (const join of [...(n ? [s.from + STICK_OVERLAP] : []), ...(n < of - 1 ? [s.to - STICK_OVERLAP] : [])])
    doc
      .dash(2, { space: 1.5 })
      .moveTo(at(join), y)
      .lineTo(at(join), y + pt(16))
      .lineWidth(0.6)
      .stroke(STOP)
      .undash();
  s.marks.forEach((m, i) => {
    doc
      .moveTo(at(m.at), y + pt(5))
      .lineTo(at(m.at), y + pt(16))
      .lineWidth(1.1)
      .stroke(INK);
    const line = i % 3;
    const right = at(m.at) > x + pt(s.to - s.from) - pt(45);
    setLine(doc, m.text, at(m.at) + (right ? -2 : 2), y + pt(8.2 + 3 * line), "plain", 7, {
      align: right ? "end" : "start",
    });
  });
  const bar = at(s.from) + pt(120);
  const foot = y + pt(19.5);
  setLine(doc, `${name}${of > 1 ? " · lay the next on at the broken line" : ""}`, x, foot, "plain", 7.5, { ink: SOFT });
  doc
    .moveTo(bar, foot)
    .lineTo(bar + pt(100), foot)
    .lineWidth(1)
    .stroke(INK);
  setLine(doc, "100 mm: measure it", bar + pt(102), foot, "plain", 7.5, { ink: SOFT });
}
