import { foldedSet, halfNotch } from "../trades/containment/fold";
import { mm } from "../base/figures";
import { type Scene, type XY, pen } from "./scene";

/** Trunking opened flat: side, back, side; the notches in both sides, the fold line across the back. */
export function drawTrunkingFold(depth: number, angle: number, at: number, width = depth): Scene {
  const p = pen();
  const half = halfNotch(depth, angle);
  const length = Math.max(at + half + depth, at * 1.4);
  p.rect(0, 0, length, depth, "metal");
  p.rect(0, depth, length, width, "metal");
  p.rect(0, depth + width, length, depth, "metal");
  for (const [tip, edge] of [
    [depth, 0],
    [depth + width, 2 * depth + width],
  ] as const) {
    p.line(
      [
        [at - half, edge],
        [at, tip],
        [at + half, edge],
      ],
      "cut",
      { closed: true, fill: "waste", heavy: true },
    );
  }
  p.line(
    [
      [at, depth],
      [at, depth + width],
    ],
    "fold",
    { dash: true, heavy: true },
  );
  p.text(length, depth / 2, "side", { anchor: "end", ink: "soft", drop: 0.3 });
  p.text(length, depth + width / 2, "back, not cut", { anchor: "end", ink: "soft", drop: 0.3 });
  p.text(length, depth * 1.5 + width, "side", { anchor: "end", ink: "soft", drop: 0.3 });
  p.dim([0, 0], [at - half, 0], mm(at - half), -1.4);
  p.dim([at - half, 0], [at + half, 0], mm(2 * half), -1.4);
  p.dim([0, 2 * depth + width], [at, 2 * depth + width], `fold ${mm(at)}`, 1.6);
  return {
    label: `Trunking opened flat, notch ${mm(2 * half)} wide, fold at ${mm(at)}`,
    shapes: p.shapes,
    template: true,
  };
}

/** A set from the side before folding, with notches from opposite faces, and folded below it. */
export function drawSet(s: { angle: number; halfNotch: number; pitch: number }, depth: number, offset: number): Scene {
  const p = pen();
  const ends = Math.max(depth, s.pitch * 0.4);
  const [from, to] = [-s.halfNotch - ends, s.pitch + s.halfNotch + ends];
  p.rect(from, 0, to - from, depth, "metal");
  p.line(
    [
      [-s.halfNotch, 0],
      [0, depth],
      [s.halfNotch, 0],
    ],
    "cut",
    { closed: true, fill: "waste", heavy: true },
  );
  p.line(
    [
      [s.pitch - s.halfNotch, depth],
      [s.pitch, 0],
      [s.pitch + s.halfNotch, depth],
    ],
    "cut",
    { closed: true, fill: "waste", heavy: true },
  );
  p.dim([0, depth], [s.pitch - s.halfNotch, depth], mm(s.pitch - s.halfNotch), 1.6);
  p.dim([0, depth], [s.pitch, depth], `fold to fold ${mm(s.pitch)}`, 3.4);
  p.dim([-s.halfNotch, 0], [s.halfNotch, 0], mm(2 * s.halfNotch), -1.4);
  p.dim([s.pitch - s.halfNotch, 0], [s.pitch + s.halfNotch, 0], mm(2 * s.halfNotch), -1.4);
  const folded = foldedSet(depth, s, ends, ends);
  const down = depth * 2.4 + offset + depth;
  // The first notch opens upwards on paper, so the piece turns upwards: y is mirrored.
  const at = ([x, y]: [number, number]): XY => [x, down - y];
  p.line([...folded.lower.map(at), ...[...folded.upper].reverse().map(at)], "ink", { closed: true, fill: "metal" });
  p.dim(at([folded.lower[3]![0], 0]), at(folded.lower[3]!), `offset ${mm(offset)}`, 1.6);
  p.line([at([0, 0]), at([folded.lower[3]![0], 0])], "soft", { dash: true });
  return { label: `Set of ${mm(offset)}, fold to fold ${mm(s.pitch)}`, shapes: p.shapes, template: true };
}

/** Tray from above: centre line, the two cuts from the inner lip to the outer, the lips to trim. */
export function drawTray(width: number, cutOffset: number): Scene {
  const p = pen();
  const lip = Math.max(8, width * 0.1);
  const reach = cutOffset * 1.5 + width * 0.4;
  p.rect(-reach, 0, 2 * reach, width, "metal");
  p.rect(-reach, width - lip, 2 * reach, lip, "metal");
  p.rect(-reach, 0, 2 * reach, lip, "metal");
  p.line(
    [
      [0, -lip],
      [0, width + lip],
    ],
    "soft",
    { dash: true },
  );
  for (const x of [-cutOffset, cutOffset]) {
    p.line(
      [
        [x, width],
        [x, lip],
      ],
      "cut",
      { heavy: true },
    );
    for (const side of [-1, 1]) p.rect(x + (side < 0 ? -lip : 0), width - lip, lip, lip, "waste", "cut");
    p.line(
      [
        [x, lip],
        [x, 0],
      ],
      "fold",
      { dash: true, heavy: true },
    );
  }
  p.text(-reach, lip / 2, "outer lip, not cut", { anchor: "start", drop: 0.3, ink: "soft" });
  p.text(-reach, width - lip / 2, "inner lip, trim four", { anchor: "start", drop: 0.3, ink: "soft" });
  p.dim([-cutOffset, width], [0, width], mm(cutOffset), 1.6);
  p.dim([0, width], [cutOffset, width], mm(cutOffset), 1.6);
  p.dim([-reach, 0], [-reach, width], mm(width), -1.6);
  return {
    label: `Tray ${mm(width)} wide, cuts ${mm(cutOffset)} either side of the centre line`,
    shapes: p.shapes,
    template: true,
  };
}
