"use client";
import { useRef } from "react";
import { mm } from "../../core/base/figures";
import { useWidth } from "../kit/use-width";

/** Gap that a label needs beside its neighbour, px. */
const PAD = 10;
const CHAR = 6.6;

/** The yellow tape itself, drawn to the width there is: graduations over, marks with arrows under, labels in two rows where they would touch. */
export function Ribbon({
  length,
  marks,
  from = 0,
  to = length,
  tall = false,
  words,
}: {
  length: number;
  marks: readonly { at: number; text: string }[];
  from?: number;
  to?: number;
  tall?: boolean;
  words?: (m: { at: number; text: string }) => string;
}) {
  const ref = useRef<HTMLDivElement>(null);
  const width = useWidth(ref, 800);
  const span = Math.max(1, to - from);
  const x = (at: number): number => 8 + ((at - from) / span) * (width - 16);
  const per = (width - 16) / span;
  const steps = [10, 50, 100, 250, 500, 1000, 2500, 5000];
  const major = steps.find((s) => s * per >= 62) ?? 10000;
  const minor = steps.find((s) => s * per >= 9 && major % s === 0) ?? major;
  const ticks: number[] = [];
  for (let t = Math.ceil(from / minor) * minor; t <= to; t += minor) ticks.push(t);
  // Labels go to the first of two rows with room; a mark without room keeps its arrow and is read in the list.
  const rowEnd = [-Infinity, -Infinity];
  const placed = marks
    .filter((m) => m.at >= from && m.at <= to)
    .map((m) => {
      const label = words ? words(m) : `${m.text.split(" ")[0]} ${mm(m.at)}`;
      const w = label.length * CHAR;
      const left = Math.min(Math.max(x(m.at) + 6, 2), width - w - 4);
      const row = rowEnd.findIndex((end) => left >= end + PAD);
      if (row >= 0) rowEnd[row] = left + w;
      return { m, label, left, row };
    });
  const height = tall ? 88 : 76;
  return (
    <div ref={ref} className="w-full overflow-hidden">
      <svg width={width} height={height} role="img" aria-label={`Tape measure, ${mm(length)} long`} className="block">
        <rect
          x={0.5}
          y={0.5}
          width={Math.max(0, width - 1)}
          height={height - 1}
          fill="var(--tape)"
          stroke="var(--tapeink)"
        />
        {ticks.map((t) => {
          const big = Math.abs(t / major - Math.round(t / major)) < 1e-9;
          return (
            <g key={t}>
              <line
                x1={x(t)}
                x2={x(t)}
                y1={0}
                y2={big ? 16 : 8}
                stroke="var(--tapeink)"
                strokeWidth={big ? 1.4 : 0.8}
              />
              {big && x(t) > 18 && x(t) < width - 18 ? (
                <text
                  x={x(t)}
                  y={27}
                  fontSize={11.5}
                  textAnchor="middle"
                  fontFamily="var(--font-mono)"
                  fill="var(--tapeink)"
                >
                  {mm(t)}
                </text>
              ) : null}
            </g>
          );
        })}
        {placed.map(({ m }, i) => (
          <path
            key={i}
            d={`M${x(m.at)},${height}V${height - 38}M${x(m.at) - 4},${height - 34}L${x(m.at)},${height - 42}L${x(m.at) + 4},${height - 34}Z`}
            stroke="var(--tapeink)"
            fill="var(--tapeink)"
            strokeWidth={1.3}
          />
        ))}
        {/* Labels after all arrows, so that no shaft runs through a figure. */}
        {placed.map(({ label, left, row }, i) =>
          row < 0 ? null : (
            <g key={i}>
              <rect
                x={left - 2}
                y={height - 30 + row * 13 - 1}
                width={label.length * CHAR + 4}
                height={12}
                fill="var(--tape)"
              />
              <text
                x={left}
                y={height - 20 + row * 13}
                fontSize={11}
                fontFamily="var(--font-mono)"
                fill="var(--tapeink)"
              >
                {label}
              </text>
            </g>
          ),
        )}
      </svg>
    </div>
  );
}
