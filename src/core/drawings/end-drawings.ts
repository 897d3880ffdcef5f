import type { GlandHole } from "../trades/ends/gland-row";
import { mm } from "../base/figures";
import type { Gland } from "../rules/glands";
import { type Scene, arc, hexagon, pen } from "./scene";

/** The face of an enclosure with the holes, the nuts round them, and spanner room dashed. Prints as a drilling template. */
export function drawGlandRow(
  width: number,
  holes: readonly GlandHole[],
  glands: ReadonlyMap<string, Pick<Gland, "acrossCorners">>,
  handRoom: number,
  face: { depth?: number; plugs?: readonly { at: number; size: number }[] } = {},
): Scene {
  const p = pen();
  const tallest = Math.max(40, ...holes.map((h) => (glands.get(h.gland)?.acrossCorners ?? 30) + handRoom));
  const mid = face.depth === undefined ? tallest * 0.75 : face.depth / 2;
  p.rect(0, 0, width, mid * 2, "metal");
  p.line(
    [
      [0, mid],
      [width, mid],
    ],
    "soft",
    { dash: true },
  );
  for (const q of face.plugs ?? []) p.circle(q.at, mid, q.size / 2, "waste", "soft");
  let before = 0;
  holes.forEach((h, i) => {
    const corners = glands.get(h.gland)?.acrossCorners ?? h.hole;
    p.circle(h.x, mid, (corners + handRoom) / 2, undefined, "soft", { dash: true });
    p.line(hexagon(h.x, mid, corners), "ink", { closed: true });
    p.circle(h.x, mid, h.hole / 2, "paper", h.spare ? "warn" : "cut", { heavy: true });
    p.line(
      [
        [h.x - h.hole * 0.2, mid],
        [h.x + h.hole * 0.2, mid],
      ],
      "ink",
    );
    p.line(
      [
        [h.x, mid - h.hole * 0.2],
        [h.x, mid + h.hole * 0.2],
      ],
      "ink",
    );
    p.text(h.x, 0, `${h.gland}${h.spare ? " spare" : ""}`, { drop: -0.5, ink: h.spare ? "warn" : "ink" });
    p.text(h.x, mid * 2, `Ø ${mm(h.hole)}`, { drop: 1, ink: "soft" });
    p.dim([before, mid * 2], [h.x, mid * 2], mm(h.x - before), 2.6);
    before = h.x;
    if (i === holes.length - 1) p.dim([h.x, mid * 2], [width, mid * 2], mm(width - h.x), 2.6);
  });
  if (!holes.length) p.text(width / 2, mid, "they do not fit", { ink: "stop", drop: 0.3 });
  p.dim([0, 0], [width, 0], mm(width), -2.4);
  return { label: `Row of ${holes.length} glands on a face ${mm(width)} wide`, shapes: p.shapes, template: true };
}

/** A cable's sizes against the ranges of the glands: one bar a gland. */
export function drawGlandRanges(overall: number, glands: readonly Gland[], picked: string | null): Scene {
  const p = pen();
  const step = 6;
  glands.forEach((g, i) => {
    const y = i * step;
    const mine = g.id === picked;
    p.rect(
      g.sheathLeast,
      y,
      g.sheathMost - g.sheathLeast,
      step * 0.62,
      mine ? "zone" : "metal",
      mine ? "good" : "soft",
      { heavy: mine },
    );
    p.text(g.sheathLeast, y, `${g.id}  ${mm(g.sheathLeast)} – ${mm(g.sheathMost)}`, {
      anchor: "start",
      drop: 1.1,
      ink: mine ? "good" : "ink",
    });
  });
  p.line(
    [
      [overall, -step * 0.5],
      [overall, glands.length * step],
    ],
    "cut",
    { heavy: true },
  );
  p.text(overall, -step * 0.5, `sheath ${mm(overall)}`, { drop: -0.4, ink: "cut" });
  return { label: `Sheath of ${mm(overall)} against the ranges of the glands`, shapes: p.shapes, template: false };
}

/** A cable end as a measured strip: parts from left to right, each with its fill and its mark. */
export function drawStrip(
  title: string,
  parts: readonly { to: number; name: string; fill: "metal" | "cable" | "cable2" | "paper"; high: number }[],
  marks: readonly { at: number; text: string }[],
): Scene {
  const p = pen();
  const length = parts[parts.length - 1]?.to ?? 1;
  const unit = length * 0.03;
  let from = 0;
  for (const [n, part] of parts.entries()) {
    const h = unit * part.high;
    if (part.to > from) {
      p.rect(from, -h / 2, part.to - from, h, part.fill);
      p.text((from + part.to) / 2, -unit, part.name, { drop: n % 2 ? -1.5 : -0.5, ink: "soft" });
    }
    from = part.to;
  }
  p.line(
    [
      [0, -unit * 1.6],
      [0, unit * 1.6],
    ],
    "ink",
    { heavy: true },
  );
  marks.forEach((m, i) => {
    p.line(
      [
        [m.at, -unit * 0.8],
        [m.at, unit * 0.8],
      ],
      "cut",
      { heavy: true },
    );
    p.dim([0, unit * 0.8], [m.at, unit * 0.8], `${m.text} ${mm(m.at)}`, 1.4 + 2.2 * i);
  });
  return { label: title, shapes: p.shapes, template: false };
}

/** A bow of cable over its chord with the mark where the armour stops. */
export function drawSweep(chord: number, sweep: number, tails: number): Scene {
  const p = pen();
  if (sweep > 0) {
    const r = (chord * chord) / 4 / (2 * sweep) + sweep / 2;
    const half = (2 * Math.atan((2 * sweep) / chord) * 180) / Math.PI;
    p.line(arc(chord / 2, r - sweep, r, 270 - half, 270 + half), "ink", { heavy: true });
  } else
    p.line(
      [
        [0, 0],
        [chord, 0],
      ],
      "ink",
      { heavy: true },
    );
  p.line(
    [
      [chord, 0],
      [chord + tails, 0],
    ],
    "run2",
    { heavy: true },
  );
  p.rect(-chord * 0.04, -chord * 0.06, chord * 0.04, chord * 0.12, "metal");
  p.rect(chord, -chord * 0.1, Math.max(tails * 1.2, chord * 0.1), chord * 0.2, undefined, "soft", { dash: true });
  p.dim([0, 0], [chord, 0], `straight ${mm(chord)}`, 2);
  if (sweep > 0) p.dim([chord / 2, 0], [chord / 2, -sweep], `sweep ${mm(sweep)}`, 1.4);
  p.text(chord, 0, "armour stops", { drop: -1, ink: "cut", anchor: "end" });
  return { label: `Armour over ${mm(chord)} with a sweep of ${mm(sweep)}`, shapes: p.shapes, template: false };
}

/** A box with the cable coming in and its tails laid out past the far edge. */
export function drawTail(
  box: { width: number; height: number },
  entry: "left" | "right" | "top" | "bottom",
  length: number,
): Scene {
  const p = pen();
  p.rect(0, 0, box.width, box.height, "metal", "ink", { heavy: true });
  const [cx, cy] = [box.width / 2, box.height / 2];
  const ends = {
    left: [
      [0, cy],
      [length, cy],
    ],
    right: [
      [box.width, cy],
      [box.width - length, cy],
    ],
    top: [
      [cx, 0],
      [cx, length],
    ],
    bottom: [
      [cx, box.height],
      [cx, box.height - length],
    ],
  } as const;
  const [a, b] = ends[entry];
  const back = { left: [-40, cy], right: [box.width + 40, cy], top: [cx, -40], bottom: [cx, box.height + 40] } as const;
  p.line([back[entry], a], "ink", { heavy: true });
  p.line([a, b], "run2", { heavy: true });
  p.dim(a, b, mm(length), entry === "left" || entry === "right" ? 2 : 3);
  return { label: `Tails of ${mm(length)} from the ${entry} edge`, shapes: p.shapes, template: true };
}
