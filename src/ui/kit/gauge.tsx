"use client";
import { useId } from "react";
import { type Severity } from "../../core/rules/fact";
import { quantity } from "../../core/base/figures";

const paint = { stop: "var(--stop)", warn: "var(--warn)", note: "var(--good)" } as const;

/** Measured against limit on a small scale: the allowed side is hatched, the limit a stroke, the measure a dot. */
export function Gauge({
  measured: m,
  limit: l,
  sense,
  unit: in_,
  severity,
}: {
  measured: number;
  limit: number;
  sense: "least" | "most";
  unit?: string | undefined;
  severity: Severity;
}) {
  const hatch = useId();
  const lo = Math.min(m, l, 0);
  const hi = Math.max(m, l) + Math.max(Math.abs(m - l), Math.abs(l) * 0.5, 1) * 0.6;
  const x = (v: number): number => 6 + ((v - lo) / (hi - lo || 1)) * 226;
  const ok = sense === "least" ? m >= l - 1e-6 : m <= l + 1e-6;
  const [g0, g1] = sense === "least" ? [x(l), 232] : [6, x(l)];
  const unit = in_ && in_ !== "mm" ? ` ${in_}` : "";
  // The two figures stand under their marks, pushed apart and kept inside the frame.
  const limitText = `${sense} ${quantity(l, in_)}${unit}`;
  const lw = limitText.length * 7.3;
  const mw = quantity(m, in_).length * 7.3;
  let lx = Math.min(Math.max(x(l) - lw / 2, 2), 236 - lw);
  let mx = Math.min(Math.max(x(m) - mw / 2, 2), 236 - mw);
  if (x(m) <= x(l) && mx + mw + 8 > lx) {
    lx = Math.min(Math.max(lx, mx + mw + 8), 236 - lw);
    mx = Math.min(mx, lx - 8 - mw);
  } else if (x(m) > x(l) && lx + lw + 8 > mx) {
    mx = Math.min(Math.max(mx, lx + lw + 8), 236 - mw);
    lx = Math.min(lx, mx - 8 - lw);
  }
  return (
    <svg
      viewBox="0 0 238 34"
      className="mt-1 w-full max-w-72"
      role="img"
      aria-label={`Measured ${quantity(m, in_)}${unit}, ${sense} ${quantity(l, in_)}${unit}`}
    >
      <defs>
        <pattern id={hatch} patternUnits="userSpaceOnUse" width="6" height="6" patternTransform="rotate(45)">
          <rect width="6" height="6" fill="var(--zone)" />
          <line x1="0" y1="0" x2="0" y2="6" stroke="var(--zoneline)" strokeWidth="1.6" />
        </pattern>
      </defs>
      <rect x={Math.min(g0, g1)} y={5} width={Math.abs(g1 - g0)} height={9} fill={`url(#${hatch})`} />
      <line x1={6} x2={232} y1={9.5} y2={9.5} stroke="var(--ink)" strokeWidth={1} />
      <line x1={x(l)} x2={x(l)} y1={1} y2={18} stroke="var(--ink)" strokeWidth={2.2} />
      <circle cx={x(m)} cy={9.5} r={5.2} fill={ok ? "var(--good)" : paint[severity]} stroke="var(--panel)" />
      <text
        x={mx}
        y={29}
        fontSize={12}
        fontFamily="var(--font-mono)"
        fontWeight={500}
        fill={ok ? "var(--good)" : paint[severity]}
      >
        {quantity(m, in_)}
      </text>
      <text x={lx} y={29} fontSize={12} fontFamily="var(--font-mono)" fill="var(--ink)">
        {limitText}
      </text>
    </svg>
  );
}
