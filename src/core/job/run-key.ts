/** Two ends of a run, in whichever direction it was laid or drawn in. */
export interface RunEnds {
  circuit: string;
  from: string;
  to: string;
}

/** Both ends in one order, whatever the direction. */
const ends = (a: string, b: string): [string, string] => (a < b ? [a, b] : [b, a]);

/**
 * The key of a run: its circuit, its two points without direction, and its number where several cables lie between them. A pin, a
 * hold and a record line carry it, so that a run laid the other way round is the same run. Ids hold no points: the parts can be told.
 */
export function runKey({ circuit, from, to }: RunEnds, number = 1): string {
  const [a, b] = ends(from, to);
  return `${circuit}.${a}.${b}${number > 1 ? `.${number}` : ""}`;
}

/** The parts of a key, or null when the text is none. */
export function partsOfKey(key: string): (RunEnds & { number: number }) | null {
  const parts = key.split(".");
  if (parts.length < 3 || parts.length > 4 || parts.some((p) => !/^[A-Za-z0-9_-]+$/.test(p))) return null;
  const [circuit, from, to, number] = parts as [string, string, string, string | undefined];
  if (number !== undefined && !/^[1-9]\d?$/.test(number)) return null;
  return { circuit, from, to, number: number === undefined ? 1 : Number(number) };
}

/**
 * The key of a run out of the id that the first edition gave it, `circuit.from-to`. Ids may hold dashes: the split is taken at which
 * both halves are points of the job. Keys come back as they are; null when it cannot be told.
 */
export function keyOfOldId(id: string, points: ReadonlySet<string>): string | null {
  const known = partsOfKey(id);
  if (known) return id;
  const dot = id.indexOf(".");
  if (dot < 0) return null;
  const [circuit, rest] = [id.slice(0, dot), id.slice(dot + 1)];
  for (let i = rest.indexOf("-"); i >= 0; i = rest.indexOf("-", i + 1)) {
    const [from, to] = [rest.slice(0, i), rest.slice(i + 1)];
    if (points.has(from) && points.has(to)) return runKey({ circuit, from, to });
  }
  return null;
}

/** Id of the one pin of a run: short enough for the model whatever the ids of its ends. */
export function pinId(run: RunEnds, number = 1): string {
  const text = runKey(run, number);
  // Two independent 32-bit sums (FNV-1a) keep two runs from ever sharing an id by chance.
  const sum = (seed: number): string => {
    let hash = seed;
    for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 16777619) >>> 0;
    return hash.toString(36);
  };
  return `pin-${sum(2166136261)}-${sum(3335716811)}`;
}
