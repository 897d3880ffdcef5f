import type { BuyingLine } from "../record/buying";

/** "£12.40" of pence. */
export const moneyWords = (pence: number): string => `£${(pence / 100).toFixed(2)}`;

/** "12.4 m", or how many. */
export const amountWords = (x: number, unit: BuyingLine["unit"] | null): string =>
  unit === "m" ? `${x.toFixed(1)}\u00a0m` : String(Math.round(x * 100) / 100);

/** "2 × 100 and 1 × 20". */
export const packWords = (l: Pick<BuyingLine, "bought" | "listed">): string =>
  l.bought
    ? l.bought.packs.map((p) => `${p.count} × ${p.pack.holds}${p.pack.code ? ` (${p.pack.code})` : ""}`).join(" and ")
    : l.listed
      ? "no pack is long enough"
      : "no pack in the price list";
