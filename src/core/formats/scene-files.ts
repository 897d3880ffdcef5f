import Drawing from "dxf-writer";
import { type Ink, type Layer, type Scene, type Shape, boundsOf } from "../drawings/scene";

/** Millimetres of the house that one px of the screen stands for in a file: words of 12.5 px are 100 mm, 2.5 mm on paper at 1:40. */
const PX = 8;
/** Height of a line of words and of words without a size of their own, px. */
const LINE = 13;
const WORDS = 12.5;
/** Room round the drawing, mm. */
const MARGIN = 300;

const r3 = (x: number): number => Math.round(x * 1000) / 1000 + 0;
const plainText = (s: string): string =>
  s
    .replace(/[\u0000-\u001f]/g, " ")
    .replace(/[\u2009\u202f]/g, " ")
    .slice(0, 200);
const escape = (s: string): string =>
  plainText(s).replace(/&/g, "&amp;").replace(/</g, "&lt;").replace(/>/g, "&gt;").replace(/"/g, "&quot;");

type Told = Shape & { layer: Layer };
/** What goes into a file: whatever has a layer. What has none is for the screen only. */
const toldOf = (s: Scene): Told[] => s.shapes.filter((x): x is Told => x.layer !== undefined);
const layersOf = (shapes: readonly Told[]): Layer[] => [...new Set(shapes.map((x) => x.layer))];
const heightOf = (s: { size?: number }): number => (s.size ?? WORDS) * PX;
/** Where words stand: set off from their place as on the screen. */
const placeOf = (s: Extract<Shape, { kind: "text" }>): [number, number] => [
  s.x + (s.shift ?? 0) * PX,
  s.y + s.drop * LINE * PX,
];
/** The measured line and the words of a dimension, without its offset. */
const middle = (s: Extract<Shape, { kind: "dim" }>): [number, number] => [(s.a[0] + s.b[0]) / 2, (s.a[1] + s.b[1]) / 2];

/** Number of a layer's colour in the drawing file: runs stand out, zones step back. */
const colourOf = (layer: Layer): number =>
  layer.startsWith("RUNS-") ? 5 : layer === "ZONES" || layer === "WINDOWS" ? 8 : layer === "BORES" ? 1 : 7;
const across = { start: "left", middle: "center", end: "right" } as const;

/** A scene as a DXF file in millimetres, y up, one layer for each kind of thing. */
export function sceneDxf(s: Scene): string {
  const d = new Drawing();
  d.setUnits("Millimeters");
  const shapes = toldOf(s);
  for (const layer of layersOf(shapes)) d.addLayer(layer, colourOf(layer), "CONTINUOUS");
  for (const x of shapes) {
    d.setActiveLayer(x.layer);
    if (x.kind === "circle") d.drawCircle(r3(x.x), r3(-x.y), r3(x.r));
    else if (x.kind === "line")
      d.drawPolyline(
        x.points.map((p): [number, number] => [r3(p[0]), r3(-p[1])]),
        x.closed ?? false,
      );
    else {
      const [px, py] = x.kind === "text" ? placeOf(x) : middle(x);
      const [height, anchor] = x.kind === "text" ? [heightOf(x), x.anchor] : [WORDS * PX, "middle" as const];
      d.drawText(r3(px), r3(-py), r3(height), 0, plainText(x.text), across[anchor]);
      if (x.kind === "dim") d.drawLine(r3(x.a[0]), r3(-x.a[1]), r3(x.b[0]), r3(-x.b[1]));
    }
  }
  return d.toDxfString();
}

/** Inks on white paper, as colours. */
export const inks: Record<Ink, string> = {
  ink: "#1c2725",
  soft: "#55625f",
  accent: "#2b5e57",
  timberline: "#8d7342",
  cut: "#a8281c",
  fold: "#2b5e57",
  good: "#2b6e35",
  stop: "#a8281c",
  warn: "#8a5a00",
  none: "none",
  run1: "#1d5ca6",
  run2: "#a8381c",
  run3: "#2b6e35",
  run4: "#6b3f94",
  run5: "#0b6b78",
  run6: "#7a4a12",
};
/** Zones and windows have no edge of their own on the screen, where they are hatched; on paper they are outlined. */
const EDGE = "#7f9cc0";

function shapeSvg(x: Shape): string {
  const ink = inks[x.kind === "dim" ? "ink" : x.ink];
  if (x.kind === "text" || x.kind === "dim") {
    const [px, py] = x.kind === "text" ? placeOf(x) : middle(x);
    const [size, anchor] = x.kind === "text" ? [heightOf(x), x.anchor] : [WORDS * PX, "middle"];
    const words =
      `<text x="${r3(px)}" y="${r3(py)}" font-size="${r3(size)}" text-anchor="${anchor}" ` +
      `font-family="sans-serif" fill="${ink}">${escape(x.text)}</text>`;
    return x.kind === "dim"
      ? `<line x1="${r3(x.a[0])}" y1="${r3(x.a[1])}" x2="${r3(x.b[0])}" y2="${r3(x.b[1])}" stroke="${ink}" stroke-width="${PX}"/>${words}`
      : words;
  }
  const width = r3((x.width ?? (x.heavy ? 2.4 : 1.1)) * PX);
  const dash = Array.isArray(x.dash) ? x.dash : x.dash ? [7, 5] : [];
  const id = x.id ? ` data-id="${escape(x.id)}"` : "";
  const dashes = dash.length ? ` stroke-dasharray="${dash.map((n) => r3(n * PX)).join(" ")}"` : "";
  const look = `fill="none" stroke="${ink === "none" ? EDGE : ink}" stroke-width="${width}"${dashes}${id}`;
  if (x.kind === "circle") return `<circle cx="${r3(x.x)}" cy="${r3(x.y)}" r="${r3(x.r)}" ${look}/>`;
  const points = x.points.map((p) => `${r3(p[0])},${r3(p[1])}`).join(" ");
  return x.closed ? `<polygon points="${points}" ${look}/>` : `<polyline points="${points}" ${look}/>`;
}

/** A scene as an SVG file at 1:1 in millimetres of the house, layers as groups with their names; it may be scaled at will. */
export function sceneSvg(s: Scene): string {
  const shapes = toldOf(s);
  const b = boundsOf(shapes);
  const body = layersOf(shapes).map(
    (layer) =>
      `<g id="${escape(layer)}">${shapes
        .filter((x) => x.layer === layer)
        .map(shapeSvg)
        .join("")}</g>`,
  );
  const [w, tall] = [r3(b.x1 - b.x0 + 2 * MARGIN), r3(b.y1 - b.y0 + 2 * MARGIN)];
  const box = `${r3(b.x0 - MARGIN)} ${r3(b.y0 - MARGIN)} ${w} ${tall}`;
  return (
    `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${tall}mm" ` +
    `viewBox="${box}"><title>${escape(s.label)}</title>${body.join("")}</svg>\n`
  );
}
