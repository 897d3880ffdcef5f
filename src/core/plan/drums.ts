import type { Drum } from "../job/model";
import { cutStock } from "./cut-stock";

/** Pieces of one cable cut from its drums. */
export interface DrumCuts {
  cable: string;
  drums: { id: string; label: string; length: number; pieces: { run: string; length: number }[]; left: number }[];
  /** Pieces for which no drum has enough left. */
  unmet: { run: string; length: number }[];
  /** Metres short in all: the sum of unmet pieces, mm. */
  short: number;
  /** True when nothing better exists. */
  proven: boolean;
}

/** Branches spent on a proof while a plan is made; the Bench spends more. */
const PLAN_BUDGET = 4000;

/** Which piece comes off which drum: least unmet, fewest drums opened, then the longest remnant kept. */
export function cutDrums(
  cable: string,
  pieces: readonly { run: string; length: number }[],
  stock: readonly Drum[],
): DrumCuts {
  const own = stock.filter((d) => d.cable === cable);
  const plan = cutStock(
    pieces.map((p) => ({ id: p.run, length: p.length })),
    own,
    PLAN_BUDGET,
  );
  const piece = new Map(pieces.map((p) => [p.run, p]));
  const cutOf = new Map(plan.cuts.map((c) => [c.stock, c]));
  const drums = own.map((d) => ({
    id: d.id,
    label: d.label,
    length: d.length,
    pieces: (cutOf.get(d.id)?.pieces ?? []).map((id) => piece.get(id)!),
    left: cutOf.get(d.id)?.left ?? d.length,
  }));
  const unmet = plan.unmet.map((id) => piece.get(id)!);
  return { cable, drums, unmet, short: unmet.reduce((s, p) => s + p.length, 0), proven: plan.optimal };
}
