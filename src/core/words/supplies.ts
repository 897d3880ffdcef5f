import type { Cost } from "../plan/prices";
import type { BuyingLine } from "../record/buying";

/** "£12.40" of pence. */
export const moneyWords = (pence: number): string => `£${(pence / 100).toFixed(2)}`;

/** "£12.40", with what of it has no price: all of it, one thing by name, or how many. */
export function costWords({ price, unpriced }: Cost): string {
  const n = unpriced.length;
  if (!n) return moneyWords(price);
  if (price === 0) return `no price known: the price list has none of its ${n === 1 ? "items" : `${n} items`}`;
  return `${moneyWords(price)}, without ${n === 1 ? unpriced[0] : `${n} items`} that the price list has no price of`;
}

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
