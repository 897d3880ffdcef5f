import { conductorResistance } from "../../rules/resistance";

/** Rise of copper's resistance per degree above 20 °C. */
const PER_DEGREE = 0.004;

export interface RingPoint {
  id: string;
  /** Crossed line and neutral, crossed line and protective conductor, Ω; null for an open circuit. */
  lineNeutral: number | null;
  lineEarth: number | null;
}

/** Resistance of a conductor, Ω per mm at the temperature; null when its section is not in the table. */
export function perMillimetre(csa: number, temperature: number): number | null {
  const r = conductorResistance[String(csa)];
  return r === undefined ? null : (r / 1e6) * (1 + PER_DEGREE * (temperature - 20));
}

/**
 * Readings of a sound ring, Ω. Conductors crossed at the board read a quarter of both together at every point on the ring; a
 * spur reads higher by its own length. On a ring whose two conductors differ in size the line–earth reading truly is a little
 * lower near the board: `lineEarthHere` gives that to full precision, `lineEarth` the working figure.
 * @param length once round the ring, mm
 */
export function ringReadings(
  length: number,
  line: number,
  cpc: number,
  points: readonly { id: string; at: number }[],
  spurs: readonly { id: string; at: number; length: number }[],
): {
  r1: number;
  rn: number;
  r2: number;
  points: { id: string; lineNeutral: number; lineEarth: number; lineEarthHere: number }[];
} {
  const r1 = length * line;
  const r2 = length * cpc;
  const here = (at: number): number => {
    const a = at * line + (length - at) * cpc;
    const b = (length - at) * line + at * cpc;
    return (a * b) / (a + b);
  };
  const on = (
    id: string,
    at: number,
    spur: number,
  ): { id: string; lineNeutral: number; lineEarth: number; lineEarthHere: number } => ({
    id,
    lineNeutral: (r1 + r1) / 4 + spur * 2 * line,
    lineEarth: (r1 + r2) / 4 + spur * (line + cpc),
    lineEarthHere: here(at) + spur * (line + cpc),
  });
  return {
    r1,
    rn: r1,
    r2,
    points: [...points.map((p) => on(p.id, p.at, 0)), ...spurs.map((s) => on(s.id, s.at, s.length))],
  };
}
