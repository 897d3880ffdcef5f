"use client";
import { memo, useMemo } from "react";
import { planScene } from "../../core/drawings/plan-scene";
import type { House } from "../../core/house/house";
import { useDesk } from "../job/store";
import { Shapes } from "./shape-view";

/** Rooms of a storey from above; a press anywhere in a room takes it in hand. */
export const PlanRooms = memo(function PlanRooms({
  house,
  storey,
  room,
  px,
  hatches,
}: {
  house: House;
  storey: string;
  room: string | null;
  px: (n: number) => number;
  hatches: string;
}) {
  const { faces } = house;
  const { rooms, fixtures, openings, grounds } = house.job;
  const shapes = useMemo(
    () => planScene({ faces, job: { rooms, fixtures, openings, grounds } }, storey, room),
    [faces, rooms, fixtures, openings, grounds, storey, room],
  );
  return (
    <g>
      <Shapes shapes={shapes} unit={px(1)} hatches={hatches} />
      {rooms
        .filter((r) => r.storey === storey)
        .map((r) => (
          <polygon
            key={r.id}
            points={r.outline.map((p) => `${p.x},${-p.y}`).join(" ")}
            fill="transparent"
            onClick={() => useDesk.setState({ room: r.id })}
            className="cursor-pointer"
          />
        ))}
    </g>
  );
});
