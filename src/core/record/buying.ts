import type { House } from "../house/house";
import type { SiteEntry } from "../job/site-entry";
import type { Pack } from "../job/supplies";
import type { Plan, TakeOffLine } from "../laid/laid";
import { type Bought, cheapest, cheapestLengths } from "../plan/packs";
import { totals } from "../plan/take-off";
import { cableOf } from "../rules/catalogue";
import { cutsToCome, drumsOf, runsToCut } from "./drums";

/** One item of the buying list. Quantities in its unit; prices pence. */
export interface BuyingLine {
  item: string;
  size: string;
  unit: TakeOffLine["unit"];
  /** In all, by the plan; cable as what is still to be cut. */
  needed: number;
  /** On the van; of cable what the drums and offcuts hold of it. */
  there: number;
  toBuy: number;
  /** Null where the price list has no pack of it, or none long enough. */
  bought: Bought | null;
  /** Packs there are of it at all. */
  listed: number;
}

const same = (a: { item: string; size: string }, b: { item: string; size: string }): boolean =>
  a.item.toLowerCase() === b.item.toLowerCase() && a.size.toLowerCase() === b.size.toLowerCase();

/** Whether a unit is counted in whole things. */
const rounded = (x: number, unit: TakeOffLine["unit"]): number => (unit === "each" ? Math.ceil(x - 1e-6) : x);

/**
 * What is still to be bought: the take-off less what is on the van, in the cheapest packs; cable by the lengths that the drums and
 * offcuts cannot give, in drums that every length can be cut from.
 */
export function buyingList(h: House, plan: Plan, entries: readonly SiteEntry[]): BuyingLine[] {
  const { job } = h;
  const packsOf = (l: { item: string; size: string }): Pack[] => job.packs.filter((p) => same(p, l));
  const left = runsToCut(plan, entries);
  const cuts = new Map(
    cutsToCome(left, drumsOf(job, entries)).map((c) => [cableOf(c.cable, h.catalogue)?.name ?? c.cable, c] as const),
  );
  return totals(plan.takeoff).flatMap((l): BuyingLine[] => {
    const packs = packsOf(l);
    const base = { item: l.item, size: l.size, unit: l.unit, listed: packs.length };
    if (l.item === "Cable") {
      const c = cuts.get(l.size);
      if (!c) return [];
      const pieces = c.unmet.map((p) => ({ id: p.run, length: p.length }));
      const needed = left.filter((r) => r.cable === c.cable).reduce((s, r) => s + r.cutLength, 0) / 1000;
      const toBuy = c.short / 1000;
      return [{ ...base, needed, there: needed - toBuy, toBuy, bought: cheapestLengths(pieces, packs) }];
    }
    const stock = job.stock.filter((s) => same(s, l)).reduce((n, s) => n + s.quantity, 0);
    const needed = rounded(l.quantity, l.unit);
    const toBuy = Math.max(0, rounded(needed - stock, l.unit));
    return [{ ...base, needed, there: Math.min(stock, needed), toBuy, bought: cheapest(toBuy, packs) }];
  });
}

/** What the list costs as far as prices are known, pence, and how many items have none. */
export function buyingCost(lines: readonly BuyingLine[]): { price: number; unpriced: number } {
  const open = lines.filter((l) => l.toBuy > 0);
  return {
    price: open.reduce((s, l) => s + (l.bought?.price ?? 0), 0),
    unpriced: open.filter((l) => l.bought === null || l.bought.price === null).length,
  };
}

/** One line of an order or delivery note. */
export interface OrderLine {
  item: string;
  size: string;
  quantity: number;
}
export interface OrderDifference {
  item: string;
  size: string;
  unit: TakeOffLine["unit"] | null;
  /** Still to buy, and in the order. */
  needed: number;
  ordered: number;
  kind: "missing" | "short" | "over" | "not-in-job" | "right";
}

/** An order held against what is still to be bought: left out, too few, more than the packs ask for, and not of this job. */
export function compareOrder(lines: readonly BuyingLine[], order: readonly OrderLine[]): OrderDifference[] {
  const ordered = (l: { item: string; size: string }): number =>
    order.filter((o) => same(o, l)).reduce((s, o) => s + o.quantity, 0);
  const needed = lines
    .filter((l) => l.toBuy > 0 || ordered(l) > 0)
    .map((l): OrderDifference => {
      const got = ordered(l);
      const most = Math.max(l.toBuy, l.bought?.holds ?? 0);
      const kind = got === 0 ? "missing" : got < l.toBuy - 1e-6 ? "short" : got > most + 1e-6 ? "over" : "right";
      return { item: l.item, size: l.size, unit: l.unit, needed: l.toBuy, ordered: got, kind };
    });
  const others = order.filter((o) => !lines.some((l) => same(l, o)));
  return [
    ...needed,
    ...others.map((o): OrderDifference => ({
      item: o.item,
      size: o.size,
      unit: null,
      needed: 0,
      ordered: o.quantity,
      kind: "not-in-job",
    })),
  ];
}
