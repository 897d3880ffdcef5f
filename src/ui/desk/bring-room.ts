"use client";
import { useEffect } from "react";
import type { House } from "../../core/house/house";
import { roomServed } from "../../core/house/rooms-of";
import { sectionsOf } from "../../core/house/sections";
import type { Plan } from "../../core/laid/laid";
import { type Selection, useDesk } from "../job/store";

/** Rooms on whose walls a picked thing is seen, in order; empty where no wall shows it. */
export function roomsShowing(house: House, plan: Plan | null, s: Selection): string[] {
  const ofWall = (wall: string): string[] => {
    const f = house.faces[house.faceOfWall.get(wall) ?? -1];
    return f ? [f.room.id] : [];
  };
  switch (s?.kind) {
    case "wall":
      return ofWall(s.id);
    case "point":
      return [roomServed(house, s.id)].filter((r): r is string => r !== null);
    case "run":
      return (plan?.runs.find((r) => r.id === s.id)?.legs ?? []).flatMap((l) =>
        l.surface.kind === "wall" ? ofWall(l.surface.id) : [],
      );
    case "section":
      return (sectionsOf(house).find((x) => x.section.id === s.id)?.stretches ?? []).flatMap((x) => {
        const f = house.faces[x.face];
        return f ? [f.room.id] : [];
      });
    default:
      return [];
  }
}

/** Shows the room of what has been picked where the one on the screen does not show it. */
export function useBringRoom(): void {
  const selection = useDesk((s) => s.selection);
  useEffect(() => {
    const { house, snap, room, job } = useDesk.getState();
    const rooms = roomsShowing(house, snap?.plan ?? null, selection);
    if (!rooms.length || rooms.includes(room ?? "")) return;
    const to = job.rooms.find((r) => r.id === rooms[0]);
    if (to) useDesk.setState({ room: to.id, storey: to.storey });
  }, [selection]);
}
