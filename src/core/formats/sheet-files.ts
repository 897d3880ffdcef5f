import Drawing from "dxf-writer";
import type { Sheet, SheetShape } from "./sheet";

const r3 = (x: number): number => Math.round(x * 1000) / 1000 + 0;
const plainText = (s: string): string =>
  s
    .replace(/[\u0000-\u001f]/g, " ")
    .replace(/[\u2009\u202f]/g, " ")
    .slice(0, 200);
const escape = (s: string): string =>
  plainText(s).replace(/&/g, "&amp;").replace(/</g, "&lt;").replace(/>/g, "&gt;").replace(/"/g, "&quot;");

/** Number of a layer's colour in the drawing file: runs stand out, zones step back. */
const colourOf = (layer: string): number =>
  layer.startsWith("RUNS-") ? 5 : layer === "ZONES" ? 8 : layer === "BORES" ? 1 : 7;

/** A sheet as a DXF file in millimetres, one layer for each kind of thing. */
export function sheetDxf(s: Sheet): string {
  const d = new Drawing();
  d.setUnits("Millimeters");
  for (const layer of s.layers) d.addLayer(layer, colourOf(layer), "CONTINUOUS");
  for (const x of s.shapes) {
    d.setActiveLayer(x.layer);
    if (x.kind === "circle") d.drawCircle(r3(x.x), r3(x.y), r3(x.r));
    else if (x.kind === "text") d.drawText(r3(x.x), r3(x.y), r3(x.height), 0, plainText(x.text));
    else
      d.drawPolyline(
        x.points.map((p): [number, number] => [r3(p[0]), r3(p[1])]),
        x.closed,
      );
  }
  return d.toDxfString();
}

const strokes: Record<string, string> = {
  ZONES: "#7f9cc0",
  FIXTURES: "#55625f",
  JOISTS: "#8d7342",
  OPENINGS: "#55625f",
  BORES: "#a8281c",
};
const runInks = ["#1d5ca6", "#a8381c", "#2b6e35", "#6b3f94", "#0b6b78", "#7a4a12"];

/** A sheet as an SVG file at 1:1 in millimetres of the house, layers as groups with their names; it may be scaled at will. */
export function sheetSvg(s: Sheet): string {
  const xs: number[] = [];
  const ys: number[] = [];
  for (const x of s.shapes)
    if (x.kind === "line")
      for (const p of x.points) {
        xs.push(p[0]);
        ys.push(p[1]);
      }
    else {
      xs.push(x.x);
      ys.push(x.y);
    }
  const [x0, x1, y0, y1] = xs.length
    ? [Math.min(...xs) - 300, Math.max(...xs) + 300, Math.min(...ys) - 300, Math.max(...ys) + 300]
    : [0, 1000, 0, 1000];
  const runs = s.layers.filter((l) => l.startsWith("RUNS-"));
  const ink = (layer: string): string =>
    strokes[layer] ?? (runs.includes(layer) ? runInks[runs.indexOf(layer) % runInks.length]! : "#1c2725");
  const body = s.layers.map((layer) => {
    const inside = s.shapes
      .filter((x) => x.layer === layer)
      .map((x) => shapeSvg(x, ink(layer)))
      .join("");
    const style =
      layer === "NAMES" || layer === "LABELS"
        ? `fill="${ink(layer)}"`
        : `fill="none" stroke="${ink(layer)}" stroke-width="${layer.startsWith("RUNS-") ? 18 : layer === "ROOMS" || layer === "WALLS" ? 14 : 6}"`;
    return `<g id="${escape(layer)}" ${style}>${inside}</g>`;
  });
  const [w, hgt] = [r3(x1 - x0), r3(y1 - y0)];
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${hgt}mm" viewBox="${r3(x0)} ${r3(-y1)} ${w} ${hgt}"><title>${escape(s.title)}</title>${body.join("")}</svg>\n`;
}

function shapeSvg(x: SheetShape, ink: string): string {
  if (x.kind === "circle") return `<circle cx="${r3(x.x)}" cy="${r3(-x.y)}" r="${r3(x.r)}"/>`;
  if (x.kind === "text")
    return `<text x="${r3(x.x)}" y="${r3(-x.y)}" font-size="${r3(x.height)}" font-family="sans-serif" fill="${ink}">${escape(x.text)}</text>`;
  const points = x.points.map((p) => `${r3(p[0])},${r3(-p[1])}`).join(" ");
  return x.closed ? `<polygon points="${points}"/>` : `<polyline points="${points}"/>`;
}
