import type { SiteEntry, Step } from "../job/site-entry";

const times = new WeakMap<object, number>();

/** When a line was made, ms since 1970; read from its words once. */
export function timeOf(e: Pick<SiteEntry, "at">): number {
  const there = times.get(e);
  if (there !== undefined) return there;
  const at = Date.parse(e.at);
  times.set(e, at);
  return at;
}

/**
 * Lines in the order they happened. A line made by someone who saw another comes after it, whatever the clocks of their phones
 * say; else by time, and equal times by id. A line that names what is not there, or that ends in itself, goes by its time.
 */
export function inOrder<E extends Pick<SiteEntry, "id" | "at" | "after">>(entries: readonly E[]): E[] {
  const byId = new Map(entries.map((e) => [e.id, e]));
  const known = new Map<string, number>();
  const when = (e: E): number => {
    // Followed back by hand, not by calls: a record may be long.
    const chain: E[] = [];
    const seen = new Set<string>();
    let at: E | undefined = e;
    while (at && !known.has(at.id) && !seen.has(at.id)) {
      seen.add(at.id);
      chain.push(at);
      at = at.after === undefined ? undefined : byId.get(at.after);
    }
    let from = at ? (known.get(at.id) ?? -Infinity) : -Infinity;
    for (const c of chain.reverse()) {
      from = Math.max(timeOf(c), from + 1);
      known.set(c.id, from);
    }
    return known.get(e.id)!;
  };
  return entries
    .map((e) => ({ e, at: when(e) }))
    .sort((a, b) => a.at - b.at || (a.e.id < b.e.id ? -1 : a.e.id > b.e.id ? 1 : 0))
    .map(({ e }) => e);
}

/** The line that a new one about a step of a run follows: the last that was seen of it; undefined where there is none. */
export const lastSeen = (entries: readonly SiteEntry[], run: string, step: Step | null): string | undefined =>
  inOrder(entries.filter((e) => e.run === run && e.step === step && (e.kind === "done" || e.kind === "undone"))).at(-1)
    ?.id;
