import { EPS } from "../base/tolerance";
import { fillBest } from "./fill-best";

export interface Piece {
  id: string;
  length: number;
}
export interface CutPlan {
  cuts: { stock: string; pieces: string[]; left: number }[];
  /** Pieces for which there is no stock. */
  unmet: string[];
  /** The longest single remnant on an opened item. */
  left: number;
  /** Fewest items that could do, proven. */
  bound: number;
  /** Longest single remnant that could be, proven for that many items. */
  leftBound: number;
  /** Proven: nothing better exists. */
  optimal: boolean;
}

/** Branches looked at before the best found is given with its bound. */
export const BUDGET = 100_000;

interface Score {
  unmet: number;
  opened: number;
  left: number;
}
/** Less unmet length, then fewer items, then a longer remnant. */
const better = (a: Score, b: Score): boolean =>
  a.unmet < b.unmet - EPS ||
  (a.unmet < b.unmet + EPS && (a.opened < b.opened || (a.opened === b.opened && a.left > b.left + EPS)));

const sum = (list: readonly { length: number }[]): number => list.reduce((s, p) => s + p.length, 0);

/**
 * No plan that leaves at most `unmetMost` uncut leaves less unmet, opens fewer items or, opening just so many, keeps a longer
 * remnant. Lengths mm.
 */
function bounds(pieces: readonly Piece[], stock: readonly Piece[], unmetMost: number): Score {
  const total = sum(pieces);
  const largest = [...stock].sort((a, b) => b.length - a.length);
  let opened = 0;
  let room = 0;
  while (room < total - unmetMost - EPS && opened < largest.length) room += largest[opened++]!.length;
  // Pieces longer than half the longest item each need one of their own, but those that may stay uncut.
  const longest = largest[0]?.length ?? 0;
  const halves = pieces.filter((p) => p.length > longest / 2 + EPS);
  const uncut = halves.length ? Math.floor((unmetMost + EPS) / Math.min(...halves.map((p) => p.length))) : 0;
  opened = Math.min(Math.max(opened, halves.length - uncut), largest.length);
  return { unmet: Math.max(0, total - sum(stock)), opened, left: remnantBound(pieces, largest, opened, unmetMost) };
}

/** No item, of any `opened` ones, can keep more: the rest of the opened length, and an opened item gives at least the shortest piece. */
function remnantBound(pieces: readonly Piece[], largest: readonly Piece[], opened: number, unmetMost: number): number {
  if (!pieces.length || !largest.length) return 0;
  const room = sum(largest.slice(0, opened));
  const shortest = Math.min(...pieces.map((p) => p.length));
  return Math.max(0, Math.min(room - sum(pieces) + unmetMost, largest[0]!.length - shortest));
}

/** Where each piece goes: number of its stock item, or −1. */
type Assignment = Int32Array;

function score(pieces: readonly Piece[], stock: readonly Piece[], a: Assignment): Score {
  const left = stock.map((s) => s.length);
  const used = new Uint8Array(stock.length);
  let unmet = 0;
  a.forEach((s, i) => {
    if (s < 0) unmet += pieces[i]!.length;
    else {
      left[s]! -= pieces[i]!.length;
      used[s] = 1;
    }
  });
  let opened = 0;
  let most = 0;
  for (let s = 0; s < stock.length; s++)
    if (used[s]) {
      opened++;
      most = Math.max(most, left[s]!);
    }
  return { unmet, opened, left: most };
}

/** Good plans to start from: fill the items one after another as full as they go, in several orders, keeping the last for the remnant. */
function goodPlan(pieces: readonly Piece[], stock: readonly Piece[], aim: Score): Assignment {
  const byLength = stock.map((_, i) => i).sort((a, b) => stock[b]!.length - stock[a]!.length);
  const orders: number[][] = [];
  // The longest items, as few as might do and one more, with each length among them in turn kept for last.
  for (const k of [aim.opened, aim.opened + 1]) {
    const set = byLength.slice(0, k);
    const lasts = set.filter((s, i) => set.findIndex((t) => stock[t]!.length === stock[s]!.length) === i);
    for (const last of lasts) orders.push([...set.filter((s) => s !== last), last, ...byLength.slice(k)]);
  }
  orders.push([...byLength].reverse());
  let best: Assignment | null = null;
  let bestScore: Score | null = null;
  for (const order of orders) {
    const a = new Int32Array(pieces.length).fill(-1);
    let open = pieces.map((_, i) => i);
    for (const s of order) {
      if (!open.length) break;
      const chosen = new Set(
        fillBest(
          open.map((i) => pieces[i]!.length),
          stock[s]!.length,
        ).map((k) => open[k]!),
      );
      for (const i of chosen) a[i] = s;
      open = open.filter((i) => !chosen.has(i));
    }
    const sc = score(pieces, stock, a);
    if (!bestScore || better(sc, bestScore)) [best, bestScore] = [a, sc];
  }
  // Longest first, each into the tightest item that is open already.
  const a = new Int32Array(pieces.length).fill(-1);
  const left = stock.map((s) => s.length);
  const used = new Uint8Array(stock.length);
  pieces.forEach((p, i) => {
    let pick = -1;
    for (let s = 0; s < stock.length; s++)
      if (
        left[s]! >= p.length - EPS &&
        (pick < 0 ||
          used[s]! > used[pick]! ||
          (used[s] === used[pick] && (used[s] ? left[s]! < left[pick]! : stock[s]!.length > stock[pick]!.length)))
      )
        pick = s;
    if (pick >= 0) {
      a[i] = pick;
      left[pick]! -= p.length;
      used[pick] = 1;
    }
  });
  return best && bestScore && !better(score(pieces, stock, a), bestScore) ? best : a;
}

/**
 * Cuts the pieces from the stock: nothing left unmet if that can be, the fewest items opened, then the longest single remnant
 * kept. A good plan first, then branch and bound until it is proven or the budget of branches is spent; `bound` and `leftBound`
 * hold in either case. Lengths mm; equal inputs give equal plans.
 */
export const cutStock = (pieces: readonly Piece[], stock: readonly Piece[], budget = BUDGET): CutPlan =>
  searchCuts(pieces, stock, budget).plan;

/** The same, with how many branches it took: what the pruning is worth. */
export function searchCuts(
  pieces: readonly Piece[],
  stock: readonly Piece[],
  budget = BUDGET,
): { plan: CutPlan; branches: number } {
  const longest = Math.max(0, ...stock.map((s) => s.length));
  const impossible = pieces.filter((p) => p.length > longest + EPS);
  const list = pieces
    .filter((p) => p.length <= longest + EPS)
    .sort((a, b) => b.length - a.length || (a.id < b.id ? -1 : 1));
  let best = goodPlan(list, stock, bounds(list, stock, 0));
  let bestScore = score(list, stock, best);
  const aim = bounds(list, stock, bestScore.unmet);
  const reached = (): boolean =>
    bestScore.unmet <= aim.unmet + EPS && bestScore.opened <= aim.opened && bestScore.left >= aim.left - EPS;
  let spent = 0;
  const largest = [...stock].sort((a, b) => b.length - a.length);

  const current = new Int32Array(list.length).fill(-1);
  const left = stock.map((s) => s.length);
  const used = new Int32Array(stock.length);
  const rest = new Float64Array(list.length + 1);
  for (let i = list.length - 1; i >= 0; i--) rest[i] = rest[i + 1]! + list[i]!.length;
  const search = (i: number, unmet: number, opened: number): void => {
    if (spent >= budget || reached()) return;
    spent++;
    if (i === list.length) {
      const sc = score(list, stock, current);
      if (better(sc, bestScore)) {
        best = current.slice();
        bestScore = sc;
      }
      return;
    }
    // Room that the opened items still have decides how many more must be opened.
    let room = 0;
    for (let s = 0; s < stock.length; s++) if (used[s]) room += left[s]!;
    let need = opened;
    let more = room;
    for (let k = 0, fresh = 0; more < rest[i]! - EPS && k < largest.length; k++) {
      if (fresh < stock.length - opened) {
        more += largest[k]!.length;
        need++;
        fresh++;
      }
    }
    if (unmet > bestScore.unmet + EPS) return;
    if (unmet + Math.max(0, rest[i]! - more) > bestScore.unmet + EPS) return;
    if (Math.abs(bestScore.unmet - unmet) <= EPS && need > bestScore.opened) return;
    if (Math.abs(bestScore.unmet - unmet) <= EPS && need === bestScore.opened) {
      // What could still be left on one item when no more items than now are opened.
      const mostLeft = Math.max(
        ...left.map((l, s) => (used[s] ? l : need > opened ? l - list[list.length - 1]!.length : 0)),
      );
      const spare = more - rest[i]!;
      if (Math.min(mostLeft, spare) <= bestScore.left + EPS && bestScore.unmet <= unmet + EPS) return;
    }
    const p = list[i]!;
    const tried = new Set<string>();
    const order = left
      .map((_, s) => s)
      .sort((a, b) => (used[b] ? 1 : 0) - (used[a] ? 1 : 0) || left[a]! - left[b]! || a - b);
    for (const s of order) {
      if (left[s]! < p.length - EPS) continue;
      const alike = `${used[s] ? 1 : 0}:${left[s]!.toFixed(4)}`;
      if (tried.has(alike)) continue;
      tried.add(alike);
      current[i] = s;
      left[s]! -= p.length;
      used[s]!++;
      search(i + 1, unmet, opened + (used[s] === 1 ? 1 : 0));
      used[s]!--;
      left[s]! += p.length;
      current[i] = -1;
    }
    search(i + 1, unmet + p.length, opened);
  };
  if (!reached()) search(0, 0, 0);
  const proven = spent < budget;
  const cuts = stock.flatMap((s, n) => {
    const mine = list.filter((_, i) => best[i] === n);
    return mine.length ? [{ stock: s.id, pieces: mine.map((p) => p.id), left: s.length - sum(mine) }] : [];
  });
  const plan: CutPlan = {
    cuts,
    unmet: [...impossible.map((p) => p.id), ...list.filter((_, i) => best[i]! < 0).map((p) => p.id)],
    left: bestScore.left,
    bound: proven ? bestScore.opened : aim.opened,
    leftBound: proven
      ? bestScore.left
      : Math.max(bestScore.left, remnantBound(list, largest, bestScore.opened, bestScore.unmet)),
    optimal: proven,
  };
  return { plan, branches: spent };
}
