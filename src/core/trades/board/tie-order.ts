/** A cable that comes to a board. */
export interface ComingCable {
  id: string;
  /**
   * Way it goes to, nought for the main switch; null where its circuit has none yet: it then lies past the others of its block, and
   * crosses none.
   */
  way: number | null;
  /**
   * Cables of one block come along one section or drop and may be tied in any order at its far end; blocks come in at the board in
   * the order of their numbers, which is fixed by where they stand.
   */
  block: number;
}

const wayOf = (c: ComingCable): number => c.way ?? Infinity;

/** Pairs of cables that cross between the order they are tied in and their ways. Two on one way, as of a ring, do not cross. */
export function crossingsIn(order: readonly ComingCable[]): number {
  let n = 0;
  order.forEach((a, i) => {
    for (const b of order.slice(i + 1)) if (a.way !== null && b.way !== null && a.way > b.way) n++;
  });
  return n;
}

/**
 * The order to tie cables in at the far end, and how many still cross: block by block, each sorted by its ways. Within a block none
 * then crosses; between blocks a pair crosses whatever is done, so that no order has fewer.
 */
export function tieOrder(cables: readonly ComingCable[]): { order: ComingCable[]; crossings: number } {
  const order = [...cables].sort(
    (a, b) => a.block - b.block || ascending(wayOf(a), wayOf(b)) || (a.id < b.id ? -1 : 1),
  );
  return { order, crossings: crossingsIn(order) };
}

const ascending = (a: number, b: number): number => (a === b ? 0 : a < b ? -1 : 1);

/** Cables in an order that a person gave: those named first as named, each kept in its block; the rest as they would be tied. */
export function asGiven(cables: readonly ComingCable[], given: readonly string[]): ComingCable[] {
  const place = new Map(given.map((id, i) => [id, i]));
  const best = tieOrder(cables).order;
  const at = (c: ComingCable): number => place.get(c.id) ?? Infinity;
  return best
    .map((c, i) => ({ c, i }))
    .sort((a, b) => a.c.block - b.c.block || ascending(at(a.c), at(b.c)) || a.i - b.i)
    .map(({ c }) => c);
}
