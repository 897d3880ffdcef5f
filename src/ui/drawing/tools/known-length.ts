import type { XY } from "../../../core/base/polygon";
import type { Job } from "../../../core/job/model";
import { words } from "../../kit/number-words";

/** Two places of a drawing laid under the plan, whose distance is known: pressed one after the other. */
export interface ScaleTool {
  kind: "scale";
  trace: string;
  a: XY | null;
  b: XY | null;
}

/** The tool after a press: the first place, then the second, which another press moves. */
export const pressScale = (tool: ScaleTool, p: XY): ScaleTool =>
  tool.a === null ? { ...tool, a: p } : { ...tool, b: p };

/** Distance of the two places as the drawing lies now, mm; null until both are pressed. */
export const measuredBy = (tool: ScaleTool): number | null =>
  tool.a && tool.b ? Math.hypot(tool.a.x - tool.b.x, tool.a.y - tool.b.y) : null;

/** The drawing scaled so that the two places lie as far apart as was typed; the first stays where it is. Words why not. */
export function scaleTrace(
  tool: ScaleTool,
  trace: Job["traces"][number],
  typed: string,
): Job["traces"][number] | string {
  const n = words.parse(typed, "mm");
  const bad = words.fault("The known length", typed, 50, 100_000, "mm");
  const measured = measuredBy(tool);
  if (bad || n === null || !tool.a || !measured) return bad ?? "Press two different places first.";
  const k = n / measured;
  const { a } = tool;
  return { ...trace, scale: trace.scale * k, x: a.x - (a.x - trace.x) * k, y: a.y + (trace.y - a.y) * k };
}
