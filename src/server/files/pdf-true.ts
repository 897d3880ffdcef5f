import { type Scene, boundsOf } from "../../core/drawings/scene";
import { tilesOf } from "../../core/drawings/tiles";
import type { Block } from "../../core/papers/paper";
import { type Flow, INK, SOFT, inMm, room } from "./pdf-flow";
import { PAD, paintScene } from "./pdf-scene";
import { type Pdf, pt, setLine } from "./pdf-words";

/** The check bar under a drawing at true scale, mm. */
const CHECK = 100;

const PADS = PAD.top + PAD.bottom;
/** Under a heading a page still counts as fresh, points. */
const FRESH = 40;

/** How high a drawing at true scale stands, points. */
export function trueHeight(scene: Scene): number {
  const b = boundsOf(scene.shapes);
  return pt(b.y1 - b.y0) + PADS;
}

/** A drawing at true scale: on the page in hand, on one of its own, or on several that are taped together. */
export function trueBlock(f: Flow, { scene }: Extract<Block, { kind: "true" }>): void {
  const b = boundsOf(scene.shapes);
  const [wide, high] = [b.x1 - b.x0, b.y1 - b.y0];
  const fits = (): boolean => wide <= inMm(f.wide - 2 * PAD.side) && pt(high) + PADS <= room(f);
  if (!fits() && f.y > f.top + FRESH) f.newPage();
  if (fits()) {
    const left = f.x + (f.wide - pt(wide)) / 2;
    paintScene(f.doc, scene, [b.x0, b.y0], left, f.y + PAD.top, 1);
    f.y += PAD.top + pt(high) + PAD.bottom;
    checkBar(f.doc, f.x, f.y - 3, "");
    f.y += 8;
    return;
  }
  const tiles = tilesOf(wide, high, [inMm(f.wide - 2 * PAD.side), inMm(room(f) - PADS)]);
  tiles.forEach((t, i) => {
    if (i) f.newPage();
    const [x, y] = [f.x + PAD.side, f.y + PAD.top];
    const [w, h] = [pt(t.x1 - t.x0), pt(t.y1 - t.y0)];
    // Words round the drawing stand beside its outer sheets alone.
    const out = { left: t.x0 <= 0, top: t.y0 <= 0, right: t.x1 >= wide - 1e-6, bottom: t.y1 >= high - 1e-6 };
    f.doc
      .save()
      .rect(
        x - (out.left ? PAD.side : 0),
        y - (out.top ? PAD.top : 0),
        w + (out.left ? PAD.side : 0) + (out.right ? PAD.side : 0),
        h + (out.top ? PAD.top : 0) + (out.bottom ? PAD.bottom - 12 : 0),
      )
      .clip();
    paintScene(f.doc, scene, [b.x0 + t.x0, b.y0 + t.y0], x, y, 1);
    f.doc.restore();
    f.doc.dash(2, { space: 2 }).rect(x, y, w, h).lineWidth(0.5).stroke(SOFT).undash();
    f.y = y + h + PAD.bottom;
    checkBar(
      f.doc,
      f.x,
      f.y - 3,
      ` · sheet ${i + 1} of ${tiles.length}: row ${t.row}, place ${t.column}; lay broken line on broken line`,
    );
  });
  // What follows stands on a page of its own.
  f.y = f.bottom;
}

/** A bar that tells whether the printer kept to the scale; its foot at y, points. */
function checkBar(doc: Pdf, x: number, y: number, more: string): void {
  doc
    .undash()
    .moveTo(x, y)
    .lineTo(x + pt(CHECK), y)
    .lineWidth(1)
    .stroke(INK);
  for (const at of [x, x + pt(CHECK)])
    doc
      .moveTo(at, y - 4)
      .lineTo(at, y)
      .lineWidth(0.8)
      .stroke(INK);
  setLine(doc, `${CHECK} mm: measure it · 1 : 1${more}`, x + pt(CHECK) + 6, y, "figures", 7);
}
