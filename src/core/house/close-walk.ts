import { solve } from "../base/linear";
import { type XY, signedArea } from "../base/polygon";
import type { Refusal } from "../job/patch";
import { mm } from "../base/figures";
import { type Walk, stepsOf } from "./walk";

/** A diagonal measured from one corner to another, corners numbered from 0 in the order walked, mm. */
export interface Diagonal {
  from: number;
  to: number;
  length: number;
}

/** How well a tape and a builder's right angle are trusted: standard deviations, mm and degrees. With a diagonal the angles may give. */
export const trust = { tape: 3, squareCorner: 0.03, pinnedCorner: 10 } as const;

export interface ClosedWalk {
  /** Corners clockwise seen from above, to 0.1 mm; the first wall runs north when walked rightwards. */
  outline: XY[];
  /** How far from the start the walk as measured ended, mm, and as a share of the way; 0 when a side was worked out from the rest. */
  gap: number;
  share: number;
  /** Each side in the order walked: as measured (null: worked out) and as used, mm; and the turn at its far end, degrees. */
  sides: { measured: number | null; used: number; turn: number | null; usedTurn: number }[];
  diagonals: (Diagonal & { used: number })[];
}

/**
 * Closes a walked room: the closing error is shared out over all sides and corners by least squares, each by how far it is trusted;
 * a measured diagonal pins the angles instead. Exact to 0.001 mm before rounding.
 * @throws nothing; what cannot be closed is returned as a refusal
 */
export function closeWalk(
  walk: Walk,
  diagonals: readonly Diagonal[] = [],
): { room: ClosedWalk } | { refusals: Refusal[] } {
  const n = walk.sides.length;
  const refuse = (message: string): { refusals: Refusal[] } => ({ refusals: [{ path: "walk", message }] });
  if (n < 3) return refuse("a room has at least three sides");
  for (const d of diagonals)
    if (d.from === d.to || d.from < 0 || d.to < 0 || d.from >= n || d.to >= n)
      return refuse(`the diagonal from corner ${d.from + 1} to ${d.to + 1} has no such corners; there are ${n}`);
  const full = walk.sides.reduce((s, x) => s + (x.turn ?? 0), 0) < 0 ? -2 * Math.PI : 2 * Math.PI;
  const start = firstGuess(walk);
  const known = walk.sides.filter((s) => s.length !== null).map((s) => s.length!);
  const angleTrust = (diagonals.length ? trust.pinnedCorner : trust.squareCorner) * (Math.PI / 180);
  // Unknowns: the lengths, then the headings of all sides but the first.
  let p = [...start.lengths, ...start.headings.slice(1)];
  const heading = (q: readonly number[], i: number): number => (i === 0 ? 0 : q[n + i - 1]!);
  const corners = (q: readonly number[]): XY[] => {
    const out: XY[] = [{ x: 0, y: 0 }];
    for (let i = 0; i < n; i++)
      out.push({ x: out[i]!.x + Math.sin(heading(q, i)) * q[i]!, y: out[i]!.y + Math.cos(heading(q, i)) * q[i]! });
    return out;
  };
  const size = p.length;
  for (let round = 0; round < 40; round++) {
    const at = corners(p);
    // Normal equations of the weighted observations, and under them the two that close the room.
    const rows = Array.from({ length: size + 2 }, () => new Array<number>(size + 2).fill(0));
    const right = new Array<number>(size + 2).fill(0);
    const observe = (grad: [number, number][], off: number, sigma: number): void => {
      for (const [i, gi] of grad) {
        right[i]! += (gi * off) / sigma ** 2;
        for (const [j, gj] of grad) rows[i]![j]! += (gi * gj) / sigma ** 2;
      }
    };
    walk.sides.forEach((s, i) => {
      // An unmeasured side is held by next to nothing, so that the sum stays solvable.
      observe([[i, 1]], (s.length ?? p[i]!) - p[i]!, s.length === null ? 1e7 : trust.tape);
      const grad: [number, number][] = [];
      if (i + 1 < n) grad.push([n + i, 1]);
      if (i > 0) grad.push([n + i - 1, -1]);
      const turned = (i + 1 < n ? heading(p, i + 1) : full) - heading(p, i);
      observe(grad, s.turn === null ? 0 : (s.turn * Math.PI) / 180 - turned, s.turn === null ? 1e4 : angleTrust);
    });
    const slopes = (i: number, k: number): { dx: number; dy: number } =>
      k === 0
        ? { dx: Math.sin(heading(p, i)), dy: Math.cos(heading(p, i)) }
        : { dx: Math.cos(heading(p, i)) * p[i]!, dy: -Math.sin(heading(p, i)) * p[i]! };
    for (const d of diagonals) {
      const [a, b] = [Math.min(d.from, d.to), Math.max(d.from, d.to)];
      const dx = at[b]!.x - at[a]!.x;
      const dy = at[b]!.y - at[a]!.y;
      const long = Math.hypot(dx, dy) || 1;
      const grad: [number, number][] = [];
      for (let i = a; i < b; i++) {
        const l = slopes(i, 0);
        grad.push([i, (dx * l.dx + dy * l.dy) / long]);
        const t = slopes(i, 1);
        if (i > 0) grad.push([n + i - 1, (dx * t.dx + dy * t.dy) / long]);
      }
      observe(grad, d.length - long, trust.tape);
    }
    for (let i = 0; i < n; i++) {
      const l = slopes(i, 0);
      const put = (row: number, col: number, value: number): void => {
        rows[row]![col] = value;
        rows[col]![row] = value;
      };
      put(size, i, l.dx);
      put(size + 1, i, l.dy);
      if (i > 0) {
        const t = slopes(i, 1);
        put(size, n + i - 1, t.dx);
        put(size + 1, n + i - 1, t.dy);
      }
    }
    right[size] = -at[n]!.x;
    right[size + 1] = -at[n]!.y;
    const step = solve(rows, right);
    if (!step || step.some((x) => !Number.isFinite(x)))
      return refuse(
        "the room does not close: the sides that could not be measured run the same way; measure one of them",
      );
    p = p.map((x, i) => x + step[i]!);
    if (Math.max(...step.slice(0, size).map(Math.abs)) < 1e-7) break;
  }
  const at = corners(p);
  if (p.slice(0, n).some((x) => x < 10))
    return refuse("the room does not close with these lengths: a side would come out at nothing; look at the turns");
  if (Math.hypot(at[n]!.x, at[n]!.y) > 0.5)
    return refuse("the room does not close with these turns; look at them again");
  const raw = stepsOf(walk);
  const gap = known.length === n ? Math.hypot(raw[n]!.x, raw[n]!.y) : 0;
  const rounded = at.slice(0, n).map((c) => ({ x: Math.round(c.x * 10) / 10 + 0, y: Math.round(c.y * 10) / 10 + 0 }));
  const used = p.slice(0, n);
  return {
    room: {
      outline: signedArea(rounded) > 0 ? [...rounded].reverse() : rounded,
      gap,
      share:
        gap /
        Math.max(
          1,
          known.reduce((s, x) => s + x, 0),
        ),
      sides: walk.sides.map((s, i) => ({
        measured: s.length,
        used: used[i]!,
        turn: s.turn,
        usedTurn: (((i + 1 < n ? heading(p, i + 1) : full) - heading(p, i)) * 180) / Math.PI,
      })),
      diagonals: diagonals.map((d) => ({
        ...d,
        used: Math.hypot(at[d.to]!.x - at[d.from]!.x, at[d.to]!.y - at[d.from]!.y),
      })),
    },
  };
}

/** Lengths and headings to start from: unmeasured sides from what is left of the way, unknown turns from the way back. */
function firstGuess(walk: Walk): { lengths: number[]; headings: number[] } {
  const n = walk.sides.length;
  const headings = [0];
  for (let i = 0; i + 1 < n; i++) headings.push(headings[i]! + ((walk.sides[i]!.turn ?? 0) * Math.PI) / 180);
  const steps = stepsOf(walk);
  const gap = { x: -steps[n]!.x, y: -steps[n]!.y };
  const last = walk.sides[n - 1]!;
  if (last.length === null && last.turn === null) {
    // Straight home: its heading is the way back, near the turn of the rest.
    let h = Math.atan2(gap.x, gap.y);
    const full = walk.sides.reduce((s, x) => s + (x.turn ?? 0), 0) < 0 ? -1 : 1;
    while ((h - headings[n - 2]!) * full <= 0) h += full * 2 * Math.PI;
    while ((h - headings[n - 2]!) * full > 2 * Math.PI) h -= full * 2 * Math.PI;
    headings[n - 1] = h;
  }
  const lengths = walk.sides.map((s) => s.length ?? 0);
  const unknown = walk.sides.flatMap((s, i) => (s.length === null ? [i] : []));
  const way = (i: number): XY => ({ x: Math.sin(headings[i]!), y: Math.cos(headings[i]!) });
  if (unknown.length === 1) {
    const w = way(unknown[0]!);
    lengths[unknown[0]!] = Math.max(100, gap.x * w.x + gap.y * w.y);
  }
  if (unknown.length === 2) {
    const [a, b] = [way(unknown[0]!), way(unknown[1]!)];
    const det = a.x * b.y - a.y * b.x;
    if (Math.abs(det) > 1e-6) {
      lengths[unknown[0]!] = (gap.x * b.y - gap.y * b.x) / det;
      lengths[unknown[1]!] = (a.x * gap.y - a.y * gap.x) / det;
    }
  }
  return { lengths, headings };
}

/** What to say of the closing error. Typical practice: a few millimetres in ten metres is the tape; more is a misread side. */
export function gapWords(r: Pick<ClosedWalk, "gap" | "share">): string {
  if (r.gap < 0.5) return "Closes.";
  return `Ends ${mm(r.gap)} from where it began, ${(r.share * 100).toFixed(1)} % of the way round; shared out over the sides.${r.share > 0.005 ? " That is more than a tape's slip: measure again, or take a diagonal." : ""}`;
}
