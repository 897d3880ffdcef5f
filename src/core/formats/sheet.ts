import { topEdge } from "../base/ceiling";
import { rectAround } from "../base/rect";
import { toSpace } from "../base/wall-frame";
import type { House } from "../house/house";
import { stripOf, toStrip } from "../house/unrolled";
import type { Plan } from "../laid/laid";
import { mm } from "../base/figures";
import { meetsPolygon } from "../house/deck";

/** A drawing sheet for general drawing programs: flat shapes on named layers, x right and y up, mm of the house. */
export type SheetShape =
  | { layer: string; kind: "line"; points: [x: number, y: number][]; closed: boolean }
  | { layer: string; kind: "circle"; x: number; y: number; r: number }
  | { layer: string; kind: "text"; x: number; y: number; height: number; text: string };
export interface Sheet {
  title: string;
  layers: string[];
  shapes: SheetShape[];
}

/** Height of words on a sheet, mm of the house: 2.5 mm on paper at 1:40. */
const WORDS = 100;

function sheet(title: string): {
  out: Sheet;
  line: (layer: string, points: [number, number][], closed?: boolean) => void;
  circle: (layer: string, x: number, y: number, r: number) => void;
  text: (layer: string, x: number, y: number, text: string, height?: number) => void;
} {
  const out: Sheet = { title, layers: [], shapes: [] };
  const on = (layer: string): string => {
    if (!out.layers.includes(layer)) out.layers.push(layer);
    return layer;
  };
  return {
    out,
    line: (layer, points, closed = false) => void out.shapes.push({ layer: on(layer), kind: "line", points, closed }),
    circle: (layer, x, y, r) => void out.shapes.push({ layer: on(layer), kind: "circle", x, y, r }),
    text: (layer, x, y, text, height = WORDS) =>
      void out.shapes.push({ layer: on(layer), kind: "text", x, y, height, text }),
  };
}

const layerOf = (label: string): string => `RUNS-${label.replace(/[^A-Za-z0-9_-]/g, "_")}`;
const box = (x0: number, y0: number, x1: number, y1: number): [number, number][] => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];

/** One storey from above: rooms, openings, fixtures, joists over it, points, runs and bores, each on its layer. */
export function planSheet(h: House, storeyId: string, plan: Plan | null): Sheet {
  const { job } = h;
  const storey = job.storeys.find((s) => s.id === storeyId);
  const s = sheet(`${job.name}, ${storey?.name ?? storeyId}, plan`);
  const rooms = job.rooms.filter((r) => r.storey === storeyId);
  for (const r of rooms) {
    s.line(
      "ROOMS",
      r.outline.map((p) => [p.x, p.y]),
      true,
    );
    const xs = r.outline.map((p) => p.x);
    const ys = r.outline.map((p) => p.y);
    s.text(
      "NAMES",
      (Math.min(...xs) + Math.max(...xs)) / 2,
      (Math.min(...ys) + Math.max(...ys)) / 2,
      r.name,
      WORDS * 1.5,
    );
  }
  const faces = h.faces.filter((f) => f.room.storey === storeyId);
  const on = (f: (typeof faces)[number], u: number, into = 0): [number, number] => {
    const p = toSpace(f.frame, { u, v: 0 }, into);
    return [p[0], p[1]];
  };
  for (const f of faces) {
    for (const o of job.openings)
      if (o.wall === f.wall.id)
        s.line(
          "OPENINGS",
          [on(f, o.u), on(f, o.u + o.width), on(f, o.u + o.width, -f.shape.thickness), on(f, o.u, -f.shape.thickness)],
          true,
        );
    for (const x of job.fixtures)
      if (x.wall === f.wall.id)
        s.line(
          "FIXTURES",
          [on(f, x.u), on(f, x.u + x.width), on(f, x.u + x.width, x.depth), on(f, x.u, x.depth)],
          true,
        );
  }
  const top = storey ? storey.level + storey.height : 0;
  const decks = h.decks.filter(
    (d) => d.deck.kind !== "concrete" && d.underside >= top - 400 && d.underside <= top + 400,
  );
  for (const d of decks)
    for (const j of d.joists)
      for (const [p, q] of j.extent) {
        const half = d.deck.joists.breadth / 2;
        s.line(
          "JOISTS",
          d.along === "x" ? box(p, j.at - half, q, j.at + half) : box(j.at - half, p, j.at + half, q),
          true,
        );
      }
  const inStorey = (p: { face: number; deck: number; space: readonly number[] }): boolean =>
    p.face >= 0
      ? h.faces[p.face]!.room.storey === storeyId
      : p.deck >= 0 &&
        decks.includes(h.decks[p.deck]!) &&
        rooms.some((r) =>
          meetsPolygon({ x: p.space[0]!, y: p.space[1]! }, { x: p.space[0]!, y: p.space[1]! }, r.outline),
        );
  for (const p of h.points) {
    if (!inStorey(p)) continue;
    s.circle("POINTS", p.space[0], p.space[1], 40);
    s.text("LABELS", p.space[0] + 60, p.space[1] + 30, p.point.label);
  }
  const label = new Map(job.circuits.map((c) => [c.id, c.label]));
  const [low, high] = [storey ? storey.level - 50 : 0, top + 600];
  for (const r of plan?.runs ?? [])
    for (const l of r.legs) {
      if (!l.path.every((p) => p[2] >= low && p[2] <= high)) continue;
      const flat = l.path.map((p): [number, number] => [p[0], p[1]]);
      const [a, z] = [flat[0]!, flat[flat.length - 1]!];
      if (flat.length > 2 || Math.hypot(a[0] - z[0], a[1] - z[1]) > 1)
        s.line(layerOf(label.get(r.circuit) ?? r.circuit), flat);
    }
  for (const o of plan?.holes ?? [])
    if (o.centre[2] >= low && o.centre[2] <= high) s.circle("BORES", o.centre[0], o.centre[1], o.diameter / 2);
  return s.out;
}

/** The walls of one room unrolled, turning right from its door: openings, fixtures, zones, points and runs. */
export function unrolledSheet(h: House, roomId: string, plan: Plan | null): Sheet {
  const { job } = h;
  const room = job.rooms.find((r) => r.id === roomId);
  const s = sheet(`${job.name}, ${room?.name ?? roomId}, unrolled`);
  const { walls } = stripOf(h, roomId);
  const label = new Map(job.circuits.map((c) => [c.id, c.label]));
  for (const w of walls) {
    const { face, x } = w;
    const top = face.room.slopes.length
      ? topEdge(face.room, face.wall.index)
      : [
          { u: 0, v: face.shape.height },
          { u: face.shape.length, v: face.shape.height },
        ];
    s.line("WALLS", [[x, 0], ...top.map((p): [number, number] => [x + p.u, p.v]), [x + face.shape.length, 0]], true);
    s.text("NAMES", x + 40, -WORDS * 1.6, `Wall ${face.wall.index + 1} · ${mm(face.shape.length)}`);
    for (const z of face.zones) {
      if (z.slope)
        s.line(
          "ZONES",
          [
            [x + z.slope[0].u, z.slope[0].v - 150],
            [x + z.slope[1].u, z.slope[1].v - 150],
            [x + z.slope[1].u, z.slope[1].v],
            [x + z.slope[0].u, z.slope[0].v],
          ],
          true,
        );
      else s.line("ZONES", box(x + z.u0, z.v0, x + z.u1, z.v1), true);
    }
    for (const o of job.openings)
      if (o.wall === face.wall.id) s.line("OPENINGS", box(x + o.u, o.v, x + o.u + o.width, o.v + o.height), true);
    for (const f of job.fixtures)
      if (f.wall === face.wall.id) s.line("FIXTURES", box(x + f.u, f.v, x + f.u + f.width, f.v + f.height), true);
    for (const p of face.points) {
      const r = rectAround(p);
      s.line("POINTS", box(x + r.u0, r.v0, x + r.u1, r.v1), true);
      s.text("LABELS", x + r.u0, r.v1 + 20, job.points.find((q) => q.id === p.id)?.label ?? p.id, WORDS * 0.7);
    }
    for (const r of plan?.runs ?? [])
      for (const l of r.legs)
        if (l.surface.kind === "wall" && l.surface.id === face.wall.id)
          s.line(
            layerOf(label.get(r.circuit) ?? r.circuit),
            l.path.map((p): [number, number] => {
              const q = toStrip(w, p);
              return [q.x, q.y];
            }),
          );
  }
  return s.out;
}
