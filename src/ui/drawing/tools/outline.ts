import { type XY, selfCrossing, signedArea } from "../../../core/base/polygon";
import { words } from "../../kit/number-words";

/** A room's outline being drawn: its corners so far, in the order pressed, mm. */
export interface OutlineTool {
  kind: "outline";
  corners: XY[];
}

/** Corners come to the centimetre; with Alt to the millimetre. */
const GRID = 10;
/** A side this near to square, as a share of its length, is drawn square. */
const SQUARE = 0.12;
/** A press this near the first corner is meant for it, px. */
const HOME = 12;

/** Corner for a press while an outline is drawn: on the grid, and square to the last side where it is nearly so. */
export function nextCorner(corners: readonly XY[], p: XY, free: boolean): XY {
  const last = corners[corners.length - 1];
  if (free) return { x: Math.round(p.x), y: Math.round(p.y) };
  const r = (x: number): number => Math.round(x / GRID) * GRID;
  const [dx, dy] = last ? [Math.abs(p.x - last.x), Math.abs(p.y - last.y)] : [0, 0];
  if (last && dy < dx * SQUARE) return { x: r(p.x), y: last.y };
  if (last && dx < dy * SQUARE) return { x: last.x, y: r(p.y) };
  return { x: r(p.x), y: r(p.y) };
}

/** The outline after a press; one on the first corner leaves it as it is. `scale`: px to the mm. */
export function pressOutline(tool: OutlineTool, p: XY, scale: number, free: boolean): OutlineTool {
  const [first] = tool.corners;
  const home = first && tool.corners.length > 2 && Math.hypot(p.x - first.x, p.y - first.y) * scale < HOME;
  return home ? tool : { ...tool, corners: [...tool.corners, nextCorner(tool.corners, p, free)] };
}

/** The outline with its last side made as long as was typed, the way it runs; or words why not. */
export function lastSide(tool: OutlineTool, typed: string): OutlineTool | string {
  const [last, before] = [tool.corners[tool.corners.length - 1], tool.corners[tool.corners.length - 2]];
  const n = words.parse(typed, "mm");
  const bad = words.fault("The length of the last side", typed, 10, 50_000, "mm");
  if (bad || n === null || !last || !before) return bad ?? "Draw a side first, then type its length.";
  const long = Math.hypot(last.x - before.x, last.y - before.y) || 1;
  const along = (a: number, b: number): number => Math.round((a + ((b - a) * n) / long) * 10) / 10;
  return {
    ...tool,
    corners: [...tool.corners.slice(0, -1), { x: along(before.x, last.x), y: along(before.y, last.y) }],
  };
}

/** The closed outline, clockwise seen from above; or words why it is none. */
export function closeOutline(tool: OutlineTool): XY[] | string {
  const { corners } = tool;
  if (corners.length < 3) return `The outline has ${corners.length} corners; a room has at least 3.`;
  const x = selfCrossing(corners);
  if (x) return `Side ${x[0] + 1} crosses side ${x[1] + 1}.`;
  return signedArea(corners) > 0 ? [...corners].reverse() : [...corners];
}
