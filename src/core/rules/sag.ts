import { GRAVITY } from "./masses";

/** A wire hung between two supports, as a parabola. Lengths mm, forces N. Source: statics; s = w·L²/(8·T). */
export interface Span {
  /** Between the supports, level. */
  length: number;
  /** Heights of both supports above one datum. */
  from: number;
  to: number;
  /** Weight of wire and cable, N a metre. */
  weight: number;
  /** Pull in the wire along the level, N. */
  tension: number;
}

/** Weight of what hangs, N a metre, from masses in kg a metre. */
export const weightOf = (...masses: readonly number[]): number => masses.reduce((s, m) => s + m, 0) * GRAVITY;

/** Dip of the middle below the straight line between the supports, mm. */
export const sagOf = (s: Pick<Span, "length" | "weight" | "tension">): number =>
  ((s.weight / 1000) * s.length ** 2) / (8 * s.tension);

/** Height of the wire so far from its first support, mm. */
export function heightAt(s: Span, x: number): number {
  const t = x / s.length;
  return s.from + (s.to - s.from) * t - 4 * sagOf(s) * t * (1 - t);
}

/** Lowest place of the wire between two places along it: how far along, and how high. */
export function lowestOf(s: Span, from = 0, to = s.length): { at: number; height: number } {
  const sag = sagOf(s);
  // Where the parabola lies level; past a support the end is lowest.
  const bottom = sag > 0 ? s.length * (0.5 - (s.to - s.from) / (8 * sag)) : s.to < s.from ? s.length : 0;
  const at = Math.min(to, Math.max(from, bottom));
  return { at, height: heightAt(s, at) };
}

/** Length of the wire itself between its supports, mm: the arc of the parabola, exact. */
export function arcOf(s: Span): number {
  const sag = sagOf(s);
  const slope = (s.to - s.from) / s.length;
  if (sag <= 0) return Math.hypot(s.length, s.to - s.from);
  // y' runs evenly from slope − 4·sag/L to slope + 4·sag/L.
  const k = (8 * sag) / s.length ** 2;
  const antiderivative = (p: number): number => (p * Math.hypot(1, p) + Math.asinh(p)) / (2 * k);
  const steep = (4 * sag) / s.length;
  return antiderivative(slope + steep) - antiderivative(slope - steep);
}

/** Most pull in the wire, at its higher support, N: level pull and half the weight, and what a slope adds. */
export function mostPull(s: Span): number {
  const sag = sagOf(s);
  const slope = Math.abs(s.to - s.from) / s.length + (4 * sag) / s.length;
  return s.tension * Math.hypot(1, slope);
}
