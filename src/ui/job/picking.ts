"use client";
import { toast } from "sonner";
import type { Point } from "../../core/job/model";
import { setCircuit } from "./edits";
import { type Selection, change, edit, useDesk } from "./store";

/** Points that are picked out, in the order they were picked. */
export const pickedPoints = (s: Selection): readonly string[] =>
  s?.kind === "point" ? [s.id] : s?.kind === "points" ? s.ids : [];
export const isPicked = (s: Selection, id: string): boolean => pickedPoints(s).includes(id);

/** Picks points: none, one or several. */
export function pickPoints(ids: readonly string[]): void {
  useDesk.setState({
    selection:
      ids.length === 0 ? null : ids.length === 1 ? { kind: "point", id: ids[0]! } : { kind: "points", ids: [...ids] },
  });
}

/**
 * What pressing a point does: while painting it goes onto the painted circuit (or off it, when it is on it); with Shift or Ctrl it
 * joins or leaves what is picked; else it is picked alone. Returns true when it may be dragged from here.
 */
export function pressPoint(id: string, e: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }): boolean {
  const { paint, job, selection } = useDesk.getState();
  if (paint) {
    const c = job.circuits.find((x) => x.id === paint);
    const point = job.points.find((p) => p.id === id);
    if (point?.kind === "board") {
      toast("The board feeds every circuit; it is on none.");
      return false;
    }
    const refused = setCircuit([id], c?.points.includes(id) ? null : paint);
    if (refused) toast.error(refused);
    return false;
  }
  const now = pickedPoints(selection);
  if (e.shiftKey || e.ctrlKey || e.metaKey) {
    pickPoints(now.includes(id) ? now.filter((x) => x !== id) : [...now, id]);
    return false;
  }
  if (!now.includes(id) || now.length === 1) pickPoints([id]);
  return true;
}

/** Moves points by the same amount: along and up on walls, east and north on decks, mm. */
export function shiftPoints(points: readonly Point[], du: number, dv: number): string | null {
  const r = (x: number): number => Math.round(x * 10) / 10;
  return edit(
    points.map((p) =>
      change("points", p.id, {
        ...p,
        place:
          p.place.on === "wall"
            ? { ...p.place, u: r(p.place.u + du), v: r(p.place.v + dv) }
            : { ...p.place, x: r(p.place.x + du), y: r(p.place.y + dv) },
      }),
    ),
  );
}
