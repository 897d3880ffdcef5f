/** A tag by its middle and its size, px. */
export interface Tag {
  id: string;
  x: number;
  y: number;
  w: number;
  h: number;
  /** It stays between these, px: past the end of its row it would be out of sight. */
  between?: readonly [from: number, to: number];
}
export interface Box {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** Kept clear between two tags, px. */
const GAP = 1;
/** How many rows of its own height a tag is moved at most: further off it is no longer seen whose it is. */
const ROWS = 4;

/** What takes up so much round a place, px: a hole, which nothing may hide. */
export const boxRound = (x: number, y: number, by: number): Box => ({ x0: x - by, y0: y - by, x1: x + by, y1: y + by });

const boxOf = (t: Tag, dx = 0, dy = 0): Box => ({
  x0: t.x + dx - t.w / 2,
  y0: t.y + dy - t.h / 2,
  x1: t.x + dx + t.w / 2,
  y1: t.y + dy + t.h / 2,
});
const meets = (a: Box, b: Box): boolean =>
  a.x0 < b.x1 + GAP && b.x0 < a.x1 + GAP && a.y0 < b.y1 + GAP && b.y0 < a.y1 + GAP;

/** Whether a tag is within its row there; one that reaches out where its point is may stay. */
const inRow = (t: Tag, b: Box): boolean =>
  !t.between || (b.x0 >= Math.min(t.between[0], t.x - t.w / 2) && b.x1 <= Math.max(t.between[1], t.x + t.w / 2));

/**
 * Moves tags off one another: each stays where it is, or goes to the nearest free place over, under or beside it. From the left,
 * so that a tag does not change places because another far from it did.
 * @param keep what no tag may lie on
 * @returns how far each is moved, px, and the boxes that are taken then
 */
export function placeTags(
  tags: readonly Tag[],
  keep: readonly Box[] = [],
): {
  moved: Map<string, readonly [dx: number, dy: number]>;
  taken: Box[];
} {
  const moved = new Map<string, readonly [number, number]>();
  const taken: Box[] = [...keep];
  for (const t of [...tags].sort((a, b) => a.x - b.x || a.y - b.y || (a.id < b.id ? -1 : 1))) {
    const ways: [number, number][] = [[0, 0]];
    for (let n = 1; n <= ROWS; n++)
      for (const [dx, dy] of [
        [0, -n],
        [0, n],
        [n, 0],
        [-n, 0],
        [n, -n],
        [n, n],
        [-n, -n],
        [-n, n],
      ] as const)
        ways.push([dx * (t.w + GAP + 1), dy * (t.h + GAP + 1)]);
    const free = ways
      .sort((a, b) => Math.hypot(...a) - Math.hypot(...b))
      .find(([dx, dy]) => inRow(t, boxOf(t, dx, dy)) && !taken.some((o) => meets(o, boxOf(t, dx, dy))));
    const [dx, dy] = free ?? [0, 0];
    moved.set(t.id, [dx, dy]);
    taken.push(boxOf(t, dx, dy));
  }
  return { moved, taken };
}

/**
 * Where labels go that may stand at any of several places: at the first that is free, or nowhere.
 * @param taken boxes that stand already; those of the labels placed are added
 */
export function placeLabels<T extends string>(
  labels: readonly { id: T; w: number; h: number; at: readonly { x: number; y: number }[] }[],
  taken: Box[],
): Map<T, { x: number; y: number } | null> {
  const out = new Map<T, { x: number; y: number } | null>();
  for (const l of labels) {
    const box = (p: { x: number; y: number }): Box => boxOf({ id: l.id, ...p, w: l.w, h: l.h });
    const free = l.at.find((p) => !taken.some((o) => meets(o, box(p)))) ?? null;
    out.set(l.id, free);
    if (free) taken.push(box(free));
  }
  return out;
}
