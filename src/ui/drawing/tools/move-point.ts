import { lowestTop } from "../../../core/base/ceiling";
import type { Point } from "../../../core/job/model";
import { plateOf } from "../../../core/rules/accessories";
import type { PointerEvent as RPointer } from "react";
import { toast } from "sonner";
import type { XY } from "../../../core/base/polygon";
import { pickedPoints, pressPoint, shiftPoints } from "../../job/picking";
import { change, edit, endPreview, preview, useDesk } from "../../job/store";
import { drag } from "./drag";
import type { StripWall } from "../../../core/house/unrolled";

/** Marks are to the centimetre while dragging. */
const GRID = 10;
/** Nearness at which a height snaps to that of another point, drawing px. */
const SNAP_PX = 7;

/** Place on the strip for a pointer at drawing x, y: which wall, u and v, snapped to other points' heights and the grid. */
export function placeAt(
  walls: readonly StripWall[],
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
function previewMove(p: Point, place: { wall: string; u: number; v: number }): void {
  preview([change("points", p.id, { ...p, place: { on: "wall", wall: place.wall, u: place.u, v: place.v } })]);
}

/** Moves the point for good; returns the refusal, or null. */
function movePoint(p: Point, place: Point["place"]): string | null {
  return edit([change("points", p.id, { ...p, place })]);
}

/** Pixels before a press on a point moves it. */
const THRESHOLD = 4;
const told = (refused: string | null): void => {
  if (refused) toast.error(refused);
};

/** Drags a point of the unrolled room from wall to wall, or all that are picked together with it, by the same amount. */
export function dragWallPoint(
  e: RPointer,
  point: Point,
  at: { x: number; y: number },
  on: {
    walls: readonly StripWall[];
    scale: number;
    toDrawing: (m: { clientX: number; clientY: number }) => { x: number; y: number };
    /** Height of the line shown while something is dragged; null for none. */
    guide: (v: number | null) => void;
  },
): void {
  if (e.button !== 0 || point.place.on !== "wall") return;
  e.stopPropagation();
  (e.currentTarget as SVGElement).focus();
  if (!pressPoint(point.id, e)) return;
  const ids = pickedPoints(useDesk.getState().selection);
  const from = on.toDrawing(e);
  const drop = (): void => {
    on.guide(null);
    endPreview();
  };
  if (ids.length > 1) return dragGroup(e, ids, at, from, on, drop);
  const [dx, dy] = [from.x - at.x, from.y - at.y];
  drag<NonNullable<ReturnType<typeof placeAt>>>(e, {
    threshold: THRESHOLD,
    changeAt: (m) => {
      const p = on.toDrawing(m);
      return placeAt(on.walls, point, p.x - dx, p.y - dy, on.scale, m.altKey);
    },
    show: (to) => {
      on.guide(to.snapped);
      previewMove(point, to);
    },
    drop,
    make: (to) => {
      on.guide(null);
      told(movePoint(point, { on: "wall", wall: to.wall, u: to.u, v: to.v }));
    },
  });
}

function dragGroup(
  e: RPointer,
  ids: readonly string[],
  at: { x: number; y: number },
  from: { x: number; y: number },
  on: Parameters<typeof dragWallPoint>[3],
  drop: () => void,
): void {
  const points = useDesk.getState().job.points.filter((p) => ids.includes(p.id) && p.place.on === "wall");
  drag<{ u: number; v: number }>(e, {
    threshold: THRESHOLD,
    changeAt: (m) => {
      const p = on.toDrawing(m);
      const g = m.altKey ? 1 : GRID;
      return { u: Math.round((p.x - from.x) / g) * g, v: Math.round((from.y - p.y) / g) * g };
    },
    show: (by) => {
      on.guide(-at.y + by.v);
      preview(
        points.map((q) => {
          const { u, v } = q.place as { u: number; v: number };
          return change("points", q.id, { ...q, place: { ...q.place, u: u + by.u, v: v + by.v } });
        }),
      );
    },
    drop,
    make: (by) => {
      on.guide(null);
      told(shiftPoints(points, by.u, by.v));
    },
  });
}

/** Drags a point of a deck, seen from above. */
export function dragDeckPoint(e: RPointer, p: Point, toPlan: (m: { clientX: number; clientY: number }) => XY): void {
  if (e.button !== 0) return;
  e.stopPropagation();
  const { place } = p;
  if (!pressPoint(p.id, e) || place.on !== "deck") return;
  const from = toPlan(e);
  drag<Point["place"]>(e, {
    threshold: THRESHOLD,
    changeAt: (m) => {
      const at = toPlan(m);
      const g = m.altKey ? 1 : GRID;
      const to = (x: number): number => Math.round(x / g) * g;
      return { ...place, x: to(place.x + at.x - from.x), y: to(place.y + at.y - from.y) };
    },
    show: (to) => preview([change("points", p.id, { ...p, place: to })]),
    drop: endPreview,
    make: (to) => told(movePoint(p, to)),
  });
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
