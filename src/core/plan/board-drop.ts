import { type Face, type House } from "../house/house";
import { type LaidSection, sectionsOf } from "../house/sections";
import { sectionPieces } from "../trades/containment/section-pieces";
import type { SectionPiece } from "../trades/containment/section-turns";
import { sectionFixings } from "../trades/containment/section-supports";
import type { BoardFigures } from "./board-figures";
import { type Seal, fixingMarks, sealsOf } from "./section-figures";

/** A section that comes to a board: what is marked, fixed, cut and sealed, on the board's own wall. Lengths mm. */
export interface BoardDrop {
  section: LaidSection;
  face: Face;
  block: number;
  /** Middle of the stretch that ends at the board, from the left corner: where the plumb line is struck. */
  line: number;
  /** How far it lies off the middle of the board, right of it positive. */
  off: number;
  /** True where it comes from above. */
  above: boolean;
  /** End of the section at the board, and the edge of the board that it comes to, over the floor. */
  endsAt: number;
  edge: number;
  /** Fixings on the plumb line, from the floor. */
  plumb: number[];
  /**
   * Those of its other stretches on this wall: plumb ones from the floor, level ones from the left corner; `at` is where the
   * stretch lies.
   */
  others: { plumb: boolean; at: number; marks: number[] }[];
  /** Retainers for the cables, midway between two fixings of the plumb stretch, over the floor: they hold them while the lid is off. */
  retainers: number[];
  pieces: SectionPiece[];
  /** Lid, as long as the section. */
  lid: number;
  /** Slot in the edge of the board, from the left corner of the wall. */
  slot: { from: number; to: number; seats: number; width: number; height: number; notched: boolean };
  seals: Seal[];
}

/** How far a section's end may stand off the board that it serves, mm. */
const NEAR = 150;

/** The drops of a board: every section that a block of its cables comes in, plumb to its top or bottom edge. */
export function boardDrops(h: House, f: BoardFigures): BoardDrop[] {
  const placed = h.points[h.pointOfId.get(f.board.id) ?? -1];
  const face = placed && h.faces[placed.face];
  if (!placed || !face || f.board.place.on !== "wall") return [];
  const { u, v } = f.board.place;
  const left = u - placed.box.width / 2;
  return f.blocks.flatMap((b, block): BoardDrop[] => {
    const section = sectionsOf(h).find((s) => s.section.id === b.section);
    const seated = f.cables.filter((c) => c.block === block && c.seat);
    const stretch = section?.stretches.find(
      (x) =>
        x.face === face.n &&
        x.plumb &&
        [x.a, x.b].some(
          (e) => Math.abs(e.u - u) <= placed.box.width / 2 && Math.abs(e.v - v) <= placed.box.height / 2 + NEAR,
        ),
    );
    if (!section || !stretch || !seated.length || (b.edge !== "top" && b.edge !== "bottom")) return [];
    const above = b.edge === "top";
    const fixings = sectionFixings(section).filter((x) => section.stretches[x.stretch]!.face === face.n);
    const rows = fixings.map((x) => ({
      stretch: section.stretches[x.stretch]!,
      marks: fixingMarks(h, section, [x])
        .map((m) => (section.stretches[x.stretch]!.plumb ? m.v : m.u))
        .sort((m, n) => m - n),
    }));
    const plumb = rows.find((x) => x.stretch === stretch)?.marks ?? [];
    const seat = seated[0]!.seat!;
    const ends = seated.map((c) => c.seat!.at);
    return [
      {
        section,
        face,
        block,
        line: stretch.a.u,
        off: stretch.a.u - u,
        endsAt: above ? Math.min(stretch.a.v, stretch.b.v) : Math.max(stretch.a.v, stretch.b.v),
        above,
        edge: v + (above ? 1 : -1) * (placed.box.height / 2),
        plumb,
        others: rows
          .filter((x) => x.stretch !== stretch)
          .map((x) => ({
            plumb: x.stretch.plumb,
            at: x.stretch.plumb ? x.stretch.a.u : x.stretch.a.v,
            marks: x.marks,
          })),
        retainers: plumb.slice(1).map((at, i) => (at + plumb[i]!) / 2),
        pieces: sectionPieces(h, section),
        lid: section.length,
        slot: {
          from: left + b.from + Math.min(...ends) - seat.width / 2,
          to: left + b.from + Math.max(...ends) + seat.width / 2,
          seats: seated.length,
          width: seat.width,
          height: seat.height,
          notched: b.notched,
        },
        seals: sealsOf(h, section),
      },
    ];
  });
}
