"use client";
import { type ReactNode, useEffect, useMemo, useRef, useState } from "react";
import { type XY, bounds, insidePolygon, signedArea } from "../../../core/base/polygon";
import { drawOutside } from "../../../core/drawings/outside-plan-scene";
import { boundsOf } from "../../../core/drawings/scene";
import type { House } from "../../../core/house/house";
import { outsideOf } from "../../../core/house/outside";
import type { LightRowFigures } from "../../../core/plan/light-row";
import { useDesk, useSnapshot } from "../../job/store";
import { DrawingFrame } from "../../drawing/frame";
import { Hatches } from "../../drawing/hatches";
import { Shapes } from "../../drawing/shape-view";
import { useViewport } from "../../drawing/viewport";

const HATCHES = "outside";
/** What a press near a thing still picks, px. */
const NEAR = 12;

const toSegment = (p: XY, a: XY, b: XY): number => {
  const far = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
  const t = far > 0 ? Math.min(1, Math.max(0, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / far)) : 0;
  return Math.hypot(p.x - a.x - t * (b.x - a.x), p.y - a.y - t * (b.y - a.y));
};
const toLine = (p: XY, line: readonly XY[]): number =>
  Math.min(...line.slice(1).map((q, i) => toSegment(p, line[i]!, q)));

/** What lies at a place: lights and lines first, then posts, then the smallest part of the ground. */
function picked(h: House, rows: readonly LightRowFigures[], p: XY, near: number): string | null {
  const row = rows.find(
    (f) => f.lights.some((l) => Math.hypot(l.place.x - p.x, l.place.y - p.y) <= near) || toLine(p, f.row.path) <= near,
  );
  const post = h.job.posts.find((q) => Math.hypot(q.x - p.x, q.y - p.y) <= near + q.breadth / 2);
  const way = outsideOf(h).find((w) => toLine(p, w.line) <= near);
  const ground = h.job.grounds
    .filter((g) => insidePolygon(g.outline, p))
    .sort((a, b) => Math.abs(signedArea(a.outline)) - Math.abs(signedArea(b.outline)))[0];
  return post?.id ?? way?.way.id ?? row?.row.id ?? ground?.id ?? null;
}

/** Yards and gardens from above; presses pick what lies there, or draw while something is being drawn. */
export function OutsidePlan({
  rows,
  places,
  onPress,
  bar,
}: {
  rows: LightRowFigures[];
  /** Places pressed so far; null while nothing is drawn. */
  places: readonly XY[] | null;
  onPress: (p: XY) => void;
  bar: ReactNode;
}) {
  const { house } = useSnapshot();
  const selection = useDesk((s) => s.selection);
  const on = selection?.kind === "outside" ? selection.id : null;
  const frame = useRef<HTMLDivElement>(null);
  const scene = useMemo(() => drawOutside(house, rows, on), [house, rows, on]);
  const yards = house.job.rooms.filter((r) => r.kind === "yard");
  const corners = [...yards.flatMap((r) => r.outline), ...house.job.grounds.flatMap((g) => g.outline)];
  const b = corners.length ? bounds(corners) : null;
  const whole = boundsOf(scene.shapes);
  const extent = b ? { x0: b.x0 - 900, x1: b.x1 + 900, y0: -b.y1 - 1200, y1: -b.y0 + 1200 } : whole;
  const { view, fit, zoom, startPan } = useViewport(frame, extent, `outside ${yards.length}`);
  const [hover, setHover] = useState<XY | null>(null);
  const drawing = places !== null;
  useEffect(() => setHover(null), [drawing]);
  const px = (n: number): number => n / view.scale;
  const at = (e: { clientX: number; clientY: number }): XY => {
    const r = frame.current!.getBoundingClientRect();
    return { x: (e.clientX - r.left - view.x) / view.scale, y: -(e.clientY - r.top - view.y) / view.scale };
  };
  const line = places ? [...places, ...(hover && places.length ? [hover] : [])] : [];
  return (
    <div
      className="relative flex min-h-[280px] flex-[3] flex-col"
      data-outside-plan
      onPointerMove={places ? (e) => setHover(at(e)) : undefined}
    >
      <DrawingFrame frame={frame} onGround={startPan} fit={fit} zoom={zoom} label={scene.label} over={bar}>
        <Hatches prefix={HATCHES} unit={px(1)} />
        <g transform={`translate(${view.x} ${view.y}) scale(${view.scale})`}>
          <g pointerEvents="none">
            <Shapes shapes={scene.shapes} unit={px(1)} hatches={HATCHES} />
          </g>
          {line.length ? (
            <g pointerEvents="none">
              <polyline
                points={line.map((p) => `${p.x},${-p.y}`).join(" ")}
                fill="none"
                stroke="var(--accent)"
                strokeWidth={px(3)}
                strokeDasharray={`${px(6)} ${px(4)}`}
              />
              {line.map((p, i) => (
                <circle key={i} cx={p.x} cy={-p.y} r={px(5)} fill="var(--accent)" />
              ))}
            </g>
          ) : null}
          <rect
            x={-1e6}
            y={-1e6}
            width={2e6}
            height={2e6}
            fill="transparent"
            className={places ? "cursor-crosshair" : "cursor-pointer"}
            data-outside-ground
            onPointerDown={(e) => {
              if (e.button !== 0) return;
              if (places) {
                e.stopPropagation();
                onPress(at(e));
                return;
              }
              const id = picked(house, rows, at(e), px(NEAR));
              if (id) {
                e.stopPropagation();
                useDesk.setState({ selection: { kind: "outside", id } });
              }
            }}
          />
        </g>
      </DrawingFrame>
    </div>
  );
}
