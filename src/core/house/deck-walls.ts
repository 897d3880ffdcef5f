import { EPS } from "../base/tolerance";
import { type XYZ, toFace, toSpace } from "../base/wall-frame";
import { type Face, type House, decksOfFace } from "./house";

/** Masonry that goes on from the wall below a deck to the wall above it, between the joists. mm of the house, seen from above. */
export interface DeckWall {
  /** The wall under the deck, by one of its faces. */
  wall: string;
  x0: number;
  y0: number;
  x1: number;
  y1: number;
  /** Axis across the wall. */
  across: "x" | "y";
}

/** The body of a masonry wall behind one of its faces, where another room lies behind it; null where it is none, or stands askew. */
function bodyOf(f: Face): Omit<DeckWall, "wall"> | null {
  if (f.wall.build !== "masonry" && f.wall.build !== "dry-lined") return null;
  if (!f.opposite.length) return null;
  const { along, inward } = f.frame;
  const across = Math.abs(along.x) < 1e-6 ? "x" : Math.abs(along.y) < 1e-6 ? "y" : null;
  if (!across) return null;
  const [a, b] = [0, f.shape.length].map((u) => toSpace(f.frame, { u, v: 0 }));
  const back = (p: XYZ): [number, number] => [p[0] - inward.x * f.shape.thickness, p[1] - inward.y * f.shape.thickness];
  const xs = [a![0], b![0], back(a!)[0], back(b!)[0]];
  const ys = [a![1], b![1], back(a!)[1], back(b!)[1]];
  return { x0: Math.min(...xs), y0: Math.min(...ys), x1: Math.max(...xs), y1: Math.max(...ys), across };
}

const made = new WeakMap<House, DeckWall[][]>();

/** By deck: the masonry that stands between its joists, where a wall below it goes on above. */
export function deckWalls(h: House): DeckWall[][] {
  const there = made.get(h);
  if (there) return there;
  const below: DeckWall[][] = h.decks.map(() => []);
  const above: Omit<DeckWall, "wall">[][] = h.decks.map(() => []);
  for (const f of h.faces) {
    const body = bodyOf(f);
    if (!body) continue;
    const { over, under } = decksOfFace(h, f);
    for (const n of over) below[n]!.push({ ...body, wall: f.wall.id });
    for (const n of under) above[n]!.push(body);
  }
  const out = below.map((list, n) => {
    const solid: DeckWall[] = [];
    for (const w of list)
      for (const o of above[n]!) {
        if (o.across !== w.across) continue;
        const r = {
          x0: Math.max(w.x0, o.x0),
          y0: Math.max(w.y0, o.y0),
          x1: Math.min(w.x1, o.x1),
          y1: Math.min(w.y1, o.y1),
        };
        if (r.x1 - r.x0 <= EPS || r.y1 - r.y0 <= EPS) continue;
        // Both faces of one wall make the same masonry: it is told once for each stretch of it.
        const known = solid.some(
          (s) =>
            s.across === w.across &&
            s.x0 <= r.x0 + EPS &&
            s.y0 <= r.y0 + EPS &&
            s.x1 >= r.x1 - EPS &&
            s.y1 >= r.y1 - EPS,
        );
        if (!known) solid.push({ wall: w.wall, across: w.across, ...r });
      }
    return solid;
  });
  made.set(h, out);
  return out;
}

/** Middle line of the masonry, across the wall. */
const middleOf = (w: DeckWall): number => (w.across === "x" ? (w.x0 + w.x1) / 2 : (w.y0 + w.y1) / 2);

/** The walls that a straight stretch within a deck goes right through, each with the place on its middle line. */
export function wallsPassed(list: readonly DeckWall[], a: XYZ, b: XYZ): { wall: DeckWall; at: XYZ }[] {
  const out: { wall: DeckWall; at: XYZ; t: number }[] = [];
  for (const w of list) {
    const [ac, al] = w.across === "x" ? ([0, 1] as const) : ([1, 0] as const);
    const mid = middleOf(w);
    const d = b[ac] - a[ac];
    if (Math.abs(d) <= EPS) continue;
    const t = (mid - a[ac]) / d;
    // Where a stretch ends in the middle, as where two decks meet over the wall, the one that comes to it counts.
    if (t <= EPS || t > 1 + EPS) continue;
    const s = a[al] + t * (b[al] - a[al]);
    const [lo, hi] = w.across === "x" ? [w.y0, w.y1] : [w.x0, w.x1];
    if (s < lo - EPS || s > hi + EPS) continue;
    const z = a[2] + t * (b[2] - a[2]);
    if (out.some((o) => Math.abs(o.t - t) * Math.abs(d) <= 1)) continue;
    out.push({ wall: w, at: w.across === "x" ? [mid, s, z] : [s, mid, z], t });
  }
  return out.sort((p, q) => p.t - q.t).map(({ wall, at }) => ({ wall, at }));
}

/** Where the middle of such a hole stands on the face of the wall below: from its left end and floor. */
export const onWallBelow = (h: House, wall: string, at: XYZ): { u: number; v: number } | null => {
  const f = h.faces[h.faceOfWall.get(wall) ?? -1];
  return f ? toFace(f.frame, at) : null;
};
