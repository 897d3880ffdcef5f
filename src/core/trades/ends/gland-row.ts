import { EPS, atLeast, below } from "../../base/tolerance";
import { type Fact, fact } from "../../rules/fact";
import type { Gland } from "../../rules/glands";

/** Least from the flank of the end gland to the edge of the face, mm. */
export const EDGE_ROOM = 5;

export interface GlandHole {
  /** Middle of the hole from the left edge of the face, mm. */
  x: number;
  /** Diameter to bore, mm. */
  hole: number;
  gland: string;
  spare: boolean;
}
export interface GlandRow {
  fits: boolean;
  holes: GlandHole[];
  /** Room left over when all modules stand side by side, mm; negative when they do not fit. */
  slack: number;
  facts: Fact[];
}

/**
 * Holes of a row of glands along one face: each takes its width across corners and the hand room; what is left is shared
 * equally. Spare positions repeat the last size. Not fitting, no hole is given and the finding says how many would go in.
 */
export function glandRow(
  width: number,
  row: readonly Gland[],
  handRoom: number,
  spare: number,
  edgeRoom = EDGE_ROOM,
): GlandRow {
  const last = row[row.length - 1];
  const all = [
    ...row.map((gland) => ({ gland, spare: false })),
    ...Array.from({ length: last ? spare : 0 }, () => ({ gland: last!, spare: true })),
  ];
  if (!all.length) return { fits: true, holes: [], slack: width, facts: [] };
  const module = (g: Gland): number => g.acrossCorners + handRoom;
  const slack = width - all.reduce((s, g) => s + module(g.gland), 0);
  const share = slack / all.length;
  const edges = (n: number, room: number): boolean => {
    const ends = [all[0]!.gland, all[n - 1]!.gland];
    return ends.every((g) => atLeast((module(g) + room / n) / 2 - g.acrossCorners / 2, edgeRoom));
  };
  if (below(slack, 0) || !edges(all.length, slack)) {
    let would = 0;
    let used = 0;
    while (
      would < all.length &&
      used + module(all[would]!.gland) <= width + EPS &&
      edges(would + 1, width - used - module(all[would]!.gland))
    )
      used += module(all[would++]!.gland);
    const need = width - slack;
    return {
      fits: false,
      holes: [],
      slack,
      facts: [
        fact("gland.row", "input", "row", {
          measured: need,
          limit: width,
          sense: "most",
          unit: "mm",
          of: { glands: all.length, would },
        }),
      ],
    };
  }
  let from = 0;
  const holes = all.map(({ gland, spare: isSpare }) => {
    const size = module(gland) + share;
    const x = from + size / 2;
    from += size;
    return { x, hole: gland.hole, gland: gland.id, spare: isSpare };
  });
  return { fits: true, holes, slack, facts: [] };
}
