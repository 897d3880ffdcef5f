import { Kept } from "../base/kept";
import { rectAround } from "../base/rect";
import { type XYZ, toSpace } from "../base/wall-frame";
import type { Circuit } from "../job/model";
import { asWired } from "../job/wired";
import type { House, PlacedPoint } from "../house/house";
import { type Run } from "../laid/laid";
import { leastTour, treeLength } from "../routing/order";

/** Least cable that could join what a plan joins, mm. */
export interface LeastCable {
  /** However it were laid, even straight through the house: no legal plan is shorter. */
  bound: number;
  /** Straight level and plumb from plate to plate: the plain tour that an electrician measures by eye. */
  plumb: number;
}

/** A place on a plate counts as at the point to a pencil's width, as the checker has it, mm. */
const PENCIL = 1;

/** Box in space that a point's plate fills: its two corners with the least and the greatest coordinates. */
function plateBox(h: House, p: PlacedPoint): [XYZ, XYZ] {
  const face = h.faces[p.face];
  if (!face || p.point.place.on !== "wall") return [p.space, p.space];
  const r = rectAround({ ...p.point.place, ...p.plate });
  const [a, b] = [toSpace(face.frame, { u: r.u0, v: r.v0 }), toSpace(face.frame, { u: r.u1, v: r.v1 })];
  const by = (f: (x: number, y: number) => number): XYZ => [f(a[0], b[0]), f(a[1], b[1]), f(a[2], b[2])];
  return [by(Math.min), by(Math.max)];
}

/** Gaps between two boxes along the axes of the house, what a pencil's width at both ends could hide taken off. */
function gaps([a0, a1]: [XYZ, XYZ], [b0, b1]: [XYZ, XYZ]): XYZ {
  const gap = (k: 0 | 1 | 2): number => Math.max(0, b0[k] - a1[k], a0[k] - b1[k]);
  return [gap(0), gap(1), gap(2)];
}
const straight = (g: XYZ): number => Math.max(0, Math.hypot(...g) - 2 * PENCIL);
const square = (g: XYZ): number => g[0] + g[1] + g[2];

const kept = new Kept<Circuit, LeastCable>();

/**
 * The least that could join, circuit by circuit, the points that a plan's runs join. A ring that is whole is measured as a closed
 * tour, all else as the least tree; both from below. It holds for runs laid by the planner, by a pin or by hand alike. What a circuit
 * needs is kept with it while its runs join the same points and their plates fill the same boxes.
 */
export function leastCable(h: House, runs: readonly Run[]): LeastCable {
  const boxes = new Map<string, [XYZ, XYZ]>();
  const boxOf = (id: string): [XYZ, XYZ] => {
    let b = boxes.get(id);
    if (!b) boxes.set(id, (b = plateBox(h, h.points[h.pointOfId.get(id)!]!)));
    return b;
  };
  const joining = new Map<string, Run[]>();
  for (const r of runs) {
    if (!h.pointOfId.has(r.from) || !h.pointOfId.has(r.to)) continue;
    const there = joining.get(r.circuit);
    if (there) there.push(r);
    else joining.set(r.circuit, [r]);
  }
  const out: LeastCable = { bound: 0, plumb: 0 };
  for (const c of h.job.circuits) {
    const own = joining.get(c.id);
    if (!own) continue;
    const spurs = asWired(c, h.job.points).spurs.map((s) => s.point);
    const made: unknown[] = [];
    for (const r of own) {
      const [[a, b], [p, q]] = [boxOf(r.from), boxOf(r.to)];
      made.push(r.from, r.to, ...a, ...b, ...p, ...q);
    }
    const needs = kept.of(c, [...made, ...spurs], () => leastOf(c, own, new Set(spurs), boxOf));
    out.bound += needs.bound;
    out.plumb += needs.plumb;
  }
  return out;
}

/** The least that could join the points that runs of one circuit join. */
function leastOf(
  c: Circuit,
  own: readonly Run[],
  spurs: ReadonlySet<string>,
  boxOf: (id: string) => [XYZ, XYZ],
): LeastCable {
  const out: LeastCable = { bound: 0, plumb: 0 };
  for (const part of joinedParts(own)) {
    const main = part.ids.filter((id) => !spurs.has(id));
    // A whole ring has as many steps as places; what hangs on it comes on top.
    const steps = part.runs.filter((r) => !spurs.has(r.from) && !spurs.has(r.to)).length;
    const closed = c.kind === "ring" && c.state === "new" && main.length > 2 && steps >= main.length;
    if (!closed) {
      if (part.ids.length > 1) {
        out.bound += treeLength(matrixOf(part.ids.map(boxOf), straight));
        out.plumb += treeLength(matrixOf(part.ids.map(boxOf), square));
      }
      continue;
    }
    // A tour: the shortest that is known for the eye, and what none can be below.
    out.bound += leastTour(matrixOf(main.map(boxOf), straight)).bound;
    out.plumb += leastTour(matrixOf(main.map(boxOf), square)).length;
    for (const id of part.ids)
      if (spurs.has(id))
        for (const [key, length] of [
          ["bound", straight],
          ["plumb", square],
        ] as const)
          out[key] += Math.min(...part.ids.flatMap((x) => (x === id ? [] : [length(gaps(boxOf(id), boxOf(x)))])));
  }
  return out;
}

function matrixOf(boxes: readonly [XYZ, XYZ][], length: (g: XYZ) => number): number[][] {
  const out = boxes.map(() => new Array<number>(boxes.length).fill(0));
  for (let i = 0; i < boxes.length; i++)
    for (let k = 0; k < boxes.length; k++) if (i !== k) out[i]![k] = length(gaps(boxes[i]!, boxes[k]!));
  return out;
}

/** Runs of one circuit in parts that hang together, each with its points. */
function joinedParts(runs: readonly Run[]): { ids: string[]; runs: Run[] }[] {
  const root = new Map<string, string>();
  const find = (id: string): string => {
    let r = id;
    while ((root.get(r) ?? r) !== r) r = root.get(r)!;
    root.set(id, r);
    return r;
  };
  for (const r of runs) root.set(find(r.from), find(r.to));
  const parts = new Map<string, { ids: Set<string>; runs: Run[] }>();
  for (const r of runs) {
    const key = find(r.from);
    const part = parts.get(key) ?? { ids: new Set(), runs: [] };
    part.ids.add(r.from).add(r.to);
    part.runs.push(r);
    parts.set(key, part);
  }
  return [...parts.values()].map((p) => ({ ids: [...p.ids].sort(), runs: p.runs }));
}
