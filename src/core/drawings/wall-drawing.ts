import type { Zone } from "../house/wall-zones";
import { mm } from "../base/figures";
import { type Scene, type XY, pen } from "./scene";
import { zoneShapes } from "./wall-scene";

interface WallPart {
  u: number;
  v: number;
  width: number;
  height: number;
}

/** A wall face with its zones, openings, points (by their middle) and a path. */
export function drawWall(
  wall: { length: number; height: number; openings: readonly WallPart[] },
  zones: readonly Zone[],
  points: readonly (WallPart & { id: string })[],
  path: readonly { u: number; v: number }[] = [],
  outside: ReadonlySet<number> = new Set(),
): Scene {
  const p = pen();
  const y = (v: number): number => -v;
  p.rect(0, y(wall.height), wall.length, wall.height, "plaster");
  p.shapes.push(...zoneShapes(zones));
  for (const o of wall.openings) p.rect(o.u, y(o.v + o.height), o.width, o.height, "opening");
  for (const a of points) {
    p.rect(a.u - a.width / 2, y(a.v + a.height / 2), a.width, a.height, "paper", "ink", { heavy: true });
    p.text(a.u, y(a.v - a.height / 2), `${a.id} ${mm(a.u)}, ${mm(a.v)}`, { drop: 1 });
  }
  for (let i = 1; i < path.length; i++) {
    const ends: XY[] = [path[i - 1]!, path[i]!].map((q) => [q.u, y(q.v)] as const);
    p.line(ends, outside.has(i - 1) ? "stop" : "run1", { heavy: true, dash: outside.has(i - 1) });
  }
  p.dim([0, 0], [wall.length, 0], mm(wall.length), 2);
  p.dim([0, y(wall.height)], [0, 0], mm(wall.height), -2);
  return {
    label: `Wall ${mm(wall.length)} by ${mm(wall.height)} with ${zones.length} zones`,
    shapes: p.shapes,
    template: false,
  };
}

/** One kitchen wall: worktop, bowls, hobs, points and what they serve. */
export function drawKitchen(
  i: {
    worktopHeight: number;
    sinks: readonly { u0: number; u1: number }[];
    hobs: readonly { u0: number; u1: number }[];
    points: readonly (WallPart & { id: string })[];
    appliances: readonly { id: string; u: number; v: number }[];
  },
  bad: ReadonlySet<string>,
): Scene {
  const p = pen();
  const all = [
    ...i.sinks.flatMap((s) => [s.u0, s.u1]),
    ...i.hobs.flatMap((s) => [s.u0, s.u1]),
    ...i.points.flatMap((q) => [q.u - q.width, q.u + q.width]),
    ...i.appliances.map((a) => a.u),
    0,
    2400,
  ];
  const [x0, x1] = [Math.min(...all) - 100, Math.max(...all) + 100];
  const top = 2000;
  const y = (v: number): number => top - v;
  p.rect(x0, 0, x1 - x0, top, "plaster");
  p.rect(x0, y(i.worktopHeight), x1 - x0, 40, "timber");
  for (const s of i.sinks) {
    p.rect(s.u0, y(i.worktopHeight), s.u1 - s.u0, 180, "metal");
    p.text((s.u0 + s.u1) / 2, y(i.worktopHeight) + 180, "bowl", { drop: 1, ink: "soft" });
  }
  for (const h of i.hobs) {
    p.rect(h.u0, y(i.worktopHeight) - 30, h.u1 - h.u0, 30, "metal");
    p.text((h.u0 + h.u1) / 2, y(i.worktopHeight) + 40, "hob", { drop: 1, ink: "soft" });
  }
  for (const a of i.appliances) {
    p.circle(a.u, y(a.v), 40, "opening", "soft");
    p.text(a.u, y(a.v) + 40, a.id, { drop: 1, ink: "soft" });
  }
  for (const q of i.points) {
    const ink = bad.has(q.id) ? "stop" : "ink";
    p.rect(q.u - q.width / 2, y(q.v + q.height / 2), q.width, q.height, "paper", ink, { heavy: true });
    p.text(q.u, y(q.v + q.height / 2), `${q.id} ${mm(q.u)}`, { drop: -0.4, ink });
  }
  p.dim([x0, y(0)], [x0, y(i.worktopHeight)], mm(i.worktopHeight), -2);
  return { label: `Kitchen wall with ${i.points.length} points`, shapes: p.shapes, template: false };
}
