import { EPS } from "../base/tolerance";
import type { XYZ } from "../base/wall-frame";
import { type LaidDeck, nogginBody } from "./deck";

/** A noggin between two joists that a cable along them must be taken through. mm of the house. */
export interface NogginCrossing {
  /** Row, from 1, as the survey lists them. */
  row: number;
  /** Number of the joist beside which it is drilled: the one the cable is clipped to. */
  joist: number;
  /** Along and across the joists. */
  along: number;
  across: number;
  z: number;
}

/** The noggins that a stretch along the joists passes through: those of its rows that are as deep as the cable lies. */
export function nogginCrossings(l: LaidDeck, a: XYZ, b: XYZ): NogginCrossing[] {
  const [al, ac] = l.along === "x" ? ([0, 1] as const) : ([1, 0] as const);
  if (Math.abs(a[al] - b[al]) <= EPS || Math.abs(a[ac] - b[ac]) > EPS) return [];
  const [lo, hi] = [Math.min(a[al], b[al]), Math.max(a[al], b[al])];
  const across = a[ac];
  const nearest = l.joists.reduce<number>(
    (best, j, i) => (best < 0 || Math.abs(j.at - across) < Math.abs(l.joists[best]!.at - across) ? i : best),
    -1,
  );
  if (nearest < 0) return [];
  const out = l.deck.noggins.flatMap((n, i) => {
    const along = l.origin + n.at;
    if (along <= lo + EPS || along >= hi - EPS) return [];
    const [low, high] = nogginBody(l, n);
    if (a[2] < low - EPS || a[2] > high + EPS) return [];
    return [{ row: i + 1, joist: l.joists[nearest]!.n, along, across, z: a[2] }];
  });
  return a[al] <= b[al] ? out : out.reverse();
}
