import { mm } from "../base/figures";
import type { BoardDrop } from "../plan/board-drop";
import type { BoardFigures } from "../plan/board-figures";
import { type Scene, pen } from "./scene";

const tenth = (x: number): string => mm(Math.round(x * 10) / 10);

/**
 * A section down to its board on its wall, to scale: the line to strike, every fixing with its height, the slot, the seal. x along
 * the wall, y down.
 */
export function drawDrop(d: BoardDrop, f: BoardFigures): Scene {
  const p = pen();
  const { width } = d.section.size;
  const place = f.board.place as { u: number; v: number };
  const { width: bw, height: bh } = f.layout;
  p.rect(place.u - bw / 2, -(place.v + bh / 2), bw, bh, "paper", "ink", { heavy: true });
  p.text(place.u, -place.v, f.board.label, { type: "bold" });
  for (const x of d.section.stretches) {
    if (x.face !== d.face.n) continue;
    const [u0, u1] = [Math.min(x.a.u, x.b.u), Math.max(x.a.u, x.b.u)];
    const [v0, v1] = [Math.min(x.a.v, x.b.v), Math.max(x.a.v, x.b.v)];
    if (x.plumb) p.rect(u0 - width / 2, -v1, width, v1 - v0, "metal", "ink");
    else p.rect(u0, -(v0 + width / 2), u1 - u0, width, "metal", "ink");
  }
  const away = d.above ? 1 : -1;
  const far = (d.above ? Math.max : Math.min)(...d.plumb, d.edge, d.endsAt) + away * 120;
  // Its words stand behind the board, where no mark is.
  const back = place.v - away * (bh / 2 + 60);
  p.line(
    [
      [d.line, -far],
      [d.line, -back],
    ],
    "accent",
    { dash: true },
  );
  p.text(d.line, -back, `plumb line, ${tenth(d.line)} from the left corner`, {
    drop: d.above ? 1.2 : -0.5,
    ink: "accent",
  });
  d.plumb.forEach((v, i) => {
    p.circle(d.line, -v, 6, "paper", "cut", { least: 4, heavy: true });
    p.text(d.line - width / 2, -v, `${i + 1}: ${tenth(v)} up`, {
      anchor: "end",
      shift: -8,
      drop: 0.35,
      type: "figures",
    });
  });
  for (const v of d.retainers) {
    p.rect(d.line - width / 2, -v - 3, width, 6, "soft", "soft");
    p.text(d.line + width / 2, -v, `retainer ${tenth(v)}`, { anchor: "start", shift: 8, drop: 0.35, ink: "soft" });
  }
  for (const o of d.others)
    for (const m of o.marks) {
      const [u, v] = o.plumb ? [o.at, m] : [m, o.at];
      p.circle(u, -v, 6, "paper", "cut", { least: 4, heavy: true });
      if (o.plumb) p.text(u - width / 2, -v, tenth(m), { anchor: "end", shift: -8, drop: 0.35, type: "figures" });
      else p.text(u, -(v + width / 2), tenth(m), { drop: -0.5, type: "figures" });
    }
  p.rect(d.slot.from, -d.edge - 6, d.slot.to - d.slot.from, 12, "soft", "cut", { heavy: true });
  p.text(d.slot.to, -d.edge, `slot ${tenth(d.slot.from)} to ${tenth(d.slot.to)}`, {
    anchor: "start",
    shift: 8,
    drop: -0.5,
    ink: "cut",
  });
  for (const s of d.seals)
    if (s.wall === d.face.wall.id)
      p.text(s.u + width / 2, -d.face.shape.height, "seal", {
        anchor: "start",
        shift: 8,
        drop: 0.35,
        ink: "warn",
        type: "bold",
      });
  return {
    label: `${d.section.section.label} down to ${f.board.label}: ${d.plumb.length} fixings on the plumb line`,
    shapes: p.shapes,
    template: false,
  };
}
