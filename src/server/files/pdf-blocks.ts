import type { Block, SceneBlock, TableBlock, TextBlock } from "../../core/papers/paper";
import { type Flow, INK, SOFT, STOP, inMm, room } from "./pdf-flow";
import { drawScene, sceneHeight } from "./pdf-scene";
import { stickBlock } from "./pdf-stick";
import { trueBlock, trueHeight } from "./pdf-true";
import { type Face, type Pdf, linesOf, pt, setLine } from "./pdf-words";

/** Puts blocks under one another, over as many pages as they need; a heading goes with what it is over. */
export function drawBlocks(f: Flow, blocks: readonly Block[]): void {
  blocks.forEach((b, i) => {
    const next = blocks[i + 1];
    if (b.kind === "text" && b.look === "heading" && next && f.y > f.top) {
      const needs =
        next.kind === "true" ? trueHeight(next.scene) : next.kind === "scene" ? heightOf(f.doc, next, f.wide) : 40;
      if (room(f) < heightOf(f.doc, b, f.wide) + needs) f.newPage();
    }
    drawBlock(f, b);
  });
}

function drawBlock(f: Flow, b: Block): void {
  if (b.kind === "scene") return sceneBlock(f, b);
  if (b.kind === "true") return trueBlock(f, b);
  if (b.kind === "stick") return stickBlock(f, b);
  if (b.kind === "photos") return photos(f, b.photos);
  if (b.kind === "columns") return columns(f, b);
  return b.kind === "table" ? table(f, b) : text(f, b);
}

/** Photos in rows of three, each as large as its place, with its words under it. */
function photos(f: Flow, list: Extract<Block, { kind: "photos" }>["photos"]): void {
  const across = 3;
  const gap = pt(4);
  const [wide, high] = [(f.wide - gap * (across - 1)) / across, pt(58)];
  list.forEach((p, i) => {
    const column = i % across;
    if (column === 0 && room(f) < high + 16) f.newPage();
    const x = f.x + column * (wide + gap);
    const file = f.photos.get(p.picture);
    if (file) f.doc.image(file, x, f.y, { fit: [wide, high], align: "center", valign: "center" });
    else
      setLine(f.doc, "the photo's file is not there", x + wide / 2, f.y + high / 2, "plain", 8.5, {
        align: "middle",
        ink: SOFT,
      });
    const [words] = linesOf(f.doc, p.words, "plain", 8, wide);
    setLine(f.doc, words!, x, f.y + high + 10, "plain", 8);
    if (column === across - 1 || i === list.length - 1) f.y += high + 20;
  });
}

function sceneBlock(f: Flow, b: SceneBlock): void {
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

/** How high words, a table or a drawing stand in a width, points. */
function heightOf(doc: Pdf, b: TableBlock | TextBlock | SceneBlock, wide: number): number {
  if (b.kind === "scene") return pt(sceneHeight(b.scene, inMm(wide), b.tall).high) + 8;
  if (b.kind === "table") {
    const title = b.title ? heightOf(doc, { kind: "text", look: "heading", text: b.title }, wide) : 0;
    if (!b.rows.length) return title + heightOf(doc, { kind: "text", look: "soft", text: b.none }, wide);
    const rows = [setRow(doc, b, b.heads, wide, true), ...b.rows.map((r) => setRow(doc, b, r, wide, false))];
    return title + rows.reduce((n, r) => n + r.high + 2, 8);
  }
  const { face, size } = looks[b.look ?? "plain"];
  return linesOf(doc, b.text, face, size, wide).length * size * 1.25 + (b.look === "heading" ? 4 : 6);
}

/** Widths of the columns of a table, points. */
function widesOf(b: TableBlock, wide: number): number[] {
  const sum = b.shares.reduce((s, x) => s + x, 0);
  return b.shares.map((s) => (wide * s) / sum);
}

/** The cells of a row broken into lines, and how high the row is, points. */
function setRow(
  doc: Pdf,
  b: TableBlock,
  cells: readonly string[],
  wide: number,
  head: boolean,
): { set: { own: Face; lines: string[] }[]; high: number } {
  const wides = widesOf(b, wide);
  const set = cells.map((c, i) => {
    const own: Face = head ? "bold" : b.figures?.includes(i) ? "figures" : "plain";
    return { own, lines: linesOf(doc, c, own, CELL, wides[i]! - 12) };
  });
  return { set, high: Math.max(...set.map((s) => s.lines.length)) * CELL * 1.25 + 4 };
}

function table(f: Flow, b: TableBlock): void {
  if (b.title) text(f, { kind: "text", look: "heading", text: b.title });
  if (!b.rows.length) return text(f, { kind: "text", look: "soft", text: b.none });
  const wides = widesOf(b, f.wide);
  const lefts = wides.map((_, i) => f.x + wides.slice(0, i).reduce((s, x) => s + x, 0));
  const row = (cells: readonly string[], head: boolean): void => {
    const { set, high } = setRow(f.doc, b, cells, f.wide, head);
    if (room(f) < high) {
      f.newPage();
      if (!head) row(b.heads, true);
    }
    set.forEach(({ own, lines }, i) =>
      lines.forEach((line, n) => {
        const y = f.y + CELL * 1.25 * (n + 1) - 1;
        if (b.figures?.includes(i)) setLine(f.doc, line, lefts[i]! + wides[i]! - 12, y, own, CELL, { align: "end" });
        else setLine(f.doc, line, lefts[i]!, y, own, CELL);
      }),
    );
    f.y += high;
    f.doc.moveTo(f.x, f.y - 1).lineTo(f.x + f.wide, f.y - 1);
    if (head) f.doc.undash().lineWidth(0.9).stroke(INK);
    else f.doc.dash(0.8, { space: 1.6 }).lineWidth(0.4).stroke(SOFT).undash();
    f.y += 2;
  };
  if (room(f) < 40) f.newPage();
  row(b.heads, true);
  for (const r of b.rows) row(r, false);
  f.y += 8;
}

/** Side by side; all of it goes to the next page where it does not fit this one. */
function columns(f: Flow, { columns: list, shares }: Extract<Block, { kind: "columns" }>): void {
  const free = f.wide - pt(8) * (list.length - 1);
  const parts = shares ?? list.map(() => 1);
  const sum = parts.reduce((n, x) => n + x, 0);
  const wides = parts.map((x) => (free * x) / sum);
  const high = Math.max(...list.map((c, i) => c.reduce((n, b) => n + heightOf(f.doc, b, wides[i]!), 0)));
  const drawn = list.some((c) => c.some((b) => b.kind === "scene"));
  if (room(f) < (drawn ? high : Math.min(high, pt(90)))) f.newPage();
  const top = f.y;
  let low = top;
  let left = f.x;
  list.forEach((blocks, i) => {
    const own: Flow = { ...f, x: left, y: top, wide: wides[i]! };
    left += wides[i]! + pt(8);
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
