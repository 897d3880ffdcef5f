import { mm } from "../base/figures";
import { type Ink, type Scene, pen } from "./scene";

/** A clipped stretch with its clips. */
export function drawClips(length: number, marks: readonly number[], pitch: number): Scene {
  const p = pen();
  const u = length * 0.012;
  p.rect(0, -u / 2, length, u, "cable");
  for (const m of marks) p.rect(m - u * 0.6, -u, u * 1.2, u * 2, "paper", "ink", { heavy: true });
  const first = marks[0] ?? 0;
  p.dim([0, u], [first, u], mm(first), 1.6);
  if (marks.length > 1) {
    p.dim([first, u], [marks[1]!, u], mm(pitch), 3.2);
    p.dim([marks[marks.length - 1]!, u], [length, u], mm(length - marks[marks.length - 1]!), 1.6);
  }
  p.dim([0, -u], [length, -u], mm(length), -1.6);
  return { label: `${marks.length} clips over ${mm(length)}`, shapes: p.shapes, template: false };
}

/** Straight lines to one scale with places along them: a ring opened out against two radials, drums with their pieces, legs of a circuit. */
export function drawLines(
  label: string,
  lines: readonly {
    name: string;
    length: number;
    ink: Ink;
    stops: readonly { at: number; text: string }[];
    ends?: string;
  }[],
): Scene {
  const p = pen();
  const longest = Math.max(1, ...lines.map((l) => l.length));
  const step = longest * 0.13;
  lines.forEach((l, i) => {
    const y = i * step;
    p.text(0, y, l.name, { anchor: "start", drop: -1.3 });
    p.line(
      [
        [0, y],
        [l.length, y],
      ],
      l.ink,
      { heavy: true },
    );
    for (const s of l.stops) {
      p.circle(s.at, y, longest * 0.006, "paper", l.ink, { heavy: true });
      p.text(s.at, y, s.text, { drop: 1.3, ink: "soft" });
    }
    if (l.ends) p.text(l.length, y, l.ends, { anchor: "end", drop: -1.3, ink: "soft" });
  });
  return { label, shapes: p.shapes, template: false };
}

/** Bars to one scale with limits: what was measured against what is allowed. */
export function drawBars(
  label: string,
  unit: string,
  bars: readonly { name: string; value: number; ink: Ink; note?: string }[],
  limit?: { at: number; text: string },
): Scene {
  const p = pen();
  const most = Math.max(1e-9, limit?.at ?? 0, ...bars.map((b) => b.value));
  const step = 22;
  const k = 200 / most;
  bars.forEach((b, i) => {
    const y = i * step;
    p.rect(0, y, Math.max(0.4, b.value * k), 8, b.ink === "stop" ? "waste" : "zone", b.ink, { heavy: true });
    p.text(
      0,
      y,
      `${b.name}  ${mm(b.value) === "0" && b.value > 0 ? b.value.toPrecision(2) : Number(b.value.toFixed(3))} ${unit}${b.note ? ` · ${b.note}` : ""}`,
      { anchor: "start", drop: -0.4 },
    );
  });
  if (limit) {
    p.line(
      [
        [limit.at * k, -4],
        [limit.at * k, bars.length * step - 10],
      ],
      "cut",
      { heavy: true, dash: true },
    );
    p.text(limit.at * k, bars.length * step - 10, limit.text, {
      drop: 1.1,
      ink: "cut",
      anchor: limit.at * k > 120 ? "end" : "start",
    });
  }
  return { label, shapes: p.shapes, template: false };
}

/** Cables from their place in the trunking to their way in the board; those that cross are seen to cross. */
export function drawEntries(
  arriving: readonly string[],
  order: readonly (string | null)[],
  names: ReadonlyMap<string, string>,
): Scene {
  const p = pen();
  const inks: readonly Ink[] = ["run1", "run2", "run3"];
  const step = 30;
  const height = 110;
  const wide = Math.max(arriving.length, order.length) * step;
  p.rect(-step * 0.6, height, wide + step * 0.2, 26, "metal");
  p.rect(-step * 0.6, -26, wide + step * 0.2, 20, "paper", "soft");
  order.forEach((id, w) => {
    p.text(w * step, height + 8, `${w + 1}`, { drop: 0.6, ink: "soft" });
    if (id !== null) p.text(w * step, height + 26, names.get(id) ?? id, { drop: 1 });
    const from = id === null ? -1 : arriving.indexOf(id);
    if (from >= 0)
      p.line(
        [
          [from * step, -6],
          [from * step, 14],
          [w * step, height - 14],
          [w * step, height],
        ],
        inks[w % inks.length]!,
        { heavy: true },
      );
  });
  arriving.forEach((id, i) => p.text(i * step, -26, names.get(id) ?? id, { drop: -0.5 }));
  return { label: `${arriving.length} cables into the ways of the board`, shapes: p.shapes, template: false };
}
