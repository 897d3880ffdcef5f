"use client";
import type { PointerEvent as RPointer } from "react";
import { toast } from "sonner";
import type { XY } from "../../core/base/polygon";
import { toSpace, wallFrame } from "../../core/base/wall-frame";
import type { Room } from "../../core/job/model";
import type { Change } from "../../core/job/patch";
import { mm } from "../../core/base/figures";
import { moveCorner, moveRoom, moveWall } from "../../core/house/reshape";
import { editWith, say } from "../job/edits";
import { endPreview, preview, useDesk } from "../job/store";
import { drag as takeHold } from "./tools/drag";
import { nudge } from "./tools/move-point";

const GRID = 10;
/** Nearness at which a corner snaps to the line of another corner, px. */
const SNAP = 8;

/** Handles of the room in hand: its corners, the middles of its walls, and the room itself. Alt: to the millimetre, without snapping. */
export function PlanHandles({
  room,
  px,
  toPlan,
  scale,
}: {
  room: Room;
  px: (n: number) => number;
  toPlan: (e: { clientX: number; clientY: number }) => XY;
  scale: number;
}) {
  const job = useDesk((s) => s.job);
  const own = job.rooms.find((r) => r.id === room.id);
  if (!own) return null;
  const others = job.rooms
    .filter((r) => r.storey === room.storey)
    .flatMap((r) => r.outline.map((p, i) => ({ p, mine: r.id === room.id ? i : -1 })));
  const snapped = (p: XY, skip: number, free: boolean): XY => {
    if (free) return { x: Math.round(p.x), y: Math.round(p.y) };
    const near = (k: "x" | "y"): number => {
      let best = Math.round(p[k] / GRID) * GRID;
      let gap = SNAP / scale;
      for (const o of others)
        if (o.mine !== skip && Math.abs(o.p[k] - p[k]) < gap) {
          gap = Math.abs(o.p[k] - p[k]);
          best = o.p[k];
        }
      return best;
    };
    return { x: near("x"), y: near("y") };
  };
  const drag = (e: RPointer, work: (at: XY, from: XY, free: boolean) => Change[]): void => {
    if (e.button !== 0) return;
    e.stopPropagation();
    (e.currentTarget as SVGElement).focus();
    const from = toPlan(e);
    takeHold<Change[]>(e, {
      threshold: 4,
      changeAt: (m) => work(toPlan(m), from, m.altKey),
      show: preview,
      drop: endPreview,
      make: (made) => {
        const refused = editWith(made);
        if (!refused) return;
        endPreview();
        toast.error(refused);
      },
    });
  };
  const handle = "focusable cursor-move touch-none";
  return (
    <g>
      <g
        role="button"
        tabIndex={0}
        aria-label={`Move ${room.name}; arrow keys move it`}
        className={handle}
        onPointerDown={(e) =>
          drag(e, (at, from, free) => {
            const g = free ? 1 : GRID;
            return moveRoom(job, own, Math.round((at.x - from.x) / g) * g, Math.round((at.y - from.y) / g) * g);
          })
        }
        onKeyDown={(e) => {
          const by = nudge(e);
          if (!by) return;
          e.preventDefault();
          e.stopPropagation();
          say(editWith(moveRoom(job, own, by.u, by.v)));
        }}
      >
        {(() => {
          const n = room.outline.length;
          const c = {
            x: room.outline.reduce((s, p) => s + p.x, 0) / n,
            y: room.outline.reduce((s, p) => s + p.y, 0) / n,
          };
          return (
            <path
              className="ring"
              d={`M${c.x - px(9)},${-c.y + px(14)}h${px(18)}M${c.x},${-c.y + px(5)}v${px(18)}`}
              stroke="var(--accent)"
              strokeWidth={px(2.5)}
              fill="none"
              pointerEvents="bounding-box"
            />
          );
        })()}
      </g>
      {room.outline.map((_, i) => {
        const f = wallFrame(room.outline, i, 0);
        const m = toSpace(f, { u: f.length / 2, v: 0 });
        const inward = (p: XY): number => p.x * f.inward.x + p.y * f.inward.y;
        return (
          <g
            key={`w${i}`}
            role="button"
            tabIndex={0}
            data-wall-handle={i + 1}
            aria-label={`Move wall ${i + 1}, ${mm(f.length)} long; up moves it into the room, down out of it`}
            className={handle}
            onPointerDown={(e) =>
              drag(e, (at, from, free) => {
                const g = free ? 1 : GRID;
                return moveWall(job, own, i, Math.round((inward(at) - inward(from)) / g) * g);
              })
            }
            onKeyDown={(e) => {
              const by = nudge(e);
              if (!by?.v) return;
              e.preventDefault();
              e.stopPropagation();
              say(editWith(moveWall(job, own, i, by.v)));
            }}
          >
            <rect
              className="ring"
              x={m[0] - px(6)}
              y={-m[1] - px(6)}
              width={px(12)}
              height={px(12)}
              transform={`rotate(${(-Math.atan2(f.along.y, f.along.x) * 180) / Math.PI} ${m[0]} ${-m[1]})`}
              fill="var(--plate)"
              stroke="var(--accent)"
              strokeWidth={px(2)}
            />
            <text
              x={m[0] + f.inward.x * px(28)}
              y={-(m[1] + f.inward.y * px(18)) + px(4)}
              fontSize={px(11)}
              textAnchor="middle"
              fontFamily="var(--font-mono)"
              fill="var(--ink)"
              pointerEvents="none"
            >
              {mm(f.length)}
            </text>
          </g>
        );
      })}
      {room.outline.map((p, i) => (
        <g
          key={`c${i}`}
          role="button"
          tabIndex={0}
          data-corner-handle={i + 1}
          aria-label={`Corner ${i + 1} at ${mm(p.x)} east, ${mm(p.y)} north; arrow keys move it`}
          className={handle}
          onPointerDown={(e) => drag(e, (at, _, free) => moveCorner(job, own, i, snapped(at, i, free)))}
          onKeyDown={(e) => {
            const by = nudge(e);
            if (!by) return;
            e.preventDefault();
            e.stopPropagation();
            say(editWith(moveCorner(job, own, i, { x: p.x + by.u, y: p.y + by.v })));
          }}
        >
          <circle
            className="ring"
            cx={p.x}
            cy={-p.y}
            r={px(7)}
            fill="var(--plate)"
            stroke="var(--accent)"
            strokeWidth={px(2.5)}
          />
        </g>
      ))}
    </g>
  );
}
