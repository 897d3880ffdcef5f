import { mm } from "../base/figures";
import { toFace } from "../base/wall-frame";
import { type Face, type House, decksOfStorey } from "../house/house";
import { type LaidSection, sectionsOf, sectionsOnFace } from "../house/sections";
import type { SectionFigures } from "../plan/section-figures";
import { drawBoxes } from "../trades/containment/draw-boxes";
import { sectionFixings } from "../trades/containment/section-supports";
import { layerWidth, fillingOf } from "../trades/containment/section-fill";
import { type Packed, pack } from "../trades/containment/pack";
import type { Cable } from "../rules/cables";
import { type Fill, type Scene, type Shape, pen } from "./scene";

/** What a section is called: its label, kind and size. */
export const sectionName = (s: LaidSection): string =>
  `${s.section.label} ${s.row.name.toLowerCase()}${s.row.holds === "alone" ? "" : ` ${s.section.size.replace("x", " × ")}`}`;

/** Sections on a wall to the width of their size, with their fixings; named once, on the longest stretch. x along it, y down, floor at 0. */
export function sectionShapes(h: House, f: Face): Shape[] {
  const p = pen({ layer: "CONTAINMENT" });
  for (const s of sectionsOnFace(h, f.n)) {
    const { id } = s.section;
    const half = s.size.width / 2;
    const mine = s.stretches.filter((x) => x.face === f.n);
    for (const x of mine) {
      const [u0, u1] = [Math.min(x.a.u, x.b.u), Math.max(x.a.u, x.b.u)];
      const [v0, v1] = [Math.min(x.a.v, x.b.v), Math.max(x.a.v, x.b.v)];
      // In the plane of the wall the corner is filled; at its very ends it stops where it is drawn to.
      const [l, r, t, b] = x.plumb
        ? [u0 - half, u1 + half, v1, v0]
        : [
            u0 - (joined(mine, x.a.u === u0 ? x.a : x.b) ? half : 0),
            u1 + (joined(mine, x.a.u === u1 ? x.a : x.b) ? half : 0),
            v1 + half,
            v0 - half,
          ];
      p.rect(l, -t, r - l, t - b, s.row.hidden ? "soft" : "paper", "ink", {
        id,
        cover: s.row.hidden ? 0.18 : 0.85,
        width: s.row.hidden ? 1 : 1.4,
        ...(s.row.hidden ? { dash: [5, 3] } : {}),
      });
    }
    for (const b of drawBoxes(h, s)) {
      if (s.stretches[b.stretch]!.face !== f.n) continue;
      const { u, v } = toFace(f.frame, b.at);
      p.rect(u - DRAW_BOX, -v - DRAW_BOX, 2 * DRAW_BOX, 2 * DRAW_BOX, "paper", "ink", { id, width: 1.4 });
    }
    for (const fix of sectionFixings(s)) {
      const x = s.stretches[fix.stretch]!;
      if (x.face !== f.n) continue;
      for (const m of fix.marks) {
        const t = m / x.length;
        const at = toFace(f.frame, [
          x.from[0] + t * (x.to[0] - x.from[0]),
          x.from[1] + t * (x.to[1] - x.from[1]),
          x.from[2] + t * (x.to[2] - x.from[2]),
        ]);
        p.circle(at.u, -at.v, Math.min(6, half * 0.5), "paper", "ink", { least: 2, width: 1, id });
      }
    }
  }
  return p.shapes;
}

/** Half a side of a box to draw from, as it is drawn, mm. Typical. */
const DRAW_BOX = 32;

/** Where a section is named on a wall: beside the middle of its longest stretch there. */
export interface SectionTag {
  id: string;
  text: string;
  u: number;
  v: number;
  /** Half the width of the section, and whether the name goes to its left or over it. */
  half: number;
  plumb: boolean;
  /** To its right: one found here leaves the left to what is new. */
  right: boolean;
}

/** Names of the sections on a wall, each once: its label and size. */
export const sectionTags = (h: House, f: Face): SectionTag[] =>
  sectionsOnFace(h, f.n).map((s) => {
    const mine = s.stretches.filter((x) => x.face === f.n);
    const longest = mine.reduce((a, x) => (x.length > a.length + 1 ? x : a));
    const size = s.row.holds === "alone" ? s.row.name.toLowerCase() : s.section.size.replace("x", " × ");
    return {
      id: s.section.id,
      text: `${s.section.label} ${size}`,
      u: (longest.a.u + longest.b.u) / 2,
      v: (longest.a.v + longest.b.v) / 2,
      half: s.size.width / 2,
      plumb: longest.plumb,
      right: s.section.state === "found",
    };
  });

/** Sections that lie on the decks of a storey, from above to their width; named once. x east, y down (south), mm. */
export function deckSectionShapes(h: House, storey: string): Shape[] {
  const decks = new Set(decksOfStorey(h.job, storey).map((d) => d.id));
  const p = pen({ layer: "CONTAINMENT" });
  for (const s of sectionsOf(h)) {
    const mine = s.stretches.filter((x) => x.deck >= 0 && decks.has(h.decks[x.deck]!.deck.id));
    const half = s.size.width / 2;
    for (const x of mine) {
      const [x0, x1] = [Math.min(x.a.u, x.b.u), Math.max(x.a.u, x.b.u)];
      const [y0, y1] = [Math.min(x.a.v, x.b.v), Math.max(x.a.v, x.b.v)];
      const along = x1 - x0 > y1 - y0;
      const [dx, dy] = along ? [0, half] : [half, 0];
      p.rect(x0 - dx, -y1 - dy, x1 - x0 + 2 * dx, y1 - y0 + 2 * dy, "metal", "ink", {
        id: s.section.id,
        cover: 0.55,
        width: 1.2,
      });
    }
    const longest = mine.length ? mine.reduce((a, x) => (x.length > a.length ? x : a)) : null;
    if (longest)
      p.text((longest.a.u + longest.b.u) / 2 + half, -(longest.a.v + longest.b.v) / 2, sectionName(s), {
        anchor: "start",
        shift: 4,
        drop: -0.4,
        size: 11,
      });
  }
  return p.shapes;
}

/** True where another stretch of the section goes on from a place. */
const joined = (
  all: readonly { a: { u: number; v: number }; b: { u: number; v: number } }[],
  at: { u: number; v: number },
): boolean =>
  all.filter((x) => [x.a, x.b].some((q) => Math.abs(q.u - at.u) < 0.05 && Math.abs(q.v - at.v) < 0.05)).length > 1;

const fills: readonly Fill[] = ["cable", "cable2", "cable3"];
/** Cables that are drawn dashed, to show what more goes in: a few are enough. */
const SHOWN = 6;

/** A section cut across to scale, with its cables where they would lie, those there before among them, and dashed what more goes in. */
export function drawSectionCut(f: SectionFigures, labelOf: (circuit: string) => string): Scene {
  const p = pen();
  const { size, row } = f.laid;
  const { inside } = size;
  const ordered = [
    ...f.there.map((cable) => ({ cable, text: "old" })),
    ...f.inside.map((x) => ({ cable: x.cable, text: labelOf(x.circuit) })),
  ];
  const fillOf = new Map<string, Fill>();
  for (const { text } of ordered)
    if (!fillOf.has(text)) fillOf.set(text, text === "old" ? "soft" : fills[fillOf.size % fills.length]!);
  const spare = f.more ? Array.from({ length: Math.min(SHOWN, f.more.count) }, () => f.more!.cable) : [];
  if ("diameter" in inside) {
    const R = size.width / 2;
    p.circle(R, R, R, "metal", "ink", { heavy: true });
    p.circle(R, R, inside.diameter / 2, "paper", "ink");
    const off = R - inside.diameter / 2;
    lying(
      p,
      pack(
        inside,
        ordered.map((x) => fillingOf(x.cable)),
      ).placed,
      off,
      off + inside.diameter,
      ordered,
      fillOf,
    );
    p.dim([0, 2 * R], [2 * R, 2 * R], `Ø ${mm(size.width)}`, 1.4);
  } else {
    const [w, h] = [size.width, size.depth];
    const [left, top] = [(w - inside.width) / 2, (h - inside.height) / 2];
    p.rect(0, 0, w, h, row.holds === "layer" ? "paper" : "metal", "ink", { heavy: true });
    p.rect(left, top, inside.width, inside.height, "paper", "ink", { width: 0.8 });
    if (row.holds === "layer") inLayer(p, ordered, spare, left, top + inside.height, fillOf);
    else {
      const all = [...ordered.map((x) => x.cable), ...spare];
      const { placed } = pack(
        inside,
        all.map((c) => fillingOf(c)),
      );
      lying(p, placed, left, top + inside.height, ordered, fillOf);
    }
    p.dim([0, h], [w, h], mm(w), 1.4);
    p.dim([w, 0], [w, h], mm(h), 1.4);
  }
  return {
    label: `${sectionName(f.laid)} cut across, with ${ordered.length} cables in it`,
    shapes: p.shapes,
    template: true,
  };
}

type Pen = ReturnType<typeof pen>;
type Named = { cable: Cable; text: string };

/** Packed cables: those that are there filled and named, the others dashed. `left` and `floor` of the inside, mm. */
function lying(
  p: Pen,
  placed: readonly Packed[],
  left: number,
  floor: number,
  ordered: readonly Named[],
  fillOf: ReadonlyMap<string, Fill>,
): void {
  for (const c of placed) {
    const named = ordered[c.size];
    const fill = named ? fillOf.get(named.text)! : "none";
    const more = named ? {} : { dash: [3, 3] as const };
    const [x, y] = [left + c.x, floor - c.y];
    if (c.shape === "round") p.circle(x, y, c.r, fill === "none" ? undefined : fill, named ? "ink" : "soft", more);
    else p.rect(x - c.w / 2, y - c.h / 2, c.w, c.h, fill === "none" ? undefined : fill, named ? "ink" : "soft", more);
    if (named) p.text(x, y, named.text, { size: 9, drop: 0.35, room: { width: c.shape === "round" ? c.r * 2 : c.w } });
  }
}

/** Cables side by side on the bottom of a layer. */
function inLayer(
  p: Pen,
  ordered: readonly Named[],
  spare: readonly Cable[],
  left: number,
  floor: number,
  fillOf: ReadonlyMap<string, Fill>,
): void {
  let x = left;
  const put = (c: Cable, named: Named | null): void => {
    const [w, t] = [layerWidth(c), Math.min(c.width, c.thickness)];
    const fill = named ? fillOf.get(named.text) : undefined;
    if (c.width === c.thickness)
      p.circle(x + w / 2, floor - w / 2, w / 2, fill, named ? "ink" : "soft", named ? {} : { dash: [3, 3] });
    else p.rect(x, floor - t, w, t, fill, named ? "ink" : "soft", named ? {} : { dash: [3, 3] });
    if (named) p.text(x + w / 2, floor - t / 2, named.text, { size: 9, drop: 0.35, room: { width: w } });
    x += w;
  };
  for (const o of ordered) put(o.cable, o);
  for (const c of spare) put(c, null);
}
