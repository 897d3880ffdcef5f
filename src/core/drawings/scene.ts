/**
 * A drawing as data: shapes in millimetres, x right and y down, painted by whoever shows it: screen, print at true scale, SVG and DXF
 * files, and the solid view, which sets walls and decks up in space. Words keep one size whatever the scale; `dim` lines are set off
 * from what they measure by a distance on paper, not in the thing.
 */
export type Ink =
  | "ink"
  | "soft"
  | "accent"
  | "timberline"
  | "cut"
  | "fold"
  | "good"
  | "stop"
  | "warn"
  | "none"
  | "run1"
  | "run2"
  | "run3"
  | "run4"
  | "run5"
  | "run6";
export type Fill =
  | "paper"
  | "page"
  | "panel"
  | "metal"
  | "timber"
  | "deck"
  | "plaster"
  | "earth"
  | "sand"
  | "cable"
  | "cable2"
  | "cable3"
  | "opening"
  | "soft"
  | "stop"
  | Hatch;
/** Hatches keep their size on paper whatever the scale. */
export type Hatch = "zone" | "waste" | "band" | "strip" | "reverse" | "foil" | "barred" | "window";
export type XY = readonly [x: number, y: number];

/** Layers of drawings of the house, as drawing files name them; runs lie on one layer a circuit, `RUNS-` and its label. */
export type Layer =
  | "ROOMS"
  | "GROUND"
  | "WALLS"
  | "NAMES"
  | "OPENINGS"
  | "FIXTURES"
  | "KEPT-FREE"
  | "FOUND"
  | "STUDS"
  | "ZONES"
  | "DECKS"
  | "JOISTS"
  | "WINDOWS"
  | "OBSTACLES"
  | "OLD-CUTS"
  | "CHALK"
  | "CONTAINMENT"
  | "BORES"
  | "POINTS"
  | "LABELS"
  | `RUNS-${string}`;

/**
 * What every shape may say of the thing it draws: its layer in drawing files, and which thing it is. Without a layer it is for the
 * screen only.
 */
interface Told {
  layer?: Layer;
  id?: string;
}
/** How an outline is drawn. Widths and dashes are px on the screen, whatever the scale. */
interface Stroke extends Told {
  ink: Ink;
  fill?: Fill;
  /** Share of the fill that covers what is under it, 1 when left out. */
  cover?: number;
  dash?: boolean | readonly number[];
  heavy?: boolean;
  width?: number;
}

export interface LineShape extends Stroke {
  kind: "line";
  points: readonly XY[];
  closed?: boolean;
}
export interface CircleShape extends Stroke {
  kind: "circle";
  x: number;
  y: number;
  r: number;
  /** Least radius as shown, px: small holes are still seen from afar. */
  least?: number;
}
export interface TextShape extends Told {
  kind: "text";
  x: number;
  y: number;
  text: string;
  anchor: "start" | "middle" | "end";
  ink: Ink;
  /** Set off downwards on paper, in lines of text. */
  drop: number;
  /** Set off to the right, px. */
  shift?: number;
  /** Height of the words, px; 12.5 when left out. */
  size?: number;
  /** Room there is for the words, mm: they are left out where they would not fit. */
  room?: { width: number; height?: number };
  type?: "bold" | "figures";
}
export interface DimShape extends Told {
  kind: "dim";
  a: XY;
  b: XY;
  text: string;
  /** How many lines of text off the thing; negative is above or left. */
  off: number;
}
export type Shape = LineShape | CircleShape | TextShape | DimShape;

export interface Scene {
  /** What is drawn, for those who cannot see it. */
  label: string;
  shapes: Shape[];
  /** True when a print at true scale is of use, as a template or a section. */
  template: boolean;
}

type More<T> = Partial<Omit<T, "kind" | "points" | "x" | "y" | "r" | "text" | "ink" | "fill">>;

/** Corners of a box from its left top corner, mm. */
export const boxFrom = (x: number, y: number, w: number, h: number): XY[] => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
];

/** A pen that collects shapes: what a symbol is drawn with. `told` goes with every shape it draws. */
export function pen(told: Told = {}) {
  const shapes: Shape[] = [];
  const line = (points: readonly XY[], ink: Ink = "ink", more: More<LineShape> & { fill?: Fill } = {}): void =>
    void shapes.push({ kind: "line", points, ink, ...told, ...more });
  return {
    shapes,
    line,
    area: (points: readonly XY[], fill?: Fill, ink: Ink = "ink", more: More<LineShape> = {}): void =>
      line(points, ink, { closed: true, ...(fill ? { fill } : {}), ...more }),
    rect: (
      x: number,
      y: number,
      w: number,
      h: number,
      fill?: Fill,
      ink: Ink = "ink",
      more: More<LineShape> = {},
    ): void => line(boxFrom(x, y, w, h), ink, { closed: true, ...(fill ? { fill } : {}), ...more }),
    circle: (x: number, y: number, r: number, fill?: Fill, ink: Ink = "ink", more: More<CircleShape> = {}): void =>
      void shapes.push({ kind: "circle", x, y, r, ink, ...told, ...(fill ? { fill } : {}), ...more }),
    text: (
      x: number,
      y: number,
      text: string,
      more: Partial<Omit<TextShape, "kind" | "x" | "y" | "text">> = {},
    ): void => void shapes.push({ kind: "text", x, y, text, anchor: "middle", ink: "ink", drop: 0, ...told, ...more }),
    dim: (a: XY, b: XY, text: string, off: number): void => void shapes.push({ kind: "dim", a, b, text, off, ...told }),
  };
}

const moved = ([x, y]: XY, dx: number, dy: number): XY => [x + dx, y + dy];

/** The same shapes elsewhere on the paper, mm. */
export const shifted = (shapes: readonly Shape[], dx: number, dy: number): Shape[] =>
  shapes.map((s): Shape => {
    if (s.kind === "line") return { ...s, points: s.points.map((q) => moved(q, dx, dy)) };
    if (s.kind === "dim") return { ...s, a: moved(s.a, dx, dy), b: moved(s.b, dx, dy) };
    return { ...s, x: s.x + dx, y: s.y + dy };
  });

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
