"use client";
import { toast } from "sonner";
import { mm } from "../../core/base/figures";
import type { XY } from "../../core/base/polygon";
import type { PlacedPoint } from "../../core/house/house";
import { plateOf } from "../../core/rules/accessories";
import { isPicked, pickedPoints, shiftPoints } from "../job/picking";
import { useDesk } from "../job/store";
import { dragDeckPoint, nudge } from "./tools/move-point";

/** Size of a tag from above at so many px a mm, px. */
export const planTag = (p: PlacedPoint, scale: number): { w: number; h: number } => ({
  w: Math.max(p.point.label.length * 7 + 7, p.deck >= 0 ? plateOf(p.point).width * scale : 0),
  h: 16,
});

/** The tag of a point from above; one on a deck is dragged, several are nudged together. */
export function PlanPoint({
  p,
  px,
  off,
  toPlan,
}: {
  p: PlacedPoint;
  px: (n: number) => number;
  /** How far its tag stands off its place because another lies there, px. */
  off: readonly [dx: number, dy: number];
  toPlan: (e: { clientX: number; clientY: number }) => XY;
}) {
  const selection = useDesk((s) => s.selection);
  const job = useDesk((s) => s.shown);

  const picked = isPicked(selection, p.point.id);
  const w = px(planTag(p, 1 / px(1)).w);
  const [x, y] = [p.space[0] + px(off[0]), -p.space[1] + px(off[1])];
  return (
    <g
      role="button"
      tabIndex={0}
      data-point-tag={p.point.label}
      aria-label={`${p.point.label}, ${p.deck >= 0 ? `on the deck at ${mm(p.space[0])} east, ${mm(p.space[1])} north` : `${mm(p.space[2])} up`}`}
      aria-pressed={picked}
      className="focusable cursor-grab touch-none"
      onPointerDown={(e) => dragDeckPoint(e, p.point, toPlan)}
      onFocus={(e) =>
        e.currentTarget.matches(":focus-visible") &&
        !isPicked(selection, p.point.id) &&
        useDesk.setState({ selection: { kind: "point", id: p.point.id } })
      }
      onKeyDown={(e) => {
        const by = nudge(e);
        if (!by || (p.point.place.on !== "deck" && pickedPoints(selection).length < 2)) return;
        e.preventDefault();
        e.stopPropagation();
        const ids = picked ? pickedPoints(selection) : [p.point.id];
        const refused = shiftPoints(
          job.points.filter((q) => ids.includes(q.id)),
          by.u,
          by.v,
        );
        if (refused) toast.error(refused);
      }}
    >
      {off[0] || off[1] ? (
        <line
          x1={p.space[0]}
          y1={-p.space[1]}
          x2={x}
          y2={y}
          stroke="var(--ink)"
          strokeWidth={px(1)}
          pointerEvents="none"
        />
      ) : null}
      <rect
        className="ring"
        x={x - w / 2}
        y={y - px(8)}
        width={w}
        height={px(16)}
        rx={p.deck >= 0 ? px(8) : 0}
        fill="var(--plate)"
        stroke={picked ? "var(--accent)" : "var(--ink)"}
        strokeWidth={px(picked ? 3 : 1.2)}
      />
      <text
        x={x}
        y={y + px(3.8)}
        fontSize={px(10.5)}
        textAnchor="middle"
        fontFamily="var(--font-mono)"
        fill="var(--ink)"
      >
        {p.point.label}
      </text>
    </g>
  );
}
