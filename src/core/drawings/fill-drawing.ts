import { pack } from "../trades/containment/pack";
import type { Filling, Inside } from "../trades/containment/space-fill";
import { mm } from "../base/figures";
import { type Fill, type Scene, pen } from "./scene";

const fills: readonly Fill[] = ["cable", "cable2", "cable3"];
/** More than this many are not drawn one by one. */
const MOST = 160;

/** The section with the cables in it, as circles and flats where they would lie when dropped in. */
export function drawFill(inside: Inside, cables: readonly Filling[]): Scene {
  const p = pen();
  const many = cables.reduce((s, c) => s + c.qty, 0) > MOST;
  const packed = many ? { placed: [], left: 0 } : pack(inside, cables);
  const [w, h] = "diameter" in inside ? [inside.diameter, inside.diameter] : [inside.width, inside.height];
  if ("diameter" in inside) p.circle(w / 2, h / 2, w / 2, "paper", "ink", { heavy: true });
  else p.rect(0, 0, w, h, "paper", "ink", { heavy: true });
  for (const c of packed.placed) {
    const fill = fills[c.size % fills.length]!;
    if (c.shape === "round") p.circle(c.x, h - c.y, c.r, fill);
    else p.rect(c.x - c.w / 2, h - c.y - c.h / 2, c.w, c.h, fill);
  }
  p.dim([0, h], [w, h], mm(w), 1.6);
  if (!("diameter" in inside)) p.dim([w, 0], [w, h], mm(h), 1.6);
  if (many) p.text(w / 2, h / 2, "too many to draw", { ink: "soft" });
  else if (packed.left)
    p.text(w / 2, 0, `${packed.left} more found no place when dropped in`, { ink: "stop", drop: -0.6 });
  return {
    label: `${packed.placed.length} cables in a section of ${mm(w)} by ${mm(h)}`,
    shapes: p.shapes,
    template: true,
  };
}
