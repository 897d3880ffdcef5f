/**
 * A drawing as data: shapes in millimetres, x right and y down, drawn by whoever shows it (screen, print at true scale, SVG file).
 * Words keep one size whatever the scale; `dim` lines are set off from what they measure by a distance on paper, not in the thing.
 */
export type Ink = "ink" | "soft" | "cut" | "fold" | "good" | "stop" | "warn" | "run1" | "run2" | "run3";
export type Fill =
  | "paper"
  | "metal"
  | "timber"
  | "plaster"
  | "zone"
  | "earth"
  | "sand"
  | "cable"
  | "cable2"
  | "cable3"
  | "opening"
  | "waste";
export type XY = readonly [x: number, y: number];

export type Shape =
  | { kind: "line"; points: readonly XY[]; closed?: boolean; ink: Ink; fill?: Fill; dash?: boolean; heavy?: boolean }
  | { kind: "circle"; x: number; y: number; r: number; ink: Ink; fill?: Fill; dash?: boolean; heavy?: boolean }
  | {
      kind: "text";
      x: number;
      y: number;
      text: string;
      anchor: "start" | "middle" | "end";
      ink: Ink;
      /** Set off downwards on paper, in lines of text. */ drop: number;
    }
  | {
      kind: "dim";
      a: XY;
      b: XY;
      text: string;
      /** How many lines of text off the thing; negative is above or left. */ off: number;
    };

export interface Scene {
  /** What is drawn, for those who cannot see it. */
  label: string;
  shapes: Shape[];
  /** True when a print at true scale is of use, as a template or a section. */
  template: boolean;
}

/** A pen that collects shapes: what a symbol is drawn with. */
export function pen() {
  const shapes: Shape[] = [];
  return {
    shapes,
    line: (
      points: readonly XY[],
      ink: Ink = "ink",
      more: { fill?: Fill; dash?: boolean; heavy?: boolean; closed?: boolean } = {},
    ): void => void shapes.push({ kind: "line", points, ink, ...more }),
    rect: (
      x: number,
      y: number,
      w: number,
      h: number,
      fill?: Fill,
      ink: Ink = "ink",
      more: { dash?: boolean; heavy?: boolean } = {},
    ): void =>
      void shapes.push({
        kind: "line",
        points: [
          [x, y],
          [x + w, y],
          [x + w, y + h],
          [x, y + h],
        ],
        closed: true,
        ink,
        ...(fill ? { fill } : {}),
        ...more,
      }),
    circle: (
      x: number,
      y: number,
      r: number,
      fill?: Fill,
      ink: Ink = "ink",
      more: { dash?: boolean; heavy?: boolean } = {},
    ): void => void shapes.push({ kind: "circle", x, y, r, ink, ...(fill ? { fill } : {}), ...more }),
    text: (
      x: number,
      y: number,
      text: string,
      more: { anchor?: "start" | "middle" | "end"; ink?: Ink; drop?: number } = {},
    ): void =>
      void shapes.push({
        kind: "text",
        x,
        y,
        text,
        anchor: more.anchor ?? "middle",
        ink: more.ink ?? "ink",
        drop: more.drop ?? 0,
      }),
    dim: (a: XY, b: XY, text: string, off: number): void => void shapes.push({ kind: "dim", a, b, text, off }),
  };
}

/** Points of an arc from one angle to another (degrees, clockwise on paper), enough of them to look round. */
export function arc(x: number, y: number, r: number, from: number, to: number, steps = 36): XY[] {
  return Array.from({ length: steps + 1 }, (_, i) => {
    const t = ((from + ((to - from) * i) / steps) * Math.PI) / 180;
    return [x + r * Math.cos(t), y + r * Math.sin(t)] as const;
  });
}

/** A six-cornered nut by its width across corners. */
export const hexagon = (x: number, y: number, acrossCorners: number): XY[] => arc(x, y, acrossCorners / 2, 0, 300, 5);

export interface Bounds {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** Smallest box round all shapes, mm; words count by the place they stand at. */
export function boundsOf(shapes: readonly Shape[]): Bounds {
  const b: Bounds = { x0: Infinity, y0: Infinity, x1: -Infinity, y1: -Infinity };
  const take = (x: number, y: number): void => {
    b.x0 = Math.min(b.x0, x);
    b.y0 = Math.min(b.y0, y);
    b.x1 = Math.max(b.x1, x);
    b.y1 = Math.max(b.y1, y);
  };
  for (const s of shapes)
    if (s.kind === "line") for (const [x, y] of s.points) take(x, y);
    else if (s.kind === "circle") {
      take(s.x - s.r, s.y - s.r);
      take(s.x + s.r, s.y + s.r);
    } else if (s.kind === "text") take(s.x, s.y);
    else {
      take(...s.a);
      take(...s.b);
    }
  return shapes.length ? b : { x0: 0, y0: 0, x1: 1, y1: 1 };
}
