import { Kept } from "../base/kept";
import { wiredTo } from "../job/wired";
import { boardOfCircuit } from "../job/boards";
import type { House } from "../house/house";
import type { Circuit } from "../job/model";
import { type Fact, fact } from "../rules/fact";
import { type RunEnds, runKey } from "../job/run-key";
import { usableFor } from "./edge-costs";
import { whyUnreachable } from "./explain";
import type { RouteGraph } from "./graph";
import { accessories, isLight, isSwitch } from "../rules/accessories";
import { lightingOf } from "../trades/lighting/gangs";
import type { Carried } from "../rules/cores";
import { wireLighting } from "../trades/lighting/wire";
import { Ways } from "./circuit-ways";
import { waysFrom } from "./lengths";
import { type Order, bestOrder, treeLength } from "./order";

/** Two points to join, whether a legal line does, and what the cores of the cable carry where that is known. */
export interface Pair {
  from: string;
  to: string;
  legal: boolean;
  carries: readonly Carried[];
}
/**
 * The pairs of points to join for a circuit, with unreachable points left out and told; and the least cable any order
 * could need.
 */
export interface Pairs {
  pairs: Pair[];
  bound: number | null;
}

/** Board that feeds a circuit, by its number in the house; −1 when there is none. */
export const boardOf = (h: House, c: Circuit): number => h.pointOfId.get(boardOfCircuit(h.job, c)?.id ?? "") ?? -1;

/**
 * A cable off the order of a circuit: a spur, a branch, or one between lights and switches; from null: from the
 * nearest point.
 */
interface Branch {
  from: string | null;
  to: string;
  carries: readonly Carried[];
  /** Wired so: a pin that joins its end elsewhere does not change it. */
  wired: boolean;
}

/** Lines that carry no mains: one cable to each point from where they start. */
function star(
  h: House,
  g: RouteGraph,
  c: Circuit,
  board: number,
  given: readonly RunEnds[],
  usable: Uint8Array,
  facts: Fact[],
): Pairs {
  const from = h.points[board]!.point.id;
  const ids = wiredTo(c).filter((id) => id !== from && h.pointOfId.has(id));
  const nodes = ids.map((id) => g.terminal[h.pointOfId.get(id)!]!);
  const start = g.terminal[board]!;
  const far = start < 0 ? nodes.map(() => Infinity) : waysFrom(g, start, nodes, usable);
  const out: Pairs = { pairs: [], bound: 0 };
  ids.forEach((to, i) => {
    const legal = far[i]! < Infinity;
    if (!legal) {
      out.bound = null;
      if (!given.some((p) => p.from === to || p.to === to)) {
        const p = h.points[h.pointOfId.get(to)!]!;
        facts.push(fact("route.unreachable", "point", to, whyUnreachable(h, g, p, nodes[i]!, usable)));
        return;
      }
    } else if (out.bound !== null) out.bound += far[i]!;
    out.pairs.push({ from, to, legal, carries: [] });
  });
  return out;
}

/** Works out which points of a circuit are joined to which. */
export function pairsOf(
  h: House,
  g: RouteGraph,
  c: Circuit,
  board: number,
  given: readonly RunEnds[],
  facts: Fact[],
): Pairs {
  const joined = new Set(given.map((p) => runKey({ circuit: c.id, from: p.from, to: p.to })));
  /** A run of the circuit that is pinned or done, between these two. */
  const isGiven = (a: string, b: string): boolean => joined.has(runKey({ circuit: c.id, from: a, to: b }));
  const usable = usableFor(h, g, c);
  if (c.kind === "signal") return star(h, g, c, board, given, usable, facts);
  const boardId = h.points[board]!.point.id;
  const pointOf = (id: string) => h.points[h.pointOfId.get(id)!]!;
  const spurIds = new Set(c.spurs.map((s) => s.point));
  const old = (id: string): boolean => c.state === "extend" && pointOf(id).point.existing;
  const main = c.points.filter((id) => id !== boardId && !spurIds.has(id));
  const nodeOf = (id: string): number => g.terminal[h.pointOfId.get(id)!]!;
  const ways = new Ways(h, g, [boardId, ...main, ...spurIds], usable);
  const wires =
    c.kind === "lighting"
      ? wireLighting({
          feed: h.job.settings.schools.lightingFeed,
          switchNeutral: h.job.settings.schools.switchNeutral === "yes",
          ...lightingOf(h.job, main),
          // What is pinned or done stays joined.
          apart: (a, b) => (isGiven(a, b) ? -1 : ways.apart(a, b)),
        })
      : null;
  const loops = new Set(wires?.loops);
  const idle = new Set(wires?.facts.flatMap((f) => (f.rule === "lighting.idle-switch" ? [f.subject.id] : [])));
  const away = (id: string): boolean => {
    if (!wires || loops.has(id)) return false;
    const { kind } = pointOf(id).point;
    return idle.has(id) ? h.job.settings.schools.lightingFeed === "rose" : isLight(kind) || isSwitch(kind);
  };
  const chain = main.filter((id) => !away(id) || old(id));
  const plain = { carries: [], wired: false } as const;
  const branches: Branch[] = [
    ...c.spurs.map((s): Branch => ({ ...plain, carries: spurCarries(h, s.from, s.point), from: s.from, to: s.point })),
    ...main.flatMap((id): Branch[] =>
      idle.has(id) && away(id) ? [{ ...plain, carries: ["line", "switched-line"], from: null, to: id }] : [],
    ),
    ...(wires?.cables ?? []).map(({ from, to, carries }): Branch => ({ from, to, carries, wired: true })),
  ].filter((b) => !old(b.to) || (b.from !== null && !old(b.from)));
  const all = [...new Set([boardId, ...chain, ...branches.map((b) => b.to)])];
  const from0 = all.map((id) => ways.apart(boardId, id));
  const ok = all.map((id, i) => {
    if (i === 0 || from0[i]! < Infinity) return true;
    // The user's word, or the hand that did it, leads there though no legal line does.
    if (given.some((p) => p.from === id || p.to === id)) return true;
    facts.push(fact("route.unreachable", "point", id, whyUnreachable(h, g, pointOf(id), nodeOf(id), usable)));
    return false;
  });
  const places = all.flatMap((_, i) => (i <= chain.length && ok[i] ? [i] : []));
  if (places.length < 1) return { pairs: [], bound: 0 };
  const ids = places.map((i) => all[i]!);
  const matrix = ways.matrix(ids);
  const out: Pairs = ids.some(old) ? extended(h, matrix, ids, c, old, facts) : fresh(matrix, ids, c, isGiven);
  // A point that no legal line reaches leaves no length below which a plan cannot go.
  if (ok.some((x) => !x)) out.bound = null;
  const reached = (id: string): boolean => {
    const k = all.indexOf(id);
    return k < 0 || ok[k]!;
  };
  const alarm = (id: string): boolean => accessories[pointOf(id).point.kind].use === "alarm";
  for (const p of out.pairs) if (alarm(p.from) && alarm(p.to)) p.carries = LINKED;
  for (const { from, to, carries, wired } of branches) {
    if (!reached(to)) continue;
    // What is pinned or done joins it as it was meant to be, where that is so; else wherever it does.
    const behind = (id: string): boolean => branches.some((b) => b.to === id && b.from === to);
    const there = all.filter((id) => isGiven(id, to) && !behind(id));
    const said = wired ? undefined : from !== null && there.includes(from) ? from : there[0];
    let best = said ?? (from !== null && (wired || reached(from)) ? from : null);
    if (best === null)
      for (const j of places)
        if (j !== 0 && all[j] !== to && (best === null || ways.apart(to, all[j]!) < ways.apart(to, best)))
          best = all[j]!;
    best ??= boardId;
    // The same both ways: from whichever has been searched.
    const far = ways.hasSearched(best) ? ways.apart(best, to) : ways.apart(to, best);
    const legal = far < Infinity;
    out.pairs.push({ from: best, to, legal, carries });
    out.bound = legal && out.bound !== null ? out.bound + far : null;
  }
  return out;
}

/** What a spur between lights and switches carries: a switch and what it works, or two switches that work one light. */
function spurCarries(h: House, from: string, to: string): Carried[] {
  const { lights, switches } = lightingOf(h.job, [from, to]);
  const works = (id: string): string[] => h.points[h.pointOfId.get(id)!]!.point.controls;
  const [a, b] = switches;
  if (a && b && works(a.id).some((l) => works(b.id).includes(l))) return ["common", "strapper-1", "strapper-2"];
  if (a && lights[0] !== undefined && works(a.id).includes(lights[0]))
    return a.id === to ? ["line", "switched-line"] : ["switched-line", "neutral"];
  return [];
}

/** Where no legal line leads: far longer than any way, so that an order takes such a step only where it must, mm. */
const NO_WAY = 1e8;

/** A run of the feed. */
const fed = (from: string, to: string, legal: boolean): Pair => ({ from, to, legal, carries: FEED });
const FEED: readonly Carried[] = ["line", "neutral"];
/** A run of the feed between two alarms. */
const LINKED: readonly Carried[] = ["line", "neutral", "interlink"];

/** The best order of a circuit's points, kept with it while all is as far apart as it was. */
const orders = new Kept<Circuit, Order>();

/** A new circuit: its points in the best order from the board, and back to it for a ring. */
function fresh(
  ways: number[][],
  ids: readonly string[],
  c: Circuit,
  isGiven: (a: string, b: string) => boolean,
): Pairs {
  const closed = c.kind === "ring" && ids.length > 2;
  const matrix = ways.map((row) => row.map((x) => Math.min(x, NO_WAY)));
  const free = orders.of(c, matrix.flat(), () => bestOrder(matrix, closed));
  const order = c.order === "given" ? ids.map((_, i) => i) : withGiven(matrix, closed, free, ids, isGiven);
  const pairs: Pairs["pairs"] = [];
  const join = (a: number, b: number): void =>
    void pairs.push(fed(ids[a]!, ids[b]!, ways[a]![b]! < Infinity || isGiven(ids[a]!, ids[b]!)));
  for (let k = 1; k < order.length; k++) join(order[k - 1]!, order[k]!);
  if (closed) join(order[order.length - 1]!, order[0]!);
  if (ways.some((row, i) => i > 0 && row.every((x, k) => k === i || x === Infinity))) return { pairs, bound: null };
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
  facts: Fact[],
): Pairs {
  const isOld = ids.map((id, i) => i === 0 || old(id));
  const fresh = ids.flatMap((_, i) => (isOld[i] ? [] : [i]));
  if (!fresh.length) return { pairs: [], bound: 0 };
  const pairs: Pairs["pairs"] = [];
  if (c.kind === "ring") {
    const said = h.job.extensions.find((x) => x.circuit === c.id)?.broken ?? null;
    const chosen = said ? [ids.indexOf(said.from), ids.indexOf(said.to)] : [];
    const traced = h.job.foundCables.flatMap((f): [number, number][] => {
      const [a, b] = [ids.indexOf(f.from), f.to === null ? -1 : ids.indexOf(f.to)];
      return f.fate === "keep" && a >= 0 && b >= 0 && isOld[a] && isOld[b] ? [[a, b]] : [];
    });
    // The leg that the user says is broken, traced or not; else the one that takes least.
    const legs = chosen.length && chosen.every((i) => i >= 0 && isOld[i]) ? [chosen as [number, number]] : traced;
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
      for (let k = 1; k < best.order.length; k++) pairs.push(fed(ids[best.order[k - 1]!]!, ids[best.order[k]!]!, true));
      facts.push(
        fact("retrofit.break", "circuit", c.id, {
          of: { from: ids[best.leg[0]]!, to: ids[best.leg[1]]!, points: fresh.length },
        }),
      );
      return { pairs, bound: best.added };
    }
    facts.push(fact("retrofit.trace", "circuit", c.id));
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
    pairs.push(fed(ids[near[pick]!]!, ids[pick]!, true));
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

/**
 * Pairs whose run is pinned or done stay neighbours: every other step costs so much more that no order can afford to part them. None is
 * below nothing, since the search leaves out what is longer already than an order it knows.
 */
function withGiven(
  d: number[][],
  closed: boolean,
  free: Order,
  ids: readonly string[],
  isGiven: (a: string, b: string) => boolean,
): number[] {
  const given = ids.flatMap((a, i) =>
    ids.flatMap((b, j): [number, number][] => (i < j && isGiven(a, b) ? [[i, j]] : [])),
  );
  if (!given.length) return free.order;
  const near = d.map((row, i) => row.map((x, j) => (i === j ? x : isGiven(ids[i]!, ids[j]!) ? 0 : x + APART)));
  const { order } = bestOrder(near, closed);
  const kept = (o: readonly number[]): number => given.filter(([a, b]) => besideEachOther(o, a, b, closed)).length;
  // Of many places the order is a good one and not the best: then the stretches that are there are strung together.
  const strung = kept(order) < given.length ? stringChains(d, given) : order;
  return kept(strung) > kept(order) ? strung : order;
}

const besideEachOther = (order: readonly number[], a: number, b: number, closed: boolean): boolean => {
  const gap = Math.abs(order.indexOf(a) - order.indexOf(b));
  return gap === 1 || (closed && gap === order.length - 1);
};

/** An order from place 0 in which stretches of given pairs stay whole: from the end of one to the nearest end of another. */
function stringChains(d: readonly (readonly number[])[], given: readonly (readonly [number, number])[]): number[] {
  const next = new Map<number, number[]>();
  for (const [a, b] of given) {
    next.set(a, [...(next.get(a) ?? []), b]);
    next.set(b, [...(next.get(b) ?? []), a]);
  }
  const left = new Set(d.map((_, i) => i));
  /** The stretch from a place on, along given pairs. */
  const walk = (from: number): number[] => {
    const out = [from];
    left.delete(from);
    for (;;) {
      const on = (next.get(out[out.length - 1]!) ?? []).find((x) => left.has(x));
      if (on === undefined) return out;
      out.push(on);
      left.delete(on);
    }
  };
  // Where the board stands in the midst of a stretch its other half comes last: a ring comes home by it.
  const order = walk(0);
  const home = walk(0).slice(1);
  while (left.size) {
    const last = order[order.length - 1]!;
    const ends = [...left].filter((i) => (next.get(i) ?? []).filter((x) => left.has(x)).length < 2);
    let pick = -1;
    for (const i of ends.length ? ends : left) if (pick < 0 || d[last]![i]! < d[last]![pick]!) pick = i;
    order.push(...walk(pick));
  }
  return [...order, ...home.reverse()];
}
/**
 * What a step between two that are not joined by a run pinned or done costs more, mm: more than many steps where no
 * line leads.
 */
const APART = 20 * NO_WAY;
