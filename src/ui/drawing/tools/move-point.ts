import { lowestTop } from "../../../core/base/ceiling";
import type { Point } from "../../../core/job/model";
import { plateOf } from "../../../core/rules/accessories";
import { preview } from "../../job/store";
import { change, edit } from "../../job/store";
import type { UnrolledWall } from "../unrolled-model";

/** Marks are to the centimetre while dragging. */
const GRID = 10;
/** Nearness at which a height snaps to that of another point, drawing px. */
const SNAP_PX = 7;

export interface Held {
  point: Point;
  /** Where the point was taken hold of, away from its middle, mm. */
  dx: number;
  dy: number;
}

/** Place on the strip for a pointer at drawing x, y: which wall, u and v, snapped to other points' heights and the grid. */
export function placeAt(
  walls: readonly UnrolledWall[],
  p: Point,
  x: number,
  y: number,
  scale: number,
  free: boolean,
): { wall: string; u: number; v: number; snapped: number | null } | null {
  const w =
    walls.find((a) => x >= a.x && x < a.x + a.face.shape.length) ?? (x < 0 ? walls[0] : walls[walls.length - 1]);
  if (!w) return null;
  const { length, height, top } = w.face.shape;
  let u = Math.min(length, Math.max(0, x - w.x));
  const plate = plateOf(p);
  const most = top
    ? lowestTop(top, Math.max(0, u - plate.width / 2), Math.min(length, u + plate.width / 2)) - plate.height / 2
    : height;
  let v = Math.min(most, Math.max(0, -y));
  let snapped: number | null = null;
  if (!free) {
    u = Math.round(u / GRID) * GRID;
    const others = walls.flatMap((a) => a.face.points.filter((q) => q.id !== p.id).map((q) => q.v));
    const near = others.reduce<number | null>(
      (best, q) =>
        Math.abs(q - v) * scale <= SNAP_PX && (best === null || Math.abs(q - v) < Math.abs(best - v)) ? q : best,
      null,
    );
    snapped = near;
    v = Math.min(most, near ?? Math.round(v / GRID) * GRID);
  }
  return { wall: w.face.wall.id, u: Math.round(u * 10) / 10, v: Math.round(v * 10) / 10, snapped };
}

/** Shows the point at a new place on a wall without storing it. */
export function previewMove(p: Point, place: { wall: string; u: number; v: number }): void {
  preview([change("points", p.id, { ...p, place: { on: "wall", wall: place.wall, u: place.u, v: place.v } })]);
}

/** Moves the point for good; returns the refusal, or null. */
export function movePoint(p: Point, place: Point["place"]): string | null {
  return edit([change("points", p.id, { ...p, place })]);
}

/** Shift of a point by arrow keys, mm: 10, with Shift 100, with Alt 1. */
export function nudge(e: { key: string; shiftKey: boolean; altKey: boolean }): { u: number; v: number } | null {
  const by = e.altKey ? 1 : e.shiftKey ? 100 : 10;
  switch (e.key) {
    case "ArrowLeft":
      return { u: -by, v: 0 };
    case "ArrowRight":
      return { u: by, v: 0 };
    case "ArrowUp":
      return { u: 0, v: by };
    case "ArrowDown":
      return { u: 0, v: -by };
    default:
      return null;
  }
}
