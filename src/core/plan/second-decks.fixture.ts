import type { Job } from "../job/model";

/*
 * Decks, their spans and where their joists may be bored a second time, for tests: from the rules alone and the job as it is stored.
 * Shares no code with the decks, the timber and the bore lines of the program.
 */

/** Smallest bit there is, mm. */
const BIT = 10;

type XY = { x: number; y: number };
export const within = (outline: readonly XY[], x: number, y: number): boolean => {
  let odd = false;
  outline.forEach((p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    if (p.y > y !== q.y > y && x < p.x + ((y - p.y) * (q.x - p.x)) / (q.y - p.y)) odd = !odd;
  });
  return odd;
};
/** Within an outline, or at most so far from it, tried all round. */
export const nearly = (outline: readonly XY[], x: number, y: number, by: number): boolean =>
  [0, 1, -1].some((i) => [0, 1, -1].some((j) => within(outline, x + i * by, y + j * by)));

/** A deck as a grid of cells, and its joists. */
export interface DeckGrid {
  d: Job["decks"][number];
  along: "x" | "y";
  x0: number;
  y0: number;
  nx: number;
  ny: number;
  base: number;
  joists: number[];
  from: number;
  mid: number;
  /** Width of a cell, mm. */
  step: number;
}
/** The decks of a job that have joists, as grids; their cells are numbered on from the first number. */
export function deckGrids(job: Job, step: number, first: number): DeckGrid[] {
  let base = first;
  return job.decks.flatMap((d): DeckGrid[] => {
    if (d.kind === "concrete") return [];
    const xs = d.outline.map((p) => p.x);
    const ys = d.outline.map((p) => p.y);
    const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
    const along = d.joists.direction === "east-west" ? ("x" as const) : ("y" as const);
    const [low, high] = along === "x" ? [y0, Math.max(...ys)] : [x0, Math.max(...xs)];
    const joists: number[] = [];
    for (let at = low + d.joists.first; at < high - 1e-6; at += d.joists.spacing) joists.push(at);
    const [nx, ny] = [Math.floor((Math.max(...xs) - x0) / step) + 1, Math.floor((Math.max(...ys) - y0) / step) + 1];
    const own = base;
    base += nx * ny;
    return [
      {
        d,
        along,
        x0,
        y0,
        nx,
        ny,
        base: own,
        joists,
        from: along === "x" ? x0 : y0,
        mid: d.underside + d.joists.depth / 2,
        step,
      },
    ];
  });
}

/** Whether a hand gets at the joists at a place of a deck. */
export const opened = (g: DeckGrid, x: number, y: number): boolean =>
  g.d.access !== "closed" ||
  g.d.opened.some((o) => x >= g.x0 + o.x && x <= g.x0 + o.x + o.width && y >= g.y0 + o.y && y <= g.y0 + o.y + o.depth);
/** The clear spans of a joist: what lies in the outline along it, less the bearings; and whether steel or a trimmer bears on each. */
const spansKept = new WeakMap<DeckGrid, Map<number, { from: number; to: number; heavy: boolean }[]>>();
const spansOf = (g: DeckGrid, n: number): { from: number; to: number; heavy: boolean }[] => {
  const mine = spansKept.get(g) ?? new Map<number, { from: number; to: number; heavy: boolean }[]>();
  spansKept.set(g, mine);
  const kept = mine.get(n);
  if (kept) return kept;
  const { d } = g;
  const at = (p: number): [number, number] => (g.along === "x" ? [p, g.joists[n]!] : [g.joists[n]!, p]);
  const loads = d.obstacles.filter((o) => o.kind === "steel" || o.kind === "trimmer");
  const out: { from: number; to: number; heavy: boolean }[] = [];
  let start: number | null = null;
  const end = g.from + (g.along === "x" ? g.nx : g.ny) * g.step;
  for (let p = g.from; p <= end; p += 1) {
    const there =
      within(d.outline, ...at(p + 0.5)) && !d.joists.bearings.some(([a, b]) => p >= g.from + a && p < g.from + b);
    if (there && start === null) start = p;
    if (there || start === null) continue;
    let heavy = false;
    for (let q = start + 1; q < p && loads.length; q += 1) heavy ||= loads.some((o) => within(o.outline, ...at(q)));
    if (p - start > 300) out.push({ from: start, to: p, heavy });
    start = null;
  }
  mine.set(n, out);
  return out;
};
/** Whether a joist may be bored where it is crossed at a place along it. */
export const mayBore = (g: DeckGrid, n: number, alongAt: number): boolean => {
  const { d } = g;
  const [x, y] = g.along === "x" ? [alongAt, g.joists[n]!] : [g.joists[n]!, alongAt];
  if (!opened(g, x, y) || d.heavyJoists.includes(n + 1)) return false;
  const spans = spansOf(g, n);
  const s = spans.findIndex((z) => alongAt >= z.from && alongAt <= z.to);
  if (s < 0) return false;
  const { from, to, heavy } = spans[s]!;
  if (heavy && !d.notHeavy.some((z) => z.joist === n + 1 && z.span === s + 1)) return false;
  if (d.kind === "engineered")
    return d.makerAllows.some((m) => alongAt - from >= m.from && alongAt - from <= m.to && m.most >= BIT);
  const share = Math.min(alongAt - from, to - alongAt) / (to - from);
  if (d.joists.depth > 250 || share < 0.25 || share > 0.4 || BIT > d.joists.depth / 4) return false;
  // A span that is cut worse than the rules allow, by the warranty school, is not weakened further.
  const cuts = d.existingCuts.filter((c) => c.joist === n + 1 && c.span === s + 1);
  const long = to - from;
  const reach = (c: (typeof cuts)[number]): number => (c.kind === "hole" ? c.diameter : c.width) / 2;
  const worse = cuts.some((c, i) => {
    const off = Math.min(c.at, long - c.at);
    const alone =
      c.kind === "hole"
        ? off < 0.25 * long ||
          off > 0.4 * long ||
          c.diameter > d.joists.depth / 4 ||
          Math.abs(c.fromTop - d.joists.depth / 2) > 5
        : off - c.width / 2 < 0.1 * long ||
          off + c.width / 2 > 0.2 * long ||
          c.depth > d.joists.depth * 0.15 ||
          c.edge !== "top";
    return (
      alone ||
      cuts.slice(0, i).some((o) => {
        const apart = Math.abs(o.at - c.at);
        if (o.kind !== c.kind) return apart - reach(o) - reach(c) < 100;
        return o.kind === "hole" && c.kind === "hole" && apart < 3 * Math.max(o.diameter, c.diameter);
      })
    );
  });
  if (worse) return false;
  return d.existingCuts.every((c) =>
    c.joist !== n + 1 || c.span !== s + 1
      ? true
      : c.kind === "hole"
        ? Math.abs(from + c.at - alongAt) >= 3 * c.diameter
        : Math.abs(from + c.at - alongAt) - c.width / 2 >= 100,
  );
};
