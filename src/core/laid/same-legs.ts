import type { PinnedLeg } from "../job/model";

/** How many runs are remembered; above it all are forgotten. */
const MOST = 4000;
const lately = new Map<string, readonly PinnedLeg[]>();

const same = (a: PinnedLeg, b: PinnedLeg): boolean =>
  a.surface.kind === b.surface.kind &&
  a.surface.id === b.surface.id &&
  a.method === b.method &&
  a.depth === b.depth &&
  a.protected === b.protected &&
  a.section === b.section &&
  a.path.length === b.path.length &&
  a.path.every((p, i) => p[0] === b.path[i]![0] && p[1] === b.path[i]![1] && p[2] === b.path[i]![2]);

/**
 * The legs of a run; each that lies as it lay when the run was last laid is the very same thing as then, so that what is worked out of it
 * can be kept with it. Legs are never changed in place.
 * @param run key of the run
 */
export function sameLegs(run: string, legs: readonly PinnedLeg[]): PinnedLeg[] {
  const before = lately.get(run);
  const out = legs.map((l, i) => {
    const was = before?.[i];
    return was && same(was, l) ? was : l;
  });
  if (lately.size >= MOST) lately.clear();
  lately.set(run, out);
  return out;
}
