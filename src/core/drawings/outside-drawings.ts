import type { Trench } from "../trades/outside/buried";
import { mm } from "../base/figures";
import { type Scene, pen } from "./scene";

/** Two supports with the cable hanging between them over what passes beneath. */
export function drawOverhead(height: number, span: number, least: number, catenary: boolean): Scene {
  const p = pen();
  const sag = Math.min(height * 0.12, span * 0.04);
  const top = height + sag;
  p.rect(-span * 0.06, 0, span * 0.03, top * 1.05, "timber");
  p.rect(span * 1.03, 0, span * 0.03, top * 1.05, "timber");
  p.line(
    [
      [-span * 0.1, top * 1.05],
      [span * 1.1, top * 1.05],
    ],
    "ink",
    { heavy: true },
  );
  const y0 = top * 1.05;
  const bow = Array.from(
    { length: 31 },
    (_, i) => [(span * i) / 30, y0 - top + sag * 4 * (i / 30) * (1 - i / 30)] as const,
  );
  if (catenary)
    p.line(
      bow.map(([x, y]) => [x, y - top * 0.02] as const),
      "soft",
    );
  p.line(bow, height >= least ? "run1" : "stop", { heavy: true, dash: !catenary });
  p.line(
    [
      [0, y0 - least],
      [span, y0 - least],
    ],
    "cut",
    { dash: true },
  );
  p.text(0, y0 - least, `least ${mm(least)}`, { anchor: "start", drop: 1, ink: "cut" });
  p.dim([span / 2, y0], [span / 2, y0 - height], mm(height), 1.4);
  p.dim([0, y0], [span, y0], mm(span), 1.6);
  return { label: `Overhead cable ${mm(height)} up, least ${mm(least)}`, shapes: p.shapes, template: false };
}

/** A trench in section: bed, cable, cover, marker, fill. */
export function drawTrench(t: Trench): Scene {
  const p = pen();
  const bed = typeof t.bedding === "number" ? t.bedding : t.bedding ? 75 : 0;
  const marker = typeof t.marker === "number" ? t.marker : t.marker ? 150 : 0;
  const wide = 300;
  p.rect(-wide * 0.6, 0, wide * 2.2, t.depth + bed + 60, "earth");
  p.rect(0, 0, wide, t.depth + bed, "paper");
  if (bed > 0) p.rect(0, t.depth - bed, wide, 2 * bed, "sand", "soft");
  p.circle(wide / 2, t.depth, t.duct ? 30 : 12, "cable", "ink", { heavy: t.armoured });
  if (marker > 0 && marker < t.depth) {
    p.line(
      [
        [wide * 0.1, t.depth - marker],
        [wide * 0.9, t.depth - marker],
      ],
      "warn",
      { heavy: true },
    );
    p.dim([wide * 0.8, t.depth], [wide * 0.8, t.depth - marker], mm(marker), 1.2);
  }
  p.dim([0, 0], [0, t.depth], mm(t.depth), -1.4);
  if (bed > 0) p.dim([wide, t.depth], [wide, t.depth + bed], `bed ${mm(bed)}`, 1.4);
  p.line(
    [
      [-wide * 0.6, 0],
      [wide * 1.6, 0],
    ],
    "good",
    { heavy: true },
  );
  return { label: `Trench with the cable ${mm(t.depth)} deep`, shapes: p.shapes, template: false };
}

/** A wall in section with the hole rising inward. */
export function drawFall(through: number, rise: number): Scene {
  const p = pen();
  const d = Math.max(10, through * 0.06);
  p.rect(0, 0, through, through * 0.8 + rise, "metal");
  const y = through * 0.5 + rise;
  p.line(
    [
      [0, y],
      [through, y - rise],
      [through, y - rise - d],
      [0, y - d],
    ],
    "cut",
    { closed: true, fill: "paper", heavy: true },
  );
  p.line(
    [
      [-through * 0.3, y + through * 0.2],
      [-through * 0.12, y + through * 0.16],
      [0, y - d / 2],
      [through, y - rise - d / 2],
      [through * 1.3, y - rise - d / 2],
    ],
    "run1",
    { heavy: true },
  );
  p.text(-through * 0.3, 0, "outside", { drop: 1, ink: "soft" });
  p.text(through * 1.3, 0, "inside", { drop: 1, ink: "soft" });
  p.dim([through, y], [through, y - rise], `rise ${mm(rise)}`, 1.6);
  p.dim([0, through * 0.8 + rise], [through, through * 0.8 + rise], mm(through), 1.6);
  return { label: `Hole through ${mm(through)} rising ${mm(rise)} inward`, shapes: p.shapes, template: false };
}

/** A path from above with its lights on either side. */
export function drawPath(length: number, positions: readonly { at: number; side: 1 | 2 }[], gap: number): Scene {
  const p = pen();
  const wide = Math.max(900, length * 0.05);
  p.rect(0, 0, length, wide, "sand");
  for (const l of positions) {
    const y = l.side === 1 ? -wide * 0.15 : wide * 1.15;
    p.circle(l.at, y, length * 0.008, "paper", "run1", { heavy: true });
    p.text(l.at, y, mm(l.at), { drop: l.side === 1 ? -0.9 : 1.7 });
  }
  if (positions.length > 1) p.dim([positions[0]!.at, wide * 0.5], [positions[1]!.at, wide * 0.5], mm(gap), 0);
  p.dim([0, wide * 1.15], [length, wide * 1.15], mm(length), 3.6);
  return { label: `${positions.length} lights along ${mm(length)}`, shapes: p.shapes, template: false };
}
