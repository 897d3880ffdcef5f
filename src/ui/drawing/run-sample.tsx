import type { RunStyle } from "../../core/drawings/run-lines";
import { dashOf, inkOf } from "./shape-view";

/** A short piece of a circuit's line, beside its name. */
export function RunSample({ style, width = 3 }: { style: RunStyle | undefined; width?: number }) {
  return style ? (
    <svg width={26} height={10} aria-hidden className="inline-block shrink-0">
      <line
        x1={0}
        x2={26}
        y1={5}
        y2={5}
        stroke={inkOf(style.ink)}
        strokeWidth={width}
        strokeDasharray={dashOf(style.dash, 1)}
      />
    </svg>
  ) : null;
}
