import { EPS, atLeast, below } from "../../base/tolerance";
import { type Fact, fact } from "../../rules/fact";
import type { Gland } from "../../rules/glands";

/** Least from the flank of the end gland to the edge of the face, mm. */
export const EDGE_ROOM = 5;

/** Room for a hand and two spanners between glands, mm. Trade habit. */
export const HAND_ROOM = 10;

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

/** A hole that is nearer than it may be: to its neighbour, to the edge, or to a hole that is there already. Lengths mm. */
export interface TooNear {
  what: "neighbour" | "edge" | "hole";
  measured: number;
  limit: number;
}

/**
 * Holes of a face that are too near: two want half of each across its corners and a hand between, each the edge room to its flank,
 * and none lies over a hole that is there.
 */
export function tooNear(
  width: number,
  holes: readonly { x: number; across: number }[],
  there: readonly { at: number; size: number }[] = [],
): TooNear[] {
  const out: TooNear[] = [];
  const least = (what: TooNear["what"], measured: number, limit: number): void => {
    if (below(measured, limit)) out.push({ what, measured, limit });
  };
  const sorted = [...holes].sort((a, b) => a.x - b.x);
  sorted.forEach((o, i) => {
    const next = sorted[i + 1];
    if (next) least("neighbour", next.x - o.x, (o.across + next.across) / 2 + HAND_ROOM);
    least("edge", Math.min(o.x, width - o.x), o.across / 2 + EDGE_ROOM);
    for (const q of there) least("hole", Math.abs(q.at - o.x), (o.across + q.size) / 2);
  });
  return out;
}
