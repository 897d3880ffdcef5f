export interface BoardCircuit {
  id: string;
  rating: number;
  /** Position in the trunking, 0 nearest the main-switch side. */
  arrival: number;
}

/** Pairs that change places between two orders: each is one cable crossing another. */
export function crossings(from: readonly string[], to: readonly string[]): number {
  const place = new Map(to.map((id, i) => [id, i]));
  const seq = from.flatMap((id) => place.get(id) ?? []);
  let n = 0;
  for (let i = 0; i < seq.length; i++) for (let j = i + 1; j < seq.length; j++) if (seq[i]! > seq[j]!) n++;
  return n;
}

/**
 * Ways of a board: fixed circuits where they are, the rest heaviest next to the main switch (equal ratings as they arrive). Way 1
 * is next to the main switch. `null` is an empty way. `crossings` counts cables that cross on the way in; `arrivalOrder` is the
 * order in the trunking that would give none.
 */
export function entryOrder(
  circuits: readonly BoardCircuit[],
  fixed: readonly { id: string; way: number }[],
): { order: (string | null)[]; crossings: number; arrivalOrder: string[] } {
  const order: (string | null)[] = [];
  for (const f of fixed) order[f.way - 1] = f.id;
  const held = new Set(fixed.map((f) => f.id));
  const rest = circuits
    .filter((c) => !held.has(c.id))
    .sort((a, b) => b.rating - a.rating || a.arrival - b.arrival || (a.id < b.id ? -1 : 1));
  let way = 0;
  for (const c of rest) {
    while (order[way] !== undefined) way++;
    order[way] = c.id;
  }
  const ways = Array.from(order, (id) => id ?? null);
  const arrivalOrder = ways.filter((id): id is string => id !== null);
  const arriving = [...circuits].sort((a, b) => a.arrival - b.arrival || (a.id < b.id ? -1 : 1)).map((c) => c.id);
  return { order: ways, crossings: crossings(arriving, arrivalOrder), arrivalOrder };
}
