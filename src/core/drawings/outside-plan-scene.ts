import { mm } from "../base/figures";
import { bounds, insidePolygon } from "../base/polygon";
import type { House } from "../house/house";
import { outsideOf, placeAlong } from "../house/outside";
import type { Ground } from "../job/model";
import type { LightRowFigures } from "../plan/light-row";
import { groundNames } from "./outside-scenes";
import { type Fill, type Ink, type Scene, type XY, pen } from "./scene";

/** How much of it is seen through what lies on it. */
const groundCover: Partial<Record<Ground["kind"], number>> = { lawn: 0.16, bed: 0.6, tree: 0.3 };
const groundFill: Record<Exclude<Ground["kind"], "tree">, Fill> = {
  lawn: "soft",
  bed: "earth",
  paving: "plaster",
  path: "sand",
  drive: "metal",
  road: "metal",
  caravans: "metal",
};

/** A room no farther from a yard than a thick wall stands beside it, mm. */
const BEHIND = 700;
/** How far apart two outlines stand along x or y, by the boxes round them, mm. */
function apart(p: Ground["outline"], q: Ground["outline"]): number {
  const [a, b] = [bounds(p), bounds(q)];
  return Math.max(b.x0 - a.x1, a.x0 - b.x1, b.y0 - a.y1, a.y0 - b.y1, 0);
}

/** Where words beside a place stand so that they are on the far side of it, seen from another. */
function beyond([x, y]: XY, [fromX, fromY]: XY): { drop: number; shift?: number; anchor?: "start" | "end" } {
  const [dx, dy] = [x - fromX, y - fromY];
  if (Math.abs(dy) >= Math.abs(dx)) return { drop: dy < 0 ? -0.9 : 1.4 };
  return dx > 0 ? { drop: 0.35, shift: 9, anchor: "start" } : { drop: 0.35, shift: -9, anchor: "end" };
}

/**
 * Yards of a job from above with their ground, trees, posts, ways and rows of lights; `picked` is drawn strong. x
 * east, y down (south).
 */
export function drawOutside(h: House, rows: readonly LightRowFigures[], picked: string | null = null): Scene {
  const p = pen();
  const flat = (q: { x: number; y: number }): XY => [q.x, -q.y];
  const yards = h.job.rooms.filter((r) => r.kind === "yard");
  const storeys = new Set(yards.map((r) => r.storey));
  for (const r of h.job.rooms)
    if (storeys.has(r.storey) && (r.kind === "yard" || yards.some((y) => apart(r.outline, y.outline) <= BEHIND))) {
      const yard = r.kind === "yard";
      p.area(
        r.outline.map(flat),
        yard ? "panel" : "metal",
        yard ? "soft" : "ink",
        yard ? { dash: [8, 5] } : { cover: 0.5 },
      );
      const b = bounds(r.outline);
      const room = { width: b.x1 - b.x0 };
      if (yard) p.text(b.x0, -b.y1, r.name, { anchor: "start", drop: -0.5, ink: "soft", type: "bold", room });
      else p.text((b.x0 + b.x1) / 2, -(b.y0 + b.y1) / 2, r.name, { ink: "soft", type: "bold", room });
    }
  const standing = [...h.job.posts, ...rows.flatMap((f) => [...f.row.path, ...f.lights.map((l) => l.place)])];
  const size = (g: Ground): number => {
    const b = bounds(g.outline);
    return (b.x1 - b.x0) * (b.y1 - b.y0);
  };
  for (const g of [...h.job.grounds].sort((a, b) => size(b) - size(a))) {
    const on = g.id === picked;
    const fill = g.kind === "tree" ? "soft" : groundFill[g.kind];
    p.area(g.outline.map(flat), fill, on ? "accent" : g.kind === "tree" ? "good" : "soft", {
      cover: groundCover[g.kind] ?? 0.7,
      heavy: on,
      ...(g.kind === "tree" ? { dash: [4, 4] } : {}),
    });
    const b = bounds(g.outline);
    // Where lights or posts stand it has to leave room for their numbers.
    const busy = standing.some((q) => insidePolygon(g.outline, q));
    const level = g.kind !== "tree" && g.level ? `, ${g.level > 0 ? "+" : "−"}${mm(Math.abs(g.level))}` : "";
    // In its corner, so that what lies in its middle is not written over.
    p.text(b.x0, -b.y0, `${g.name || groundNames[g.kind]}${level}`, {
      anchor: "start",
      shift: 5,
      drop: -0.45,
      ink: "soft",
      size: 11.5,
      room: { width: b.x1 - b.x0, height: (b.y1 - b.y0) / (busy ? 2 : 1) },
    });
  }
  for (const w of outsideOf(h)) {
    const on = w.way.id === picked;
    p.line(w.line.map(flat), "run1", { width: on ? 6 : 3.5, ...(w.way.kind === "catenary" ? { dash: [10, 5] } : {}) });
    for (const d of w.way.kind === "trench" ? w.way.ducts : [])
      p.line(
        [d.from, d.to].map((x) => flat(placeAlong(w.line, x))),
        "ink",
        { width: on ? 9 : 7, dash: [2, 3] },
      );
    const mid = flat(placeAlong(w.line, w.length / 2));
    p.text(mid[0], mid[1], w.way.label, { shift: 10, anchor: "start", ink: "run1", type: "bold" });
  }
  for (const q of h.job.posts) {
    const half = q.breadth / 2;
    p.rect(q.x - half, -q.y - half, q.breadth, q.breadth, "timber", q.id === picked ? "accent" : "ink");
    // On the side on which the yard goes on.
    const yard = yards.find((r) => r.id === q.room);
    const left = yard !== undefined && q.x > (bounds(yard.outline).x0 + bounds(yard.outline).x1) / 2;
    p.text(q.x, -q.y, q.label, { drop: 0.35, shift: left ? -6 : 6, anchor: left ? "end" : "start", size: 11 });
  }
  for (const f of rows) {
    const on = f.row.id === picked;
    const ink: Ink = on ? "accent" : "run2";
    p.line(f.row.path.map(flat), "soft", { dash: [6, 4] });
    p.line(
      f.lights.map((l) => flat(l.place)),
      ink,
      { width: on ? 3 : 2 },
    );
    for (const l of f.lights) {
      const [x, y] = flat(l.place);
      p.circle(x, y, 70, "paper", ink, { heavy: true, least: 5 });
      p.text(x, y, String(l.n), {
        ...beyond([x, y], flat(placeAlong(f.row.path, l.at))),
        size: 11.5,
        room: { width: f.gap },
      });
    }
    const first = flat(f.row.path[0]!);
    p.text(first[0], first[1], f.row.label, { anchor: "end", shift: -6, drop: 0.3, ink, type: "bold" });
  }
  return {
    label: `Outside from above: ${h.job.grounds.length} parts of the ground, ${h.job.outsideWays.length} ways, ${rows.length} rows of lights`,
    shapes: p.shapes,
    template: false,
  };
}
