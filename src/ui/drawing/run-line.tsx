"use client";
import type { PointerEvent as RPointer } from "react";
import { mm } from "../../core/base/figures";
import type { RunStyle } from "../../core/drawings/run-lines";
import { legWords } from "../../core/drawings/tape";
import type { DrawnLeg } from "../../core/drawings/unrolled-runs";
import { useDesk } from "../job/store";
import { pressed } from "./pressed";
import { dashOf, inkOf } from "./shape-view";

/** Gap between runs that lie on one line, px. */
const SIDE = 5;

/** A run on the walls of a room: its own colour, dash and label; legs are pressed and dragged. */
export function RunLine({
  legs,
  style,
  px,
  selected,
  leg,
  faded,
  onDown,
  name,
  labelAt,
}: {
  legs: DrawnLeg[];
  style: RunStyle;
  px: (n: number) => number;
  selected: boolean;
  leg: number | null;
  faded: boolean;
  onDown: (e: RPointer, d: DrawnLeg) => void;
  name: string;
  /** Where its label stands, mm of the drawing; null where there is no room for it. */
  labelAt: { x: number; y: number } | null;
}) {
  const shifted = legs.map((l) => {
    const plumb = Math.abs(l.a.x - l.b.x) < 1;
    const s = px(SIDE) * l.slot;
    return {
      l,
      x1: l.a.x + (plumb ? s : 0),
      y1: l.a.y + (plumb ? 0 : s),
      x2: l.b.x + (plumb ? s : 0),
      y2: l.b.y + (plumb ? 0 : s),
    };
  });
  const run = legs[0]!.run;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${name}, circuit ${style.label}, ${mm(run.pathLength)} long, ${legWords[run.method as keyof typeof legWords] ?? run.method}${run.pin !== null ? `, pinned, ${style.label}\u00b7pin` : ""}`}
      aria-pressed={selected}
      className="focusable cursor-pointer"
      opacity={faded ? 0.4 : 1}
      onFocus={() =>
        useDesk.getState().selection?.kind !== "run" && useDesk.setState({ selection: { kind: "run", id: run.id } })
      }
      onKeyDown={pressed(() => useDesk.setState({ selection: { kind: "run", id: run.id } }))}
    >
      {shifted.map(({ l, ...p }, i) => (
        <g key={i} onPointerDown={(e) => onDown(e, l)}>
          <line {...p} stroke="transparent" strokeWidth={px(13)} />
          <line {...p} stroke="var(--plate)" strokeWidth={px(selected ? 7 : 4.6)} strokeLinecap="square" />
          <line
            {...p}
            stroke={inkOf(style.ink)}
            strokeWidth={px(selected ? (leg === l.leg ? 5 : 3.6) : 2.4)}
            strokeDasharray={dashOf(style.dash, px(1))}
            strokeLinecap="butt"
          />
        </g>
      ))}
      {labelAt ? (
        <g transform={`translate(${labelAt.x} ${labelAt.y})`} pointerEvents="none">
          <rect
            x={-px(style.label.length * 4 + 4)}
            y={-px(8)}
            width={px(style.label.length * 8 + 8)}
            height={px(15)}
            fill="var(--plate)"
            stroke={inkOf(style.ink)}
            strokeWidth={px(1)}
          />
          <text
            y={px(3.8)}
            fontSize={px(11)}
            textAnchor="middle"
            fill={inkOf(style.ink)}
            fontWeight={600}
            fontFamily="var(--font-cond)"
          >
            {style.label}
            {run.pin !== null ? "\u00b7pin" : ""}
          </text>
        </g>
      ) : null}
    </g>
  );
}

const len = (l: DrawnLeg): number => Math.hypot(l.a.x - l.b.x, l.a.y - l.b.y);

/** Shortest leg that bears a label, px. */
const BEARS = 44;
/** Size of a run's label, px. */
export const labelSize = (label: string): { w: number; h: number } => ({ w: label.length * 8 + 8, h: 15 });

/** Places where the label of a run may stand, the longest leg first, each in its middle and then to either side. Drawing mm. */
export function labelPlaces(legs: readonly DrawnLeg[], px: (n: number) => number): { x: number; y: number }[] {
  return legs
    .filter((l) => !l.inDeck && len(l) > px(BEARS))
    .sort((a, b) => len(b) - len(a))
    .flatMap((l) => {
      const s = Math.abs(l.a.x - l.b.x) < 1 ? [px(SIDE) * l.slot, 0] : [0, px(SIDE) * l.slot];
      return [0.5, 0.3, 0.7, 0.15, 0.85].map((t) => ({
        x: l.a.x + (l.b.x - l.a.x) * t + s[0]!,
        y: l.a.y + (l.b.y - l.a.y) * t + s[1]!,
      }));
    });
}

/** Where a leg would lie if it were let go now. */
export function LegOutline({
  d,
  at,
  px,
  x,
  plumb,
}: {
  d: DrawnLeg;
  at: number;
  px: (n: number) => number;
  x: number;
  plumb: boolean;
}) {
  const p = plumb ? { x1: x + at, x2: x + at, y1: d.a.y, y2: d.b.y } : { x1: d.a.x, x2: d.b.x, y1: -at, y2: -at };
  return (
    <g pointerEvents="none">
      <line {...p} stroke="var(--accent)" strokeWidth={px(3)} strokeDasharray={`${px(5)} ${px(4)}`} />
      <text
        x={(p.x1 + p.x2) / 2 + px(8)}
        y={(p.y1 + p.y2) / 2 - px(8)}
        fontSize={px(14)}
        fontFamily="var(--font-mono)"
        fill="var(--ink)"
      >
        {mm(at)}
      </text>
    </g>
  );
}
