import type { Hatch } from "../../core/drawings/scene";

/** Reference to a hatch of a drawing whose hatches are named with a prefix. */
export const hatchUrl = (prefix: string, hatch: Hatch): string => `url(#${prefix}${hatch})`;

/** A hatch of lines one way. */
function Lines({
  id,
  unit,
  step,
  turn,
  ground,
  ink,
  width,
  dash,
}: {
  id: string;
  unit: number;
  step: number;
  turn: number;
  ground?: string;
  ink: string;
  width: number;
  dash?: number;
}) {
  const p = step * unit;
  return (
    <pattern id={id} patternUnits="userSpaceOnUse" width={p} height={p} patternTransform={`rotate(${turn})`}>
      {ground ? <rect width={p} height={p} fill={ground} /> : null}
      <line
        x1={0}
        y1={0}
        x2={0}
        y2={p}
        stroke={ink}
        strokeWidth={width * unit}
        strokeDasharray={dash ? `${dash * unit} ${dash * unit}` : undefined}
      />
    </pattern>
  );
}

/**
 * The hatches of a drawing. `unit` is one px of the screen in the drawing's own measure, so that they keep their size whatever the
 * zoom.
 */
export function Hatches({ prefix, unit }: { prefix: string; unit: number }) {
  const to = (hatch: Hatch): string => `${prefix}${hatch}`;
  const u = (n: number): number => n * unit;
  return (
    <defs>
      <Lines id={to("zone")} unit={unit} step={7} turn={45} ground="var(--zone)" ink="var(--zoneline)" width={1.6} />
      <Lines id={to("waste")} unit={unit} step={7} turn={-45} ground="var(--plate)" ink="var(--stop)" width={1.2} />
      <Lines id={to("band")} unit={unit} step={7} turn={45} ground="var(--zone)" ink="var(--zoneline)" width={1.4} />
      <Lines id={to("strip")} unit={unit} step={6} turn={-45} ground="var(--zone)" ink="var(--zoneline)" width={0.9} />
      <Lines id={to("reverse")} unit={unit} step={6} turn={-45} ink="var(--zoneline)" width={1.4} dash={2} />
      <Lines id={to("window")} unit={unit} step={6} turn={45} ink="var(--good)" width={1.6} />
      <pattern id={to("barred")} patternUnits="userSpaceOnUse" width={u(9)} height={u(9)} patternTransform="rotate(45)">
        <path d={`M0,0v${u(9)}M0,0h${u(9)}`} stroke="var(--stop)" strokeWidth={u(0.9)} opacity={0.55} />
      </pattern>
      <pattern id={to("foil")} patternUnits="userSpaceOnUse" width={u(22)} height={u(22)}>
        <path d={`M0,${u(11)}h${u(6)}M${u(11)},0v${u(6)}`} stroke="var(--soft)" strokeWidth={u(0.7)} opacity={0.6} />
      </pattern>
    </defs>
  );
}
