import { join } from "node:path";

/** The letters that are on paper, as files; the last has the signs that the others lack (Ω, ≤, →). */
const at = (path: string): string => join(process.cwd(), "node_modules", path);
const files = {
  plain: at("@fontsource/barlow/files/barlow-latin-400-normal.woff"),
  bold: at("@fontsource/barlow/files/barlow-latin-600-normal.woff"),
  head: at("@fontsource/barlow-semi-condensed/files/barlow-semi-condensed-latin-600-normal.woff"),
  figures: at("@fontsource/spline-sans-mono/files/spline-sans-mono-latin-400-normal.woff"),
  signs: at("dejavu-fonts-ttf/ttf/DejaVuSans.ttf"),
} as const;
export type Face = Exclude<keyof typeof files, "signs">;

export type Pdf = PDFKit.PDFDocument;

/** mm on paper in points. */
export const pt = (mm: number): number => (mm * 72) / 25.4;

/** Makes the letters known to a document. */
export function takeLetters(doc: Pdf): void {
  for (const [name, path] of Object.entries(files)) doc.registerFont(name, path);
}

/** All of a document once it is ended. */
export function bytesOf(doc: Pdf): Promise<Buffer> {
  const chunks: Buffer[] = [];
  doc.on("data", (c: Buffer) => chunks.push(c));
  return new Promise((take, fail) => {
    doc.on("end", () => take(Buffer.concat(chunks)));
    doc.on("error", fail);
  });
}

/** Signs that the letters of the house lack. */
const LACKING = /[^\u0020-\u024f\u2013\u2014\u2018\u2019\u201c\u201d\u2022\u2026\u2212]+/g;

const clean = (s: string): string => s.replace(/[\u2009\u202f\u00a0]/g, "\u00a0").replace(/[\u0000-\u001f]/g, " ");

/** A line in pieces, each with the letters that it is set in. */
function pieces(text: string, face: Face): { text: string; font: string }[] {
  const out: { text: string; font: string }[] = [];
  let from = 0;
  for (const m of text.matchAll(LACKING)) {
    if (m.index > from) out.push({ text: text.slice(from, m.index), font: face });
    out.push({ text: m[0], font: "signs" });
    from = m.index + m[0].length;
  }
  if (from < text.length) out.push({ text: text.slice(from), font: face });
  return out;
}

/** Widths at 1000 points: the same words stand on many pages. */
const widths = new Map<string, number>();

/** How wide a line is set, points. */
export function widthOf(doc: Pdf, text: string, face: Face, size: number): number {
  const name = `${face} ${text}`;
  let wide = widths.get(name);
  if (wide === undefined) {
    wide = pieces(clean(text), face).reduce((w, p) => w + doc.font(p.font).fontSize(1000).widthOfString(p.text), 0);
    if (widths.size > 20_000) widths.clear();
    widths.set(name, wide);
  }
  return (wide * size) / 1000;
}

/** Sets one line with its left end, middle or right end at x and its foot at y, points. */
export function setLine(
  doc: Pdf,
  text: string,
  x: number,
  y: number,
  face: Face,
  size: number,
  { align = "start", ink = "#1c2725" }: { align?: "start" | "middle" | "end"; ink?: string } = {},
): void {
  const wide = widthOf(doc, text, face, size);
  let left = align === "start" ? x : align === "middle" ? x - wide / 2 : x - wide;
  for (const p of pieces(clean(text), face)) {
    doc.font(p.font).fontSize(size).fillColor(ink);
    doc.text(p.text, left, y, { lineBreak: false, baseline: "alphabetic" });
    left += doc.widthOfString(p.text);
  }
}

/** Breaks words into lines no wider than a width; a word that is wider by itself is broken where it must be. */
export function linesOf(doc: Pdf, text: string, face: Face, size: number, wide: number): string[] {
  const out: string[] = [];
  let line = "";
  const fits = (s: string): boolean => widthOf(doc, s, face, size) <= wide + 0.01;
  for (const word of clean(text).split(" ")) {
    const next = line ? `${line} ${word}` : word;
    if (fits(next)) {
      line = next;
      continue;
    }
    if (line) out.push(line);
    line = "";
    for (const letter of word) {
      if (line && !fits(line + letter)) {
        out.push(line);
        line = "";
      }
      line += letter;
    }
  }
  if (line || !out.length) out.push(line);
  return out;
}
