import { mm, toMark } from "../base/figures";
import { toFace } from "../base/wall-frame";
import { bounds } from "../base/polygon";
import type { Face, House } from "../house/house";
import { sectionsOf } from "../house/sections";
import { pointLabels } from "../job/labels";
import { outsideOf } from "../house/outside";
import type { Plan } from "../laid/laid";
import { clipMarks } from "../plan/clip-marks";
import type { Part } from "../record/parts";
import { lightRows } from "../plan/light-row";
import { loadedSpans, runsIn } from "../trades/outside/outside-facts";
import { chalkLines } from "../trades/timber/boring";
import { drawCatenarySide, drawRowSide, drawTrenchAlong } from "./outside-scenes";
import { type Scene, type XY, pen } from "./scene";
import { faceOutline } from "./wall-scene";

/** The plan of a room in small, with the wall that one stands at: "you are here". */
export function drawHere(h: House, room: string, wall: string | null): Scene | null {
  const r = h.job.rooms.find((x) => x.id === room);
  if (!r) return null;
  const p = pen();
  const flat = (q: { x: number; y: number }): XY => [q.x, -q.y];
  p.area(r.outline.map(flat), "plaster", "ink");
  const face = wall === null ? undefined : h.faces[h.faceOfWall.get(wall) ?? -1];
  const b = bounds(r.outline);
  const [mx, my] = [(b.x0 + b.x1) / 2, (b.y0 + b.y1) / 2];
  if (face) {
    const { origin, along, length } = face.frame;
    const a: XY = [origin[0], -origin[1]];
    const z: XY = [origin[0] + along.x * length, -(origin[1] + along.y * length)];
    p.line([a, z], "accent", { width: 6 });
    // One stands before the middle of the wall, in the room.
    const [wx, wy] = [(a[0] + z[0]) / 2, (a[1] + z[1]) / 2];
    const [dx, dy] = [mx - wx, -my - wy];
    const d = Math.hypot(dx, dy) || 1;
    const by = Math.min(700, d);
    p.circle(wx + (dx / d) * by, wy + (dy / d) * by, 90, "soft", "accent", { heavy: true, least: 6 });
  }
  p.text(mx, -b.y0, face ? "you are here" : r.name, { size: 13, drop: 1 });
  return {
    label: `${r.name} from above${face ? `, wall ${face.wall.index + 1} marked: you are here` : ""}`,
    shapes: p.shapes,
    template: false,
  };
}

/** Most joists of a bore line shown at once: those about the next. */
const SHOWN = 8;
/** Joists of a bore line stand this far apart on the drawing, mm: it shows their order and not their spacing. */
const STEP = 400;

/** A bore line across the joists of a deck, joist after joist: which are drilled, which is next. Not to scale. */
export function drawBoreLine(h: House, plan: Plan, hole: string, drilled: (hole: string) => boolean): Scene | null {
  for (const l of h.decks) {
    const line = chalkLines(l, plan).find((c) => c.joists.some((j) => j.hole.id === hole));
    if (!line) continue;
    const p = pen();
    const at = line.joists.findIndex((j) => j.hole.id === hole);
    const from = Math.max(0, Math.min(at - SHOWN / 2, line.joists.length - SHOWN));
    const shown = line.joists.slice(from, from + SHOWN);
    const high = 360;
    p.rect(-STEP / 2, 0, shown.length * STEP, high, "deck", "timberline");
    shown.forEach((j, i) => {
      const x = i * STEP;
      p.rect(x - 70, 0, 140, high, "timber", "timberline");
      const done = drilled(j.hole.id);
      const next = j.hole.id === hole;
      const ink = done ? "good" : next ? "accent" : "stop";
      if (j.hole.notch) p.rect(x - 70, 0, 140, high / 5, done ? "soft" : "paper", ink, { heavy: next });
      else
        p.circle(x, high / 2, 46, done ? "soft" : "paper", ink, {
          least: next ? 10 : 7,
          width: next ? 4 : 2.5,
        });
      if (next) p.text(x, 0, `next: joist ${j.joist}`, { drop: -0.4, type: "bold", anchor: "middle" });
      p.text(x, high, String(j.joist), { drop: 1, size: 13 });
    });
    const done = line.joists.filter((j) => drilled(j.hole.id)).length;
    return {
      label: `${l.deck.name}: bore line of ${line.joists.length} joists, ${done} drilled, next joist ${line.joists[at]!.joist}`,
      shapes: p.shapes,
      template: false,
    };
  }
  return null;
}

/**
 * A wall as one sees it before a piece of work, with what is to be done on it marked and measured from a corner and
 * the floor.
 */
export function drawAtWall(h: House, plan: Plan, part: Part): Scene | null {
  const face = faceOf(h, part);
  if (!face) return null;
  const p = pen();
  const label = pointLabels(h.job);
  p.area(faceOutline(face), "plaster", "ink");
  for (const o of face.shape.openings) p.rect(o.u, -(o.v + o.height), o.width, o.height, "opening");
  for (const x of face.points) {
    const mine = part.at.kind === "point" && part.at.id === x.id;
    p.rect(x.u - x.width / 2, -(x.v + x.height / 2), x.width, x.height, "paper", mine ? "accent" : "soft", {
      heavy: mine,
    });
    const at = face.points.find((q) => part.at.kind === "point" && q.id === part.at.id);
    const clear = !at || Math.abs(at.u - x.u) > 400 || Math.abs(at.v - x.v) > 250;
    if (mine || (face.points.length <= 6 && clear))
      p.text(x.u, -(x.v + x.height / 2), label(x.id), {
        drop: -0.3,
        ink: mine ? "accent" : "soft",
        ...(mine ? { type: "bold" as const } : {}),
      });
  }
  const { length } = face.shape;
  const measure = (u: number, v: number): void => {
    const left = u <= length / 2;
    p.dim([left ? 0 : u, 0], [left ? u : length, 0], toMark(left ? u : length - u), 1);
    p.dim([u, -v], [u, 0], toMark(v), left ? 1 : -1);
  };
  const runs = new Set(part.runs);
  if (part.kind === "chase" || part.kind === "cover" || part.kind === "clip") {
    for (const r of plan.runs)
      for (const l of r.legs) {
        if (l.surface.id !== face.wall.id) continue;
        const mine = runs.has(r.id) && (part.kind === "clip" || l.method === "chase");
        p.line(
          l.path.map((q) => toFace(face.frame, q)).map((q): XY => [q.u, -q.v]),
          mine ? "accent" : "soft",
          mine ? { width: 5 } : { dash: true },
        );
      }
    if (part.kind === "clip") {
      const run = plan.runs.find((r) => r.id === part.runs[0])!;
      for (const c of plan.clips) {
        if (c.run !== run.id || run.legs[c.leg]!.surface.id !== face.wall.id) continue;
        const [a, b] = [
          toFace(face.frame, run.legs[c.leg]!.path[0]!),
          toFace(face.frame, run.legs[c.leg]!.path.at(-1)!),
        ];
        const level = Math.abs(a.u - b.u) >= Math.abs(a.v - b.v);
        for (const m of clipMarks(h, run, c))
          for (const at of m.marks) {
            const from = m.from === "right corner" ? length - at : m.from === "ceiling" ? face.shape.height - at : at;
            p.circle(level ? from : a.u, -(level ? a.v : from), 14, "paper", "ink", { least: 3 });
          }
      }
    } else {
      const leg = plan.runs.flatMap((r) => r.legs).find((l) => l.surface.id === face.wall.id && l.method === "chase");
      if (leg) {
        const [a, b] = [toFace(face.frame, leg.path[0]!), toFace(face.frame, leg.path.at(-1)!)];
        measure((a.u + b.u) / 2, (a.v + b.v) / 2);
      }
    }
  }
  if (part.hole) {
    const o = part.hole;
    const v = face.shape.height - o.fromTop;
    p.circle(o.at, -v, o.diameter / 2, "paper", "accent", { least: 7, width: 4 });
    measure(o.at, v);
  }
  if (part.at.kind === "point") {
    const x = face.points.find((q) => q.id === part.at.id);
    if (x) measure(x.u, x.v);
  }
  if (part.at.kind === "section") {
    const s = sectionsOf(h).find((q) => q.section.id === part.at.id);
    for (const x of s?.stretches ?? [])
      if (x.face === face.n)
        p.line(
          [
            [x.a.u, -x.a.v],
            [x.b.u, -x.b.v],
          ],
          "accent",
          { width: 6 },
        );
    const first = s?.stretches[0];
    if (first && first.face === face.n) measure(first.a.u, first.a.v);
  }
  return {
    label: `${face.room.name}, wall ${face.wall.index + 1}, ${mm(length)} long, seen from the room`,
    shapes: p.shapes,
    template: false,
  };
}

/** The face that a part is done at; null for one in a deck or along a run. */
export function faceOf(h: House, part: Part): Face | null {
  if (part.at.kind === "wall") return h.faces[h.faceOfWall.get(part.at.id) ?? -1] ?? null;
  if (part.at.kind === "point") return h.faces[h.points[h.pointOfId.get(part.at.id) ?? -1]?.face ?? -1] ?? null;
  if (part.at.kind === "section") {
    const first = sectionsOf(h).find((s) => s.section.id === part.at.id)?.stretches[0];
    return first ? (h.faces[first.face] ?? null) : null;
  }
  return null;
}

/** The place on a wall that a part is about: a hole or a point; null where it is no one place. */
export function placeOnWall(h: House, part: Part): { wall: string; u: number; v: number } | null {
  const face = faceOf(h, part);
  if (!face) return null;
  if (part.hole)
    return { wall: face.wall.id, u: Math.round(part.hole.at), v: Math.round(face.shape.height - part.hole.fromTop) };
  const point = part.at.kind === "point" ? face.points.find((p) => p.id === part.at.id) : undefined;
  return point ? { wall: face.wall.id, u: Math.round(point.u), v: Math.round(point.v) } : null;
}

/** A trench, a wire or a row of lights that a part is about, from the side; null for any other part. */
export function drawOutsidePart(h: House, plan: Pick<Plan, "runs">, part: Part): Scene | null {
  if (part.at.kind === "row") {
    const row = lightRows(h, []).find((f) => f.row.id === part.at.id);
    return row ? drawRowSide(row) : null;
  }
  const w = part.at.kind === "outside" ? outsideOf(h).find((x) => x.way.id === part.at.id) : undefined;
  if (!w) return null;
  return w.way.kind === "trench"
    ? drawTrenchAlong(w)
    : drawCatenarySide(w, loadedSpans(h, w, runsIn(w.way.id, plan.runs)));
}
