import type { Drum } from "../job/model";

/** Pieces of one cable cut from its drums. */
export interface DrumCuts {
  cable: string;
  drums: { id: string; label: string; length: number; pieces: { run: string; length: number }[]; left: number }[];
  /** Pieces for which no drum has enough left. */
  unmet: { run: string; length: number }[];
  /** Metres short in all: the sum of unmet pieces, mm. */
  short: number;
}

/**
 * Which piece comes off which drum: longest piece first, each from the fullest-used drum that still holds it,
 * so that short offcuts are used before a new drum is opened. A good plan, not a proven one.
 */
export function cutDrums(cable: string, pieces: readonly { run: string; length: number }[], stock: readonly Drum[]): DrumCuts {
  const drums = stock
    .filter((d) => d.cable === cable)
    .map((d) => ({ id: d.id, label: d.label, length: d.length, pieces: [] as { run: string; length: number }[], left: d.length }));
  const unmet: { run: string; length: number }[] = [];
  const byLength = [...pieces].sort((a, b) => b.length - a.length || (a.run < b.run ? -1 : 1));
  for (const p of byLength) {
    const fits = drums.filter((d) => d.left >= p.length - 1e-6).sort((a, b) => a.left - b.left || (a.id < b.id ? -1 : 1));
    const d = fits[0];
    if (!d) {
      unmet.push(p);
      continue;
    }
    d.pieces.push(p);
    d.left -= p.length;
  }
  return { cable, drums, unmet, short: unmet.reduce((s, p) => s + p.length, 0) };
}
