"use client";
import { type PointerEvent as RPointer, useEffect, useRef } from "react";
import { toast } from "sonner";
import { rectAround } from "../../core/base/rect";
import type { Point } from "../../core/job/model";
import { accessories } from "../../core/rules/accessories";
import { isPicked, pickedPoints, pressPoint, shiftPoints } from "../job/picking";
import { useDesk } from "../job/store";
import { nudge } from "./tools/move-point";

/** Size of a tag on the screen, px; a plate drawn larger is its own tag. */
export const tagSize = (label: string, width: number, height: number): { w: number; h: number } => ({
  w: Math.max(width, label.length * 7.5 + 8),
  h: Math.max(height, 17),
});

/** A point on its wall: the plate to scale, and a tag with its label to press, drag and nudge. */
export function PointTag({
  point,
  x,
  y,
  width,
  height,
  px,
  off,
  selected,
  stop,
  where,
  onDown,
}: {
  point: Point;
  x: number;
  y: number;
  width: number;
  height: number;
  px: (n: number) => number;
  /** How far its tag stands off it because another lies there, px. */
  off: readonly [dx: number, dy: number];
  selected: boolean;
  stop: boolean;
  where: string;
  onDown: (e: RPointer, p: Point, at: { x: number; y: number }) => void;
}) {
  const ref = useRef<SVGGElement>(null);
  const pressing = useRef(false);
  useEffect(() => {
    if (selected && document.activeElement === document.body) ref.current?.focus({ preventScroll: true });
  }, [selected]);
  const r = rectAround({ u: x, v: y, width, height });
  const size = tagSize(point.label, width / px(1), height / px(1));
  const [w, h] = [px(size.w), px(size.h)];
  const [tx, ty] = [x + px(off[0]), y + px(off[1])];
  return (
    <g
      ref={ref}
      role="button"
      tabIndex={0}
      data-point-tag={point.label}
      aria-label={`${point.label}, ${accessories[point.kind].name}${point.gang === 2 ? ", 2-gang" : ""}, ${where}${point.existing ? ", found in the house" : ""}${stop ? ", has a stop finding" : ""}`}
      aria-pressed={selected}
      className="focusable cursor-grab touch-none"
      onPointerDown={(e) => {
        pressing.current = true;
        onDown(e, point, { x, y });
        window.addEventListener("pointerup", () => (pressing.current = false), { once: true });
      }}
      onFocus={() => {
        // The keyboard picks what it comes to; a press is for pressPoint to judge.
        if (!pressing.current && !isPicked(useDesk.getState().selection, point.id))
          useDesk.setState({ selection: { kind: "point", id: point.id } });
      }}
      onKeyDown={(e) => {
        if (e.key === "Enter" || e.key === " ") {
          e.preventDefault();
          e.stopPropagation();
          pressPoint(point.id, e);
          return;
        }
        const by = nudge(e);
        if (!by || point.place.on !== "wall") return;
        e.preventDefault();
        e.stopPropagation();
        const { job, selection } = useDesk.getState();
        const ids = isPicked(selection, point.id) ? pickedPoints(selection) : [point.id];
        const refused = shiftPoints(
          job.points.filter((p) => ids.includes(p.id)),
          by.u,
          by.v,
        );
        if (refused) toast.error(refused);
      }}
    >
      <rect
        x={r.u0}
        y={r.v0}
        width={width}
        height={height}
        fill="var(--plate)"
        stroke="var(--ink)"
        strokeWidth={px(1)}
      />
      {off[0] || off[1] ? (
        <line x1={x} y1={y} x2={tx} y2={ty} stroke="var(--ink)" strokeWidth={px(1)} pointerEvents="none" />
      ) : null}
      <rect
        className="ring"
        x={tx - w / 2}
        y={ty - h / 2}
        width={w}
        height={h}
        fill="var(--plate)"
        stroke={stop ? "var(--stop)" : "var(--ink)"}
        strokeWidth={px(selected || stop ? 2.5 : 1.5)}
        strokeDasharray={point.existing ? `${px(3)} ${px(2)}` : undefined}
      />
      {selected ? (
        <rect
          x={tx - w / 2 - px(4)}
          y={ty - h / 2 - px(4)}
          width={w + px(8)}
          height={h + px(8)}
          fill="none"
          stroke="var(--accent)"
          strokeWidth={px(2.5)}
        />
      ) : null}
      <text
        x={tx}
        y={ty + px(4.2)}
        fontSize={px(12)}
        textAnchor="middle"
        fontFamily="var(--font-mono)"
        fontWeight={500}
        fill={stop ? "var(--stop)" : "var(--ink)"}
      >
        {point.label}
      </text>
      {stop ? (
        <text
          x={tx + w / 2 + px(3)}
          y={ty - h / 2 + px(3)}
          fontSize={px(14)}
          fontWeight={700}
          fill="var(--stop)"
          fontFamily="var(--font-cond)"
        >
          ✕
        </text>
      ) : null}
    </g>
  );
}
