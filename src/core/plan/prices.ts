import type { Pack } from "../job/supplies";
import type { TakeOffLine } from "../laid/laid";

/** What things cost by the user's own price list, pence, and the names of those that are not on it, each once. */
export interface Cost {
  price: number;
  unpriced: string[];
}

/** Price of one unit of an item, pence, by the pack that is cheapest for what it holds; null where no pack of it has a price. */
export function unitPrice(line: Pick<TakeOffLine, "item" | "size">, packs: readonly Pack[]): number | null {
  const same = (p: Pack): boolean =>
    p.item.toLowerCase() === line.item.toLowerCase() && p.size.toLowerCase() === line.size.toLowerCase();
  const rates = packs.flatMap((p) => (same(p) && p.price !== null ? [p.price / p.holds] : []));
  return rates.length ? Math.min(...rates) : null;
}

/**
 * What lines of a take-off cost as used, pence: their share of a pack, not whole packs. Devices of the board are in no take-off, and not in
 * this.
 */
export function costOf(lines: readonly TakeOffLine[], packs: readonly Pack[]): Cost {
  let price = 0;
  const unpriced = new Set<string>();
  for (const l of lines) {
    const each = unitPrice(l, packs);
    if (each === null) unpriced.add([l.item, l.size].filter(Boolean).join(" "));
    else price += each * l.quantity;
  }
  return { price, unpriced: [...unpriced].sort() };
}
