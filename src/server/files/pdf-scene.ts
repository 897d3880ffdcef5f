import { type Fill, type Hatch, type Scene, type Shape, type XY, boundsOf } from "../../core/drawings/scene";
import { inks } from "../../core/formats/scene-files";
import { scaleFor } from "../../core/papers/paper";
import { type Pdf, pt, setLine, widthOf } from "./pdf-words";

/** A px of the screen on paper, points: words of 12.5 px are 7.5 points high. */
const PX = 0.6;
const LINE = 13 * PX;
/** Room round a drawing for its words and dimensions, points. */
export const PAD = { side: pt(13), top: pt(6), bottom: pt(13) };
/** Hatching: lines so far apart, points, one way or the other, so that zones are told apart without colour. */
const hatches: Record<Hatch, { step: number; up: boolean; ink: string }> = {
  zone: { step: 5, up: true, ink: "#b6bfbd" },
  band: { step: 5, up: true, ink: "#b6bfbd" },
  strip: { step: 5, up: true, ink: "#b6bfbd" },
  reverse: { step: 5, up: false, ink: "#b6bfbd" },
  window: { step: 6, up: false, ink: "#c9d0ce" },
  waste: { step: 4, up: false, ink: "#9aa5a2" },
  foil: { step: 3, up: true, ink: "#9aa5a2" },
  barred: { step: 3, up: false, ink: "#7d8886" },
};
const greys: Partial<Record<Fill, string>> = {
  paper: "#ffffff",
  panel: "#ffffff",
  opening: "#ffffff",
  metal: "#e6eae9",
  timber: "#eeeae0",
  deck: "#f3f1ea",
  earth: "#e4e0d8",
  sand: "#f1eddc",
  soft: "#8a9491",
  cable: "#c9cfcd",
  cable2: "#b3bbb8",
  cable3: "#9da7a4",
  stop: "#a8281c",
};

interface Put {
  doc: Pdf;
  scale: number;
  at: (p: XY) => [number, number];
}

function trace({ doc, at }: Put, points: readonly XY[], closed: boolean): void {
  points.forEach((p, i) => (i ? doc.lineTo(...at(p)) : doc.moveTo(...at(p))));
  if (closed) doc.closePath();
}

function fillShape(put: Put, s: Extract<Shape, { kind: "line" | "circle" }>, outline: () => void): void {
  const { doc } = put;
  if (!s.fill) return;
  const hatch = (hatches as Partial<Record<Fill, (typeof hatches)[Hatch]>>)[s.fill];
  if (!hatch) {
    const grey = greys[s.fill];
    if (!grey) return;
    outline();
    doc
      .fillOpacity(s.cover ?? 1)
      .fill(grey)
      .fillOpacity(1);
    return;
  }
  if (s.kind !== "line") return;
  const on = s.points.map(put.at);
  const [xs, ys] = [on.map((p) => p[0]), on.map((p) => p[1])];
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  doc.save();
  outline();
  doc.clip();
  const high = y1 - y0;
  for (let x = x0 - high; x < x1; x += hatch.step)
    if (hatch.up) doc.moveTo(x, y1).lineTo(x + high, y0);
    else doc.moveTo(x, y0).lineTo(x + high, y1);
  doc.undash().lineWidth(0.4).stroke(hatch.ink);
  doc.restore();
}

/** A stretch as long as what is measured, set off from it, with a stroke at each end and its figure. */
function dimension({ doc, at }: Put, s: Extract<Shape, { kind: "dim" }>): void {
  const [[ax, ay], [bx, by]] = [at(s.a), at(s.b)];
  const level = Math.abs(ay - by) <= Math.abs(ax - bx);
  const off = s.off * LINE * 0.8;
  const [dx, dy] = level ? [0, off] : [off, 0];
  const ends = [
    [ax + dx, ay + dy],
    [bx + dx, by + dy],
  ] as const;
  doc
    .undash()
    .moveTo(...ends[0])
    .lineTo(...ends[1])
    .lineWidth(0.5)
    .stroke("#1c2725");
  for (const [x, y] of ends)
    doc
      .moveTo(x - 2, y + 2)
      .lineTo(x + 2, y - 2)
      .lineWidth(0.6)
      .stroke("#1c2725");
  const [mx, my] = [(ends[0][0] + ends[1][0]) / 2, (ends[0][1] + ends[1][1]) / 2];
  const wide = widthOf(doc, s.text, "figures", 7);
  if (level) {
    // Where the stretch is too short for its figure it stands on its side, under it.
    if (wide + 2 > Math.abs(bx - ax)) {
      doc
        .save()
        .translate(mx + 2.5, my + 3 + wide)
        .rotate(-90);
      setLine(doc, s.text, 0, 0, "figures", 7);
      doc.restore();
    } else setLine(doc, s.text, mx, s.off < 0 ? my - 2.5 : my + 8.5, "figures", 7, { align: "middle" });
    return;
  }
  doc
    .save()
    .translate(mx - 2.5, my)
    .rotate(-90);
  if (wide + 2 > Math.abs(by - ay)) {
    doc.restore();
    setLine(doc, s.text, mx - 3, my + 2.5, "figures", 7, { align: "end" });
    return;
  }
  setLine(doc, s.text, 0, 0, "figures", 7, { align: "middle" });
  doc.restore();
}

function paint(put: Put, s: Shape): void {
  const { doc } = put;
  if (s.kind === "dim") return dimension(put, s);
  if (s.kind === "text") {
    const size = (s.size ?? 12.5) * PX;
    const face = s.type ?? "plain";
    const wide = widthOf(doc, s.text, face, size);
    if (s.room && (wide > s.room.width * put.scale || size > (s.room.height ?? Infinity) * put.scale)) return;
    const [x, y] = put.at([s.x, s.y]);
    setLine(doc, s.text, x + (s.shift ?? 0) * PX, y + s.drop * LINE + size * 0.35, face, size, {
      align: s.anchor,
      ink: inks[s.ink] === "none" ? "#1c2725" : inks[s.ink],
    });
    return;
  }
  const outline = (): void => {
    if (s.kind === "line") return trace(put, s.points, s.closed ?? false);
    const [x, y] = put.at([s.x, s.y]);
    doc.circle(x, y, Math.max(s.r * put.scale, (s.least ?? 1) * PX));
  };
  fillShape(put, s, outline);
  if (s.ink === "none") return;
  const dash = Array.isArray(s.dash) ? (s.dash as number[]) : s.dash ? [7, 5] : [];
  outline();
  doc.lineWidth((s.width ?? (s.heavy ? 2.4 : 1.1)) * PX);
  if (dash.length) doc.dash(dash[0]! * PX, { space: (dash[1] ?? dash[0]!) * PX });
  else doc.undash();
  doc.stroke(inks[s.ink]).undash();
}

/** A bar of a round length at the scale of a drawing, with the scale in words; its foot at y. */
function scaleBar(doc: Pdf, x: number, y: number, scale: number): void {
  const length = [10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10_000, 20_000].find((l) => l / scale >= 25) ?? 50_000;
  const wide = pt(length / scale);
  doc
    .undash()
    .moveTo(x, y - 4)
    .lineTo(x, y)
    .lineTo(x + wide, y)
    .lineTo(x + wide, y - 4)
    .lineWidth(0.8)
    .stroke("#1c2725");
  const words = length >= 1000 ? `${length / 1000} m` : `${length} mm`;
  setLine(doc, `${words} · 1 : ${scale}`, x + wide + 5, y, "figures", 7);
}

/** How high a drawing stands at its scale within a width and a height, mm on paper, with its room for words. */
export function sceneHeight(scene: Scene, wide: number, tall: number): { scale: number; high: number } {
  const b = boundsOf(scene.shapes);
  const side = (2 * PAD.side * 25.4) / 72;
  const rest = ((PAD.top + PAD.bottom) * 25.4) / 72;
  const scale = scaleFor(b.x1 - b.x0, b.y1 - b.y0, wide - side, tall - rest);
  return { scale, high: (b.y1 - b.y0) / scale + rest };
}

/** Paints a scene with a place of it at x, y, points. */
export function paintScene(doc: Pdf, scene: Scene, [ox, oy]: XY, x: number, y: number, scale: number): void {
  const per = pt(1) / scale;
  const put: Put = { doc, scale: per, at: ([px, py]) => [x + (px - ox) * per, y + (py - oy) * per] };
  for (const s of scene.shapes) paint(put, s);
}

/** Draws a scene with its top left corner at x, y (points) in a width, mm, at a scale. */
export function drawScene(doc: Pdf, scene: Scene, x: number, y: number, wide: number, scale: number): void {
  const b = boundsOf(scene.shapes);
  const per = pt(1) / scale;
  const left = x + (pt(wide) - (b.x1 - b.x0) * per) / 2;
  paintScene(doc, scene, [b.x0, b.y0], left, y + PAD.top, scale);
  scaleBar(doc, x, y + PAD.top + (b.y1 - b.y0) * per + PAD.bottom - 3, scale);
}
