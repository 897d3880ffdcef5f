import { tidy } from "../base/tolerance";
import type { RouteGraph } from "./graph";
import type { SamePlaces } from "./same-places";

/** How many steps round what has changed belong to the part that is looked at: enough to get round a point that has moved. */
const STEPS = 3;

/** Where more places than this have changed, the part is not looked at: to look for all lengths anew is as quick. */
const MOST = 120;

/** A part of a graph, with places numbered as they come in the list. */
interface Part {
  first: Int32Array;
  to: Int32Array;
  length: Float64Array;
  inBox: Int32Array;
  box: Int32Array;
}

/** The part of a graph that lies between some of its nodes, as far as it may be used. */
function partOf(g: RouteGraph, nodes: readonly number[], usable: Uint8Array): Part {
  const number = new Map(nodes.map((n, i) => [n, i]));
  const first = new Int32Array(nodes.length + 1);
  const [to, length, box]: [number[], number[], number[]] = [[], [], []];
  nodes.forEach((n, i) => {
    for (let k = g.first[n]!; k < g.first[n + 1]!; k++) {
      const e = g.edges[k]!;
      const next = usable[e] ? number.get(g.to[k]!) : undefined;
      if (next === undefined) continue;
      to.push(next);
      length.push(g.length[e]!);
      box.push(g.box[e]!);
    }
    first[i + 1] = to.length;
  });
  return {
    first,
    to: Int32Array.from(to),
    length: Float64Array.from(length),
    inBox: Int32Array.from(nodes, (n) => g.inBox[n]!),
    box: Int32Array.from(box),
  };
}

/** Places still to be looked on from, kept from one time to the next. */
const queue: number[] = [];

/**
 * Lengths from a place of a part to each of it, mm, by ways that lie in the part, of a run that ends at none of its points.
 * @param far where they are put
 */
function within({ first, to, length, inBox, box }: Part, from: number, throughBoxes: boolean, far: Float64Array): void {
  far.fill(Infinity);
  far[from] = 0;
  queue.length = 0;
  queue.push(from);
  for (let i = 0; i < queue.length; i++) {
    const node = queue[i]!;
    const inside = inBox[node]!;
    for (let k = first[node]!, end = first[node + 1]!; k < end; k++) {
      const next = to[k]!;
      const c = far[node]! + length[k]!;
      if (c >= far[next]!) continue;
      if (!throughBoxes) {
        const there = inBox[next];
        const over = box[k]!;
        if ((inside >= 0 && there !== inside) || (over >= 0 && there !== over)) continue;
      }
      far[next] = c;
      queue.push(next);
    }
  }
}

/** What an edit has changed of the ways of a house. */
export interface ChangedWays {
  /** Points whose boxes lie where it was made: what is said here does not go for a way from one of them to another. */
  boxes: ReadonlySet<number>;
  /** Nodes between which ways have become longer or shorter, or may have; none where all ways are as long as they were. */
  ends: readonly number[];
  /** The shortest of those ways, now or then, mm; 0 where it is not known. */
  least: number;
}

/**
 * Looks at the part of a graph round what an edit has changed. Where every way through it is as long as it was before, from whichever
 * place at its edge to whichever, no length between places that were there has changed, however far the way leads.
 * @param usable the edges that may be used, of the graph now and of the one before
 * @param throughBoxes for lengths of ways that lead through boxes
 */
export function sameWays(
  now: RouteGraph,
  before: RouteGraph,
  { was, changed, gone, points }: SamePlaces,
  usable: readonly [Uint8Array, Uint8Array],
  throughBoxes: boolean,
): ChangedWays {
  if (changed.length + gone.length > MOST) return { boxes: new Set(), ends: changed, least: 0 };
  const around = new Set(changed);
  let outer: readonly number[] = changed;
  for (let step = 0; step < STEPS; step++) {
    const further: number[] = [];
    for (const n of outer)
      for (let k = now.first[n]!; k < now.first[n + 1]!; k++) {
        const next = now.to[k]!;
        if (!usable[0][now.edges[k]!] || around.has(next)) continue;
        around.add(next);
        further.push(next);
      }
    outer = further;
  }
  // What was there before has the same number in both parts.
  const stays = [...around].filter((n) => was[n]! >= 0);
  const part = partOf(now, [...stays, ...changed.filter((n) => was[n]! < 0)], usable[0]);
  const then = partOf(before, [...stays.map((n) => was[n]!), ...gone], usable[1]);
  const edge = changed.flatMap((n) => (was[n]! >= 0 ? [stays.indexOf(n)] : []));
  const ends = new Set<number>();
  let least = Infinity;
  const [a, b] = [new Float64Array(part.inBox.length), new Float64Array(then.inBox.length)];
  for (const from of edge) {
    within(part, from, throughBoxes, a);
    within(then, from, throughBoxes, b);
    for (const to of edge) {
      if (tidy(a[to]!) === tidy(b[to]!)) continue;
      ends.add(from).add(to);
      least = Math.min(least, a[to]!, b[to]!);
    }
  }
  const boxes = new Set<number>([...part.inBox, ...part.box]);
  const boxesThen = new Set<number>([...then.inBox, ...then.box]);
  points.forEach((p, n) => boxesThen.has(p) && boxes.add(n));
  boxes.delete(-1);
  return { boxes, ends: [...ends].map((i) => stays[i]!), least };
}
