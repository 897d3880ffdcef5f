/** Flush boxes, clips and drums as usually sold. Sizes mm, typical; a maker's sheet goes before them. */
export interface Box {
  id: string;
  gang: 1 | 2;
  /** Inside. */
  width: number;
  height: number;
  depth: number;
}
export interface ClipSize {
  id: string;
  /** Cable it holds: widest axis and thickness. */
  width: number;
  thickness: number;
  metal: boolean;
}
export interface DrumSize {
  id: string;
  cable: string;
  /** Metres on a full drum. */
  metres: number;
}

const box = (gang: 1 | 2, width: number, depth: number): Box => ({
  id: `${gang}g-${depth}`,
  gang,
  width,
  height: 70,
  depth,
});
export const boxes: readonly Box[] = [
  box(1, 70, 16),
  box(1, 70, 25),
  box(1, 70, 35),
  box(1, 70, 47),
  box(2, 130, 25),
  box(2, 130, 35),
  box(2, 130, 47),
];

const clip = (id: string, width: number, thickness: number, metal = false): ClipSize => ({
  id,
  width,
  thickness,
  metal,
});
export const clipSizes: readonly ClipSize[] = [
  clip("flat-1.0", 7.2, 4.5),
  clip("flat-1.5", 8.2, 5.0),
  clip("flat-2.5", 10.1, 5.8),
  clip("flat-4", 11.5, 6.4),
  clip("flat-6", 13.3, 7.4),
  clip("flat-10", 16.9, 9.2),
  clip("flat-16", 19.5, 10.6),
  clip("metal-2.5", 10.1, 5.8, true),
  clip("metal-6", 13.3, 7.4, true),
  clip("cleat-15", 15.9, 15.9),
  clip("cleat-20", 20.4, 20.4),
];

export const drumSizes: readonly DrumSize[] = [
  { id: "te-1.0-50", cable: "te-1.0", metres: 50 },
  { id: "te-1.0-100", cable: "te-1.0", metres: 100 },
  { id: "te-1.5-50", cable: "te-1.5", metres: 50 },
  { id: "te-1.5-100", cable: "te-1.5", metres: 100 },
  { id: "te-2.5-50", cable: "te-2.5", metres: 50 },
  { id: "te-2.5-100", cable: "te-2.5", metres: 100 },
  { id: "te-6-50", cable: "te-6", metres: 50 },
  { id: "te-10-50", cable: "te-10", metres: 50 },
];
