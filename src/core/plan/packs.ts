import { EPS } from "../base/tolerance";
import type { Pack } from "../job/supplies";
import { type Piece, cutStock } from "./cut-stock";

/** So many packs of each size, at least `need` in all. Prices pence; null where a pack of it has none. */
export interface Bought {
  packs: { pack: Pack; count: number }[];
  holds: number;
  price: number | null;
  /** Nothing cheaper holds as much. */
  proven: boolean;
}

/** Choices looked at before the best found is given without a proof. */
const BUDGET = 20_000;
/** Branches spent on one choice of drums. */
const CUTS = 2000;

/** Price of a pack for the choice: without any price the one that holds most counts as one of each. */
const cost = (p: Pack, priced: boolean): number => (priced ? p.price! : 1 + p.holds * 1e-6);

/**
 * The cheapest packs that hold at least so much: whole numbers of each, the least price, then the least over. Where no pack has a
 * price the fewest packs are taken; where only some have, those without are left out. Exact within the budget of choices.
 * @param fits whether a choice will do, beyond holding enough: lengths that every piece can be cut from
 * @param more how many more of a pack than hold enough may be of use where not every choice fits
 */
export function cheapest(
  need: number,
  packs: readonly Pack[],
  fits: (held: readonly { pack: Pack; count: number }[]) => boolean = () => true,
  more = 0,
): Bought | null {
  const some = packs.some((p) => p.price !== null);
  const list = packs
    .filter((p) => !some || p.price !== null)
    .sort((a, b) => cost(a, some) / a.holds - cost(b, some) / b.holds || b.holds - a.holds || (a.id < b.id ? -1 : 1));
  if (need <= EPS) return { packs: [], holds: 0, price: 0, proven: true };
  if (!list.length) return null;
  const rate = Math.min(...list.map((p) => cost(p, some) / p.holds));
  let best: { counts: number[]; cost: number; holds: number } | null = null;
  let tries = 0;
  const counts = list.map(() => 0);
  const go = (i: number, held: number, spent: number): void => {
    if (tries++ > BUDGET) return;
    const least = spent + Math.max(0, need - held) * rate;
    if (best && (least > best.cost + EPS || (least > best.cost - EPS && held > best.holds - EPS))) return;
    if (held >= need - EPS && fits(list.map((pack, k) => ({ pack, count: counts[k]! })))) {
      if (!best || spent < best.cost - EPS || held < best.holds - EPS)
        best = { counts: [...counts], cost: spent, holds: held };
      return;
    }
    if (i === list.length) return;
    const p = list[i]!;
    const enough = Math.ceil(Math.max(0, need - held) / p.holds - EPS);
    for (let k = 0; k <= enough + more; k++) {
      // From just enough downwards, then the more than enough that pieces may ask for.
      const n = k <= enough ? enough - k : k;
      counts[i] = n;
      go(i + 1, held + n * p.holds, spent + n * cost(p, some));
    }
    counts[i] = 0;
  };
  go(0, 0, 0);
  if (!best) return null;
  const found: { counts: number[]; holds: number } = best;
  const chosen = list.map((pack, i) => ({ pack, count: found.counts[i]! })).filter((x) => x.count > 0);
  return {
    packs: chosen,
    holds: found.holds,
    price: some ? chosen.reduce((s, x) => s + x.count * x.pack.price!, 0) : null,
    proven: tries <= BUDGET,
  };
}

/** The cheapest lengths that every piece can be cut from; metres of packs, pieces mm. Null where the longest is too short for one. */
export function cheapestLengths(pieces: readonly Piece[], packs: readonly Pack[]): Bought | null {
  const need = pieces.reduce((s, p) => s + p.length, 0) / 1000;
  const longest = Math.max(0, ...packs.map((p) => p.holds * 1000));
  if (pieces.some((p) => p.length > longest + EPS)) return null;
  return cheapest(
    need,
    packs,
    (held) => {
      const stock = held.flatMap(({ pack, count }) =>
        Array.from({ length: count }, (_, k): Piece => ({ id: `${pack.id}.${k}`, length: pack.holds * 1000 })),
      );
      return !cutStock(pieces, stock, CUTS).unmet.length;
    },
    pieces.length,
  );
}
