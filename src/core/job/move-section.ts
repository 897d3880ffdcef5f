import type { Section, SectionPlace } from "./model";

const near = (a: number, b: number): boolean => Math.abs(a - b) < 0.05;
const onWall = (p: SectionPlace | undefined): p is Extract<SectionPlace, { on: "wall" }> => p?.on === "wall";

/** How a stretch of a section is measured: a level one by its height, a plumb one by its distance from the left; mm. */
export interface StretchMeasure {
  /** Number of the place of the path that the stretch ends at. */
  to: number;
  wall: string;
  measure: "u" | "v";
  value: number;
  /** From where to where it goes along itself. */
  from: number;
  end: number;
}

/** The stretches of a section on walls, in their order. */
export function stretchMeasures(s: Pick<Section, "path">): StretchMeasure[] {
  return s.path.flatMap((q, to): StretchMeasure[] => {
    const p = s.path[to - 1];
    if (!onWall(p) || !onWall(q) || p.wall !== q.wall) return [];
    const level = near(p.v, q.v);
    return [
      {
        to,
        wall: q.wall,
        measure: level ? "v" : "u",
        value: level ? q.v : q.u,
        from: level ? p.u : p.v,
        end: level ? q.u : q.v,
      },
    ];
  });
}

/**
 * The path with one stretch moved sideways: a level one to another height, and with it what goes on level round the corners; a plumb
 * one along its wall. What adjoins it grows or shrinks.
 */
export function withStretchAt(s: Pick<Section, "path">, to: number, value: number): SectionPlace[] {
  const path = s.path.map((p) => ({ ...p }));
  const [p, q] = [path[to - 1], path[to]];
  if (!onWall(p) || !onWall(q)) return path;
  const level = near(p.v, q.v);
  if (!level) {
    p.u = value;
    q.u = value;
    return path;
  }
  const was = q.v;
  // On along the same height either way, over the corners.
  for (const step of [-1, 1])
    for (let i = step < 0 ? to - 1 : to; i >= 0 && i < path.length; i += step) {
      const x = path[i];
      if (!onWall(x) || !near(x.v, was)) break;
      x.v = value;
    }
  return path;
}

/** The path with one place on a deck moved, and with it what shares that measure with it on the deck, one after the other. mm. */
export function withDeckPlaceAt(s: Pick<Section, "path">, at: number, k: "x" | "y", value: number): SectionPlace[] {
  const path = s.path.map((p) => ({ ...p }));
  const p = path[at];
  if (p?.on !== "deck") return path;
  const was = p[k];
  p[k] = value;
  for (const step of [-1, 1])
    for (let i = at + step; ; i += step) {
      const q = path[i];
      if (q?.on !== "deck" || !near(q[k], was)) break;
      q[k] = value;
    }
  return path;
}

/** The path with its first or last place moved along its stretch, mm from the left or from the floor. */
export function withEndAt(s: Pick<Section, "path">, which: "first" | "last", value: number): SectionPlace[] {
  const path = s.path.map((p) => ({ ...p }));
  const [end, beside] = which === "first" ? [path[0], path[1]] : [path[path.length - 1], path[path.length - 2]];
  if (!onWall(end) || !onWall(beside)) return path;
  if (near(end.v, beside.v)) end.u = value;
  else end.v = value;
  return path;
}

/**
 * The path of a second section beside one: its level stretches `by` higher, its plumb ones `by` farther right (negative: lower, left);
 * its corners between walls stay in the corners of the room. mm.
 */
export function pathBeside(s: Pick<Section, "path">, by: number): SectionPlace[] {
  return s.path.map((p, i) => {
    if (!onWall(p)) return p;
    const beside = [s.path[i - 1], s.path[i + 1]].filter((x): x is typeof p => onWall(x) && x.wall === p.wall);
    const level = beside.some((x) => near(x.v, p.v));
    const plumb = beside.some((x) => near(x.u, p.u));
    return { ...p, u: p.u + (plumb ? by : 0), v: p.v + (level ? by : 0) };
  });
}
