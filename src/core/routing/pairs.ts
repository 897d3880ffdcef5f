import type { House } from "../job/house";
import type { Circuit, Pin } from "../job/model";
import { type Finding, finding } from "../rules/findings";
import { usableFor } from "./edge-costs";
import { whyUnreachable } from "./explain";
import type { RouteGraph } from "./graph";
import { type Order, bestOrder, treeLength } from "./order";
import { distancesFrom } from "./search";

/** The pairs of points to join for a circuit, with unreachable points left out and told; and the least cable any order could need. */
export interface Pairs {
  pairs: [from: string, to: string][];
  bound: number;
}

/** Points that hang on the chain of a lighting circuit; switches branch from what they work. */
const onChain = (h: House, id: string): boolean => h.points[h.pointOfId.get(id)!]!.point.kind !== "switch";

export const pinKey = (circuit: string, a: string, b: string): string => `${circuit} ${[a, b].sort().join(" ")}`;

/** Board that feeds a circuit, by its number in the house: its own, else the first; −1 when there is none. */
export function boardOf(h: House, c: Circuit): number {
  const own = c.board === null ? undefined : h.pointOfId.get(c.board);
  return own ?? h.points.findIndex((p) => p.point.kind === "board");
}

/** Works out which points of a circuit are joined to which. */
export function pairsOf(
  h: House,
  g: RouteGraph,
  c: Circuit,
  board: number,
  pins: Map<string, Pin>,
  findings: Finding[],
): Pairs {
  const usable = usableFor(h, g, c);
  const boardId = h.points[board]!.point.id;
  const pointOf = (id: string) => h.points[h.pointOfId.get(id)!]!;
  const spurIds = new Set(c.spurs.map((s) => s.point));
  const old = (id: string): boolean => c.state === "extend" && pointOf(id).point.existing;
  const main = c.points.filter((id) => id !== boardId && !spurIds.has(id));
  const chain = c.kind === "lighting" ? main.filter((id) => onChain(h, id)) : main;
  const branches: [from: string | null, to: string][] = [
    ...c.spurs.map((s): [string, string] => [s.from, s.point]),
    ...(c.kind === "lighting" ? main.filter((id) => !onChain(h, id)) : []).map((id): [string | null, string] => [
      pointOf(id).point.controls.find((x) => chain.includes(x)) ?? null,
      id,
    ]),
  ].filter(([, to]) => !old(to)) as [string | null, string][];
  const all = [boardId, ...chain, ...branches.map((b) => b[1])];
  const node = all.map((id) => g.terminal[h.pointOfId.get(id)!]!);
  const from0 = node[0]! < 0 ? node.map(() => Infinity) : waysFrom(g, node[0]!, node, usable);
  const ok = all.map((id, i) => {
    if (i === 0 || from0[i]! < Infinity) return true;
    findings.push(
      finding("route.unreachable", { subject: id, message: whyUnreachable(h, g, pointOf(id), node[i]!, usable) }),
    );
    return false;
  });
  const places = all.flatMap((_, i) => (i <= chain.length && ok[i] ? [i] : []));
  if (places.length < 1) return { pairs: [], bound: 0 };
  // Distances are the same both ways: each search looks only for the places after its own.
  const matrix: number[][] = places.map(() => places.map(() => 0));
  places.forEach((p, i) => {
    const later = places.slice(i + 1);
    const found =
      i === 0
        ? later.map((q) => from0[q]!)
        : waysFrom(
            g,
            node[p]!,
            later.map((q) => node[q]!),
            usable,
          );
    found.forEach((x, k) => (matrix[i]![i + 1 + k] = matrix[i + 1 + k]![i] = x));
  });
  const ids = places.map((i) => all[i]!);
  const out: Pairs = ids.some(old) ? extended(h, matrix, ids, c, old, findings) : fresh(matrix, ids, c, pins);
  branches.forEach(([from, to], i) => {
    const k = 1 + chain.length + i;
    if (!ok[k]) return;
    const back = waysFrom(g, node[k]!, node, usable);
    let best = from === null ? -1 : all.indexOf(from);
    if (best < 0) for (const j of places) if (j !== 0 && (best < 0 || back[j]! < back[best]!)) best = j;
    if (best < 0) best = 0;
    out.pairs.push([all[best]!, to]);
    out.bound += back[best]!;
  });
  return out;
}

/** Lengths to each place without going through another point's box; through one only where nothing else leads there. */
function waysFrom(g: RouteGraph, from: number, wanted: readonly number[], usable: Uint8Array): number[] {
  const clear = distancesFrom(g, from, wanted, usable);
  if (clear.every((x, i) => x < Infinity || wanted[i]! < 0)) return clear;
  const any = distancesFrom(g, from, wanted, usable, true);
  return clear.map((x, i) => (x < Infinity ? x : any[i]!));
}

/** A new circuit: its points in the best order from the board, and back to it for a ring. */
function fresh(matrix: number[][], ids: readonly string[], c: Circuit, pins: Map<string, Pin>): Pairs {
  const closed = c.kind === "ring" && ids.length > 2;
  const free = bestOrder(matrix, closed);
  const order = c.order === "given" ? ids.map((_, i) => i) : withPins(matrix, closed, free, ids, c, pins);
  const pairs: [string, string][] = [];
  for (let k = 1; k < order.length; k++) pairs.push([ids[order[k - 1]!]!, ids[order[k]!]!]);
  if (closed) pairs.push([ids[order[order.length - 1]!]!, ids[0]!]);
  const bound = order.length > 1 ? (c.order === "given" ? chainLength(matrix, order, closed) : free.bound) : 0;
  // A switch that works nothing yet on a circuit without lights still starts at the board.
  return { pairs, bound: Math.max(bound, ids.length > 1 && !closed ? treeLength(matrix) : 0) };
}

/**
 * An old circuit with new points. A ring stays a ring: one of its legs, as found, is broken, and the new points go in between in the
 * order that adds least. A radial or a lighting circuit goes on from the nearest point it has.
 */
function extended(
  h: House,
  d: number[][],
  ids: readonly string[],
  c: Circuit,
  old: (id: string) => boolean,
  findings: Finding[],
): Pairs {
  const label = (id: string): string => h.points[h.pointOfId.get(id)!]!.point.label;
  const isOld = ids.map((id, i) => i === 0 || old(id));
  const fresh = ids.flatMap((_, i) => (isOld[i] ? [] : [i]));
  if (!fresh.length) return { pairs: [], bound: 0 };
  const pairs: [string, string][] = [];
  if (c.kind === "ring") {
    const legs = h.job.foundCables.flatMap((f): [number, number][] => {
      const [a, b] = [ids.indexOf(f.from), f.to === null ? -1 : ids.indexOf(f.to)];
      return f.fate === "keep" && a >= 0 && b >= 0 && isOld[a] && isOld[b] ? [[a, b]] : [];
    });
    let best: { leg: [number, number]; order: number[]; added: number } | null = null;
    for (const [a, b] of legs) {
      const list = [a, ...fresh, b];
      // A closed tour held to the leg b–a is the shortest way from a over all new points to b.
      const held = list.map((i, k) =>
        list.map((j, l) =>
          (k === 0 && l === list.length - 1) || (l === 0 && k === list.length - 1) ? -1e6 : d[i]![j]!,
        ),
      );
      const tour = bestOrder(held, true).order;
      const order = tour[1] === list.length - 1 ? [0, ...tour.slice(1).reverse()] : tour;
      const added = order.slice(1).reduce((s, k, i) => s + d[list[order[i]!]!]![list[k]!]!, 0);
      if (!best || added < best.added - 1e-6) best = { leg: [a, b], order: order.map((k) => list[k]!), added };
    }
    if (best) {
      for (let k = 1; k < best.order.length; k++) pairs.push([ids[best.order[k - 1]!]!, ids[best.order[k]!]!]);
      findings.push(
        finding("retrofit.break", {
          subject: c.id,
          message: `${c.label} is extended by breaking the leg ${label(ids[best.leg[0]]!)} to ${label(ids[best.leg[1]]!)}: two joints, ${fresh.length} new ${fresh.length === 1 ? "point" : "points"} in between, and it stays a ring.`,
          remedy: "Isolate, prove dead, prove the tester; test the ring end to end afterwards.",
        }),
      );
      return { pairs, bound: best.added };
    }
    findings.push(
      finding("retrofit.trace", {
        subject: c.id,
        message: `${c.label} is to be extended, but no leg of it has been traced from point to point.`,
        remedy: "Enter the cables found in Survey: from where to where.",
      }),
    );
  }
  // From what there is, always the nearest next: a tree over the new points.
  const near = ids.map((_, j) => {
    let best = -1;
    for (let i = 0; i < ids.length; i++)
      if (isOld[i] && (i !== 0 || ids.every((id, k) => k === 0 || !old(id))) && (best < 0 || d[i]![j]! < d[best]![j]!))
        best = i;
    return best < 0 ? 0 : best;
  });
  const left = new Set(fresh);
  let bound = 0;
  while (left.size) {
    let pick = -1;
    for (const j of left) if (pick < 0 || d[near[j]!]![j]! < d[near[pick]!]![pick]! - 1e-9) pick = j;
    left.delete(pick);
    pairs.push([ids[near[pick]!]!, ids[pick]!]);
    bound += d[near[pick]!]![pick]!;
    for (const j of left) if (d[pick]![j]! < d[near[j]!]![j]! - 1e-9) near[j] = pick;
  }
  return { pairs, bound };
}

const chainLength = (d: readonly (readonly number[])[], order: readonly number[], closed: boolean): number => {
  let sum = 0;
  for (let i = 1; i < order.length; i++) sum += d[order[i - 1]!]![order[i]!]!;
  return closed ? sum + d[order[order.length - 1]!]![order[0]!]! : sum;
};

/** Pinned pairs stay neighbours: their distance is made so small that no order can afford to part them. */
function withPins(
  d: number[][],
  closed: boolean,
  free: Order,
  ids: readonly string[],
  c: Circuit,
  pins: Map<string, Pin>,
): number[] {
  let any = false;
  const held = d.map((row, i) =>
    row.map((x, j) => {
      if (i === j || !pins.has(pinKey(c.id, ids[i]!, ids[j]!))) return x;
      any = true;
      return -1e6;
    }),
  );
  return any ? bestOrder(held, closed).order : free.order;
}
