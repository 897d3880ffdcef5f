"use client";
import { memo, useMemo } from "react";
import { mm } from "../../core/base/figures";
import { bathZoneShapes } from "../../core/drawings/room-zones";
import { NAME_AT, faceOutline, wallScene, wallWords } from "../../core/drawings/wall-scene";
import type { House } from "../../core/house/house";
import type { StripWall } from "../../core/house/unrolled";
import type { DeskState } from "../job/store";
import { pressed } from "./pressed";
import { Shapes } from "./shape-view";
import { PhotoMark, SweepMarks } from "./wall-marks";

/** One wall of the unrolled room: the scene of the wall painted, and what is pressed on it. `px` turns screen pixels into mm. */
export const WallFace = memo(function WallFace({
  w,
  house,
  px,
  hatches,
  zones,
  selected,
  onSelect,
  sweep,
}: {
  w: StripWall;
  house: House;
  px: (n: number) => number;
  hatches: string;
  zones: boolean;
  selected: boolean;
  onSelect: (wall: string) => void;
  sweep: DeskState["sweep"];
}) {
  const { face, x } = w;
  const { wall } = face;
  const { length } = face.shape;
  const { decks, catalogue } = house;
  const { fixtures, forbidden, photos } = house.job;
  // Painted afresh only when something on this wall is another: a point dragged elsewhere leaves it as it is.
  const shapes = useMemo(
    () => wallScene({ decks, catalogue, job: { fixtures, forbidden } }, face, zones),
    [face, zones, decks, catalogue, fixtures, forbidden],
  );
  const bath = useMemo(() => (zones ? bathZoneShapes(house, face) : []), [zones, house, face]);
  const outline = faceOutline(face)
    .map((p) => p.join(","))
    .join(" ");
  return (
    <g transform={`translate(${x} 0)`}>
      <Shapes shapes={shapes} unit={px(1)} hatches={hatches} />
      {bath.length ? <Shapes shapes={bath} unit={px(1)} hatches={hatches} /> : null}
      <polygon points={outline} fill="transparent" onClick={() => onSelect(wall.id)} />
      {sweep ? <SweepMarks sweep={sweep} length={length} px={px} /> : null}
      {photos.map((p) => (p.wall === wall.id ? <PhotoMark key={p.id} photo={p} px={px} /> : null))}
      {selected ? (
        <polygon points={outline} fill="none" stroke="var(--accent)" strokeWidth={px(3)} pointerEvents="none" />
      ) : null}
      <g
        role="button"
        tabIndex={0}
        aria-label={`Wall ${wall.index + 1}, ${mm(length)} long, ${wallWords(wall)}`}
        aria-pressed={selected}
        className="focusable cursor-pointer"
        onClick={() => onSelect(wall.id)}
        onKeyDown={pressed(() => onSelect(wall.id))}
      >
        <rect
          className="ring"
          x={px(2)}
          y={NAME_AT + px(6)}
          width={Math.max(px(60), Math.min(length - px(4), px(240)))}
          height={px(34)}
          fill="transparent"
          stroke="none"
          strokeWidth={px(2)}
        />
      </g>
    </g>
  );
});
