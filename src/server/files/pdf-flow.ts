import type { Pdf } from "./pdf-words";

export const INK = "#1c2725";
export const SOFT = "#55625f";
export const STOP = "#a8281c";

/** Where the next thing goes on the page in hand, points; `newPage` begins another of the same paper. */
export interface Flow {
  doc: Pdf;
  x: number;
  y: number;
  wide: number;
  bottom: number;
  /** Where the page in hand begins under its heading. */
  top: number;
  newPage: () => void;
  /** Pictures by their ids, as JPEG or PNG. */
  photos: ReadonlyMap<string, Buffer>;
}
export const room = (f: Flow): number => f.bottom - f.y;

/** Points in mm on paper. */
export const inMm = (points: number): number => (points * 25.4) / 72;
