/** What decides which way a circuit gets. */
export interface WayCircuit {
  id: string;
  label: string;
  rating: number;
  /** The rooms it serves in the order one walks them, lowest storey first: their numbers. */
  rooms: readonly number[];
  /** The way it has; kept where `fixed`. */
  way: number | null;
  fixed: boolean;
}

/** Ways by circuit from 1 next to the main switch. */
export type Ways = ReadonlyMap<string, number>;

const byLabel = (a: WayCircuit, b: WayCircuit): number =>
  a.label.localeCompare(b.label, "en", { numeric: true }) || (a.id < b.id ? -1 : 1);

/**
 * A way for every circuit: fixed ones stay, the rest take the free ways in order. Heaviest first, next to the main switch; or by
 * room, in the order one walks the house. Equal ones go by label.
 */
export function giveWays(circuits: readonly WayCircuit[], school: "heaviest" | "by-room"): Ways {
  const out = new Map<string, number>();
  for (const c of circuits) if (c.fixed && c.way !== null) out.set(c.id, c.way);
  const taken = new Set(out.values());
  const rest = circuits
    .filter((c) => !out.has(c.id))
    .sort((a, b) =>
      school === "heaviest"
        ? b.rating - a.rating || byLabel(a, b)
        : (a.rooms[0] ?? Infinity) - (b.rooms[0] ?? Infinity) || b.rating - a.rating || byLabel(a, b),
    );
  let way = 1;
  for (const c of rest) {
    while (taken.has(way)) way++;
    out.set(c.id, way);
    taken.add(way);
  }
  return out;
}
