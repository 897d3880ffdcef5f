import PDFDocument from "pdfkit";
import { type Label, type LabelSheet, placesOnSheets } from "../../core/papers/labels";
import { bytesOf, type Pdf, linesOf, pt, setLine, takeLetters, widthOf } from "./pdf-words";

/** Words stay so far from the edge of a label, mm: sheets are cut and fed no closer. */
const INSET = 2.2;

/**
 * Labels on sheets of A4, each wholly within its label; nothing else is on the sheet. A flag is printed
 * twice, so that it reads from either side when folded round its cable.
 */
export async function labelsPdf(
  labels: readonly Label[],
  s: LabelSheet,
  firstFree: number,
  compress = true,
): Promise<Buffer> {
  const doc = new PDFDocument({
    autoFirstPage: false,
    compress,
    size: "A4",
    margin: 0,
    info: { CreationDate: new Date(0) },
  });
  takeLetters(doc);
  const done = bytesOf(doc);
  let on = -1;
  placesOnSheets(labels.length, s, firstFree).forEach((at, i) => {
    while (on < at.sheet) {
      doc.addPage({ size: "A4", layout: "portrait", margin: 0 });
      on++;
    }
    drawLabel(doc, labels[i]!, pt(at.x), pt(at.y), pt(s.width), pt(s.height));
  });
  doc.end();
  return done;
}

/** A label in its place, points. */
function drawLabel(doc: Pdf, l: Label, x: number, y: number, wide: number, high: number): void {
  if (l.kind !== "flags") return set(doc, l.lines, x, y, wide, high);
  const half = wide / 2;
  set(doc, l.lines, x, y, half, high);
  set(doc, l.lines, x + half, y, half, high);
  doc
    .dash(1.5, { space: 2 })
    .moveTo(x + half, y + pt(1))
    .lineTo(x + half, y + high - pt(1))
    .lineWidth(0.4)
    .stroke("#55625f")
    .undash();
}

/** Lines as large as fit, the first larger than the rest; a line that is still too long is broken. */
function set(doc: Pdf, lines: Label["lines"], x: number, y: number, wide: number, high: number): void {
  const [w, h] = [wide - 2 * pt(INSET), high - 2 * pt(INSET)];
  for (let size = 13; size >= 4; size -= 0.5) {
    const rest = lines.slice(1).flatMap((line) => linesOf(doc, line, "plain", size * 0.7, w));
    const needs = size * 1.15 + rest.length * size * 0.7 * 1.2;
    if (size > 4 && (needs > h || widthOf(doc, lines[0], "bold", size) > w)) continue;
    let down = y + pt(INSET) + (h - needs) / 2 + size * 0.9;
    setLine(doc, lines[0], x + wide / 2, down, "bold", size, { align: "middle" });
    for (const line of rest) {
      down += size * 0.7 * 1.2;
      setLine(doc, line, x + wide / 2, down, "plain", size * 0.7, { align: "middle" });
    }
    return;
  }
}
