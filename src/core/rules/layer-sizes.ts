/** Kinds of containment that hold one layer of cable and have sizes of their own. */
export const layerKinds = ["capping", "oval", "tray", "basket", "ladder"] as const;
export type LayerKind = (typeof layerKinds)[number];

/** A size of capping, oval tube, tray, basket or ladder, mm: outside, and where cable lies. Its id is its kind and size. */
export interface LayerSize {
  id: string;
  kind: LayerKind;
  size: string;
  width: number;
  depth: number;
  insideWidth: number;
  insideHeight: number;
}

const row =
  (kind: LayerKind) =>
  ([width, depth, insideWidth, insideHeight]: readonly [number, number, number, number]): LayerSize => ({
    id: `${kind}-${width}`,
    kind,
    size: String(width),
    width,
    depth,
    insideWidth,
    insideHeight,
  });
const open = (kind: LayerKind, depth: number, widths: readonly number[]): LayerSize[] =>
  widths.map((w) => row(kind)([w, depth, w - 4, depth]));

/** Usual sizes. Typical: a maker's sheet goes before them. */
export const layerSizes: readonly LayerSize[] = [
  ...(
    [
      [12, 8, 11, 7],
      [25, 9, 23, 8],
      [38, 9, 36, 8],
    ] as const
  ).map(row("capping")),
  ...(
    [
      [16, 10, 14, 7.6],
      [20, 11, 18, 8.5],
      [25, 12, 23, 9.5],
      [32, 12, 30, 9.5],
    ] as const
  ).map(row("oval")),
  ...open("tray", 12, [50, 75, 100, 150, 225, 300]),
  ...open("basket", 30, [100, 150, 200, 300]),
  ...open("ladder", 60, [150, 300, 450]),
];
