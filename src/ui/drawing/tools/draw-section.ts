import type { StripWall } from "../../../core/house/unrolled";
import type { SectionKind } from "../../../core/rules/sections";
import type { SectionPlace } from "../../../core/job/model";

/** A place on the strip of unrolled walls: x along it, v above the floor, mm. */
export interface StripPlace {
  x: number;
  v: number;
}

/** A section while it is drawn: the places fixed so far. */
export type Draft = readonly StripPlace[];

/** The tool that draws one: what is drawn, its places so far, and where the pointer is. */
export interface SectionTool {
  kind: "section";
  section: SectionKind;
  size: string;
  draft: Draft;
  hover: StripPlace | null;
}

/** To the centimetre by hand; with Alt to the millimetre. */
const GRID = 10;
const tenth = (x: number): number => Math.round(x * 10) / 10;
const clamp = (x: number, lo: number, hi: number): number => Math.min(hi, Math.max(lo, x));

/** What a place snaps to, mm: middles of points, and corners between walls. */
export interface Snaps {
  xs: readonly number[];
  vs: readonly number[];
}

const snapped = (x: number, to: readonly number[], reach: number, free: boolean): number => {
  if (free) return Math.round(x);
  const near = to.reduce<number | null>(
    (best, s) => (Math.abs(s - x) <= reach && (best === null || Math.abs(s - x) < Math.abs(best - x)) ? s : best),
    null,
  );
  return near ?? Math.round(x / GRID) * GRID;
};

/** What a section snaps to in a room: the middles of points on its walls, and the lines where walls meet. */
export const snapsOf = (walls: readonly StripWall[]): Snaps => ({
  xs: [...walls.flatMap((w) => [w.x, ...w.face.points.map((p) => w.x + p.u)]), stripEnd(walls)],
  vs: walls.flatMap((w) => [0, w.face.shape.height, ...w.face.points.map((p) => p.v)]),
});

const stripEnd = (walls: readonly StripWall[]): number => {
  const last = walls[walls.length - 1];
  return last ? last.x + last.face.shape.length : 0;
};

/**
 * The place that the pointer stands for: the first one anywhere on the walls, any further one level or plumb from the one before,
 * whichever way the pointer has gone farther.
 * @param reach how near a snap is, mm
 */
export function placeFor(
  walls: readonly StripWall[],
  draft: Draft,
  at: StripPlace,
  snaps: Snaps,
  reach: number,
  free = false,
): StripPlace {
  const height = Math.max(0, ...walls.map((w) => w.face.shape.height));
  const x = tenth(clamp(snapped(at.x, snaps.xs, reach, free), 0, stripEnd(walls)));
  const v = tenth(clamp(snapped(at.v, snaps.vs, reach, free), 0, height));
  const last = draft[draft.length - 1];
  if (!last) return { x, v };
  return Math.abs(at.x - last.x) >= Math.abs(at.v - last.v) ? { x, v: last.v } : { x: last.x, v };
}

/** The place a typed length leads to from the last one, the way the pointer has gone; null without a way. */
export function placeAtLength(
  walls: readonly StripWall[],
  draft: Draft,
  towards: StripPlace,
  length: number,
): StripPlace | null {
  const last = draft[draft.length - 1];
  if (!last || !(length > 0)) return null;
  const [dx, dv] = [Math.sign(towards.x - last.x), Math.sign(towards.v - last.v)];
  if (!dx && !dv) return null;
  const height = Math.max(0, ...walls.map((w) => w.face.shape.height));
  const to = dx ? { x: last.x + dx * length, v: last.v } : { x: last.x, v: last.v + dv * length };
  if (to.x < 0 || to.x > stripEnd(walls) || to.v < 0 || to.v > height) return null;
  return { x: tenth(to.x), v: tenth(to.v) };
}

/** The draft with a place put to it; one that goes on the same way only makes the last stretch longer. */
export function withPlace(draft: Draft, p: StripPlace): Draft {
  const last = draft[draft.length - 1];
  if (last && last.x === p.x && last.v === p.v) return draft;
  const before = draft[draft.length - 2];
  const on =
    before &&
    last &&
    ((before.x === last.x && last.x === p.x && Math.sign(last.v - before.v) === Math.sign(p.v - last.v)) ||
      (before.v === last.v && last.v === p.v && Math.sign(last.x - before.x) === Math.sign(p.x - last.x)));
  return on ? [...draft.slice(0, -1), p] : [...draft, p];
}

/**
 * The path of a section over the walls, from the places of its draft: where it goes past the line between two walls, the corner
 * stands in it twice, on the one wall and on the other.
 */
export function pathOf(walls: readonly StripWall[], draft: Draft): SectionPlace[] {
  const out: SectionPlace[] = [];
  const put = (w: StripWall, x: number, v: number): void => {
    const p: SectionPlace = { on: "wall", wall: w.face.wall.id, u: tenth(x - w.x), v };
    const last = out[out.length - 1];
    if (last?.on === "wall" && last.wall === p.wall && last.u === p.u && last.v === p.v) return;
    out.push(p);
  };
  const wallAt = (x: number, from: number): number => {
    const hits = walls.flatMap((w, i) => (x >= w.x - 0.05 && x <= w.x + w.face.shape.length + 0.05 ? [i] : []));
    return hits.includes(from) ? from : (hits[0] ?? 0);
  };
  let on = draft[0] ? startWall(walls, draft) : 0;
  draft.forEach((p, i) => {
    const before = draft[i - 1];
    if (!before) return put(walls[on]!, p.x, p.v);
    const target = wallAt(p.x, on);
    while (on !== target) {
      const right = target > on;
      const edge = right ? walls[on]!.x + walls[on]!.face.shape.length : walls[on]!.x;
      put(walls[on]!, edge, p.v);
      on += right ? 1 : -1;
      put(walls[on]!, edge, p.v);
    }
    put(walls[on]!, p.x, p.v);
  });
  return out;
}

/** Number of the wall a draft begins on: where it begins right on a corner, the wall that it goes on along. */
function startWall(walls: readonly StripWall[], draft: Draft): number {
  const { x } = draft[0]!;
  const hits = walls.flatMap((w, i) => (x >= w.x - 0.05 && x <= w.x + w.face.shape.length + 0.05 ? [i] : []));
  const next = draft.find((p) => p.x !== x);
  return (next && next.x < x ? hits[0] : hits[hits.length - 1]) ?? 0;
}
