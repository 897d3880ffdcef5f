import { distance, pathLength, toFace } from "../base/wall-frame";
import { EPS } from "../base/tolerance";
import type { House } from "../house/house";
import type { Clips, Run } from "../laid/laid";
import type { PinnedLeg } from "../job/model";

/** Clips of one leg as they are marked: from something one can hook a tape on, on the wall or the joist the leg lies on. */
export interface ClipMarks {
  run: string;
  leg: number;
  /** What the marks are measured from. */
  from: "left corner" | "right corner" | "floor" | "ceiling" | "left bearing" | "start of the leg";
  /** Wall, or deck with the joist and span where it lies along one. */
  on: { wall: string } | { deck: string; joist: number; span: number } | null;
  /** Places of the clips from there, ascending, mm. */
  marks: number[];
}

/** A place of a leg so far along it. */
function placeAt(path: PinnedLeg["path"], at: number): PinnedLeg["path"][number] {
  let left = at;
  for (let i = 1; i < path.length; i++) {
    const [a, b] = [path[i - 1]!, path[i]!];
    const d = distance(a, b);
    if (left <= d + EPS || i === path.length - 1) {
      const t = d > 0 ? Math.min(1, left / d) : 0;
      return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t];
    }
    left -= d;
  }
  return path[0]!;
}

/**
 * Marks of the clips of a leg, mm. A level leg on a wall is measured from the nearer corner, a plumb one from floor or ceiling,
 * whichever is nearer; along a joist from the left bearing of each span it lies in; anything else along the leg from its start.
 */
export function clipMarks(h: House, run: Run, c: Clips): ClipMarks[] {
  const leg = run.legs[c.leg]!;
  const base = { run: c.run, leg: c.leg };
  const at = c.marks.map((m) => placeAt(leg.path, m));
  const face = h.faces[h.faceOfWall.get(leg.surface.id) ?? -1];
  if (leg.surface.kind === "wall" && face) {
    const uv = at.map((p) => toFace(face.frame, p));
    const [a, b] = [toFace(face.frame, leg.path[0]!), toFace(face.frame, leg.path[leg.path.length - 1]!)];
    const level = Math.abs(a.u - b.u) >= Math.abs(a.v - b.v);
    const size = level ? face.shape.length : face.shape.height;
    const middle = level ? (a.u + b.u) / 2 : (a.v + b.v) / 2;
    const near = middle <= size / 2;
    const marks = uv.map((p) => (level ? p.u : p.v)).map((x) => (near ? x : size - x));
    const mine: ClipMarks = {
      ...base,
      from: level ? (near ? "left corner" : "right corner") : near ? "floor" : "ceiling",
      on: { wall: leg.surface.id },
      marks: marks.sort((x, y) => x - y),
    };
    return [mine];
  }
  const deck = h.decks[h.deckOfId.get(leg.surface.id) ?? -1];
  if (leg.surface.kind === "deck" && deck && leg.method === "along-joist") {
    const axis = deck.along === "x" ? 0 : 1;
    const across = axis === 0 ? 1 : 0;
    const mid = leg.path[0]!;
    const joist = deck.joists.reduce<(typeof deck.joists)[number] | null>(
      (best, j) => (best && Math.abs(best.at - mid[across]) <= Math.abs(j.at - mid[across]) ? best : j),
      null,
    );
    if (joist?.spans.length) {
      // A leg over a bearing has clips in two spans: each is marked from the last bearing before it.
      const spanOf = (x: number): number => Math.max(0, joist.spans.filter(([from]) => from <= x + EPS).length - 1);
      const by = at.map((x) => ({ span: spanOf(x[axis]), x: x[axis] }));
      return [...new Set(by.map((m) => m.span))].map((span) => ({
        ...base,
        from: "left bearing",
        on: { deck: deck.deck.id, joist: joist.n, span: span + 1 },
        marks: by
          .filter((m) => m.span === span)
          .map((m) => m.x - joist.spans[span]![0])
          .sort((x, y) => x - y),
      }));
    }
  }
  return [{ ...base, from: "start of the leg", on: null, marks: [...c.marks] }];
}

/** How long a clipped leg is, mm. */
export const clippedLength = (run: Run, c: Clips): number => pathLength(run.legs[c.leg]!.path);
