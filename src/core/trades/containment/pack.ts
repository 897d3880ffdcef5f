import { EPS } from "../../base/tolerance";
import type { Filling, Inside } from "./space-fill";

/** A cable where it lies in the section: middle x, y (y up from the bottom), mm. Flat cable lies flat: `w` across, `h` high. */
export type Packed =
  | { shape: "round"; x: number; y: number; r: number; size: number }
  | { shape: "flat"; x: number; y: number; w: number; h: number; size: number };

/** Columns tried across the section for each cable. */
const COLUMNS = 160;

/** Height of the top of what lies at `x` under a cable of half width `a`, as its middle would rest; exact for rounds and flats. */
function restOn(below: Packed, c: Packed, x: number): number {
  const dx = Math.abs(x - below.x);
  if (c.shape === "round" && below.shape === "round") {
    const d = c.r + below.r;
    return dx >= d ? -Infinity : below.y + Math.sqrt(d * d - dx * dx);
  }
  if (c.shape === "flat" && below.shape === "flat")
    return dx >= (c.w + below.w) / 2 - EPS ? -Infinity : below.y + (c.h + below.h) / 2;
  if (c.shape === "round" && below.shape === "flat") {
    const over = Math.max(0, dx - below.w / 2);
    return over >= c.r ? -Infinity : below.y + below.h / 2 + Math.sqrt(c.r * c.r - over * over);
  }
  if (c.shape === "flat" && below.shape === "round") {
    const over = Math.max(0, dx - c.w / 2);
    return over >= below.r ? -Infinity : below.y + Math.sqrt(below.r * below.r - over * over) + c.h / 2;
  }
  return -Infinity;
}

/** Height at which a cable rests on the bottom of the section at x, or null where it does not stand inside it. */
function restOnFloor(inside: Inside, c: Packed, x: number): number | null {
  if (!("diameter" in inside)) {
    const half = c.shape === "round" ? c.r : c.w / 2;
    if (x < half - EPS || x > inside.width - half + EPS) return null;
    return c.shape === "round" ? c.r : c.h / 2;
  }
  const R = inside.diameter / 2;
  const dx = Math.abs(x - R);
  if (c.shape === "round") return dx > R - c.r + EPS ? null : R - Math.sqrt(Math.max(0, (R - c.r) ** 2 - dx * dx));
  const far = dx + c.w / 2;
  return far > R ? null : R - Math.sqrt(R * R - far * far) + c.h / 2;
}

function belowTop(inside: Inside, c: Packed, x: number, y: number): boolean {
  if (!("diameter" in inside)) return y + (c.shape === "round" ? c.r : c.h / 2) <= inside.height + EPS;
  const R = inside.diameter / 2;
  if (c.shape === "round") return Math.hypot(x - R, y - R) <= R - c.r + EPS;
  return Math.hypot(Math.abs(x - R) + c.w / 2, y + c.h / 2 - R) <= R + EPS;
}

/**
 * Lays cables into a section as if dropped in, largest first, each where it comes to rest lowest: a picture of the fill that
 * never overlaps. `left` counts those that found no place when only dropped, which says nothing of the 45 % rule.
 */
export function pack(inside: Inside, cables: readonly Filling[]): { placed: Packed[]; left: number } {
  const pieces: Packed[] = cables.flatMap((c, size) =>
    Array.from({ length: c.qty }, (): Packed =>
      "diameter" in c
        ? { shape: "round", x: 0, y: 0, r: c.diameter / 2, size }
        : { shape: "flat", x: 0, y: 0, w: Math.max(c.width, c.thickness), h: Math.min(c.width, c.thickness), size },
    ),
  );
  const area = (p: Packed): number => (p.shape === "round" ? Math.PI * p.r * p.r : p.w * p.h);
  pieces.sort((a, b) => area(b) - area(a) || a.size - b.size);
  const across = "diameter" in inside ? inside.diameter : inside.width;
  const placed: Packed[] = [];
  let left = 0;
  for (const piece of pieces) {
    const half = piece.shape === "round" ? piece.r : piece.w / 2;
    // Columns evenly across, and those where it just touches what lies there already.
    const columns = Array.from({ length: COLUMNS + 1 }, (_, i) => half + ((across - 2 * half) * i) / COLUMNS);
    for (const p of placed) {
      const reach = (p.shape === "round" ? p.r : p.w / 2) + half;
      columns.push(p.x - reach, p.x + reach);
    }
    let best: { x: number; y: number } | null = null;
    for (const x of columns) {
      const floor = restOnFloor(inside, piece, x);
      if (floor === null) continue;
      let y = floor;
      for (const p of placed) y = Math.max(y, restOn(p, piece, x));
      if (!belowTop(inside, piece, x, y)) continue;
      if (best === null || y < best.y - EPS || (y <= best.y + EPS && x < best.x)) best = { x, y };
    }
    if (best) placed.push({ ...piece, ...best });
    else left++;
  }
  return { placed, left };
}
