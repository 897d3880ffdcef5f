import { BATH } from "../rules/bath";
import { type Scene, type XY, arc, pen } from "./scene";

interface Box {
  x: number;
  y: number;
  width: number;
  depth: number;
}

/** A room with its bath from above: zones 1 and 2, and its points with the zone each stands in. x east, y north of the question. */
export function drawBathRoom(
  bath: Box,
  room: { width: number; depth: number },
  points: readonly { id: string; x: number; y: number; zone: 0 | 1 | 2 | null }[],
): Scene {
  const p = pen();
  const up = (y: number): number => room.depth - y;
  const inRoom = ([x, y]: XY): XY => [Math.min(Math.max(x, 0), room.width), Math.min(Math.max(y, 0), room.depth)];
  p.rect(0, 0, room.width, room.depth, "plaster", "ink", { width: 1.5 });
  const corner = (x: number, y: number, from: number): XY[] => arc(x, up(y), BATH.beyond, from, from + 90, 8);
  const { x, y, width, depth } = bath;
  p.area(
    [
      ...corner(x, y + depth, 180),
      ...corner(x + width, y + depth, 270),
      ...corner(x + width, y, 0),
      ...corner(x, y, 90),
    ].map(inRoom),
    undefined,
    "accent",
    { width: 1, dash: [2, 4] },
  );
  p.rect(x, up(y + depth), width, depth, "metal", "accent", { width: 1.2, dash: [7, 3] });
  p.text(x + width / 2, up(y + depth / 2), "zone 1", { ink: "accent", size: 11, drop: 0.3 });
  for (const q of points) {
    p.circle(q.x, up(q.y), Math.max(room.width, room.depth) * 0.01, "paper", "ink", { heavy: true });
    p.text(q.x, up(q.y), q.zone === null ? q.id : `${q.id}, zone ${q.zone}`, { drop: 1.3, size: 11 });
  }
  p.dim([0, room.depth], [room.width, room.depth], String(room.width), 1.6);
  return { label: "The room with its bath from above, zones and points", shapes: p.shapes, template: false };
}

/** Lights over switches, with the cables between them: three cores heavy, the loops of the feed ringed. */
export function drawLightingWires(
  lights: readonly string[],
  switches: readonly string[],
  loops: readonly string[],
  cables: readonly { from: string; to: string; cores: 2 | 3 }[],
): Scene {
  const p = pen();
  const step = 1000;
  const wide = Math.max(lights.length, switches.length, 2) * step;
  const place = new Map<string, XY>();
  const row = (ids: readonly string[], y: number): void =>
    ids.forEach((id, n) => place.set(id, [(wide * (n + 0.5)) / ids.length, y]));
  row(lights, 0);
  row(switches, 1.4 * step);
  /** How many cables lie between two already: the next is drawn beside them. */
  const between = new Map<string, number>();
  for (const c of cables) {
    const key = [c.from, c.to].sort().join("|");
    const n = between.get(key) ?? 0;
    between.set(key, n + 1);
    const [[ax, ay], [bx, by]] = [place.get(c.from)!, place.get(c.to)!];
    // Cables along a row bow out, so that they are told from the things they pass.
    const bow = (ay === by ? step * 0.25 : 0) + n * step * 0.18;
    const mid: XY = [
      (ax + bx) / 2 + (ay === by ? 0 : n * step * 0.12),
      (ay + by) / 2 + (ay === by ? (ay > 0 ? bow : -bow) : 0),
    ];
    p.line([[ax, ay], mid, [bx, by]], c.cores === 3 ? "accent" : "ink", { width: c.cores === 3 ? 3 : 1.5 });
    const [aside, drop] = ay === by ? [0, ay > 0 ? 1.3 : -0.5] : [step * 0.2, 0.3];
    p.text(mid[0] + aside, mid[1], `${c.cores} cores`, { size: 11, drop, ink: c.cores === 3 ? "accent" : "soft" });
  }
  for (const [id, [x, y]] of place) {
    const light = lights.includes(id);
    if (loops.includes(id)) p.circle(x, y, step * 0.12, undefined, "good", { width: 1.5, dash: [4, 3] });
    if (light) p.circle(x, y, step * 0.07, "paper", "ink", { heavy: true });
    else p.rect(x - step * 0.07, y - step * 0.07, step * 0.14, step * 0.14, "paper", "ink", { heavy: true });
    p.text(x, y + (light ? -step * 0.14 : step * 0.14), id, { drop: light ? -0.3 : 1.1, type: "bold" });
  }
  return { label: "Lights and switches with the cables between them", shapes: p.shapes, template: false };
}
