import { mm } from "../base/figures";
import type { Cut, Joist } from "../house/joist";
import type { Windows } from "../trades/timber/joist";
import { type Scene, pen } from "./scene";

/** A joist from the side, its legal windows hatched, with its cuts. The depth is drawn four times as large as the length, so that it can be read. */
export function drawJoist(
  j: Joist,
  w: Windows | null,
  cuts: readonly Cut[] = [],
  bad: ReadonlySet<string> = new Set(),
): Scene {
  const p = pen();
  const k = Math.max(1, j.span / j.depth / 9);
  const h = j.depth * k;
  const bearing = j.span * 0.03;
  p.rect(-bearing, h, bearing, h * 0.35, "metal", "soft");
  p.rect(j.span, h, bearing, h * 0.35, "metal", "soft");
  p.rect(-bearing, 0, j.span + 2 * bearing, h, "timber");
  if (w) {
    for (const [a, b] of w.hole.zones) {
      const r = (w.hole.maxDiameter / 2) * k;
      p.rect(a, w.hole.fromTop * k - r, b - a, 2 * r, "zone", "good");
      p.dim([a, h], [b, h], `drill ${mm(a)} – ${mm(b)}`, 1.6);
    }
    for (const [a, b] of w.notch.zones) {
      p.rect(a, 0, b - a, w.notch.maxDepth * k, "paper", "soft", { dash: true });
      p.dim([a, 0], [b, 0], `notch ${mm(a)} – ${mm(b)}`, -1.4);
    }
    p.line(
      [
        [0, w.hole.fromTop * k],
        [j.span, w.hole.fromTop * k],
      ],
      "soft",
      { dash: true },
    );
  }
  cuts.forEach((c, n) => {
    const ink = bad.has(c.id) ? "stop" : "ink";
    if (c.kind === "hole") {
      // Across as wide as it is, up and down as the depth is drawn.
      const [rx, ry] = [c.diameter / 2, (c.diameter / 2) * k];
      p.line(
        Array.from(
          { length: 24 },
          (_, i) =>
            [c.at + rx * Math.cos((i * Math.PI) / 12), c.fromTop * k + ry * Math.sin((i * Math.PI) / 12)] as const,
        ),
        ink,
        { closed: true, fill: "paper", heavy: true },
      );
      p.text(c.at, n % 2 ? c.fromTop * k - ry : c.fromTop * k + ry, `${c.id} ${mm(c.at)}`, {
        drop: n % 2 ? -0.4 : 1,
        ink,
      });
    } else {
      const d = c.depth * k;
      p.rect(c.at - c.width / 2, c.edge === "top" ? 0 : h - d, c.width, d, "paper", ink, { heavy: true });
      p.text(c.at, c.edge === "top" ? d : h - d, `${c.id} ${mm(c.at)}`, { drop: c.edge === "top" ? 1 : -0.4, ink });
    }
  });
  p.text(
    j.span / 2,
    h,
    k > 1.05 ? `${mm(j.depth)} deep, drawn ${k.toFixed(1)} times as deep as long` : `${mm(j.depth)} deep`,
    { drop: 4.4, ink: "soft" },
  );
  return { label: `Joist ${mm(j.depth)} deep, clear span ${mm(j.span)}`, shapes: p.shapes, template: false };
}
