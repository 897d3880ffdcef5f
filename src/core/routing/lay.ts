import type { Cable } from "../rules/cables";
import { type Catalogue, cableOf } from "../rules/catalogue";
import { bitFor } from "../rules/bits";
import type { House } from "../job/house";
import type { Circuit, PinnedLeg, Pin } from "../job/model";
import { type Finding, finding } from "../rules/findings";
import { whyUnreachable } from "./explain";
import { EDGE, type RouteGraph } from "./graph";
import { legsOf } from "./legs";
import { type Order, bestOrder, treeLength } from "./order";
import { cheapestWay, distancesFrom } from "./search";

/** A run as laid: which points, over which legs, and the shared bores it uses. */
export interface LaidRun {
  id: string;
  circuit: string;
  from: string;
  to: string;
  cable: string;
  legs: PinnedLeg[];
  pinned: boolean;
  /** Numbers of bore places used, in order; empty for a pinned run, whose holes are found from its legs. */
  bores: number[];
}

export interface Laid {
  runs: LaidRun[];
  findings: Finding[];
  /** By circuit: least path length that any order over legal lines could have, mm. */
  bounds: Map<string, number>;
}

/** Cost of a run through another point's box, mm of cable: only where nothing else leads on. */
const THROUGH_BOX = 2500;
/** Share of a bore's cost when the hole is already there. */
const SHARED_BORE = 0.12;

/** Points that hang on the chain of a lighting circuit; switches branch from what they work. */
const onChain = (h: House, id: string): boolean => h.points[h.pointOfId.get(id)!]!.point.kind !== "switch";

export const runId = (circuit: string, from: string, to: string): string => `${circuit}.${from}-${to}`;

/** The pairs of points to join for a circuit, with unreachable points left out and told. */
interface Pairs {
  pairs: [string, string][];
  bound: number;
}

/** Circuits in the order they are laid: thick cable first, since it needs the room; ties by label and id. */
export const layingOrder = (circuits: readonly Circuit[], catalogue?: Catalogue): Circuit[] =>
  [...circuits].sort((a, b) => (cableOf(b.cable, catalogue)?.csa ?? 0) - (cableOf(a.cable, catalogue)?.csa ?? 0) || (a.label < b.label ? -1 : a.label > b.label ? 1 : 0) || (a.id < b.id ? -1 : 1));

/** Lays every circuit of the house over the legal lines. Pure and deterministic. */
export function layRuns(h: House, g: RouteGraph): Laid {
  const out: Laid = { runs: [], findings: [], bounds: new Map() };
  const board = h.points.findIndex((p) => p.point.kind === "board");
  if (board < 0) {
    if (h.job.circuits.some((c) => c.points.length)) out.findings.push(finding("circuit.board", { subject: h.job.id, message: "The job has circuits but no board; place one.", remedy: "Add a board point." }));
    return out;
  }
  const passing = new Map<number, Cable[]>();
  const boreEdges = Int32Array.from(g.kind.keys()).filter((e) => g.kind[e] === EDGE.bore);
  const pins = new Map(h.job.pins.map((p) => [`${p.circuit} ${[p.from, p.to].sort().join(" ")}`, p]));
  for (const c of layingOrder(h.job.circuits.filter((x) => x.state !== "keep"), h.catalogue)) {
    const cable = cableOf(c.cable, h.catalogue);
    if (!cable) continue;
    const { pairs, bound } = pairsOf(h, g, c, board, pins, out.findings);
    out.bounds.set(c.id, bound);
    const costs = edgeCosts(h, g, c);
    for (const [from, to] of pairs) {
      const pin = pins.get(`${c.id} ${[from, to].sort().join(" ")}`);
      if (pin) {
        out.runs.push(pinnedRun(c, pin, from));
        continue;
      }
      const run = layOne(h, g, c, cable, from, to, passing, costs, boreEdges);
      if (run) out.runs.push(run);
      else {
        const p = h.points[h.pointOfId.get(to)!]!;
        out.findings.push(finding("route.unreachable", { subject: to, message: `No legal way from ${h.points[h.pointOfId.get(from)!]!.point.label} to ${p.point.label}: the bores on the way are full.`, remedy: "Use another bore line, or pin the run by hand." }));
      }
    }
  }
  return out;
}

function pinnedRun(c: Circuit, pin: Pin, from: string): LaidRun {
  const legs = pin.from === from ? pin.legs : [...pin.legs].reverse().map((l) => ({ ...l, path: [...l.path].reverse() }));
  const to = pin.from === from ? pin.to : pin.from;
  return { id: runId(c.id, from, to), circuit: c.id, from, to, cable: c.cable, legs, pinned: true, bores: [] };
}

/** Edges a circuit may use: surface cable and armour anywhere off the openings, hidden cable within zones. */
const usableFor = (h: House, g: RouteGraph, c: Circuit): Uint8Array =>
  c.walls === "surface" || cableOf(c.cable, h.catalogue)?.family === "armoured" ? new Uint8Array(g.a.length).fill(1) : g.hidden;

/** Cost of every edge for a circuit, mm of cable, before any bore is counted as taken. */
function edgeCosts(h: House, g: RouteGraph, c: Circuit): Float64Array {
  const usable = usableFor(h, g, c);
  const { cost } = h.job.settings;
  const chased = h.faces.map((f) => c.walls === "hidden" && (f.wall.build === "masonry" || f.wall.build === "dry-lined"));
  const out = new Float64Array(g.a.length);
  for (let e = 0; e < out.length; e++) {
    const length = g.length[e]!;
    const kind = g.kind[e];
    if (!usable[e]) out[e] = Infinity;
    else if (kind === EDGE.wall) out[e] = length * (chased[g.ref[e]!] ? 1 + cost.chase : 1);
    else if (kind === EDGE.through) out[e] = length + cost.wallHole;
    else out[e] = length;
  }
  return out;
}

/** Brings the costs of bore edges up to date: dear when new, cheap when shared, barred when full. */
function priceBores(h: House, g: RouteGraph, cable: Cable, costs: Float64Array, passing: Map<number, Cable[]>, boreEdges: Int32Array): void {
  const { bore: dear } = h.job.settings.cost;
  let alone = Number.NaN;
  let most = -1;
  for (let i = 0; i < boreEdges.length; i++) {
    const e = boreEdges[i]!;
    const bore = g.ref[e]!;
    const there = passing.get(bore);
    const place = g.bores[bore]!;
    if (!there) {
      // Empty bores of one size cost the same: asked once.
      if (place.most !== most) {
        most = place.most;
        alone = bitFor([cable], most) === null ? Infinity : dear;
      }
      costs[e] = g.length[e]! + alone;
    } else costs[e] = bitFor([...there, cable], place.most) === null ? Infinity : g.length[e]! + dear * SHARED_BORE;
  }
}

function pairsOf(h: House, g: RouteGraph, c: Circuit, board: number, pins: Map<string, Pin>, findings: Finding[]): Pairs {
  const usable = usableFor(h, g, c);
  const boardId = h.points[board]!.point.id;
  const spurIds = new Set(c.spurs.map((s) => s.point));
  const main = c.points.filter((id) => id !== boardId && !spurIds.has(id));
  const chain = c.kind === "lighting" ? main.filter((id) => onChain(h, id)) : main;
  const branches: [from: string | null, to: string][] = [
    ...c.spurs.map((s): [string, string] => [s.from, s.point]),
    ...(c.kind === "lighting" ? main.filter((id) => !onChain(h, id)) : []).map((id): [string | null, string] => {
      const works = h.points[h.pointOfId.get(id)!]!.point.controls.find((x) => chain.includes(x));
      return [works ?? null, id];
    }),
  ];
  const all = [boardId, ...chain, ...branches.map((b) => b[1])];
  const node = all.map((id) => g.terminal[h.pointOfId.get(id)!]!);
  const from0 = node[0]! < 0 ? node.map(() => Infinity) : distancesFrom(g, node[0]!, node, usable);
  const ok = all.map((id, i) => {
    if (i === 0 || from0[i]! < Infinity) return true;
    const p = h.points[h.pointOfId.get(id)!]!;
    findings.push(finding("route.unreachable", { subject: id, message: whyUnreachable(h, g, p, node[i]!, usable) }));
    return false;
  });
  const places = all.flatMap((_, i) => (i <= chain.length && ok[i] ? [i] : []));
  if (places.length < 1) return { pairs: [], bound: 0 };
  // Distances are the same both ways: each search looks only for the places after its own.
  const matrix: number[][] = places.map(() => places.map(() => 0));
  places.forEach((p, i) => {
    const later = places.slice(i + 1);
    const found = i === 0 ? later.map((q) => from0[q]!) : distancesFrom(g, node[p]!, later.map((q) => node[q]!), usable);
    found.forEach((x, k) => (matrix[i]![i + 1 + k] = matrix[i + 1 + k]![i] = x));
  });
  const closed = c.kind === "ring" && places.length > 2;
  const free = bestOrder(matrix, closed);
  const order = c.order === "given" ? places.map((_, i) => i) : withPins(matrix, closed, free, places.map((i) => all[i]!), c, pins);
  const pairs: [string, string][] = [];
  const idAt = (k: number): string => all[places[order[k]!]!]!;
  for (let k = 1; k < order.length; k++) pairs.push([idAt(k - 1), idAt(k)]);
  if (closed) pairs.push([idAt(order.length - 1), boardId]);
  let bound = order.length > 1 ? (c.order === "given" ? chainLength(matrix, order, closed) : free.bound) : 0;
  branches.forEach(([from, to], i) => {
    const k = 1 + chain.length + i;
    if (!ok[k]) return;
    const back = distancesFrom(g, node[k]!, node, usable);
    let best = from === null ? -1 : all.indexOf(from);
    if (best < 0) for (const j of places) if (j !== 0 && (best < 0 || back[j]! < back[best]!)) best = j;
    if (best < 0) best = 0;
    pairs.push([all[best]!, to]);
    bound += back[best]!;
  });
  // A switch that works nothing yet on a circuit without lights still starts at the board.
  return { pairs, bound: Math.max(bound, places.length > 1 && !closed ? treeLength(matrix) : 0) };
}

const chainLength = (d: readonly (readonly number[])[], order: readonly number[], closed: boolean): number => {
  let sum = 0;
  for (let i = 1; i < order.length; i++) sum += d[order[i - 1]!]![order[i]!]!;
  return closed ? sum + d[order[order.length - 1]!]![order[0]!]! : sum;
};

/** Pinned pairs stay neighbours: their distance is made so small that no order can afford to part them. */
function withPins(d: number[][], closed: boolean, free: Order, ids: readonly string[], c: Circuit, pins: Map<string, Pin>): number[] {
  let any = false;
  const held = d.map((row, i) =>
    row.map((x, j) => {
      if (i === j || !pins.has(`${c.id} ${[ids[i]!, ids[j]!].sort().join(" ")}`)) return x;
      any = true;
      return -1e6;
    }),
  );
  return any ? bestOrder(held, closed).order : free.order;
}

function layOne(h: House, g: RouteGraph, c: Circuit, cable: Cable, from: string, to: string, passing: Map<number, Cable[]>, costs: Float64Array, boreEdges: Int32Array): LaidRun | null {
  const a = h.pointOfId.get(from)!;
  const b = h.pointOfId.get(to)!;
  priceBores(h, g, cable, costs, passing, boreEdges);
  const way = cheapestWay(g, g.terminal[a]!, g.terminal[b]!, { cost: costs, bend: h.job.settings.cost.bend, throughBox: THROUGH_BOX, ends: [a, b] });
  if (!way) return null;
  const bores = way.filter((e) => g.kind[e] === EDGE.bore).map((e) => g.ref[e]!);
  for (const bore of bores) passing.set(bore, [...(passing.get(bore) ?? []), cable]);
  const legs = legsOf(h, g, c, h.points[a]!, h.points[b]!, g.terminal[a]!, way);
  return { id: runId(c.id, from, to), circuit: c.id, from, to, cable: c.cable, legs, pinned: false, bores };
}
