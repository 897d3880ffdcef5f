import { mm } from "../base/figures";
import type { XY as Place } from "../base/polygon";
import { type Scene, type XY, pen } from "./scene";

/** How far the words of a plumb side stand off its line, px. */
const CLEAR = 8;
/** Radius of the circle a corner's number stands in, as a share of the outline's larger side. */
const CORNER = 0.027;

const down = (p: Place): XY => [p.x, -p.y];

/** Length of each side of an outline, from the corner of its number, as a figure. */
export const sideLengths = (outline: readonly Place[]): string[] =>
  outline.map((a, i) => {
    const b = outline[(i + 1) % outline.length]!;
    return mm(Math.hypot(b.x - a.x, b.y - a.y));
  });

/** An outline of a room as it is entered: corners numbered from 1, lengths inside the sides. North is up, mm. */
export function drawOutline(path: readonly Place[], closed: boolean, lengths: readonly string[], label: string): Scene {
  const p = pen();
  const xs = path.map((q) => q.x);
  const ys = path.map((q) => q.y);
  const big = Math.max(1000, Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys));
  if (closed) p.area(path.map(down), "plaster", "ink", { width: 2 });
  else p.line(path.map(down), "ink", { width: 2 });
  path.slice(0, closed ? path.length : -1).forEach((a, i) => {
    const b = path[(i + 1) % path.length]!;
    const mid = down({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
    // Words stand inside, right of the way walked, clear of the line.
    const [right, up] = [b.y - a.y, a.x - b.x];
    const place =
      Math.abs(right) > Math.abs(up)
        ? ({ anchor: right > 0 ? "start" : "end", shift: right > 0 ? CLEAR : -CLEAR, drop: 0.3 } as const)
        : ({ anchor: "middle", drop: up > 0 ? -0.55 : 1.15 } as const);
    p.text(...mid, lengths[i] ?? "", { size: 11.5, type: "figures", ...place });
  });
  path.forEach((q, i) => {
    p.circle(...down(q), big * CORNER, "paper", "ink", { width: 1, least: 8 });
    p.text(...down(q), String(i + 1), { size: 10.5, drop: 0.3, type: "figures" });
  });
  return { label, shapes: p.shapes, template: false };
}

/** Several outlines as they lie to one another, north up, mm. */
export function drawOutlines(outlines: readonly (readonly Place[])[]): Scene {
  const p = pen();
  for (const o of outlines) p.area(o.map(down), "plaster", "ink", { width: 1.5 });
  return { label: `${outlines.length} outlines`, shapes: p.shapes, template: false };
}
