import { atMost } from "../../base/tolerance";

/** Supports of conduit and trunking, m, horizontal / vertical. Source: on-site working practice to BS 7671:2018+A2:2022, spacing of supports. */
type Pair = readonly [horizontal: number, vertical: number];
export type ConduitMaterial = "metal" | "insulating" | "pliable";

export const conduitSupports: readonly { upTo: number; metal: Pair; insulating: Pair; pliable: Pair }[] = [
  { upTo: 16, metal: [0.75, 1], insulating: [0.75, 1], pliable: [0.3, 0.5] },
  { upTo: 25, metal: [1.75, 2], insulating: [1.5, 1.75], pliable: [0.4, 0.6] },
  { upTo: 40, metal: [2, 2.25], insulating: [1.75, 2], pliable: [0.6, 0.8] },
  { upTo: Infinity, metal: [2.25, 2.5], insulating: [2, 2], pliable: [0.8, 1] },
];

/** By section, mm²; from 300 up. */
export const trunkingSupports: readonly { over: number; upTo: number; metal: Pair; insulating: Pair }[] = [
  { over: 300, upTo: 700, metal: [0.75, 1], insulating: [0.5, 0.5] },
  { over: 700, upTo: 1500, metal: [1.25, 1.5], insulating: [0.5, 0.5] },
  { over: 1500, upTo: 2500, metal: [1.75, 2], insulating: [1.25, 1.25] },
  { over: 2500, upTo: 5000, metal: [3, 3], insulating: [1.5, 2] },
  { over: 5000, upTo: Infinity, metal: [3, 3], insulating: [1.75, 2] },
];

const band = (over: number, upTo: number, unit: string): string =>
  upTo === Infinity ? `> ${over} ${unit}` : over === 0 ? `≤ ${upTo} ${unit}` : `> ${over} ≤ ${upTo} ${unit}`;

/** Farthest between supports of conduit of that outside diameter, mm. Inclusive at 16, 25 and 40. */
export function conduitSupport(
  material: ConduitMaterial,
  outside: number,
  vertical: boolean,
): { max: number; band: string } {
  const i = conduitSupports.findIndex((r) => atMost(outside, r.upTo));
  const row = conduitSupports[i]!;
  return {
    max: row[material][vertical ? 1 : 0] * 1000,
    band: band(i === 0 ? 0 : conduitSupports[i - 1]!.upTo, row.upTo, "mm"),
  };
}

/** Farthest between supports of trunking of that section (mm²), mm; null up to 300 mm², for which none is published. Inclusive at the upper edges. */
export function trunkingSupport(
  material: "metal" | "insulating",
  section: number,
  vertical: boolean,
): { max: number | null; band: string } {
  if (atMost(section, 300)) return { max: null, band: "≤ 300 mm²" };
  const row = trunkingSupports.find((r) => atMost(section, r.upTo))!;
  return { max: row[material][vertical ? 1 : 0] * 1000, band: band(row.over, row.upTo, "mm²") };
}
