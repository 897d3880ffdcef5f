"use client";
import { useMemo } from "react";
import { bounds } from "../../core/base/polygon";
import { UNKNOWN_STYLE, runStyles } from "../../core/drawings/run-lines";
import { isPicked } from "../job/picking";
import { inkOf } from "./shape-view";
import { useDesk, usePlan, useStorey } from "../job/store";
import { pointsOfStorey } from "../../core/house/house";

/** The storey in small: which room is unrolled, where the picked thing is. */
export function MiniPlan() {
  const job = useDesk((s) => s.shown);
  const house = useDesk((s) => s.house);
  const plan = usePlan();
  const room = useDesk((s) => s.room);
  const selection = useDesk((s) => s.selection);
  const styles = useMemo(() => runStyles(job), [job]);
  const storey = useStorey();
  const rooms = job.rooms.filter((r) => r.storey === storey);
  if (!rooms.length) return null;
  const b = bounds(rooms.flatMap((r) => r.outline));
  const w = b.x1 - b.x0;
  const h = b.y1 - b.y0;
  const pad = Math.max(w, h) * 0.03;
  const unit = Math.max(w / 168, h / 190);
  return (
    <svg
      viewBox={`${b.x0 - pad} ${-b.y1 - pad} ${w + 2 * pad} ${h + 2 * pad}`}
      className="block max-h-52 w-full"
      role="group"
      aria-label="Small plan; pick a room"
    >
      {rooms.map((r) => (
        <g
          key={r.id}
          role="button"
          tabIndex={0}
          aria-label={`Show ${r.name}`}
          aria-pressed={r.id === room}
          className="focusable cursor-pointer"
          onClick={() => useDesk.setState({ room: r.id })}
          onKeyDown={(e) => e.key === "Enter" && useDesk.setState({ room: r.id })}
        >
          <polygon
            className="ring"
            points={r.outline.map((p) => `${p.x},${-p.y}`).join(" ")}
            fill={r.id === room ? "var(--plaster)" : "var(--panel)"}
            stroke="var(--ink)"
            strokeWidth={unit * (r.id === room ? 2 : 1)}
          />
          <text
            x={(bounds(r.outline).x0 + bounds(r.outline).x1) / 2}
            y={-(bounds(r.outline).y0 + bounds(r.outline).y1) / 2}
            fontSize={unit * 12}
            textAnchor="middle"
            fill="var(--soft)"
            fontFamily="var(--font-cond)"
          >
            {r.name}
          </text>
        </g>
      ))}
      {selection?.kind === "run"
        ? plan?.runs
            .filter((r) => r.id === selection.id)
            .map((r) => (
              <polyline
                key={r.id}
                points={r.legs.flatMap((l) => l.path.map((p) => `${p[0]},${-p[1]}`)).join(" ")}
                fill="none"
                stroke={inkOf((styles.get(r.circuit) ?? UNKNOWN_STYLE).ink)}
                strokeWidth={unit * 2.5}
              />
            ))
        : null}
      {pointsOfStorey(house, storey).map((p) => {
        const on = isPicked(selection, p.point.id);
        return (
          <circle
            key={p.point.id}
            cx={p.space[0]}
            cy={-p.space[1]}
            r={unit * (on ? 5 : 2.4)}
            fill={on ? "var(--accent)" : "var(--ink)"}
            pointerEvents="none"
          />
        );
      })}
      {selection?.kind === "wall"
        ? house.faces
            .filter((f) => f.wall.id === selection.id)
            .map((f) => (
              <line
                key={f.n}
                x1={f.frame.origin[0]}
                y1={-f.frame.origin[1]}
                x2={f.frame.origin[0] + f.frame.along.x * f.frame.length}
                y2={-(f.frame.origin[1] + f.frame.along.y * f.frame.length)}
                stroke="var(--accent)"
                strokeWidth={unit * 4}
              />
            ))
        : null}
    </svg>
  );
}
